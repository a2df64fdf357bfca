import { arrival } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** Y at both ends calls a compressor. */
export const compressorLanded: Evidence = {
  id: 'compressor-landed',
  kind: 'read',
  ask: 'Where does the wire on Y end at the equipment?',
  how: 'Find the same cable at the machine and the wire of that colour in it; look which screw it is under.',
  effort: 'climb',
  source: ESTIMATE,
  values: [
    { value: 'both', label: 'Landed at both ends', sentence: 'A wire on Y is landed at both ends.' },
    {
      value: 'wall-only',
      label: 'Landed at the wall only',
      sentence: 'A wire on Y is landed at the wall but on nothing at the equipment.'
    },
    { value: 'none', label: 'No wire on Y', sentence: 'No wire is on Y at the wall.' }
  ],
  likelihood: {
    furnace: [0.04, 0.06, 0.9],
    'furnace-ac': [0.96, 0.02, 0.02],
    'electric-furnace': [0.45, 0.05, 0.5],
    'heat-pump': [0.985, 0.01, 0.005],
    'dual-fuel': [0.98, 0.015, 0.005],
    boiler: [0.02, 0.02, 0.96],
    steam: [0.015, 0.02, 0.965],
    'boiler-plus-ac': [0.965, 0.025, 0.01],
    'cooling-only': [0.98, 0.015, 0.005],
    'contact-heater': [0.002, 0.003, 0.995],
    communicating: [0.1, 0.02, 0.88],
    'line-voltage': [0.002, 0.003, 0.995],
    millivolt: [0.002, 0.003, 0.995],
    'mains-hydronic': [0.002, 0.003, 0.995]
  },
  read: ({ wiring }) => arrival(wiring, ['Y1', 'Y2'])
};
