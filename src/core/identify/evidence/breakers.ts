import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'large',
    label: 'A large double breaker, 40 A or more',
    sentence: 'The indoor machine has a double breaker of 40 A or more.'
  },
  {
    value: 'small',
    label: 'A single breaker, 15 or 20 A',
    sentence: 'The indoor machine has a single breaker of 15 or 20 A.'
  }
];

/** Strips draw tens of amps; a burner's fan and controls do not. */
export const breakers: Evidence = {
  id: 'breakers',
  kind: 'asked',
  ask: 'Which breaker feeds the indoor machine?',
  how: 'Read the directory of the electrical panel with its cover on. Do not take the cover off.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.02, 0.98],
    'furnace-ac': [0.05, 0.95],
    'electric-furnace': [0.95, 0.05],
    'heat-pump': [0.75, 0.25],
    'dual-fuel': [0.12, 0.88],
    boiler: [0.03, 0.97],
    steam: [0.03, 0.97],
    'boiler-plus-ac': [0.1, 0.9],
    'cooling-only': [0.12, 0.88],
    'contact-heater': [0.03, 0.97],
    communicating: [0.35, 0.65],
    'line-voltage': [0.4, 0.6],
    millivolt: [0.1, 0.9],
    'mains-hydronic': [0.03, 0.97]
  },
  read: answered('breakers', values)
};
