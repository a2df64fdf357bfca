/**
 * An adapter of the old thermostat that stands in line at the equipment. It belongs to that thermostat, so every way begins without it: its
 * conductors go back to the board's own terminals, and a house whose Y and G shared one conductor is again what it was before.
 */
import { finding, type Finding } from '../trade/findings';
import {
  boards,
  hasMark,
  landedTerminal,
  splitTerminal,
  terminalId,
  wallThermostat,
  type Adapter,
  type Board,
  type Landing,
  type Strand,
  type Wiring
} from '../wiring/graph';

export interface WithoutAdapter {
  readonly wiring: Wiring;
  readonly findings: readonly Finding[];
}

export function withoutOldAdapter(wiring: Wiring): WithoutAdapter {
  const adapters = wiring.devices.filter((one): one is Adapter => one.kind === 'adapter');
  return adapters.reduce<WithoutAdapter>(
    (so, adapter) => ({
      wiring: takeOut(so.wiring, adapter),
      findings: [
        ...so.findings,
        finding(
          'warn',
          'old-adapter-in-line',
          `The ${adapter.name} sits between the conductors and the board. It belongs to the old thermostat and comes out; its conductors go to the board’s own terminals. Only the new thermostat’s own sheet can say that it may stay.`,
          [adapter.id]
        )
      ]
    }),
    { wiring, findings: [] }
  );
}

function takeOut(wiring: Wiring, adapter: Adapter): Wiring {
  const board = boards(wiring).find((one) =>
    wiring.links.some((link) => touches(link, adapter.id) && touches(link, one.id))
  );
  const shared = wiring.strands.find((one) => landedTerminal(one.equipment) === terminalId(adapter.id, 'K'));
  const freed = shared && board ? commonOf(wiring, adapter, board) : undefined;
  return {
    ...wiring,
    devices: wiring.devices.filter((one) => one.id !== adapter.id),
    links: wiring.links.filter((link) => !touches(link, adapter.id)),
    strands: wiring.strands.map((strand) => {
      if (strand.id === freed?.id && board) return onCall(wiring, strand, board, 'G');
      if (strand.id === shared?.id && board) return onCall(wiring, strand, board, 'Y');
      return { ...strand, equipment: behind(wiring, adapter, strand.equipment) };
    })
  };
}

function touches(link: { readonly a: string; readonly b: string }, device: string): boolean {
  return [link.a, link.b].some((one) => splitTerminal(one).device === device);
}

/** The conductor that became the common when Y and G were put on one. */
function commonOf(wiring: Wiring, adapter: Adapter, board: Board): Strand | undefined {
  return wiring.strands.find(
    (one) =>
      one.wall.state === 'landed' &&
      [terminalId(board.id, 'C'), terminalId(adapter.id, 'C')].includes(landedTerminal(one.equipment) ?? '')
  );
}

/** On its own call again, at both ends. */
function onCall(wiring: Wiring, strand: Strand, board: Board, mark: 'Y' | 'G'): Strand {
  const wall = wallThermostat(wiring);
  return {
    ...strand,
    wall: { state: 'landed', terminal: terminalId(wall.id, mark) },
    equipment: hasMark(board, mark)
      ? { state: 'landed', terminal: terminalId(board.id, mark) }
      : { state: 'coiled' }
  };
}

/** The board's terminal that the adapter's is joined to; loose where it leads nowhere. */
function behind(wiring: Wiring, adapter: Adapter, landing: Landing): Landing {
  const terminal = landedTerminal(landing);
  if (terminal === null || splitTerminal(terminal).device !== adapter.id) return landing;
  const piece = wiring.links.find((link) => link.a === terminal || link.b === terminal);
  if (!piece) return { state: 'loose' };
  return { state: 'landed', terminal: piece.a === terminal ? piece.b : piece.a };
}
