/**
 * An edit, checked before it counts: the job that it would make has to be one that a reader takes. So nothing is stored, or called saved,
 * that could not be opened again.
 */
import * as v from 'valibot';
import { faultsOf, type Fault } from './faults';
import { LIMITS, type LimitedList } from './limits';
import { Job } from './schema';
import { apply, type Member, type Step } from './steps';

export type Edited =
  { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly faults: readonly Fault[] };

/** The job after the step, or why there is none. The job handed in stays as it is. */
export function edit(job: Job, step: Step): Edited {
  let next: Job;
  try {
    next = apply(job, step);
  } catch (error) {
    const found = error instanceof Error ? error.message : String(error);
    return { ok: false, faults: [{ path: 'the edit', expected: 'a place that the job has', found }] };
  }
  if (job.closed !== null && next.closed !== null) return { ok: false, faults: [closedFault(job.closed.at)] };
  const faults = [...changedFaults(job, next), ...listFaults(job, next)];
  return faults.length > 0 ? { ok: false, faults } : { ok: true, job: next };
}

/** What was handed over is changed by nobody in passing: it is opened again first, and that is on the record. */
function closedFault(at: string): Fault {
  return {
    path: 'closed',
    expected: 'a job that is open',
    found: `it was closed on ${at.slice(0, 10)}: open it again first`
  };
}

const lists = ['equipment', 'thermostats', 'places', 'devices'] as const;

/** What does not hold among the parts that the edit has touched. */
function changedFaults(before: Job, after: Job): Fault[] {
  return (Object.keys(Job.entries) as (keyof Job)[]).flatMap((key) => {
    if (before[key] === after[key]) return [];
    if (!(lists as readonly string[]).includes(key)) return partFaults(Job.entries[key], after[key], [key]);
    const list = after[key];
    if (!Array.isArray(list)) return partFaults(Job.entries[key], list, [key]);
    const known = new Set<unknown>(before[key] as readonly unknown[]);
    const [member] = MEMBERS[key as (typeof lists)[number]];
    return (list as unknown[]).flatMap((part, index) =>
      known.has(part) ? [] : partFaults(member, part, [key, index])
    );
  });
}

type AnySchema = v.BaseSchema<unknown, unknown, v.BaseIssue<unknown>>;

function memberOf(schema: {
  readonly pipe: readonly [{ readonly item: AnySchema }, ...unknown[]];
}): AnySchema {
  return schema.pipe[0].item;
}

const MEMBERS: Readonly<Record<(typeof lists)[number], readonly [AnySchema]>> = {
  equipment: [memberOf(Job.entries.equipment)],
  thermostats: [memberOf(Job.entries.thermostats)],
  places: [memberOf(Job.entries.places.wrapped)],
  devices: [memberOf(Job.entries.devices)]
};

function partFaults(schema: AnySchema, value: unknown, under: readonly (string | number)[]): Fault[] {
  const parsed = v.safeParse(schema, value);
  return parsed.success ? [] : faultsOf(parsed.issues, under);
}

/** Every list of a job that has a limit, with its path. */
export function limitedLists(job: Job): { path: string; what: LimitedList; members: readonly object[] }[] {
  const of = (path: string, what: LimitedList, members: readonly object[]) => ({ path, what, members });
  return [
    of('equipment', 'machines', job.equipment),
    of('thermostats', 'thermostats', job.thermostats),
    of('places', 'places', job.places),
    of('devices', 'devices', job.devices),
    ...job.equipment.flatMap((machine, at) => [
      of(`equipment[${at}].screws`, 'terminals of a machine', machine.screws),
      of(`equipment[${at}].accessories`, 'accessories', machine.accessories),
      of(`equipment[${at}].others`, 'conductors of others', machine.others),
      of(`equipment[${at}].trace`, 'trace findings', machine.trace)
    ]),
    ...job.places.map((place, at) => of(`places[${at}].screws`, 'terminals of a machine', place.screws)),
    ...job.thermostats.flatMap((thermostat, at) => [
      of(`thermostats[${at}].screws`, 'terminals of a plate', thermostat.screws),
      of(
        `thermostats[${at}].equipment`,
        'machines of a thermostat',
        thermostat.equipment.map((id) => ({ id }))
      ),
      of(`thermostats[${at}].cables`, 'cables', thermostat.cables),
      of(`thermostats[${at}].conductors`, 'conductors', thermostat.conductors),
      of(`thermostats[${at}].links`, 'links', thermostat.links),
      of(`thermostats[${at}].photos`, 'photos', thermostat.photos),
      of(`thermostats[${at}].foundEnds`, 'found ends', thermostat.foundEnds),
      of(`thermostats[${at}].signal`, 'signal readings', thermostat.signal),
      of(`thermostats[${at}].path.stretches`, 'stretches', thermostat.path.stretches),
      of(`thermostats[${at}].bench`, 'bench notes', thermostat.bench),
      of(`thermostats[${at}].log`, 'log entries', thermostat.log),
      of(`thermostats[${at}].settings`, 'settings made', thermostat.settings),
      of(`thermostats[${at}].readings`, 'readings', thermostat.readings),
      of(`thermostats[${at}].tests`, 'test results', thermostat.tests),
      ...(thermostat.mains === null
        ? []
        : [
            of(`thermostats[${at}].mains.devices`, 'mains devices', thermostat.mains.devices),
            of(`thermostats[${at}].mains.cables`, 'mains cables', thermostat.mains.cables),
            of(`thermostats[${at}].mains.wires`, 'conductors', thermostat.mains.wires),
            of(`thermostats[${at}].mains.links`, 'links', thermostat.mains.links)
          ])
    ])
  ];
}

/** Lists that the edit has made longer than they may be, and ids that it has doubled. What was so before is no fault of the edit. */
function listFaults(before: Job, after: Job): Fault[] {
  const was = new Map(limitedLists(before).map((list) => [list.path, list.members]));
  return limitedLists(after).flatMap(({ path, what, members }): Fault[] => {
    const old = was.get(path) ?? [];
    if (old === members) return [];
    const { most } = LIMITS[what];
    const faults: Fault[] = [];
    if (members.length > most && members.length > old.length)
      faults.push({ path, expected: `at most ${most} ${what}`, found: `${members.length}` });
    const doubled = doubledIds(members).filter((id) => !doubledIds(old).includes(id));
    for (const id of doubled)
      faults.push({ path, expected: 'an id of its own for each', found: `${id} twice` });
    return faults;
  });
}

/** Ids that more than one member of a list has. */
export function doubledIds(members: readonly object[]): string[] {
  const seen = new Set<string>();
  const twice = new Set<string>();
  for (const member of members as readonly Partial<Member>[]) {
    if (member.id === undefined) continue;
    if (seen.has(member.id)) twice.add(member.id);
    seen.add(member.id);
  }
  return [...twice];
}
