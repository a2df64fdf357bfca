/** The plan of a whole job in words, for the screen and for paper. */
import { deviceName } from '$core/match/catalogue';
import type { CutRoll, NamedRun } from '$core/plan/cuts';
import type { JointMove } from '$core/plan/joint-moves';
import { wiringsAlong } from '$core/plan/moves';
import type { TakenWay, Together } from '$core/plan/together';
import type { Wiring } from '$core/wiring/graph';
import { groupMoves, placeHead, type MoveGroup } from '../moves/groups';

/** Names of thermostats by id. */
export type Names = ReadonlyMap<string, string>;

export interface JointGroup extends MoveGroup<JointMove> {
  readonly head: string;
}

/** One visit under one head: the wall and the outlet of each thermostat are places of their own, a machine is one for all. */
export function jointGroups(moves: readonly JointMove[], names: Names): JointGroup[] {
  const atHome = (move: JointMove) => move.place === 'wall' || move.place === 'outlet';
  const whose = (move: JointMove) => move.thermostats.map((id) => names.get(id) ?? id).join(', ');
  return groupMoves(moves, (move) =>
    atHome(move) ? `${move.place} ${move.thermostats.join()}` : move.place
  ).map((group) => {
    const [first] = group.moves;
    return { ...group, head: placeHead(first.place) + (atHome(first) ? `: ${whose(first)}` : '') };
  });
}

/** Whose it is, where that is not plain from the head: one thermostat's conductor at a machine that serves several. */
export function ownerOf(move: JointMove, names: Names): string {
  const [only] = move.thermostats;
  const own = move.end === 'equipment' && move.change !== null && move.thermostats.length === 1;
  return own && only !== undefined ? (names.get(only) ?? '') : '';
}

/** The wiring of its own thermostat before and after each move, by the move's id. */
export function jointPictures({
  places,
  moves
}: Together): Map<string, readonly [Wiring | undefined, Wiring | undefined]> {
  return new Map(
    places.flatMap(({ thermostat, option }) => {
      const own = moves.filter((move) => move.thermostats.includes(thermostat.id));
      const along = wiringsAlong(option.now, own);
      return own.map((move, at) => [move.id, [along[at], along[at + 1]]] as const);
    })
  );
}

/** `chosen`: the user has taken this way; else it is the one that would be recommended. */
export function wayText({ device, assumedDevice, option }: TakenWay, chosen: boolean): string {
  const with_ = assumedDevice ? ', no device chosen yet' : `, ${deviceName(device)}`;
  return `${option.title}${with_}${chosen ? '' : ' (recommended, not chosen)'}`;
}

export function deviceText({ device, thermostat }: TakenWay): string {
  const price = device.price === null ? '' : `, $${device.price}`;
  return `${deviceName(device)}, for ${thermostat.name}${price}`;
}

export function rollText({ conductors, gauge, lengthM, cost, runs, restM }: CutRoll): string {
  const cuts = runs.map((run) => `${run.lengthM} m for ${run.for}`).join(', ');
  return `${countOf(conductors)}, ${gauge} AWG, a roll of ${lengthM} m, about $${cost}: cut ${cuts}; ${restM} m are left`;
}

export function byTheMetreText({ conductors, lengthM, for: whose }: NamedRun): string {
  return `${countOf(conductors)}, ${lengthM} m for ${whose}: longer than any roll, by the metre`;
}

function countOf(conductors: number): string {
  return `${conductors} ${conductors === 1 ? 'wire' : 'wires'}`;
}
