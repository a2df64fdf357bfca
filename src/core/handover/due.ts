/** What was put off to a day: for the calendar and the first page. */
import type { Job, Thermostat } from '../job/schema';
import { callName, type Call } from '../trade/calls';

/** Something that is still to be done on a day of its own. */
export interface Due {
  /** The same for the same thing, whenever it is asked: a calendar changes its entry and makes no second one. */
  readonly id: string;
  readonly job: string;
  readonly jobName: string;
  readonly place: string;
  readonly thermostat: string;
  readonly thermostatName: string;
  readonly call: Call;
  readonly what: string;
  /** `YYYY-MM-DD`. */
  readonly until: string;
  /** How often the day was moved. */
  readonly moved: number;
}

/** Tests that are put off, the soonest first. */
export function dueOf(job: Pick<Job, 'id' | 'name' | 'place'>, thermostats: readonly Thermostat[]): Due[] {
  return thermostats
    .flatMap((thermostat) => {
      const calls = [...new Set(thermostat.tests.map(({ call }) => call))];
      return calls.flatMap((call): Due[] => {
        const all = thermostat.tests.filter((test) => test.call === call);
        const last = all.at(-1);
        if (last?.result !== 'put-off' || last.until === null) return [];
        return [
          {
            id: `${job.id}-${thermostat.id}-${call.replace(/[^a-z0-9-]/g, '-')}`,
            job: job.id,
            jobName: job.name,
            place: job.place,
            thermostat: thermostat.id,
            thermostatName: thermostat.name,
            call,
            what: `Test ${callName(call)}`,
            until: last.until,
            moved: all.filter(({ result }) => result === 'put-off').length - 1
          }
        ];
      });
    })
    .sort((one, other) => one.until.localeCompare(other.until));
}
