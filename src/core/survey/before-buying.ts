/** The verdict before anything is bought: now, now but on another day, something first, or not at all; with every reason. */
import { stopFindings } from '../safety/standing';
import { sortFindings, type Finding } from '../findings/finding';
import type { HouseStudy } from './house-study';
import { REASONS } from './reasons/registry';
import type { Asks, SurveySituation } from './types';
import type { BuyingVerdict } from './verdicts';

export interface BeforeBuying {
  readonly verdict: BuyingVerdict;
  /** `MM-DD` of the first day that suits; null where no waiting is asked or no day of the year does. */
  readonly until: string | null;
  /** What decides it; null where nothing asks for anything. */
  readonly because: Finding | null;
  readonly findings: readonly Finding[];
  readonly study: HouseStudy;
}

const verdictFor: Readonly<Record<Asks, BuyingVerdict>> = {
  leave: 'do-not-buy',
  prepare: 'prepare-first',
  wait: 'buy-and-wait',
  nothing: 'buy-now'
};
const weightiest: readonly Asks[] = ['leave', 'prepare', 'wait', 'nothing'];

export function beforeBuying(situation: SurveySituation): BeforeBuying {
  const { thermostat, study } = situation;
  const results = REASONS.map((reason) => reason.weigh(situation));
  const stops = stopFindings(thermostat);
  const asks =
    stops.length > 0
      ? 'leave'
      : (weightiest.find((candidate) => results.some((result) => result.asks === candidate)) ?? 'nothing');
  const days = results.flatMap((result) => (result.asks === 'wait' && result.until ? [result.until] : []));
  const decisive = asks === 'nothing' ? [] : results.filter((result) => result.asks === asks);
  return {
    verdict: verdictFor[asks],
    because: stops[0] ?? decisive.flatMap(({ findings }) => findings)[0] ?? null,
    until: asks === 'wait' ? (days.sort().at(-1) ?? null) : null,
    findings: sortFindings([...stops, ...results.flatMap((result) => result.findings), ...study.findings]),
    study
  };
}
