/** The wall half of a signal splitter: two diodes that put Y and G of any thermostat on one conductor, each on its own half wave. */
import { DIODE } from '../trade/loads';
import { screwThat, type Splitter } from '../wiring/graph';
import type { Fragment } from './elements';

export function wallSplitter(device: Splitter): Fragment {
  const at = (mark: string) => screwThat(device, mark)?.id ?? `${device.id}.${mark}`;
  const part = (mark: string) => ({ device: device.id, part: 'diode', mark }) as const;
  return {
    elements: [
      { kind: 'diode', id: `${device.id}:diode-cool`, a: at('Y'), b: at('K'), part: part('Y'), ...DIODE },
      { kind: 'diode', id: `${device.id}:diode-fan`, a: at('K'), b: at('G'), part: part('G'), ...DIODE }
    ],
    loads: []
  };
}
