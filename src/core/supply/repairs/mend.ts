/** The repairs that a house needs, one after the other: each is kept where the solved circuit shows that it puts something right. */
import type { Finding } from '../../findings/finding';
import { isBetter, isNoWorse, wrongsOf, type Wrongs } from '../../proof/today';
import type { RepairId } from '../../trade/vocabulary';
import type { Wiring } from '../../wiring/graph';
import { REPAIRS } from './registry';
import type { RepairOffer, RepairSituation } from './types';

export interface Mended {
  readonly wiring: Wiring;
  readonly repairs: readonly RepairId[];
  readonly findings: readonly Finding[];
}

interface Step {
  readonly id: RepairId;
  readonly always: boolean;
  readonly offer: RepairOffer;
}

/** A repair that puts something right by itself, else two that do so only together: a loose end landed and the jumper out that hid it. */
function firstBetter(
  situation: RepairSituation,
  wrongs: readonly Wrongs[],
  judged: (after: Wiring) => readonly Wrongs[]
): { readonly steps: readonly Step[]; readonly now: readonly Wrongs[] } | null {
  const steps = stepsIn(situation);
  for (const step of steps) {
    const now = judged(step.offer.after);
    if (isBetter(wrongs, now) || (step.always && isNoWorse(wrongs, now))) return { steps: [step], now };
  }
  for (const step of steps)
    for (const second of stepsIn({ ...situation, wiring: step.offer.after })) {
      const now = judged(second.offer.after);
      if (isBetter(wrongs, now)) return { steps: [step, second], now };
    }
  return null;
}

/** Each repair tried is a house solved anew, and each pair one more; a house with more to put right than this is for a technician. */
const MOST_STEPS = 12;

function stepsIn(situation: RepairSituation): Step[] {
  return REPAIRS.flatMap((repair) =>
    repair.find(situation).map((offer) => ({ id: repair.id, always: repair.always === true, offer }))
  ).slice(0, MOST_STEPS);
}

/** `today`: what is wrong with the wiring of the situation, in every world that could be judged; where none could, nothing is mended. */
export function mended(situation: RepairSituation, today: readonly Wrongs[]): Mended {
  if (today.length === 0) return { wiring: situation.wiring, repairs: [], findings: [] };
  let { wiring } = situation;
  let wrongs = today;
  const repairs: RepairId[] = [];
  const findings: Finding[] = [];
  const anythingWrong = () =>
    wrongs.some((wrong) => wrong.harms.length + wrong.dead.length > 0) ||
    stepsIn({ ...situation, wiring }).some((step) => step.always);
  const judged = (after: Wiring) => wrongsOf(after, situation.worlds, situation.wiring);
  const make = (made: readonly Step[], now: readonly Wrongs[]) => {
    for (const { id, offer } of made) {
      repairs.push(id);
      findings.push(...offer.findings);
      ({ after: wiring } = offer);
    }
    wrongs = now;
  };
  for (let round = 0; round < MOST_STEPS && anythingWrong(); round += 1) {
    const better = firstBetter({ ...situation, wiring }, wrongs, judged);
    if (!better) break;
    make(better.steps, better.now);
  }
  return { wiring, repairs, findings };
}
