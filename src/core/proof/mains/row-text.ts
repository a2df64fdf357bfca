/** A row of the table in words. */
import { and } from '../../words/text';
import type { Wiring } from '../../wiring/graph';
import { inputsOf, type MainsRow } from './rows';

/** `heating on, hot water off, room calls, cylinder hot`: what the house, as found, has of it. Without anything that asks: `always`. */
export function rowText(row: MainsRow, wiring: Wiring): string {
  const inputs = inputsOf(wiring);
  const rooms = Object.entries(row.rooms);
  const nameOf = (id: string) =>
    rooms.length === 1 ? 'room' : (wiring.devices.find((device) => device.id === id)?.name ?? id);
  const words = [
    ...(inputs.heating ? [row.heating ? 'heating on' : 'heating off'] : []),
    ...(inputs.water ? [row.water ? 'hot water on' : 'hot water off'] : []),
    ...rooms.map(([id, calls]) => `${nameOf(id)} ${calls ? 'calls' : 'warm'}`),
    ...(inputs.cylinder ? [row.cylinder ? 'cylinder calls' : 'cylinder hot'] : []),
    ...(row.frost ? ['frost'] : [])
  ];
  return words.length === 0 ? 'always' : words.join(', ');
}

/** What runs: `heating way, boiler and pump`, or `nothing`. */
export function runsText(state: {
  readonly heatingWay: string;
  readonly waterWay: string;
  readonly boiler: boolean;
  readonly pump: boolean;
}): string {
  const words = [
    ...(state.boiler && state.heatingWay === 'open' ? ['heating'] : []),
    ...(state.boiler && state.waterWay === 'open' ? ['hot water'] : []),
    ...(state.boiler ? ['boiler'] : []),
    ...(state.pump ? ['pump'] : [])
  ];
  return words.length === 0 ? 'nothing runs' : and(words);
}
