import { ref } from '../../findings/refs';
import { worldsOf } from '../../identify/worlds';
import { finding } from '../../findings/finding';
import { firstWarmDay } from '../house-study';
import { FINE, type Reason } from '../types';

/** Below this a compressor is not started to cool. °C outdoors. */
export const COOLING_TEST_LEAST_C = 16;

/** Cooling is not tested in frost: the test is put off to a day, and stays on the list. */
export const coolingTest: Reason = {
  id: 'cooling-test',
  weigh({ job, identification, wiring, study }) {
    if (!worldsOf(identification, wiring).some((world) => world.world.compressor)) return FINE;
    if (study.workDay === null) return FINE;
    const warmest = Math.max(...study.workDay.outdoorC.slice(0, 12));
    if (warmest >= COOLING_TEST_LEAST_C) return FINE;
    const day = firstWarmDay(study, job.survey, COOLING_TEST_LEAST_C);
    const fact = { warmestC: warmest, leastC: COOLING_TEST_LEAST_C, day };
    return {
      asks: 'nothing',
      findings: [finding('note', 'cooling-test-put-off', fact, [ref.survey('workDay')])]
    };
  }
};
