/** Beliefs as worlds: every way the equipment may still be, for the proof to solve. What is not settled counts at its worst. */
import type { World } from '../devices/world';
import { FAMILY_NAMES, type Family } from '../trade/vocabulary';
import { boards, hasMark, landedTerminal, splitTerminal, type Wiring } from '../wiring/graph';
import type { Identification } from './identify';

/** A family less likely than this is left out of the proof. */
export const BELIEVABLE = 0.05;

export interface WeightedWorld {
  readonly world: World;
  readonly weight: number;
}

/** Believable families, each with the board behaviours that nobody can see from outside; likeliest first. */
export function worldsOf(identification: Identification, wiring: Wiring): WeightedWorld[] {
  return believableFamilies(identification)
    .flatMap(({ family, weight }) => {
      const worlds = worldsOfFamily(family, wiring);
      return worlds.map((world) => ({ world, weight: weight / worlds.length }));
    })
    .sort((a, b) => b.weight - a.weight);
}

function believableFamilies(identification: Identification): { family: Family; weight: number }[] {
  if (identification.stated) return [{ family: identification.family, weight: 1 }];
  const [top] = identification.candidates;
  return identification.candidates
    .filter((one) => one.family !== 'unknown' && (one.probability >= BELIEVABLE || one === top))
    .map((one) => ({ family: one.family, weight: one.probability }));
}

function worldsOfFamily(family: Family, wiring: Wiring): World[] {
  const base = { family, reversing: reversing(family, wiring), says: withArticle(FAMILY_NAMES[family]) };
  if (family !== 'electric-furnace') {
    const compressor = family === 'furnace-ac' || family === 'heat-pump';
    return [{ ...base, id: family, blowerInHeat: family === 'heat-pump' ? 'g' : 'board', compressor }];
  }
  const compressor = wiring.strands.some((strand) => {
    const terminal = landedTerminal(strand.equipment);
    return terminal !== null && splitTerminal(terminal).mark === 'Y1';
  });
  return [
    {
      ...base,
      id: `${family}/blower-by-g`,
      blowerInHeat: 'g',
      compressor,
      says: `${base.says} whose blower runs on G alone`
    },
    {
      ...base,
      id: `${family}/blower-by-board`,
      blowerInHeat: 'board',
      compressor,
      says: `${base.says} whose board runs the blower`
    }
  ];
}

function reversing(family: Family, wiring: Wiring): World['reversing'] {
  if (family !== 'heat-pump') return 'none';
  const on = (mark: string) => boards(wiring).some((board) => hasMark(board, mark));
  return on('B') && !on('O') && !on('OB') ? 'B' : 'O';
}

function withArticle(noun: string): string {
  return `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
}
