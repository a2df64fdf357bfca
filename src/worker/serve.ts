/** The side that does the work: in slices, so that it can tell how far it is and hear that it is to stop. */
import { oneStep, type LongRun } from '$core/circuit/long-run';
import type { SimulateFailure } from '$core/circuit/simulate';
import type { Job, Thermostat } from '$core/job/schema';
import { looksRun, planRun } from '$core/plan/plan-run';
import { plannedPlace, type PlannedPlace } from '$core/plan/planned-place';
import { JobJoiner } from './job-parts';
import { receivedTask } from './sent-task';
import type { FromThread, PlanTask, Port, SentTask, Task, TaskResult, ToThread } from './protocol';

export interface Surroundings {
  /** Milliseconds on a clock that only runs forward. */
  now(): number;
  /** Calls back once messages that wait have been heard. */
  soon(next: () => void): void;
  /** Milliseconds of work between two looks at the messages. */
  slice: number;
}

export function serve(port: Port<FromThread, ToThread>, surroundings: Surroundings): void {
  const cancelled = new Set<number>();
  const joiner = new JobJoiner();
  port.listen((message) => {
    if (message.type === 'cancel') cancelled.add(message.id);
    else start(message.id, message.task, { port, surroundings, cancelled, joiner });
  });
}

interface Serving {
  readonly port: Port<FromThread, ToThread>;
  readonly surroundings: Surroundings;
  readonly cancelled: Set<number>;
  readonly joiner: JobJoiner;
}

function start(id: number, task: SentTask, { port, surroundings, cancelled, joiner }: Serving): void {
  const guard = (work: () => void) => {
    try {
      work();
    } catch (error) {
      const { message, stack } = error instanceof Error ? error : new Error(String(error));
      port.post({ type: 'broken', id, message, stack: stack ?? '' });
    }
  };
  const begin = (run: Run) => {
    if ('ok' in run) return port.post({ type: 'failed', id, at: run.at, why: run.why });
    let steps = 1;
    const slice = () =>
      guard(() => {
        if (cancelled.delete(id)) return port.post({ type: 'cancelled', id });
        steps = advance(run, steps, surroundings);
        if (run.done() < run.total) {
          port.post({ type: 'progress', id, done: run.done(), total: run.total });
          return surroundings.soon(slice);
        }
        const result = run.result();
        port.post({ type: 'done', id, result }, buffersOf(result));
      });
    surroundings.soon(slice);
  };
  guard(() => {
    // A job comes in parts, in their order: it is put together before anything is waited for.
    const run = runOf(receivedTask(task, joiner));
    if (!(run instanceof Promise)) return begin(run);
    run.then(
      (loaded) => guard(() => begin(loaded)),
      (error: unknown) => guard(() => fail(error))
    );
  });
}

function fail(error: unknown): never {
  throw error instanceof Error ? error : new Error(String(error));
}

type Run = LongRun<TaskResult> | SimulateFailure;

/** What every job asks for at once is at hand; the rest is loaded when somebody asks for it. */
function runOf(task: Task): Run | Promise<Run> {
  switch (task.kind) {
    case 'plan':
      return onPlace(task.request, (place) => placeRun(task.request.job, place));
    case 'looks':
      return onPlace(task.request, (place) => looksRun(task.request.job, place));
    case 'quick':
      return import('$core/plan/quick-answer').then(({ quickAnswer }) =>
        onPlace(task.request, (place) => oneStep(() => quickAnswer(task.request.job, place)))
      );
    case 'tolerance':
      return import('$core/circuit/tolerance').then(({ toleranceRun }) => toleranceRun(task.request));
    case 'faults':
      return import('$core/diagnose/fault-table').then(({ faultTableRun }) => faultTableRun(task.request));
    case 'diagnose':
      return import('./diagnose-run').then(({ diagnoseRun }) => diagnoseRun(task.request));
    case 'mains':
      return import('./mains-run').then(({ mainsRun }) => onPlace(task.request, mainsRun));
    case 'finish':
      return import('./finish-run').then(({ finishRun }) =>
        onPlace(task.request, (place) => finishRun(task.request.job, place))
      );
    case 'would-fit':
      return import('./would-fit-run').then(({ wouldFitRun }) =>
        onPlace(task.request, (place) => wouldFitRun(task.request, place))
      );
    case 'together':
      return import('$core/plan/together').then(({ togetherRun }) => togetherRun(task.request));
  }
}

function placeRun(job: Job, place: Thermostat): LongRun<PlannedPlace> {
  const run = planRun(job, place);
  return {
    get total() {
      return run.total;
    },
    done: () => run.done(),
    advance: (steps) => run.advance(steps),
    result: () => plannedPlace(job, place, run.result())
  };
}

function onPlace({ job, thermostat }: PlanTask, runOn: (place: Thermostat) => Run): Run {
  const place = job.thermostats.find((candidate) => candidate.id === thermostat);
  return place
    ? runOn(place)
    : { ok: false, reason: 'not-solvable', at: thermostat, why: 'the job has no such thermostat' };
}

/** One slice; returns how many steps to take at once in the next, so that the clock is not asked too often. */
function advance(run: LongRun<TaskResult>, steps: number, { now, slice }: Surroundings): number {
  const end = now() + slice;
  let at = steps;
  while (run.done() < run.total) {
    const before = now();
    run.advance(at);
    const after = now();
    if (after >= end) break;
    if (after - before < slice / 8) at *= 2;
  }
  return Math.max(1, Math.floor(at / 2));
}

/** Arrays that go over as they are; a view that shows part of its buffer is copied by the port. */
function buffersOf(result: TaskResult): ArrayBuffer[] {
  if (!('rows' in result || 'calls' in result)) return [];
  const arrays =
    'rows' in result
      ? [result.rows, result.runs, result.volts, result.flags]
      : result.calls.map((call) => call.volts);
  return [...new Set(arrays.map((array) => array.buffer as ArrayBuffer))].filter(
    (arrayBuffer) => arrayBuffer.byteLength > 0
  );
}
