/** Moves that one can follow: labels, names, proofs and checks in the words of the house. */
import { describe, expect, it } from 'vitest';
import { house, type HouseSketch } from '../houses/builder';
import { withThermostat } from '../houses/changed';
import { findDevice } from '../match/catalogue';
import type { MethodId } from '../trade/vocabulary';
import { wiringOf } from '../wiring/from-job';
import { planFor } from './plan';

const observed = {
  'conductor-build': 'thin',
  'heat-from': 'registers',
  flue: 'burner',
  'outdoor-unit': 'rests'
};
const ac = (more: Partial<HouseSketch> = {}): HouseSketch => ({
  strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'],
  board: ['R', 'C', 'W', 'Y', 'G'],
  observed,
  equipment: { kind: 'furnace', fuel: 'gas' },
  ...more
});
const moves = (sketch: HouseSketch, method: MethodId) => {
  const { job, thermostat } = house(sketch);
  return planFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null, method }).moves;
};
const texts = (sketch: HouseSketch, method: MethodId) => moves(sketch, method).map((move) => move.text);
const spare = (more: Partial<HouseSketch> = {}) =>
  ac({
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'],
    continuity: 'untested',
    ...more
  });

describe('a wire', () => {
  it('whose job changes gets a new label at both ends, and one that keeps it does not', () => {
    const all = texts(ac(), 'repurpose-g');
    const green = all.filter((text) => text.includes('green') && text.includes('on C'));
    expect(green).toHaveLength(2);
    for (const text of green) expect(text).toContain('Relabel it “C”');
    expect(all.filter((text) => text.includes('white')).join()).not.toContain('abel it');
  });

  it('that had no job gets a label', () => {
    const landed = texts(spare(), 'spare-conductor').filter(
      (text) => text.includes('blue') && text.includes('on C')
    );
    for (const text of landed) expect(text).toContain('Label it “C”');
  });

  it('of a colour that comes twice is told apart: by its place, its cable, or a number', () => {
    const two = ac({ strands: ['RD R R', 'WH W W', 'WH G G', 'BU C C'] });
    const names = (made: ReturnType<typeof house>) =>
      wiringOf(made.job, made.thermostat).strands.map((strand) => strand.name);
    const made = house(two);
    expect(names(made)).toEqual(['red', 'white (1 of 2)', 'white (2 of 2)', 'blue']);
    const placed = withThermostat(made, {
      conductors: made.thermostat.conductors.map((conductor, at) => ({ ...conductor, position: at + 1 }))
    });
    expect(names(placed)).toEqual(['red', 'white no. 2', 'white no. 3', 'blue']);
    const [cable] = made.thermostat.cables;
    const second = { ...cable!, id: 'ca-9' as NonNullable<typeof cable>['id'], name: 'grey cable' };
    const inTwo = withThermostat(made, {
      cables: [cable!, second],
      conductors: made.thermostat.conductors.map((conductor, at) =>
        at === 2 ? { ...conductor, cable: second.id } : conductor
      )
    });
    expect(names(inTwo)).toEqual(['red', 'white of cable', 'white of grey cable', 'blue']);
  });
});

describe('a check', () => {
  it('says what to join with what: another bare end, else a screw that a wire is on', () => {
    const check = (sketch: HouseSketch) =>
      texts(sketch, 'spare-conductor').find((text) => text.startsWith('With the power off'));
    const another = [...spare().strands, 'BN coiled coiled'];
    expect(check(spare({ strands: another }))).toContain('to the brown one here, both bare');
    expect(check(spare())).toContain('here to screw R, where the red one is');
  });
});

describe('power off', () => {
  const proof = (sketch: HouseSketch, method: MethodId) =>
    texts(sketch, method).find((text) => text.startsWith('Power off: furnace')) ?? '';

  it('is proven between screws that this machine has', () => {
    expect(proof(spare(), 'spare-conductor')).toContain('a meter between R and C reads nothing');
    const prints = spare({
      strands: ['RD R 24VAC', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'],
      board: ['24VAC', 'COM', 'W', 'Y', 'G']
    });
    expect(proof(prints, 'spare-conductor')).toContain('a meter between 24VAC and COM reads nothing');
    const noC = ac({
      board: ['R', 'W', 'G'],
      strands: ['RD R R', 'WH W W'],
      observed: { ...observed, 'outdoor-unit': 'none' }
    });
    expect(proof(noC, 'plug-in-transformer')).toContain('a meter from R to every other screw reads nothing');
  });
});

describe('at a machine', () => {
  it('what is not the thermostat’s is left, whether or not somebody wrote it down', () => {
    const lands = texts(spare(), 'spare-conductor').filter(
      (text) => text.includes('on C') && text.includes('Leave')
    );
    expect(lands).toHaveLength(1);
  });

  it('a single wire is pulled like one', () => {
    const pull = moves(ac(), 'add-conductor').find((move) => move.action === 'pull');
    expect(pull?.text).toContain('Hook a pull string to the old path');
  });

  it('nothing is taken out of a plate that goes anyway', () => {
    const linked = ac({
      strands: ['RD RH R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
      plate: ['RH', 'RC', 'W', 'Y', 'G', 'C'],
      links: ['wall RH RC']
    });
    expect(moves(linked, 'existing-c').filter((move) => move.action === 'unlink')).toEqual([]);
  });
});
