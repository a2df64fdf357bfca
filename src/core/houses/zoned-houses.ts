/** Houses in which several thermostats hang on one panel. */
import type { ScrewId } from '../job/ids';
import type { Job, Thermostat } from '../job/schema';
import { newScrew } from '../job/screws';
import { house, type HouseSketch } from './builder';

const ZONE: HouseSketch = {
  strands: ['RD R R', 'WH W W', 'BU coiled coiled'],
  board: ['R', 'W', 'C'],
  observed: { 'conductor-build': 'thin', 'measured-volts': 27, 'heat-from': 'radiators' },
  stated: 'boiler',
  equipment: { name: 'zone panel', kind: 'zone-panel' }
};

/** `zones` thermostats on one panel of zone valves, each on a W of its own and with a proven spare; `va` is what the panel's plate says. */
export function zonedHouse(zones: number, va: number | null = 40, sketch: Partial<HouseSketch> = {}): Job {
  const made = house({
    ...ZONE,
    ...sketch,
    equipment: { ...ZONE.equipment, transformerVa: va, ...sketch.equipment }
  });
  const [first] = made.job.thermostats;
  const [panel] = made.job.equipment;
  if (!first || !panel) throw new Error('A house holds a thermostat and a machine');
  let screws = panel.screws;
  const own = screws.find((screw) => screw.mark === 'W');
  const thermostats = Array.from({ length: zones }, (_, at) => {
    const copy = copyAs(first, `th-zone-${at + 1}`, `Zone ${at + 1}`);
    if (at === 0 || !own) return copy;
    const screw = newScrew(screws, 'W');
    screws = [...screws, screw];
    return { ...copy, conductors: onPanel(copy, panel.id, own.id, screw.id) };
  });
  const equipment = made.job.equipment.map((machine) =>
    machine === panel ? { ...machine, screws } : machine
  );
  return { ...made.job, equipment, thermostats };
}

function onPanel(
  { conductors }: Thermostat,
  panel: string,
  from: ScrewId,
  to: ScrewId
): Thermostat['conductors'] {
  return conductors.map((conductor) => ({
    ...conductor,
    far: {
      ...conductor.far,
      on: conductor.far.on.map((ref) =>
        ref.at === panel && ref.screw === from ? { ...ref, screw: to } : ref
      )
    }
  }));
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
    thermostats: job.thermostats.map((thermostat) => ({
      ...thermostat,
      choice: { device: device as Thermostat['choice']['device'], method, variant: null }
    }))
  };
}
