/** All that the pages of mains controls show, as plain data: it is worked out in a thread and crosses as it is. */
import { diagnoseMains, type MainsDiagnosis } from '../../diagnose/mains/diagnose';
import { isCompetent } from '../../job/mains-edits';
import type { MainsControls } from '../../job/mains-schema';
import { mainsMoves } from '../../plan/mains/moves';
import type { Move } from '../../plan/move-types';
import { planMains, type MainsPlan } from '../../plan/mains/plan';
import { settingsFor, type MainsSetting } from './settings';
import { testsFor, type MainsTestRow } from './tests';

export interface MainsView {
  readonly plan: MainsPlan;
  readonly settings: readonly MainsSetting[];
  readonly tests: readonly MainsTestRow[];
  readonly diagnosis: MainsDiagnosis;
  /** The way back from now to what was found. */
  readonly back: readonly Move[];
}

export function mainsView(mains: MainsControls): MainsView {
  const plan = planMains(mains);
  const { now, found, inputs, taken, controller, identification } = plan;
  const after = taken?.after ?? now.wiring;
  return {
    plan,
    settings: controller === null ? [] : settingsFor(after, identification.layout, controller, mains),
    tests: testsFor(after, inputs, mains.tests),
    diagnosis: diagnoseMains({
      wiring: now.wiring,
      inputs,
      seen: mains.seen,
      touched: new Set(now.done.map(({ act }) => act.what)),
      competent: isCompetent(mains)
    }),
    back: now.done.some(({ change }) => change !== null) ? mainsMoves(now.wiring, found, []) : []
  };
}
