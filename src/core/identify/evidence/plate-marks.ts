import { ref } from '../../findings/refs';
import { classOfMarks, wallMarks } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** What is printed beside the screws at the wall. */
export const plateMarks: Evidence = {
  id: 'plate-marks',
  witness: 'letters',
  kind: 'read',
  ask: 'Which marks stand beside the terminals of the old plate?',
  how: 'Take the cover off and read the letters beside each screw.',
  effort: 'look',
  source: ESTIMATE,
  values: [
    {
      value: 'low-voltage',
      label: 'R, W, Y, G, C …',
      sentence: 'The plate carries the letters of the 24 V class.'
    },
    { value: 'mains', label: 'L1, L2, LINE, LOAD, N', sentence: 'The plate carries mains marks.' },
    { value: 'contact', label: 'T T or T1 T2', sentence: 'The plate carries a two-wire contact, T and T.' },
    { value: 'data', label: '1 2 3 4, A B, + -', sentence: 'The plate carries data marks.' }
  ],
  likelihood: {
    furnace: [0.985, 0.0005, 0.0145, 0],
    'furnace-ac': [0.998, 0.0005, 0.0015, 0],
    'electric-furnace': [0.995, 0.001, 0.004, 0],
    'heat-pump': [0.998, 0.0005, 0.0015, 0],
    'dual-fuel': [0.998, 0.0005, 0.0015, 0],
    boiler: [0.8, 0.01, 0.19, 0],
    steam: [0.7, 0.01, 0.29, 0],
    'boiler-plus-ac': [0.99, 0.002, 0.008, 0],
    'cooling-only': [0.995, 0.001, 0.004, 0],
    'contact-heater': [0.09, 0.02, 0.89, 0],
    communicating: [0.1, 0, 0, 0.9],
    'line-voltage': [0.01, 0.88, 0.1, 0.01],
    millivolt: [0.35, 0.01, 0.64, 0],
    'mains-hydronic': [0.03, 0.89, 0.05, 0.03]
  },
  read: ({ wiring, thermostat }) => {
    const value = classOfMarks(wallMarks(wiring));
    return value === null ? null : { value, because: [ref.thermostat(thermostat.id)] };
  }
};
