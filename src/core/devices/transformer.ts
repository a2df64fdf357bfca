/** Control transformers: an EMF behind the resistance that brings it to 24 V at rated load. */
import { OPEN_CIRCUIT_VOLTS, transformerOhms } from '../trade/loads';
import { terminalId, type PlugInTransformer } from '../wiring/graph';
import type { Fragment, Source } from './elements';
import type { SupplyCase } from './world';

export function secondary(
  id: string,
  name: string,
  hot: string,
  common: string,
  va: number,
  polarity: 1 | -1
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
    polarity
  };
}

/** A supply in an outlet, with its two screws marked as on a board: R and C. */
export function plugInTransformer(device: PlugInTransformer, supplyCase: SupplyCase): Fragment {
  const common = terminalId(device.id, 'C');
  const hot = terminalId(device.id, 'R');
  return {
    elements: [secondary(`${device.id}:secondary`, device.name, hot, common, device.va, supplyCase.polarity)],
    loads: [],
    ground: common
  };
}
