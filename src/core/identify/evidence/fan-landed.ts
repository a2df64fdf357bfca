import { arrival } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** G means that air is moved; water systems have none. */
export const fanLanded: Evidence = {
  id: 'fan-landed',
  kind: 'read',
  ask: 'Where does the wire on G end at the equipment?',
  how: 'Find the same cable at the machine and the wire of that colour in it; look which screw it is under.',
  effort: 'climb',
  source: ESTIMATE,
  values: [
    { value: 'both', label: 'Landed at both ends', sentence: 'A wire on G is landed at both ends.' },
    {
      value: 'wall-only',
      label: 'Landed at the wall only',
      sentence: 'A wire on G is landed at the wall but on nothing at the equipment.'
    },
    { value: 'none', label: 'No wire on G', sentence: 'No wire is on G at the wall.' }
  ],
  likelihood: {
    furnace: [0.5, 0.05, 0.45],
    'furnace-ac': [0.94, 0.02, 0.04],
    'electric-furnace': [0.93, 0.02, 0.05],
    'heat-pump': [0.96, 0.02, 0.02],
    'dual-fuel': [0.96, 0.02, 0.02],
    boiler: [0.02, 0.02, 0.96],
    steam: [0.05, 0.02, 0.93],
    'boiler-plus-ac': [0.9, 0.03, 0.07],
    'cooling-only': [0.92, 0.03, 0.05],
    'contact-heater': [0.01, 0.01, 0.98],
    communicating: [0.1, 0.02, 0.88],
    'line-voltage': [0.002, 0.003, 0.995],
    millivolt: [0.002, 0.003, 0.995],
    'mains-hydronic': [0.002, 0.003, 0.995]
  },
  read: ({ wiring }) => arrival(wiring, ['G'])
};
