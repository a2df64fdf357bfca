/** What a plan says to somebody who has not bought yet. */
import { factKey, isStop, type Finding, type FindingCode } from '../findings/finding';
import type { Match } from '../match/matched';
import type { SupplyOutlook } from '../survey/types';
import { isFeedable, isTooMuchTogether } from './outlook';
import type { Plan } from './plan';

/** Said of the system already. */
const OF_THE_SYSTEM: ReadonlySet<FindingCode> = new Set<FindingCode>([
  'system-unknown',
  'system-unsettled',
  'voltage-class-unsettled'
]);

/** `chosen`: how the chosen thermostat fits; null where none is. `open`: what nobody has read of the place. */
export function supplyOutlook(plan: Plan, chosen: Match | null, open: readonly Finding[]): SupplyOutlook {
  const { options, today, undecided, waiting } = plan;
  const questions = undecided ? waiting.map(({ question }) => question) : [];
  const asked = new Map(
    [...questions, ...open].filter(({ code }) => !OF_THE_SYSTEM.has(code)).map((it) => [factKey(it), it])
  );
  return {
    harms: today.filter(isStop),
    feedable: isFeedable(options),
    tooMuchTogether: isTooMuchTogether(options),
    hangsOnDevice: options.some(({ closing }) => closing?.what === 'device'),
    open: [...asked.values()],
    unfit: chosen?.findings.filter(isStop) ?? []
  };
}
