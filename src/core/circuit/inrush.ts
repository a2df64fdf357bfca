/**
 * The dip while coils pull in: with their armatures open they draw several times their holding current, and everything on that transformer
 * sees it. Solved as the state in which all coils of the call pull in at once, which is the worst. A coil that gets too little there to move does
 * not pull in at all: that comes out of settling the call, and is no matter of the dip.
 */
import { across, solveCircuit } from './circuit';
import type { Relays } from './settle';

/**
 * Volts at the thermostat's electronics during the dip; null where none is fed, or nothing pulls in. Uses the circuit's arrays: whatever was
 * solved before is gone afterwards.
 */
export function dipVolts(relays: Relays): number | null {
  const { circuit, energised } = relays;
  const { coils, times, ratio, netlist, placeOf } = circuit;
  const pulling = Array.from(coils).filter((at, number) => energised[number] === 1 && ratio[at]! > 1);
  // In circuits of half waves the relays that pull in are fed whole waves by other contacts; the dip is not read there.
  if (pulling.length === 0 || circuit.halfWaves) return null;
  for (const at of pulling) times[at] = ratio[at]!;
  solveCircuit(circuit);
  const feeds = netlist.fed.flatMap((fedDevice) => placeOf.get(fedDevice.element) ?? []);
  const volts = feeds.map((at) => across(circuit, at));
  for (const at of pulling) times[at] = 1;
  return volts.length > 0 ? Math.min(...volts) : null;
}
