/**
 * Off is not dead. Where copper ties two supplies, the one that is switched off is fed from the other: its low-voltage screws stay live, and its
 * transformer works backwards, with close to mains on a side that is thought dead.
 */
import { partRef, type Source } from '../devices/elements';
import type { World } from '../devices/world';
import type { PartRef } from '../findings/refs';
import type { Call } from '../trade/calls';
import { MAGNETISING_SHARE, MAINS_VOLTS, transformerOhms } from '../trade/loads';
import type { Wiring } from '../wiring/graph';
import { across, setImpedance, type Circuit } from './circuit';
import { relaysFor } from './simulate';
import { elementVolts, settle, type Relays } from './settle';
import { casesOf } from './supply-cases';

/** A supply that is switched off, alone, and is live all the same. */
export interface BackFed {
  readonly off: PartRef;
  /** The device that it belongs to, and its name. */
  readonly device: string;
  readonly name: string;
  /** Those that are still on, by their device. */
  readonly from: readonly { readonly device: string; readonly name: string }[];
  /** The call in which it gets the most. */
  readonly call: Call;
  /** Volts at its low-voltage screws, and at its mains side with nothing on it. */
  readonly volts: number;
  readonly mainsVolts: number;
}

/** What a hand should take for live, volts: less is what a meter picks up anywhere. */
const LIVE_VOLTS = 5;

/** Every supply of a wiring that switching it off alone leaves live, in the call and the case of polarity and earth in which it is so most. */
export function backFed(wiring: Wiring, world: World, calls: readonly Call[]): BackFed[] {
  const relays = relaysFor(wiring, world);
  if ('ok' in relays || relays.circuit.sources.length < 2) return [];
  const { circuit } = relays;
  const found = Array.from(circuit.sources).flatMap((at) => {
    const worst = mostVolts(relays, at, calls);
    return worst.volts < LIVE_VOLTS ? [] : [factOf(circuit, at, worst)];
  });
  // The values of the sources that were off are put back with the next call.
  circuit.kept.corner = 'searched';
  return found;
}

interface Worst {
  readonly call: Call;
  readonly volts: number;
}

function mostVolts(relays: Relays, off: number, calls: readonly Call[]): Worst {
  const { circuit } = relays;
  let worst: Worst = { call: 'idle', volts: 0 };
  for (const supplyCase of casesOf(circuit.netlist))
    for (const call of calls) {
      circuit.kept.corner = 'searched';
      settle(relays, call, supplyCase);
      switchOff(circuit, off);
      settle(relays, call, supplyCase);
      const volts = relays.waves ? elementVolts(relays, off) : across(circuit, off);
      if (volts > worst.volts) worst = { call, volts };
    }
  return worst;
}

/** Its mains side is open: what is left of it is the coil that magnetises its core, with no voltage of its own. */
function switchOff(circuit: Circuit, at: number): void {
  const { leastVa, nominalVolts } = circuit.netlist.elements[at] as Source;
  circuit.emf[at] = 0;
  const magnetising = (nominalVolts * nominalVolts) / (MAGNETISING_SHARE * leastVa);
  setImpedance(circuit, at, magnetising + transformerOhms(leastVa), 0);
}

function factOf(circuit: Circuit, at: number, { call, volts }: Worst): BackFed {
  const source = circuit.netlist.elements[at] as Source;
  const named = ({ id, name, part }: Source) => ({ device: part?.device ?? id, name });
  return {
    off: partRef(source),
    ...named(source),
    from: Array.from(circuit.sources)
      .filter((other) => other !== at)
      .map((other) => named(circuit.netlist.elements[other] as Source)),
    call,
    volts,
    mainsVolts: (volts * MAINS_VOLTS) / source.volts
  };
}
