import { describe, expect, it } from 'vitest';
import { findDevice } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { furnaceFourWires, furnaceWithSpare } from '../houses/houses';
import { choosing, zonedHouse } from '../houses/zoned-houses';
import { prove } from './prove';
import type { ProofInput } from './types';
import { circuitKey, rememberingProver } from './proof-memory';
import { wiringOf } from '../wiring/from-job';

/** A prover that counts how often it has to solve. */
function counting(most: number) {
  const asked: ProofInput[] = [];
  const remembering = rememberingProver(most, (input) => {
    asked.push(input);
    return prove(input);
  });
  return { asked, remembering };
}
const device = findDevice(furnaceFourWires().job, 'de-fellgate') ?? null;

describe('proofs that are remembered', () => {
  it('are those that would be made anew', () => {
    const { remembering } = counting(100);
    for (const make of [furnaceFourWires, furnaceWithSpare, furnaceFourWires]) {
      const { job, thermostat } = make();
      expect(planFor(job, thermostat, { device, prover: remembering })).toEqual(
        planFor(job, thermostat, { device, prover: prove })
      );
    }
  });

  it('serve a record that differs in nothing that a circuit knows', () => {
    const { asked, remembering } = counting(100);
    const { job, thermostat } = furnaceFourWires();
    planFor(job, thermostat, { device, prover: remembering });
    const first = asked.length;
    const cables = thermostat.cables.map((cable) => ({ ...cable, path: 'unknown' as const }));
    planFor(job, { ...thermostat, cables, outlet: 'none' }, { device, prover: remembering });
    expect(asked.length).toBe(first);
    const moved = { ...thermostat, conductors: thermostat.conductors.slice(0, 3) };
    planFor(job, moved, { device, prover: remembering });
    expect(asked.length).toBeGreaterThan(first);
  });

  it('are not mixed up when a neighbour changes what is drawn', () => {
    const { remembering } = counting(100);
    for (const count of [1, 2, 5]) {
      const job = choosing(zonedHouse(count), 'de-fellgate', 'spare-conductor');
      const [first] = job.thermostats;
      const verdict = planFor(job, first!, { prover: remembering }).options.find(
        (option) => option.method === 'spare-conductor'
      )?.verdict;
      expect(verdict === 'no').toBe(count === 5);
    }
  });

  it('are let go, oldest first, when there are too many', () => {
    const { asked, remembering } = counting(1);
    const { job, thermostat } = furnaceFourWires();
    planFor(job, thermostat, { device, prover: remembering });
    const first = asked.length;
    planFor(job, thermostat, { device, prover: remembering });
    expect(asked.length).toBe(2 * first);
  });

  it('tell a broken wire from a whole one', () => {
    const { job, thermostat } = furnaceFourWires();
    const wiring = wiringOf(job, thermostat);
    const broken = {
      ...wiring,
      strands: wiring.strands.map((strand) => ({ ...strand, continuity: 'broken' as const }))
    };
    const untested = {
      ...wiring,
      strands: wiring.strands.map((strand) => ({ ...strand, continuity: 'untested' as const }))
    };
    expect(circuitKey(broken)).not.toBe(circuitKey(wiring));
    expect(circuitKey(untested)).toBe(circuitKey(wiring));
  });
});
