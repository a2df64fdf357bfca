/** Tasks as they cross: those that hold a job send it in parts. */
import type { Job } from '$core/job/schema';
import type { JobJoiner, JobSplitter } from './job-parts';
import type { DeviceTask, DiagnoseTask, PlanTask, SentTask, Task } from './protocol';

export function sentTask(task: Task, splitter: JobSplitter): SentTask {
  switch (task.kind) {
    case 'plan':
    case 'looks':
    case 'quick':
    case 'finish': {
      const { job, thermostat } = task.request;
      return { kind: task.kind, request: thermostat, job: splitter.split(job) };
    }
    case 'diagnose':
    case 'would-fit': {
      const { job, ...rest } = task.request;
      return { kind: task.kind, request: rest, job: splitter.split(job) };
    }
    case 'together':
      return { kind: task.kind, request: null, job: splitter.split(task.request) };
    default:
      return { ...task, job: null };
  }
}

export function receivedTask({ kind, request, job }: SentTask, joiner: JobJoiner): Task {
  if (job === null) return { kind, request } as Task;
  const joined: Job = joiner.join(job);
  const whole =
    kind === 'together'
      ? joined
      : kind === 'diagnose' || kind === 'would-fit'
        ? { job: joined, ...(request as Omit<DiagnoseTask | DeviceTask, 'job'>) }
        : ({ job: joined, thermostat: request } as PlanTask);
  return { kind, request: whole } as Task;
}
