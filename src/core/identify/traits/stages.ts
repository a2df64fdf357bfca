/** Stages of heat and cold, by the board and the plate of the machine: a single-stage thermostat before does not mean a single stage. */
import { ref } from '../../findings/refs';
import { boards, hasMark } from '../../wiring/graph';
import type { Situation } from '../types';
import { mixed, type Clue, type TraitRule } from './types';

const values = [
  { value: '1', label: 'one stage' },
  { value: '2', label: 'two stages or more' }
];

function clues(
  { wiring, job, thermostat }: Situation,
  mark: string,
  field: 'heatStages' | 'coolStages'
): Clue[] {
  const found: Clue[] = [];
  const read = boards(wiring).filter((board) => board.screws.length > 1);
  const marked = read.filter((board) => hasMark(board, mark));
  if (marked.length > 0)
    found.push({
      sentence: `The machine’s strip has ${mark}, whether or not the old thermostat used it.`,
      likelihood: [0.12, 0.97],
      because: marked.map((board) => ref.machine(board.id))
    });
  else if (read.length > 0)
    found.push({
      sentence: `The machine’s strip has no ${mark}.`,
      likelihood: [0.88, 0.03],
      because: read.map((board) => ref.machine(board.id))
    });
  for (const machine of job.equipment.filter((candidate) => thermostat.equipment.includes(candidate.id))) {
    const stages = machine[field];
    if (stages === null || stages === 0) continue;
    found.push({
      sentence: `The plate of ${machine.name} says ${stages === 1 ? 'one stage' : `${stages} stages`}.`,
      likelihood: stages === 1 ? [0.98, 0.02] : [0.01, 0.98],
      because: [ref.machine(machine.id)]
    });
  }
  return found;
}

export const heatStages: TraitRule = {
  id: 'heat-stages',
  name: 'Heat stages',
  values,
  settle: 'Read the plate inside the door, or look for W2 on the strip.',
  prior: (beliefs) =>
    mixed(beliefs, [
      [
        ['furnace', 'furnace-ac'],
        [0.75, 0.25]
      ],
      [['electric-furnace'], [0.6, 0.4]],
      [
        ['heat-pump', 'dual-fuel'],
        [0.15, 0.85]
      ],
      [
        ['boiler', 'steam', 'boiler-plus-ac'],
        [0.97, 0.03]
      ]
    ]),
  clues: (situation) => clues(situation, 'W2', 'heatStages')
};

export const coolStages: TraitRule = {
  id: 'cool-stages',
  name: 'Compressor stages',
  values,
  settle: 'Read the plate of the outdoor unit, or look for Y2 on the strip.',
  prior: (beliefs) =>
    mixed(beliefs, [
      [
        ['furnace-ac', 'cooling-only', 'boiler-plus-ac'],
        [0.87, 0.13]
      ],
      [
        ['heat-pump', 'dual-fuel'],
        [0.75, 0.25]
      ]
    ]),
  clues: (situation) => clues(situation, 'Y2', 'coolStages')
};
