import { arrival } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** AUX and E belong to heat pumps with strips; W2 may also be a second stage. */
export const auxiliaryLanded: Evidence = {
  id: 'auxiliary-landed',
  kind: 'read',
  ask: 'Where does the wire on AUX or E end at the equipment?',
  how: 'Find the same cable at the machine and the wire of that colour in it; look which screw it is under.',
  effort: 'climb',
  source: ESTIMATE,
  values: [
    {
      value: 'both',
      label: 'Landed at both ends',
      sentence: 'A wire on AUX or E is landed at both ends.'
    },
    {
      value: 'wall-only',
      label: 'Landed at the wall only',
      sentence: 'A wire on AUX or E is landed at the wall but on nothing at the equipment.'
    },
    { value: 'none', label: 'No wire on AUX or E', sentence: 'No wire is on AUX or E at the wall.' }
  ],
  likelihood: {
    furnace: [0.002, 0.004, 0.994],
    'furnace-ac': [0.002, 0.006, 0.992],
    'electric-furnace': [0.02, 0.01, 0.97],
    'heat-pump': [0.6, 0.04, 0.36],
    'dual-fuel': [0.5, 0.04, 0.46],
    boiler: [0.002, 0.003, 0.995],
    steam: [0.002, 0.003, 0.995],
    'boiler-plus-ac': [0.002, 0.003, 0.995],
    'cooling-only': [0.002, 0.003, 0.995],
    'contact-heater': [0.002, 0.003, 0.995],
    communicating: [0.02, 0.01, 0.97],
    'line-voltage': [0.002, 0.003, 0.995],
    millivolt: [0.002, 0.003, 0.995],
    'mains-hydronic': [0.002, 0.003, 0.995]
  },
  read: ({ wiring }) => arrival(wiring, ['AUX', 'E'])
};
