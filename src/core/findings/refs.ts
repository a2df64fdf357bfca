/**
 * What a finding may rest on: something that was recorded, answered, read on a sheet, or solved. A reference says of what kind it is, so that
 * nobody takes an id apart to learn it.
 */
import type { PartName } from '../trade/parts';
import type { Call } from '../trade/calls';

/** Members of a job's lists, and the sheet of a thermostat, by their ids. */
export type ListedKind =
  'conductor' | 'cable' | 'link' | 'machine' | 'thermostat' | 'place' | 'found-end' | 'device';

/** A part of a device in the circuit: a transformer, a coil, a fuse. */
export interface PartRef {
  readonly kind: 'part';
  /** Id of its circuit element. */
  readonly id: string;
  /** Id of the device that it is in; null for what belongs to none. */
  readonly device: string | null;
  readonly part: PartName | null;
  /** The mark that it serves; null where it serves none. */
  readonly mark: string | null;
}

export type Ref =
  | { readonly kind: ListedKind; readonly id: string }
  | { readonly kind: 'screw'; readonly at: string; readonly screw: string }
  /** An answer to a question of `identify`, to a stop question, or in the survey. */
  | { readonly kind: 'observation' | 'stop' | 'survey'; readonly id: string }
  /** The answer on an outlet near the thermostat. */
  | { readonly kind: 'outlet' }
  /** A supply that has to be off. */
  | { readonly kind: 'supply'; readonly id: string }
  /** A call that was solved. */
  | { readonly kind: 'call'; readonly call: Call }
  | PartRef;

const listed =
  (kind: ListedKind) =>
  (id: string): Ref => ({ kind, id });

export const ref = {
  conductor: listed('conductor'),
  cable: listed('cable'),
  link: listed('link'),
  machine: listed('machine'),
  thermostat: listed('thermostat'),
  place: listed('place'),
  foundEnd: listed('found-end'),
  device: listed('device'),
  screw: (at: string, screw: string): Ref => ({ kind: 'screw', at, screw }),
  observation: (id: string): Ref => ({ kind: 'observation', id }),
  stop: (id: string): Ref => ({ kind: 'stop', id }),
  survey: (id: string): Ref => ({ kind: 'survey', id }),
  supply: (id: string): Ref => ({ kind: 'supply', id }),
  call: (call: Call): Ref => ({ kind: 'call', call }),
  outlet: { kind: 'outlet' } as Ref
} as const;

/** The reference as one word: for keys, and for reports that are read by scripts. */
export function refId(ref: Ref): string {
  switch (ref.kind) {
    case 'call':
      return `call:${ref.call}`;
    case 'observation':
      return `observed:${ref.id}`;
    case 'stop':
    case 'survey':
      return `${ref.kind}:${ref.id}`;
    case 'screw':
      return `${ref.at}.${ref.screw}`;
    case 'outlet':
      return 'outlet';
    default:
      return ref.id;
  }
}

/** The calls among what a finding rests on. */
export function callsIn(refs: readonly Ref[]): Call[] {
  return refs.flatMap((ref) => (ref.kind === 'call' ? [ref.call] : []));
}
