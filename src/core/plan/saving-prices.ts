/** What the thermostats cost that the house may save with, dollars; null where none is chosen, or it has no price. */
import type { Job } from '../job/schema';
import { findDevice } from '../match/catalogue';
import { pricesIn } from '../survey/heat-source-in';

export function savingPrices(job: Job): (number | null)[] {
  return pricesIn(job, (id) => findDevice(job, id)?.price ?? null);
}
