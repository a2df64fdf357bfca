/**
 * The moment of pulling in: a coil with an open core draws several times its holding current, and everything on that transformer sees the
 * dip. Solved as the state in which all coils of the call pull in at once, which is the worst.
 */
import { partRef, type Coil } from '../devices/elements';
import type { PartRef } from '../findings/refs';
import { across, scaleAdmittance, solveCircuit } from './circuit';
import type { Relays } from './settle';

export interface Inrush {
  /** Volts at the thermostat's electronics during the dip; null where none is fed. */
  readonly thermostatVolts: number | null;
  /** Coils that would not get enough to pull in while all do. */
  readonly weak: readonly PartRef[];
}

/** Reads the dip of the state last settled. Uses the circuit's arrays: whatever was solved before is gone afterwards. */
export function inrushOf(relays: Relays): Inrush {
  const { circuit, coils, energised } = relays;
  const { elements, fed } = circuit.netlist;
  const pulling = Array.from(coils.keys()).flatMap((number) => {
    const at = coils[number] ?? 0;
    const element = elements[at];
    return energised[number] === 1 && element?.kind === 'coil' && element.inrush > 1 ? [at] : [];
  });
  // In circuits of half waves the relays that pull in are fed whole waves by other contacts; the dip is not read there.
  if (pulling.length === 0 || circuit.halfWaves) return { thermostatVolts: null, weak: [] };
  const inrush = (at: number) => (elements[at] as Coil).inrush;
  for (const at of pulling) scaleAdmittance(circuit, at, inrush(at));
  solveCircuit(circuit);
  const weak = pulling.filter((at) => across(circuit, at) < (elements[at] as Coil).pullIn);
  const feeds = fed
    .flatMap((fedDevice) => circuit.placeOf.get(fedDevice.element) ?? [])
    .map((at) => across(circuit, at));
  for (const at of pulling) scaleAdmittance(circuit, at, 1 / inrush(at));
  return {
    thermostatVolts: feeds.length > 0 ? Math.min(...feeds) : null,
    weak: weak.map((at) => partRef(elements[at] as Coil))
  };
}
