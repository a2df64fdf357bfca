/** A receiver at the equipment: the wired half of a pair whose wall half is wireless. It switches like a thermostat and is fed by R and C. */
import type { Receiver } from '../wiring/graph';
import type { Fragment } from './elements';
import { contactsOf, electronicsBetween, type Switching } from './thermostat';

export function receiver(device: Receiver, state: Switching): Fragment {
  const { facts } = device;
  const electronics = electronicsBetween(device, facts.electronicsFrom, 'C', facts.drawVa);
  return {
    elements: [...contactsOf(device, state), electronics],
    loads: [],
    fed: { device: device.id, element: electronics.id, min: facts.voltsMin, max: facts.voltsMax }
  };
}
