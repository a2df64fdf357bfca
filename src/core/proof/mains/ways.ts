/** What a solved state of mains controls means in the house: which way is open, whether boiler and pump run. */
import { powerUp, type CallResult, type SimulateFailure } from '../../circuit/simulate';
import type { Meter } from '../../circuit/meter';
import { mainsUnits, nodeFor, screwsThat } from '../../devices/mains/screws';
import type { World } from '../../devices/world';
import type { Serves } from '../../trade/mains';
import type { MainsUnit, Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';
import { callOfRow, unitsOf, type MainsRow } from './rows';

/** One world: nothing inside a mains device is in doubt once its screws are named. */
export const MAINS_WORLD: World = {
  id: 'mains',
  says: 'mains heating controls',
  family: 'mains-hydronic',
  blowerInHeat: 'g',
  blowerInCool: 'g',
  compressor: false,
  reversing: 'none'
};

/** `held`: a mid-position valve stays where it was. */
export type Way = 'open' | 'closed' | 'held';

/** What a row comes to, as plain data. */
export interface RowOutcome {
  readonly row: MainsRow;
  readonly heatingWay: Way;
  readonly waterWay: Way;
  readonly boiler: boolean;
  readonly pump: boolean;
}

export interface RowState extends RowOutcome {
  /** Coils that are pulled in, by their id. */
  readonly coils: ReadonlySet<string>;
  readonly result: CallResult;
  readonly meter: Meter;
}

export function solveRow(wiring: Wiring, row: MainsRow): RowState | SimulateFailure {
  const solved = powerUp(wiring, MAINS_WORLD, callOfRow(row, wiring));
  if (!solved.ok) return solved;
  const { result, meter } = solved;
  const coils = new Set(result.coils.filter((coil) => coil.energised).map((coil) => coil.part.id));
  const boilers = unitsOf(wiring, 'boiler');
  const pumps = unitsOf(wiring, 'pump');
  const boiler = boilers.some((unit) => coils.has(`${unit.id}:boiler`));
  const pump = pumps.length === 0 ? boiler : pumps.some((unit) => coils.has(`${unit.id}:pump`));
  return { row, ...waysOpen(wiring, coils, { boiler, pump }), boiler, pump, coils, result, meter };
}

function waysOpen(
  wiring: Wiring,
  coils: ReadonlySet<string>,
  { boiler, pump }: { readonly boiler: boolean; readonly pump: boolean }
): Pick<RowState, 'heatingWay' | 'waterWay'> {
  const [middle] = unitsOf(wiring, 'mid-position-valve');
  if (middle) return middleWays(coils.has(`${middle.id}:white`), coils.has(`${middle.id}:grey`));
  const valves = unitsOf(wiring, 'two-port-valve');
  const cylinder = unitsOf(wiring, 'cylinder-thermostat').length > 0;
  const open = (serves: Serves): Way =>
    valves.some((valve) => servesOf(wiring, valve) === serves && coils.has(`${valve.id}:motor`))
      ? 'open'
      : 'closed';
  const has = (serves: Serves) => valves.some((valve) => servesOf(wiring, valve) === serves);
  // Without a valve of its own a way is open whenever what moves the water runs: the pump for heating, the boiler by gravity for a cylinder.
  const running = (on: boolean): Way => (on ? 'open' : 'closed');
  return {
    heatingWay: has('heating') ? open('heating') : running(pump),
    waterWay: has('water') ? open('water') : cylinder || isGravity(wiring) ? running(boiler) : 'closed'
  };
}

function middleWays(white: boolean, grey: boolean): Pick<RowState, 'heatingWay' | 'waterWay'> {
  if (white) return { heatingWay: 'open', waterWay: grey ? 'closed' : 'open' };
  return grey ? { heatingWay: 'held', waterWay: 'held' } : { heatingWay: 'closed', waterWay: 'open' };
}

/** Hot water is asked for, and no valve and no thermostat of a cylinder are there: the boiler heats it by gravity. */
export function isGravity(wiring: Wiring): boolean {
  const valves = unitsOf(wiring, 'two-port-valve').length + unitsOf(wiring, 'mid-position-valve').length;
  return (
    valves === 0 &&
    [...unitsOf(wiring, 'timer'), ...unitsOf(wiring, 'controller')].some((unit) =>
      screwsThat(unit, 'water-on').some((screw) => joinedIn(wiring).with(screw.id).length > 1)
    )
  );
}

/** What a valve works for: as recorded, else by the thermostat whose contact its motor hangs on. */
export function servesOf(wiring: Wiring, valve: MainsUnit): Serves {
  if (valve.serves !== 'unknown') return valve.serves;
  const joined = joinedIn(wiring);
  const motor = nodeFor(valve, 'motor');
  const on = (part: MainsUnit['part'], ...does: Parameters<typeof nodeFor>[1][]) =>
    mainsUnits(wiring).some(
      (unit) => unit.part === part && does.some((duty) => joined.same(nodeFor(unit, duty), motor))
    );
  if (on('cylinder-thermostat', 'call')) return 'water';
  if (on('room-thermostat', 'out')) return 'heating';
  if (on('timer', 'heating-on') || on('controller', 'heating-on')) return 'heating';
  return on('timer', 'water-on') || on('controller', 'water-on') ? 'water' : 'unknown';
}
