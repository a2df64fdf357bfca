/**
 * The module at the equipment that takes Y and G apart again, for a combined terminal as for a splitter. It is fed by the board's R and C,
 * senses each half wave with a smoothed relay of its own, and switches R to Y and R to G: a coil driven straight by half waves would get
 * too little to be sure of pulling in.
 */
import { NOMINAL_VOLTS, SENSE } from '../trade/loads';
import { hasMark, screwThat, type Adapter } from '../wiring/graph';
import { EMPTY_FRAGMENT, type Contact, type Fragment, type Sense } from './elements';

/** What its own electronics draw. */
const ADAPTER_VA = 0.5;

/** A module with no K only passes its terminals on. */
export function combinedAdapter(device: Adapter): Fragment {
  if (!hasMark(device, 'K')) return EMPTY_FRAGMENT;
  const at = (mark: string) => screwThat(device, mark)?.id ?? `${device.id}.${mark}`;
  const sense = (name: string, a: string, b: string): Sense => ({
    kind: 'sense',
    id: `${device.id}:sense-${name}`,
    a,
    b,
    part: { device: device.id, part: 'sense', mark: name === 'cool' ? 'Y' : 'G' },
    ...SENSE
  });
  const contact = (name: string, mark: string): Contact => ({
    kind: 'contact',
    id: `${device.id}:relay-${name}`,
    a: at('R'),
    b: at(mark),
    coil: `${device.id}:sense-${name}`,
    closedWhen: 'energised',
    part: { device: device.id, part: 'contact', mark }
  });
  return {
    elements: [
      {
        kind: 'resistor',
        of: 'electronics',
        id: `${device.id}:electronics`,
        a: at('R'),
        b: at('C'),
        ohms: (NOMINAL_VOLTS * NOMINAL_VOLTS) / ADAPTER_VA,
        part: { device: device.id, part: 'electronics' }
      },
      sense('cool', at('K'), at('C')),
      sense('fan', at('C'), at('K')),
      contact('cool', 'Y'),
      contact('fan', 'G')
    ],
    loads: []
  };
}
