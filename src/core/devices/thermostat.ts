/** A thermostat: contacts between its hot rails and its call terminals, and electronics that want to be fed. */
import { CONTACT_OHMS, DIODE, NOMINAL_VOLTS, USUAL_WINDOW } from '../trade/loads';
import { REQUESTS, type Request } from '../trade/vocabulary';
import {
  marksOf,
  screwThat,
  type Device,
  type NewThermostat,
  type OldThermostat,
  type TerminalId
} from '../wiring/graph';
import { rolesCalled } from './calls';
import type { CallContact, Diode, FedDevice, Fragment, Resistor } from './elements';
import { markForRole, type Role } from './roles';
import type { MachineWorld } from './world';

const heatRoles: ReadonlySet<Role> = new Set([
  'heat1',
  'heat2',
  'aux',
  'emergency',
  'humidify',
  'dehumidify',
  'ventilate'
]);
const heatRails = ['RH', 'R', 'RC', 'T1', 'T'];
const coolRails = ['RC', 'R', 'RH', 'T1', 'T'];

/** What an old thermostat that is fed through its C wire draws: a display and a relay or two. */
const OLD_ELECTRONICS_VA = 2;

/** What switches: a thermostat on the wall, or a receiver at the equipment. */
export interface Body extends Pick<Device, 'id' | 'screws'> {
  /** The control whose calls it makes. */
  readonly control: string;
}

/** The rail that a role is switched from, as a mark: W from the heating side, Y and G from the cooling side. */
export function railFor(role: Role, marks: readonly string[]): string | null {
  return (heatRoles.has(role) ? heatRails : coolRails).find((mark) => marks.includes(mark)) ?? null;
}

/** What decides which contacts a thermostat closes. */
export interface Switching {
  readonly world: MachineWorld;
  /** Terminals that a conductor or a link is on. */
  readonly used: ReadonlySet<TerminalId>;
}

/** The terminal of a body that stands for a mark; one that it does not have is a point that nothing is joined to. */
function at({ id, screws }: Pick<Body, 'id' | 'screws'>, mark: string): TerminalId {
  return screwThat({ screws }, mark)?.id ?? `${id}.${mark}`;
}

export function newThermostat(device: NewThermostat, state: Switching): Fragment {
  const { facts } = device;
  const joined = facts.rails === 'joined-inside' ? joinedRails(device) : [];
  const switching = [...joined, ...contactsOf(device, state)];
  const low = lowSide(device, state);
  if (low === null) return { elements: switching, loads: [] };
  const electronics = electronicsOf(device, at(device, facts.electronicsFrom), low, facts.drawVa);
  return {
    elements: [...switching, electronics],
    loads: [],
    fed: { device: device.id, element: electronics.id, min: facts.voltsMin, max: facts.voltsMax }
  };
}

/**
 * Where the electronics find their other side: on C; or, for one that charges itself and has no conductor on C, on the first call terminal
 * in use, so that its current trickles through the idle coil there; or nowhere, with batteries.
 */
function lowSide(device: NewThermostat, { used }: Switching): TerminalId | null {
  if (device.facts.supply === 'battery') return null;
  const common = screwThat(device, 'C')?.id ?? null;
  if (device.facts.supply !== 'self-charging') return common;
  if (common !== null && used.has(common)) return common;
  const calls = device.screws.filter((screw) => ['W1', 'Y1', 'G'].includes(screw.means[0] ?? ''));
  return calls.find((call) => used.has(call.id))?.id ?? common;
}

export function oldThermostat(device: OldThermostat, state: Switching): Fragment {
  const body = { ...device, control: device.id };
  const contacts = contactsOf(body, state);
  const marks = marksOf(device);
  const hot = railFor('fan', marks);
  const common = screwThat(device, 'C');
  if (device.supply !== 'common' || hot === null || !common) return { elements: contacts, loads: [] };
  const electronics = electronicsOf(body, at(body, hot), common.id, OLD_ELECTRONICS_VA);
  const fed: FedDevice = { device: device.id, element: electronics.id, ...USUAL_WINDOW };
  return { elements: [...contacts, electronics], loads: [], fed };
}

