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
    furnace: [0.98, 0.015, 0.005],
    'furnace-ac': [0.985, 0.01, 0.005],
    'electric-furnace': [0.97, 0.01, 0.02],
    'heat-pump': [0.96, 0.03, 0.01],
    boiler: [0.02, 0.97, 0.01],
    'line-voltage': [0.03, 0.07, 0.9]
  },
  read: answered('heat-from', values)
};
