import { ref } from '../../findings/refs';
import { boards, hasMark, landedMark } from '../../wiring/graph';
import { landedOnOneOf } from '../read-marks';
import { mixed, type Clue, type TraitRule } from './types';

/** Whether the valve of a heat pump is energised for cooling (O) or for heating (B). */
export const reversingValve: TraitRule = {
  id: 'reversing-valve',
  name: 'Reversing valve',
  values: [
    { value: 'O', label: 'energised for cooling (O)' },
    { value: 'B', label: 'energised for heating (B)' }
  ],
  settle: 'Read the mark at the machine; with O/B only, the wiring diagram inside the door says which.',
  prior: (beliefs) =>
    mixed(beliefs, [
      [
        ['heat-pump', 'dual-fuel'],
        [0.85, 0.15]
      ]
    ]),
  clues: ({ wiring, thermostat }) => {
    const found: Clue[] = [];
    for (const board of boards(wiring)) {
      const [o, b] = [hasMark(board, 'O'), hasMark(board, 'B')];
      if (o && !b)
        found.push({
          sentence: 'The machine’s strip has O and no B.',
          likelihood: [0.95, 0.03],
          because: [ref.machine(board.id)]
        });
      if (b && !o)
        found.push({
          sentence: 'The machine’s strip has B and no O.',
          likelihood: [0.02, 0.9],
          because: [ref.machine(board.id)]
        });
    }
    for (const strand of wiring.strands.filter((candidate) =>
      landedOnOneOf(wiring, candidate, 'far', ['O', 'B'])
    )) {
      const mark = landedMark(wiring, strand.far);
      found.push({
        sentence: `The ${strand.name} wire is on ${mark} at the machine.`,
        likelihood: mark === 'O' ? [0.95, 0.04] : [0.04, 0.9],
        because: [ref.conductor(strand.id)]
      });
    }
    const diagram = thermostat.observed['valve-diagram'];
    if (diagram === 'cooling' || diagram === 'heating')
      found.push({
        sentence: `The diagram says that the valve is energised for ${diagram}.`,
        likelihood: diagram === 'cooling' ? [0.99, 0.01] : [0.01, 0.99],
        because: [ref.observation('valve-diagram')]
      });
    return found;
  }
};
