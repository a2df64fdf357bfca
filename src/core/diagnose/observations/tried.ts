/**
 * The remedy of a cause was done, and what then: the surest look of all, and one that nobody is sent to make; it follows from having been
 * there. What stays as it was does not make a second cause less likely, only that the first was it alone.
 */
import { wallPlace } from '../../wiring/graph';
import type { Cause } from '../causes/types';
import { TRIED_STILL, triedId } from '../tried-code';
import { chancesOf } from './predict';
import type { Answer, Observation, Situation } from './types';

const WHAT_THEN: readonly Answer[] = [
  { value: TRIED_STILL, label: 'As before' },
  { value: 'gone', label: 'It works now' }
];

/** What was put right and looked at again is next to never still what is wrong. */
const TRIED_ERRS = 0.002;

/** Causes whose remedy was done and changed nothing, by their ids. */
export function triedCauses(
  { situation }: { readonly situation: Situation },
  seen: readonly { readonly observation: { readonly id: string }; readonly answer: string | number }[]
): Set<string> {
  const still = new Set(
    seen.filter(({ answer }) => answer === TRIED_STILL).map(({ observation }) => observation.id)
  );
  return new Set(situation.causes.filter(({ id }) => still.has(triedId(id))).map(({ id }) => id));
}

interface Answered {
  readonly observation: Observation;
  readonly answer: string | number;
}

/** Looks (by their ids) that showed what was put right after them: each was so, and may be made once more. `all` as it was seen in turn. */
export function worthAgain(
  prepared: { readonly situation: Situation },
  all: readonly Answered[]
): Set<string> {
  const stale = all.filter((entry, at) => {
    const later = triedCauses(prepared, all.slice(at + 1));
    return showsItsCause(entry) && later.has(entry.observation.of!);
  });
  return new Set(stale.map(({ observation }) => observation.id));
}

/** The look at a fuse that is open again after it was replaced, by its id: a short was fed twice. `all` as it was seen in turn. */
export function opensAgain(
  prepared: { readonly situation: Situation },
  all: readonly Answered[]
): string | undefined {
  const kindOf = new Map(prepared.situation.causes.map(({ id, kind }) => [id, kind]));
  return all.find((entry, at) => {
    const { of: cause } = entry.observation;
    return (
      showsItsCause(entry) &&
      kindOf.get(cause!) === 'fuse-open' &&
      triedCauses(prepared, all.slice(0, at)).has(cause!)
    );
  })?.observation.id;
}

/** A look for one cause has two answers, the second of which is that it is so. */
function showsItsCause({ observation: { of: cause, answers }, answer }: Answered): boolean {
  return cause !== undefined && answers[1]?.value === answer;
}

/** Made when it is asked for: there are as many as causes, and hardly any is ever answered. */
export function triedLook(
  { situation }: { readonly situation: Situation },
  id: string
): Observation | undefined {
  const cause = situation.causes.find((candidate) => triedId(candidate.id) === id);
  return cause && cause.kind !== 'something-else' ? lookAfter(situation, cause) : undefined;
}

function lookAfter(situation: Situation, cause: Cause): Observation {
  return {
    id: triedId(cause.id),
    ask: `You put this right: ${cause.says}. What then?`,
    how: 'Power on, and watch for a minute.',
    place: wallPlace(situation.wiring),
    power: 'on',
    needs: 'eyes',
    call: null,
    // A minute to watch, and two for the remedy itself.
    minutes: 3,
    answers: WHAT_THEN,
    chances: chancesOf(
      situation,
      WHAT_THEN,
      (_, mine) => Number(mine.length === 1 && mine[0] === cause),
      TRIED_ERRS
    ),
    volts: null
  };
}
