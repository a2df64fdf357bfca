import { ref } from '../../findings/refs';
import { finding, type Finding } from '../../findings/finding';
import {
  landed,
  landedTerminal,
  printedMark,
  screwThat,
  sheetTerminal,
  terminalId,
  type Strand,
  type WireLink
} from '../../wiring/graph';
import { strandsAt } from '../equipment';
import { askedOn, commonAtBothPlates, isFinding } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method, type SupplySituation } from '../types';

/** The conductor of the blower becomes the common; a link at the board lets a cooling call start the blower. */
export const repurposeG: Method = {
  id: 'repurpose-g',
  title: 'Use the fan wire as the C wire',
  how: 'The wire on G moves to C at both ends, and a jumper joins Y to G at the equipment so that the blower runs in cooling.',
  standing: 'given-up',
  offer(situation) {
    const { before, device } = situation;
    const board = commonAtBothPlates(situation);
    if (isFinding(board)) return refused(board);
    const strand = strandsAt(before, board, 'G').find((candidate) => candidate.near.state === 'landed');
    if (!strand) {
      const missing = finding('stop', 'fan-conductor-missing', { what: 'none' }, [ref.machine(board.id)]);
      return refused(askedOn(situation, 'G') ?? missing);
    }
    const { wiring, findings } = swapThermostat(situation);
    const moved: Strand = {
      ...strand,
      near: landed(sheetTerminal(device, 'C')),
      far: landed(screwThat(board, 'C')?.id ?? '')
    };
    const cooling = strandsAt(before, board, 'Y1').some((candidate) => candidate.near.state === 'landed');
    const link: WireLink = {
      id: 'ln-y-g',
      at: board.at,
      a: screwThat(board, 'Y1')?.id ?? terminalId(board.id, 'Y1'),
      b: screwThat(board, 'G')?.id ?? terminalId(board.id, 'G'),
      kind: 'wire'
    };
    return {
      after: {
        ...wiring,
        strands: wiring.strands.map((candidate) => (candidate.id === strand.id ? moved : candidate)),
        links: cooling ? [...wiring.links, link] : wiring.links
      },
      findings: [...findings, ...rules(situation, strand)],
      loses: [],
      parts: cooling
        ? [
            {
              id: 'link-wire',
              name: 'Piece of 18 AWG solid wire for the jumper',
              quantity: 1,
              unit: 'piece',
              cost: 1
            }
          ]
        : [],
      extraMinutes: 0
    };
  }
};

/** What no circuit knows: what the trade allows this on, and what the code may say. */
function rules({ worlds, recorded }: SupplySituation, strand: Strand): Finding[] {
  const because = [ref.conductor(strand.id)];
  const found: Finding[] = [finding('note', 'local-code', {}, because)];
  // Strips may hang at such a board that no conductor shows: their air is nothing that a circuit could vouch for.
  const withStrips = new Set(['electric-furnace', 'heat-pump', 'dual-fuel']);
  const banned = [
    ...new Set(worlds.map((world) => world.world.family).filter((family) => withStrips.has(family)))
  ];
  for (const family of banned) {
    const fact = { family, sure: worlds.length === 1 };
    found.push(finding('stop', 'not-for-this-family', fact, because));
  }
  const unread = recorded.strands.find(
    (candidate) => candidate.id === strand.id && landedTerminal(candidate.far) === null
  );
  if (unread && unread.far.state === 'unseen') {
    const mark = printedMark(recorded, landedTerminal(unread.near) ?? '');
    const fact = { what: 'on-mark', conductor: unread.name, mark } as const;
    found.push(finding('stop', 'end-not-read', fact, because));
  }
  return found;
}
