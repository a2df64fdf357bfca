/** The edits that the screens make, each as a step with a label that says in words what it did. */
import { colourName, type ColourCode } from '../trade/colours';
import type { EndSide, Family, MethodId } from '../trade/vocabulary';
import { emptyCable, emptyConductor, emptyEquipment, emptyThermostat, landedOn, UNSEEN } from './create';
import type { DeviceFacts } from './device-facts';
import { nextId, type DeviceId, type EquipmentId } from './ids';
import type { FoundEnd } from './reading-schema';
import type { Cable, Conductor, ConductorEnd, Job, Link, Splice, Thermostat } from './schema';
import { batch, insertStep, removeStep, setStep, type Path, type Step } from './steps';

const endNames: Readonly<Record<EndSide, string>> = { wall: 'Wall end', equipment: 'Equipment end' };

function conductorPath(th: number, co: number): Path {
  return ['thermostats', th, 'conductors', co];
}

function thermostatAt(job: Job, th: number): Thermostat {
  const thermostat = job.thermostats[th];
  if (!thermostat) throw new Error(`No thermostat at position ${th}`);
  return thermostat;
}

/** What a person calls a conductor: its label, else its colour. */
export function conductorName(conductor: Pick<Conductor, 'colour' | 'stripe' | 'label'>): string {
  const colour = conductor.colour === null ? 'uncoloured' : colourName(conductor.colour, conductor.stripe);
  return conductor.label === '' ? colour : `${colour} “${conductor.label}”`;
}

export function setConductorEnd(job: Job, th: number, co: number, side: EndSide, end: ConductorEnd): Step {
  const conductor = thermostatAt(job, th).conductors[co];
  if (!conductor) throw new Error(`No conductor at position ${co}`);
  const where = end.on.length > 0 ? `landed on ${end.on.map((one) => one.mark).join(' and ')}` : end.state;
  const label = `${endNames[side]} of ${conductorName(conductor)}: ${where}`;
  return setStep(job, [...conductorPath(th, co), side], end, label);
}

export function setConductorField<K extends keyof Conductor>(
  job: Job,
  th: number,
  co: number,
  field: K,
  value: Conductor[K]
): Step {
  const conductor = thermostatAt(job, th).conductors[co];
  const name = conductor ? conductorName(conductor) : `conductor ${co + 1}`;
  const shown = field === 'colour' ? colourName(value as ColourCode | null) : String(value);
  return setStep(job, [...conductorPath(th, co), field], value, `${field} of ${name}: ${shown}`);
}

export function setSplices(job: Job, th: number, co: number, splices: readonly Splice[]): Step {
  const path = [...conductorPath(th, co), 'splices'];
  return setStep(job, path, splices, splices.length === 0 ? 'Splice removed' : 'Splice recorded');
}

/**
 * The colour seen at the equipment. One that differs from the wall's means a joint that nobody has seen yet; the same one takes such a
 * joint back. A joint that was seen keeps its place and gets the colour.
 */
export function setColourBeyond(job: Job, th: number, co: number, colour: ColourCode | null): Step {
  const conductor = thermostatAt(job, th).conductors[co];
  if (!conductor) throw new Error(`No conductor at position ${co}`);
  const seen = conductor.splices.filter((one) => one.seen);
  const last = seen.at(-1);
  const label = `Colour at the equipment of ${conductorName(conductor)}: ${colourName(colour)}`;
  const path = [...conductorPath(th, co), 'splices'];
  if (last)
    return setStep(
      job,
      path,
      seen.map((one) => (one === last ? { ...one, colourBeyond: colour } : one)),
      label
    );
  if (colour === conductor.colour) return setStep(job, path, [], label);
  const id = nextId('splice', []);
  return setStep(job, path, [{ id, colourBeyond: colour, seen: false, place: '' }], label);
}

export function addConductor(job: Job, th: number, cable: Cable['id'], colour: ColourCode | null): Step {
  const { conductors } = thermostatAt(job, th);
  const last = conductors.map((one) => one.cable).lastIndexOf(cable);
  const id = nextId(
    'conductor',
    conductors.map((one) => one.id)
  );
  return insertStep(
    job,
    ['thermostats', th, 'conductors'],
    emptyConductor(id, cable, colour),
    'Conductor added',
    last === -1 ? conductors.length : last + 1
  );
}

export function removeConductor(job: Job, th: number, co: number): Step {
  return removeStep(job, ['thermostats', th, 'conductors'], co, 'Conductor removed');
}

export interface NewCable extends Omit<Cable, 'id'> {
  readonly colours: readonly (ColourCode | null)[];
}

