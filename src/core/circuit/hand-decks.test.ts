/**
 * Circuits written out by hand in SPICE, from the wiring and the figures of the trade alone, and solved by a SPICE program. The engine's own
 * export would share its models; these decks share nothing with it but the house. RMS values stand as DC. Figures in all of them: a 40 VA
 * transformer is 27.5 V behind 2.1 ohm (75 VA: 1.12, 20 VA: 4.2), 15 m of 18 AWG 0.31425 ohm and two joints 0.01, a contact, a link or a fuse 0.005.
 */
import { Simulation } from 'eecircuit-engine';
import { beforeAll, describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import type { World } from '../devices/world';
import { boardOf, plug, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import { findDevice } from '../match/catalogue';
import type { Call } from '../trade/calls';
import type { Upset, Wiring } from '../wiring/graph';
import { backFed } from './back-feed';
import { heldOn } from './history';
import { netlistOf } from './netlist';
import { coilVolts, elementAmps } from './settle';
import { powerUp, settled } from './simulate';

const engine = new Simulation();
beforeAll(() => engine.start(), 60_000);

/** Node voltages of a deck, by name. */
async function spice(deck: string): Promise<(node: string) => number> {
  engine.setNetList(`* by hand\n${deck}\n.op\n.end\n`);
  const { data } = await engine.runSim();
  const faults = engine.getError().filter((line) => !line.startsWith('Note') && !line.includes('Warning'));
  expect(faults).toEqual([]);
  return (node) => {
    const found = data.find(({ name }) => name === `v(${node})`);
    if (!found) throw new Error(`SPICE gave no v(${node})`);
    return (found.values as number[])[0]!;
  };
}

const device = (id: string, drawVa: number) => ({ ...findDevice(SCHOOLHOUSE, id)!, drawVa });
const furnace = worldOf('furnace-ac');

interface Sketch {
  /** `wall mark, machine mark`; the wall's R is its RH, which the clip joins to RC. */
  readonly on: readonly string[];
  readonly va?: number;
  readonly lengthM?: number;
  readonly drawVa?: number;
  readonly touch?: readonly [string, string];
  readonly upsets?: readonly Upset[];
  readonly moreOhms?: Readonly<Record<string, number>>;
}

function wired({ on, va = 40, lengthM = 15, drawVa = 3, touch, upsets, moreOhms = {} }: Sketch): Wiring {
  const touching = touch ? [{ id: 'touch', at: 'eq', a: touch[0], b: touch[1], kind: 'wire' as const }] : [];
  return wiringFrom({
    devices: [
      thermostatOf(device('de-fellgate', drawVa), 'th'),
      boardOf('eq', ['R', 'C', 'W', 'Y', 'G'], { transformerVa: va, fuseAmps: 100 })
    ],
    strands: on.map((pair) => {
      const [wall = '', far = wall] = pair.split(' ');
      const strand = strandOf(far, ['th', wall === 'R' ? 'RH' : wall], ['eq', far], lengthM);
      return { ...strand, ohms: strand.ohms + (moreOhms[far] ?? 0) };
    }),
    links: [{ id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }, ...touching],
    ...(upsets ? { upsets } : {})
  });
}

const FOUR = ['R', 'W', 'Y', 'G'];
const FIVE = [...FOUR, 'C'];

function volts(wiring: Wiring, call: Call, a: string, b: string, world: World = furnace): number {
  const made = powerUp(wiring, world, call);
  if (!made.ok) throw new Error(made.why);
  return made.meter.volts(a, b) ?? NaN;
}

/** Rs: R to the plate, its clip, and whatever is drawn there. */
const SUPPLY = 'V1 emf 0 27.5\nRt emf hot 2.1\nRf hot r 0.005';

interface Deck {
  readonly name: string;
  readonly deck: string;
  /** What SPICE shows, and what the engine has for it. */
  readonly theirs: (node: (name: string) => number) => number;
  readonly ours: () => number;
}

const DECKS: readonly Deck[] = [
  {
    name: 'a display in series with a fan relay whose armature is open',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c g 0.32425\nRc g 0 72`,
    theirs: (v) => v('rc') - v('c'),
    ours: () => volts(wired({ on: ['R', 'W', 'Y', 'C G'] }), 'idle', 'th.RC', 'th.C')
  },
  {
    name: 'a gas valve that has pulled in',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRk rh w 0.005\nR3 w wb 0.32425\nRc wb 0 57.6`,
    theirs: (v) => v('wb'),
    ours: () => volts(wired({ on: FIVE }), 'heat1', 'eq.W1', 'eq.C')
  },
  {
    name: 'a contactor and a fan relay that cannot pull in on 20 VA and 150 m, and go on drawing what open armatures draw',
    deck: 'V1 emf 0 27.5\nRt emf hot 4.2\nRf hot r 0.005\nR1 r rh 3.1525\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 3.1525\nRy rc y 0.005\nR3 y yb 3.1525\nRc yb 0 17.0666667\nRg rc g 0.005\nR4 g gb 3.1525\nRe gb 0 72',
    theirs: (v) => v('yb'),
    ours: () => volts(wired({ on: FIVE, va: 20, lengthM: 150 }), 'cool1', 'eq.Y1', 'eq.C')
  },
  {
    name: 'what holds a boiler relay after heat, through a thermostat of 2 VA',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRd rh w 288\nR2 w wb 0.32425\nRc wb 0 192`,
    theirs: (v) => v('wb'),
    ours: () => {
      const wiring = wiringFrom({
        devices: [thermostatOf(device('de-sipper', 2), 'th'), boardOf('eq', ['R', 'C', 'W'])],
        strands: [strandOf('r', ['th', 'R'], ['eq', 'R']), strandOf('w', ['th', 'W'], ['eq', 'W'])]
      });
      return heldOn(wiring, worldOf('boiler'), ['idle', 'heat1'])[0]!.volts;
    }
  },
  {
    name: 'a corroded joint of 15 ohm before a contactor whose armature is open',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRy rc y 0.005\nR3 y yb 15.32425\nRc yb 0 17.0666667\nRg rc g 0.005\nR4 g gb 0.32425\nRe gb 0 144`,
    theirs: (v) => v('yb'),
    ours: () => volts(wired({ on: FIVE, moreOhms: { Y: 15 } }), 'cool1', 'eq.Y1', 'eq.C')
  },
  {
    name: 'a fan wire broken at the nick that still touches',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRg rc g 0.005\nR4 g gb 300.32425\nRe gb 0 72`,
    theirs: (v) => v('gb'),
    ours: () => volts(wired({ on: FIVE, moreOhms: { G: 300 } }), 'fan', 'eq.G', 'eq.C')
  },
  {
    name: 'a gas valve whose coil is shorted, before anything opens',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRk rh w 0.005\nR3 w wb 0.32425\nRc wb 0 0.5`,
    theirs: (v) => (v('emf') - v('hot')) / 2.1,
    ours: () => amps(wired({ on: FIVE, upsets: [{ element: 'eq:coil-W1', kind: 'shorted' }] }), 'heat1')
  },
  {
    name: 'R and W that touch in the cable: the burner runs with nothing called',
    deck: `${SUPPLY}\nRx r wb 0.005\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRc wb 0 57.6`,
    theirs: (v) => v('wb'),
    ours: () => volts(wired({ on: FIVE, touch: ['eq.R', 'eq.W1'] }), 'idle', 'eq.W1', 'eq.C')
  },
  {
    name: 'W and G that touch: heat runs the fan relay too',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRk rh w 0.005\nR3 w wb 0.32425\nRx wb gb 0.005\nRc wb 0 57.6\nRe gb 0 144`,
    theirs: (v) => v('gb'),
    ours: () => volts(wired({ on: FIVE, touch: ['eq.W1', 'eq.G'] }), 'heat1', 'eq.G', 'eq.C')
  },
  {
    name: 'the common open inside the board: the coils hang together on nothing, the display is fed',
    deck: `${SUPPLY}\nR1 r rh 0.32425\nRl rh rc 0.005\nRd rc c 192\nR2 c 0 0.32425\nRk rh w 0.005\nR3 w wb 0.32425\nRc wb in 38.4\nRe in gb 72\nRleak in 0 1e9`,
    theirs: (v) => v('wb') - v('in'),
    ours: () => {
      const wiring = wired({ on: FIVE, upsets: [{ element: 'eq.C', kind: 'bus-open' }] });
      const relays = settled(wiring, furnace, 'heat1');
      if ('ok' in relays) throw new Error(relays.why);
      return coilVolts(relays, relays.numberOf.get('eq:coil-W1')!);
    }
  },
  {
    name: 'a short from R to C over 60 m of 20 AWG: far less than a fuse wants',
    deck: 'V1 emf 0 27.5\nRt emf hot 2.1\nRf hot r 0.005\nRx r 0 4',
    theirs: (v) => (v('emf') - v('hot')) / 2.1,
    ours: () => {
      const strand = { ...strandOf('short', ['th', 'RH'], ['eq', 'R']), ohms: 3.98 };
      const back = { ...strandOf('back', ['th', 'RH'], ['eq', 'C']), ohms: 0 };
      const wiring = wiringFrom({
        devices: [
          thermostatOf(device('de-fellgate', 3), 'th'),
          boardOf('eq', ['R', 'C', 'W'], { fuseAmps: 100 })
        ],
        strands: [strand, back]
      });
      return amps(wiring, 'idle');
    }
  },
  {
    name: 'a supply switched off and tied to another: its screws are live from it',
    deck: 'V2 emf 0 27.5\nRt emf hot 4.2\nR3 hot rc 0.07285\nRl rc rh 0.005\nR1 rh r 0.32425\nRf r sec 0.005\nRm sec 0b 98.1\nRe 0b 0 0.05\nRd rc c 192\nR4 c 0 0.07285',
    theirs: (v) => v('sec') - v('0b'),
    ours: () => backFed(tied(), worldOf('furnace'), ['idle']).find((fed) => fed.device === 'eq')!.volts
  },
  {
    name: 'and its transformer, wound 120 to 27.5, works backwards',
    // The same, with the off transformer as an ideal one of 120 to 27.5 and nothing on its mains side.
    deck: 'V2 emf 0 27.5\nRt emf hot 4.2\nR3 hot rc 0.07285\nRl rc rh 0.005\nR1 rh r 0.32425\nRf r sec 0.005\nRm sec 0b 98.1\nRe 0b 0 0.05\nRd rc c 192\nR4 c 0 0.07285\nE1 mains 0 sec 0b 4.36363636\nRo mains 0 1e6',
    theirs: (v) => v('mains'),
    ours: () => backFed(tied(), worldOf('furnace'), ['idle']).find((fed) => fed.device === 'eq')!.mainsVolts
  },
  {
    name: 'two supplies tied at opposite polarity with both commons earthed: amps that burn',
    deck: 'V1 a 0 27.5\nRt a hot 2.1\nRf hot r 0.005\nR1 r rh 0.32425\nRl rh rc 0.005\nR3 rc ph 0.07285\nRp ph b 4.2\nV2 0b b 27.5\nRe 0b 0 0.05\nRd rc c 192\nR4 c 0b 0.07285',
    theirs: (v) => (v('a') - v('hot')) / 2.1,
    ours: () => {
      const relays = settled(tied(), worldOf('furnace'), 'idle', { bonded: true, turned: 1 });
      if ('ok' in relays) throw new Error(relays.why);
      return elementAmps(relays, relays.circuit.sources[0]!);
    }
  }
];

/** The furnace on RH and a plug-in supply on RC and C, with the jumper left in. */
function tied(): Wiring {
  return wiringFrom({
    devices: [
      thermostatOf(device('de-fellgate', 3), 'th'),
      boardOf('eq', ['R', 'C', 'W', 'G'], { fuseAmps: 100 }),
      plug
    ],
    strands: [
      strandOf('r', ['th', 'RH'], ['eq', 'R']),
      strandOf('p', ['th', 'RC'], ['plug', 'R'], 3),
      strandOf('q', ['th', 'C'], ['plug', 'C'], 3)
    ],
    links: [{ id: 'left-in', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }]
  });
}

/** Amps out of the machine's transformer. */
function amps(wiring: Wiring, call: Call): number {
  const made = powerUp(wiring, furnace, call);
  if (!made.ok) throw new Error(made.why);
  return made.result.supplies[0]!.amps;
}

describe('circuits written by hand', () => {
  it('are at least twelve, and their houses hold no fuse that would open', () => {
    expect(DECKS.length).toBeGreaterThanOrEqual(12);
    expect(
      netlistOf(tied(), worldOf('furnace'))!.elements.filter(({ kind }) => kind === 'fuse')
    ).toMatchObject([{ amps: 100 }]);
  });

  it.each(DECKS.map((deck) => [deck.name, deck] as const))('%s', async (_, { deck, theirs, ours }) => {
    const shown = theirs(await spice(deck));
    const mine = ours();
    expect(Math.abs(Math.abs(mine) - Math.abs(shown))).toBeLessThan(0.002 * Math.max(1, Math.abs(shown)));
  });
});
