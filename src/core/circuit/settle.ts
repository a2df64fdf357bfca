/**
 * Relays and fuses make a circuit stepwise: solve, let the coils and fuses answer, solve again until nothing changes. A state that comes
 * back without settling is chatter, which is an answer too.
 */
import type { Coil, Fuse } from '../devices/elements';
import { FUSE_OPENS_AT, CONTACT_OHMS } from '../trade/loads';
import type { Netlist } from './netlist';
import { operatingPoint, type OperatingPoint } from './operating-point';
import type { SwitchState } from './stamps';

export interface Settled {
  readonly ok: true;
  readonly point: OperatingPoint;
  readonly state: SwitchState;
  /** Coils that pull in and let go without end. */
  readonly chattering: readonly string[];
  /** The highest current that each opened fuse saw, amps. */
  readonly fuseAmps: ReadonlyMap<string, number>;
  readonly solves: number;
}

export type SettleResult = Settled | { readonly ok: false; readonly at: string; readonly why: string };

export function settle(netlist: Netlist): SettleResult {
  const coils = netlist.elements.filter((one): one is Coil => one.kind === 'coil');
  const fuses = netlist.elements.filter((one): one is Fuse => one.kind === 'fuse');
  const history: SwitchState[] = [];
  const fuseAmps = new Map<string, number>();
  let state: SwitchState = { energised: new Set(), openFuses: new Set() };
  for (let solves = 1; ; solves += 1) {
    const solved = operatingPoint(netlist, state);
    if (!solved.ok) return solved;
    const next = answer(solved.point, coils, fuses, state, fuseAmps);
    if (sameState(next, state)) {
      return { ok: true, point: solved.point, state, chattering: [], fuseAmps, solves };
    }
    const seen = history.findIndex((one) => sameState(one, next));
    if (seen >= 0) {
      const cycle = [...history.slice(seen), state];
      return { ok: true, point: solved.point, state, chattering: changing(coils, cycle), fuseAmps, solves };
    }
    history.push(state);
    state = next;
  }
}

/** The next state: the worst overloaded fuse opens alone; only when none does, the coils follow their voltage. */
function answer(
  point: OperatingPoint,
  coils: readonly Coil[],
  fuses: readonly Fuse[],
  state: SwitchState,
  fuseAmps: Map<string, number>
): SwitchState {
  let worst: { id: string; excess: number } | null = null;
  for (const fuse of fuses) {
    if (state.openFuses.has(fuse.id)) continue;
    const amps = Math.abs(point.voltage(fuse.a, fuse.b) ?? 0) / CONTACT_OHMS;
    const excess = amps / (fuse.amps * FUSE_OPENS_AT);
    if (excess > 1 && (worst === null || excess > worst.excess)) {
      worst = { id: fuse.id, excess };
      fuseAmps.set(fuse.id, amps);
    }
  }
  if (worst) return { ...state, openFuses: new Set([...state.openFuses, worst.id]) };
  const energised = coils.filter((coil) => {
    const volts = Math.abs(point.voltage(coil.a, coil.b) ?? 0);
    return state.energised.has(coil.id) ? volts >= coil.dropOut : volts >= coil.pullIn;
  });
  return { ...state, energised: new Set(energised.map((coil) => coil.id)) };
}

function sameState(a: SwitchState, b: SwitchState): boolean {
  return sameSet(a.energised, b.energised) && sameSet(a.openFuses, b.openFuses);
}

function sameSet(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  return a.size === b.size && [...a].every((one) => b.has(one));
}

function changing(coils: readonly Coil[], cycle: readonly SwitchState[]): string[] {
  return coils
    .map((coil) => coil.id)
    .filter(
      (id) =>
        cycle.some((state) => state.energised.has(id)) && cycle.some((state) => !state.energised.has(id))
    );
}
