/** A thermostat: contacts between its hot rails and its call terminals, and electronics that want to be fed. */
import { CONTACT_OHMS, DIODE, NOMINAL_VOLTS, USUAL_WINDOW } from '../trade/loads';
import { canonicalMark } from '../trade/terminals';
import { CALLS, type Call } from '../trade/vocabulary';
import { terminalId, type NewThermostat, type OldThermostat, type TerminalId } from '../wiring/graph';
import { rolesCalled } from './calls';
import type { CallContact, Diode, FedDevice, Fragment, Resistor } from './elements';
import { markForRole, type Role } from './roles';
import type { World } from './world';

const heatRoles: ReadonlySet<Role> = new Set(['heat1', 'heat2', 'aux', 'emergency', 'humidify']);
const heatRails = ['RH', 'R', 'RC', 'T1', 'T'];
const coolRails = ['RC', 'R', 'RH', 'T1', 'T'];

/** What an old thermostat that lives on its common draws: a display and a relay or two. */
const OLD_ELECTRONICS_VA = 2;

interface Body {
  readonly id: string;
  readonly marks: readonly string[];
}

/** The rail that a role is switched from: W from the heating side, Y and G from the cooling side. */
export function railFor(role: Role, marks: readonly string[]): string | null {
  const owned = marks.map(canonicalMark);
  return (heatRoles.has(role) ? heatRails : coolRails).find((mark) => owned.includes(mark)) ?? null;
}

/** What decides which contacts a thermostat closes. */
export interface Switching {
  readonly world: World;
  /** Terminals that a conductor or a link is on. */
  readonly used: ReadonlySet<TerminalId>;
}

export function newThermostat(device: NewThermostat, state: Switching): Fragment {
  const { facts } = device;
  const joined = facts.rails === 'joined-inside' ? joinedRails(device) : [];
  const switching = [...joined, ...contactsOf(device, state)];
  const low = lowSide(device, state);
  if (low === null) return { elements: switching, loads: [] };
  const electronics = electronicsOf(device, facts.electronicsFrom, low, facts.drawVa);
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
function lowSide(device: NewThermostat, { used }: Switching): string | null {
  if (device.facts.supply === 'battery') return null;
  const common = markForRole('common', device.marks);
  if (device.facts.supply !== 'self-charging') return common;
  if (common !== null && used.has(terminalId(device.id, common))) return common;
  const calls = device.marks.map(canonicalMark).filter((mark) => ['W1', 'Y1', 'G'].includes(mark));
  return calls.find((mark) => used.has(terminalId(device.id, mark))) ?? common;
}

export function oldThermostat(device: OldThermostat, state: Switching): Fragment {
  const contacts = contactsOf(device, state);
  const hot = railFor('fan', device.marks);
  if (device.supply !== 'common' || hot === null || markForRole('common', device.marks) === null)
    return { elements: contacts, loads: [] };
  const electronics = electronicsOf(device, hot, 'C', OLD_ELECTRONICS_VA);
  const fed: FedDevice = { device: device.id, element: electronics.id, ...USUAL_WINDOW };
  return { elements: [...contacts, electronics], loads: [], fed };
}

/** One contact for each output, with the calls that close it. */
export function contactsOf(body: Body, state: Switching): (CallContact | Diode)[] {
  const contacts = new Map<string, { a: string; b: string; calls: Call[] }>();
  const diodes = new Map<string, Diode>();
  for (const call of CALLS) {
    for (const role of rolesCalled(call, state.world)) {
      const rail = railFor(role, body.marks);
      const output = outputFor(role, body, state.used);
      if (rail === null || output === null) continue;
      const id = `${body.id}:contact-${output.name}`;
      const known = contacts.get(id);
      if (known) {
        if (!known.calls.includes(call)) known.calls.push(call);
      } else contacts.set(id, { a: terminalId(body.id, rail), b: output.node, calls: [call] });
      if (output.diode) diodes.set(output.diode.id, output.diode);
    }
  }
  return [
    ...[...contacts].map(([id, { a, b, calls }]): CallContact => ({ kind: 'call-contact', id, a, b, calls })),
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
  const combined = terminalId(body.id, 'K');
  if ((role === 'compressor1' || role === 'fan') && used.has(combined)) return halfWave(role, body, combined);
  let mark = markForRole(role, body.marks);
  if (role === 'emergency' && mark !== null && !used.has(terminalId(body.id, mark)))
    mark = markForRole('aux', body.marks);
  return mark === null ? null : { name: mark, node: terminalId(body.id, mark) };
}

/** Y on the half wave in which the hot side stands above common, G on the other. */
function halfWave(role: 'compressor1' | 'fan', body: Body, combined: TerminalId): Output {
  const name = role === 'fan' ? 'K-fan' : 'K-cool';
  const node = `${body.id}:${name}`;
  const [a, b] = role === 'fan' ? [combined, node] : [node, combined];
  return { name, node, diode: { kind: 'diode', id: `${body.id}:diode-${name}`, a, b, ...DIODE } };
}

/** RH and RC joined inside by set-up, where there is one supply. */
function joinedRails(body: Body): Resistor[] {
  const [first, ...others] = body.marks
    .map(canonicalMark)
    .filter((mark) => mark === 'R' || mark === 'RH' || mark === 'RC');
  return others.map((mark) => ({
    kind: 'resistor',
    of: 'joint',
    id: `${body.id}:joined-${mark}`,
    a: terminalId(body.id, first ?? mark),
    b: terminalId(body.id, mark),
    ohms: CONTACT_OHMS
  }));
}

export function electronicsOf(body: Body, hot: string, low: string, va: number): Resistor {
  return {
    kind: 'resistor',
    of: 'electronics',
    id: `${body.id}:electronics`,
    a: terminalId(body.id, hot),
    b: terminalId(body.id, low),
    ohms: (NOMINAL_VOLTS * NOMINAL_VOLTS) / va
  };
}
