/** What heats the house, as far as money is concerned, from what is known of it. */
import { heatSourceOf, type HeatSource } from '../house/heat-source';
import { identify, type Identification } from '../identify/identify';
import type { ThermostatId } from '../job/ids';
import type { Job, Thermostat } from '../job/schema';
import { stopFindings } from '../safety/standing';
import { marksMean } from '../trade/terminals';

export function heatSourceIn(job: Job, thermostat: Thermostat, { family }: Identification): HeatSource {
  const machines = job.equipment.filter((machine) => thermostat.equipment.includes(machine.id));
  const marks = machines.flatMap((machine) => machine.screws.map((screw) => screw.mark));
  const { efficiency, pricePerKwh } = job.survey.building;
  return heatSourceOf({
    family,
    fuel: machines.find((machine) => machine.fuel !== 'unknown')?.fuel ?? 'unknown',
    // Nearly every heat pump for air has strips: without a strip to read, they are taken to be there.
    strips: marks.length === 0 || ['AUX', 'W2', 'E', 'W1'].some((mark) => marksMean(marks, mark)),
    efficiency,
    pricePerKWh: pricePerKwh
  });
}

/** Thermostats that the house may save with: nothing stops them, and they may be of the 24 V class. The others have a verdict of their own. */
export function savingPlaces(job: Job): Thermostat[] {
  return job.thermostats.filter((thermostat) => saves(job, thermostat));
}

function saves(job: Job, thermostat: Thermostat): boolean {
  return stopFindings(thermostat).length === 0 && OPEN_CLASSES.has(identify(job, thermostat).voltageClass);
}

/** Where the figures of the whole house stand: at the first of these, or nowhere. A house saves once, however many thermostats it has. */
export function savingPlace(job: Job): ThermostatId | null {
  return job.thermostats.find((thermostat) => saves(job, thermostat))?.id ?? null;
}

/** Prices of their thermostats, dollars, by what `priceOf` knows of a model; null where none is chosen, or it has no price. */
export function pricesIn(job: Job, priceOf: (device: string) => number | null): (number | null)[] {
  return savingPlaces(job).map(({ choice: { device } }) => (device === null ? null : priceOf(device)));
}

const OPEN_CLASSES: ReadonlySet<Identification['voltageClass']> = new Set(['24v', 'unknown']);
