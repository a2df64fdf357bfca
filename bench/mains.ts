/** Mains heating controls: how long everything takes that their pages show, by the number of states that a house has. */
import { mainsView } from '$core/handover/mains/view';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '$core/houses/mains-houses';
import { planMains } from '$core/plan/mains/plan';
import { rowsOf } from '$core/proof/mains/rows';
import { secondsPer } from './measure';
import type { Part } from './part';

const TIMES = 5;

export const mainsBench: Part = {
  name: 'mains',
  run: () =>
    (Object.keys(MAINS_SKETCHES) as MainsHouse[]).map((name) => {
      const rows = rowsOf(planMains(mainsHouse(name)).inputs).length;
      // A record of its own each time: nothing that was worked out before is of use.
      const plan = secondsPer(TIMES, () => void planMains(mainsHouse(name)));
      const view = secondsPer(TIMES, () => void mainsView(mainsHouse(name)));
      const ms = (seconds: number) => `${(seconds * 1000).toFixed(0)} ms`;
      return `${name}: ${rows} states, plan ${ms(plan)}, all that its pages show ${ms(view)} (${(view / plan).toFixed(1)} plans)`;
    })
};
