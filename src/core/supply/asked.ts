/** What a record leaves open that decides: ends that have to be read before anything, and stages that no wire uses. */
import { isHeatPump } from '../devices/roles';
import type { Unexplained } from '../explain/explain';
import { finding, type Finding } from '../findings/finding';
import type { MethodParams } from '../findings/params';
import { ref } from '../findings/refs';
import type { WeightedWorld } from '../identify/worlds';
import { isHot } from '../trade/terminals';
import {
  boards,
  deviceOf,
  hasMark,
  landedMark,
  landedTerminal,
  type Adapter,
  type Wiring
} from '../wiring/graph';

/**
 * Ends that no assumption may stand in for: a hot wire where another supply may be behind it, any wire beside an adapter of the old thermostat,
 * and that adapter's own terminals.
 */
export function unreadThatDecides(recorded: Wiring, assumed: readonly string[]): Finding[] {
  const adapters = recorded.devices.filter((device) => device.kind === 'adapter');
  const hot = recorded.strands.filter((strand) => isHot(landedMark(recorded, strand.near) ?? ''));
  const manySupplies = boards(recorded).length > 1 || hot.length > 1;
  const unread = recorded.strands.filter(
    (strand) => assumed.includes(strand.id) && (adapters.length > 0 || (manySupplies && hot.includes(strand)))
  );
  const unknown = adapters.filter(
    (adapter) =>
      adapter.screws.some((screw) => screw.means.length === 0) || mayLeadElsewhere(recorded, adapter)
  );
  return [
    ...unread.map((strand) =>
      finding('stop', 'end-not-read', { what: 'before-moved', conductor: strand.name }, [
        ref.conductor(strand.id)
      ])
    ),
    ...unknown.map((adapter) =>
      finding('stop', 'adapter-not-read', { name: adapter.name }, [ref.machine(adapter.id)])
    )
  ];
}

/** A piece of the adapter may go to a screw of its board that nobody can read: one with its mark is not there. */
function mayLeadElsewhere(recorded: Wiring, { at, screws }: Adapter): boolean {
  const board = boards(recorded).find((candidate) => candidate.at === at);
  if (!board?.screws.some(({ means }) => means.length === 0)) return false;
  const linked = new Set(recorded.links.flatMap(({ a, b }) => [a, b]));
  return screws.some(
    ({ id, means: [mark] }) => mark !== undefined && mark !== 'K' && !linked.has(id) && !hasMark(board, mark)
  );
}

/**
 * Unread ends that may be elsewhere than they are taken to be. A wire whose machine has no screw of its mark, as far as it is written down, and a
 * free one that nobody can read, may be on that: seen there, nobody could say what it does. A C that may come from another machine would tie its
 * supply to this one's. `found`: with such ends taken to be on their mark.
 */
export function maybeElsewhere(
  recorded: Wiring,
  found: Wiring,
  assumed: readonly string[]
): readonly Unexplained[] {
  const taken = new Set(recorded.strands.map(({ far }) => landedTerminal(far)));
  const written = new Set(recorded.devices.flatMap(({ screws }) => screws.map(({ id }) => id)));
  const machines = boards(recorded);
  return found.strands.flatMap((strand): Unexplained[] => {
    const [mark, far] = [landedMark(recorded, strand.near), landedTerminal(strand.far)];
    const machine = far === null ? undefined : deviceOf(found, far);
    if (!assumed.includes(strand.id) || mark === null || far === null || !machine) return [];
    const because = [ref.conductor(strand.id), ref.machine(machine.id)];
    const asks = (fact: MethodParams['end-not-read']): Unexplained[] => [
      { strand: strand.id, riddle: 'unread', finding: finding('stop', 'end-not-read', fact, because) }
    ];
    const cable = recorded.cables.find(({ id }) => id === strand.cable);
    const isTold = machines.some(({ at }) => at === cable?.far);
    if (mark === 'C' && machines.length > 1 && !isTold) return asks({ what: 'on-c', conductor: strand.name });
    const unknown = machine.screws.some(({ id, means }) => means.length === 0 && !taken.has(id));
    return written.has(far) || !unknown ? [] : asks({ what: 'on-mark', conductor: strand.name, mark });
  });
}

const STAGES = [
  ['W2', 'heat'],
  ['Y2', 'cooling']
] as const;

/** A second stage at the board that no wire uses: nothing is lost by the plan, and a cable with more wires would use it. */
export function unusedStages(wiring: Wiring, worlds: readonly WeightedWorld[]): Finding[] {
  const [likeliest] = worlds;
  if (!likeliest || isHeatPump(likeliest.world.family)) return [];
  const ends = new Set([
    ...wiring.strands.flatMap((strand) => landedTerminal(strand.far) ?? []),
    ...wiring.links.flatMap((link) => [link.a, link.b])
  ]);
  const joined = wiring.strands.filter(
    (strand) => strand.near.state === 'landed' && strand.far.state === 'landed'
  );
  return boards(wiring).flatMap((board) =>
    STAGES.flatMap(([mark, stage]): Finding[] => {
      const screw = board.screws.find(
        (candidate) => candidate.means.length === 1 && candidate.means[0] === mark
      );
      if (!screw || ends.has(screw.id) || (stage === 'cooling' && !likeliest.world.compressor)) return [];
      const hasCommon = joined.some((strand) => landedMark(wiring, strand.far) === 'C');
      const wires = joined.length + (hasCommon ? 1 : 2);
      const fact = { stage, mark: screw.mark, machine: board.name, wires } as const;
      return [finding('note', 'stage-not-used', fact, [ref.machine(board.id)])];
    })
  );
}
