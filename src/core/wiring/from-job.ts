/** From what was recorded to the graph, with the doubt in it: an end that nobody saw stays `unseen`. */
import { conductorName } from '../job/edits';
import type { Conductor, ConductorEnd, Equipment, Job, Thermostat } from '../job/schema';
import { traceOf } from '../reading/trace-common';
import { conductorOhms } from '../trade/cable';
import { canonicalMark } from '../trade/terminals';
import {
  boards,
  hasMark,
  terminalId,
  type Adapter,
  type Board,
  type Landing,
  type Strand,
  type WireLink,
  type Wiring
} from './graph';

/** The board that stands in where no machine is recorded at all. */
export const UNREAD_BOARD_ID = 'eq-unread';

export function wiringOf(job: Job, thermostat: Thermostat): Wiring {
  // An outdoor unit is no board of the thermostat's, unless a conductor of the thermostat's cable was found in it.
  const machines = job.equipment.filter(
    (one) =>
      thermostat.equipment.includes(one.id) &&
      (one.kind !== 'outdoor-unit' || usedMarks(thermostat, one.id).length > 0)
  );
  const adapters = machines.filter((one) => one.kind === 'old-adapter');
  const withBoard = machines.filter((one) => one.kind !== 'old-adapter');
  const all = withBoard.length > 0 ? withBoard.map((one) => boardOf(thermostat, one)) : [unreadBoard()];
  return {
    devices: [
      {
        kind: 'old-thermostat',
        id: thermostat.id,
        place: 'wall',
        name: 'old thermostat',
        supply: thermostat.oldSupply,
        marks: withUsed(thermostat.marks, usedMarks(thermostat, thermostat.id))
      },
      ...all,
      ...adapters.map((one) => adapterOf(thermostat, one, all[0]?.name))
    ],
    cables: thermostat.cables.map(({ id, name, path, lengthM, gauge }) => ({
      id,
      name,
      path,
      lengthM,
      gauge
    })),
    strands: strandsOf(thermostat),
    links: [...recordedLinks(thermostat), ...adapters.flatMap((one) => piecesOf(thermostat, one, all[0]))]
  };
}

function recordedLinks(thermostat: Thermostat): WireLink[] {
  return thermostat.links.map((link) => ({
    id: link.id,
    place: link.end,
    a: terminalId(link.a.at, link.a.mark),
    b: terminalId(link.b.at, link.b.mark),
    kind: link.kind
  }));
}

function adapterOf(thermostat: Thermostat, machine: Equipment, beside: string | undefined): Adapter {
  return {
    kind: 'adapter',
    id: machine.id,
    place: 'equipment',
    name: machine.name || 'adapter of the old thermostat',
    marks: withUsed(machine.marks, usedMarks(thermostat, machine.id)),
    ...(beside === undefined ? {} : { beside })
  };
}

/** Nobody writes down the short pieces of such a module: each of its marks that the board has too is taken to be joined to that. */
function piecesOf(thermostat: Thermostat, machine: Equipment, board: Board | undefined): WireLink[] {
  if (!board) return [];
  const linked = new Set(
    thermostat.links
      .flatMap((one) => [one.a, one.b].filter((ref) => ref.at === machine.id))
      .map((ref) => canonicalMark(ref.mark))
  );
  return machine.marks
    .map(canonicalMark)
    .filter((mark) => mark !== 'K' && !linked.has(mark) && hasMark(board, mark))
    .map((mark) => ({
      id: `ln-${machine.id}-${mark.toLowerCase()}`,
      place: 'equipment',
      a: terminalId(machine.id, mark),
      b: terminalId(board.id, mark),
      kind: 'wire'
    }));
}

function boardOf(thermostat: Thermostat, machine: Equipment): Board {
  const trace = traceOf(machine);
  return {
    kind: 'board',
    id: machine.id,
    place: 'equipment',
    name: machine.name,
    marks: withUsed(
      [...machine.marks, ...(trace.state === 'agreed' ? ['C'] : [])],
      usedMarks(thermostat, machine.id)
    ),
    transformerVa: machine.transformerVa,
    fuseAmps: machine.fuseAmps,
    machine: machine.kind,
    accessories: machine.accessories,
    tracedCommon: trace.state === 'agreed' ? trace.spot : null,
    others: machine.others.map((one) => ({ mark: canonicalMark(one.mark), what: one.what }))
  };
}

