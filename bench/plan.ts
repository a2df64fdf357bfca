/** A whole plan: every method with its variants, proven in every call, case and believable world, ranked, with its moves. */
import { planFor } from '$core/plan/plan';
import { finish } from '$core/circuit/long-run';
import { togetherRun } from '$core/plan/together';
import { makeId } from '$core/job/ids';
import { choosing, zonedHouse } from '$core/houses/zoned-houses';
import { prove } from '$core/proof/prove';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import type { Part } from './part';
import { secondsPer } from './measure';

export const planBench: Part = {
  name: 'plan',
  run: () => [
    '| thermostat | options | solved | a plan |',
    '|---|---|---|---|',
    ...SCHOOLHOUSE.thermostats.map((thermostat) => {
      const plan = planFor(SCHOOLHOUSE, thermostat, { prover: prove });
      const solves = plan.options.reduce((sum, option) => sum + (option.proof?.solves ?? 0), 0);
      const time = secondsPer(20, () => void planFor(SCHOOLHOUSE, thermostat, { prover: prove }), 3);
      return `| ${thermostat.name} | ${plan.options.length} | ${solves} | ${(time * 1e3).toFixed(1)} ms |`;
    })
  ]
};

/** A whole job on one panel, from nothing and again after a move was ticked. */
export const togetherBench: Part = {
  name: 'together',
  run: () => [
    '| zones | from nothing | after a tick |',
    '|---|---|---|',
    ...[2, 4, 8, 16].map((zones) => {
      // A transformer of its own each time: proofs of the row before are of no use.
      const job = choosing(zonedHouse(zones, 100 + zones), 'de-fellgate');
      const fresh = milliseconds(() => void finish(togetherRun(structuredClone(job))));
      // As it reaches the thread: the whole job anew, with one more tick in it.
      const ticked = structuredClone(job);
      ticked.thermostats[0]!.log.push({
        id: makeId('log', '1'),
        at: '2026-01-31T08:30:00.000Z',
        act: { action: 'check', end: 'wall', what: 'co-1', from: '', to: '' },
        change: null,
        undoes: null
      });
      const again = milliseconds(() => void finish(togetherRun(ticked)));
      return `| ${zones} | ${fresh.toFixed(0)} ms | ${again.toFixed(0)} ms |`;
    })
  ]
};

function milliseconds(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