/** One contact for each output, with the requests that close it. */
export function contactsOf(body: Body, state: Switching): (CallContact | Diode)[] {
  const contacts = new Map<string, { a: string; output: Output; requests: Request[] }>();
  const diodes = new Map<string, Diode>();
  const marks = marksOf(body);
  for (const request of REQUESTS) {
    for (const role of rolesCalled(request, state.world)) {
      const rail = railFor(role, marks);
      const output = outputFor(role, body, state.used);
      if (rail === null || output === null) continue;
      const id = `${body.id}:contact-${output.name}`;
      const known = contacts.get(id);
      if (known) {
        if (!known.requests.includes(request)) known.requests.push(request);
      } else contacts.set(id, { a: at(body, rail), output, requests: [request] });
      if (output.diode) diodes.set(output.diode.id, output.diode);
    }
  }
  return [
    ...[...contacts].map(([id, { a, output, requests }]): CallContact => ({
      kind: 'call-contact',
      id,
      a,
      b: output.node,
      control: body.control,
      requests,
      part: { device: body.id, part: 'contact', mark: output.name }
    })),
    ...diodes.values()
  ];
}

interface Output {
  readonly name: string;
  readonly node: string;
  /** On a combined terminal each of the two calls has a half wave of its own. */
  readonly diode?: Diode;
}

/** The terminal that a role is put out on. With nothing on E, emergency heat is set up to come from the auxiliary terminal. */
function outputFor(role: Role, body: Body, used: ReadonlySet<TerminalId>): Output | null {
  const combined = screwThat(body, 'K')?.id;
  if ((role === 'compressor1' || role === 'fan') && combined !== undefined && used.has(combined))
    return halfWave(role, body, combined);
  const marks = marksOf(body);
  let mark = markForRole(role, marks);
  if (role === 'emergency' && mark !== null && !used.has(at(body, mark))) mark = markForRole('aux', marks);
  return mark === null ? null : { name: mark, node: at(body, mark) };
}

/** Y on the half wave in which the hot side stands above common, G on the other. */
function halfWave(role: 'compressor1' | 'fan', body: Body, combined: TerminalId): Output {
  const name = role === 'fan' ? 'K-fan' : 'K-cool';
  const node = `${body.id}:${name}`;
  const [a, b] = role === 'fan' ? [combined, node] : [node, combined];
  const part = { device: body.id, part: 'diode', mark: name } as const;
  return { name, node, diode: { kind: 'diode', id: `${body.id}:diode-${name}`, a, b, part, ...DIODE } };
}

/** RH and RC joined inside by set-up, where there is one supply. */
function joinedRails(body: Body): Resistor[] {
  const [first, ...others] = body.screws.filter((screw) => ['R', 'RH', 'RC'].includes(screw.means[0] ?? ''));
  return others.map((screw) => ({
    kind: 'resistor',
    of: 'joint',
    id: `${body.id}:joined-${screw.means[0]}`,
    a: first?.id ?? screw.id,
    b: screw.id,
    ohms: CONTACT_OHMS,
    part: { device: body.id, part: 'joint', mark: screw.mark }
  }));
}

export function electronicsOf(body: Body, hot: TerminalId, low: TerminalId, va: number): Resistor {
  return {
    kind: 'resistor',
    of: 'electronics',
    id: `${body.id}:electronics`,
    a: hot,
    b: low,
    ohms: (NOMINAL_VOLTS * NOMINAL_VOLTS) / va,
    part: { device: body.id, part: 'electronics' }
  };
}

/** The same for a body that is named by its marks. */
export function electronicsBetween(body: Body, hot: string, low: string, va: number): Resistor {
  return electronicsOf(body, at(body, hot), at(body, low), va);
}
