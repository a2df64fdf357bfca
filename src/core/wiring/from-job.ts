/** From what was recorded to the graph, with the doubt in it: an end that nobody saw stays `unseen`. */
import { conductorName } from '../job/names';
import type {
  Conductor,
  ConductorEnd,
  Equipment,
  Job,
  Place as RecordedPlace,
  Screw as RecordedScrew,
  ScrewRef,
  Thermostat
} from '../job/schema';
import { isAnothersZone, screwsAt } from '../job/screws';
import { traceOf } from '../reading/trace-common';
import { conductorOhms } from '../trade/cable';
import {
  boards,
  hasMark,
  landedMark,
  screwThat,
  terminalId,
  terminalOfScrew,
  type Adapter,
  type Board,
  type Landing,
  type Place,
  type PlugInTransformer,
  type Screw,
  type Strand,
  type WireLink,
  type Wiring
} from './graph';
import { readIn } from './meaning';

/** The board that stands in where no machine is recorded at all. */
export const UNREAD_BOARD_ID = 'eq-unread';

export function wiringOf(job: Job, thermostat: Thermostat): Wiring {
  // An outdoor unit is no board of the thermostat's, unless a conductor of the thermostat's cable was found in it.
  const machines = job.equipment.filter(
    (machine) =>
      thermostat.equipment.includes(machine.id) &&
      (machine.kind !== 'outdoor-unit' || refsOf(thermostat).some((ref) => ref.at === machine.id))
  );
  const adapters = machines.filter((machine) => machine.kind === 'old-adapter');
  const withBoard = machines.filter((machine) => machine.kind !== 'old-adapter');
  const all =
    withBoard.length > 0 ? withBoard.map((machine) => boardOf(job, thermostat, machine)) : [unreadBoard()];
  const [main] = all;
  const outlets = job.places.filter(
    (place) => place.kind === 'outlet' && refsOf(thermostat).some((ref) => ref.at === place.id)
  );
  const unread: Wiring = {
    places: placesOf(job, thermostat, all),
    devices: [
      {
        kind: 'old-thermostat',
        id: thermostat.id,
        at: thermostat.id,
        name: 'old thermostat',
        supply: thermostat.oldSupply,
        screws: thermostat.screws.map((screw) => screwOf(thermostat.id, screw))
      },
      ...all,
      ...adapters.map((adapter) => adapterOf(adapter, main)),
      ...outlets.map(plugOf)
    ],
    cables: thermostat.cables.map(({ id, name, path, insulation, lengthM, gauge, near, far }) => ({
      id,
      name,
      path,
      insulation,
      lengthM,
      gauge,
      near,
      far
    })),
    strands: strandsOf(thermostat),
    links: recordedLinks(thermostat)
  };
  const read = readIn(unread, null);
  const pieces = read.devices.flatMap((device) => (device.kind === 'adapter' ? piecesOf(read, device) : []));
  return pieces.length === 0 ? read : { ...read, links: [...read.links, ...pieces] };
}

/** Every screw that a conductor or a link of the thermostat is recorded on. */
function refsOf(thermostat: Thermostat): ScrewRef[] {
  return [
    ...thermostat.conductors.flatMap((conductor) => [...conductor.near.on, ...conductor.far.on]),
    ...thermostat.links.flatMap((link) => [link.a, link.b])
  ];
}

function placesOf(job: Job, thermostat: Thermostat, all: readonly Board[]): Place[] {
  return [
    { id: thermostat.id, kind: 'wall', name: 'wall' },
    ...all.map((board): Place => ({ id: board.at, kind: 'machine', name: board.name })),
    ...job.places.map(({ id, kind, name }): Place => ({ id, kind, name }))
  ];
}

function screwOf(at: string, { id, mark, role }: RecordedScrew): Screw {
  return { id: terminalOfScrew(at, id), mark, role: role?.means ?? null, means: [] };
}

function recordedLinks(thermostat: Thermostat): WireLink[] {
  return thermostat.links.map((link) => ({
    id: link.id,
    at: link.at,
    a: terminalOfScrew(link.a.at, link.a.screw),
    b: terminalOfScrew(link.b.at, link.b.screw),
    kind: link.kind
  }));
}

/** A module of the old thermostat stands beside the board that it is wired to. */
function adapterOf(machine: Equipment, beside: Board | undefined): Adapter {
  return {
    kind: 'adapter',
    id: machine.id,
    at: beside?.at ?? machine.id,
    name: machine.name || 'adapter of the old thermostat',
    screws: machine.screws.map((screw) => screwOf(machine.id, screw))
  };
}

/** A small supply that an earlier owner left in an outlet. A size that nobody has read counts as the usual one of such supplies. */
function plugOf(place: RecordedPlace): PlugInTransformer {
  return {
    kind: 'plug-in-transformer',
    id: place.id,
    at: place.id,
    name: place.name || 'plug-in supply',
    screws: place.screws.map((screw) => screwOf(place.id, screw)),
    va: place.supplyVa ?? USUAL_PLUG_VA
  };
}

const USUAL_PLUG_VA = 20;

/** Nobody writes down the short pieces of such a module: each of its marks that the board has too is taken to be joined to that. */
function piecesOf(wiring: Wiring, adapter: Adapter): WireLink[] {
  const board = boards(wiring).find((candidate) => candidate.at === adapter.at);
  if (!board) return [];
  const linked = new Set(wiring.links.flatMap((link) => [link.a, link.b]));
  return adapter.screws.flatMap((screw): WireLink[] => {
    const [mark] = screw.means;
    const other = mark === undefined || mark === 'K' ? undefined : screwThat(board, mark);
    if (!other || mark === undefined || linked.has(screw.id)) return [];
    const id = `ln-${adapter.id}-${mark.toLowerCase()}`;
    return [{ id, at: adapter.at, a: screw.id, b: other.id, kind: 'wire' }];
  });
}

