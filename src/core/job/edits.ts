/** Edits of what was read: conductors, cables, links and screws, each as a step with a label that says in words what it did. */
import { colourName, type ColourCode } from '../trade/colours';
import type { OtherKind } from '../trade/machine-kinds';
import { ROLE_NAMES } from '../trade/roles';
import { usualMeanings } from '../trade/terminals';
import { counted } from '../words/text';
import { emptyCable, emptyConductor } from './create';
import {
  nextId,
  type CableId,
  type ConductorId,
  type EquipmentId,
  type LinkId,
  type ScrewId,
  type ThermostatId
} from './ids';
import { conductorName } from './names';
import type {
  Cable,
  Conductor,
  ConductorEnd,
  Job,
  Link,
  Screw,
  ScrewRef,
  ScrewStatement,
  Splice,
  Thermostat,
  WhereId
} from './schema';
import { isAnothersZone, newScrew, readScrewName, refName, screwName, screwNamed, screwsAt } from './screws';
import { apply as applied, batch, insertStep, removeStep, setStep, type Path, type Step } from './steps';

/** Nearer to the thermostat, or further on. */
export type StrandEnd = 'near' | 'far';

const endNames: Readonly<Record<StrandEnd, string>> = { near: 'Wall end', far: 'Equipment end' };

export function thermostatIn(job: Job, id: string): Thermostat {
  const thermostat = job.thermostats.find((candidate) => candidate.id === id);
  if (!thermostat) throw new Error(`No thermostat ${id}`);
  return thermostat;
}

export function conductorIn(job: Job, th: ThermostatId, id: string): Conductor {
  const conductor = thermostatIn(job, th).conductors.find((candidate) => candidate.id === id);
  if (!conductor) throw new Error(`No wire ${id}`);
  return conductor;
}

export const at = (th: ThermostatId, ...rest: Path): Path => ['thermostats', { id: th }, ...rest];
export const conductorPath = (th: ThermostatId, co: ConductorId): Path => at(th, 'conductors', { id: co });

/** Where the screws of a thermostat's plate, a machine or a place are listed. */
export function screwsPath(job: Job, where: WhereId): Path {
  const list = job.thermostats.some((thermostat) => thermostat.id === where)
    ? 'thermostats'
    : job.equipment.some((machine) => machine.id === where)
      ? 'equipment'
      : 'places';
  return [list, { id: where }, 'screws'];
}

export function setConductorEnd(
  job: Job,
  th: ThermostatId,
  co: ConductorId,
  side: StrandEnd,
  end: ConductorEnd
): Step {
  const conductor = conductorIn(job, th, co);
  const where =
    end.on.length > 0 ? `landed on ${end.on.map((ref) => refName(job, ref)).join(' and ')}` : end.state;
  return setStep(
    job,
    [...conductorPath(th, co), side],
    end,
    `${endNames[side]} of ${conductorName(conductor)}: ${where}`
  );
}

/** A screw by the name that was typed: the one that is there, or a new one. */
interface Named {
  readonly ref: ScrewRef;
  /** Puts the screw there; nothing where it is. */
  readonly steps: readonly Step[];
  readonly name: string;
}

/** `name`: a mark as printed, with `#2` for the second of that print. Throws on a text that is no mark. */
export function screwByName(job: Job, th: ThermostatId | null, where: WhereId, name: string): Named {
  const read = readScrewName(name);
  if (!read) throw new Error(`“${name}” is no mark of a terminal`);
  const all = screwsAt(job, where);
  const own =
    th === null ? all : all.filter((candidate) => !isAnothersZone(job, { id: th }, where, candidate));
  const found = screwNamed(own, read.mark, read.number);
  if (found) return { ref: { at: where, screw: found.id }, steps: [], name: screwName(all, found.id) };
  const screw = newScrew(all, read.mark);
  return {
    ref: { at: where, screw: screw.id },
    steps: [insertStep(job, screwsPath(job, where), screw, `Terminal ${read.mark}`)],
    name: screwName([...all, screw], screw.id)
  };
}

