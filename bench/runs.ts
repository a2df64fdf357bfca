/** The fault table and the tolerance run: how long they take in one thread, and how they grow. */
import { writeFileSync } from 'node:fs';
import type { LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import { toleranceRun } from '$core/circuit/tolerance';
import { faultTableRun } from '$core/diagnose/fault-table';
import { callsOf } from '$core/devices/calls';
import { zonedHouse } from '$core/houses/powered-houses';
import type { PoweredHouse } from '$core/houses/half-wave-houses';
import { classroom } from './circuit';
import type { Part } from './part';
import { growthPlot } from './plot';

const DRAWS = 10_000;

function timed<T>(run: LongRun<T> | SimulateFailure): { seconds: number; steps: number; result: T } {
  if ('ok' in run) throw new Error(run.why);
  const start = performance.now();
  run.advance(run.total);
  return { seconds: (performance.now() - start) / 1000, steps: run.total, result: run.result() };
}

function table({ wiring, world }: PoweredHouse, pairs: boolean) {
  return timed(faultTableRun({ wiring, world, calls: callsOf(world, wiring), pairs }));
}

function draws({ wiring, world }: PoweredHouse, count: number) {
  return timed(toleranceRun({ wiring, world, calls: callsOf(world, wiring), draws: count, seed: 1 }));
}

export const runsBench: Part = {
  name: 'runs',
  run: (options) => {
    const house = classroom();
    const calls = callsOf(house.world, house.wiring).length;
    // Once unmeasured, so that what is compiled on the way does not count for the first that is measured.
    table(zonedHouse(10), false);
    draws(zonedHouse(10), 200);
    const faults = table(house, true);
    const spread = draws(house, DRAWS);
    const lines = [
      `The classroom as planned, ${calls} calls, one thread:`,
      `fault table: ${faults.result.faults.length} faults, ${faults.steps} rows with all pairs, ${faults.seconds.toFixed(2)} s`,
      `tolerance: ${spread.steps} draws of all calls, ${spread.seconds.toFixed(2)} s`,
      '',
      '| zones | conductors | single faults | table of single faults | a row | 1000 draws |',
      '|---|---|---|---|---|---|'
    ];
    const grown: { zones: number; table: number; row: number; draws: number }[] = [];
    for (const zones of [5, 10, 20, 40]) {
      const zoned = zonedHouse(zones);
      const single = table(zoned, false);
      const some = draws(zoned, 1000);
      lines.push(
        `| ${zones} | ${zoned.wiring.strands.length} | ${single.result.faults.length} | ${single.seconds.toFixed(3)} s | ${((single.seconds / single.steps) * 1e3).toFixed(3)} ms | ${some.seconds.toFixed(2)} s |`
      );
      grown.push({ zones, table: single.seconds, row: single.seconds / single.steps, draws: some.seconds });
    }
    if (options.plot) {
      writeFileSync(options.plot, plotOf(grown));
      lines.push('', `Plot written to ${options.plot}`);
    }
    return lines;
  }
};

function plotOf(grown: readonly { zones: number; table: number; row: number; draws: number }[]): string {
  return growthPlot('How the long runs grow with zones', 'zones (three conductors each)', 'milliseconds', [
    {
      name: 'table of single faults',
      points: grown.map((row) => [row.zones, row.table * 1e3] as const)
    },
    { name: '1000 draws', points: grown.map((row) => [row.zones, row.draws * 1e3] as const) },
    { name: 'one row of the table', points: grown.map((row) => [row.zones, row.row * 1e3] as const) }
  ]);
}
