/** Each device does at its terminals what the trade says that it does, shown by the loads that run. */
import { describe, expect, it } from 'vitest';
import { running } from '../circuit/expected';
import { powerUp } from '../circuit/simulate';
import { CATALOGUE } from '../match/catalogue';
import { combinedHouse, splitterHouse } from '../houses/half-wave-houses';
import {
  boardOf,
  linkOf,
  plug,
  receiverOf,
  strandOf,
  thermostatOf,
  wiringFrom,
  worldOf,
  type End
} from '../houses/hand-wired';
import type { Call } from '../trade/calls';
import { terminalId, type Board, type Device, type Upset, type WireLink, type Wiring } from '../wiring/graph';
import type { World } from './world';

const facts = (id: string) => CATALOGUE.find((device) => device.id === id)!;
const plain = thermostatOf(facts('de-fellgate'), 'th');
const clip = linkOf('wall', terminalId('th', 'RH'), terminalId('th', 'RC'));

interface Bench {
  readonly devices: readonly Device[];
  readonly ends: readonly (readonly [wall: End, equipment: End])[];
  readonly links?: readonly WireLink[];
  readonly upsets?: readonly Upset[];
}

function wired({ devices, ends, links = [clip], upsets = [] }: Bench): Wiring {
  return wiringFrom({
    devices,
    strands: ends.map(([wall, equipment], at) => strandOf(`co-${at + 1}`, wall, equipment)),
    links,
    upsets
  });
}

/** The marks of a thermostat straight to the same marks of one board. */
function straight(board: Board, pairs: readonly string[], more: Partial<Bench> = {}): Wiring {
  const ends = pairs.map((pair) => {
    const [wall = '', far = wall] = pair.split(' ');
    return [
      ['th', wall],
      [board.id, far]
    ] as const;
  });
  return wired({ devices: [plain, board], ends, ...more });
}

function run(wiring: Wiring, world: World, call: Call) {
  const made = powerUp(wiring, world, call);
  if (!made.ok) throw new Error(made.why);
  return { ...made.result, loads: running(made.result.loads).sort(), meter: made.meter };
}

const all = ['RC R', 'C', 'W', 'Y', 'G'];
const furnaceMarks = ['R', 'C', 'W', 'Y', 'G'];

describe('furnace board', () => {
  const wiring = straight(boardOf('eq', furnaceMarks), all);

  it('runs the blower in heating by itself, or on G alone, as the world says', () => {
    expect(run(wiring, worldOf('furnace-ac'), 'heat1').loads).toEqual(['blower', 'burner']);
    expect(run(wiring, worldOf('furnace-ac', { id: 'g', blowerInHeat: 'g' }), 'heat1').loads).toEqual([
      'burner'
    ]);
  });

  it('starts the blower on Y where the board does so, which is never worse than waiting for G', () => {
    const noG = straight(boardOf('eq', furnaceMarks), all.slice(0, 4));
    const onY = worldOf('furnace-ac', { id: 'on-y', blowerInCool: 'board' });
    expect(run(noG, worldOf('furnace-ac'), 'cool1').loads).toEqual(['compressor']);
    expect(run(noG, onY, 'cool1').loads).toEqual(['blower', 'compressor']);
    for (const call of ['heat1', 'cool1', 'fan'] as const)
      expect(run(wiring, onY, call).loads).toEqual(run(wiring, worldOf('furnace-ac'), call).loads);
  });

  it('is dead behind an open door switch and behind an open float switch, and alive behind closed ones', () => {
    const board = boardOf('eq', furnaceMarks, {
      machine: 'furnace',
      accessories: [{ kind: 'condensate-pump', ownRelay: 'no', note: '' }]
    });
    expect(run(straight(board, all), worldOf('furnace-ac'), 'cool1').thermostatVolts).toBeGreaterThan(25);
    for (const element of ['eq:door-switch', 'eq:float-switch']) {
      const open = straight(board, all, { upsets: [{ element, kind: 'open' }] });
      expect(run(open, worldOf('furnace-ac'), 'cool1')).toMatchObject({ loads: [], thermostatVolts: 0 });
    }
  });

  it('gives less with a weak transformer', () => {
    const weak = straight(boardOf('eq', furnaceMarks), all, {
      upsets: [{ element: 'eq:secondary', kind: 'weak' }]
    });
    const [was, now] = [wiring, weak].map(
      (before) => run(before, worldOf('furnace-ac'), 'cool1').thermostatVolts ?? 0
    );
    expect(now).toBeLessThan((was ?? 0) - 1);
  });
});

