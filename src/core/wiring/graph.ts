/**
 * The graph that everything is read from: devices with screws, joined by strands (conductors) and links, each at a place. Plain readonly
 * data. The record, the proof, the plan and the printed sheet are all readings of it. What a log has to hold of it is defined by the
 * schemas in `job/graph-schema.ts`; ids say nothing by themselves, `terminalAt` and its kin look things up.
 */
import type * as v from 'valibot';
import type { StrandEnd } from '../job/edits';
import type {
  GraphAdapter,
  GraphAdded,
  GraphCable,
  GraphLink,
  GraphMains,
  GraphNewThermostat,
  GraphOldThermostat,
  GraphPlace,
  GraphPlugIn,
  GraphReceiver,
  GraphScrew,
  GraphSplitter,
  GraphStrand,
  Landing as LandingSchema
} from '../job/graph-schema';
import type { DeviceFacts } from '../job/device-facts';
import type { Equipment, MachineKind } from '../job/schema';
import { canonicalMark, markSlug, usualMeanings } from '../trade/terminals';
import type { OtherKind } from '../trade/machine-kinds';
import type { EndSide } from '../trade/vocabulary';

type Out<T extends v.GenericSchema> = Readonly<v.InferOutput<T>>;

/** Somewhere that an end can be: a wall point, a machine, an outlet, a strip where cables meet, a joint. */
export type Place = Out<typeof GraphPlace>;

/** A screw. `means`: the canonical marks that it stands for in this house, empty where nobody knows (`meaning.ts`). */
export type Screw = Out<typeof GraphScrew>;
/** The id of a screw in the graph. */
export type TerminalId = string;

/** The thermostat that hangs there today. */
export type OldThermostat = Out<typeof GraphOldThermostat>;
export type NewThermostat = Out<typeof GraphNewThermostat>;
export type Receiver = Out<typeof GraphReceiver>;
export type PlugInTransformer = Out<typeof GraphPlugIn>;
export type AddedTransformer = Out<typeof GraphAdded>;
export type Adapter = Out<typeof GraphAdapter>;
export type Splitter = Out<typeof GraphSplitter>;
/** A device of mains heating controls. */
export type MainsUnit = Out<typeof GraphMains>;

/** The terminal strip of a machine, with its control transformer behind it. */
export interface Board {
  readonly kind: 'board';
  readonly id: string;
  readonly at: string;
  readonly name: string;
  readonly screws: readonly Screw[];
  /** Nameplate VA; null when it was not read. */
  readonly transformerVa: number | null;
  readonly fuseAmps: number | null;
  /** The spot that two findings showed to be common, where no screw is marked C. */
  readonly tracedCommon: string | null;
  /** What the inventory says that it is. */
  readonly machine: MachineKind;
  readonly accessories: Equipment['accessories'];
  /** Conductors under its screws that are not the thermostat's: they are left alone. */
  readonly others: readonly {
    readonly terminal: TerminalId;
    readonly what: string;
    readonly kind: OtherKind;
  }[];
}

/** Everything but a machine's board can be put in and taken out. */
export type SmallDevice =
  | OldThermostat
  | NewThermostat
  | Receiver
  | PlugInTransformer
  | AddedTransformer
  | Adapter
  | Splitter
  | MainsUnit;
export type Device = Board | SmallDevice;
export type DeviceKind = Device['kind'];

export type Landing = Out<typeof LandingSchema>;
export type Strand = Out<typeof GraphStrand>;
export type Cable = Out<typeof GraphCable>;
export type WireLink = Out<typeof GraphLink>;

export const STRAND_ENDS: readonly StrandEnd[] = ['near', 'far'];
export type { StrandEnd };

/** Something wrong inside a device that no conductor shows: by the id of its circuit element. */
export interface Upset {
  readonly element: string;
  /**
   * `open`: it no longer conducts. `weak`: a transformer of half its size. `shorted`: a coil whose turns touch. `closed`: a contact that is welded.
   * `bus-open`: the common of a board (its node) no longer reaches the coils inside. `earthed`: a node touches earthed metal.
   */
  readonly kind: 'open' | 'weak' | 'shorted' | 'closed' | 'bus-open' | 'earthed';
}

