/** The repairs that a house needs, one after the other: each is kept where the solved circuit shows that it puts something right. */
import type { Finding } from '../../findings/finding';
import { isBetter, wrongsOf, type Wrongs } from '../../proof/today';
import type { RepairId } from '../../trade/vocabulary';
import type { Wiring } from '../../wiring/graph';
import { REPAIRS } from './registry';
import type { RepairSituation } from './types';

export interface Mended {
  readonly wiring: Wiring;
  readonly repairs: readonly RepairId[];
  readonly findings: readonly Finding[];
}

/** `today`: what is wrong with the wiring of the situation; where nothing is, nothing is mended. */
export function mended(situation: RepairSituation, today: readonly Wrongs[]): Mended {
  let { wiring } = situation;
  let wrongs = today;
  const repairs: RepairId[] = [];
  const findings: Finding[] = [];
  const anythingWrong = () => wrongs.some((one) => one.harms.length + one.dead.length > 0);
  for (const repair of REPAIRS) {
    if (!anythingWrong()) break;
    for (const offer of repair.find({ ...situation, wiring })) {
      const now = wrongsOf(offer.after, situation.worlds, situation.wiring);
      if (!isBetter(wrongs, now)) continue;
      ({ after: wiring } = offer);
      wrongs = now;
      repairs.push(repair.id);
      findings.push(...offer.findings);
      break;
    }
  }
  return { wiring, repairs, findings };
}
