/** A row of the table in words. */
import { and } from '../../words/text';
import type { Wiring } from '../../wiring/graph';
import type { MainsRow } from './rows';

/** `heating on, hot water off, room calls, cylinder satisfied`. */
export function rowText(row: MainsRow, wiring: Wiring): string {
  const rooms = Object.entries(row.rooms);
  const nameOf = (id: string) =>
    rooms.length === 1 ? 'room' : (wiring.devices.find((device) => device.id === id)?.name ?? id);
  const words = [
    row.heating ? 'heating on' : 'heating off',
    row.water ? 'hot water on' : 'hot water off',
    ...rooms.map(([id, calls]) => `${nameOf(id)} ${calls ? 'calls' : 'warm'}`),
    row.cylinder ? 'cylinder calls' : 'cylinder hot',
    ...(row.frost ? ['frost'] : [])
  ];
  return words.join(', ');
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
