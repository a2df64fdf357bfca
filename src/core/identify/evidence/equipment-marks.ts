import { equipmentMarkClass } from '../read-marks';
import { ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'low-voltage',
    label: 'R, W, Y, G, C …',
    sentence: 'The machine’s strip carries the letters of the 24 V class.'
  },
  {
    value: 'mains',
    label: 'L, N, LINE, LOAD',
    sentence: 'The machine’s strip carries mains marks only.'
  },
  {
    value: 'contact',
    label: 'T T or T1 T2',
    sentence: 'The machine has a two-wire contact, T and T.'
  },
  {
    value: 'data',
    label: '1 2 3 4, A B, + -',
    sentence: 'The machine has an interface board with data marks.'
  }
];

/** What is printed beside the screws of the machine. */
export const equipmentMarks: Evidence = {
  id: 'equipment-marks',
  witness: 'letters',
  kind: 'read',
  ask: 'Which marks stand beside the terminals at the machine?',
  how: 'Open the door of the machine with its power off and read the letters on the low-voltage strip.',
  effort: 'climb',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.985, 0.003, 0.01, 0.002],
    'furnace-ac': [0.992, 0.003, 0.003, 0.002],
    'electric-furnace': [0.985, 0.003, 0.01, 0.002],
    'heat-pump': [0.985, 0.003, 0.01, 0.002],
    'dual-fuel': [0.985, 0.003, 0.01, 0.002],
    boiler: [0.79, 0.02, 0.18, 0.01],
    steam: [0.74, 0.02, 0.23, 0.01],
    'boiler-plus-ac': [0.96, 0.01, 0.02, 0.01],
    'cooling-only': [0.985, 0.003, 0.01, 0.002],
    'contact-heater': [0.1, 0.03, 0.86, 0.01],
    communicating: [0.15, 0, 0, 0.85],
    'line-voltage': [0.02, 0.88, 0.09, 0.01],
    millivolt: [0.3, 0.01, 0.69, 0],
    'mains-hydronic': [0.06, 0.87, 0.04, 0.03]
  },
  read: ({ job, thermostat }) => equipmentMarkClass(job, thermostat)
};
