import { arrival } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** O or B landed at both ends works a reversing valve; one that lands on nothing at the equipment says little. */
export const reversingLanded: Evidence = {
  id: 'reversing-landed',
  kind: 'read',
  ask: 'Where does the wire on O, B or O/B end at the equipment?',
  how: 'Find the same cable at the machine and the wire of that colour in it; look which screw it is under.',
  effort: 'climb',
  source: ESTIMATE,
  values: [
    {
      value: 'both',
      label: 'Landed at both ends',
      sentence: 'A wire on O or B is landed at both ends.'
    },
    {
      value: 'wall-only',
      label: 'Landed at the wall only',
      sentence: 'A wire on O or B is landed at the wall but on nothing at the equipment.'
    },
    { value: 'none', label: 'No wire on O or B', sentence: 'No wire is on O or B at the wall.' }
  ],
  likelihood: {
    furnace: [0.002, 0.01, 0.988],
    'furnace-ac': [0.004, 0.03, 0.966],
    'electric-furnace': [0.01, 0.03, 0.96],
    'heat-pump': [0.955, 0.03, 0.015],
    'dual-fuel': [0.94, 0.04, 0.02],
    boiler: [0.002, 0.003, 0.995],
    steam: [0.002, 0.003, 0.995],
    'boiler-plus-ac': [0.003, 0.015, 0.982],
    'cooling-only': [0.004, 0.03, 0.966],
    'contact-heater': [0.002, 0.003, 0.995],
    communicating: [0.02, 0.02, 0.96],
    'line-voltage': [0.002, 0.003, 0.995],
    millivolt: [0.002, 0.003, 0.995],
    'mains-hydronic': [0.002, 0.003, 0.995]
  },
  read: ({ wiring }) => arrival(wiring, ['O', 'B', 'OB'])
};
