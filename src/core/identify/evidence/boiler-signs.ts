import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'circulators',
    label: 'Pumps or zone valves on the pipes',
    sentence: 'Pumps or zone valves sit on the pipes.'
  },
  {
    value: 'sight-glass',
    label: 'A glass tube with water, a low-water cut-off',
    sentence: 'The machine has a sight glass and a low-water cut-off.'
  },
  {
    value: 'neither',
    label: 'Neither',
    sentence: 'The machine has neither pumps nor a sight glass.'
  }
];

/** What stands on the boiler: a sight glass and a low-water cut-off belong to steam, circulators and zone valves to water. */
export const boilerSigns: Evidence = {
  id: 'boiler-signs',
  after: 'heat-from',
  kind: 'asked',
  ask: 'At the machine: is there a glass tube with water in it, or are there pumps on the pipes?',
  how: 'Look without touching; pipes and the glass are hot. A low-water cut-off is a box on the side of a steam boiler: nothing is ever wired round it.',
  effort: 'climb',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.005, 0.002, 0.993],
    'furnace-ac': [0.005, 0.002, 0.993],
    'electric-furnace': [0.005, 0.002, 0.993],
    'heat-pump': [0.005, 0.002, 0.993],
    'dual-fuel': [0.005, 0.002, 0.993],
    boiler: [0.93, 0.015, 0.055],
    steam: [0.05, 0.93, 0.02],
    'boiler-plus-ac': [0.9, 0.05, 0.05],
    'cooling-only': [0.06, 0.01, 0.93],
    'contact-heater': [0.005, 0.002, 0.993],
    communicating: [0.005, 0.002, 0.993],
    'line-voltage': [0.005, 0.002, 0.993],
    millivolt: [0.005, 0.002, 0.993],
    'mains-hydronic': [0.95, 0.002, 0.048]
  },
  read: answered('boiler-signs', values)
};
