import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'programmer',
    label: 'Yes, a programmer or timer',
    sentence: 'A programmer switches heating, and perhaps hot water.'
  },
  {
    value: 'none',
    label: 'No',
    sentence: 'There is no programmer.'
  }
];

/** A programmer with hot-water and heating channels belongs to mains heating controls. */
export const programmer: Evidence = {
  id: 'programmer',
  after: 'heat-from',
  kind: 'asked',
  ask: 'Is there a programmer or timer that switches heating, and perhaps hot water, with a cylinder or a combination boiler?',
  how: 'Look near the boiler or the hot-water cylinder for a box with two columns, heating and water. Leave its cover on: it is mains.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.01, 0.99],
    'furnace-ac': [0.01, 0.99],
    'electric-furnace': [0.01, 0.99],
    'heat-pump': [0.01, 0.99],
    'dual-fuel': [0.01, 0.99],
    boiler: [0.06, 0.94],
    steam: [0.02, 0.98],
    'boiler-plus-ac': [0.01, 0.99],
    'cooling-only': [0.01, 0.99],
    'contact-heater': [0.01, 0.99],
    communicating: [0.01, 0.99],
    'line-voltage': [0.03, 0.97],
    millivolt: [0.01, 0.99],
    'mains-hydronic': [0.93, 0.07]
  },
  read: answered('programmer', values)
};
