/**
 * A job as version 1 of the file had it, and the way to version 2. In version 1 a terminal was a mark at a machine, a conductor had a wall
 * end and an equipment end, and what was done was a list of ticks. What has not changed since is taken from the present schema.
 */
import * as v from 'valibot';
import { Gauge } from '../trade/cable';
import { ColourCode } from '../trade/colours';
import { canonicalMark, markSlug, ZONE_MARK } from '../trade/terminals';
import { CALLS, EndState } from '../trade/vocabulary';
import { CableId, ConductorId, EquipmentId, FoundEndId, LinkId, PhotoId, ThermostatId } from './ids';
import { mark, positive, shortText, timeText } from './primitives';
import { Photo } from './reading-schema';
import { Equipment, Job, Splice, Thermostat, type Screw, type ScrewRef } from './schema';
import { newScrew, screwsFrom } from './screws';

const TerminalRef = v.strictObject({ at: v.union([ThermostatId, EquipmentId]), mark });
const End = v.strictObject({ state: EndState, on: v.pipe(v.array(TerminalRef), v.maxLength(8)) });
const Conductor = v.strictObject({
  id: ConductorId,
  cable: CableId,
  colour: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  label: shortText,
  position: v.optional(v.nullable(v.number()), null),
  wall: End,
  equipment: End,
  splices: v.pipe(v.array(Splice), v.maxLength(8)),
  continuity: v.picklist(['untested', 'proven', 'broken'])
});
const Cable = v.strictObject({
  id: CableId,
  name: shortText,
  gauge: v.nullable(Gauge),
  lengthM: v.nullable(positive(1000)),
  path: v.picklist(['free', 'stapled', 'unknown'])
});
const Link = v.strictObject({
  id: LinkId,
  end: v.picklist(['wall', 'equipment']),
  a: TerminalRef,
  b: TerminalRef,
  kind: v.picklist(['wire', 'clip', 'inside'])
});
const Pin = v.strictObject({
  x: v.number(),
  y: v.number(),
  to: v.union([
    v.strictObject({ kind: v.literal('conductor'), conductor: ConductorId }),
    v.strictObject({ kind: v.literal('terminal'), at: v.union([ThermostatId, EquipmentId]), mark })
  ])
});
const PhotoOfThen = v.strictObject({
  ...Photo.entries,
  id: PhotoId,
  pins: v.pipe(v.array(Pin), v.maxLength(60))
});
const FoundEnd = v.strictObject({
  id: FoundEndId,
  cable: CableId,
  colour: v.nullable(ColourCode),
  stripe: v.nullable(ColourCode),
  state: EndState,
  on: v.nullable(v.strictObject({ at: EquipmentId, mark })),
  not: v.pipe(v.array(ConductorId), v.maxLength(200))
});
const Note = v.strictObject({
  at: timeText,
  wiring: v.picklist(['before', 'after']),
  call: v.picklist(CALLS),
  faults: v.pipe(v.array(shortText), v.maxLength(20)),
  showed: v.pipe(v.array(shortText), v.maxLength(40))
});
const Tick = v.strictObject({ key: v.pipe(v.string(), v.maxLength(400)), at: timeText });

const { screws: _boardScrews, others: _others, ...machineEntries } = Equipment.entries;
const Machine = v.strictObject({
  ...machineEntries,
  marks: v.pipe(v.array(mark), v.maxLength(40, 'at most 40 terminals')),
  others: v.optional(v.pipe(v.array(v.strictObject({ mark, what: shortText })), v.maxLength(40)), [])
});

const {
  screws: _plateScrews,
  log: _log,
  oldTicks: _oldTicks,
  notes: _notes,
  mains: _mains,
  ...placeEntries
} = Thermostat.entries;
const Point = v.strictObject({
  ...placeEntries,
  marks: v.pipe(v.array(mark), v.maxLength(32, 'at most 32 terminals')),
  cables: v.pipe(v.array(Cable), v.maxLength(16, 'at most 16 cables')),
  conductors: v.pipe(v.array(Conductor), v.maxLength(200, 'at most 200 conductors')),
  links: v.pipe(v.array(Link), v.maxLength(100, 'at most 100 links')),
  photos: v.optional(v.pipe(v.array(PhotoOfThen), v.maxLength(60)), []),
  foundEnds: v.optional(v.pipe(v.array(FoundEnd), v.maxLength(200)), []),
  bench: v.optional(v.pipe(v.array(Note), v.maxLength(200)), []),
  done: v.optional(v.pipe(v.array(Tick), v.maxLength(400)), [])
});

const { places: _places, ...jobEntries } = Job.entries;
export const JobV1 = v.strictObject({
  ...jobEntries,
  version: v.literal(1),
  equipment: v.pipe(v.array(Machine), v.maxLength(24, 'at most 24 machines')),
  thermostats: v.pipe(v.array(Point), v.maxLength(40, 'at most 40 thermostats'))
});
export type JobV1 = v.InferOutput<typeof JobV1>;
type PointV1 = JobV1['thermostats'][number];
type WiredPoint = Pick<PointV1, 'id' | 'conductors' | 'equipment'>;

