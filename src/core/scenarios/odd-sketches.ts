/** What the odd houses written by hand are made of: answers, machines, strips and usual wires. */
import type { HouseSketch } from '../houses/builder';

export const thin = { 'conductor-build': 'thin' } as const;
export const air = { ...thin, 'heat-from': 'registers', flue: 'burner' } as const;
export const cooled = { ...air, 'outdoor-unit': 'rests' } as const;
export const water = { ...thin, 'heat-from': 'radiators', 'measured-volts': 26 } as const;
export const pump = { ...thin, 'heat-from': 'registers', flue: 'none', 'outdoor-unit': 'runs' } as const;
export const gas = { kind: 'furnace', fuel: 'gas' } as const;
export const boiler = { kind: 'boiler', fuel: 'gas' } as const;
export const R_W_Y_G = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'];
export const FULL = ['R', 'C', 'W', 'Y', 'G'];

export const ac = (strands: readonly string[], more: Partial<HouseSketch> = {}): HouseSketch => ({
  strands,
  board: FULL,
  observed: cooled,
  equipment: gas,
  ...more
});
export const wet = (strands: readonly string[], more: Partial<HouseSketch> = {}): HouseSketch => ({
  strands,
  board: ['R', 'C', 'W'],
  observed: water,
  equipment: boiler,
  ...more
});
