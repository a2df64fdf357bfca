/**
 * As built: what the next person who opens the door finds, from what was found and what was done since, never from the plan. An end that
 * nobody has seen stays one, though a plan may have taken it to be on the same mark.
 */
import { controlOf } from '../devices/reach';
import type { DeviceFacts } from '../job/device-facts';
import type { SettingMade, TakenReading, TestDone } from '../job/after-schema';
import type { Equipment, Job, Thermostat } from '../job/schema';
import { MoveWriter } from '../plan/move-writer';
import { movesDone } from '../plan/moves';
import type { Plan } from '../plan/plan';
import { impliedSupplies } from '../safety/supplies';
import { colourName } from '../trade/colours';
import type { Family } from '../trade/vocabulary';
import {
  deviceAtEnd,
  isFree,
  isSupply,
  landedTerminal,
  markAt,
  placeOf,
  placeOfEnd,
  printedMark,
  sideOf,
  type Landing,
  type Strand,
  type StrandEnd,
  type Wiring
} from '../wiring/graph';
import { sameLanding } from '../wiring/difference';
import { dueOf, type Due } from './due';

/** One end of a wire, as somebody finds it. */
export interface BuiltEnd {
  readonly state: Landing['state'];
  /** As printed; empty where it is on no screw. */
  readonly mark: string;
  /** The machine or part that the screw belongs to. */
  readonly at: string;
  /** Other wires under the same screw. */
  readonly shares: readonly string[];
}

export interface BuiltWire {
  readonly id: string;
  readonly name: string;
  readonly cable: string;
  readonly colour: string;
  /** At the far end, where a joint changes it; else empty. */
  readonly colourBeyond: string;
  readonly joint: Strand['spliced'];
  readonly wall: BuiltEnd;
  readonly machine: BuiltEnd;
  readonly spare: boolean;
  readonly broken: boolean;
  /** Where its ends were when they were found, where that is elsewhere; `new`: it came with this job. Empty where nothing has changed. */
  readonly was: string;
}

export interface BuiltJumper {
  readonly at: string;
  readonly side: 'wall' | 'equipment';
  readonly a: string;
  readonly b: string;
}

export interface BuiltSupply {
  readonly name: string;
  /** Nameplate, VA; null where nobody has read it. */
  readonly va: number | null;
  readonly fuseAmps: number | null;
  /** How it is cut. */
  readonly where: string;
}

export interface BuiltChange {
  readonly at: string;
  readonly place: string;
  readonly text: string;
}

/** What the next person has to know before a hand goes in. */
export type Caution =
  | { readonly code: 'supplies'; readonly count: number }
  | { readonly code: 'colour'; readonly wire: string; readonly mark: string }
  | { readonly code: 'hidden-joint' | 'brittle' | 'broken'; readonly wire: string }
  | { readonly code: 'part'; readonly name: string; readonly at: string }
  | { readonly code: 'unseen'; readonly count: number }
  | { readonly code: 'behind-switch'; readonly machine: string }
  | { readonly code: 'not-finished'; readonly left: number };

export interface AsBuilt {
  readonly job: Pick<Job, 'id' | 'name' | 'place' | 'units'>;
  readonly thermostat: Pick<Thermostat, 'id' | 'name'>;
  readonly family: Family;
  readonly device: DeviceFacts | null;
  readonly wiring: Wiring;
  readonly wires: readonly BuiltWire[];
  readonly jumpers: readonly BuiltJumper[];
  readonly supplies: readonly BuiltSupply[];
  readonly machines: readonly Pick<Equipment, 'name' | 'place' | 'maker' | 'model' | 'serial'>[];
  readonly settings: readonly SettingMade[];
  /** The last of each call. */
  readonly tests: readonly TestDone[];
  readonly readings: readonly TakenReading[];
  readonly changes: readonly BuiltChange[];
  /** What the way that was chosen still asks for, and what was done that fits the record no longer. */
  readonly differences: readonly { readonly kind: 'not-done' | 'no-longer-fits'; readonly text: string }[];
  readonly due: readonly Due[];
  readonly cautions: readonly Caution[];
  readonly by: string;
  readonly closedAt: string | null;
}

