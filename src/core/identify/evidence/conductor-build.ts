import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'thin',
    label: 'Thin, under screws or clamps',
    sentence: 'The wires at the wall are thin and end under screws or clamps.'
  },
  {
    value: 'thick',
    label: 'Thick, with wire nuts',
    sentence: 'The wires at the wall are thick and joined with wire nuts.'
  }
];

/** Thick conductors in wire nuts are mains until proven otherwise. */
export const conductorBuild: Evidence = {
  id: 'conductor-build',
  kind: 'asked',
  ask: 'Are the wires at the wall thin, or thick with wire nuts?',
  how: 'Look without touching. Thin is like a shoelace tip, about 1 mm of copper; thick is like a lamp cord or more.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.998, 0.002],
    'furnace-ac': [0.998, 0.002],
    'electric-furnace': [0.995, 0.005],
    'heat-pump': [0.998, 0.002],
    'dual-fuel': [0.998, 0.002],
    boiler: [0.97, 0.03],
    steam: [0.97, 0.03],
    'boiler-plus-ac': [0.998, 0.002],
    'cooling-only': [0.998, 0.002],
    'contact-heater': [0.94, 0.06],
    communicating: [0.998, 0.002],
    'line-voltage': [0.04, 0.96],
    millivolt: [0.95, 0.05],
    'mains-hydronic': [0.12, 0.88]
  },
  read: answered('conductor-build', values)
};