function boardOf(job: Job, thermostat: Thermostat, machine: Equipment): Board {
  const trace = traceOf(machine);
  const own = screwsAt(job, machine.id).filter(
    (screw) => !isAnothersZone(job, thermostat, machine.id, screw)
  );
  const traced: Screw = { id: terminalId(machine.id, 'C'), mark: '', role: 'common', means: ['C'] };
  return {
    kind: 'board',
    id: machine.id,
    at: machine.id,
    name: machine.name,
    screws: [
      ...own.map((screw) => screwOf(machine.id, screw)),
      ...(trace.state === 'agreed' ? [traced] : [])
    ],
    transformerVa: machine.transformerVa,
    fuseAmps: machine.fuseAmps,
    machine: machine.kind,
    accessories: machine.accessories,
    tracedCommon: trace.state === 'agreed' ? trace.spot : null,
    others: machine.others.map((other) => ({
      terminal: terminalOfScrew(machine.id, other.screw),
      what: other.what,
      kind: other.kind
    }))
  };
}

function unreadBoard(): Board {
  return {
    kind: 'board',
    id: UNREAD_BOARD_ID,
    at: UNREAD_BOARD_ID,
    name: 'equipment',
    screws: [],
    transformerVa: null,
    fuseAmps: null,
    machine: 'unknown',
    accessories: [],
    tracedCommon: null,
    others: []
  };
}

function strandsOf(thermostat: Thermostat): Strand[] {
  const taken = new Set<string>();
  const names = namesApart(thermostat);
  return thermostat.conductors.map((conductor) => {
    const cable = thermostat.cables.find((candidate) => candidate.id === conductor.cable);
    return {
      id: ownId(conductor.id, taken),
      cable: conductor.cable,
      name: names.get(conductor) ?? conductorName(conductor),
      colour: conductor.colour,
      colourBeyond: colourBeyond(conductor),
      stripe: conductor.stripe,
      spliced: spliced(conductor),
      continuity: conductor.continuity,
      ohms: conductorOhms(cable?.gauge ?? null, cable?.lengthM ?? null),
      near: landingOf(conductor.near),
      far: landingOf(conductor.far)
    };
  });
}

/** Wires of one colour are told apart by their place in the sheath, by their cable, or else by a number of their own. */
function namesApart(thermostat: Thermostat): Map<Conductor, string> {
  const byName = new Map<string, Conductor[]>();
  for (const conductor of thermostat.conductors) {
    const name = conductorName(conductor);
    byName.set(name, [...(byName.get(name) ?? []), conductor]);
  }
  const cableOf = (conductor: Conductor) =>
    thermostat.cables.find((cable) => cable.id === conductor.cable)?.name ?? '';
  return new Map(
    [...byName].flatMap(([name, same]) => {
      if (same.length === 1) return [];
      const ways = [
        same.map((conductor) => (conductor.position === null ? '' : `no. ${conductor.position}`)),
        same.map((conductor) => `of ${cableOf(conductor)}`)
      ];
      const [apart = same.map((_, at) => `(${at + 1} of ${same.length})`)] = ways.filter(
        (words) => new Set(words).size === same.length && !words.includes('')
      );
      return same.map((conductor, at): [Conductor, string] => [conductor, `${name} ${apart[at]}`]);
    })
  );
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
  return conductor.splices.every((splice) => splice.seen) ? 'seen' : 'hidden';
}

function landingOf(end: ConductorEnd): Landing {
  if (end.state !== 'landed') return { state: end.state };
  const [first] = end.on;
  return first ? { state: 'landed', terminal: terminalOfScrew(first.at, first.screw) } : { state: 'unseen' };
}

export interface Assumed {
  readonly wiring: Wiring;
  /** Strands whose far end was not seen and is taken to sit on the same mark as the near one. */
  readonly strands: readonly string[];
}

/**
 * Fills in what must be guessed before anything can be solved: a conductor landed at the wall whose other end nobody has seen is taken
 * to be on the same mark, at the machine that its cable goes to where that is known. The names of those strands come along, since a result
 * that rests on them is not a proof yet.
 */
export function assumeUnseenEnds(wiring: Wiring): Assumed {
  const assumed: string[] = [];
  let devices = wiring.devices;
  const strands = wiring.strands.map((strand) => {
    if (strand.far.state !== 'unseen' || strand.near.state !== 'landed') return strand;
    const mark = landedMark(wiring, strand.near);
    if (mark === null) return strand;
    const wanted = mark === 'RH' || mark === 'RC' ? 'R' : mark;
    const goesTo = wiring.cables.find((cable) => cable.id === strand.cable)?.far ?? null;
    const all = boards({ ...wiring, devices });
    const there = all.filter((candidate) => candidate.at === goesTo);
    const among = there.length > 0 ? there : all;
    const board = among.find((candidate) => hasMark(candidate, wanted)) ?? among[0];
    if (!board) return strand;
    assumed.push(strand.id);
    const known = screwThat(board, wanted);
    const screw = known ?? { id: freshTerminal(board, wanted), mark: wanted, role: null, means: [wanted] };
    if (!known)
      devices = devices.map((device) =>
        device.id === board.id ? { ...board, screws: [...board.screws, screw] } : device
      );
    return { ...strand, far: { state: 'landed', terminal: screw.id } as const };
  });
  return assumed.length === 0
    ? { wiring, strands: assumed }
    : { wiring: { ...wiring, devices, strands }, strands: assumed };
}

function freshTerminal(board: Board, mark: string): string {
  const id = terminalId(board.id, mark);
  return board.screws.some((screw) => screw.id === id) ? `${id}-ASSUMED` : id;
}
