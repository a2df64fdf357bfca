/** All that ships as an example. */
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { FERRY_HOUSE } from './ferry-house';
import { millCottage } from './mill-cottage';
import { quarryRow } from './quarry-row';
import { SCHOOLHOUSE } from './schoolhouse';

/** The houses that can be opened from the first page, by the last part of their address, and the station that each opens at. */
export const DEMO_HOUSES: Readonly<Record<string, { readonly job: () => Job; readonly station: string }>> = {
  schoolhouse: { job: () => SCHOOLHOUSE, station: 'sheet' },
  'ferry-house': { job: () => FERRY_HOUSE, station: 'sheet' },
  'mill-cottage': { job: millCottage, station: 'why' },
  'quarry-row': { job: quarryRow, station: 'strip' }
};

/** Each house whole, and one job for each thermostat of the first, by the name of the file. */
export const DEMO_JOBS: readonly { readonly file: string; readonly job: Job }[] = [
  { file: 'schoolhouse.json', job: SCHOOLHOUSE },
  { file: 'ferry-house.json', job: FERRY_HOUSE },
  { file: 'mill-cottage.json', job: millCottage() },
  { file: 'quarry-row.json', job: quarryRow() },
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
