import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'yes',
    label: 'Yes, a small flame burns all the time',
    sentence: 'A standing pilot burns in it.'
  },
  {
    value: 'no',
    label: 'No',
    sentence: 'It has no standing pilot.'
  }
];

/** A flame that always burns feeds a thermopile in millivolt heaters; some old furnaces and boilers have one too. */
export const pilot: Evidence = {
  id: 'pilot',
  kind: 'asked',
  ask: 'Does a small flame always burn in it (a standing pilot)?',
  how: 'Look through the little window with the cover on. A smell of gas: leave, call from outside.',
  effort: 'climb',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.12, 0.88],
    'furnace-ac': [0.06, 0.94],
    'electric-furnace': [0.003, 0.997],
    'heat-pump': [0.003, 0.997],
    'dual-fuel': [0.02, 0.98],
    boiler: [0.15, 0.85],
    steam: [0.15, 0.85],
    'boiler-plus-ac': [0.1, 0.9],
    'cooling-only': [0.01, 0.99],
    'contact-heater': [0.15, 0.85],
    communicating: [0.005, 0.995],
    'line-voltage': [0.02, 0.98],
    millivolt: [0.95, 0.05],
    'mains-hydronic': [0.1, 0.9]
  },
  read: answered('pilot', values)
};
