/**
 * The table of what mains controls have to do: one row for every state of what may ask. Timer heating and hot water, each room thermostat, the
 * cylinder thermostat, frost. Rows are of the house as found, so that before and after are compared over the same ones: a controller stands in
 * for the timer and for the thermostats that are no longer there.
 */
import { mainsUnits } from '../../devices/mains/screws';
import { callOf, type Ask, type Call } from '../../trade/calls';
import type { MainsUnit, Wiring } from '../../wiring/graph';

export interface MainsInputs {
  /** A timer or controller has a heating channel, a hot-water channel. */
  readonly heating: boolean;
  readonly water: boolean;
  /** Ids of room thermostats, in the order of the record. */
  readonly rooms: readonly string[];
  readonly cylinder: boolean;
  /** A frost thermostat is there; a pipe thermostat in series calls with it. */
  readonly frost: boolean;
}

export interface MainsRow {
  /** What the timer asks for. */
  readonly heating: boolean;
  readonly water: boolean;
  /** The rooms that call, by the id of their thermostat. */
  readonly rooms: Readonly<Record<string, boolean>>;
  readonly cylinder: boolean;
  readonly frost: boolean;
}

export function unitsOf(wiring: Wiring, part: MainsUnit['part']): MainsUnit[] {
  return mainsUnits(wiring).filter((unit) => unit.part === part);
}

export function inputsOf(found: Wiring): MainsInputs {
  const timers = [...unitsOf(found, 'timer'), ...unitsOf(found, 'controller')];
  const does = (...functions: string[]) =>
    timers.some((unit) => unit.screws.some((screw) => functions.includes(screw.means[0] ?? '')));
  return {
    heating: does('heating-on', 'heating-off'),
    water: does('water-on', 'water-off'),
    rooms: unitsOf(found, 'room-thermostat').map((unit) => unit.id),
    cylinder: unitsOf(found, 'cylinder-thermostat').length > 0,
    frost: unitsOf(found, 'frost-thermostat').length > 0
  };
}

/** More room thermostats than this are not multiplied out: 2 to the power of the inputs rows are solved. */
export const MOST_ROOMS = 4;

/** Every state of the inputs. What the house does not have stands still: without a timer heating and a cylinder hang on live for good. */
export function rowsOf(inputs: MainsInputs): MainsRow[] {
  const rooms = inputs.rooms.slice(0, MOST_ROOMS);
  const places: { readonly set: (row: MainsRow, on: boolean) => MainsRow }[] = [];
  if (inputs.heating) places.push({ set: (row, on) => ({ ...row, heating: on }) });
  if (inputs.water) places.push({ set: (row, on) => ({ ...row, water: on }) });
  for (const room of rooms)
    places.push({ set: (row, on) => ({ ...row, rooms: { ...row.rooms, [room]: on } }) });
  if (inputs.cylinder) places.push({ set: (row, on) => ({ ...row, cylinder: on }) });
  if (inputs.frost) places.push({ set: (row, on) => ({ ...row, frost: on }) });
  const still: MainsRow = {
    heating: !inputs.heating,
    water: !inputs.water && inputs.cylinder,
    rooms: Object.fromEntries(inputs.rooms.map((room) => [room, true])),
    cylinder: !inputs.cylinder,
    frost: false
  };
  return Array.from({ length: 2 ** places.length }, (_, bits) =>
    places.reduce((row, place, at) => place.set(row, ((bits >> at) & 1) === 1), still)
  );
}

/** `heating+room:md-room+cylinder`, or `idle` for all off. */
export function rowId({ heating, water, rooms, cylinder, frost }: MainsRow): string {
  const words = [
    ...(heating ? ['heating'] : []),
    ...(water ? ['water'] : []),
    ...Object.entries(rooms).flatMap(([room, calls]) => (calls ? [`room:${room}`] : [])),
    ...(cylinder ? ['cylinder'] : []),
    ...(frost ? ['frost'] : [])
  ];
  return words.length === 0 ? 'idle' : words.join('+');
}

/**
 * The call that a row is for a wiring. A room thermostat that is no longer there is in the controller, with a schedule of its own.
 */
export function callOfRow(row: MainsRow, wiring: Wiring): Call {
  const units = mainsUnits(wiring);
  const there = new Set(units.map((unit) => unit.id));
  const replaced = Object.entries(row.rooms).filter(([room]) => !there.has(room));
  const asks = units.flatMap((unit): Ask[] => {
    const ask = (on: boolean, request: Ask['request']): Ask[] => (on ? [{ control: unit.id, request }] : []);
    switch (unit.part) {
      case 'timer':
        return [...ask(row.heating, 'heating'), ...ask(row.water, 'hot-water')];
      case 'controller':
        return [
          ...ask(row.heating && replaced.every(([, calls]) => calls), 'heating'),
          ...ask(row.water, 'hot-water')
        ];
      case 'room-thermostat':
        return ask(row.rooms[unit.id] ?? true, 'heating');
      case 'cylinder-thermostat':
        return ask(row.cylinder, 'hot-water');
      case 'frost-thermostat':
      case 'pipe-thermostat':
        return ask(row.frost, 'heating');
      default:
        return [];
    }
  });
  return callOf(asks);
}

/** The row that a plain call is: what is asked for calls everywhere, all else is satisfied. */
export function rowFor(
  inputs: MainsInputs,
  { heating, water }: Pick<MainsRow, 'heating' | 'water'>
): MainsRow {
  return {
    heating: heating || !inputs.heating,
    water: water || (!inputs.water && inputs.cylinder),
    rooms: Object.fromEntries(inputs.rooms.map((room) => [room, heating])),
    cylinder: inputs.cylinder ? water : true,
    frost: false
  };
}
