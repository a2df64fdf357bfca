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

/**
 * Where the figures of the whole house stand: at the first thermostat that nothing stops and that may be one of the 24 V class. Null where there
 * is none. A house saves once, however many thermostats it has.
 */
export function savingPlace(job: Job): ThermostatId | null {
  const speaks = (thermostat: Thermostat) =>
    stopFindings(thermostat).length === 0 && OPEN_CLASSES.has(identify(job, thermostat).voltageClass);
  return job.thermostats.find(speaks)?.id ?? null;
}

const OPEN_CLASSES: ReadonlySet<Identification['voltageClass']> = new Set(['24v', 'unknown']);