export function asBuilt(job: Job, thermostat: Thermostat, plan: Plan): AsBuilt {
  const wiring = withUnseenEnds(plan);
  const control = controlOf(wiring);
  const device = control && control.kind !== 'old-thermostat' ? control.facts : null;
  const machines = job.equipment.filter(({ id }) => thermostat.equipment.includes(id));
  const wires = wiring.strands.map((strand) => wireOf(wiring, strand, plan.wiringBefore));
  const calls = [...new Set(thermostat.tests.map(({ call }) => call))];
  return {
    job: { id: job.id, name: job.name, place: job.place, units: job.units },
    thermostat: { id: thermostat.id, name: thermostat.name },
    family: plan.identification.family,
    device,
    wiring,
    wires,
    jumpers: jumpersOf(wiring),
    supplies: suppliesOf(job, thermostat, plan, wiring),
    machines: machines.map(({ name, place, maker, model, serial }) => ({
      name,
      place,
      maker,
      model,
      serial
    })),
    settings: thermostat.settings,
    tests: calls.flatMap((call) => thermostat.tests.findLast((test) => test.call === call) ?? []),
    readings: thermostat.readings,
    changes: movesDone(plan.wiringFound, plan.done)
      .filter(({ change }) => change !== null)
      .map(({ entry, place, text }) => ({ at: entry.at, place, text })),
    differences: differencesOf(plan),
    due: dueOf(job, [thermostat]),
    cautions: cautionsOf({ wiring, wires, machines, plan }),
    by: job.closed?.by ?? '',
    closedAt: job.closed?.at ?? null
  };
}

/** Now, with the ends that were taken to be somewhere, and that nobody has touched since, back to what is known of them. */
function withUnseenEnds({ wiringBefore, wiringFound, wiringNow }: Plan): Wiring {
  const [recorded, found] = [wiringBefore, wiringFound].map(
    ({ strands }) => new Map(strands.map((strand) => [strand.id, strand]))
  );
  const known = (strand: Strand, end: StrandEnd): Landing => {
    const [was, assumed] = [recorded?.get(strand.id)?.[end], found?.get(strand.id)?.[end]];
    return was?.state === 'unseen' && assumed && sameLanding(strand[end], assumed) ? was : strand[end];
  };
  return {
    ...wiringNow,
    strands: wiringNow.strands.map((strand) => ({
      ...strand,
      near: known(strand, 'near'),
      far: known(strand, 'far')
    }))
  };
}

function wireOf(wiring: Wiring, strand: Strand, found: Wiring): BuiltWire {
  const [wall, machine] = [endOf(wiring, strand, 'near'), endOf(wiring, strand, 'far')];
  return {
    id: strand.id,
    name: strand.name,
    cable: wiring.cables.find(({ id }) => id === strand.cable)?.name ?? '',
    colour: strand.colour === null ? '' : colourName(strand.colour, strand.stripe),
    colourBeyond:
      strand.colourBeyond === null || strand.colourBeyond === strand.colour
        ? ''
        : colourName(strand.colourBeyond),
    joint: strand.spliced,
    wall,
    machine,
    spare: isFree(strand.near) && isFree(strand.far),
    broken: strand.continuity === 'broken',
    was: wasOf(found, strand, wall, machine)
  };
}

function wasOf(found: Wiring, { id }: Strand, wall: BuiltEnd, machine: BuiltEnd): string {
  const before = found.strands.find((strand) => strand.id === id);
  if (!before) return 'new';
  const said = ({ state, mark }: BuiltEnd) => (state === 'landed' ? mark : state);
  const [near, far] = [said(endOf(found, before, 'near')), said(endOf(found, before, 'far'))];
  return [
    near === said(wall) ? '' : `${near} at the wall`,
    far === said(machine) ? '' : `${far} at the machine`
  ]
    .filter(Boolean)
    .join(', ');
}

function endOf(wiring: Wiring, strand: Strand, end: StrandEnd): BuiltEnd {
  const landing = strand[end];
  const terminal = landedTerminal(landing);
  const device = deviceAtEnd(wiring, landing);
  const place = placeOfEnd(wiring, strand, end);
  const at = device?.name ?? (place === null ? '' : (placeOf(wiring, place)?.name ?? ''));
  if (terminal === null) return { state: landing.state, mark: '', at, shares: [] };
  const shares = wiring.strands
    .filter(
      ({ id, near, far }) =>
        id !== strand.id && [near, far].some((other) => landedTerminal(other) === terminal)
    )
    .map(({ name }) => name);
  return { state: 'landed', mark: printedMark(wiring, terminal), at, shares };
}

