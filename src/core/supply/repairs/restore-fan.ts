/** An earlier owner gave the fan wire away; with a new cable there is one for it again, and the link between Y and G comes out. */
import { finding, type Finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import { screwThat, type Board, type Wiring } from '../../wiring/graph';
import { isTaken } from './land-loose-end';
import { yGLink } from './y-g-link';

export interface FanRestored {
  /** Without the link. */
  readonly wiring: Wiring;
  /** The machine's screw that the fan wire goes to again. */
  readonly fan: string;
  readonly finding: Finding;
}

/** Null where the fan was not given away. */
export function fanGivenAway(wiring: Wiring, board: Board): FanRestored | null {
  const link = yGLink(wiring, board);
  const fan = screwThat(board, 'G');
  if (!link || !fan || isTaken(wiring, fan.id)) return null;
  return {
    wiring: { ...wiring, links: wiring.links.filter((candidate) => candidate.id !== link.id) },
    fan: fan.id,
    finding: finding('note', 'repair', { what: 'restore-fan', machine: board.name }, [ref.link(link.id)])
  };
}
