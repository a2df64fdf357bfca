/** What an id in a finding's `because` stands for, in words: the way from a judgement down to what was recorded or solved. */
import { conductorName } from '$core/job/names';
import { deviceName, findDevice } from '$core/match/catalogue';
import { callName, readCall } from '$core/trade/calls';
import { EVIDENCE } from '$core/identify/evidence/registry';
import { placeName } from '$core/job/places';
import type { Conductor, Job, Screw } from '$core/job/schema';
import { refName, screwName } from '$core/job/screws';
import type { Place } from '../state/place.svelte';

export function factText(place: Place, id: string): string {
  const { thermostat, job } = place;
  const conductor = thermostat.conductors.find((one) => one.id === id);
  if (conductor)
    return `recorded: ${conductorName(conductor)} conductor, wall ${endWords(job, conductor, 'near')}, equipment ${endWords(job, conductor, 'far')}`;
  const machine = job.equipment.find((one) => one.id === id);
  if (machine) return `recorded: ${machine.name}, terminals ${marksText(machine.screws) || 'not read'}`;
  const cable = thermostat.cables.find((one) => one.id === id);
  if (cable) return `recorded: ${cable.name}`;
  const link = thermostat.links.find((one) => one.id === id);
  if (link)
    return `recorded: jumper ${refName(job, link.a)} to ${refName(job, link.b)} at ${placeName(job, link.at)}`;
  if (id === thermostat.id)
    return `recorded: the plate of ${thermostat.name}, terminals ${marksText(thermostat.screws) || 'not read'}`;
  if (id.startsWith('call:'))
    return `solved: the circuit with ${callName(readCall(id.slice('call:'.length)) ?? 'idle')} called`;
  if (id.startsWith('observed:')) return observationText(place, id.slice('observed:'.length));
  if (id === 'outlet') return `recorded: outlet near the plate: ${thermostat.outlet}`;
  const device = findDevice(job, id);
  return device ? `sheet: ${deviceName(device)}` : `solved: ${partText(place, id)}`;
}

/** A part of the circuit, `MACHINE:PART`: its name and whose it is; anything else as it is. */
function partText({ job }: Place, id: string): string {
  const [owner = '', part = ''] = id.split(':');
  const machine = job.equipment.find((one) => one.id === owner)?.name;
  if (machine === undefined || part === '') return id;
  const name =
    part === 'secondary'
      ? 'the transformer'
      : part.startsWith('coil-')
        ? `the coil on ${part.slice(5)}`
        : part;
  return `${name} of ${machine}`;
}

function marksText(screws: readonly Screw[]): string {
  return screws.map((screw) => screwName(screws, screw.id)).join(' ');
}

function endWords(job: Job, conductor: Conductor, side: 'near' | 'far'): string {
  const end = conductor[side];
  return end.on.length > 0
    ? `on ${end.on.map((one) => refName(job, one)).join(' and ')}`
    : end.state === 'unseen'
      ? 'not seen'
      : end.state;
}

function observationText(place: Place, id: string): string {
  const answer = place.thermostat.observed[id];
  const evidence = EVIDENCE.find((one) => one.id === id);
  const label = evidence?.values.find((one) => one.value === answer)?.label ?? String(answer);
  return `observed: ${evidence?.ask ?? id} ${label}${typeof answer === 'number' ? ' V' : ''}`;
}
