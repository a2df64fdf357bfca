/** Every kind of device and every family's board, so that the compiler refuses a kind without behaviour. */
import type { Family } from '../trade/vocabulary';
import type { Board, Device, DeviceKind } from '../wiring/graph';
import { combinedAdapter } from './adapter';
import { tiesOf } from './boards/board';
import { boilerControl } from './boards/boiler';
import { boilerPlusAcBoard } from './boards/boiler-plus-ac';
import { contactHeater } from './boards/contact-heater';
import { coolingOnlyBoard } from './boards/cooling-only';
import { dualFuelBoard } from './boards/dual-fuel';
import { electricFurnaceBoard } from './boards/electric-furnace';
import { furnaceBoard } from './boards/furnace';
import { heatPumpBoard } from './boards/heat-pump';
import { othersOn } from './boards/others';
import { steamControl } from './boards/steam';
import type { Fragment } from './elements';
import { mainsUnit } from './mains/mains-unit';
import { receiver } from './receiver';
import { wallSplitter } from './splitter';
import { newThermostat, oldThermostat, type Switching } from './thermostat';
import { ownTransformer } from './transformer';
import { worldOfDevice, type MachineWorld, type World } from './world';

type BoardModel = (board: Board, world: MachineWorld) => Fragment;

/** Null where no 24 V circuit exists for the family: nothing can be proven there, and the planner says so. */
export const BOARD_MODELS: Readonly<Record<Family, BoardModel | null>> = {
  furnace: furnaceBoard,
  'furnace-ac': furnaceBoard,
  'electric-furnace': electricFurnaceBoard,
  'heat-pump': heatPumpBoard,
  'dual-fuel': dualFuelBoard,
  boiler: boilerControl,
  steam: steamControl,
  'boiler-plus-ac': boilerPlusAcBoard,
  'cooling-only': coolingOnlyBoard,
  'contact-heater': contactHeater,
  communicating: null,
  'line-voltage': null,
  millivolt: null,
  'mains-hydronic': null,
  unknown: null
};

type Models = {
  readonly [K in DeviceKind]: (device: Extract<Device, { kind: K }>, state: Switching) => Fragment | null;
};

export const DEVICE_MODELS: Models = {
  'old-thermostat': oldThermostat,
  'new-thermostat': newThermostat,
  board: (device, { world }) => {
    const fragment = BOARD_MODELS[world.family]?.(device, world);
    return fragment
      ? { ...fragment, elements: [...fragment.elements, ...othersOn(device), ...tiesOf(device)] }
      : null;
  },
  'plug-in-transformer': ownTransformer,
  'added-transformer': ownTransformer,
  receiver,
  adapter: combinedAdapter,
  splitter: wallSplitter,
  mains: mainsUnit
};

/** The circuit of a device in its own world, or null when its family has no circuit model. */
export function fragmentOf(device: Device, world: World, used: Switching['used']): Fragment | null {
  const model = DEVICE_MODELS[device.kind] as (device: Device, state: Switching) => Fragment | null;
  return model(device, { world: worldOfDevice(world, device.id), used });
}
