import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import { deviceAtEnd, type PlugInTransformer, type Wiring } from '../../wiring/graph';

/** A supply of the thermostat's own that an earlier owner left: once the plan takes C from the machine, it goes, with its cord. */
export interface OldSupply {
  readonly plug: PlugInTransformer;
  readonly wiring: Wiring;
  readonly finding: ReturnType<typeof finding>;
}

/** The wiring without each plug-in supply that was found there. */
export function withoutOldSupplies(wiring: Wiring): OldSupply[] {
  return wiring.devices.flatMap((plug): OldSupply[] => {
    if (plug.kind !== 'plug-in-transformer') return [];
    const cords = wiring.strands.filter((strand) =>
      [strand.near, strand.far].some((end) => deviceAtEnd(wiring, end)?.id === plug.id)
    );
    return [
      {
        plug,
        wiring: {
          ...wiring,
          devices: wiring.devices.filter((device) => device.id !== plug.id),
          strands: wiring.strands.map((strand) =>
            cords.includes(strand)
              ? { ...strand, near: { state: 'coiled' }, far: { state: 'coiled' } }
              : strand
          )
        },
        finding: finding('note', 'repair', { what: 'remove-old-supply', name: plug.name }, [
          ref.supply(plug.id)
        ])
      }
    ];
  });
}
