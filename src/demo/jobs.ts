/** All that ships as an example, as it is written into files. */
import { makeId } from '$core/job/ids';
import type { Job } from '$core/job/schema';
import { FERRY_HOUSE } from './ferry-house';
import { millCottage } from './mill-cottage';
import { quarryRow } from './quarry-row';
import { SCHOOLHOUSE } from './schoolhouse';

export interface DemoFile {
  readonly file: string;
  readonly job: Job;
}

/** Each house whole, and one job for each thermostat of the first. The cottage is planned for each of its steps. */
export function demoFiles(): readonly DemoFile[] {
  return [
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
}
