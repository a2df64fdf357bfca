import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'works',
    label: 'Yes, it works',
    sentence: 'The heat works in a power cut.'
  },
  {
    value: 'stops',
    label: 'No, it stops',
    sentence: 'The heat stops in a power cut.'
  },
  {
    value: 'unsure',
    label: 'Nobody knows',
    sentence: 'Nobody knows whether the heat works in a power cut.'
  }
];

/** A millivolt heater makes its own supply from its pilot flame and needs no mains. */
export const powerCut: Evidence = {
  id: 'power-cut',
  kind: 'asked',
  ask: 'Does this heat still work in a power cut?',
  how: 'Ask whoever lives there. Do not switch anything off to find out.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.004, 0.7, 0.296],
    'furnace-ac': [0.004, 0.7, 0.296],
    'electric-furnace': [0.004, 0.7, 0.296],
    'heat-pump': [0.004, 0.7, 0.296],
    'dual-fuel': [0.004, 0.7, 0.296],
    boiler: [0.004, 0.7, 0.296],
    steam: [0.004, 0.7, 0.296],
    'boiler-plus-ac': [0.004, 0.7, 0.296],
    'cooling-only': [0.004, 0.6, 0.396],
    'contact-heater': [0.02, 0.6, 0.38],
    communicating: [0.004, 0.7, 0.296],
    'line-voltage': [0.004, 0.7, 0.296],
    millivolt: [0.9, 0.02, 0.08],
    'mains-hydronic': [0.004, 0.7, 0.296]
  },
  read: answered('power-cut', values)
};
