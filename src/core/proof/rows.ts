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
  return own.filter((one) => {
    if (one.code === 'thermostat-unfed') return true;
    if (!('loads' in one.params)) return !known.has(subjectKey(one));
    const before = said.flatMap((other) =>
      other.code === one.code && 'loads' in other.params ? other.params.loads : []
    );
    return one.params.loads.some((load) => !before.includes(load));
  });
}

/** What a corner may take away: what does not hold with nominal values has been said already. */
export function holdsNominally(
  calls: readonly SolvedCall[],
  needsSupply: ProofInput['needsSupply']
): HoldsNominally {
  const of = (call: Call) => calls.find((one) => one.call === call);
  return {
    fed: (call) => needsSupply !== 'dozes' && asksIn(needsSupply, call) && of(call)?.row.fedAfter === true,
    runs: (call, load) => of(call)?.row.after.includes(load) === true,
    carried: (call, supply) => {
      const solved = of(call);
      const results = solved ? [...solved.cases, ...(solved.crowd ? [solved.crowd] : [])] : [];
      const own = results.flatMap((one) => one.supplies.filter((it) => it.id === supply));
      return own.every((one) => !one.fuseOpen && one.amps <= one.ratedAmps);
    }
  };
}

export function nominalRow({ call, was, cases, crowd }: Omit<SolvedCall, 'row' | 'solves'>): NominalRow {
  const before = running(was.loads);
  const always = cases
    .map((one) => running(one.loads))
    .reduce((common, one) => common.filter((load) => one.includes(load)));
  const ever = new Set(cases.flatMap((one) => running(one.loads)));
  const all = [...cases, ...(crowd ? [crowd] : [])];
  const own = new Set(cases.flatMap((one) => one.feeds.map((feed) => feed.device)));
  const crowded = crowd?.feeds.filter((one) => own.has(one.device)) ?? [];
  const volts = [...cases.map((one) => one.thermostatVolts), ...crowded.map((one) => one.volts)].filter(
    (one): one is number => one !== null
  );
  const fed = [...cases.map((one) => one.thermostatFed), ...crowded.map((one) => one.fed)];
  const over = [...cases.flatMap((one) => one.feeds), ...crowded].flatMap((feed) =>
    feed.volts > feed.max ? [feed.volts] : []
  );
  const supplies = all.flatMap((one) => one.supplies);
  return {
    call,
    before,
    after: always,
    lost: before.filter((load) => !always.includes(load)),
    gained: [...ever].filter((load) => !before.includes(load)),
    voltsBefore: was.thermostatVolts,
    voltsAfter: volts.length > 0 ? Math.min(...volts) : null,
    fedAfter: fed.includes(false) ? false : (fed[0] ?? null),
    voltsOver: over.length > 0 ? Math.max(...over) : null,
    vaBefore: mostVa([was]),
    vaAfter: mostVa(all),
    loadShare: Math.max(0, ...supplies.map((one) => one.amps / one.ratedAmps)),
    fuse: nearestFuse(supplies)
  };
}

function nearestFuse(supplies: readonly SupplyResult[]): ProofRow['fuse'] {
  const fuses = supplies.flatMap((one) =>
    one.fuseRating === null
      ? []
      : [{ amps: one.fuseAmps ?? one.amps, rating: one.fuseRating, open: one.fuseOpen }]
  );
  return fuses.reduce<ProofRow['fuse']>(
    (worst, one) => (worst && worst.amps / worst.rating >= one.amps / one.rating ? worst : one),
    null
  );
}

function mostVa(results: readonly CallResult[]): number {
  return Math.max(0, ...results.flatMap((one) => one.supplies.map((supply) => supply.va)));
}
