/** Single mistakes on a wiring, by what they would do: harm, show at the tests, or show in nothing. Read off the fault table. */
import { callName } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import { FLAGS, loadRuns, sameRuns, type FaultTable } from './fault-table';

export interface Mistake {
  readonly id: string;
  readonly says: string;
  readonly harms: boolean;
  /** What one would see, in words; empty where nothing shows. */
  readonly shows: readonly string[];
}

export interface MistakeCounts {
  readonly all: number;
  readonly harming: number;
  /** Would do no harm, and would be seen at power-up or at the tests of the calls. */
  readonly noticed: number;
  readonly hidden: number;
}

/** Harmful ones first, those that nothing shows last. */
export function mistakesOf(table: FaultTable): Mistake[] {
  return table.faults
    .map((fault, at) => mistakeOf(table, at, fault))
    .sort(
      (a, b) =>
        Number(b.harms) - Number(a.harms) || Number(a.shows.length === 0) - Number(b.shows.length === 0)
    );
}

export function countMistakes(mistakes: readonly Mistake[]): MistakeCounts {
  const harming = mistakes.filter((mistake) => mistake.harms).length;
  const hidden = mistakes.filter((mistake) => !mistake.harms && mistake.shows.length === 0).length;
  return { all: mistakes.length, harming, hidden, noticed: mistakes.length - harming - hidden };
}

function mistakeOf(table: FaultTable, at: number, fault: FaultTable['faults'][number]): Mistake {
  const width = table.calls.length;
  const shows = new Set<string>();
  let harms = false;
  for (let call = 0; call < width; call += 1) {
    const cell = (at + 1) * width + call;
    const flags = table.flags[cell] ?? 0;
    const noAir = withoutAir(table, cell);
    harms ||= (flags & (FLAGS.fuseOpen | FLAGS.overloaded)) > 0 || noAir;
    if (flags & FLAGS.fuseOpen) shows.add('a fuse opens');
    else if (flags & FLAGS.overloaded) shows.add('a transformer is overloaded');
    else if (noAir) shows.add('a machine runs without its blower');
    else if (!sameRuns(table, cell, call))
      shows.add(`${callName(table.calls[call] ?? 'idle')} does not do what it should`);
    if (isDark(table, cell) && !isDark(table, call)) shows.add('the display is dark');
  }
  return { id: fault.id, says: fault.says, harms, shows: [...shows] };
}

/** Below the window of the thermostat. */
function isDark({ volts, windowMin }: FaultTable, cell: number): boolean {
  return windowMin !== null && (volts[cell] ?? NaN) < windowMin;
}

function withoutAir(table: FaultTable, cell: number): boolean {
  const { loads } = table;
  const on = (load: LoadId) => loads.includes(load) && loadRuns(table, cell, loads.indexOf(load));
  return loads.includes('blower') && !on('blower') && (on('compressor') || on('strips') || on('burner'));
}
