/** Edits of the record of mains heating controls, each as a step with a label that says in words what it did. Times are ISO and handed in. */
import type { ColourCode } from '../trade/colours';
import { counted } from '../words/text';
import {
  MAINS_FUNCTION_NAMES,
  MAINS_METHOD_NAMES,
  MAINS_PART_NAMES,
  USUAL_SCREWS,
  type Competence,
  type MainsFunction,
  type MainsMethod,
  type MainsPart
} from '../trade/mains';
import type { ControllerFacts } from './controller-facts';
import {
  freeId,
  nextId,
  type CableId,
  type ConductorId,
  type ControllerId,
  type LinkId,
  type MainsDeviceId,
  type ScrewId,
  type ThermostatId
} from './ids';
import type { DeadProof, MainsCable, MainsControls, MainsDevice, MainsEnd, MainsWire } from './mains-schema';
import type { Job } from './schema';
import { apply, batch, insertStep, removeStep, setStep, type Path, type Step } from './steps';

export const mainsPath = (th: ThermostatId, ...rest: Path): Path => [
  'thermostats',
  { id: th },
  'mains',
  ...rest
];

export function mainsIn(job: Job, th: ThermostatId): MainsControls {
  const mains = job.thermostats.find(({ id }) => id === th)?.mains;
  if (!mains) throw new Error(`No mains controls at ${th}`);
  return mains;
}

export function emptyMains(): MainsControls {
  return {
    devices: [newDevice([], 'wiring-centre'), newDevice([], 'supply')],
    cables: [],
    wires: [],
    links: [],
    observed: {},
    controllers: [],
    choice: { controller: null, method: null, variant: null },
    competence: { who: 'unsaid', name: '', at: null },
    dead: null,
    tests: [],
    seen: {},
    log: [],
    settings: {}
  };
}

/** Begins a record of mains controls: a wiring centre of ten numbers and a spur, nothing joined. */
export function startMains(job: Job, th: ThermostatId): Step {
  return setStep(job, ['thermostats', { id: th }, 'mains'], emptyMains(), 'Mains heating controls');
}

export function dropMains(job: Job, th: ThermostatId): Step {
  return setStep(job, ['thermostats', { id: th }, 'mains'], null, 'No mains heating controls here');
}

function newDevice(taken: readonly string[], part: MainsPart, name = MAINS_PART_NAMES[part]): MainsDevice {
  const screws: MainsDevice['screws'] = [];
  for (const [mark, does] of USUAL_SCREWS[part])
    screws.push({
      id: freeId(
        'screw',
        mark.toLowerCase(),
        screws.map(({ id }) => id)
      ),
      mark,
      does
    });
  return {
    id: freeId('mainsDevice', part, taken),
    part,
    name,
    place: '',
    screws,
    serves: 'unknown',
    contacts: 'unknown',
    heatingBringsWater: 'unknown',
    input: 'unknown',
    combination: 'unknown',
    fuseAmps: null,
    note: ''
  };
}

/** The first wiring centre: where the cable of a new device goes as a rule. */
export function centreIn(mains: MainsControls): MainsDevice | undefined {
  return mains.devices.find(({ part }) => part === 'wiring-centre');
}

/** A device with the screws that such devices usually have, and a cable from it to the wiring centre. */
export function addUnit(job: Job, th: ThermostatId, part: MainsPart): Step {
  const mains = mainsIn(job, th);
  const same = mains.devices.filter((device) => device.part === part).length;
  const name = same === 0 ? MAINS_PART_NAMES[part] : `${MAINS_PART_NAMES[part]} ${same + 1}`;
  const device = newDevice(
    mains.devices.map(({ id }) => id),
    part,
    name
  );
  const label = `Device: ${name}`;
  return insertStep(job, mainsPath(th, 'devices'), device, label);
}

/** Takes out a device with its cables, wires and links. */
export function removeUnit(job: Job, th: ThermostatId, id: MainsDeviceId): Step {
  const mains = mainsIn(job, th);
  const device = mains.devices.find((device) => device.id === id);
  const label = `Device removed: ${device?.name ?? id}`;
  const cables = mains.cables.filter(({ near, far }) => near === id || far === id);
  const wires = mains.wires.filter(
    (wire) =>
      cables.some((cable) => cable.id === wire.cable) ||
      wire.near.on?.device === id ||
      wire.far.on?.device === id
  );
  return batch(label, [
    ...[...wires].reverse().map((wire) => removeStep(job, mainsPath(th, 'wires'), wire.id, label)),
    ...[...cables].reverse().map((cable) => removeStep(job, mainsPath(th, 'cables'), cable.id, label)),
    ...mains.links
      .filter((link) => link.device === id)
      .reverse()
      .map((link) => removeStep(job, mainsPath(th, 'links'), link.id, label)),
    removeStep(job, mainsPath(th, 'devices'), id, label)
  ]);
}

