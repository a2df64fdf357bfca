/**
 * A supply of the thermostat's own that an earlier owner left in an outlet: once a plan takes C from the machine, it goes, with its cord, and
 * its screws at the wall are free.
 */
import { finding, type Finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import { deviceAtEnd, type PlugInTransformer, type Strand, type Wiring } from '../../wiring/graph';

export interface OldSuppliesGone {
  readonly wiring: Wiring;
  readonly findings: readonly Finding[];
}

/** The plug-in supplies that were found there. */
export function oldSupplies(wiring: Wiring): PlugInTransformer[] {
  return wiring.devices.filter((device) => device.kind === 'plug-in-transformer');
}

/** The wires of its cord. */
export function cordOf(wiring: Wiring, plug: PlugInTransformer): Strand[] {
  return wiring.strands.filter((strand) =>
    [strand.near, strand.far].some((end) => deviceAtEnd(wiring, end)?.id === plug.id)
  );
}

/** The wiring without them; null where there is none. A cord goes as a whole; wires of a cable that holds others are wrapped back. */
export function withoutOldSupplies(wiring: Wiring): OldSuppliesGone | null {
  const plugs = oldSupplies(wiring);
  if (plugs.length === 0) return null;
  const cords = new Set(plugs.flatMap((plug) => cordOf(wiring, plug)));
  const others = new Set(wiring.strands.flatMap((strand) => (cords.has(strand) ? [] : [strand.cable])));
  return {
    wiring: {
      ...wiring,
      devices: wiring.devices.filter((device) => !plugs.some((plug) => plug.id === device.id)),
      cables: wiring.cables.filter(
        (cable) => others.has(cable.id) || ![...cords].some((strand) => strand.cable === cable.id)
      ),
      strands: wiring.strands.flatMap((strand): Strand[] => {
        if (!cords.has(strand)) return [strand];
        return others.has(strand.cable)
          ? [{ ...strand, near: { state: 'coiled' }, far: { state: 'coiled' } }]
          : [];
      })
    },
    findings: plugs.map((plug) =>
      finding('note', 'repair', { what: 'remove-old-supply', name: plug.name }, [ref.supply(plug.id)])
    )
  };
}
