/** What a proof says: harm, losses, starved electronics and dips, in sentences, each with the call that it rests on. */
import { expectedLoads } from '../circuit/expected';
import type { CallResult } from '../circuit/simulate';
import { caseName, type World } from '../devices/world';
import { LOAD_NAMES } from '../trade/loads';
import { finding, type Finding } from '../trade/findings';
import { callName, type Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import { harmFindings } from './harm';
import type { NominalRow, ProofInput } from './prove';

/** Whether the device has to be fed in a call. */
export function asksIn(needsSupply: ProofInput['needsSupply'], call: Call): boolean {
  return needsSupply === 'idle' ? call === 'idle' : needsSupply !== 'never';
}

/** What harms in any case of polarity and bonding, said once for each kind of harm, of the case in which most current flows. */
export function worstHarm(cases: readonly CallResult[]): Finding[] {
  const amps = (one: CallResult) =>
    Math.max(0, ...one.supplies.map((supply) => Math.max(supply.amps, supply.fuseAmps ?? 0)));
  const found = new Map<string, { finding: Finding; amps: number; count: number; says: string }>();
  for (const one of cases) {
    for (const harm of harmFindings(one)) {
      const key = `${harm.code} ${harm.because.join(' ')}`;
      const known = found.get(key);
      const count = (known?.count ?? 0) + 1;
      if (known && known.amps >= amps(one)) found.set(key, { ...known, count });
      else found.set(key, { finding: harm, amps: amps(one), count, says: caseName(one.supplyCase) });
    }
  }
  return [...found.values()].map(({ finding: harm, count, says }) =>
    count === cases.length ? harm : { ...harm, text: `${harm.text} (Worst case: ${says}.)` }
  );
}

/** A dip at pull-in is said only where it is new: a house that works today pulls its coils in today. */
export function dipFindings(was: CallResult, cases: readonly CallResult[]): Finding[] {
  const weak = [...new Set(cases.flatMap((one) => one.inrush.weak))].filter(
    (id) => !was.inrush.weak.includes(id)
  );
  if (weak.length === 0) return [];
  const text = `With ${callName(was.call)}, all coils pull in at once and one of them gets less than it needs to move: it may hum instead.`;
  return [finding('warn', 'inrush-dip', text, [...weak, `call:${was.call}`])];
}

export function unsolvable(
  failure: { readonly reason: string; readonly at: string; readonly why: string },
  world: World
): Finding {
  return failure.reason === 'no-model'
    ? finding(
        'stop',
        'no-circuit',
        `No circuit is known for ${world.says}: nothing can be proven for it.`,
        []
      )
    : finding('stop', 'circuit-not-solvable', `The circuit cannot be solved: ${failure.why}.`, [failure.at]);
}

interface Crowded {
  readonly cases: readonly CallResult[];
  /** With the neighbours calling at once; null where there are none. */
  readonly crowd: CallResult | null;
}

/** What breaks only when all thermostats on a machine call at once. */
export function crowdFindings({ crowd, cases }: Crowded, thermostats: number): Finding[] {
  if (crowd === null) return [];
  const key = (one: Finding) => `${one.code} ${one.because[0] ?? ''}`;
  const alone = new Set(cases.flatMap((one) => harmFindings(one)).map(key));
  return harmFindings(crowd)
    .filter((one) => one.code === 'fuse-opens' || one.code === 'transformer-overloaded')
    .filter((one) => !alone.has(key(one)))
    .map((one) => ({
      ...one,
      code: 'overloaded-together',
      text: `${one.text} (All ${thermostats} thermostats on it call at once.)`
    }));
}

function names(loads: readonly LoadId[]): string {
  return loads.map((load) => LOAD_NAMES[load]).join(', ');
}

export function rowFindings(
  row: NominalRow,
  world: World,
  needsSupply: ProofInput['needsSupply']
): Finding[] {
  const found: Finding[] = [];
  const expected = expectedLoads(row.call, world);
  if (row.lost.length > 0) {
    const level = row.call === 'fan' ? 'warn' : 'stop';
    const text = `${capitalCall(row.call)} is lost: ${names(row.lost)} no longer ${row.lost.length > 1 ? 'run' : 'runs'}.`;
    found.push(finding(level, 'function-lost', text, [`call:${row.call}`]));
  }
  const dead = expected.filter((load) => !row.before.includes(load));
  if (dead.length > 0) {
    const text = `In the record as it is, ${callName(row.call)} does not start: ${names(dead)}. If it works in the house, an end was read wrongly.`;
    found.push(finding('warn', 'dead-before', text, [`call:${row.call}`]));
  }
  const uncalled = row.gained.filter((load) => !expected.includes(load));
  if (uncalled.length > 0) {
    found.push(
      finding(
        'stop',
        'load-runs-uncalled',
        `With ${callName(row.call)}, ${names(uncalled)} would run though nobody called for it.`,
        [`call:${row.call}`]
      )
    );
  }
  if (asksIn(needsSupply, row.call) && row.fedAfter !== true) {
    const volts = row.voltsAfter === null ? 'nothing' : `${row.voltsAfter.toFixed(1)} V`;
    const high = row.voltsAfter !== null && row.voltsAfter > 30;
    const text = `With ${callName(row.call)}, the thermostat gets ${volts} at its own terminals: ${high ? 'more than it stands' : 'its display dies'}.`;
    found.push(
      finding(
        needsSupply === 'dozes' ? 'warn' : 'stop',
        high ? 'thermostat-overfed' : 'thermostat-unfed',
        text,
        [`call:${row.call}`]
      )
    );
  }
  return found;
}

function capitalCall(call: Call): string {
  const name = callName(call);
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** "Dead in every call" is one sentence, not one for each call. */
export function foldSupply(findings: readonly Finding[]): Finding[] {
  const unfed = findings.filter((one) => one.code === 'thermostat-unfed');
  const [first] = unfed;
  if (!first || unfed.length < 2) return [...findings];
  const because = unfed.flatMap((one) => one.because);
  const text = `The thermostat gets too little at its own terminals in ${unfed.length} calls (${because.map((id) => callName(id.replace('call:', '') as Call)).join(', ')}): its display dies.`;
  return [{ ...first, text, because }, ...findings.filter((one) => one.code !== 'thermostat-unfed')];
}
