/** Findings of several believable worlds: what holds in every world is said once; what holds in some names them. */
import type { World } from '../devices/world';
import { factKey, type Finding } from '../findings/finding';

/** What is found in one world. */
export interface FoundIn {
  readonly world: World;
  readonly findings: readonly Finding[];
}

export function acrossWorlds(outcomes: readonly FoundIn[]): Finding[] {
  const byFact = new Map<string, { finding: Finding; worlds: Set<World> }>();
  for (const { world, findings } of outcomes) {
    for (const finding of findings) {
      const key = factKey(finding);
      const entry = byFact.get(key) ?? { finding, worlds: new Set() };
      entry.worlds.add(world);
      byFact.set(key, entry);
    }
  }
  return [...byFact.values()].map(({ finding, worlds }) =>
    // Two worlds may go by one name: a family whose board may behave in two ways.
    worlds.size === outcomes.length
      ? finding
      : { ...finding, worlds: [...new Set([...worlds].map((world) => world.says))] }
  );
}
