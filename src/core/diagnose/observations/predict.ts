/** From what each hypothesis would show to the chance of each answer. */
import type { Call } from '../../trade/calls';
import type { LoadId } from '../../trade/vocabulary';
import type { Cause, CauseKind, Hypothesis } from '../causes/types';
import { FLAGS, loadRuns } from '../fault-table';
import { EYE_ERRS, type Answer, type Situation } from './types';

/** An answer by its number, or null where a hypothesis says nothing of it. */
export type Predicts = (hypothesis: Hypothesis, causes: readonly Cause[]) => number | null;

/** Chances by answer and hypothesis; `errs`: how often somebody answers otherwise than it is. */
export function chancesOf(
  { causes, list }: Situation,
  answers: readonly Answer[],
  predicts: Predicts,
  errs = EYE_ERRS
): Float32Array[] {
  const chances = answers.map(() => new Float32Array(list.length));
  const flat = 1 / answers.length;
  list.forEach((hypothesis, at) => {
    const mine = hypothesis.causes.map((cause) => causes[cause]!);
    // What is in no list shows itself in any way.
    const said = has(mine, 'something-else') ? null : predicts(hypothesis, mine);
    for (let answer = 0; answer < answers.length; answer += 1)
      chances[answer]![at] =
        said === null ? flat : answer === said ? 1 - errs : errs / Math.max(1, answers.length - 1);
  });
  return chances;
}

export function has(causes: readonly Cause[], kind: CauseKind): boolean {
  return causes.some((cause) => cause.kind === kind);
}

/** The cell of a hypothesis in a call; -1 for a call that the table does not have. */
export function cellOf({ table }: Situation, { row }: Hypothesis, call: Call): number {
  const at = table.calls.indexOf(call);
  return at < 0 ? -1 : row * table.calls.length + at;
}

export type Display = 'lit' | 'dim' | 'dark';

/** Below this share of its window a display is dark; above it, it dims, or starts again and again. */
const DARK_BELOW = 0.7;

/** What the display of the thermostat shows with nothing called and all fuses whole. */
export function displayOf(situation: Situation, hypothesis: Hypothesis, causes: readonly Cause[]): Display {
  const { table } = situation;
  if (table.windowMin === null) return has(causes, 'batteries-empty') ? 'dark' : 'lit';
  const volts = table.volts[cellOf(situation, hypothesis, 'idle')] ?? NaN;
  if (!(volts >= table.windowMin * DARK_BELOW)) return 'dark';
  return volts < table.windowMin ? 'dim' : 'lit';
}

/** A short that only a call makes has opened the fuse once that call was made: nobody knows whether it was. */
export function opensInACall({ table }: Situation, { row }: Hypothesis): boolean {
  return table.calls.some(
    (call, at) =>
      call !== 'idle' && ((table.flags[row * table.calls.length + at] ?? 0) & FLAGS.fuseOpen) !== 0
  );
}

/** Whether a load runs in a call, with what no wire shows counted in; null where nobody can say. */
export function runsIn(
  situation: Situation,
  hypothesis: Hypothesis,
  causes: readonly Cause[],
  call: Call,
  load: LoadId
): boolean | null {
  const { table, world } = situation;
  const cell = cellOf(situation, hypothesis, call);
  const number = table.loads.indexOf(load);
  if (cell < 0 || number < 0) return null;
  if (call !== 'idle') {
    // A thermostat that is dark, or starts anew again and again, calls for nothing.
    if (displayOf(situation, hypothesis, causes) !== 'lit') return false;
    if (has(causes, 'machine-fault') || has(causes, 'set-up-system')) return null;
    if (has(causes, 'timer-counting') && COMPRESSORS.includes(load)) return false;
    if (has(causes, 'set-up-stages') && LATER_CALLS.includes(call)) return false;
    if (has(causes, 'set-up-supplies') && call.startsWith('cool')) return false;
    if (
      has(causes, 'set-up-fan') &&
      load === 'blower' &&
      call.startsWith('heat') &&
      world.blowerInHeat === 'g'
    )
      return false;
  }
  return loadRuns(table, cell, number);
}

const COMPRESSORS: readonly LoadId[] = ['compressor', 'compressor2'];
const LATER_CALLS: readonly Call[] = ['heat2', 'cool2', 'aux'];

/** What the sound wiring runs in a call. */
export function soundRuns({ table }: Situation, call: Call): readonly LoadId[] {
  const at = table.calls.indexOf(call);
  return at < 0 ? [] : table.loads.filter((_, load) => loadRuns(table, at, load));
}
