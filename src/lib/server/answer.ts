/** What a route answers, as plain data: it is made in another thread, and goes over as it is. */
import type { Fault } from '$core/job/faults';

export interface Answer {
  readonly status: number;
  readonly body: unknown;
}

/** Every refusal has this shape, wherever it is made. */
export function refusal(status: number, message: string, faults: readonly Fault[] = []): Answer {
  return { status, body: { message, faults } };
}

export function isRefusal<T extends object>(made: T | Answer): made is Answer {
  return 'status' in made && 'body' in made;
}