export interface Wiring {
  readonly places: readonly Place[];
  readonly devices: readonly Device[];
  readonly cables: readonly Cable[];
  readonly strands: readonly Strand[];
  readonly links: readonly WireLink[];
  /** Faults inside devices; a record and a plan have none. */
  readonly upsets?: readonly Upset[];
}

/** The id of the screw of a record in the graph. */
export function terminalOfScrew(at: string, screw: string): TerminalId {
  return `${at}.${screw.replace(/^sc-/, '').toUpperCase()}`;
}

/** The id that the first screw with this print has on a device. */
export function terminalId(device: string, mark: string): TerminalId {
  return `${device}.${markSlug(mark).toUpperCase()}`;
}

/** Screws of a device that is known by its sheet: each mark means what it usually does. */
export function screwsOfMarks(device: string, marks: readonly string[]): Screw[] {
  const counts = new Map<string, number>();
  return marks.map((mark) => {
    const id = terminalId(device, mark);
    const count = (counts.get(id) ?? 0) + 1;
    counts.set(id, count);
    return { id: count === 1 ? id : `${id}-${count}`, mark, role: null, means: [...usualMeanings(mark)] };
  });
}

/** A screw with the device that it belongs to. */
export interface Terminal {
  readonly device: Device;
  readonly screw: Screw;
}

/** A wiring is never changed in place, so what is looked up in it is sorted once. */
const indexes = new WeakMap<Wiring, ReadonlyMap<TerminalId, Terminal>>();

export function terminalAt(wiring: Wiring, terminal: TerminalId): Terminal | undefined {
  let index = indexes.get(wiring);
  if (index === undefined) {
    index = new Map(
      wiring.devices.flatMap((device) => device.screws.map((screw) => [screw.id, { device, screw }] as const))
    );
    indexes.set(wiring, index);
  }
  return index.get(terminal);
}

export function deviceOf(wiring: Wiring, terminal: TerminalId): Device | undefined {
  return terminalAt(wiring, terminal)?.device;
}

/** What the screw stands for, first things first; empty where nobody knows. */
export function meansAt(wiring: Wiring, terminal: TerminalId | null): readonly string[] {
  return terminal === null ? [] : (terminalAt(wiring, terminal)?.screw.means ?? []);
}

/** The mark that the screw stands for, or null where nobody knows. */
export function markAt(wiring: Wiring, terminal: TerminalId | null): string | null {
  return meansAt(wiring, terminal)[0] ?? null;
}

/** The mark of the screw that an end is landed on; null where it is on none, or nobody knows what it stands for. */
export function landedMark(wiring: Wiring, landing: Landing): string | null {
  return markAt(wiring, landedTerminal(landing));
}

/** The first screw of a device that stands for the mark. */
export function screwThat(device: Pick<Device, 'screws'>, mark: string): Screw | undefined {
  const wanted = canonicalMark(mark);
  return device.screws.find((screw) => screw.means.includes(wanted));
}

/** True when the device has a screw that stands for the mark. */
export function hasMark(device: Pick<Device, 'screws'>, mark: string): boolean {
  return screwThat(device, mark) !== undefined;
}

/** The marks that a device's screws stand for. */
export function marksOf({ screws }: Pick<Device, 'screws'>): readonly string[] {
  let marks = marksKnown.get(screws);
  if (!marks) marksKnown.set(screws, (marks = screws.flatMap((screw) => screw.means)));
  return marks;
}

/** A list of screws is never changed in place. */
const marksKnown = new WeakMap<readonly Screw[], readonly string[]>();

/** The screw of a thermostat by its sheet that stands for the mark; one that it does not have is a point that nothing is joined to. */
export function sheetTerminal(facts: DeviceFacts, mark: string): TerminalId {
  return screwThat(sheetPlate(facts), mark)?.id ?? `${facts.id}.${canonicalMark(mark)}`;
}

const plates = new WeakMap<DeviceFacts, { readonly screws: readonly Screw[] }>();

