/**
 * What crosses between a page (or the command line) and the thread that does long work. Everything is plain data; typed arrays go over
 * without being copied.
 */
import type { ToleranceRequest, ToleranceResult } from '$core/circuit/tolerance';
import type { Job } from '$core/job/schema';
import type { Look } from '$core/plan/looks';
import type { PlannedPlace } from '$core/plan/planned-place';
import type { QuickAnswer } from '$core/plan/quick-answer';
import type { Together } from '$core/plan/together';
import type { WouldFit } from '$core/plan/would-fit';
import type { FaultTable, FaultTableRequest } from '$core/diagnose/fault-table';
import type { Hands } from '$core/diagnose/state';
import type { DiagnoseReport, SeenReport } from '$core/formats/diagnose-report';
import type { MainsView } from '$core/handover/mains/view';
import type { SettingsSheet } from '$core/handover/settings';
import type { TestPlan } from '$core/handover/test-plan';
import type { WiringState } from '$core/job/bench-schema';
import type { JobParts } from './job-parts';

/** One thermostat's plan, as the job has it. */
export interface PlanTask {
  readonly job: Job;
  readonly thermostat: string;
}

/** Finding out why: what was seen stands in the job. */
export interface DiagnoseTask extends PlanTask {
  readonly which: WiringState;
  readonly hands: Hands;
}

export interface Diagnosed {
  readonly report: DiagnoseReport;
  readonly seen: readonly SeenReport[];
}

/** One thermostat tried at a place. */
export interface DeviceTask extends PlanTask {
  readonly device: string;
}

/** What is set up and tested once it is lit. */
export interface FinishPlan {
  readonly settings: SettingsSheet;
  readonly tests: TestPlan;
}

export interface Tasks {
  readonly mains: { readonly request: PlanTask; readonly result: MainsView };
  readonly 'would-fit': { readonly request: DeviceTask; readonly result: WouldFit };
  readonly finish: { readonly request: PlanTask; readonly result: FinishPlan };
  readonly diagnose: { readonly request: DiagnoseTask; readonly result: Diagnosed };
  readonly tolerance: { readonly request: ToleranceRequest; readonly result: ToleranceResult };
  readonly plan: { readonly request: PlanTask; readonly result: PlannedPlace };
  readonly looks: { readonly request: PlanTask; readonly result: readonly Look[] };
  readonly quick: { readonly request: PlanTask; readonly result: QuickAnswer };
  readonly together: { readonly request: Job; readonly result: Together };
  readonly faults: { readonly request: FaultTableRequest; readonly result: FaultTable };
}
export type TaskKind = keyof Tasks;
export type Task = { [K in TaskKind]: { readonly kind: K; readonly request: Tasks[K]['request'] } }[TaskKind];
export type TaskResult = Tasks[TaskKind]['result'];

/** A task as it crosses: its job in parts, or null where it has none; `request` is the rest of what is asked. */
export interface SentTask {
  readonly kind: TaskKind;
  readonly request: unknown;
  readonly job: JobParts | null;
}

export type ToThread =
  | { readonly type: 'start'; readonly id: number; readonly task: SentTask }
  | { readonly type: 'cancel'; readonly id: number };

export type FromThread =
  | { readonly type: 'progress'; readonly id: number; readonly done: number; readonly total: number }
  | { readonly type: 'done'; readonly id: number; readonly result: TaskResult }
  /** An expected failure: no circuit, not solvable; `at` names what is at fault. */
  | { readonly type: 'failed'; readonly id: number; readonly at: string; readonly why: string }
  /** A programmer's mistake, with what was thrown: it is thrown again on the other side. */
  | { readonly type: 'broken'; readonly id: number; readonly message: string; readonly stack: string }
  | { readonly type: 'cancelled'; readonly id: number };

/** One end of the wire, whatever it is made of: a web worker, a thread of Node, or nothing but a queue. */
export interface Port<Out, In> {
  post(message: Out, transfer?: ArrayBuffer[]): void;
  listen(hear: (message: In) => void): void;
}
