/** A station of the work as the rail shows it. */
import type { StationId } from '$core/plan/next-step';

export interface Station {
  readonly id: StationId;
  readonly name: string;
  /** What is missing, or what was settled. */
  readonly says: string;
  readonly done: boolean;
}