function unreadBoard(): Board {
  return {
    kind: 'board',
    id: UNREAD_BOARD_ID,
    place: 'equipment',
    name: 'equipment',
    marks: [],
    transformerVa: null,
    fuseAmps: null,
    machine: 'unknown',
    accessories: [],
    tracedCommon: null,
    others: []
  };
}

/** Marks that conductors and links of this thermostat are recorded on at a device. */
function usedMarks(thermostat: Thermostat, at: string): string[] {
  const refs = [
    ...thermostat.conductors.flatMap((one) => [...one.wall.on, ...one.equipment.on]),
    ...thermostat.links.flatMap((one) => [one.a, one.b])
  ];
  return refs.filter((ref) => ref.at === at).map((ref) => ref.mark);
}

function withUsed(marks: readonly string[], used: readonly string[]): string[] {
  const seen = new Set<string>();
  return [...marks, ...used].filter((mark) => {
    const canonical = canonicalMark(mark);
    return !seen.has(canonical) && seen.add(canonical);
  });
}

function strandsOf(thermostat: Thermostat): Strand[] {
  const taken = new Set<string>();
  return thermostat.conductors.map((conductor) => {
    const cable = thermostat.cables.find((one) => one.id === conductor.cable);
    return {
      id: ownId(conductor.id, taken),
      cable: conductor.cable,
      name: conductorName(conductor),
      colour: conductor.colour,
      colourBeyond: colourBeyond(conductor),
      stripe: conductor.stripe,
      spliced: spliced(conductor),
      continuity: conductor.continuity,
      ohms: conductorOhms(cable?.gauge ?? null, cable?.lengthM ?? null),
      wall: landingOf(conductor.wall),
      equipment: landingOf(conductor.equipment)
    };
  });
}

/** A record with one id twice is a finding; in the graph the second still needs a name of its own. */
function ownId(id: string, taken: Set<string>): string {
  let own = id;
  for (let number = 2; taken.has(own); number += 1) own = `${id}#${number}`;
  taken.add(own);
  return own;
}

function colourBeyond(conductor: Conductor): Strand['colourBeyond'] {
  const last = conductor.splices.at(-1);
  return last ? last.colourBeyond : conductor.colour;
}

function spliced(conductor: Conductor): Strand['spliced'] {
  if (conductor.splices.length === 0) return 'no';
  return conductor.splices.every((one) => one.seen) ? 'seen' : 'hidden';
}

function landingOf(end: ConductorEnd): Landing {
  if (end.state !== 'landed') return { state: end.state };
  const [first] = end.on;
  return first ? { state: 'landed', terminal: terminalId(first.at, first.mark) } : { state: 'unseen' };
}

export interface Assumed {
  readonly wiring: Wiring;
  /** Strands whose equipment end was not seen and is taken to sit on the same mark as at the wall. */
  readonly strands: readonly string[];
}

/**
 * Fills in what must be guessed before anything can be solved: a conductor landed at the wall whose other end nobody has seen is taken
 * to be on the same mark. The names of those strands come along, since a result that rests on them is not a proof yet.
 */
export function assumeUnseenEnds(wiring: Wiring): Assumed {
  const assumed: string[] = [];
  let devices = wiring.devices;
  const strands = wiring.strands.map((strand) => {
    if (strand.equipment.state !== 'unseen' || strand.wall.state !== 'landed') return strand;
    const mark = strand.wall.terminal.slice(strand.wall.terminal.lastIndexOf('.') + 1);
    const wanted = mark === 'RH' || mark === 'RC' ? 'R' : mark;
    const all = boards({ ...wiring, devices });
    const board = all.find((one) => hasMark(one, wanted)) ?? all[0];
    if (!board) return strand;
    assumed.push(strand.id);
    if (!hasMark(board, wanted)) {
      devices = devices.map((one) =>
        one.id === board.id ? { ...board, marks: [...board.marks, wanted] } : one
      );
    }
    return { ...strand, equipment: { state: 'landed', terminal: terminalId(board.id, wanted) } as const };
  });
  return { wiring: { ...wiring, devices, strands }, strands: assumed };
}