type UnitField = Exclude<keyof MainsDevice, 'id' | 'part' | 'screws'>;

export function setUnit<K extends UnitField>(
  job: Job,
  th: ThermostatId,
  id: MainsDeviceId,
  field: K,
  value: MainsDevice[K]
): Step {
  const device = mainsIn(job, th).devices.find((device) => device.id === id);
  return setStep(job, mainsPath(th, 'devices', { id }, field), value, `${device?.name ?? id} changed`);
}

export function addUnitScrew(job: Job, th: ThermostatId, device: MainsDeviceId, mark: string): Step {
  const unit = mainsIn(job, th).devices.find((candidate) => candidate.id === device);
  const slug =
    mark
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'x';
  const id = freeId(
    'screw',
    slug,
    (unit?.screws ?? []).map((screw) => screw.id)
  );
  const does: MainsFunction = unit?.part === 'wiring-centre' ? 'joint' : 'unknown';
  return insertStep(
    job,
    mainsPath(th, 'devices', { id: device }, 'screws'),
    { id, mark, does } as { id: ScrewId },
    `${unit?.name ?? device}: terminal ${mark}`
  );
}

export function setUnitScrew(
  job: Job,
  th: ThermostatId,
  device: MainsDeviceId,
  id: ScrewId,
  change: { readonly mark?: string; readonly does?: MainsFunction }
): Step {
  const path = mainsPath(th, 'devices', { id: device }, 'screws', { id });
  const label =
    change.does === undefined ? 'Terminal’s print' : `Terminal: ${MAINS_FUNCTION_NAMES[change.does]}`;
  return batch(label, [
    ...(change.mark === undefined ? [] : [setStep(job, [...path, 'mark'], change.mark, label)]),
    ...(change.does === undefined ? [] : [setStep(job, [...path, 'does'], change.does, label)])
  ]);
}

/** A screw goes with the wire ends and links that stand on it: the ends become unseen, for nobody knows where they are. */
export function removeUnitScrew(job: Job, th: ThermostatId, device: MainsDeviceId, id: ScrewId): Step {
  const mains = mainsIn(job, th);
  const label = 'Terminal removed';
  const on = (end: MainsEnd) => end.on?.device === device && end.on.screw === id;
  return batch(label, [
    ...mains.wires.flatMap((wire) =>
      (['near', 'far'] as const)
        .filter((end) => on(wire[end]))
        .map((end) => setStep(job, mainsPath(th, 'wires', { id: wire.id }, end), UNSEEN_END, label))
    ),
    ...mains.links
      .filter((link) => link.device === device && (link.a === id || link.b === id))
      .reverse()
      .map((link) => removeStep(job, mainsPath(th, 'links'), link.id, label)),
    removeStep(job, mainsPath(th, 'devices', { id: device }, 'screws'), id, label)
  ]);
}

export const UNSEEN_END: MainsEnd = { state: 'unseen', on: null };

export function onScrew(device: MainsDeviceId, screw: ScrewId): MainsEnd {
  return { state: 'landed', on: { device, screw } };
}

export interface NewWire {
  /** The device that its cable goes to. */
  readonly device: MainsDeviceId;
  /** Its end there. */
  readonly near: MainsEnd;
  readonly far: MainsEnd;
  readonly colour: ColourCode | null;
  readonly stripe?: ColourCode | null;
}

/** A wire between a device and another place, as a rule the wiring centre; its cable comes along where there is none yet. */
export function addWire(
  job: Job,
  th: ThermostatId,
  { device, near, far, colour, stripe = null }: NewWire
): Step {
  const mains = mainsIn(job, th);
  const to = far.on?.device ?? centreIn(mains)?.id ?? null;
  const unit = mains.devices.find(({ id }) => id === device);
  const known =
    mains.cables.find((cable) => cable.near === device && (cable.far === to || cable.far === null)) ??
    mains.cables.find((cable) => cable.near === to && cable.far === device);
  const turned = known !== undefined && known.near !== device;
  const cable: MainsCable = known ?? {
    id: nextId(
      'cable',
      mains.cables.map(({ id }) => id)
    ),
    name: unit?.name ?? '',
    near: device,
    far: to,
    lengthM: null
  };
  const wire: MainsWire = {
    id: nextId(
      'conductor',
      mains.wires.map(({ id }) => id)
    ),
    cable: cable.id,
    colour,
    stripe,
    sleeve: null,
    label: '',
    ...(turned ? { near: far, far: near } : { near, far }),
    continuity: 'untested'
  };
  const label = `Wire of the ${unit?.name ?? device}`;
  return batch(label, [
    ...(known ? [] : [insertStep(job, mainsPath(th, 'cables'), cable, label)]),
    insertStep(job, mainsPath(th, 'wires'), wire, label)
  ]);
}

