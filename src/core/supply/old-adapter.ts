/**
 * An adapter of the old thermostat that stands in line at the equipment. It belongs to that thermostat, so every way begins without it: its
 * conductors go back to the board's own terminals, and a house whose Y and G shared one conductor is again what it was before.
 */
import { ref } from '../findings/refs';
import { finding, type Finding } from '../findings/finding';
import {
  boards,
  deviceAtEnd,
  deviceOf,
  landed,
  landedMark,
  landedTerminal,
  screwThat,
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
  const adapters = wiring.devices.filter((device): device is Adapter => device.kind === 'adapter');
  return adapters.reduce<WithoutAdapter>(
    (so, adapter) => ({
      wiring: takeOut(so.wiring, adapter),
      findings: [
        ...so.findings,
        finding('warn', 'old-adapter-in-line', { name: adapter.name }, [ref.machine(adapter.id)])
      ]
    }),
    { wiring, findings: [] }
  );
}

function takeOut(wiring: Wiring, adapter: Adapter): Wiring {
  const board = boards(wiring).find((candidate) =>
    wiring.links.some((link) => touches(wiring, link, adapter.id) && touches(wiring, link, candidate.id))
  );
  const combined = screwThat(adapter, 'K')?.id;
  const shared = wiring.strands.find(
    (strand) => combined !== undefined && landedTerminal(strand.far) === combined
  );
  const freed = shared && board ? commonOf(wiring, adapter, board) : undefined;
  return {
    ...wiring,
    devices: wiring.devices.filter((device) => device.id !== adapter.id),
    links: wiring.links.filter((link) => !touches(wiring, link, adapter.id)),
    strands: wiring.strands.map((strand) => {
      if (strand.id === freed?.id && board) return onCall(wiring, strand, board, 'G');
      if (strand.id === shared?.id && board) return onCall(wiring, strand, board, 'Y');
      return { ...strand, far: behind(wiring, adapter, strand.far) };
    })
  };
}

function touches(wiring: Wiring, link: { readonly a: string; readonly b: string }, device: string): boolean {
  return [link.a, link.b].some((candidate) => deviceOf(wiring, candidate)?.id === device);
}

/** The conductor that became the common when Y and G were put on one. */
function commonOf(wiring: Wiring, adapter: Adapter, board: Board): Strand | undefined {
  return wiring.strands.find(
    (strand) =>
      strand.near.state === 'landed' &&
      landedMark(wiring, strand.far) === 'C' &&
      [board.id, adapter.id].includes(deviceAtEnd(wiring, strand.far)?.id ?? '')
  );
}

/** On its own call again, at both ends. */
function onCall(wiring: Wiring, strand: Strand, board: Board, mark: 'Y' | 'G'): Strand {
  const [wall, far] = [screwThat(wallThermostat(wiring), mark), screwThat(board, mark)];
  return {
    ...strand,
    // A plate without that terminal: what counts is that the conductor carries the call, and what it is at the machine.
    near: landed(wall?.id ?? `${wallThermostat(wiring).id}.${mark}`),
    far: far ? landed(far.id) : { state: 'coiled' }
  };
}

/** The board's terminal that the adapter's is joined to; loose where it leads nowhere. */
function behind(wiring: Wiring, adapter: Adapter, landing: Landing): Landing {
  const terminal = landedTerminal(landing);
  if (terminal === null || deviceOf(wiring, terminal)?.id !== adapter.id) return landing;
  const piece = wiring.links.find((link) => link.a === terminal || link.b === terminal);
  if (!piece) return { state: 'loose' };
  return landed(piece.a === terminal ? piece.b : piece.a);
}
