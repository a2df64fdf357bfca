/** What a strand carries while the sheet is powered up. */
import type { Meter } from '../circuit/meter';
import { commonNode } from '../devices/boards/board';
import { isSupply, landedTerminal, screwThat, type Strand, type Wiring } from '../wiring/graph';

export interface StrandReading {
  /** `carries`: current flows; `waits`: it is live against a common and still; `dead`: neither. */
  readonly state: 'carries' | 'waits' | 'dead';
  readonly amps: number;
  /** Volts against the common of the machine that it ends at; null where nothing defines one. */
  readonly volts: number | null;
  /** For the sleeve on the strand. */
  readonly text: string;
}

/** A thermostat's trickle counts; rounding does not. */
const FLOWS = 0.002;
const LIVE_VOLTS = 5;

export function readStrands(wiring: Wiring, meter: Meter): Map<string, StrandReading> {
  return new Map(wiring.strands.map((strand) => [strand.id, readStrand(strand, wiring, meter)]));
}

function readStrand(strand: Strand, wiring: Wiring, meter: Meter): StrandReading {
  const amps = meter.amps(strand.id);
  const end = landedTerminal(strand.far) ?? landedTerminal(strand.near);
  const volts = end === null ? null : againstCommon(end, wiring, meter);
  const state = amps > FLOWS ? 'carries' : (volts ?? 0) > LIVE_VOLTS ? 'waits' : 'dead';
  const text =
    state === 'carries' ? `${amps.toFixed(2)} A` : state === 'waits' ? `${(volts ?? 0).toFixed(0)} V` : '–';
  return { state, amps, volts, text };
}

/** The best of the commons that share an island with the point. */
function againstCommon(node: string, wiring: Wiring, meter: Meter): number | null {
  const commons = wiring.devices
    .filter(isSupply)
    .flatMap((device) =>
      device.kind === 'board' ? [commonNode(device)] : (screwThat(device, 'C')?.id ?? [])
    );
  const volts = commons.flatMap((common) => meter.volts(node, common) ?? []);
  return volts.length > 0 ? Math.max(...volts) : null;
}
