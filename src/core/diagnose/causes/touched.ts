/** What the steps of this job have touched: what they could have caused counts for more. */
import type { LogEntry } from '../../job/log-schema';
import type { FaultHit, FaultKind } from '../types';
import type { UnseenKind } from './types';

export interface Touched {
  readonly strands: ReadonlySet<string>;
  /** Jumpers were put in or taken out. */
  readonly jumpers: boolean;
  /** Power was switched. */
  readonly power: boolean;
  /** A thermostat was mounted. */
  readonly head: boolean;
}

export const UNTOUCHED: Touched = {
  strands: new Set(),
  jumpers: false,
  power: false,
  head: false
};

/** `done`: entries that stand, in their order. */
export function touchedBy(done: readonly Pick<LogEntry, 'act' | 'change'>[]): Touched {
  const changes = done.flatMap(({ change }) => change ?? []);
  return {
    strands: new Set(changes.flatMap((change) => (change.kind === 'end' ? [change.strand] : []))),
    jumpers: changes.some(({ kind }) => kind === 'link-on' || kind === 'link-off'),
    power: done.some(({ act }) => act.action === 'power-off' || act.action === 'power-on'),
    head: done.some(({ act }) => act.action === 'mount')
  };
}

/** Faults of the hands: a wire, a jumper, the cover's switch, a fuse after a slip. A coil or a transformer does not mind who was there. */
export function isTouched(touched: Touched, kind: FaultKind, hits: FaultHit): boolean {
  switch (kind) {
    case 'conductor-loose':
    case 'conductor-nicked':
    case 'conductors-swapped':
    case 'wrong-terminal':
    case 'short-to-common':
    case 'conductors-shorted':
      return (hits.strands ?? []).some((strand) => touched.strands.has(strand));
    case 'link-missing':
    case 'link-left-in':
      return touched.jumpers || touched.head;
    case 'fuse-open':
    case 'supply-off':
    case 'switch-open':
      return touched.power;
    case 'head-not-seated':
      return touched.head;
    default:
      return false;
  }
}

/** A new thermostat is set up anew, and its timer begins with power. */
export function isTouchedUnseen(touched: Touched, kind: UnseenKind): boolean {
  if (kind === 'timer-counting') return touched.power || touched.head;
  return kind.startsWith('set-up') && touched.head;
}
