/** Edits of what stands in the house: thermostats, and the machines that they drive. */
import { emptyEquipment, emptyThermostat } from './create';
import { thermostatIn } from './edits';
import { nextId, type EquipmentId, type ThermostatId } from './ids';
import type { Equipment, Job, Thermostat } from './schema';
import { batch, insertStep, removeStep, setStep, type Step } from './steps';

function nextMachine(job: Job): EquipmentId {
  return nextId(
    'equipment',
    job.equipment.map((machine) => machine.id)
  );
}

/** A further thermostat, with a machine of its own, or on one that is there already. */
export function addThermostat(job: Job, name: string, on: EquipmentId | null = null): Step {
  const id = nextId(
    'thermostat',
    job.thermostats.map((thermostat) => thermostat.id)
  );
  const label = `Thermostat ${name}`;
  if (on !== null) return insertStep(job, ['thermostats'], emptyThermostat(id, name, [on]), label);
  const equipment = emptyEquipment(nextMachine(job), `Equipment for ${name}`.slice(0, 120));
  return batch(label, [
    insertStep(job, ['equipment'], equipment, ''),
    insertStep(job, ['thermostats'], emptyThermostat(id, name, [equipment.id]), '')
  ]);
}

/** A further machine that this thermostat drives or that stands beside it. */
export function addMachine(job: Job, th: ThermostatId, name: string): Step {
  const thermostat = thermostatIn(job, th);
  const id = nextMachine(job);
  return batch(`Machine ${name}`, [
    insertStep(job, ['equipment'], emptyEquipment(id, name), ''),
    setStep(job, ['thermostats', { id: th }, 'equipment'], [...thermostat.equipment, id], '')
  ]);
}

/** A machine of the job that this thermostat is wired to as well: several on one panel share its transformer. */
export function shareMachine(job: Job, th: ThermostatId, machine: EquipmentId): Step {
  const name = job.equipment.find((candidate) => candidate.id === machine)?.name ?? machine;
  const own = thermostatIn(job, th).equipment.filter((id) => id !== machine);
  return setStep(job, ['thermostats', { id: th }, 'equipment'], [...own, machine], `Also wired to ${name}`);
}

/** Takes a machine away from a thermostat; the machine stays in the job as long as another one names it. */
export function removeMachine(job: Job, th: ThermostatId, machine: EquipmentId): Step {
  const others = job.thermostats.some(
    (thermostat) => thermostat.id !== th && thermostat.equipment.includes(machine)
  );
  const away = setStep(
    job,
    ['thermostats', { id: th }, 'equipment'],
    thermostatIn(job, th).equipment.filter((id) => id !== machine),
    'Machine removed'
  );
  const known = job.equipment.some((candidate) => candidate.id === machine);
  return others || !known
    ? away
    : batch('Machine removed', [away, removeStep(job, ['equipment'], machine, '')]);
}

/** True when a conductor, a cable, a link or a found end of the thermostat is on the machine. */
export function machineIsUsed(thermostat: Thermostat, machine: EquipmentId): boolean {
  return (
    thermostat.conductors.some((conductor) => conductor.far.on.some((ref) => ref.at === machine)) ||
    thermostat.links.some((link) => link.a.at === machine || link.b.at === machine) ||
    thermostat.foundEnds.some((end) => end.on?.at === machine)
  );
}

export function setMachineField<K extends keyof Equipment>(
  job: Job,
  machine: EquipmentId,
  field: K,
  value: Equipment[K],
  label: string
): Step {
  return setStep(job, ['equipment', { id: machine }, field], value, label);
}