/** Several at once, as one step: each finds the cable that the one before it brought. */
export function addWires(job: Job, th: ThermostatId, wires: readonly NewWire[]): Step {
  let now = job;
  const steps = wires.map((wire) => {
    const step = addWire(now, th, wire);
    now = apply(now, step);
    return step;
  });
  return batch(`${counted(wires.length, 'wire', 'wires')} brought in`, steps);
}

export function setWire(
  job: Job,
  th: ThermostatId,
  id: ConductorId,
  change: Partial<Omit<MainsWire, 'id' | 'cable'>>
): Step {
  const label = 'Wire changed';
  return batch(
    label,
    Object.entries(change).map(([field, value]) =>
      setStep(job, mainsPath(th, 'wires', { id }, field), value, label)
    )
  );
}

/** Its cable goes with the last of its wires. */
export function removeWire(job: Job, th: ThermostatId, id: ConductorId): Step {
  const mains = mainsIn(job, th);
  const cable = mains.wires.find((wire) => wire.id === id)?.cable;
  const label = 'Wire removed';
  const last = mains.wires.filter((wire) => wire.cable === cable).length === 1;
  return batch(label, [
    removeStep(job, mainsPath(th, 'wires'), id, label),
    ...(last && cable ? [removeStep(job, mainsPath(th, 'cables'), cable as CableId, label)] : [])
  ]);
}

export function addMainsLink(
  job: Job,
  th: ThermostatId,
  device: MainsDeviceId,
  a: ScrewId,
  b: ScrewId
): Step {
  const id = nextId(
    'link',
    mainsIn(job, th).links.map((link) => link.id)
  );
  return insertStep(
    job,
    mainsPath(th, 'links'),
    { id, device, a, b, kind: 'wire' } as { id: LinkId },
    'Link'
  );
}

export function removeMainsLink(job: Job, th: ThermostatId, id: LinkId): Step {
  return removeStep(job, mainsPath(th, 'links'), id, 'Link removed');
}

/** Answers about the layout; null takes one back. */
export function observeLayout(job: Job, th: ThermostatId, id: string, answer: string | null): Step {
  return setStep(job, mainsPath(th, 'observed', id), answer ?? undefined, `Layout: ${id}`);
}

export function sayWho(job: Job, th: ThermostatId, who: Competence, name: string, time: string): Step {
  return setStep(job, mainsPath(th, 'competence'), { who, name, at: time }, 'Who does the work');
}

export function proveDead(job: Job, th: ThermostatId, proof: DeadProof | null): Step {
  return setStep(job, mainsPath(th, 'dead'), proof, proof === null ? 'Not proven dead' : 'Proven dead');
}

export function chooseController(job: Job, th: ThermostatId, controller: ControllerId | null): Step {
  return setStep(
    job,
    mainsPath(th, 'choice'),
    { controller, method: null, variant: null },
    'Controller chosen'
  );
}

export function chooseMainsWay(
  job: Job,
  th: ThermostatId,
  way: { readonly controller: ControllerId | null; readonly method: MainsMethod; readonly variant: string }
): Step {
  return setStep(job, mainsPath(th, 'choice'), way, MAINS_METHOD_NAMES[way.method]);
}

export function addController(job: Job, th: ThermostatId, facts: ControllerFacts): Step {
  return insertStep(job, mainsPath(th, 'controllers'), facts, `Controller: ${facts.maker} ${facts.model}`);
}

export function removeController(job: Job, th: ThermostatId, id: ControllerId): Step {
  const { choice } = mainsIn(job, th);
  const label = 'Controller removed';
  return batch(label, [
    ...(choice.controller === id ? [chooseController(job, th, null)] : []),
    removeStep(job, mainsPath(th, 'controllers'), id, label)
  ]);
}

/** What was done, into the log; or out of it. */
export function withMainsLog(job: Job, th: ThermostatId, log: MainsControls['log'], label: string): Step {
  return setStep(job, mainsPath(th, 'log'), log, label);
}

/** Somebody competent or licensed is named for this job. */
export function isCompetent({ competence: { who } }: Pick<MainsControls, 'competence'>): boolean {
  return who === 'licensed' || who === 'competent';
}

/** All of it in order, on one day, with the tester proven before and after: then it is dead. */
export function isProvenDead(proof: DeadProof | null, today: string): boolean {
  return (
    proof !== null &&
    proof.at.slice(0, 10) === today &&
    proof.testerBefore &&
    proof.liveNeutral === true &&
    proof.liveEarth === true &&
    proof.neutralEarth === true &&
    proof.testerAfter
  );
}