/** The same job in version 2. Nothing of it is lost: what has no field any more is kept in words. */
export function fromVersion1(job: JobV1): v.InferInput<typeof Job> {
  const plates = new Plates(job);
  const thermostats = job.thermostats.map((thermostat) => pointFrom(thermostat, job, plates));
  return {
    ...job,
    version: 2,
    places: [],
    equipment: job.equipment.map(({ marks: _marks, others, ...machine }) => ({
      ...machine,
      others: others.map((other) => ({
        screw: plates.ref(null, machine.id, other.mark).screw,
        what: other.what
      })),
      // Last: what conductors and photos named besides the list has come in by then.
      screws: plates.at(machine.id)
    })),
    thermostats: thermostats.map((thermostat) => ({ ...thermostat, screws: plates.at(thermostat.id) }))
  };
}

function pointFrom(
  { marks: _marks, done, ...point }: PointV1,
  job: JobV1,
  plates: Plates
): v.InferInput<typeof Thermostat> {
  const end = ({ state, on }: PointV1['conductors'][number]['wall']) => ({
    state,
    on: on.map((ref) => plates.ref(point.id, ref.at, ref.mark))
  });
  const conductors = point.conductors.map(({ wall, equipment, ...rest }) => ({
    ...rest,
    near: end(wall),
    far: end(equipment)
  }));
  return {
    ...point,
    screws: [],
    cables: point.cables.map((cable) => ({ ...cable, near: point.id, far: machineOf(cable.id, point, job) })),
    conductors,
    links: point.links.map(({ end: side, a, b, ...link }) => ({
      ...link,
      at: side === 'wall' ? point.id : equipmentOf([a.at, b.at], point),
      a: plates.ref(point.id, a.at, a.mark),
      b: plates.ref(point.id, b.at, b.mark)
    })),
    photos: point.photos.map((photo) => ({
      ...photo,
      pins: photo.pins.map(({ to, ...pin }) => ({
        ...pin,
        to:
          to.kind === 'conductor'
            ? to
            : { kind: 'terminal' as const, ...plates.ref(point.id, to.at, to.mark) }
      }))
    })),
    foundEnds: point.foundEnds.map(({ on, ...found }) => ({
      ...found,
      on: on === null ? null : { at: on.at, screw: plates.ref(point.id, on.at, on.mark).screw }
    })),
    bench: point.bench.map((note) => ({ ...note, wiring: note.wiring === 'before' ? 'found' : 'after' })),
    mains: null,
    log: [],
    oldTicks: done,
    notes: []
  };
}

/** The machine that a cable goes to: the one that its conductors are landed at, else the only one there is. */
function machineOf(cable: string, point: WiredPoint, job: JobV1): EquipmentId | null {
  const inLine = new Set(
    job.equipment.filter((machine) => machine.kind === 'old-adapter').map((machine) => machine.id)
  );
  const landed = new Set(
    point.conductors
      .filter((conductor) => conductor.cable === cable)
      .flatMap((conductor) => conductor.equipment.on.map((ref) => ref.at as EquipmentId))
      .filter((id) => point.equipment.includes(id) && !inLine.has(id))
  );
  const machines = landed.size > 0 ? [...landed] : point.equipment.filter((id) => !inLine.has(id));
  return machines.length === 1 ? (machines[0] ?? null) : null;
}

function equipmentOf(ends: readonly string[], point: WiredPoint): EquipmentId | ThermostatId {
  const own = point.equipment.find((id) => ends.includes(id));
  return own ?? point.equipment[0] ?? point.id;
}

/** The screws of every plate and machine, from its list of marks, with those that only a conductor, a link or a pin names. */
class Plates {
  private readonly screws = new Map<string, Screw[]>();
  private readonly zones = new Map<string, string>();
  private readonly panels: ReadonlySet<string>;

  constructor(job: JobV1) {
    for (const thermostat of [...job.thermostats, ...job.equipment])
      this.screws.set(thermostat.id, screwsFrom(thermostat.marks));
    const panel = (kind: string) => kind === 'zone-panel' || kind === 'zone-pump-panel';
    this.panels = new Set(
      job.equipment.filter((machine) => panel(machine.kind)).map((machine) => machine.id)
    );
  }

  at(id: string): Screw[] {
    return this.screws.get(id) ?? [];
  }

  /**
   * The screw of a mark. On a panel of zones the same mark of two thermostats was never the same screw, so each gets one of its own. A
   * machine that the job does not hold gets none: the reference stays as it was, and is said.
   */
  ref(thermostat: string | null, at: ThermostatId | EquipmentId, print: string): ScrewRef {
    const known = this.screws.get(at);
    if (!known) return { at, screw: newScrew([], print).id };
    const canonical = canonicalMark(print);
    const same =
      known.filter((screw) => screw.mark === print).length > 0
        ? known.filter((screw) => screw.mark === print)
        : known.filter((screw) => markSlug(screw.mark) === markSlug(print));
    const [first] = same;
    if (!this.isZoneCall(at, canonical) || thermostat === null)
      return { at, screw: (first ?? this.add(at, print)).id };
    const owner = (screw: Screw) => this.zones.get(`${at} ${screw.id}`);
    const own =
      same.find((screw) => owner(screw) === thermostat) ??
      same.find((screw) => owner(screw) === undefined) ??
      this.add(at, print);
    this.zones.set(`${at} ${own.id}`, thermostat);
    return { at, screw: own.id };
  }

  private isZoneCall(at: string, canonical: string): boolean {
    return this.panels.has(at) && (['W1', 'T2', 'TT'].includes(canonical) || ZONE_MARK.test(canonical));
  }

  private add(at: string, print: string): Screw {
    const list = this.screws.get(at) ?? [];
    const screw = newScrew(list, print);
    this.screws.set(at, [...list, screw]);
    return screw;
  }
}
