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
  const unsound = changedFaults(Job, job, next);
  // Lists are only counted where they are lists.
  const faults = unsound.length > 0 ? unsound : listFaults(job, next);
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

type AnySchema = v.BaseSchema<unknown, unknown, v.BaseIssue<unknown>>;
type Place = readonly (string | number)[];

/**
 * What does not hold among the parts that the edit has touched. What stands in both was looked through when it came in: of two hundred wires
 * only the one that was changed is.
 */
function changedFaults(schema: AnySchema, before: unknown, after: unknown, at: Place = []): Fault[] {
  if (before === after) return [];
  const inner = innerOf(schema);
  if (isPlain(after) && isPlain(before) && inner.type === 'strict_object')
    return entryFaults(inner as ObjectSchema, before, after, at) ?? partFaults(schema, after, at);
  const list = Array.isArray(after) && Array.isArray(before) ? listSchema(inner, after.length) : null;
  if (list === null) return partFaults(schema, after, at);
  const known = new Set<unknown>(before as readonly unknown[]);
  return (after as readonly unknown[]).flatMap((member, index) =>
    known.has(member)
      ? []
      : changedFaults(list.item, (before as readonly unknown[])[index], member, [...at, index])
  );
}

type Loose = Readonly<Record<string, unknown>>;
type ObjectSchema = AnySchema & { readonly entries: Readonly<Record<string, AnySchema>> };
type ListSchema = AnySchema & { readonly item: AnySchema };

function isPlain(value: unknown): value is Loose {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** What a schema says of a value that is there. */
function innerOf(schema: AnySchema): AnySchema {
  const wraps = ['optional', 'nullable'].includes(schema.type) && !('pipe' in schema);
  return wraps ? innerOf((schema as AnySchema & { readonly wrapped: AnySchema }).wrapped) : schema;
}

/** Null where keys have come or gone, or the whole is checked against itself: then it has to be looked through as one. */
function entryFaults(schema: ObjectSchema, before: Loose, after: Loose, at: Place): Fault[] | null {
  const keys = Object.keys(after);
  const sameKeys = keys.length === Object.keys(before).length && keys.every((key) => key in before);
  if (!sameKeys || 'pipe' in schema || !keys.every((key) => schema.entries[key])) return null;
  return keys.flatMap((key) => changedFaults(schema.entries[key]!, before[key], after[key], [...at, key]));
}

/** The list that a schema describes, where of the whole list only its length is limited and holds; else null. */
function listSchema(schema: AnySchema, length: number): ListSchema | null {
  const [list, ...checks] = 'pipe' in schema ? (schema.pipe as readonly [AnySchema, ...unknown[]]) : [schema];
  const holds = (checks as readonly { readonly type: string; readonly requirement: number }[]).every(
    ({ type, requirement }) => type === 'max_length' && length <= requirement
  );
  return list.type === 'array' && holds ? (list as ListSchema) : null;
}

function partFaults(schema: AnySchema, value: unknown, under: Place): Fault[] {
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
