import { arrival } from '../read-marks';
import { ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  {
    value: 'both',
    label: 'Landed at both ends',
    sentence: 'A wire on W is landed at both ends.'
  },
  {
    value: 'wall-only',
    label: 'Landed at the wall only',
    sentence: 'A wire on W is landed at the wall but on nothing at the equipment.'
  },
  {
    value: 'none',
    label: 'No wire on W',
    sentence: 'No wire is on W at the wall.'
  }
];

/** W at both ends calls heat; cooling alone has none, and most heat pumps call heat through Y. */
export const heatLanded: Evidence = {
  id: 'heat-landed',
  witness: 'letters',
  kind: 'read',
  ask: 'Where does the wire on W end at the equipment?',
  how: 'Find the same cable at the machine and the wire of that colour in it; look which screw it is under.',
  effort: 'climb',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.95, 0.02, 0.03],
    'furnace-ac': [0.975, 0.015, 0.01],
    'electric-furnace': [0.97, 0.02, 0.01],
    'heat-pump': [0.28, 0.05, 0.67],
    'dual-fuel': [0.33, 0.05, 0.62],
    boiler: [0.77, 0.03, 0.2],
    steam: [0.68, 0.03, 0.29],
    'boiler-plus-ac': [0.96, 0.03, 0.01],
    'cooling-only': [0.01, 0.05, 0.94],
    'contact-heater': [0.08, 0.02, 0.9],
    communicating: [0.08, 0.02, 0.9],
    'line-voltage': [0.01, 0.005, 0.985],
    millivolt: [0.3, 0.05, 0.65],
    'mains-hydronic': [0.01, 0.01, 0.98]
  },
  read: ({ wiring }) => arrival(wiring, ['W1'])
};
