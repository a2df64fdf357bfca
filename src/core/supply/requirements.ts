/** What several methods ask for before they can be drawn at all. */
import { ref } from '../findings/refs';
import { finding, type Finding } from '../findings/finding';
import { canonicalMark, isHot, marksMean } from '../trade/terminals';
import { landedTerminal, meansAt, type Board, type Strand } from '../wiring/graph';
import { boardWithCommon, commonBoards, feedingBoard, noCommonMark, strandsAt } from './equipment';
import type { SupplySituation, Variant } from './types';

/** The board that feeds the wall, with a common, for a device that takes one; or why not. */
export function commonAtBothPlates({ before, recorded, device }: SupplySituation): Board | Finding {
  if (!marksMean(device.marks, 'C'))
    return finding('stop', 'device-has-no-common', { what: 'none', model: device.model }, [
      ref.device(device.id)
    ]);
  return (
    boardWithCommon({ before, recorded }, device) ?? noCommonMark(feedingBoard(before, device), recorded)
  );
}

/** The machine that a variant names after its `@`, else the first whose common could be landed; or why there is none. */
export function commonAt(situation: SupplySituation, variant: string | null): Board | Finding {
  const named = commonBoards(situation, situation.device).find((board) => variant?.endsWith(`@${board.id}`));
  return named ?? commonAtBothPlates(situation);
}

/** `choices` for each machine whose common could be landed, where there is more than one; unchanged where there is not. */
export function perCommon(situation: SupplySituation, choices: readonly Variant[]): Variant[] {
  const machines = commonBoards(situation, situation.device);
  if (machines.length < 2) return [...choices];
  const base = choices.length > 0 ? choices : [{ id: '', title: '' }];
  return base.flatMap((variant) =>
    machines.map((board) => ({
      id: `${variant.id}@${board.id}`,
      title: [variant.title, `common of ${board.name}`].filter(Boolean).join(', ')
    }))
  );
}

/** The variant without the machine that it may name. */
export function choiceOf(variant: string | null): string | null {
  return variant?.split('@')[0] ?? null;
}

export interface CallPair {
  readonly y: Strand;
  readonly g: Strand;
}

/**
 * What is asked about a wire that is on this mark at the wall and that nobody can explain, or about a hot one, which says which machine feeds the
 * wall: nobody knows then whether the mark's wire is missing.
 */
export function askedOn({ before, riddles }: SupplySituation, mark: string): Finding | null {
  const wanted = canonicalMark(mark);
  const isOn = (strand: Strand) =>
    meansAt(before, landedTerminal(strand.near)).some((meaning) => meaning === wanted || isHot(meaning));
  const strands = new Set(before.strands.filter(isOn).map(({ id }) => id));
  const asked = riddles.find(({ strand, finding }) => strands.has(strand) && finding.level === 'stop');
  return asked?.finding ?? null;
}

/** The conductors on Y and on G at both ends; or the finding that says which is missing. */
export function callPair(situation: SupplySituation, board: Board): CallPair | Finding {
  const { before } = situation;
  const on = (mark: string) =>
    strandsAt(before, board, mark).find((strand) => strand.near.state === 'landed');
  const [y, g] = [on('Y1'), on('G')];
  if (y && g) return { y, g };
  const asked = askedOn(situation, y ? 'G' : 'Y1');
  if (asked) return asked;
  return finding('stop', 'fan-conductor-missing', { what: 'pair', mark: y ? 'G' : 'Y' }, [
    ref.machine(board.id)
  ]);
}

export function isFinding(found: object): found is Finding {
  return 'code' in found;
}
