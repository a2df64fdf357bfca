/** Houses in which several thermostats hang on one panel. */
import type { Job, Thermostat } from '../job/schema';
import { house, type HouseSketch } from './builder';

const ZONE: HouseSketch = {
  strands: ['RD R R', 'WH W W', 'BU coiled coiled'],
  board: ['R', 'W', 'C'],
  observed: { 'conductor-build': 'thin', 'measured-volts': 27, 'heat-from': 'radiators' },
  stated: 'boiler',
  equipment: { name: 'zone panel', kind: 'zone-panel' }
};

/** `zones` thermostats on one panel of zone valves, each with a proven spare; `va` is what its plate says. */
export function zonedHouse(zones: number, va: number | null = 40, sketch: Partial<HouseSketch> = {}): Job {
  const made = house({
    ...ZONE,
    ...sketch,
    equipment: { ...ZONE.equipment, transformerVa: va, ...sketch.equipment }
  });
  const [first] = made.job.thermostats;
  if (!first) throw new Error('A house holds a thermostat');
  const thermostats = Array.from({ length: zones }, (_, at) =>
    copyAs(first, `th-zone-${at + 1}`, `Zone ${at + 1}`)
  );
  return { ...made.job, thermostats };
}

/** The same place once more under another id, with all that refers to it. */
function copyAs(thermostat: Thermostat, id: string, name: string): Thermostat {
  const text = JSON.stringify(thermostat).replaceAll(JSON.stringify(thermostat.id), JSON.stringify(id));
  return { ...(JSON.parse(text) as Thermostat), name };
}

/** The job with this device (and method) chosen for each thermostat. */
export function choosing(job: Job, device: string, method: Thermostat['choice']['method'] = null): Job {
  return {
    ...job,
    thermostats: job.thermostats.map((one) => ({
      ...one,
      choice: { device: device as Thermostat['choice']['device'], method, variant: null }
    }))
  };
}