/** The screws of a thermostat by its sheet. */
export function sheetPlate(facts: DeviceFacts): { readonly screws: readonly Screw[] } {
  const known = plates.get(facts);
  if (known) return known;
  const plate = { screws: screwsOfMarks(facts.id, facts.marks) };
  plates.set(facts, plate);
  return plate;
}

/** The mark as printed on the device that the terminal belongs to, with a number where several carry it or none is printed. */
export function printedMark(wiring: Wiring, terminal: TerminalId): string {
  const found = terminalAt(wiring, terminal);
  if (!found) return '?';
  const { device, screw } = found;
  if (device.kind === 'board' && device.tracedCommon !== null && screw.mark === '' && screw.means[0] === 'C')
    return `the common that was traced (${device.tracedCommon})`;
  const same = device.screws.filter((candidate) => candidate.mark === screw.mark);
  const number = same.indexOf(screw) + 1;
  if (screw.mark === '') return `#${number}`;
  return number === 1 ? screw.mark : `${screw.mark}#${number}`;
}

/** The terminal that an end is landed on, or null. */
export function landedTerminal(landing: Landing): TerminalId | null {
  return landing.state === 'landed' ? landing.terminal : null;
}

export function landed(terminal: TerminalId): Landing {
  return { state: 'landed', terminal };
}

export function isFree(landing: Landing): boolean {
  return landing.state === 'loose' || landing.state === 'coiled';
}

/** The device that an end is landed on. */
export function deviceAtEnd(wiring: Wiring, landing: Landing): Device | undefined {
  const terminal = landedTerminal(landing);
  return terminal === null ? undefined : deviceOf(wiring, terminal);
}

export function boards(wiring: Wiring): Board[] {
  return wiring.devices.filter((device): device is Board => device.kind === 'board');
}

/** Devices that bring a transformer of their own. */
export function isSupply(device: Device): device is Board | PlugInTransformer | AddedTransformer {
  switch (device.kind) {
    case 'board':
    case 'plug-in-transformer':
    case 'added-transformer':
      return true;
    default:
      return false;
  }
}

/** The thermostat on the wall, old or new. Throws when there is none: every wiring is made with one. */
export function wallThermostat(wiring: Wiring): OldThermostat | NewThermostat {
  const found = wiring.devices.find(
    (device): device is OldThermostat | NewThermostat =>
      device.kind === 'old-thermostat' || device.kind === 'new-thermostat'
  );
  if (!found) throw new Error('The wiring holds no thermostat');
  return found;
}

export function placeOf(wiring: Wiring, id: string): Place | undefined {
  return wiring.places.find((place) => place.id === id);
}

/** The place where the thermostat hangs. */
export function wallPlace(wiring: Wiring): string {
  return wiring.places.find((place) => place.kind === 'wall')?.id ?? 'wall';
}

/** Whether a place is at the wall, or where the machines are; an outlet is at neither, and counts as the wall for whoever walks. */
export function sideOf(wiring: Wiring, place: string): EndSide {
  const kind = placeOf(wiring, place)?.kind;
  return kind === 'wall' || kind === 'outlet' ? 'wall' : 'equipment';
}

/** Where an end is: at the device that it is landed on, else where its cable goes. Null where nobody knows. */
export function placeOfEnd(wiring: Wiring, strand: Strand, end: StrandEnd): string | null {
  const device = deviceAtEnd(wiring, strand[end]);
  if (device) return device.at;
  return wiring.cables.find((cable) => cable.id === strand.cable)?.[end] ?? null;
}

/** The canonical form for comparing two wirings: order in the lists carries no meaning, and places follow from what is there. */
export function sortedWiring(wiring: Wiring): Omit<Wiring, 'places'> {
  const byId = (a: { readonly id: string }, b: { readonly id: string }) =>
    a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
  return {
    devices: [...wiring.devices].sort(byId),
    cables: [...wiring.cables].sort(byId),
    strands: [...wiring.strands].sort(byId),
    links: [...wiring.links].sort(byId)
  };
}
