/**
 * As found, now, as planned. What was found stays what it is; what has been done is a log of changes, and the house as it is now is the
 * one with the other. An entry that no longer fits, since the record was put right, is left out and told.
 */
import { nextId, type LogId } from '../job/ids';
import type { Act, LogEntry } from '../job/log-schema';
import { applyChange, fits, reverseChange, type Change } from './difference';
import { terminalAt, type Wiring } from './graph';

export interface Now {
  readonly wiring: Wiring;
  /** Entries that stand: done, not taken back since, and fitting; in the order in which they were done. */
  readonly done: readonly LogEntry[];
  /** Entries whose change does not fit the record as it is. */
  readonly misfits: readonly LogEntry[];
}

/** Found with everything that was done, in the order of the log. */
export function nowOf(found: Wiring, log: readonly LogEntry[]): Now {
  let wiring = found;
  let done: LogEntry[] = [];
  const misfits: LogEntry[] = [];
  for (const entry of log) {
    if (entry.change !== null && !fits(wiring, entry.change)) {
      misfits.push(entry);
      continue;
    }
    if (entry.change !== null) wiring = applyChange(wiring, entry.change);
    done =
      entry.undoes === null ? [...done, entry] : done.filter((candidate) => candidate.id !== entry.undoes);
  }
  return { wiring, done, misfits };
}

/** What is done next: an act, with the change that it makes. */
export interface Doing {
  readonly act: Act;
  readonly change: Change | null;
}

/** The entries that write this down; `at` ISO time. */
export function entriesFor(log: readonly LogEntry[], doings: readonly Doing[], at: string): LogEntry[] {
  const taken: string[] = log.map((entry) => entry.id);
  return doings.map(({ act, change }) => {
    const id = nextId('log', taken);
    taken.push(id);
    return { id, at, act, change, undoes: null };
  });
}

/**
 * The entries that take one back, with whatever was done since that would no longer fit without it, the last first. Nothing where it does
 * not stand.
 */
export function entriesTakingBack(
  found: Wiring,
  log: readonly LogEntry[],
  id: LogId,
  at: string
): LogEntry[] {
  const { done } = nowOf(found, log);
  const from = done.findIndex((entry) => entry.id === id);
  const wanted = done[from];
  if (!wanted) return [];
  const back: LogEntry[] = [wanted];
  for (const entry of done.slice(from + 1)) if (needsOne(found, log, entry, back)) back.push(entry);
  const taken: string[] = log.map((entry) => entry.id);
  return back.reverse().map((entry) => {
    const own = nextId('log', taken);
    taken.push(own);
    return {
      id: own,
      at,
      act: { ...entry.act, from: entry.act.to, to: entry.act.from },
      change: entry.change === null ? null : reverseChange(entry.change),
      undoes: entry.id
    };
  });
}

/** Whether an entry hangs on one of those before it: the same end, link or device, or an end on a device that they brought. */
function needsOne(
  found: Wiring,
  log: readonly LogEntry[],
  entry: LogEntry,
  before: readonly LogEntry[]
): boolean {
  const { change } = entry;
  if (change === null) return false;
  const own = touched(found, log, change);
  return before.some(
    (candidate) =>
      candidate.change !== null && touched(found, log, candidate.change).some((it) => own.includes(it))
  );
}

/** What a change touches, by names that are told apart from each other. */
function touched(found: Wiring, log: readonly LogEntry[], change: Change): string[] {
  switch (change.kind) {
    case 'end': {
      const devices = [change.from, change.to].flatMap((entry) => {
        if (entry.state !== 'landed' || terminalAt(found, entry.terminal)) return [];
        const own = broughtBy(log, entry.terminal);
        return own === undefined ? [] : [`device ${own}`];
      });
      return [`end ${change.strand} ${change.side}`, `strand ${change.strand}`, ...devices];
    }
    case 'link-on':
    case 'link-off':
      return [`link ${change.link.id}`];
    case 'device-on':
    case 'device-off':
      return [`device ${change.device.id}`];
    case 'transformer':
      return [`transformer ${change.device}`];
    case 'cable-in':
    case 'cable-out':
      return [`cable ${change.cable.id}`, ...change.strands.map((strand) => `strand ${strand.id}`)];
  }
}

function broughtBy(log: readonly LogEntry[], terminal: string): string | undefined {
  for (const { change } of log)
    if (change?.kind === 'device-on' && change.device.screws.some((screw) => screw.id === terminal))
      return change.device.id;
  return undefined;
}
