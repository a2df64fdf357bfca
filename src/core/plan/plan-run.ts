/**
 * A plan, and the looks that may better it, in steps: what the neighbours want is worked out one after the other first, because the plan of
 * one thermostat among forty rests on all of them.
 */
import type { LongRun } from '../circuit/long-run';
import type { Job, Thermostat } from '../job/schema';
import { looksSteps, type Look } from './looks';
import { neighboursHere, wantedWiring } from './neighbours';
import { planFor, type Plan, type PlanRequest } from './plan';

/** A step for each thermostat on the same machines, and one for the plan itself. */
export function planRun(job: Job, thermostat: Thermostat, request: PlanRequest = {}): LongRun<Plan> {
  return runOf(planSteps(job, thermostat, request), neighboursHere(job, thermostat).length + 1);
}

/** Besides: a step for each answer that somebody may come back with. */
export function looksRun(
  job: Job,
  thermostat: Thermostat,
  request: PlanRequest = {}
): LongRun<readonly Look[]> {
  return runOf(
    stepsAfter(neighbourSteps(job, thermostat, request), () => looksSteps(job, thermostat, request)),
    neighboursHere(job, thermostat).length + USUAL_ANSWERS
  );
}

/** How many steps looks take as a rule: only how far it is hangs on it. */
const USUAL_ANSWERS = 12;

function* neighbourSteps(job: Job, thermostat: Thermostat, { prover }: PlanRequest): Generator<void> {
  for (const neighbour of neighboursHere(job, thermostat)) {
    // Kept with the record of that thermostat: the plan finds it there.
    wantedWiring(job, neighbour, prover);
    yield;
  }
}

function* planSteps(job: Job, thermostat: Thermostat, request: PlanRequest): Generator<void, Plan> {
  yield* neighbourSteps(job, thermostat, request);
  return planFor(job, thermostat, request);
}

function* stepsAfter<T>(first: Generator<void>, then: () => Generator<void, T>): Generator<void, T> {
  yield* first;
  return yield* then();
}

/** Steps as a run. `usual`: how many there are as a rule; one is always left while it is not done. */
function runOf<T>(steps: Generator<void, T>, usual: number): LongRun<T> {
  let done = 0;
  let made: { readonly value: T } | null = null;
  const run = {
    get total() {
      return made ? done : Math.max(usual, done + 1);
    },
    done: () => done,
    advance: (count: number) => {
      for (let step = 0; step < count && made === null; step += 1) {
        const next = steps.next();
        done += 1;
        if (next.done) made = { value: next.value };
      }
    },
    result: () => {
      while (made === null) run.advance(1);
      return made.value;
    }
  };
  return run;
}
