/**
 * Several thermostats on the same machines as one graph, so that what they draw together is solved and not added up. Each keeps its own
 * conductors; a machine that more than one is wired to is there once, with its one transformer.
 */
import { ZONE_MARK } from '../trade/terminals';
import {
  boards,
  hasMark,
  splitTerminal,
  terminalId,
  type Board,
  type Device,
  type Landing,
  type Wiring
} from './graph';

export interface Neighbour {
  /** Id of the thermostat's place; it keeps the names of its parts apart from those of the others. */
  readonly thermostat: string;
  readonly wiring: Wiring;
}

/** `wiring` with everything of its neighbours that hangs on the same machines. Neighbours that share none change nothing. */
export function jointWiring(wiring: Wiring, neighbours: readonly Neighbour[]): Wiring {
  return neighbours.reduce(join, wiring);
}

/** Machines that both wirings hold. */
export function sharedBoards(a: Wiring, b: Wiring): Board[] {
  return boards(a).filter((one) => boards(b).some((other) => other.id === one.id));
}

function join(joint: Wiring, neighbour: Neighbour): Wiring {
  const shared = sharedBoards(joint, neighbour.wiring);
  if (shared.length === 0) return joint;
  const move = new Renaming(joint, neighbour, shared);
  const { wiring } = neighbour;
  return {
    ...joint,
    devices: [
      ...joint.devices.map((one) => move.grown(one)),
      ...wiring.devices
        .filter((one) => !shared.some((board) => board.id === one.id))
        .map((one) => move.device(one))
    ],
    strands: [
      ...joint.strands,
      ...wiring.strands.map((one) => ({
        ...one,
        id: move.id(one.id),
        cable: move.id(one.cable),
        wall: move.landing(one.wall),
        equipment: move.landing(one.equipment)
      }))
    ],
    cables: [...joint.cables, ...wiring.cables.map((one) => ({ ...one, id: move.id(one.id) }))],
    links: [
      ...joint.links,
      ...wiring.links.map((one) => ({
        ...one,
        id: move.id(one.id),
        a: move.terminal(one.a),
        b: move.terminal(one.b)
      }))
    ]
  };
}

const CALLS_OF_A_ZONE = ['W1', 'T2', 'TT'];

/** New names for the parts of a neighbour, and places of its own on a panel of zones. */
class Renaming {
  private readonly zones = new Map<string, string>();

  constructor(
    private readonly joint: Wiring,
    private readonly neighbour: Neighbour,
    private readonly shared: readonly Board[]
  ) {
    for (const board of shared) this.placeZones(board);
  }

  /**
   * A panel has a call terminal for each zone, and people write them all down as W: a neighbour's is another screw than one's own. On any
   * other machine the same mark is the same screw.
   */
  private placeZones(board: Board): void {
    if (board.machine !== 'zone-panel' && board.machine !== 'zone-pump-panel') return;
    const taken = new Set(
      this.joint.strands.flatMap((one) => (one.equipment.state === 'landed' ? [one.equipment.terminal] : []))
    );
    for (const strand of this.neighbour.wiring.strands) {
      if (strand.equipment.state !== 'landed') continue;
      const { terminal } = strand.equipment;
      const { device, mark } = splitTerminal(terminal);
      const calls = CALLS_OF_A_ZONE.includes(mark) || ZONE_MARK.test(mark);
      if (device !== board.id || !calls || !taken.has(terminal) || this.zones.has(terminal)) continue;
      let number = 1;
      while (
        hasMark(board, `Z${number}`) ||
        [...this.zones.values()].includes(terminalId(board.id, `Z${number}`))
      )
        number += 1;
      this.zones.set(terminal, terminalId(board.id, `Z${number}`));
    }
  }

  id(id: string): string {
    return `${this.neighbour.thermostat}/${id}`;
  }

  terminal(terminal: string): string {
    const zone = this.zones.get(terminal);
    if (zone !== undefined) return zone;
    const { device, mark } = splitTerminal(terminal);
    return this.shared.some((one) => one.id === device) ? terminal : terminalId(this.id(device), mark);
  }

  landing(landing: Landing): Landing {
    return landing.state === 'landed' ? { ...landing, terminal: this.terminal(landing.terminal) } : landing;
  }

  device(device: Device): Device {
    return { ...device, id: this.id(device.id) };
  }

  /** A shared machine with the marks that the neighbour found on it as well. */
  grown(device: Device): Device {
    if (device.kind !== 'board' || !this.shared.some((one) => one.id === device.id)) return device;
    const other = boards(this.neighbour.wiring).find((one) => one.id === device.id);
    const zones = [...this.zones.values()]
      .map((one) => splitTerminal(one))
      .filter((one) => one.device === device.id);
    const more = [...(other?.marks ?? []), ...zones.map((one) => one.mark)];
    return {
      ...device,
      marks: [...device.marks, ...more.filter((mark) => !hasMark(device, mark))]
    };
  }
}
