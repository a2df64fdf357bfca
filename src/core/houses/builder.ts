/** Small houses for tests, written as one writes them on paper: `'RD R R'` is red, on R at the wall and on R at the equipment. */
import { COLOUR_CODES, type ColourCode } from '../trade/colours';
import type { Family } from '../trade/vocabulary';
import { emptyCable, emptyConductor, newJob } from '../job/create';
import { makeId, nextId, type EquipmentId } from '../job/ids';
import type {
  Conductor,
  ConductorEnd,
  Equipment,
  Job,
  Link,
  Place,
  Screw,
  ScrewRef,
  Thermostat,
  WhereId
} from '../job/schema';
import { newScrew, readScrewName, screwNamed, screwsFrom } from '../job/screws';

/** A machine as one sketches it: its marks in a list, or its screws whole. */
export type MachineSketch = Partial<Equipment> & { readonly marks?: readonly string[] };

export interface HouseSketch {
  /**
   * `COLOUR WALL EQUIPMENT`, where an end is a mark (`W`, `W#2` for the second of that print, `#1` for one without), `loose`, `coiled` or
   * `unseen`.
   */
  readonly strands: readonly string[];
  readonly board?: readonly string[];
  /** `END A B`, for example `wall RH RC`; from one machine to another `equipment R R@2`. */
  readonly links?: readonly string[];
  readonly plate?: readonly string[];
  readonly observed?: Thermostat['observed'];
  readonly stated?: Family | null;
  readonly equipment?: MachineSketch;
  /**
   * Further machines; an end on one of them is written `MARK@2` for the second machine, `MARK@3` for the third, and `MARK@plug` for a supply
   * that somebody left in an outlet.
   */
  readonly further?: readonly MachineSketch[];
  readonly lengthM?: number | null;
  readonly path?: 'free' | 'stapled' | 'unknown';
  readonly insulation?: 'sound' | 'brittle' | 'unknown';
  readonly continuity?: Conductor['continuity'];
  readonly outlet?: Thermostat['outlet'];
}

export interface House {
  readonly job: Job;
  readonly thermostat: Thermostat;
}

/** A job with one thermostat and one machine, 15 m of 18 AWG, 40 VA and a 3 A fuse unless the sketch says otherwise. */
export function house(sketch: HouseSketch): House {
  const base = newJob(makeId('job', 'sketch'), 'Sketch');
  const [machine] = base.equipment;
  const [place] = base.thermostats;
  if (!machine || !place) throw new Error('A new job holds a machine and a thermostat');
  const further = (sketch.further ?? []).map((machineSketch, index) =>
    machineOf(
      { ...machine, id: makeId('equipment', String(index + 2)), name: `machine ${index + 2}` },
      machineSketch
    )
  );
  const first = machineOf(
    { ...machine, name: 'furnace' },
    { marks: sketch.board ?? [], ...sketch.equipment }
  );
  const plates = new Plates([
    [place.id, screwsFrom(sketch.plate ?? [])],
    [PLUG, []],
    ...[first, ...further].map((machine): [string, Screw[]] => [machine.id, machine.screws])
  ]);
  const conductors = sketch.strands.map((line, index) =>
    conductor(line, index, { plates, wall: place.id, board: machine.id, continuity: sketch.continuity })
  );
  const links = (sketch.links ?? []).map((line, index) =>
    link(line, index, { plates, wall: place.id, board: machine.id })
  );
  const reached = new Set(
    conductors.flatMap((conductor) => conductor.far.on.map((ref) => ref.at)).filter((at) => at !== place.id)
  );
  const goesTo = reached.size > 1 || further.length > 0 ? null : machine.id;
  const cable = cableOf(sketch, place.id, goesTo);
  const plugged = conductors.some(isOnPlug);
  const cord = emptyCable(makeId('cable', 'cord'), 'cord', { ...CORD, near: place.id, far: PLUG });
  const equipment = [first, ...further].map((machine) => ({ ...machine, screws: plates.at(machine.id) }));
  const thermostat: Thermostat = {
    ...place,
    screws: plates.at(place.id),
    cables: plugged ? [cable, cord] : [cable],
    conductors: conductors.map((conductor) => ({
      ...conductor,
      cable: isOnPlug(conductor) ? cord.id : cable.id
    })),
    links,
    observed: sketch.observed ?? {},
    statedFamily: sketch.stated ?? null,
    outlet: sketch.outlet ?? 'near',
    equipment: equipment.map((machine) => machine.id)
  };
  const outlet: Place = {
    id: PLUG,
    kind: 'outlet',
    name: 'plug-in supply',
    screws: plates.at(PLUG),
    supplyVa: 20
  };
  const places = plugged ? [outlet] : [];
  return { job: { ...base, equipment, places, thermostats: [thermostat] }, thermostat };
}

