/** Rows of a proof, and what holds with nominal values: read off solved calls, nothing is solved here. */
import { running } from '../circuit/expected';
import type { CallResult, SupplyResult } from '../circuit/simulate';
import { subjectKey, type Finding } from '../findings/finding';
import type { Call } from '../trade/calls';
import type { HoldsNominally } from './limit-findings';
import type { NominalCall } from './limits';
import { asksIn } from './proof-findings';
import type { NominalRow, ProofInput, ProofRow } from './types';

/** One call with nominal values: as it is, in every case of supplies, and with all neighbours calling at once. */
export interface SolvedCall extends NominalCall {
  readonly row: NominalRow;
  readonly solves: number;
}

/** Of a call that asks for several things at once: what none of them did by itself. */
export function newWith(own: readonly Finding[], said: readonly Finding[]): Finding[] {
  const known = new Set(said.map(subjectKey));
  return own.filter((finding) => {
    if (finding.code === 'thermostat-unfed') return true;
    if (!('loads' in finding.params)) return !known.has(subjectKey(finding));
    const before = said.flatMap((other) =>
      other.code === finding.code && 'loads' in other.params ? other.params.loads : []
    );
    return finding.params.loads.some((load) => !before.includes(load));
  });
}

/** What a corner may take away: what does not hold with nominal values has been said already. */
export function holdsNominally(
  calls: readonly SolvedCall[],
  needsSupply: ProofInput['needsSupply']
): HoldsNominally {
  const of = (call: Call) => calls.find((solvedCall) => solvedCall.call === call);
  return {
    fed: (call) => needsSupply !== 'dozes' && asksIn(needsSupply, call) && of(call)?.row.fedAfter === true,
    runs: (call, load) => of(call)?.row.after.includes(load) === true,
    carried: (call, supply) => {
      const solved = of(call);
      const results = solved ? [...solved.cases, ...(solved.crowd ? [solved.crowd] : [])] : [];
      const own = results.flatMap((result) => result.supplies.filter((it) => it.id === supply));
      return own.every(
        (supplyResult) => !supplyResult.fuseOpen && supplyResult.amps <= supplyResult.ratedAmps
      );
    }
  };
}

export function nominalRow({ call, was, cases, crowd }: Omit<SolvedCall, 'row' | 'solves'>): NominalRow {
  const before = running(was.loads);
  const always = cases
    .map((result) => running(result.loads))
    .reduce((common, loads) => common.filter((load) => loads.includes(load)));
  const ever = new Set(cases.flatMap((result) => running(result.loads)));
  const all = [...cases, ...(crowd ? [crowd] : [])];
  const own = new Set(cases.flatMap((result) => result.feeds.map((feed) => feed.device)));
  const crowded = crowd?.feeds.filter((feed) => own.has(feed.device)) ?? [];
  const volts = [
    ...cases.map((result) => result.thermostatVolts),
    ...crowded.map((feed) => feed.volts)
  ].filter((candidate): candidate is number => candidate !== null);
  const fed = [...cases.map((result) => result.thermostatFed), ...crowded.map((feed) => feed.fed)];
  const over = [...cases.flatMap((result) => result.feeds), ...crowded].flatMap((feed) =>
    feed.volts > feed.max ? [feed.volts] : []
  );
  const supplies = all.flatMap((result) => result.supplies);
  return {
    call,
    before,
    after: always,
    ever: [...ever],
    lost: before.filter((load) => !always.includes(load)),
    gained: [...ever].filter((load) => !before.includes(load)),
    voltsBefore: was.thermostatVolts,
    voltsAfter: volts.length > 0 ? Math.min(...volts) : null,
    fedAfter: fed.includes(false) ? false : (fed[0] ?? null),
    voltsOver: over.length > 0 ? Math.max(...over) : null,
    vaBefore: mostVa([was]),
    vaAfter: mostVa(all),
    loadShare: Math.max(0, ...supplies.map((supply) => supply.amps / supply.ratedAmps)),
    fuse: nearestFuse(supplies)
  };
}

function nearestFuse(supplies: readonly SupplyResult[]): ProofRow['fuse'] {
  const fuses = supplies.flatMap((supply) =>
    supply.fuseRating === null
      ? []
      : [{ amps: supply.fuseAmps ?? supply.amps, rating: supply.fuseRating, open: supply.fuseOpen }]
  );
  return fuses.reduce<ProofRow['fuse']>(
    (worst, fuse) => (worst && worst.amps / worst.rating >= fuse.amps / fuse.rating ? worst : fuse),
    null
  );
}

function mostVa(results: readonly CallResult[]): number {
  return Math.max(0, ...results.flatMap((result) => result.supplies.map((supply) => supply.va)));
}
