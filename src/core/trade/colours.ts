/**
 * Insulation colours by the two-letter codes of IEC 60757, with `DB` and `TN` added for the dark blue and tan of thermostat
 * cable. A colour only helps to find the same conductor at the other end of the same cable; it never says what a conductor does.
 */
import * as v from 'valibot';

export const COLOUR_CODES = [
  'RD',
  'WH',
  'YE',
  'GN',
  'BU',
  'OG',
  'BN',
  'BK',
  'DB',
  'GY',
  'PK',
  'VT',
  'TQ',
  'TN'
] as const;
export const ColourCode = v.picklist(COLOUR_CODES, 'a colour code such as RD, WH or BU');
export type ColourCode = v.InferOutput<typeof ColourCode>;

export interface ColourFacts {
  readonly code: ColourCode;
  readonly name: string;
  /** sRGB of the insulation as drawn on the sheet. */
  readonly hex: string;
}

export const COLOURS: Readonly<Record<ColourCode, ColourFacts>> = {
  RD: { code: 'RD', name: 'red', hex: '#c8322b' },
  WH: { code: 'WH', name: 'white', hex: '#f7f5ef' },
  YE: { code: 'YE', name: 'yellow', hex: '#e9c21c' },
  GN: { code: 'GN', name: 'green', hex: '#2f8f4e' },
  BU: { code: 'BU', name: 'blue', hex: '#3d86d8' },
  OG: { code: 'OG', name: 'orange', hex: '#e57a1f' },
  BN: { code: 'BN', name: 'brown', hex: '#7d5131' },
  BK: { code: 'BK', name: 'black', hex: '#26262a' },
  DB: { code: 'DB', name: 'dark blue', hex: '#213f88' },
  GY: { code: 'GY', name: 'grey', hex: '#8e9196' },
  PK: { code: 'PK', name: 'pink', hex: '#e58fae' },
  VT: { code: 'VT', name: 'violet', hex: '#7c4fa3' },
  TQ: { code: 'TQ', name: 'turquoise', hex: '#35a8a3' },
  TN: { code: 'TN', name: 'tan', hex: '#c9a679' }
};

/** What thermostat cable of so many conductors usually holds, in order. */
export function usualColours(conductors: number): ColourCode[] {
  const three: ColourCode[] = ['RD', 'WH', 'GN'];
  const eight: ColourCode[] = ['RD', 'WH', 'YE', 'GN', 'BU', 'OG', 'BN', 'BK'];
  return conductors === 3 ? three : eight.slice(0, conductors);
}

/** `red`, `red with a white stripe`, or `colour not recorded`. */
export function colourName(code: ColourCode | null, stripe: ColourCode | null = null): string {
  if (code === null) return 'colour not recorded';
  const base = COLOURS[code].name;
  return stripe === null ? base : `${base} with a ${COLOURS[stripe].name} stripe`;
}
