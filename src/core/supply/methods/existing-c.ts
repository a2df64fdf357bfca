import { ref } from '../../findings/refs';
import { finding, type Finding } from '../../findings/finding';
import { isFree, landed, landedMark, sheetTerminal, type Wiring } from '../../wiring/graph';
import { continuityFindings, strandsAt } from '../equipment';
import { commonAt, isFinding, perCommon } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method, type SupplySituation } from '../types';

/** A conductor that is on C at the equipment already, and on C or free at the wall. */
export const existingC: Method = {
  id: 'existing-c',
  title: 'Use the common that is there',
  how: 'A wire is on C at the equipment already: land it on C at the new thermostat.',
  standing: 'exists',
  variants(situation) {
    const choices = perCommon(situation, []).filter((variant) => {
      const board = commonAt(situation, variant.id);
      return !isFinding(board) && strandsAt(situation.before, board, 'C').length > 0;
    });
    return choices.length < 2 ? [] : choices;
  },
  offer(situation, variant) {
    const { before, recorded, device } = situation;
    const board = commonAt(situation, variant);
    if (isFinding(board))
      return refused(...(board.code === 'board-mark-missing' ? withoutBoard(situation, board) : [board]));
    const candidates = strandsAt(before, board, 'C');
    const strand =
      candidates.find((candidate) => candidate.near.state === 'landed') ??
      candidates.find((candidate) => isFree(candidate.near));
    if (!strand) {
      const reasons = oneEnded(situation);
      return refused(
        ...(reasons.length > 0
          ? reasons
          : [finding('stop', 'no-common-found', { what: 'cable' }, [ref.machine(board.id)])])
      );
    }
    const { wiring, findings } = swapThermostat(situation, board);
    const near = landed(sheetTerminal(device, 'C'));
    const wasFree = isFree(strand.near);
    return {
      after: {
        ...wiring,
        strands: wiring.strands.map((candidate) =>
          candidate.id === strand.id ? { ...candidate, near } : candidate
        )
      },
      findings: [
        ...findings,
        ...(wasFree ? continuityFindings(strand) : []),
        ...commonNotRead(recorded, strand.id)
      ],
      loses: [],
      parts: [],
      extraMinutes: 0
    };
  }
};

/** A C at the wall whose other end is known to be on nothing. */
function oneEnded({ recorded }: SupplySituation): Finding[] {
  return recorded.strands.flatMap((strand) =>
    landedMark(recorded, strand.near) === 'C' && isFree(strand.far)
      ? [
          finding('stop', 'common-one-ended', { what: 'carries-none', conductor: strand.name }, [
            ref.conductor(strand.id)
          ])
        ]
      : []
  );
}

/** Where no machine has a C yet: to read the other end of a wire that is on C at the wall finds one; else what is known of it. */
function withoutBoard(situation: SupplySituation, missing: Finding): Finding[] {
  const { recorded } = situation;
  const unread = recorded.strands
    .filter((strand) => landedMark(recorded, strand.near) === 'C')
    .flatMap(({ id }) => commonNotRead(recorded, id));
  return unread.length > 0 ? unread : [...oneEnded(situation), missing];
}

/** A wire that is to be the common, and whose other end nobody has seen. */
export function commonNotRead(recorded: Wiring, id: string): Finding[] {
  const strand = recorded.strands.find((candidate) => candidate.id === id);
  return strand?.far.state === 'unseen'
    ? [finding('stop', 'end-not-read', { what: 'on-c', conductor: strand.name }, [ref.conductor(strand.id)])]
    : [];
}
