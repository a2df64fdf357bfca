/** The proof of an option in one line. */
import type { Proof } from '$core/proof/types';
import { voltsText } from '$core/trade/figures';
import { counted } from '$core/words/text';

/** "4 calls solved; 25.9 to 27.1 V at the thermostat (22.5 to 30.0 in the worst case)". */
export function callsText(proof: Proof): string {
  const rows = proof.worlds.flatMap((world) => world.rows);
  const calls = new Set(rows.map((row) => row.call)).size;
  const volts = rows.flatMap((row) => (row.voltsAfter === null ? [] : [row.voltsAfter]));
  const solved = `${counted(calls, 'call', 'calls')} solved${proof.worlds.length > 1 ? `, ${proof.worlds.length} ways each` : ''}`;
  if (volts.length === 0) return solved;
  const nominal = `${Math.min(...volts).toFixed(1)} to ${voltsText(Math.max(...volts))} at the thermostat`;
  const lows = rows.flatMap((row) => row.voltsLow ?? []);
  const highs = rows.flatMap((row) => row.voltsHigh ?? []);
  if (lows.length === 0 || highs.length === 0) return `${solved}; ${nominal}`;
  const worst = `${Math.min(...lows).toFixed(1)} to ${Math.max(...highs).toFixed(1)} in the worst case`;
  return `${solved}; ${nominal} (${worst})`;
}
