/** All that ships as an example. */
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { FERRY_HOUSE } from './ferry-house';
import { SCHOOLHOUSE } from './schoolhouse';

/** The houses that can be opened from the first page. */
export const DEMO_HOUSES: readonly Job[] = [SCHOOLHOUSE, FERRY_HOUSE];

/** Each house whole, and one job for each thermostat of the first, by the name of the file. */
export const DEMO_JOBS: readonly { readonly file: string; readonly job: Job }[] = [
  { file: 'schoolhouse.json', job: SCHOOLHOUSE },
  { file: 'ferry-house.json', job: FERRY_HOUSE },
  ...SCHOOLHOUSE.thermostats.map((thermostat) => {
    const rest = thermostat.id.replace('th-', '');
    return {
      file: `${rest}.json`,
      job: {
        ...SCHOOLHOUSE,
        id: makeId('job', `schoolhouse-${rest}`),
        name: `The old schoolhouse: ${thermostat.name.toLowerCase()}`,
        equipment: SCHOOLHOUSE.equipment.filter((machine) => thermostat.equipment.includes(machine.id)),
        thermostats: [thermostat]
      }
    };
  })
];