/** A cable with its conductors, nothing seen of their ends yet. */
export function addCable(job: Job, th: number, cable: NewCable): Step {
  const thermostat = thermostatAt(job, th);
  const id = nextId(
    'cable',
    thermostat.cables.map((one) => one.id)
  );
  const { colours, ...facts } = cable;
  const taken = thermostat.conductors.map((one) => one.id as string);
  const conductors = colours.map((colour) => {
    const conductor = emptyConductor(nextId('conductor', taken), id, colour);
    taken.push(conductor.id);
    return conductor;
  });
  const label = `Cable ${cable.name} with ${colours.length} conductors`;
  const at: Path = ['thermostats', th];
  return batch(label, [
    insertStep(job, [...at, 'cables'], { ...emptyCable(id, cable.name), ...facts, id }, label),
    ...conductors.map((one, index) =>
      insertStep(job, [...at, 'conductors'], one, label, thermostat.conductors.length + index)
    )
  ]);
}

export function setCable(job: Job, th: number, ca: number, cable: Cable): Step {
  return setStep(job, ['thermostats', th, 'cables', ca], cable, `Cable ${cable.name} changed`);
}

/** Takes out a cable with all its conductors. */
export function removeCable(job: Job, th: number, ca: number): Step {
  const { cables, conductors } = thermostatAt(job, th);
  const cable = cables[ca];
  if (!cable) throw new Error(`No cable at position ${ca}`);
  const gone = conductors.flatMap((one, index) => (one.cable === cable.id ? [index] : [])).reverse();
  const label = `Cable ${cable.name} removed`;
  return batch(label, [
    ...gone.map((index) => removeStep(job, ['thermostats', th, 'conductors'], index, label)),
    removeStep(job, ['thermostats', th, 'cables'], ca, label)
  ]);
}

export function addLink(job: Job, th: number, link: Omit<Link, 'id'>): Step {
  const { links } = thermostatAt(job, th);
  const id = nextId(
    'link',
    links.map((one) => one.id)
  );
  return insertStep(
    job,
    ['thermostats', th, 'links'],
    { id, ...link },
    `Link ${link.a.mark} to ${link.b.mark}`
  );
}

export function removeLink(job: Job, th: number, index: number): Step {
  return removeStep(job, ['thermostats', th, 'links'], index, 'Link removed');
}

/** Marks of the old plate. */
export function setPlateMarks(job: Job, th: number, marks: readonly string[]): Step {
  return setStep(job, ['thermostats', th, 'marks'], marks, 'Terminals of the old plate');
}

export function setThermostatField<K extends keyof Thermostat>(
  job: Job,
  th: number,
  field: K,
  value: Thermostat[K],
  label: string
): Step {
  return setStep(job, ['thermostats', th, field], value, label);
}

/** Records the answer to an observation; null takes it back. */
export function observe(job: Job, th: number, id: string, answer: string | number | null): Step {
  const label = answer === null ? `Observation taken back: ${id}` : `Observed: ${id}`;
  return setStep(job, ['thermostats', th, 'observed', id], answer ?? undefined, label);
}

export function stateFamily(job: Job, th: number, family: Family | null): Step {
  return setStep(
    job,
    ['thermostats', th, 'statedFamily'],
    family,
    family ? `System stated: ${family}` : 'System not stated'
  );
}

export function chooseDevice(job: Job, th: number, device: DeviceId | null): Step {
  return setStep(
    job,
    ['thermostats', th, 'choice'],
    { device, method: null, variant: null },
    'Thermostat chosen'
  );
}

/** `variant` null: whichever of the method's variants is best. */
export function chooseMethod(
  job: Job,
  th: number,
  method: MethodId | null,
  variant: string | null = null
): Step {
  const device = job.thermostats[th]?.choice.device ?? null;
  return setStep(job, ['thermostats', th, 'choice'], { device, method, variant }, 'Supply chosen');
}

/** The way to take for each of several thermostats, in one step. */
export function takeWays(
  job: Job,
  ways: readonly {
    readonly thermostat: string;
    readonly method: MethodId;
    readonly variant: string | null;
  }[]
): Step {
  const steps = ways.flatMap(({ thermostat, method, variant }) => {
    const th = job.thermostats.findIndex((one) => one.id === thermostat);
    return th < 0 ? [] : [chooseMethod(job, th, method, variant)];
  });
  return batch('Ways taken for all', steps);
}

/** Ticks a move off, or takes the tick back. `key` as `moveKey` of the plan gives it; `at` ISO time. */
export function tickMove(job: Job, th: number, key: string, at: string): Step {
  const done = job.thermostats[th]?.done ?? [];
  const without = done.filter((one) => one.key !== key);
  const ticked = without.length === done.length;
  return setStep(
    job,
    ['thermostats', th, 'done'],
    ticked ? [...done, { key, at }] : without,
    ticked ? 'Move done' : 'Move not done after all'
  );
}

