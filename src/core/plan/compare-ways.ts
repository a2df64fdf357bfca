/**
 * Ways beside each other, as one compares them: the same questions asked of each, and which answers differ. What is the same for all is told
 * once and needs no row.
 */
import { findingText } from '../words/findings/table';
import { and, counted, within } from '../words/text';
import { lossText } from '../words/losses';
import type { Job } from '../job/schema';
import type { Action } from '../job/log-schema';
import type { MethodId } from '../trade/vocabulary';
import type { PlannedOption } from './plan';
import { staysVisible } from './ranking';

export const COMPARED = ['loses', 'opens', 'shows', 'to-check', 'mistakes'] as const;
export type Compared = (typeof COMPARED)[number];

export const COMPARED_NAMES: Readonly<Record<Compared, string>> = {
  loses: 'What you lose',
  opens: 'What you open',
  shows: 'What stays visible',
  'to-check': 'To check first',
  mistakes: 'If you make one mistake'
};

/** How forgiving a way is: of so many single mistakes, how many would do harm. */
export interface Forgiving {
  readonly all: number;
  readonly harming: number;
}

export interface ComparedRow {
  readonly id: Compared;
  readonly name: string;
  /** One answer for each way, in the order of the ways. */
  readonly cells: readonly string[];
  /** All ways answer the same. */
  readonly same: boolean;
}

/** `mistakes`: how forgiving each way is, as far as that is worked out. Rows that nobody can fill yet are left out. */
export function compareWays(
  ways: readonly PlannedOption[],
  mistakes: Partial<Record<MethodId, Forgiving>>,
  units: Job['units']
): ComparedRow[] {
  return COMPARED.flatMap((id): ComparedRow[] => {
    const cells = ways.map((way) => cellOf(id, { way, units, mistakes: mistakes[way.method] ?? null }));
    if (cells.every((cell) => cell === '')) return [];
    return [{ id, name: COMPARED_NAMES[id], cells, same: new Set(cells).size === 1 }];
  });
}

const POWER: ReadonlySet<Action> = new Set(['power-off', 'power-on']);

interface Asked {
  readonly way: PlannedOption;
  readonly units: Job['units'];
  readonly mistakes: Forgiving | null;
}

function cellOf(id: Compared, { way, units, mistakes }: Asked): string {
  switch (id) {
    case 'loses':
      return way.loses.length === 0 ? 'nothing' : way.loses.map(lossText).join('; ');
    case 'opens': {
      // A breaker that is switched opens nothing.
      const hands = way.moves.filter(({ action }) => !POWER.has(action));
      const places = [...new Set(hands.map(({ place }) => place))];
      return places.length === 0 ? 'nothing' : and(places.map(placeName));
    }
    case 'shows':
      return staysVisible(way.parts) ? 'a cord in a channel' : 'nothing';
    case 'to-check': {
      const open = way.findings.filter(({ level, code }) => level === 'warn' && code !== 'function-lost');
      const [first] = open;
      if (!first) return 'nothing';
      return open.length === 1
        ? firstSentence(findingText(first, units))
        : counted(open.length, 'thing', 'things');
    }
    case 'mistakes':
      return mistakes === null ? '' : `${mistakes.harming} of ${mistakes.all} would do harm`;
  }
}

/** A place of the move list as it stands in a sentence. */
function placeName(place: string): string {
  if (place === 'wall') return 'the thermostat';
  return place === 'outlet' ? 'an outlet' : `the ${within(place)}`;
}

function firstSentence(text: string): string {
  const end = text.search(/[.:] /);
  return end < 0 ? text.replace(/\.$/, '') : text.slice(0, end);
}
