import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  { value: 'burner', label: 'Burner with a flue', sentence: 'The machine has a burner and a flue.' },
  { value: 'none', label: 'No burner, no flue', sentence: 'The machine has no burner and no flue.' }
];

/** A flue means that something burns. */
export const flue: Evidence = {
  id: 'flue',
  kind: 'asked',
  ask: 'Does the machine burn something: is there a flue, a gas pipe or an oil line?',
  how: 'At the machine, look for a metal or white plastic pipe that leads outside or into a chimney, and for a gas cock or oil filter.',
  effort: 'climb',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.99, 0.01],
    'furnace-ac': [0.99, 0.01],
    'electric-furnace': [0.01, 0.99],
    'heat-pump': [0.04, 0.96],
    'dual-fuel': [0.98, 0.02],
    boiler: [0.95, 0.05],
    steam: [0.97, 0.03],
    'boiler-plus-ac': [0.93, 0.07],
    'cooling-only': [0.06, 0.94],
    'contact-heater': [0.93, 0.07],
    communicating: [0.7, 0.3],
    'line-voltage': [0.03, 0.97],
    millivolt: [0.97, 0.03],
    'mains-hydronic': [0.94, 0.06]
  },
  read: answered('flue', values)
};