export function saveDevice(job: Job, device: DeviceFacts): Step {
  const index = job.devices.findIndex((one) => one.id === device.id);
  const label = `Facts of ${device.maker} ${device.model}`;
  return index === -1
    ? insertStep(job, ['devices'], device, label)
    : setStep(job, ['devices', index], device, label);
}

/** A further thermostat, with a machine of its own, or on one that is there already. */
export function addThermostat(job: Job, name: string, on: EquipmentId | null = null): Step {
  const equipment = emptyEquipment(
    nextId(
      'equipment',
      job.equipment.map((one) => one.id)
    ),
    `Equipment for ${name}`
  );
  const id = nextId(
    'thermostat',
    job.thermostats.map((one) => one.id)
  );
  if (on !== null)
    return insertStep(job, ['thermostats'], emptyThermostat(id, name, [on]), `Thermostat ${name}`);
  return batch(`Thermostat ${name}`, [
    insertStep(job, ['equipment'], equipment, ''),
    insertStep(job, ['thermostats'], emptyThermostat(id, name, [equipment.id]), '')
  ]);
}

/** The end as the user's word says it: a state, or a mark that it is landed on. */
export function endFrom(word: string, at: Thermostat['id'] | EquipmentId): ConductorEnd {
  const state = word.toLowerCase();
  if (state === 'loose' || state === 'coiled' || state === 'unseen') return { state, on: [] };
  return word === '' ? UNSEEN : landedOn(at, word.toUpperCase());
}

/** A further machine that this thermostat drives or that stands beside it. */
export function addMachine(job: Job, th: number, name: string): Step {
  const thermostat = thermostatAt(job, th);
  const id = nextId(
    'equipment',
    job.equipment.map((one) => one.id)
  );
  return batch(`Machine ${name}`, [
    insertStep(job, ['equipment'], emptyEquipment(id, name), ''),
    setStep(job, ['thermostats', th, 'equipment'], [...thermostat.equipment, id], '')
  ]);
}

/** A machine of the job that this thermostat is wired to as well: several on one panel share its transformer. */
export function shareMachine(job: Job, th: number, machine: EquipmentId): Step {
  const thermostat = thermostatAt(job, th);
  const name = job.equipment.find((one) => one.id === machine)?.name ?? machine;
  const own = thermostat.equipment.filter((one) => one !== machine);
  return setStep(job, ['thermostats', th, 'equipment'], [...own, machine], `Also wired to ${name}`);
}

/** Takes a machine away from a thermostat; the machine stays in the job as long as another one names it. */
export function removeMachine(job: Job, th: number, machine: EquipmentId): Step {
  const thermostat = thermostatAt(job, th);
  const index = job.equipment.findIndex((one) => one.id === machine);
  const others = job.thermostats.some((one, at) => at !== th && one.equipment.includes(machine));
  const away = setStep(
    job,
    ['thermostats', th, 'equipment'],
    thermostat.equipment.filter((one) => one !== machine),
    'Machine taken out'
  );
  return others || index === -1
    ? away
    : batch('Machine taken out', [away, removeStep(job, ['equipment'], index, '')]);
}

/** True when a conductor, a link or a found end of the thermostat is on the machine. */
export function machineIsUsed(thermostat: Thermostat, machine: EquipmentId): boolean {
  return (
    thermostat.conductors.some((one) => one.equipment.on.some((ref) => ref.at === machine)) ||
    thermostat.links.some((one) => one.a.at === machine || one.b.at === machine) ||
    thermostat.foundEnds.some((one) => one.on?.at === machine)
  );
}

/** Confirms that an end found at the equipment belongs to a conductor: the conductor takes it over. */
export function confirmEnd(job: Job, th: number, end: FoundEnd, co: number): Step {
  const thermostat = thermostatAt(job, th);
  const conductor = thermostat.conductors[co];
  if (!conductor) throw new Error(`No conductor at position ${co}`);
  const landing: ConductorEnd =
    end.state === 'landed' && end.on ? landedOn(end.on.at, end.on.mark) : { state: end.state, on: [] };
  const label = `Matched: ${conductorName(conductor)}`;
  const rest = thermostat.foundEnds.filter((one) => one.id !== end.id);
  return batch(label, [
    setStep(job, [...conductorPath(th, co), 'equipment'], landing, label),
    setStep(job, ['thermostats', th, 'foundEnds'], rest, label)
  ]);
}
