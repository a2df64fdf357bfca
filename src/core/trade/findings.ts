/** What the product says about a house: one record for every remark, warning and stop, with the facts it rests on. */

export type FindingLevel = 'stop' | 'warn' | 'note';

/** Every code that a finding may carry; a code keeps its meaning for good, so that files and scripts can rely on it. */
export const FINDING_CODES = [
  // the record
  'duplicate-id',
  'too-many',
  'landed-twice',
  'landed-nowhere',
  'on-terminal-but-not-landed',
  'link-to-itself',
  'link-doubled',
  'unknown-reference',
  'unknown-mark',
  'unknown-observation',
  'terminal-shared',
  'chosen-device-missing',
  // the system
  'line-voltage',
  'voltage-class-unsettled',
  'system-unknown',
  'system-unsettled',
  'evidence-disagrees',
  'stated-against-evidence',
  'data-conductors',
  'millivolt',
  'mains-controls',
  'mark-ambiguous',
  'mark-not-explained',
  'ends-not-matched',
  'leave-alone',
  'common-not-traced',
  'common-traces-disagree',
  'trait-undecided',
  // making safe
  'stop-answered',
  'stop-not-asked',
  'supply-not-off',
  'proves-nothing',
  'off-long-ago',
  'mercury',
  // before buying
  'signal-poor',
  'signal-marginal',
  'signal-not-read',
  'no-internet',
  'pays-nothing',
  'pay-back-long',
  'pays-back',
  'wall-work',
  'drying-too-long',
  'old-one-broken',
  'cooling-test-put-off',
  'frail-people',
  'pipes-can-freeze',
  'accessory-relay',
  'path-stapled',
  'gauge-too-thin',
  'house-not-known',
  'house-facts-doubtful',
  // the match
  'needs-common',
  'supply-not-proven',
  'missing-terminal',
  'too-few-stages',
  'no-heat-pump',
  'no-cooling-outputs',
  'link-must-suit-supplies',
  'wrong-voltage-class',
  'marks-for-other-class',
  // the methods
  'no-common-found',
  'common-one-ended',
  'end-not-read',
  'no-spare',
  'spare-one-ended',
  'continuity-not-proven',
  'continuity-broken',
  'board-mark-missing',
  'device-has-no-common',
  'fan-conductor-missing',
  'not-for-this-family',
  'fan-cannot-be-kept',
  'local-code',
  'no-outlet',
  'outlet-not-known',
  'rails-not-separable',
  'cord-on-wall',
  'cord-not-in-wall',
  'cable-stapled',
  'cable-path-unknown',
  'hidden-splice',
  'device-needs-no-common',
  'device-needs-supply',
  'keep-the-old',
  'call-licensed-person',
  'terminal-moved',
  'second-supply-off',
  'device-has-no-combined',
  'device-has-no-receiver',
  'adapter-mounting',
  'adapter-ends-agree',
  'adapter-not-for-this',
  'room-behind-plate',
  'more-joints',
  'radio-must-reach',
  'cable-too-few',
  // the proof
  'thermostat-unfed',
  'thermostat-overfed',
  'function-lost',
  'dead-before',
  'compressor-without-blower',
  'strips-without-blower',
  'burner-without-blower',
  'fuse-opens',
  'transformer-overloaded',
  'supplies-tied',
  'relay-chatter',
  'coil-starved',
  'inrush-dip',
  'load-runs-uncalled',
  'no-circuit',
  'values-assumed',
  'transformer-exchange',
  'overloaded-together',
  'volts-at-limits',
  'load-at-limits',
  'overloaded-at-limits',
  'transformer-unread',
  'device-may-complain',
  'old-adapter-in-line',
  'set-up',
  'link-to-be-cut',
  'accessory-output',
  'circuit-not-solvable',
  'supply-relationship-unknown'
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

export interface Finding {
  readonly code: FindingCode;
  readonly level: FindingLevel;
  /** The sentence shown, in the words of the hands. */
  readonly text: string;
  /** Ids of recorded facts (conductors, links, equipment, observations, devices) that it rests on. */
  readonly because: readonly string[];
  /** Where in the job's file the fact stands, for findings about the record itself. */
  readonly path?: string;
}

export function finding(
  level: FindingLevel,
  code: FindingCode,
  text: string,
  because: readonly string[] = [],
  path?: string
): Finding {
  return path === undefined ? { code, level, text, because } : { code, level, text, because, path };
}

const rank: Readonly<Record<FindingLevel, number>> = { stop: 0, warn: 1, note: 2 };

/** Stops first, then warnings, then notes; within a level as they came. Doubles of one sentence are dropped. */
export function sortFindings(findings: readonly Finding[]): Finding[] {
  const seen = new Set<string>();
  return findings
    .filter((one) => {
      const key = `${one.code} ${one.text}`;
      return !seen.has(key) && seen.add(key);
    })
    .sort((a, b) => rank[a.level] - rank[b.level]);
}

export function hasStop(findings: readonly Finding[]): boolean {
  return findings.some((one) => one.level === 'stop');
}

export function hasWarning(findings: readonly Finding[]): boolean {
  return findings.some((one) => one.level === 'warn');
}
