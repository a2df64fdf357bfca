/** A thermostat: contacts between its hot rails and its call terminals, and electronics that want to be fed. */
import { CONTACT_OHMS, NOMINAL_VOLTS, USUAL_WINDOW } from '../trade/loads';
import { canonicalMark } from '../trade/terminals';
import type { Call } from '../trade/vocabulary';
import { terminalId, type NewThermostat, type OldThermostat, type TerminalId } from '../wiring/graph';
import { EMPTY_FRAGMENT, type Fragment, type Resistor } from './elements';
import { markForRole, rolesCalled, type Role, type World } from './world';

const heatRoles: ReadonlySet<Role> = new Set(['heat1', 'heat2', 'aux', 'emergency']);
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
  readonly call: Call;
  /** Terminals that a conductor or a link is on. */
  readonly used: ReadonlySet<TerminalId>;
}

export function newThermostat(device: NewThermostat, state: Switching): Fragment {
  const { facts } = device;
  const joined = facts.rails === 'joined-inside' ? joinedRails(device) : [];
  const contacts = closedContacts(device, state);
  if (facts.supply === 'battery' || markForRole('common', device.marks) === null) {
    return { elements: [...joined, ...contacts], loads: [] };
  }
  const electronics = electronicsOf(device, facts.electronicsFrom, facts.drawVa);
  return {
    elements: [...joined, ...contacts, electronics],
    loads: [],
    fed: { element: electronics.id, min: facts.voltsMin, max: facts.voltsMax }
  };
}

export function oldThermostat(device: OldThermostat, state: Switching): Fragment {
  const contacts = closedContacts(device, state);
  const hot = railFor('fan', device.marks);
  if (device.supply !== 'common' || hot === null || markForRole('common', device.marks) === null) {
    return contacts.length === 0 ? EMPTY_FRAGMENT : { elements: contacts, loads: [] };
  }
  const electronics = electronicsOf(device, hot, OLD_ELECTRONICS_VA);
  return {
    elements: [...contacts, electronics],
    loads: [],
    fed: { element: electronics.id, ...USUAL_WINDOW }
  };
}

function closedContacts(body: Body, { world, call, used }: Switching): Resistor[] {
  const closed = new Map<string, Resistor>();
  for (const role of rolesCalled(call, world)) {
    const rail = railFor(role, body.marks);
    const mark = outputFor(role, body, used);
    if (rail === null || mark === null) continue;
    const id = `${body.id}:contact-${mark}`;
    closed.set(id, {
      kind: 'resistor',
      id,
      a: terminalId(body.id, rail),
      b: terminalId(body.id, mark),
      ohms: CONTACT_OHMS
    });
  }
  return [...closed.values()];
}

/** The terminal that a role is put out on. With nothing on E, emergency heat is set up to come from the auxiliary terminal. */
function outputFor(role: Role, body: Body, used: ReadonlySet<TerminalId>): string | null {
  const mark = markForRole(role, body.marks);
  if (role !== 'emergency' || mark === null || used.has(terminalId(body.id, mark))) return mark;
  return markForRole('aux', body.marks);
}

/** RH and RC joined inside by set-up, where there is one supply. */
function joinedRails(body: Body): Resistor[] {
  const [first, ...others] = body.marks
    .map(canonicalMark)
    .filter((mark) => mark === 'R' || mark === 'RH' || mark === 'RC');
  return others.map((mark) => ({
    kind: 'resistor',
    id: `${body.id}:joined-${mark}`,
    a: terminalId(body.id, first ?? mark),
    b: terminalId(body.id, mark),
    ohms: CONTACT_OHMS
  }));
}

function electronicsOf(body: Body, hot: string, va: number): Resistor {
  return {
    kind: 'resistor',
    id: `${body.id}:electronics`,
    a: terminalId(body.id, hot),
    b: terminalId(body.id, 'C'),
    ohms: (NOMINAL_VOLTS * NOMINAL_VOLTS) / va
  };
}
