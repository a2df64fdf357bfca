/** Small houses for tests, written as one writes them on paper: `'RD R R'` is red, on R at the wall and on R at the equipment. */
import { COLOUR_CODES, type ColourCode } from '../trade/colours';
import type { Family } from '../trade/vocabulary';
import { emptyCable, emptyConductor, landedOn, newJob } from '../job/create';
import { endFrom } from '../job/edits';
import { makeId, nextId, type EquipmentId } from '../job/ids';
import type { Conductor, Equipment, Job, Link, Thermostat } from '../job/schema';

export interface HouseSketch {
  /** `COLOUR WALL EQUIPMENT`, where an end is a mark, `loose`, `coiled` or `unseen`. */
  readonly strands: readonly string[];
  readonly board?: readonly string[];
  /** `END A B`, for example `wall RH RC`. */
  readonly links?: readonly string[];
  readonly plate?: readonly string[];
  readonly observed?: Thermostat['observed'];
  readonly stated?: Family | null;
  readonly equipment?: Partial<Equipment>;
  /** Further machines; an end on one of them is written `MARK@2` for the second machine, `MARK@3` for the third. */
  readonly further?: readonly Partial<Equipment>[];
  readonly lengthM?: number | null;
  readonly path?: 'free' | 'stapled' | 'unknown';
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
  const cable = { ...emptyCable(nextId('cable', []), 'cable', 18, 15), path: sketch.path ?? 'free' };
  const thermostat: Thermostat = {
    ...place,
    marks: [...(sketch.plate ?? [])],
    cables: [sketch.lengthM === undefined ? cable : { ...cable, lengthM: sketch.lengthM }],
    conductors: sketch.strands.map((line, index) =>
      conductor(line, index, place.id, machine.id, cable.id, sketch.continuity)
    ),
    links: (sketch.links ?? []).map((line, index) => link(line, index, place.id, machine.id)),
    observed: sketch.observed ?? {},
    statedFamily: sketch.stated ?? null,
    outlet: sketch.outlet ?? 'near'
  };
  const equipment: Equipment = {
    ...machine,
    name: 'furnace',
    marks: [...(sketch.board ?? [])],
    transformerVa: 40,
    fuseAmps: 3,
    ...sketch.equipment
  };
  const further = (sketch.further ?? []).map((one, index): Equipment => ({
    ...machine,
    id: makeId('equipment', String(index + 2)),
    name: `machine ${index + 2}`,
    transformerVa: 40,
    fuseAmps: 3,
    ...one
  }));
  const whole = { ...thermostat, equipment: [machine.id, ...further.map((one) => one.id)] };
  return { job: { ...base, equipment: [equipment, ...further], thermostats: [whole] }, thermostat: whole };
}

function conductor(
  line: string,
  index: number,
  wallId: Thermostat['id'],
  boardId: EquipmentId,
  cable: Conductor['cable'],
  continuity: Conductor['continuity'] = 'proven'
): Conductor {
  const [colour = '', wall = '', equipment = ''] = line.split(' ');
  return {
    ...emptyConductor(makeId('conductor', String(index + 1)), cable, colourOf(colour)),
    wall: endFrom(wall, wallId),
    equipment: endAt(equipment, boardId),
    continuity
  };
}

function endAt(word: string, first: EquipmentId): Conductor['equipment'] {
  const [mark = '', machine] = word.split('@');
  return endFrom(mark, machine === undefined ? first : makeId('equipment', machine));
}

function colourOf(code: string): ColourCode | null {
  return COLOUR_CODES.find((one) => one === code) ?? null;
}

function link(line: string, index: number, wallId: Thermostat['id'], boardId: EquipmentId): Link {
  const [end, a = '', b = ''] = line.split(' ');
  const at = end === 'wall' ? wallId : boardId;
  return {
    id: makeId('link', String(index + 1)),
    end: end === 'wall' ? 'wall' : 'equipment',
    a: landedOn(at, a).on[0]!,
    b: landedOn(at, b).on[0]!,
    kind: 'wire'
  };
}
