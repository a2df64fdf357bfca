import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'vent',
    label: 'A vent that hisses, or one pipe',
    sentence: 'The radiators have vents that hiss, or one pipe each.'
  },
  {
    value: 'water',
    label: 'Two pipes, a bleed screw; or floor loops',
    sentence: 'The radiators have two pipes and no vent.'
  },
  {
    value: 'none',
    label: 'No radiators',
    sentence: 'There are no radiators.'
  }
];

/** One pipe and a hissing vent mean steam; two pipes and no vent mean water. */
export const radiatorKind: Evidence = {
  id: 'radiator-kind',
  after: 'heat-from',
  kind: 'asked',
  ask: 'If there are radiators: do they have an air vent that hisses, or one pipe only?',
  how: 'Look at two radiators. A small silver vent on the side, or one pipe to each, means steam; a bleed screw and two pipes mean water.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.01, 0.02, 0.97],
    'furnace-ac': [0.01, 0.02, 0.97],
    'electric-furnace': [0.01, 0.02, 0.97],
    'heat-pump': [0.01, 0.02, 0.97],
    'dual-fuel': [0.01, 0.02, 0.97],
    boiler: [0.03, 0.94, 0.03],
    steam: [0.8, 0.18, 0.02],
    'boiler-plus-ac': [0.06, 0.91, 0.03],
    'cooling-only': [0.03, 0.1, 0.87],
    'contact-heater': [0.01, 0.02, 0.97],
    communicating: [0.01, 0.02, 0.97],
    'line-voltage': [0.01, 0.02, 0.97],
    millivolt: [0.01, 0.02, 0.97],
    'mains-hydronic': [0.005, 0.97, 0.025]
  },
  read: answered('radiator-kind', values)
};
