import { answered, ESTIMATE, type Evidence, type EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  { value: 'registers', label: 'Warm air from registers', sentence: 'Warm air comes from registers.' },
  {
    value: 'radiators',
    label: 'Radiators, baseboards or floor with water',
    sentence: 'Heat comes from water: radiators, baseboards or floor loops.'
  },
  {
    value: 'electric',
    label: 'Electric baseboard or wall heater in the room',
    sentence: 'Heat comes from an electric heater in the room itself.'
  },
  {
    value: 'unit',
    label: 'One burning heater in the room, workshop or fireplace',
    sentence: 'Heat comes from one burning heater in the room itself.'
  },
  {
    value: 'nothing',
    label: 'This thermostat only cools',
    sentence: 'This thermostat has nothing to do with heat.'
  }
];

/** How the heat reaches the room parts air, water and room heaters. */
export const heatFrom: Evidence = {
  id: 'heat-from',
  kind: 'asked',
  ask: 'How does the heat come into the room?',
  how: 'Look for grilles that blow warm air, for radiators with pipes, or for a heater that has only a cable.',
  effort: 'look',
  source: ESTIMATE,
  values,
  likelihood: {
    furnace: [0.975, 0.01, 0.005, 0.007, 0.003],
    'furnace-ac': [0.975, 0.01, 0.005, 0.007, 0.003],
    'electric-furnace': [0.965, 0.01, 0.015, 0.005, 0.005],
    'heat-pump': [0.95, 0.03, 0.01, 0.005, 0.005],
    'dual-fuel': [0.975, 0.012, 0.005, 0.005, 0.003],
    boiler: [0.015, 0.967, 0.008, 0.005, 0.005],
    steam: [0.01, 0.975, 0.005, 0.005, 0.005],
    'boiler-plus-ac': [0.04, 0.94, 0.005, 0.005, 0.01],
    'cooling-only': [0.12, 0.12, 0.06, 0.03, 0.67],
    'contact-heater': [0.06, 0.02, 0.02, 0.88, 0.02],
    communicating: [0.93, 0.04, 0.01, 0.01, 0.01],
    'line-voltage': [0.02, 0.05, 0.88, 0.03, 0.02],
    millivolt: [0.02, 0.01, 0.03, 0.93, 0.01],
    'mains-hydronic': [0.01, 0.97, 0.01, 0.005, 0.005]
  },
  read: answered('heat-from', values)
};
