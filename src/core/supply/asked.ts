/** What a record leaves open that decides: ends that have to be read before anything, and stages that no wire uses. */
import { isHeatPump } from '../devices/roles';
import { finding, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import type { WeightedWorld } from '../identify/worlds';
import { isHot } from '../trade/terminals';
import { boards, landedMark, landedTerminal, type Wiring } from '../wiring/graph';

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
  const unknown = adapters.filter((adapter) => adapter.screws.some((screw) => screw.means.length === 0));
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
