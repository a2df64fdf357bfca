/** The plan of one thermostat: all options proven and ranked, and the moves, parts and rows of the one that is taken. */
import type { DeviceFacts } from '../job/device-facts';
import type { Job, Thermostat } from '../job/schema';
import { ANY_CONNECTED, findDevice } from '../match/catalogue';
import type { ProofNeighbour, Prover } from '../proof/types';
import { situationOf } from '../supply/situation';
import type { MethodId } from '../trade/vocabulary';
import { neighboursOf } from './neighbours';
import { planIn, type Plan } from './way-down';

export type { PlannedOption } from './ranking';
export type { Plan } from './way-down';

export interface PlanRequest {
  readonly device?: DeviceFacts | null;
  readonly method?: MethodId | null;
  readonly variant?: string | null;
  /** What proves the options; one that remembers serves where many plans share their circuits. */
  readonly prover?: Prover | undefined;
  /** The other thermostats on the same machines; those of the job, unless said otherwise. */
  readonly neighbours?: readonly ProofNeighbour[];
}

/** Plans with the device and method asked for, else with those chosen in the job, else with the stand-in device and the best way. */
export function planFor(job: Job, thermostat: Thermostat, request: PlanRequest = {}): Plan {
  const { prover } = request;
  const { choice } = thermostat;
  const chosen = choice.device === null ? undefined : findDevice(job, choice.device);
  return planIn(situationOf(job, thermostat), {
    device: request.device ?? chosen ?? ANY_CONNECTED,
    method: request.method ?? choice.method,
    variant: request.variant ?? null,
    prover,
    neighbours: request.neighbours ?? neighboursOf(job, thermostat, prover)
  });
}
