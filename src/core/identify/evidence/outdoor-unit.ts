import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  { value: 'none', label: 'No outdoor unit', sentence: 'There is no outdoor unit.' },
  {
    value: 'rests',
    label: 'Yes, it rests in winter',
    sentence: 'An outdoor unit stands outside and rests in winter.'
  },
  {
    value: 'runs',
    label: 'Yes, it also runs in winter',
    sentence: 'An outdoor unit runs in winter as well.'
  },
  {
    value: 'unsure',
    label: 'Yes, winter not known',
    sentence: 'An outdoor unit stands outside; nobody knows whether it runs in winter.'
  }
];

/** An outdoor unit that works in winter heats: a heat pump. One that rests only cools. */
export const outdoorUnit: Evidence = {
  id: 'outdoor-unit',
  kind: 'asked',
  ask: 'Is there an outdoor unit with a fan, and does it run in winter?',
  how: 'Look round the outside of the house for a box with a large fan; ask whoever lives there whether it hums in frost.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.95, 0.02, 0.005, 0.025],
    'furnace-ac': [0.01, 0.74, 0.01, 0.24],
    'electric-furnace': [0.5, 0.35, 0.02, 0.13],
    'heat-pump': [0.01, 0.03, 0.74, 0.22],
    'dual-fuel': [0.01, 0.05, 0.7, 0.24],
    boiler: [0.78, 0.13, 0.02, 0.07],
    steam: [0.85, 0.09, 0.01, 0.05],
    'boiler-plus-ac': [0.02, 0.72, 0.01, 0.25],
    'cooling-only': [0.06, 0.66, 0.02, 0.26],
    'contact-heater': [0.85, 0.1, 0.01, 0.04],
    communicating: [0.05, 0.4, 0.3, 0.25],
    'line-voltage': [0.8, 0.12, 0.02, 0.06],
    millivolt: [0.75, 0.15, 0.03, 0.07],
    'mains-hydronic': [0.93, 0.03, 0.02, 0.02]
  },
  read: answered('outdoor-unit', values)
};
