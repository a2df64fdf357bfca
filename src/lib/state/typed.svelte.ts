/** What is typed in a form with a button of its own: kept as it is typed, until the button is pressed and the form is empty again. */
import { onDestroy, untrack } from 'svelte';
import { browserTyped, fitted, type Checks, type TypedTexts } from '$storage/typed-text';
import { getPlace } from './context';

interface More<T> {
  /** Tells apart the forms of one kind. */
  readonly part?: () => string;
  readonly checks?: Checks<T>;
}

/** A form of the open thermostat, empty or as it was left. Called while a component is made. */
export function typedHere<T extends object>(form: string, empty: T, { part, checks }: More<T> = {}): T {
  const place = getPlace();
  const name = () => [place.job.id, place.thermostat.id, form, part?.() ?? ''].filter(Boolean).join('/');
  return typedIn(name, empty, checks);
}

/** The same under a name of one's own. Another name brings what was typed under that. */
export function typedIn<T extends object>(name: () => string, empty: T, checks?: Checks<T>): T {
  const read = (of: string): T => fitted(empty, typedTexts().read(of), checks);
  let shown = name();
  const typed = $state(read(shown));
  const keep = () => {
    const now = $state.snapshot(typed);
    typedTexts().keep(shown, JSON.stringify(now) === JSON.stringify(empty) ? null : now);
  };
  $effect.pre(() => {
    const now = name();
    if (now === shown) return;
    untrack(keep);
    shown = now;
    Object.assign(typed, read(now));
  });
  $effect(keep);
  // A form may go in the moment of the last letter, which its field gives up as it goes.
  onDestroy(() => queueMicrotask(keep));
  forms.set(typed, () => {
    Object.assign(typed, structuredClone(empty));
    typedTexts().keep(shown, null);
  });
  return typed;
}

/** What empties each form, by what is typed in it. */
const forms = new WeakMap<object, () => void>();

/** Empties a form that was added, and lets go what was kept of it at once: the form may be gone, or another's, before the page is drawn anew. */
export function emptied(typed: object): void {
  forms.get(typed)?.();
}

let texts: TypedTexts | null = null;

function typedTexts(): TypedTexts {
  texts ??= browserTyped();
  return texts;
}
