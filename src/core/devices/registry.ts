/** Every kind of device and every family's board, so that the compiler refuses a kind without behaviour. */
import type { Family } from '../trade/vocabulary';
import type { Board, Device, DeviceKind } from '../wiring/graph';
import { boilerControl } from './boards/boiler';
import { electricFurnaceBoard } from './boards/electric-furnace';
import { furnaceBoard } from './boards/furnace';
import { heatPumpBoard } from './boards/heat-pump';
import type { Fragment } from './elements';
import { newThermostat, oldThermostat, type Switching } from './thermostat';
import { plugInTransformer } from './transformer';
import type { SupplyCase, World } from './world';

type BoardModel = (board: Board, world: World) => Fragment;

/** Null where no circuit is known for the family: nothing can be proven there, and the planner says so. */
export const BOARD_MODELS: Readonly<Record<Family, BoardModel | null>> = {
  furnace: furnaceBoard,
  'furnace-ac': furnaceBoard,
  'electric-furnace': electricFurnaceBoard,
  'heat-pump': heatPumpBoard,
  boiler: boilerControl,
  'dual-fuel': null,
  steam: null,
  'boiler-plus-ac': null,
  'cooling-only': null,
  'contact-heater': null,
  communicating: null,
  'line-voltage': null,
  millivolt: null,
  'mains-hydronic': null,
  unknown: null
};

export interface DeviceState extends Switching {
  readonly supplyCase: SupplyCase;
}

type Models = {
  readonly [K in DeviceKind]: (device: Extract<Device, { kind: K }>, state: DeviceState) => Fragment | null;
};

export const DEVICE_MODELS: Models = {
  'old-thermostat': (device, state) => oldThermostat(device, state),
  'new-thermostat': (device, state) => newThermostat(device, state),
  board: (device, { world }) => BOARD_MODELS[world.family]?.(device, world) ?? null,
  'plug-in-transformer': (device, { supplyCase }) => plugInTransformer(device, supplyCase)
};

/** The circuit of a device, or null when its family has no circuit model. */
export function fragmentOf(device: Device, state: DeviceState): Fragment | null {
  const model = DEVICE_MODELS[device.kind] as (device: Device, state: DeviceState) => Fragment | null;
  return model(device, state);
}
