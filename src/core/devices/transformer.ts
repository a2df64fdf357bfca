/** Control transformers: an EMF behind the resistance that brings it to 24 V at rated load. */
import { OPEN_CIRCUIT_VOLTS, transformerOhms } from '../trade/loads';
import { terminalId, type AddedTransformer, type PlugInTransformer } from '../wiring/graph';
import type { Fragment, Source } from './elements';

/** `va` above nothing; a nameplate of 0 VA is refused by the netlist, with the transformer named. */
export function secondary(
  id: string,
  name: string,
  hot: string,
  common: string,
  va: number,
  leastVa = va
): Source {
  return {
    kind: 'source',
    id,
    name,
    a: hot,
    b: common,
    volts: OPEN_CIRCUIT_VOLTS,
    ohms: transformerOhms(va),
    ratedVa: va,
    leastVa
  };
}

/** A supply of its own beside the machine's, in an outlet or at a junction box, with its two screws marked as on a board: R and C. */
export function ownTransformer(device: PlugInTransformer | AddedTransformer): Fragment {
  const common = terminalId(device.id, 'C');
  const hot = terminalId(device.id, 'R');
  return {
    elements: [secondary(`${device.id}:secondary`, device.name, hot, common, device.va)],
    loads: [],
    ground: common
  };
}
