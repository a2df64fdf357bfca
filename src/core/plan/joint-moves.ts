/** The moves of several thermostats as one list: power once, one trip to each machine where the work allows it. */
import type { Move } from './move-types';
import type { Place } from './place';

/** A move, with whose it is; power is cut once for all of them. */
export interface JointMove extends Move {
  readonly thermostats: readonly string[];
}

/**
 * Everything off; then by turns what all of them begin with at the machines, what comes next at their walls, what some then have to do at
 * the machines once more (a new cable that was pulled meanwhile), and so on; then everything on. Each keeps its own order.
 */
export function jointMoves(places: readonly Place[], machines: ReadonlySet<string>): JointMove[] {
  const tagged = places.map(({ thermostat, option }) =>
    option.moves.map((move): JointMove => ({ ...move, thermostats: [thermostat.id] }))
  );
  const powered = (action: JointMove['action']) =>
    once(
      tagged.flat().filter((jointMove) => jointMove.action === action),
      machines
    );
  const turns = tagged.map((moves) => turnsOf(moves.filter((move) => !move.action.startsWith('power-'))));
  const most = Math.max(0, ...turns.map((turn) => turn.length));
  const work = Array.from({ length: most }, (_, turn) => {
    const all = turns.flatMap((ofPlace) => ofPlace[turn] ?? []);
    if (turn % 2 === 1) return all;
    // At the machines: one after the other, and at each what is for all.
    const stops = [...new Set(all.map((jointMove) => jointMove.place))];
    return once(
      stops.flatMap((stop) => all.filter((jointMove) => jointMove.place === stop)),
      machines
    );
  });
  const ordered = [...powered('power-off'), ...work.flat(), ...powered('power-on')];
  return ordered.map((jointMove, index) => ({ ...jointMove, id: `move-${index + 1}` }));
}

/** The moves by turns: at the machines, at the wall, at the machines again. The first is empty where all begins at the wall. */
function turnsOf(moves: readonly JointMove[]): JointMove[][] {
  const turns: JointMove[][] = [[]];
  for (const move of moves) {
    const atWall = (turns.length - 1) % 2 === 1;
    if ((move.end === 'wall') !== atWall) turns.push([]);
    turns[turns.length - 1]!.push(move);
  }
  return turns;
}

/** Whether one act serves all that hang on a machine: its power, the exchange of its transformer. */
export function isForAll(move: Pick<Move, 'what' | 'change'>, machines: ReadonlySet<string>): boolean {
  return machines.has(move.what) && (move.change === null || move.change.kind === 'transformer');
}

/** An act at a machine that several plans ask for: its power, the exchange of its transformer. What is one thermostat's own is never joined. */
function once(moves: readonly JointMove[], machines: ReadonlySet<string>): JointMove[] {
  const kept: JointMove[] = [];
  for (const move of moves) {
    const same = isForAll(move, machines)
      ? kept.findIndex(
          (jointMove) =>
            jointMove.action === move.action && jointMove.what === move.what && jointMove.to === move.to
        )
      : -1;
    const known = kept[same];
    if (!known) kept.push(move);
    else kept[same] = { ...known, thermostats: [...known.thermostats, ...move.thermostats] };
  }
  return kept;
}