/** Where an end is, as far as the record says: at its screw, else where its cable goes, else at the only machine there is. */
export function whereIs(
  job: Job,
  thermostat: Thermostat,
  conductor: Conductor,
  side: StrandEnd
): WhereId | null {
  const [on] = conductor[side].on;
  if (on) return on.at;
  const cable = thermostat.cables.find((candidate) => candidate.id === conductor.cable);
  const there = cable?.[side] ?? null;
  if (there !== null) return there;
  return side === 'near' ? thermostat.id : (thermostat.equipment[0] ?? null);
}

export const STATES = ['loose', 'coiled', 'unseen'] as const;

/**
 * Sets an end by the word that was typed: a state, or the mark of a terminal at `where`. A terminal that nobody has written down yet comes
 * in with it; one that only a slip of the keys had brought goes out again.
 */
export function setEndByWord(
  job: Job,
  th: ThermostatId,
  co: ConductorId,
  side: StrandEnd,
  word: string,
  where: WhereId | null = null
): Step {
  const thermostat = thermostatIn(job, th);
  const conductor = conductorIn(job, th, co);
  const state = word === '' ? 'unseen' : STATES.find((candidate) => candidate === word.toLowerCase());
  if (state) {
    const step = setConductorEnd(job, th, co, side, { state, on: [] });
    return batch(step.label, [step, ...strayScrews(job, conductor, side)]);
  }
  const place = where ?? whereIs(job, thermostat, conductor, side);
  if (place === null) throw new Error('No machine is recorded that the wire could end at');
  const { ref, steps, name } = screwByName(job, th, place, word);
  const label = `${endNames[side]} of ${conductorName(conductor)}: landed on ${name}`;
  return batch(label, [
    ...steps,
    setStep(job, [...conductorPath(th, co), side], { state: 'landed', on: [ref] }, label),
    ...strayScrews(job, conductor, side).filter(
      (screw) => screw.kind !== 'remove' || screw.value.id !== ref.screw
    )
  ]);
}

/** The screw that an end leaves, where the trade knows no such mark, nobody has said what it is for and nothing else is on it. */
function strayScrews(job: Job, conductor: Conductor, side: StrandEnd): Step[] {
  return conductor[side].on.flatMap((ref) => {
    const screw = screwsAt(job, ref.at).find((candidate) => candidate.id === ref.screw);
    const stray =
      screw &&
      screw.mark !== '' &&
      screw.role === null &&
      usualMeanings(screw.mark).length === 0 &&
      usesOf(job, ref).length === 1;
    return stray ? [removeStep(job, screwsPath(job, ref.at), screw.id, '')] : [];
  });
}

const isRef = (first: ScrewRef, second: ScrewRef) => first.at === second.at && first.screw === second.screw;

/** Ids of all that is on a screw or names it: conductors, links, found ends, photos, conductors of others. */
export function usesOf(job: Job, ref: ScrewRef): string[] {
  const own = job.thermostats.flatMap((thermostat) => [
    ...thermostat.conductors.flatMap((conductor) =>
      [...conductor.near.on, ...conductor.far.on]
        .filter((on) => isRef(on, ref))
        .map(() => conductor.id as string)
    ),
    ...thermostat.links
      .filter((link) => isRef(link.a, ref) || isRef(link.b, ref))
      .map((link) => link.id as string),
    ...thermostat.foundEnds.filter((end) => end.on && isRef(end.on, ref)).map((end) => end.id as string),
    ...thermostat.photos
      .filter((photo) => photo.pins.some(({ to }) => to.kind === 'terminal' && isRef(to, ref)))
      .map((photo) => photo.id as string)
  ]);
  const machine = job.equipment.find((candidate) => candidate.id === ref.at);
  const others = machine?.others.some((other) => other.screw === ref.screw) ? [machine.id as string] : [];
  return [...own, ...others];
}

