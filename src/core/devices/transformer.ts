/** Control transformers: an EMF behind the resistance that brings it to 24 V at rated load. */
import { NOMINAL_VOLTS, OPEN_CIRCUIT_VOLTS, transformerOhms } from '../trade/loads';
import { screwThat, type AddedTransformer, type PlugInTransformer } from '../wiring/graph';
import type { Fragment, Source } from './elements';

export interface Secondary {
  readonly device: string;
  readonly name: string;
  /** Nodes of its two sides. */
  readonly hot: string;
  readonly common: string;
  /** Above nothing; a nameplate of 0 VA is refused by the netlist, with the transformer named. */
  readonly va: number;
  /** The least that it may be, where nobody has read the plate. */
  readonly leastVa?: number;
}

export function secondary({ device, name, hot, common, va, leastVa = va }: Secondary): Source {
  return {
    kind: 'source',
    id: `${device}:secondary`,
    name,
    a: hot,
    b: common,
    volts: OPEN_CIRCUIT_VOLTS,
    nominalVolts: NOMINAL_VOLTS,
    ohms: transformerOhms(va),
    ratedVa: va,
    leastVa,
    part: { device, part: 'transformer' }
  };
}

/** A supply of its own beside the machine's, in an outlet or at a junction box, with its two screws marked as on a board: R and C. */
export function ownTransformer(device: PlugInTransformer | AddedTransformer): Fragment {
  const at = (mark: string) => screwThat(device, mark)?.id ?? `${device.id}.${mark}`;
  const [hot, common] = [at('R'), at('C')];
  return {
    elements: [secondary({ device: device.id, name: device.name, hot, common, va: device.va })],
    loads: [],
    ground: common
  };
}
