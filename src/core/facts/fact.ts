/** What a reference stands for in words, and where in the job it was recorded: the way from a judgement down to what somebody saw. */
import type { PartRef, Ref } from '../findings/refs';
import { EVIDENCE } from '../identify/evidence/registry';
import { TRAIT_QUESTIONS } from '../identify/traits/registry';
import { conductorName } from '../job/names';
import { placeName } from '../job/places';
import type { Conductor, Job, Screw, Thermostat } from '../job/schema';
import { refName, screwName, screwsAt } from '../job/screws';
import { deviceName, findDevice } from '../match/catalogue';
import { findStop } from '../safety/stops';
import { OUTDOOR_ID } from '../safety/supplies';
import { callName } from '../trade/calls';
import type { PartName } from '../trade/parts';

export type Station = 'sheet' | 'system' | 'survey' | 'safe' | 'thermostat' | 'bench';

/** Where somebody can look at it, or put it right. */
export interface Where {
  readonly station: Station;
  /** The conductor on the strand sheet. */
  readonly conductor?: string;
  /** The thermostat whose sheet it is. */
  readonly device?: string;
}

export interface Fact {
  /** How it is known. */
  readonly kind: 'recorded' | 'answered' | 'sheet' | 'solved';
  readonly text: string;
  /** Null where there is no one place for it. */
  readonly where: Where | null;
}

const recorded = (text: string, where: Where = { station: 'sheet' }): Fact => ({
  kind: 'recorded',
  text,
  where
});
const gone = (id: string): Fact => ({
  kind: 'recorded',
  text: `${id}, which the job no longer holds`,
  where: null
});

export function factOf(job: Job, thermostat: Thermostat, ref: Ref): Fact {
  switch (ref.kind) {
    case 'call':
      return {
        kind: 'solved',
        text: `the circuit with ${callName(ref.call)} called`,
        where: { station: 'bench' }
      };
    case 'part':
      return partFact(job, ref);
    case 'observation':
      return observationFact(thermostat, ref.id);
    case 'stop':
      return {
        kind: 'answered',
        text: findStop(ref.id)?.ask ?? ref.id,
        where: { station: 'safe' }
      };
    case 'survey':
      return { kind: 'answered', text: SURVEY_NAMES[ref.id] ?? ref.id, where: { station: 'survey' } };
    case 'outlet':
      return recorded(`outlet near the plate: ${thermostat.outlet}`);
    case 'supply':
      return {
        kind: 'recorded',
        text: `the supply of ${supplyName(job, ref.id)}`,
        where: { station: 'safe' }
      };
    case 'screw':
      return screwFact(job, ref.at, ref.screw);
    default:
      return listedFact(job, thermostat, ref);
  }
}

function listedFact(job: Job, thermostat: Thermostat, { kind, id }: Extract<Ref, { id: string }>): Fact {
  switch (kind) {
    case 'conductor': {
      const conductor = thermostat.conductors.find((it) => it.id === id);
      return conductor ? conductorFact(job, conductor) : gone(id);
    }
    case 'cable': {
      const cable = thermostat.cables.find((it) => it.id === id);
      return cable ? recorded(cable.name) : gone(id);
    }
    case 'link': {
      const link = thermostat.links.find((it) => it.id === id);
      if (!link) return gone(id);
      return recorded(
        `jumper ${refName(job, link.a)} to ${refName(job, link.b)} at ${placeName(job, link.at)}`
      );
    }
    case 'machine': {
      const machine = job.equipment.find((it) => it.id === id);
      return machine ? recorded(`${machine.name}, terminals ${marksText(machine.screws)}`) : gone(id);
    }
    case 'thermostat': {
      const plate = job.thermostats.find((it) => it.id === id);
      return plate ? recorded(`the plate of ${plate.name}, terminals ${marksText(plate.screws)}`) : gone(id);
    }
    case 'place': {
      const place = job.places.find((it) => it.id === id);
      return place ? recorded(`${place.name}, terminals ${marksText(place.screws)}`) : gone(id);
    }
    case 'found-end': {
      const end = thermostat.foundEnds.find((it) => it.id === id);
      return end
        ? recorded(`an end found at the equipment, ${end.on ? `on ${refName(job, end.on)}` : end.state}`)
        : gone(id);
    }
    case 'device': {
      const device = findDevice(job, id);
      return device
        ? { kind: 'sheet', text: deviceName(device), where: { station: 'thermostat', device: id } }
        : gone(id);
    }
    default:
      return gone(id);
  }
}

function conductorFact(job: Job, conductor: Conductor): Fact {
  const end = (side: 'near' | 'far') => {
    const { on, state } = conductor[side];
    if (on.length > 0) return `on ${on.map((it) => refName(job, it)).join(' and ')}`;
    return state === 'unseen' ? 'not seen' : state;
  };
  return recorded(`${conductorName(conductor)} wire, wall ${end('near')}, equipment ${end('far')}`, {
    station: 'sheet',
    conductor: conductor.id
  });
}

function marksText(screws: readonly Screw[]): string {
  return screws.map((screw) => screwName(screws, screw.id)).join(' ') || 'not read';
}

function screwFact(job: Job, at: string, id: string): Fact {
  const screws = screwsAt(job, at);
  const screw = screws.find((it) => it.id === id);
  if (!screw) return gone(id);
  const place = job.thermostats.some((it) => it.id === at)
    ? 'the wall'
    : ([...job.equipment, ...job.places].find((it) => it.id === at)?.name ?? at);
  return recorded(`terminal ${screwName(screws, id)} at ${place}`);
}

function supplyName(job: Job, id: string): string {
  if (id === OUTDOOR_ID) return 'the outdoor unit';
  return job.equipment.find((machine) => machine.id === id)?.name ?? id;
}

function observationFact(thermostat: Thermostat, id: string): Fact {
  const answer = thermostat.observed[id];
  const question = [...EVIDENCE, ...TRAIT_QUESTIONS].find((it) => it.id === id);
  const label =
    question?.values.find((it) => it.value === answer)?.label ??
    (answer === undefined ? 'not answered' : String(answer));
  const unit = typeof answer === 'number' ? ' V' : '';
  return {
    kind: 'answered',
    text: `${question?.ask ?? id} ${label}${unit}`,
    where: { station: 'system' }
  };
}

const SURVEY_NAMES: Readonly<Record<string, string>> = {
  building: 'what is known of the house',
  habits: 'who is at home when, and the temperatures',
  workDay: 'the day of the work',
  internet: 'whether the connection works',
  oldOneWorks: 'whether the old system works',
  frail: 'whether somebody old, ill or very young lives there',
  pipesCanFreeze: 'whether pipes can freeze'
};

const PART_NAMES: Readonly<Record<PartName, string>> = {
  transformer: 'the transformer',
  fuse: 'the fuse',
  'door-switch': 'the door switch',
  lamp: 'lamp',
  'float-switch': 'the float switch',
  'low-water-cut-off': 'the low-water cut-off',
  coil: 'the coil',
  contact: 'a contact',
  electronics: 'the electronics',
  joint: 'a joint',
  diode: 'a diode',
  sense: 'a relay'
};

function partFact(job: Job, { id, device, part, mark }: PartRef): Fact {
  const owner = job.equipment.find((machine) => machine.id === device)?.name ?? device;
  const name = part === null ? id : PART_NAMES[part];
  const on = mark === null ? '' : ` on ${mark}`;
  const whose = owner === null ? '' : ` of ${owner}`;
  return { kind: 'solved', text: `${name}${on}${whose}`, where: { station: 'bench' } };
}
