import { hotAtWall } from '../read-marks';
import { ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'one',
    label: 'One hot wire',
    sentence: 'One hot wire comes to the wall.'
  },
  {
    value: 'two-apart',
    label: 'RH and RC, no jumper',
    sentence: 'RH and RC each have a wire, and no jumper joins them.'
  },
  {
    value: 'two-linked',
    label: 'RH and RC, linked',
    sentence: 'RH and RC each have a wire, and a jumper joins them.'
  },
  {
    value: 'none',
    label: 'Neither',
    sentence: 'No wire is on R, RH or RC.'
  }
];

/** RH and RC with a conductor each and no link between them mean two transformers. */
export const hotConductors: Evidence = {
  id: 'hot-conductors',
  witness: 'letters',
  kind: 'read',
  ask: 'Which of R, RH and RC have a wire, and is there a jumper between RH and RC?',
  how: 'Look behind the cover: a short piece of wire or a clip between RH and RC is the jumper.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.93, 0.005, 0.005, 0.06],
    'furnace-ac': [0.965, 0.015, 0.015, 0.005],
    'electric-furnace': [0.96, 0.01, 0.02, 0.01],
    'heat-pump': [0.975, 0.01, 0.01, 0.005],
    'dual-fuel': [0.975, 0.01, 0.01, 0.005],
    boiler: [0.83, 0.01, 0.01, 0.15],
    steam: [0.75, 0.01, 0.01, 0.23],
    'boiler-plus-ac': [0.1, 0.87, 0.02, 0.01],
    'cooling-only': [0.97, 0.01, 0.01, 0.01],
    'contact-heater': [0.1, 0.005, 0.005, 0.89],
    communicating: [0.5, 0.01, 0.01, 0.48],
    'line-voltage': [0.015, 0.0025, 0.0025, 0.98],
    millivolt: [0.35, 0.005, 0.005, 0.64],
    'mains-hydronic': [0.015, 0.0025, 0.0025, 0.98]
  },
  read: ({ wiring }) => hotAtWall(wiring)
};