describe('humidifier', () => {
  const humid = thermostatOf(
    { ...facts('de-fellgate'), marks: [...facts('de-fellgate').marks, 'HUM'] },
    'th'
  );
  it.each(['yes', 'no'] as const)('runs on HUM, with a relay of its own: %s', (ownRelay) => {
    const board = boardOf('eq', [...furnaceMarks, 'HUM'], {
      accessories: [{ kind: 'humidifier', ownRelay, note: '' }]
    });
    const ends = [...all, 'HUM'].map((pair) => {
      const [wall = '', far = wall] = pair.split(' ');
      return [
        ['th', wall],
        ['eq', far]
      ] as const;
    });
    const wiring = wired({ devices: [humid, board], ends });
    expect(run(wiring, worldOf('furnace-ac'), 'humidify').loads).toEqual(['humidifier']);
    expect(run(wiring, worldOf('furnace-ac'), 'heat1').loads).not.toContain('humidifier');
  });
});

describe('heat pump and dual fuel', () => {
  const marks = ['R', 'C', 'W2', 'Y', 'G', 'O'];
  const pairs = ['RC R', 'C', 'W2', 'Y', 'G', 'O/B O'];

  it('energises the valve in cooling with O, in heating with B', () => {
    const wiring = straight(boardOf('eq', marks), pairs);
    expect(run(wiring, worldOf('heat-pump'), 'cool1').loads).toEqual([
      'blower',
      'compressor',
      'reversing-valve'
    ]);
    expect(run(wiring, worldOf('heat-pump'), 'heat1').loads).toEqual(['blower', 'compressor']);
    const b = worldOf('heat-pump', { id: 'b', reversing: 'B' });
    expect(run(wiring, b, 'heat1').loads).toEqual(['blower', 'compressor', 'reversing-valve']);
  });

  it('adds the strips to the compressor, and runs them with air alone in an emergency', () => {
    const wiring = straight(boardOf('eq', marks), pairs);
    expect(run(wiring, worldOf('heat-pump'), 'aux').loads).toEqual(['blower', 'compressor', 'strips']);
    expect(run(wiring, worldOf('heat-pump'), 'emergency').loads).toEqual(['blower', 'strips']);
  });

  it('changes over to the burner, and locks it out while the compressor is called as well', () => {
    const wiring = straight(boardOf('eq', marks), pairs);
    const world = worldOf('dual-fuel');
    expect(run(wiring, world, 'heat1').loads).toEqual(['blower', 'compressor']);
    expect(run(wiring, world, 'aux').loads).toEqual(['blower', 'burner']);
    const both = { ...wiring, links: [...wiring.links, linkOf('machine', 'eq.Y1', 'eq.W2')] };
    expect(run(both, world, 'heat1').loads).toEqual(['blower', 'compressor']);
  });
});

