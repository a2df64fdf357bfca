/** Houses that are odd in one respect each: what is said of them is said of no ordinary house. */
import { house, type House } from './builder';

export const ODD_HOUSES = {
  plain: () => house({ strands: ['RD R R', 'WH W W'], board: ['R', 'C', 'W'], stated: 'furnace' })
} as const satisfies Readonly<Record<string, () => House>>;
