/**
 * Several thermostats on the same machines as one graph, so that what they draw together is solved and not added up. Each keeps its own
 * conductors; a machine that more than one is wired to is there once, with its one transformer and the screws of all.
 */
import { boards, terminalAt, type Board, type Device, type Landing, type Wiring } from './graph';

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
  return boards(a).filter((board) => boards(b).some((other) => other.id === board.id));
}

/** What a part of a neighbour is called in the joint graph. */
export function jointName(thermostat: string, id: string): string {
  return `${thermostat}/${id}`;
}

function join(joint: Wiring, neighbour: Neighbour): Wiring {
  const shared = new Set(sharedBoards(joint, neighbour.wiring).map((board) => board.id));
  if (shared.size === 0) return joint;
  const { wiring, thermostat } = neighbour;
  const name = (id: string) => jointName(thermostat, id);
  const terminal = (id: string) => (shared.has(terminalAt(wiring, id)?.device.id ?? '') ? id : name(id));
  const landing = (landing: Landing): Landing =>
    landing.state === 'landed' ? { ...landing, terminal: terminal(landing.terminal) } : landing;
  const renamed = (device: Device): Device => ({
    ...device,
    id: name(device.id),
    screws: device.screws.map((screw) => ({ ...screw, id: name(screw.id) }))
  });
  const known = new Set(joint.places.map((place) => place.id));
  return {
    ...joint,
    places: [...joint.places, ...wiring.places.filter((place) => !known.has(place.id))],
    devices: [
      ...joint.devices.map((device) => grown(device, wiring)),
      ...wiring.devices.filter((device) => !shared.has(device.id)).map(renamed)
    ],
    strands: [
      ...joint.strands,
      ...wiring.strands.map((strand) => ({
        ...strand,
        id: name(strand.id),
        cable: name(strand.cable),
        near: landing(strand.near),
        far: landing(strand.far)
      }))
    ],
    cables: [...joint.cables, ...wiring.cables.map((cable) => ({ ...cable, id: name(cable.id) }))],
    links: [
      ...joint.links,
      ...wiring.links.map((link) => ({
        ...link,
        id: name(link.id),
        a: terminal(link.a),
        b: terminal(link.b)
      }))
    ]
  };
}

/** A shared machine with the screws that the neighbour found on it as well, such as its own on a panel of zones. */
function grown(device: Device, neighbour: Wiring): Device {
  if (device.kind !== 'board') return device;
  const other = boards(neighbour).find((board) => board.id === device.id);
  const more = (other?.screws ?? []).filter((screw) => !device.screws.some((own) => own.id === screw.id));
  return more.length === 0 ? device : { ...device, screws: [...device.screws, ...more] };
}
