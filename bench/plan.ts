/** A whole plan: every method with its variants, proven in every call, case and believable world, ranked, with its moves. */
import { planFor } from '$core/plan/plan';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import type { Part } from './main';
import { secondsPer } from './measure';

export const planBench: Part = {
  name: 'plan',
  run: () => [
    '| thermostat | options | solved | a plan |',
    '|---|---|---|---|',
    ...SCHOOLHOUSE.thermostats.map((thermostat) => {
      const plan = planFor(SCHOOLHOUSE, thermostat);
      const solves = plan.options.reduce((sum, one) => sum + (one.proof?.solves ?? 0), 0);
      const time = secondsPer(20, () => void planFor(SCHOOLHOUSE, thermostat), 3);
      return `| ${thermostat.name} | ${plan.options.length} | ${solves} | ${(time * 1e3).toFixed(1)} ms |`;
    })
  ]
};