/** The one cable of a sketch, from the plate to the machine; `far` null where it reaches several. */
function cableOf(sketch: HouseSketch, near: WhereId, far: WhereId | null) {
  const { lengthM = 15, path = 'free', insulation = 'unknown' } = sketch;
  return {
    ...emptyCable(nextId('cable', []), 'cable', { gauge: 18, lengthM, near, far }),
    path,
    insulation
  };
}

const PLUG = makeId('place', 'plug');
const CORD = { gauge: 18, lengthM: 3 } as const;

function isOnPlug(conductor: Conductor): boolean {
  return conductor.far.on.some((on) => on.at === PLUG);
}

function machineOf(base: Equipment, { marks, ...facts }: MachineSketch): Equipment {
  return { ...base, transformerVa: 40, fuseAmps: 3, screws: screwsFrom(marks ?? []), ...facts };
}

/** The screws of all plates, to which those come that only an end or a link names. */
class Plates {
  private readonly screws: Map<string, Screw[]>;

  constructor(known: readonly (readonly [string, Screw[]])[]) {
    this.screws = new Map(known);
  }

  at(id: string): Screw[] {
    return this.screws.get(id) ?? [];
  }

  ref(at: WhereId, name: string): ScrewRef {
    const read = readScrewName(name);
    if (!read) throw new Error(`${name} is no mark`);
    for (;;) {
      const screws = this.at(at);
      const found = screwNamed(screws, read.mark, read.number);
      if (found) return { at, screw: found.id };
      this.screws.set(at, [...screws, newScrew(screws, read.mark)]);
    }
  }

  end(at: WhereId, word: string): ConductorEnd {
    const state = word.toLowerCase();
    if (state === 'loose' || state === 'coiled' || state === 'unseen') return { state, on: [] };
    return { state: 'landed', on: [this.ref(at, word)] };
  }
}

interface Surroundings {
  readonly plates: Plates;
  readonly wall: Thermostat['id'];
  readonly board: EquipmentId;
  readonly continuity?: Conductor['continuity'] | undefined;
}

function conductor(
  line: string,
  index: number,
  { plates, wall, board, continuity }: Surroundings
): Conductor {
  const [colour = '', near = '', far = ''] = line.split(' ');
  const [mark = '', machine] = far.split('@');
  return {
    ...emptyConductor(makeId('conductor', String(index + 1)), makeId('cable', '1'), colourOf(colour)),
    near: plates.end(wall, near),
    far: plates.end(whereOf(machine, board), mark),
    continuity: continuity ?? 'proven'
  };
}

function whereOf(name: string | undefined, board: EquipmentId): WhereId {
  if (name === undefined) return board;
  return name === 'plug' ? PLUG : makeId('equipment', name);
}

function colourOf(code: string): ColourCode | null {
  return COLOUR_CODES.find((candidate) => candidate === code) ?? null;
}

function link(line: string, index: number, { plates, wall, board }: Surroundings): Link {
  const [end, a = '', b = ''] = line.split(' ');
  const at = end === 'wall' ? wall : board;
  const screwOf = (word: string) => {
    const [mark = '', machine] = word.split('@');
    return plates.ref(machine === undefined ? at : whereOf(machine, board), mark);
  };
  return {
    id: makeId('link', String(index + 1)),
    at,
    a: screwOf(a),
    b: screwOf(b),
    kind: 'wire'
  };
}