describe('water and steam', () => {
  it('starts boiler and circulator of one zone on T T', () => {
    const wiring = straight(boardOf('eq', ['T1', 'T2', 'C']), ['RH T1', 'W T2', 'C']);
    expect(run(wiring, worldOf('boiler'), 'heat1').loads).toEqual(['boiler', 'circulator']);
  });

  it('opens the zone valve, whose end switch starts the boiler', () => {
    const panel = boardOf('eq', ['R', 'C', 'W'], { machine: 'zone-panel' });
    const wiring = straight(panel, ['RH R', 'W', 'C']);
    expect(run(wiring, worldOf('boiler'), 'heat1').loads).toEqual(['boiler', 'circulator', 'zone-valve']);
    const stuck = straight(panel, ['RH R', 'W', 'C'], {
      upsets: [{ element: 'eq.W1:end-switch', kind: 'open' }]
    });
    expect(run(stuck, worldOf('boiler'), 'heat1').loads).toEqual(['zone-valve']);
  });

  it('runs the pump of the zone and the boiler from the relay of a pump panel', () => {
    const wiring = straight(boardOf('eq', ['R', 'C', 'W'], { machine: 'zone-pump-panel' }), [
      'RH R',
      'W',
      'C'
    ]);
    expect(run(wiring, worldOf('boiler'), 'heat1').loads).toEqual(['boiler', 'circulator', 'pump']);
  });

  it('never fires a steam boiler whose low-water cut-off has opened', () => {
    const pairs = ['RH R', 'W', 'C'];
    expect(run(straight(boardOf('eq', ['R', 'C', 'W']), pairs), worldOf('steam'), 'heat1').loads).toEqual([
      'boiler'
    ]);
    const dry = straight(boardOf('eq', ['R', 'C', 'W']), pairs, {
      upsets: [{ element: 'eq:low-water-cut-off', kind: 'open' }]
    });
    expect(run(dry, worldOf('steam'), 'heat1').loads).toEqual([]);
  });

  it('keeps a boiler and an air conditioner on two transformers, each with its own side of the thermostat', () => {
    const boiler = boardOf('eq-1', ['R', 'C', 'W']);
    const handler = boardOf('eq-2', ['R', 'C', 'Y', 'G']);
    const wiring = wired({
      devices: [plain, boiler, handler],
      ends: [
        [
          ['th', 'RH'],
          ['eq-1', 'R']
        ],
        [
          ['th', 'W'],
          ['eq-1', 'W']
        ],
        [
          ['th', 'RC'],
          ['eq-2', 'R']
        ],
        [
          ['th', 'Y'],
          ['eq-2', 'Y']
        ],
        [
          ['th', 'G'],
          ['eq-2', 'G']
        ],
        [
          ['th', 'C'],
          ['eq-2', 'C']
        ]
      ],
      links: []
    });
    const world = worldOf('boiler-plus-ac');
    expect(run(wiring, world, 'heat1')).toMatchObject({ loads: ['boiler', 'circulator'], tied: [] });
    expect(run(wiring, world, 'cool1').loads).toEqual(['blower', 'compressor']);
    expect(run({ ...wiring, links: [clip] }, world, 'idle').tied).toHaveLength(1);
  });
});

describe('other machines', () => {
  it('fires a contact heater on its own control voltage beside a plug-in supply, two circuits side by side', () => {
    const wiring = wired({
      devices: [plain, boardOf('eq', ['T1', 'T2']), plug],
      ends: [
        [
          ['th', 'RH'],
          ['eq', 'T1']
        ],
        [
          ['th', 'W'],
          ['eq', 'T2']
        ],
        [
          ['th', 'RC'],
          ['plug', 'R']
        ],
        [
          ['th', 'C'],
          ['plug', 'C']
        ]
      ],
      links: []
    });
    const heat = run(wiring, worldOf('contact-heater'), 'heat1');
    expect(heat.loads).toEqual(['blower', 'burner']);
    expect(heat.thermostatFed).toBe(true);
    // R is there with no common of its own: what some thermostats report as a wiring fault.
    expect(heat.meter.volts(terminalId('th', 'RH'), terminalId('th', 'C'))).toBeNull();
  });

  it('cools only', () => {
    const wiring = straight(boardOf('eq', ['R', 'C', 'Y', 'G']), ['RC R', 'C', 'Y', 'G']);
    expect(run(wiring, worldOf('cooling-only'), 'cool1').loads).toEqual(['blower', 'compressor']);
    expect(run(wiring, worldOf('cooling-only'), 'heat1').loads).toEqual([]);
  });

  it('runs the strips of an electric furnace with air only where G or the board brings it', () => {
    const wiring = straight(boardOf('eq', ['R', 'C', 'W', 'G']), ['RC R', 'C', 'W', 'G']);
    expect(run(wiring, worldOf('electric-furnace', { blowerInHeat: 'g' }), 'heat1').loads).toEqual([
      'blower',
      'strips'
    ]);
    const noG = straight(boardOf('eq', ['R', 'C', 'W', 'G']), ['RC R', 'C', 'W']);
    expect(run(noG, worldOf('electric-furnace', { blowerInHeat: 'g' }), 'heat1').loads).toEqual(['strips']);
  });
});