export function setConductorField<K extends keyof Conductor>(
  job: Job,
  th: ThermostatId,
  co: ConductorId,
  field: K,
  value: Conductor[K]
): Step {
  const name = conductorName(conductorIn(job, th, co));
  const shown = field === 'colour' ? colourName(value as ColourCode | null) : String(value);
  return setStep(job, [...conductorPath(th, co), field], value, `${field} of ${name}: ${shown}`);
}

export function setSplices(job: Job, th: ThermostatId, co: ConductorId, splices: readonly Splice[]): Step {
  const path = [...conductorPath(th, co), 'splices'];
  return setStep(job, path, splices, splices.length === 0 ? 'Splice removed' : 'Splice recorded');
}

/**
 * The colour seen at the far end. One that differs from the near one means a joint that nobody has seen yet; the same one takes such a
 * joint back. A joint that was seen keeps its place and gets the colour.
 */
export function setColourBeyond(
  job: Job,
  th: ThermostatId,
  co: ConductorId,
  colour: ColourCode | null
): Step {
  const conductor = conductorIn(job, th, co);
  const seen = conductor.splices.filter((splice) => splice.seen);
  const last = seen.at(-1);
  const label = `Colour at the equipment of ${conductorName(conductor)}: ${colourName(colour)}`;
  const path = [...conductorPath(th, co), 'splices'];
  if (last)
    return setStep(
      job,
      path,
      seen.map((splice) => (splice === last ? { ...splice, colourBeyond: colour } : splice)),
      label
    );
  if (colour === conductor.colour) return setStep(job, path, [], label);
  const id = nextId('splice', []);
  return setStep(job, path, [{ id, colourBeyond: colour, seen: false, place: '' }], label);
}

export function addConductor(job: Job, th: ThermostatId, cable: CableId, colour: ColourCode | null): Step {
  const { conductors } = thermostatIn(job, th);
  const last = conductors.map((conductor) => conductor.cable).lastIndexOf(cable);
  const id = nextId(
    'conductor',
    conductors.map((conductor) => conductor.id)
  );
  return insertStep(
    job,
    at(th, 'conductors'),
    emptyConductor(id, cable, colour),
    'Wire added',
    last === -1 ? conductors.length : last + 1
  );
}

export function removeConductor(job: Job, th: ThermostatId, co: ConductorId): Step {
  return removeStep(job, at(th, 'conductors'), co, 'Wire removed');
}

/** Takes over a whole list of conductors, with the screws that it names besides those that are there. */
export function setConductors(
  job: Job,
  th: ThermostatId,
  conductors: readonly Conductor[],
  screws: readonly { readonly at: WhereId; readonly screw: Screw }[],
  label: string
): Step {
  return batch(label, [
    ...screws.map(({ at: where, screw }) => insertStep(job, screwsPath(job, where), screw, label)),
    setStep(job, at(th, 'conductors'), conductors, label)
  ]);
}

export interface NewCable extends Omit<Cable, 'id' | 'near' | 'far' | 'insulation'> {
  readonly insulation?: Cable['insulation'];
  readonly far?: WhereId | null;
  readonly colours: readonly (ColourCode | null)[];
}

/** A cable with its conductors, nothing seen of their ends yet. With one machine, that is where it goes. */
export function addCable(job: Job, th: ThermostatId, cable: NewCable): Step {
  const thermostat = thermostatIn(job, th);
  const id = nextId(
    'cable',
    thermostat.cables.map((cable) => cable.id)
  );
  const { colours, far, ...facts } = cable;
  const only = thermostat.equipment.length === 1 ? (thermostat.equipment[0] ?? null) : null;
  const taken = thermostat.conductors.map((conductor) => conductor.id as string);
  const conductors = colours.map((colour) => {
    const conductor = emptyConductor(nextId('conductor', taken), id, colour);
    taken.push(conductor.id);
    return conductor;
  });
  const label = `Cable ${cable.name} with ${counted(colours.length, 'wire', 'wires')}`;
  const whole = { ...emptyCable(id, cable.name), ...facts, id, near: th, far: far ?? only };
  return batch(label, [
    insertStep(job, at(th, 'cables'), whole, label),
    ...conductors.map((conductor, index) =>
      insertStep(job, at(th, 'conductors'), conductor, label, thermostat.conductors.length + index)
    )
  ]);
}