function jumpersOf(wiring: Wiring): BuiltJumper[] {
  const name = (terminal: string) => {
    const device = wiring.devices.find(({ screws }) => screws.some(({ id }) => id === terminal));
    return device &&
      device.kind !== 'board' &&
      device.kind !== 'new-thermostat' &&
      device.kind !== 'old-thermostat'
      ? `${printedMark(wiring, terminal)} of the ${device.name}`
      : printedMark(wiring, terminal);
  };
  return wiring.links.map(({ at, a, b }) => ({
    at: placeOf(wiring, at)?.name ?? '',
    side: sideOf(wiring, at),
    a: name(a),
    b: name(b)
  }));
}

function suppliesOf(job: Job, thermostat: Thermostat, plan: Plan, wiring: Wiring): BuiltSupply[] {
  return impliedSupplies(job, thermostat, plan.identification, wiring).map(({ id, name, where }) => {
    const device = wiring.devices.find((candidate) => candidate.id === id);
    const supply = device && isSupply(device) ? device : null;
    return {
      name,
      va: supply === null ? null : supply.kind === 'board' ? supply.transformerVa : supply.va,
      fuseAmps: supply?.kind === 'board' ? supply.fuseAmps : null,
      where
    };
  });
}

function differencesOf({ moves, misfits, wiringNow }: Plan): AsBuilt['differences'] {
  const writer = new MoveWriter(wiringNow);
  return [
    ...moves.filter(({ change }) => change !== null).map(({ text }) => ({ kind: 'not-done' as const, text })),
    ...misfits.map(({ act }) => ({
      kind: 'no-longer-fits' as const,
      text: writer.words(act)
    }))
  ];
}

/** What a wire of this colour is usually taken to be: on C it misleads. */
const NOT_C: ReadonlySet<string> = new Set(['RD', 'WH', 'YE', 'GN', 'OG']);

function cautionsOf({
  wiring,
  wires,
  machines,
  plan
}: {
  readonly wiring: Wiring;
  readonly wires: readonly BuiltWire[];
  readonly machines: readonly Equipment[];
  readonly plan: Plan;
}): Caution[] {
  const supplies = wiring.devices.filter(isSupply).length;
  const named = (code: 'hidden-joint' | 'broken', list: readonly BuiltWire[]): Caution[] =>
    list.map(({ name }) => ({ code, wire: name }));
  const misleading = wiring.strands.filter(
    ({ colour, near }) => colour !== null && NOT_C.has(colour) && markAt(wiring, landedTerminal(near)) === 'C'
  );
  const parts = wiring.devices.filter(({ kind }) =>
    ['adapter', 'splitter', 'plug-in-transformer', 'added-transformer', 'receiver'].includes(kind)
  );
  const unseen = wiring.strands
    .flatMap(({ near, far }) => [near, far])
    .filter(({ state }) => state === 'unseen').length;
  const left = plan.moves.filter(({ change }) => change !== null).length;
  return [
    ...(left > 0 ? [{ code: 'not-finished' as const, left }] : []),
    ...(supplies > 1 ? [{ code: 'supplies' as const, count: supplies }] : []),
    ...misleading.map(({ name }): Caution => ({ code: 'colour', wire: name, mark: 'C' })),
    ...parts.map(({ name, at }): Caution => ({ code: 'part', name, at: placeOf(wiring, at)?.name ?? '' })),
    ...named(
      'hidden-joint',
      wires.filter(({ joint }) => joint === 'hidden')
    ),
    ...named(
      'broken',
      wires.filter(({ broken }) => broken)
    ),
    ...wiring.cables
      .filter(({ insulation }) => insulation === 'brittle')
      .map(({ name }): Caution => ({ code: 'brittle', wire: name })),
    ...machines
      .filter(({ behindSwitch }) => behindSwitch === 'yes')
      .map(({ name }): Caution => ({ code: 'behind-switch', machine: name })),
    ...(unseen > 0 ? [{ code: 'unseen' as const, count: unseen }] : [])
  ];
}
