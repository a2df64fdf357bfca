/** Records that no house has, powered up all the same: an answer, or the place at fault, and never a loop without end. */
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { CATALOGUE } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { powerPlan } from '../plan/powered';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { harmFindings } from '../proof/harm';
import type { Wiring } from '../wiring/graph';
import { running } from './expected';
import { simulate } from './simulate';

const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
const world = worldOf('furnace-ac');
const clip = linkOf('wall', 'th.RH', 'th.RC');
const marks = ['R', 'C', 'W', 'Y', 'G'];

function whole(more: Partial<Wiring> = {}): Wiring {
  return wiringFrom({
    devices: [thermostatOf(facts, 'th'), boardOf('eq', marks)],
    strands: [
      strandOf('r', ['th', 'RC'], ['eq', 'R']),
      ...['W', 'Y', 'G', 'C'].map((mark) => strandOf(mark.toLowerCase(), ['th', mark], ['eq', mark]))
    ],
    links: [clip],
    ...more
  });
}

describe('a record that no house has', () => {
  it('counts a wire of no length as its two joints', () => {
    const none = whole({ strands: whole().strands.map((strand) => ({ ...strand, ohms: 0 })) });
    expect(simulate(none, world, 'cool1')).toMatchObject({ ok: true, result: { thermostatFed: true } });
  });

  it('names the wire of negative length', () => {
    const strands = whole().strands.map((strand) => (strand.id === 'y' ? { ...strand, ohms: -0.3 } : strand));
    expect(simulate(whole({ strands }), world, 'cool1')).toMatchObject({ ok: false, at: 'y' });
  });

  it('names the transformer of 0 VA', () => {
    const devices = [thermostatOf(facts, 'th'), boardOf('eq', marks, { transformerVa: 0 })];
    expect(simulate(whole({ devices }), world, 'idle')).toMatchObject({ ok: false, at: 'eq:secondary' });
  });

  it('finds the transformer overloaded by a device of 1 kVA', () => {
    const hungry = thermostatOf({ ...facts, drawVa: 1000 }, 'th');
    const solved = simulate(
      whole({ devices: [hungry, boardOf('eq', marks, { fuseAmps: 50 })] }),
      world,
      'idle'
    );
    if (!solved.ok) throw new Error(solved.why);
    expect(harmFindings(solved.result).map((finding) => finding.code)).toContain('transformer-overloaded');
  });

  it('solves five hundred wires side by side', () => {
    const many = Array.from({ length: 500 }, (_, at) => strandOf(`co-${at}`, ['th', 'RC'], ['eq', 'R']));
    const solved = simulate(whole({ strands: [...whole().strands, ...many] }), world, 'cool1');
    expect(solved).toMatchObject({ ok: true, result: { thermostatFed: true } });
  });

  it('solves loops of links, and shows what they start', () => {
    const loop = [
      linkOf('machine', 'eq.R', 'eq.W1'),
      linkOf('machine', 'eq.W1', 'eq.Y1'),
      linkOf('machine', 'eq.Y1', 'eq.R')
    ];
    const solved = simulate(
      whole({ links: [clip, ...loop, linkOf('machine', 'eq.R', 'eq.R')] }),
      world,
      'idle'
    );
    if (!solved.ok) throw new Error(solved.why);
    expect(running(solved.result.loads).sort()).toEqual(['blower', 'burner', 'compressor']);
  });

  it('leaves a thermostat without terminals dark', () => {
    const bare = thermostatOf({ ...facts, marks: [] }, 'th');
    const solved = simulate(
      whole({ devices: [bare, boardOf('eq', marks)], strands: [], links: [] }),
      world,
      'heat1'
    );
    if (!solved.ok) throw new Error(solved.why);
    expect(running(solved.result.loads)).toEqual([]);
    expect(solved.result.thermostatFed).not.toBe(true);
  });

  it('takes the thinnest gauge and a long run where nothing is recorded, and says so', () => {
    const [base] = SCHOOLHOUSE.thermostats;
    const cables = base!.cables.map((cable) => ({ ...cable, gauge: null, lengthM: null }));
    const thermostat = { ...base!, cables };
    const plan = planFor({ ...SCHOOLHOUSE, thermostats: [thermostat] }, thermostat);
    const taken = plan.options.find((option) => option.method === plan.recommended);
    expect(taken?.findings.map((finding) => finding.code)).toContain('values-assumed');
    const volts = (which: typeof plan) =>
      powerPlan(which, 'after', 'cool1').calls[0]?.result.thermostatVolts ?? 0;
    expect(volts(plan)).toBeLessThan(volts(planFor(SCHOOLHOUSE, base!)));
  });
});
