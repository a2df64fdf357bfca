/** Short ways to the edits that a form makes. */
import type { EquipmentId } from '$core/job/ids';
import { setStep, type Path } from '$core/job/steps';
import type { Job, Thermostat } from '$core/job/schema';
import type { Place } from './place.svelte';

/** Sets a value somewhere in the job. */
export function setAt(place: Place, path: Path, value: unknown, label: string): void {
  place.session.edit(setStep(place.job, path, value, label));
}

export function setThermostat<K extends keyof Thermostat>(
  place: Place,
  key: K,
  value: Thermostat[K],
  label: string
): void {
  setAt(place, ['thermostats', { id: place.thermostat.id }, key], value, label);
}

export function setMachine<K extends keyof Job['equipment'][number]>(
  place: Place,
  machine: EquipmentId,
  key: K,
  value: Job['equipment'][number][K],
  label: string
): void {
  setAt(place, ['equipment', { id: machine }, key], value, label);
}
