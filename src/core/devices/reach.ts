/** Which calls a thermostat can make through the wires that it has: what nothing is landed for is called by nobody. */
import { callOf, isCombined, requestsOf, type Call } from '../trade/calls';
import type { Request } from '../trade/vocabulary';
import {
  landedTerminal,
  screwThat,
  type NewThermostat,
  type OldThermostat,
  type Receiver,
  type Wiring
} from '../wiring/graph';
import { readIn } from '../wiring/meaning';
import { callsOf, combinedCallsOf, rolesCalled } from './calls';
import { markForRole, type Role } from './roles';
import { worldOfDevice, type World } from './world';

/** What switches the calls of a place: its thermostat on the wall, or the receiver of a wireless one. */
export type NewControl = NewThermostat | Receiver;
type Control = OldThermostat | NewControl;

export function controlOf(wiring: Wiring): Control | undefined {
  const controls = wiring.devices.filter(
    (device): device is Control =>
      device.kind === 'receiver' || device.kind === 'new-thermostat' || device.kind === 'old-thermostat'
  );
  return controls.find(({ kind }) => kind === 'receiver') ?? controls[0];
}

/** Terminals that a wire or a jumper is on. */
function terminalsInUse(wiring: Wiring): ReadonlySet<string> {
  return new Set([
    ...wiring.strands
      .flatMap(({ near, far }) => [landedTerminal(near), landedTerminal(far)])
      .filter((end) => end !== null),
    ...wiring.links.flatMap(({ a, b }) => [a, b])
  ]);
}

/** What makes a request that request: the other contacts that it closes only help. */
function mainRole(request: Request, roles: readonly Role[]): Role | undefined {
  const wanted: Readonly<Partial<Record<Request, Role>>> = {
    heat2: 'heat2',
    cool2: 'compressor2',
    aux: 'aux',
    emergency: 'emergency'
  };
  return wanted[request] ?? roles[0];
}

/** Marks of the control that a wire or a jumper is on. */
function marksInReach(control: Control, wiring: Wiring): string[] {
  const used = terminalsInUse(wiring);
  return control.screws.filter(({ id }) => used.has(id)).flatMap(({ means }) => means);
}

/** The single calls that the control of a wiring can make in a world: the terminal that each is put out on has a wire. Idle is one. */
export function reachableCalls(recorded: Wiring, world: World): Call[] {
  const wiring = readIn(recorded, world.family);
  const control = controlOf(wiring);
  if (!control) return [];
  const marks = marksInReach(control, wiring);
  const set = worldOfDevice(world, control.id);
  const onK = screwThat(control, 'K') !== undefined && marks.includes('K');
  return callsOf(world, wiring, marks).filter((call) => {
    if (call === 'idle') return true;
    const role = mainRole(call, rolesCalled(call, set));
    if (role === undefined) return false;
    if (onK && (role === 'compressor1' || role === 'fan')) return true;
    const first = markForRole(role, marks);
    // With nothing on E, emergency heat comes from the auxiliary terminal.
    return first !== null || (role === 'emergency' && markForRole('aux', marks) !== null);
  });
}

/** The sets of requests that it can make at once, of those that close more than one of them does. */
export function reachableSets(recorded: Wiring, world: World): Call[] {
  const wiring = readIn(recorded, world.family);
  const control = controlOf(wiring);
  if (!control) return [];
  const single = new Set(reachableCalls(recorded, world).flatMap(requestsOf));
  const sets = combinedCallsOf(world, wiring, marksInReach(control, wiring)).map((call) =>
    callOf(
      requestsOf(call)
        .filter((request) => single.has(request))
        .map((request) => ({ control: null, request }))
    )
  );
  return [...new Set(sets)].filter(isCombined);
}

/** Whether a wire or a jumper is on its C. */
export function isOnCommon(recorded: Wiring, control: Control): boolean {
  const common = screwThat(control, 'C')?.id;
  return common !== undefined && terminalsInUse(recorded).has(common);
}
