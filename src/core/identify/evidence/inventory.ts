import { machines } from '../read-marks';
import { ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'furnace',
    label: 'Furnace',
    sentence: 'The inventory holds a furnace.'
  },
  {
    value: 'air-handler',
    label: 'Air handler',
    sentence: 'The inventory holds an air handler.'
  },
  {
    value: 'boiler',
    label: 'Boiler',
    sentence: 'The inventory holds a boiler.'
  },
  {
    value: 'room-heater',
    label: 'Heater in the room',
    sentence: 'The inventory holds a heater that stands or hangs in the room.'
  },
  {
    value: 'boiler-and-air',
    label: 'Boiler and air handler',
    sentence: 'The inventory holds a boiler and an air handler.'
  }
];

/** What the inventory calls the machine. */
export const inventory: Evidence = {
  id: 'inventory',
  kind: 'read',
  ask: 'What kind of machine is it, by its plate?',
  how: 'Read the plate inside the door; it says furnace, air handler, boiler or heater.',
  effort: 'climb',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.96, 0.02, 0.007, 0.01, 0.003],
    'furnace-ac': [0.95, 0.035, 0.004, 0.004, 0.007],
    'electric-furnace': [0.45, 0.53, 0.005, 0.01, 0.005],
    'heat-pump': [0.05, 0.93, 0.008, 0.007, 0.005],
    'dual-fuel': [0.85, 0.13, 0.005, 0.005, 0.01],
    boiler: [0.01, 0.01, 0.95, 0.01, 0.02],
    steam: [0.01, 0.005, 0.97, 0.005, 0.01],
    'boiler-plus-ac': [0.02, 0.05, 0.3, 0.01, 0.62],
    'cooling-only': [0.1, 0.85, 0.02, 0.01, 0.02],
    'contact-heater': [0.1, 0.02, 0.04, 0.83, 0.01],
    communicating: [0.6, 0.35, 0.03, 0.01, 0.01],
    'line-voltage': [0.02, 0.03, 0.04, 0.9, 0.01],
    millivolt: [0.05, 0.01, 0.02, 0.91, 0.01],
    'mains-hydronic': [0.005, 0.005, 0.97, 0.01, 0.01]
  },
  read: ({ job, thermostat }) => machines(job, thermostat)
};
