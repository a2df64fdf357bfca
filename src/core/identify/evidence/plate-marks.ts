import { markClass } from '../../trade/terminals';
import { wallMarks } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** What is printed beside the screws at the wall. */
export const plateMarks: Evidence = {
  id: 'plate-marks',
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
    { value: 'contact', label: 'T T or T1 T2', sentence: 'The plate carries a two-wire contact, T and T.' }
  ],
  likelihood: {
    furnace: [0.985, 0.0005, 0.0145],
    'furnace-ac': [0.998, 0.0005, 0.0015],
    'electric-furnace': [0.995, 0.001, 0.004],
    'heat-pump': [0.998, 0.0005, 0.0015],
    boiler: [0.8, 0.01, 0.19],
    'line-voltage': [0.01, 0.89, 0.1]
  },
  read: ({ wiring, thermostat }) => {
    const classes = wallMarks(wiring).map(markClass);
    const because = [thermostat.id];
    if (classes.includes('mains')) return { value: 'mains', because };
    if (classes.some((one) => one === 'hot' || one === 'call' || one === 'common'))
      return { value: 'low-voltage', because };
    return classes.includes('contact') ? { value: 'contact', because } : null;
  }
};
