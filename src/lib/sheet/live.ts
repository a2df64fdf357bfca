/** What a strand carries while the sheet is powered up. */
import type { Meter } from '$core/circuit/meter';
import { boards, landedTerminal, terminalId, type Strand, type Wiring } from '$core/wiring/graph';

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
  const end = landedTerminal(strand.equipment) ?? landedTerminal(strand.wall);
  const volts = end === null ? null : againstCommon(end, wiring, meter);
  const state = amps > FLOWS ? 'carries' : (volts ?? 0) > LIVE_VOLTS ? 'waits' : 'dead';
  const text =
    state === 'carries' ? `${amps.toFixed(2)} A` : state === 'waits' ? `${(volts ?? 0).toFixed(0)} V` : '–';
  return { state, amps, volts, text };
}

/** The best of the commons that share an island with the point. */
function againstCommon(node: string, wiring: Wiring, meter: Meter): number | null {
  const commons = [
    ...boards(wiring).map((one) => one.id),
    ...wiring.devices.flatMap((one) =>
      one.kind === 'plug-in-transformer' || one.kind === 'added-transformer' ? [one.id] : []
    )
  ];
  const volts = commons.flatMap((id) => meter.volts(node, terminalId(id, 'C')) ?? []);
  return volts.length > 0 ? Math.max(...volts) : null;
}
