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
  /** Null for a test of mains controls. */
  readonly call: Call | null;
  /** The station where it is done, where that is not Test. */
  readonly station?: 'trial';
  readonly what: string;
  /** `YYYY-MM-DD`. */
  readonly until: string;
  /** How often the day was moved. */
  readonly moved: number;
}

/** Tests that are put off, the soonest first. */
export function dueOf(job: Pick<Job, 'id' | 'name' | 'place'>, thermostats: readonly Thermostat[]): Due[] {
  return thermostats
    .flatMap((thermostat) => [...callsDue(job, thermostat), ...mainsDue(job, thermostat)])
    .sort((first, second) => first.until.localeCompare(second.until));
}

function callsDue(job: Pick<Job, 'id' | 'name' | 'place'>, thermostat: Thermostat): Due[] {
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
}

/** One result for each state is kept, so nobody counts how often the day was moved. */
function mainsDue(job: Pick<Job, 'id' | 'name' | 'place'>, { id, name, mains }: Thermostat): Due[] {
  return (mains?.tests ?? []).flatMap(({ row, result, until }): Due[] =>
    result !== 'put-off' || until === null
      ? []
      : [
          {
            id: `${job.id}-${id}-${row.replace(/[^a-z0-9-]/g, '-')}`,
            job: job.id,
            jobName: job.name,
            place: job.place,
            thermostat: id,
            thermostatName: name,
            call: null,
            station: 'trial',
            what: 'Test of the heating controls',
            until,
            moved: 0
          }
        ]
  );
}
