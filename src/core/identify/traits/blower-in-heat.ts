import { ref } from '../../findings/refs';
import { mixed, type Clue, type TraitRule } from './types';

/** Who starts the blower when heat is called: the board by itself, or nothing but G. G is never taken where only G does. */
export const blowerInHeat: TraitRule = {
  id: 'blower-in-heat',
  name: 'Blower in heating',
  values: [
    { value: 'board', label: 'the board runs it' },
    { value: 'g', label: 'only G runs it' }
  ],
  settle:
    'Read the wiring diagram inside the door, or the set-up sheet of the old thermostat (“fan: electric” means G).',
  prior: (beliefs) =>
    mixed(beliefs, [
      [
        ['furnace', 'furnace-ac'],
        [0.98, 0.02]
      ],
      [['electric-furnace'], [0.45, 0.55]],
      [
        ['heat-pump', 'dual-fuel'],
        [0.03, 0.97]
      ]
    ]),
  clues: ({ thermostat, job }) => {
    const found: Clue[] = [];
    const seen = thermostat.observed['blower-diagram'];
    if (seen === 'board' || seen === 'g')
      found.push({
        sentence:
          seen === 'board'
            ? 'The diagram shows that the board starts the blower in heating.'
            : 'The diagram shows that only G starts the blower.',
        likelihood: seen === 'board' ? [0.99, 0.01] : [0.01, 0.99],
        because: [ref.observation('blower-diagram')]
      });
    for (const machine of job.equipment.filter((candidate) => thermostat.equipment.includes(candidate.id))) {
      if (machine.fuel === 'gas' || machine.fuel === 'oil' || machine.fuel === 'propane')
        found.push({
          sentence: `${machine.name} burns ${machine.fuel}: its board runs the blower once it is warm.`,
          likelihood: [0.95, 0.3],
          because: [ref.machine(machine.id)]
        });
      if (machine.fuel === 'electricity')
        found.push({
          sentence: `${machine.name} heats by electricity: often only G runs the blower.`,
          likelihood: [0.3, 0.95],
          because: [ref.machine(machine.id)]
        });
    }
    return found;
  }
};
