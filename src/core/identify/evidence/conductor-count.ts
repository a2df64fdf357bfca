import { ref } from '../../findings/refs';
import { wallIsRead } from '../read-marks';
import { ESTIMATE, type Evidence } from '../types';

/** How many conductors are landed at the wall. */
export const conductorCount: Evidence = {
  id: 'conductor-count',
  witness: 'letters',
  kind: 'read',
  ask: 'How many wires are landed at the wall?',
  how: 'Count those under a screw or clamp; the spare ones do not count.',
  effort: 'look',
  source: ESTIMATE,
  values: [
    { value: 'two', label: 'Two or fewer', sentence: 'Two wires are landed at the wall.' },
    {
      value: 'three-to-five',
      label: 'Three to five',
      sentence: 'Three to five wires are landed at the wall.'
    },
    { value: 'six-or-more', label: 'Six or more', sentence: 'Six or more wires are landed at the wall.' }
  ],
  likelihood: {
    furnace: [0.45, 0.54, 0.01],
    'furnace-ac': [0.01, 0.9, 0.09],
    'electric-furnace': [0.1, 0.85, 0.05],
    'heat-pump': [0.005, 0.245, 0.75],
    'dual-fuel': [0.003, 0.147, 0.85],
    boiler: [0.8, 0.19, 0.01],
    steam: [0.8, 0.19, 0.01],
    'boiler-plus-ac': [0.01, 0.85, 0.14],
    'cooling-only': [0.04, 0.95, 0.01],
    'contact-heater': [0.97, 0.028, 0.002],
    communicating: [0.1, 0.89, 0.01],
    'line-voltage': [0.7, 0.295, 0.005],
    millivolt: [0.97, 0.028, 0.002],
    'mains-hydronic': [0.4, 0.57, 0.03]
  },
  read: ({ wiring }) => {
    if (!wallIsRead(wiring)) return null;
    const landed = wiring.strands.filter((strand) => strand.near.state === 'landed');
    const value = landed.length <= 2 ? 'two' : landed.length <= 5 ? 'three-to-five' : 'six-or-more';
    return { value, because: landed.map((strand) => ref.conductor(strand.id)) };
  }
};