describe('how a thermostat is fed', () => {
  const furnace = boardOf('eq', furnaceMarks);
  const with3 = (supply: 'battery' | 'self-charging', pairs: readonly string[]) => {
    const device = thermostatOf({ ...facts('de-sipper'), supply }, 'th');
    const ends = pairs.map(
      (pair) =>
        [
          ['th', pair],
          ['eq', pair]
        ] as const
    );
    return wired({ devices: [device, furnace], ends, links: [] });
  };

  it('charges itself through an idle coil, which stays let go; while that coil is called it gets nothing', () => {
    const idle = run(with3('self-charging', ['R', 'W']), worldOf('furnace'), 'idle');
    expect(idle.thermostatVolts).toBeGreaterThan(18);
    expect(idle.loads).toEqual([]);
    const heat = run(with3('self-charging', ['R', 'W']), worldOf('furnace'), 'heat1');
    expect(heat.loads).toEqual(['blower', 'burner']);
    expect(heat.thermostatVolts).toBeLessThan(1);
  });

  it('asks for no common with batteries', () => {
    expect(run(with3('battery', ['R', 'W']), worldOf('furnace'), 'heat1')).toMatchObject({
      loads: ['blower', 'burner'],
      thermostatVolts: null
    });
  });

  it('switches at the equipment with a receiver on R and C', () => {
    const links = ['R', 'C', 'W', 'Y', 'G'].map((mark) =>
      linkOf('machine', terminalId('receiver', mark), terminalId('eq', mark))
    );
    const wiring = wiringFrom({
      devices: [receiverOf(facts('de-sipper')), furnace],
      strands: [],
      links
    });
    expect(run(wiring, worldOf('furnace-ac'), 'cool1')).toMatchObject({
      loads: ['blower', 'compressor'],
      thermostatFed: true
    });
  });
});

describe('two calls on one wire', () => {
  const loadsIn = (wiring: Wiring, call: Call) => run(wiring, worldOf('furnace-ac'), call);

  it.each([
    ['a combined terminal', combinedHouse],
    ['a splitter', splitterHouse]
  ] as const)('are told apart again behind %s', (_, make) => {
    const { wiring } = make();
    expect(loadsIn(wiring, 'cool1').loads).toEqual(['blower', 'compressor']);
    expect(loadsIn(wiring, 'fan').loads).toEqual(['blower']);
    expect(loadsIn(wiring, 'heat1').loads).toEqual(['blower', 'burner']);
    expect(loadsIn(wiring, 'idle').loads).toEqual([]);
    expect(loadsIn(wiring, 'cool1').thermostatFed).toBe(true);
  });

  it('shows that half a wave is too little to be sure of a coil, where the adapter is left out', () => {
    const bare = wired({
      devices: [thermostatOf(facts('de-weftline'), 'th'), boardOf('eq', furnaceMarks)],
      ends: [
        [
          ['th', 'R'],
          ['eq', 'R']
        ],
        [
          ['th', 'W'],
          ['eq', 'W']
        ],
        [
          ['th', 'K'],
          ['eq', 'G']
        ],
        [
          ['th', 'C'],
          ['eq', 'C']
        ]
      ],
      links: [],
      upsets: [{ element: 'eq:secondary', kind: 'weak' }]
    });
    const fan = loadsIn(bare, 'fan');
    expect(fan.loads).toEqual([]);
    expect(fan.starved).toMatchObject([{ device: 'eq', part: 'coil', mark: 'G' }]);
  });
});
