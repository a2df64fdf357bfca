/** All traits. A new one is one file and one line here. */
import { posterior } from '../../belief/bayes';
import type { Beliefs } from '../beliefs';
import type { Situation } from '../types';
import { blowerInHeat } from './blower-in-heat';
import { reversingValve } from './reversing-valve';
import { coolStages, heatStages } from './stages';
import { supplies } from './supplies';
import type { Trait, TraitId, TraitQuestion, TraitRule } from './types';

const byId: Readonly<Record<TraitId, TraitRule>> = {
  'heat-stages': heatStages,
  'cool-stages': coolStages,
  'reversing-valve': reversingValve,
  supplies,
  'blower-in-heat': blowerInHeat
};

export const TRAIT_QUESTIONS: readonly TraitQuestion[] = [
  {
    id: 'blower-diagram',
    trait: 'blower-in-heat',
    ask: 'What does the diagram show: who starts the blower when heat is called?',
    how: 'With the power off, look at the diagram inside the door: does the board’s fan relay work with the burner or the strips, or with G alone?',
    values: [
      { value: 'board', label: 'The board, with the heat' },
      { value: 'g', label: 'G alone' }
    ]
  },
  {
    id: 'valve-diagram',
    trait: 'reversing-valve',
    ask: 'What does the diagram show: for what is the reversing valve energised?',
    how: 'With the power off, look at the diagram of the outdoor unit or of the machine.',
    values: [
      { value: 'cooling', label: 'For cooling (O)' },
      { value: 'heating', label: 'For heating (B)' }
    ]
  }
];

/** A value is called known from here on. */
export const TRAIT_DECIDED_AT = 0.9;

/** The traits that mean something for the families still believed in. */
export function traitsOf(situation: Situation, beliefs: Beliefs): Trait[] {
  return Object.values(byId).flatMap((rule) => {
    const prior = rule.prior(beliefs);
    return prior === null ? [] : [traitOf(rule, prior, situation)];
  });
}

function traitOf(rule: TraitRule, prior: readonly number[], situation: Situation): Trait {
  const clues = rule.clues(situation);
  const start = posterior(
    prior,
    rule.values.map(() => 1)
  );
  const shares = clues.reduce((belief, clue) => posterior(belief, clue.likelihood), start);
  const values = rule.values.map((value, index) => ({ ...value, probability: shares[index] ?? 0 }));
  const top = values.reduce((best, value) => (value.probability > best.probability ? value : best));
  return {
    id: rule.id,
    name: rule.name,
    values,
    decided: top.probability >= TRAIT_DECIDED_AT ? top.value : null,
    clues,
    settle: rule.settle
  };
}

/** What is believed of one value of a trait, 0 where the trait is not among those handed in. */
export function traitShare(traits: readonly Trait[], id: TraitId, value: string): number {
  const values = traits.find((trait) => trait.id === id)?.values;
  return values?.find((traitValue) => traitValue.value === value)?.probability ?? 0;
}
