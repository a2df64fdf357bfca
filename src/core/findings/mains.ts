/**
 * What is said about mains heating controls, as facts. A table of its own, with its words in `words/mains-findings.ts`: who has no such controls
 * never loads it.
 */
import type { ContactKind, Layout, MainsFunction, MainsPart } from '../trade/mains';

/** Names are those of the record: devices, wires, screws as printed. */
export interface MainsParams {
  /** Nothing is recorded yet: which device is missing to say anything. */
  'mains-nothing-recorded': { readonly missing: readonly MainsPart[] };
  'mains-layout-open': { readonly layouts: readonly Layout[] };
  'mains-layout-disagrees': { readonly stated: string; readonly layout: Layout };
  'mains-end-unread': { readonly wire: string; readonly cable: string };
  'mains-screw-unread': { readonly device: string; readonly screw: string };
  'mains-wire-loose': { readonly wire: string; readonly cable: string };
  'mains-point-alone': { readonly wire: string; readonly screw: string };
  'mains-point-unexplained': { readonly screws: readonly string[] };
  'mains-colour-misleads': { readonly wire: string; readonly colour: string; readonly does: MainsFunction };
  'mains-spur-missing': Readonly<Record<string, never>>;
  'mains-boiler-input-unread': { readonly device: string };
  'mains-harm': {
    readonly harm: string;
    readonly at: readonly string[];
    readonly row: string | null;
    readonly today: boolean;
  };
  'mains-row-amiss': { readonly rows: readonly string[]; readonly count: number; readonly today: boolean };
  'mains-row-changes': { readonly rows: readonly string[]; readonly count: number };
  'mains-channels': { readonly needed: number; readonly channels: number };
  'mains-never-both': Readonly<Record<string, never>>;
  'mains-water-off-missing': Readonly<Record<string, never>>;
  'mains-water-off-needed': Readonly<Record<string, never>>;
  'mains-gravity-constant': Readonly<Record<string, never>>;
  'mains-gravity-mode-missing': Readonly<Record<string, never>>;
  'mains-volt-free-needed': { readonly contact: ContactKind };
  'mains-link-needed': { readonly channels: number };
  'mains-link-inside': { readonly channel: 'heating' | 'water' };
  'mains-contacts-mixed': Readonly<Record<string, never>>;
  'mains-earth-parked': Readonly<Record<string, never>>;
  'mains-earth-nowhere': Readonly<Record<string, never>>;
  'mains-grey-driven': { readonly number: string };
  'mains-wall-part-cable': Readonly<Record<string, never>>;
  'mains-amps': { readonly most: number; readonly drawn: number };
  'mains-order-differs': { readonly moved: readonly string[] };
  'mains-no-timer': Readonly<Record<string, never>>;
  'mains-no-room-thermostat': Readonly<Record<string, never>>;
  'mains-several-rooms': { readonly rooms: number };
  'mains-rooms-many': { readonly rooms: number; readonly most: number };
  'mains-room-open': { readonly device: string };
  'mains-no-meeting': { readonly device: string };
  'mains-terminal-shared': { readonly device: string; readonly screws: readonly string[] };
  'mains-timer-heating-unused': Readonly<Record<string, never>>;
  'mains-timer-in-line': Readonly<Record<string, never>>;
  'mains-cable-dead': { readonly cable: string };
  'mains-cable-reused': { readonly cable: string };
  'mains-joint-kept': { readonly screw: string };
  'mains-competent-only': Readonly<Record<string, never>>;
  'mains-two-supplies-off': { readonly supplies: readonly string[] };
  'mains-local-code': Readonly<Record<string, never>>;
  'mains-device-goes': { readonly device: string };
  'mains-layout-needed': Readonly<Record<string, never>>;
  'mains-not-proven': { readonly why: string };
}
export type MainsCode = keyof MainsParams;

export interface MainsFindingOf<C extends MainsCode> {
  readonly code: C;
  readonly level: 'stop' | 'warn' | 'note';
  readonly params: MainsParams[C];
  /** Ids of the devices, wires and answers that it comes from. */
  readonly because: readonly string[];
}
export type MainsFinding = { [C in MainsCode]: MainsFindingOf<C> }[MainsCode];

export function mainsFinding<C extends MainsCode>(
  level: MainsFinding['level'],
  code: C,
  params: MainsParams[C],
  because: readonly string[] = []
): MainsFinding {
  const made: MainsFindingOf<C> = { code, level, params, because };
  return made as unknown as MainsFinding;
}

const RANK = { stop: 0, warn: 1, note: 2 } as const;

/** Stops first; what says the same of the same things is said once. */
export function sortMains(findings: readonly MainsFinding[]): MainsFinding[] {
  const byKey = new Map(findings.map((finding) => [JSON.stringify([finding.code, finding.params]), finding]));
  return [...byKey.values()].sort((a, b) => RANK[a.level] - RANK[b.level]);
}
