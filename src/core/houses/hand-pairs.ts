/** Pairs of wirings written by hand: a house as it is, and as it will be. What a proof says of each is known beforehand. */
import type { World } from '../devices/world';
import { CATALOGUE } from '../match/catalogue';
import type { ProofInput } from '../proof/types';
import {
  screwsOfMarks,
  type Board,
  type OldThermostat,
  type Strand,
  type WireLink,
  type Wiring
} from '../wiring/graph';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf } from './hand-wired';

const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
const clip: WireLink = { id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' };
const old: OldThermostat = {
  kind: 'old-thermostat',
  id: 'old',
  at: 'wall',
  name: 'old thermostat',
  supply: 'battery',
  screws: screwsOfMarks('old', ['R', 'W', 'Y', 'G', 'C', 'O', 'AUX'])
};
export const MARKS = ['R', 'C', 'W', 'Y', 'G'];

export interface Sketch {
  /** Marks of the conductors, the same at both ends: `RC>R` where they differ; a `-` for an end on nothing. */
  readonly on: readonly string[];
  readonly board?: readonly string[];
  readonly links?: readonly WireLink[];
  readonly more?: Partial<Board>;
  readonly lengthM?: number;
}

function strands({ on, lengthM = 15 }: Sketch, device: string): Strand[] {
  return on.map((pair) => {
    const [wall = '', far = wall] = pair.split('>');
    const end = (at: string, mark: string) => (mark === '-' ? null : ([at, mark] as const));
    return strandOf(
      `co-${far === '-' ? wall : far}`.toLowerCase(),
      end(device, wall),
      end('eq', far),
      lengthM
    );
  });
}

/** A house as it is, with an old thermostat on batteries. */
export const today = (sketch: Sketch): Wiring =>
  wiringFrom({
    devices: [old, boardOf('eq', sketch.board ?? MARKS, sketch.more)],
    strands: strands(sketch, 'old'),
    links: sketch.links ?? []
  });
/** The same as it will be, with a thermostat that needs a constant supply. */
export const tomorrow = (sketch: Sketch, device: Partial<typeof facts> = {}): Wiring =>
  wiringFrom({
    devices: [thermostatOf({ ...facts, ...device }, 'th'), boardOf('eq', sketch.board ?? MARKS, sketch.more)],
    strands: strands(sketch, 'th'),
    links: [clip, ...(sketch.links ?? [])]
  });

export const FOUR = ['R', 'W', 'Y', 'G'];
export const FIVE = ['RC>R', 'W', 'Y', 'G', 'C'];
const furnace = worldOf('furnace-ac');
const pair = (before: Wiring, after: Wiring, world: World = furnace): ProofInput => ({
  before,
  after,
  worlds: [{ world, weight: 1 }],
  needsSupply: 'always'
});

/** By the one thing that is wrong with each. */
export const HAND_PAIRS = {
  whole: pair(today({ on: FOUR }), tomorrow({ on: FIVE })),
  'no C wire': pair(today({ on: FOUR }), tomorrow({ on: ['RC>R', 'W', 'Y', 'G'] })),
  'jumper W to G': pair(
    today({ on: FOUR }),
    tomorrow({ on: FIVE, links: [linkOf('machine', 'eq.W1', 'eq.G')] })
  ),
  'compressor without fan': pair(today({ on: ['R', 'W', 'Y'] }), tomorrow({ on: ['RC>R', 'W', 'Y', 'C'] })),
  'strips without fan': pair(
    today({ on: ['R', 'W', 'G'] }),
    tomorrow({ on: ['RC>R', 'W', 'G>-', 'C'] }),
    worldOf('electric-furnace', { blowerInHeat: 'g' })
  ),
  'burner without fan': pair(
    today({ on: ['R', 'W'] }),
    tomorrow({ on: ['RC>R', 'W', 'C'] }),
    worldOf('furnace-ac', { blowerInHeat: 'g' })
  ),
  'Y on C': pair(today({ on: FOUR }), tomorrow({ on: ['RC>R', 'W', 'Y>C', 'G', 'C'] })),
  'small transformer': pair(today({ on: FOUR }), tomorrow({ on: FIVE, more: { transformerVa: 14 } })),
  'narrow window': pair(today({ on: FOUR }), tomorrow({ on: FIVE }, { voltsMin: 10, voltsMax: 26.5 })),
  'no transformer': pair(today({ on: FOUR }), tomorrow({ on: FIVE, more: { transformerVa: 0 } })),
  'no circuit': pair(today({ on: FOUR }), tomorrow({ on: FIVE }), worldOf('communicating')),
  'long thin cable': pair(today({ on: FOUR, lengthM: 15 }), tomorrow({ on: FIVE, lengthM: 400 }))
} as const satisfies Readonly<Record<string, ProofInput>>;
