/**
 * A thermostat behaves as it is set up, whatever hangs on its wires. These functions turn settings into the world that the control believes
 * in and the calls that it makes, so that a wrong one is solved and not described.
 */
import { running } from '../circuit/expected';
import { simulate } from '../circuit/simulate';
import { controlOf } from '../devices/reach';
import { isHeatPump } from '../devices/roles';
import { worldOfDevice, type MachineWorld, type World } from '../devices/world';
import { callOf, requestsOf, type Call } from '../trade/calls';
import type { SettingId } from '../trade/setting-ids';
import { CONNECTED } from '../trade/settings';
import type { Family, LoadId, Request } from '../trade/vocabulary';
import { screwThat, type Wiring } from '../wiring/graph';

export type SetUp = Readonly<Partial<Record<SettingId, string>>>;

export interface Behaviour {
  readonly wiring: Wiring;
  readonly world: World;
  /** The call that it makes where it is asked for one: a stage that it does not know is not called. */
  readonly makes: (call: Call) => Call;
}

/** The wiring and the world with the control set up like this; what is not set is as the world has it. */
export function behaviourOf(wiring: Wiring, world: World, setUp: SetUp): Behaviour {
  const control = controlOf(wiring);
  if (!control) return { wiring, world, makes: (call) => call };
  const own = controlWorld(worldOfDevice(world, control.id), setUp);
  return {
    wiring: withSupplies(wiring, setUp.supplies),
    world: { ...world, of: { ...world.of, [control.id]: own } },
    makes: (call) => madeCall(call, setUp)
  };
}

const FAMILIES: Readonly<Record<string, Family>> = {
  air: 'furnace',
  'heat-pump': 'heat-pump',
  water: 'boiler',
  steam: 'steam',
  cooling: 'cooling-only'
};

/** What the control believes of the machine. */
function controlWorld(right: MachineWorld, { kind, fan, valve, auxiliary }: SetUp): MachineWorld {
  const believed = kind === undefined ? right.family : (FAMILIES[kind] ?? right.family);
  // Boiler with an air conditioner, furnace with one: the kind is the same word.
  const family = sameKind(believed, right.family) ? right.family : believed;
  const withFan = withFanSetting(family, fan);
  const exact: Family = isHeatPump(withFan)
    ? auxiliary === 'burner'
      ? 'dual-fuel'
      : auxiliary === 'strips'
        ? 'heat-pump'
        : withFan
    : withFan;
  const set = valve === 'O' || valve === 'B' ? valve : right.reversing === 'none' ? 'O' : right.reversing;
  return {
    ...right,
    family: exact,
    compressor: right.compressor || isHeatPump(exact),
    reversing: isHeatPump(exact) ? set : 'none'
  };
}

function sameKind(first: Family, second: Family): boolean {
  const groups: readonly (readonly Family[])[] = [
    ['furnace', 'furnace-ac', 'electric-furnace'],
    ['boiler', 'boiler-plus-ac'],
    ['heat-pump', 'dual-fuel']
  ];
  return first === second || groups.some((group) => group.includes(first) && group.includes(second));
}

/** Who starts the blower in heating is told to a thermostat for warm air only. */
function withFanSetting(family: Family, fan: string | undefined): Family {
  if (fan === 'thermostat' && (family === 'furnace' || family === 'furnace-ac')) return 'electric-furnace';
  if (fan === 'machine' && family === 'electric-furnace') return 'furnace-ac';
  return family;
}

/** Hot sides that are joined or parted by set-up alone; a clip or a jumper is taken out by hand and is part of the wiring. */
function withSupplies(wiring: Wiring, supplies: string | undefined): Wiring {
  if (supplies === undefined) return wiring;
  return {
    ...wiring,
    devices: wiring.devices.map((device) =>
      device.kind === 'new-thermostat' && device.facts.rails === 'joined-inside'
        ? {
            ...device,
            facts: { ...device.facts, rails: supplies === 'one' ? 'joined-inside' : 'link-removable' }
          }
        : device
    )
  };
}

function madeCall(call: Call, setUp: SetUp): Call {
  const made = requestsOf(call).flatMap((request): Request[] => {
    if (CONNECTED.some(([setting, of]) => of === request && setUp[setting] === 'no')) return [];
    if (request === 'heat2' && setUp['heat-stages'] === '1') return ['heat1'];
    if (request.startsWith('heat') && setUp['heat-stages'] === '0') return [];
    if (request === 'cool2' && setUp['cool-stages'] === '1') return ['cool1'];
    if (request.startsWith('cool') && setUp['cool-stages'] === '0') return [];
    if (request === 'aux' && setUp.auxiliary === 'none') return ['heat1'];
    if (request === 'emergency' && setUp.emergency === 'no') return [];
    // Y and G stay on screws of their own, and nothing is on those.
    if (setUp['one-wire'] === 'no' && ['cool1', 'cool2', 'fan'].includes(request)) return [];
    return [request];
  });
  return callOf(made.map((request) => ({ control: null, request })));
}

/** What a call does otherwise than it should. */
export interface Otherwise {
  readonly call: Call;
  readonly missing: readonly LoadId[];
  readonly extra: readonly LoadId[];
  /** The valve stands the other way: it cools when heat is called, or heats when cooling is. */
  readonly turned: 'cools' | 'heats' | null;
  /** Two supplies are joined. */
  readonly joins: boolean;
}

/** What a wrong set-up does in each call, against the right one; calls that come out the same are left out. */
export function otherwiseWith(
  wiring: Wiring,
  world: World,
  calls: readonly Call[],
  wrong: SetUp
): Otherwise[] {
  const behaviour = behaviourOf(wiring, world, wrong);
  return calls.flatMap((call): Otherwise[] => {
    const right = simulate(wiring, world, call);
    const is = simulate(behaviour.wiring, behaviour.world, behaviour.makes(call));
    if (!right.ok || !is.ok) return [];
    const [should, does] = [running(right.result.loads), running(is.result.loads)];
    const missing = should.filter((load) => !does.includes(load) && load !== 'thermostat');
    const extra = does.filter((load) => !should.includes(load) && load !== 'thermostat');
    const joins = is.result.tied.length > right.result.tied.length;
    if (missing.length + extra.length === 0 && !joins) return [];
    return [{ call, missing, extra, turned: turnedBy(world, call, [...missing, ...extra], does), joins }];
  });
}

function turnedBy(
  world: World,
  call: Call,
  differ: readonly LoadId[],
  does: readonly LoadId[]
): Otherwise['turned'] {
  if (!differ.includes('reversing-valve') || !does.includes('compressor') || !isHeatPump(world.family))
    return null;
  return requestsOf(call).some((request) => request.startsWith('cool')) ? 'heats' : 'cools';
}

/** Whether joining the hot sides would tie two supplies together; null where that cannot be solved. */
export function joiningTies(wiring: Wiring, world: World): boolean | null {
  const [joined, apart] = (['one', 'two'] as const).map((supplies) => {
    const behaviour = behaviourOf(wiring, world, { supplies });
    return simulate(behaviour.wiring, behaviour.world, 'idle');
  });
  if (!joined?.ok || !apart?.ok) return null;
  return joined.result.tied.length > apart.result.tied.length;
}

/** Whether the hot sides of a control are two screws that its set-up joins or parts. */
export function joinsBySetUp(wiring: Wiring): boolean {
  const control = controlOf(wiring);
  return (
    control?.kind === 'new-thermostat' &&
    control.facts.rails === 'joined-inside' &&
    screwThat(control, 'RH') !== undefined &&
    screwThat(control, 'RC') !== undefined
  );
}
