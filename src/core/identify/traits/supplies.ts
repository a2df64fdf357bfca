import { ref } from '../../findings/refs';
import { hotAtWall } from '../read-marks';
import { deviceAtEnd } from '../../wiring/graph';
import { landedOnOneOf } from '../read-marks';
import { mixed, type Clue, type TraitRule } from './types';

/** How many transformers reach the wall. Two must never be joined. */
export const supplies: TraitRule = {
  id: 'supplies',
  name: 'Supplies at the wall',
  values: [
    { value: '1', label: 'one transformer' },
    { value: '2', label: 'two transformers' }
  ],
  settle: 'Follow RH and RC to their machines: two boards that each have a transformer are two supplies.',
  prior: (beliefs) =>
    mixed(beliefs, [
      [['boiler-plus-ac'], [0.08, 0.92]],
      [
        [
          'furnace',
          'furnace-ac',
          'electric-furnace',
          'heat-pump',
          'dual-fuel',
          'boiler',
          'steam',
          'cooling-only'
        ],
        [0.97, 0.03]
      ],
      [['contact-heater'], [0.9, 0.1]]
    ]),
  clues: ({ wiring }) => {
    const found: Clue[] = [];
    const hot = hotAtWall(wiring);
    if (hot?.value === 'one')
      found.push({
        sentence: 'One hot wire comes to the wall.',
        likelihood: [0.95, 0.08],
        because: hot.because
      });
    if (hot?.value === 'two-apart')
      found.push({
        sentence: 'RH and RC each have a wire, and no jumper joins them.',
        likelihood: [0.03, 0.85],
        because: hot.because
      });
    if (hot?.value === 'two-linked')
      found.push({
        sentence:
          'RH and RC each have a wire and are joined by a jumper: with two transformers that would be a fault.',
        likelihood: [0.03, 0.02],
        because: hot.because
      });
    const ends = wiring.strands
      .filter((strand) => landedOnOneOf(wiring, strand, 'near', ['R', 'RH', 'RC']))
      .flatMap((strand) => deviceAtEnd(wiring, strand.far)?.id ?? []);
    const machines = new Set(ends);
    if (machines.size > 1)
      found.push({
        sentence: 'The hot wires come from two machines.',
        likelihood: [0.05, 0.95],
        because: [...machines].map(ref.machine)
      });
    if (ends.length > 1 && machines.size === 1)
      found.push({
        sentence: 'The hot wires come from one machine.',
        likelihood: [0.9, 0.1],
        because: [...machines].map(ref.machine)
      });
    return found;
  }
};
