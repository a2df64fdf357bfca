/** Whether the thermostat came on: what somebody saw of its display when the power was back. */
import type { SeenEntry } from './bench-schema';

/** When it was seen lit, as the record has its times; empty where nobody saw it so. */
export function seenLit(seen: readonly SeenEntry[]): string[] {
  return seen
    .filter(({ observation, answer }) => observation === 'display' && answer === 'lit')
    .map(({ at }) => at);
}

export function isLit(seen: readonly SeenEntry[]): boolean {
  return seenLit(seen).length > 0;
}
