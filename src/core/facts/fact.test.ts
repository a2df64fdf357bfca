/** Every reference in words, and where in the job its fact was recorded. */
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { ref, type PartRef, type Ref } from '../findings/refs';
import { recordFindings } from '../job/record-findings';
import { planFor } from '../plan/plan';
import { matchAll } from '../match/match';
import { factOf } from './fact';

const [classroom] = SCHOOLHOUSE.thermostats;
const part = (name: PartRef['part'], mark: string | null): Ref => ({
  kind: 'part',
  id: 'x',
  device: 'eq-oil-furnace',
  part: name,
  mark
});
const said = (ref: Ref, thermostat = classroom!) => {
  const { kind, text } = factOf(SCHOOLHOUSE, thermostat, ref);
  return `${kind}: ${text}`;
};

describe('what a judgement was made from', () => {
  it.each<[Ref, string]>([
    [ref.conductor('co-classroom-1'), 'recorded: white wire, wall on RH, equipment on R'],
    [ref.conductor('co-classroom-5'), 'recorded: green wire, wall coiled, equipment coiled'],
    [ref.cable('ca-classroom'), 'recorded: brown five-conductor cable'],
    [ref.link('ln-classroom-1'), 'recorded: jumper RH to RC at the wall'],
    [ref.call('cool1'), 'solved: the circuit with cooling called'],
    [part('transformer', null), 'solved: the transformer of Oil furnace'],
    [part('coil', 'Y1'), 'solved: the coil on Y1 of Oil furnace'],
    [ref.outlet, 'recorded: outlet near the plate: near'],
    [ref.device('de-fellgate'), 'sheet: Tarnwick Fellgate 4'],
    [ref.screw('th-classroom', 'sc-rh'), 'recorded: terminal RH at the wall'],
    [ref.supply('eq-oil-furnace'), 'recorded: the supply of Oil furnace'],
    [ref.supply('outdoor-unit'), 'recorded: the supply of the outdoor unit'],
    [ref.thermostat('th-classroom'), 'recorded: the plate of Former classroom, terminals RH RC W Y G']
  ])('%j is said in words', (ref, text) => {
    expect(said(ref)).toBe(text);
  });

  it('names an observation by its question and the answer as it was on the button', () => {
    expect(said(ref.observation('flue'))).toMatch(/^answered: Does the machine burn .* Burner with a flue$/);
    const measured = { ...classroom!, observed: { 'measured-volts': 27 } };
    expect(said(ref.observation('measured-volts'), measured)).toMatch(/27 V$/);
  });

  it('leads to where it was recorded', () => {
    expect(factOf(SCHOOLHOUSE, classroom!, ref.conductor('co-classroom-1')).where).toEqual({
      station: 'sheet',
      conductor: 'co-classroom-1'
    });
    expect(factOf(SCHOOLHOUSE, classroom!, ref.stop('gas-smell')).where).toEqual({ station: 'safe' });
    expect(factOf(SCHOOLHOUSE, classroom!, ref.device('de-fellgate')).where).toMatchObject({
      station: 'thermostat',
      device: 'de-fellgate'
    });
  });

  it('says of what is gone that it is gone, and leads nowhere', () => {
    const gone = factOf(SCHOOLHOUSE, classroom!, ref.conductor('co-gone'));
    expect(gone).toMatchObject({ text: 'co-gone, which the job no longer holds', where: null });
  });

  it('has words for every reference of every finding of the demo houses, none of them a bare id', () => {
    for (const thermostat of SCHOOLHOUSE.thermostats) {
      const findings = [
        ...recordFindings(SCHOOLHOUSE),
        ...matchAll(SCHOOLHOUSE, thermostat).flatMap((match) => match.findings),
        ...planFor(SCHOOLHOUSE, thermostat).options.flatMap((option) => option.findings)
      ];
      for (const ref of findings.flatMap((it) => it.because))
        expect(factOf(SCHOOLHOUSE, thermostat, ref).text, JSON.stringify(ref)).not.toMatch(
          /undefined|null|no longer holds|^(co|ca|ln|eq|th|de)-/
        );
    }
  });
});