export function setCable(job: Job, th: ThermostatId, cable: Cable): Step {
  return setStep(job, at(th, 'cables', { id: cable.id }), cable, `Cable ${cable.name} changed`);
}

/** Takes out a cable with all its conductors. */
export function removeCable(job: Job, th: ThermostatId, ca: CableId): Step {
  const { cables, conductors } = thermostatIn(job, th);
  const cable = cables.find((candidate) => candidate.id === ca);
  if (!cable) throw new Error(`No cable ${ca}`);
  const label = `Cable ${cable.name} removed`;
  // From the end, so that each is put back where it stood.
  const gone = conductors.filter((conductor) => conductor.cable === ca).reverse();
  return batch(label, [
    ...gone.map((conductor) => removeStep(job, at(th, 'conductors'), conductor.id, label)),
    removeStep(job, at(th, 'cables'), ca, label)
  ]);
}

export interface NewLink {
  readonly at: WhereId;
  /** Names of the two terminals there. */
  readonly a: string;
  readonly b: string;
  readonly kind: Link['kind'];
}

export function addLink(job: Job, th: ThermostatId, { at: where, a, b, kind }: NewLink): Step {
  const { links } = thermostatIn(job, th);
  const id = nextId(
    'link',
    links.map((link) => link.id)
  );
  const first = screwByName(job, th, where, a);
  const [inserted] = first.steps;
  const second = screwByName(inserted ? applied(job, inserted) : job, th, where, b);
  const label = `Link ${first.name} to ${second.name}`;
  const link = { id, at: where, a: first.ref, b: second.ref, kind };
  return batch(label, [...first.steps, ...second.steps, insertStep(job, at(th, 'links'), link, label)]);
}

export function removeLink(job: Job, th: ThermostatId, id: LinkId): Step {
  return removeStep(job, at(th, 'links'), id, 'Jumper removed');
}

/** Writes a screw down that a plate, a machine or a place has. */
export function addScrew(job: Job, where: WhereId, mark: string): Step {
  const all = screwsAt(job, where);
  const label = mark === '' ? 'Terminal without a mark' : `Terminal ${mark}`;
  return insertStep(job, screwsPath(job, where), newScrew(all, mark), label);
}

export function removeScrew(job: Job, where: WhereId, id: ScrewId): Step {
  const name = screwName(screwsAt(job, where), id);
  return removeStep(job, screwsPath(job, where), id, `Terminal ${name} taken out`);
}

/** What somebody says that a screw is for; null takes it back. */
export function stateRole(job: Job, where: WhereId, id: ScrewId, role: ScrewStatement | null): Step {
  const name = screwName(screwsAt(job, where), id);
  const says = role === null ? 'as its mark says' : ROLE_NAMES[role.means];
  return setStep(job, [...screwsPath(job, where), { id }, 'role'], role, `Terminal ${name}: ${says}`);
}

/** A conductor under a screw of a machine that is not the thermostat's. Throws on a text that is no mark. */
export function addOtherLanding(
  job: Job,
  machine: EquipmentId,
  mark: string,
  { what, kind = 'unknown' }: { readonly what: string; readonly kind?: OtherKind }
): Step {
  const others = job.equipment.find((candidate) => candidate.id === machine)?.others ?? [];
  const { ref, steps, name } = screwByName(job, null, machine, mark);
  const label = `Left on ${name}`;
  const path: Path = ['equipment', { id: machine }, 'others'];
  return batch(label, [...steps, setStep(job, path, [...others, { screw: ref.screw, what, kind }], label)]);
}
