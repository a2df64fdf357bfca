/** Ids carry their kind as a prefix, so that a stray id in a message or a file tells what it names. */
import * as v from 'valibot';

export const ID_PREFIXES = {
  job: 'job',
  thermostat: 'th',
  equipment: 'eq',
  cable: 'ca',
  conductor: 'co',
  link: 'ln',
  splice: 'sp',
  device: 'de',
  photo: 'ph',
  foundEnd: 'fe',
  screw: 'sc',
  place: 'pl',
  log: 'lg',
  mainsDevice: 'md',
  controller: 'ct'
} as const;
export type IdKind = keyof typeof ID_PREFIXES;

function idOf<const K extends IdKind>(kind: K) {
  const prefix = ID_PREFIXES[kind];
  const shape = new RegExp(`^${prefix}-[a-z0-9][a-z0-9-]{0,47}$`);
  return v.pipe(
    v.string(),
    v.regex(shape, `an id that starts with "${prefix}-" and goes on in lower case, digits and hyphens`),
    v.brand(kind)
  );
}

export const JobId = idOf('job');
export type JobId = v.InferOutput<typeof JobId>;
export const ThermostatId = idOf('thermostat');
export type ThermostatId = v.InferOutput<typeof ThermostatId>;
export const EquipmentId = idOf('equipment');
export type EquipmentId = v.InferOutput<typeof EquipmentId>;
export const CableId = idOf('cable');
export type CableId = v.InferOutput<typeof CableId>;
export const ConductorId = idOf('conductor');
export type ConductorId = v.InferOutput<typeof ConductorId>;
export const LinkId = idOf('link');
export type LinkId = v.InferOutput<typeof LinkId>;
export const SpliceId = idOf('splice');
export type SpliceId = v.InferOutput<typeof SpliceId>;
export const DeviceId = idOf('device');
export type DeviceId = v.InferOutput<typeof DeviceId>;
export const PhotoId = idOf('photo');
export type PhotoId = v.InferOutput<typeof PhotoId>;
export const FoundEndId = idOf('foundEnd');
export type FoundEndId = v.InferOutput<typeof FoundEndId>;

export const ScrewId = idOf('screw');
export type ScrewId = v.InferOutput<typeof ScrewId>;
export const PlaceId = idOf('place');
export type PlaceId = v.InferOutput<typeof PlaceId>;
export const LogId = idOf('log');
export type LogId = v.InferOutput<typeof LogId>;

export const MainsDeviceId = idOf('mainsDevice');
export type MainsDeviceId = v.InferOutput<typeof MainsDeviceId>;
export const ControllerId = idOf('controller');
export type ControllerId = v.InferOutput<typeof ControllerId>;

interface IdOf {
  job: JobId;
  thermostat: ThermostatId;
  equipment: EquipmentId;
  cable: CableId;
  conductor: ConductorId;
  link: LinkId;
  splice: SpliceId;
  device: DeviceId;
  photo: PhotoId;
  foundEnd: FoundEndId;
  screw: ScrewId;
  place: PlaceId;
  log: LogId;
  mainsDevice: MainsDeviceId;
  controller: ControllerId;
}

/** The id of a kind with the given rest. Throws on a rest that makes no valid id: a programmer's mistake. */
export function makeId<K extends IdKind>(kind: K, rest: string): IdOf[K] {
  return v.parse(idOf(kind), `${ID_PREFIXES[kind]}-${rest}`) as IdOf[K];
}

/** The id with this rest, or with a number behind it where that is taken: `sc-w1`, `sc-w1-2`, … */
export function freeId<K extends IdKind>(kind: K, rest: string, taken: Iterable<string>): IdOf[K] {
  const used = new Set(taken);
  const base = rest.slice(0, 40);
  let id = `${ID_PREFIXES[kind]}-${base}`;
  for (let number = 2; used.has(id); number += 1) id = `${ID_PREFIXES[kind]}-${base}-${number}`;
  return makeId(kind, id.slice(ID_PREFIXES[kind].length + 1));
}

/** The next id of a kind that is not taken: `co-1`, `co-2`, … */
export function nextId<K extends IdKind>(kind: K, taken: Iterable<string>): IdOf[K] {
  return nextNumbered(ID_PREFIXES[kind], new Set(taken)) as IdOf[K];
}

/** The first of `co-1`, `co-2`, … that is not taken, for a prefix such as `co`. */
export function nextNumbered(prefix: string, taken: ReadonlySet<string>): string {
  let number = 1;
  while (taken.has(`${prefix}-${number}`)) number += 1;
  return `${prefix}-${number}`;
}
