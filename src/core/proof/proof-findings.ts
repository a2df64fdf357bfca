/** What a proof says: harm, losses and starved electronics, in sentences, each with the call that it rests on. */
import { asMetered } from '../trade/figures';
import { type Ref, ref, refId } from '../findings/refs';
import { expectedLoads, uncalledIn } from '../circuit/expected';
import type { CallResult } from '../circuit/simulate';
import { caseName, type World } from '../devices/world';
import { finding, type Finding, subjectKey } from '../findings/finding';
import type { Call } from '../trade/calls';
import { harmFindings } from './harm';
import type { NominalRow, ProofInput } from './types';

/** Whether the device has to be fed in a call. */
export function asksIn(needsSupply: ProofInput['needsSupply'], call: Call): boolean {
  return needsSupply === 'idle' ? call === 'idle' : needsSupply !== 'never';
}

/** What harms in any case of polarity and bonding, said once for each kind of harm, of the case in which most current flows. */
export function worstHarm(cases: readonly CallResult[]): Finding[] {
  const amps = (result: CallResult) =>
    Math.max(0, ...result.supplies.map((supply) => Math.max(supply.amps, supply.fuseAmps ?? 0)));
  const found = new Map<string, { finding: Finding; amps: number; count: number; says: string }>();
  for (const result of cases) {
    for (const harm of harmFindings(result)) {
      const key = `${harm.code} ${harm.because.map(refId).join(' ')}`;
      const known = found.get(key);
      const count = (known?.count ?? 0) + 1;
      if (known && known.amps >= amps(result)) found.set(key, { ...known, count });
      else found.set(key, { finding: harm, amps: amps(result), count, says: caseName(result.supplyCase) });
    }
  }
  return [...found.values()].map(({ finding: harm, count, says }) =>
    count === cases.length ? harm : { ...harm, supplyCase: says }
  );
}

export function unsolvable(
  failure: { readonly reason: string; readonly at: string; readonly why: string },
  world: World
): Finding {
  if (failure.reason === 'no-model') return finding('stop', 'no-circuit', { system: world.says });
  const part: Ref = { kind: 'part', id: failure.at, device: null, part: null, mark: null };
  return finding('stop', 'circuit-not-solvable', { why: failure.why }, [part]);
}

interface Crowded {
  readonly cases: readonly CallResult[];
  /** With the neighbours calling at once; null where there are none. */
  readonly crowd: CallResult | null;
}

/** What breaks only when all thermostats on a machine call at once. */
export function crowdFindings({ crowd, cases }: Crowded, thermostats: number): Finding[] {
  if (crowd === null) return [];
  const alone = new Set(cases.flatMap((result) => harmFindings(result)).map(subjectKey));
  return harmFindings(crowd).flatMap((harmFinding) => {
    if (harmFinding.code !== 'fuse-opens' && harmFinding.code !== 'transformer-overloaded') return [];
    if (alone.has(subjectKey(harmFinding))) return [];
    return [
      finding(
        harmFinding.level,
        'overloaded-together',
        { ...harmFinding.params, thermostats },
        harmFinding.because
      )
    ];
  });
}

const meteredOrNull = (volts: number | null) => (volts === null ? null : asMetered(volts, 0.1));

export function rowFindings(
  row: NominalRow,
  world: World,
  needsSupply: ProofInput['needsSupply']
): Finding[] {
  const found: Finding[] = [];
  const { call } = row;
  const because = [ref.call(call)];
  const expected = expectedLoads(call, world);
  // What ran uncalled and no longer does is no loss.
  const wrong = uncalledIn(row.lost, call, world);
  const lost = row.lost.filter((load) => !wrong.includes(load));
  if (lost.length > 0) {
    const level = row.call === 'fan' ? 'warn' : 'stop';
    found.push(finding(level, 'function-lost', { call, loads: lost }, because));
  }
  const dead = expected.filter((load) => !row.before.includes(load));
  const stays = dead.filter((load) => !row.after.includes(load));
  if (stays.length > 0) found.push(finding('warn', 'dead-before', { call, loads: stays }, because));
  const works = dead.filter((load) => row.after.includes(load));
  if (works.length > 0) found.push(finding('note', 'made-to-work', { call, loads: works }, because));
  // What runs uncalled today is no yardstick: it must not run afterwards either.
  const uncalled = [
    ...new Set([
      ...row.gained.filter((load) => !expected.includes(load)),
      ...uncalledIn(row.ever, call, world)
    ])
  ];
  if (uncalled.length > 0) {
    found.push(finding('stop', 'load-runs-uncalled', { call, loads: uncalled }, because));
  }
  if (asksIn(needsSupply, row.call) && row.fedAfter !== true) {
    const level = needsSupply === 'dozes' ? 'warn' : 'stop';
    found.push(
      row.voltsOver !== null
        ? finding(level, 'thermostat-overfed', { call, volts: asMetered(row.voltsOver, 0.1) }, because)
        : finding(level, 'thermostat-unfed', { calls: [call], volts: meteredOrNull(row.voltsAfter) }, because)
    );
  }
  return found;
}

/** "Dead in every call" is one sentence, not one for each call. */
export function foldSupply(findings: readonly Finding[]): Finding[] {
  const unfed = findings.flatMap((finding) => (finding.code === 'thermostat-unfed' ? [finding] : []));
  const [first] = unfed;
  if (!first || unfed.length < 2) return [...findings];
  const because = unfed.flatMap((findingOf) => findingOf.because);
  const calls = unfed.flatMap((findingOf) => findingOf.params.calls);
  return [
    finding(first.level, 'thermostat-unfed', { calls, volts: null }, because),
    ...findings.filter((candidate) => candidate.code !== 'thermostat-unfed')
  ];
}
