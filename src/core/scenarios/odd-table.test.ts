/** Odd houses made by hand, each with what must be said of it and what must never be offered in it. */
import { describe, expect, it } from 'vitest';
import type { FindingCode } from '../findings/finding';
import { house, type House, type HouseSketch } from '../houses/builder';
import { withThermostat } from '../houses/changed';
import { makeId } from '../job/ids';
import { findDevice } from '../match/catalogue';
import { planFor, type Plan } from '../plan/plan';
import { situationOf } from '../supply/situation';
import type { MethodId, RepairId } from '../trade/vocabulary';
import { thin, air, cooled, water, pump, gas, boiler, R_W_Y_G, FULL, ac, wet } from './odd-sketches';

interface Odd {
  readonly sketch: HouseSketch;
  readonly model?: string;
  /** The spares are in a cable of their own, to this machine. */
  readonly spareTo?: number;
  /** No way but to leave it, or to make the repair alone, is open. */
  readonly closed?: true;
  /** Said somewhere: of today, or of any way. */
  readonly says?: readonly FindingCode[];
  /** Said nowhere. */
  readonly never?: readonly FindingCode[];
  readonly repairs?: readonly RepairId[];
  readonly open?: readonly MethodId[];
  readonly shut?: readonly MethodId[];
  readonly recommended?: MethodId;
  readonly leaving?: 'go' | 'care' | 'pro' | 'no';
  /** Words that a move has, and words that none may have. */
  readonly moves?: RegExp;
  readonly noMove?: RegExp;
}

const HOUSES: Readonly<Record<string, Odd>> = {
  'a third wire of a boiler, with no end read at the machine': {
    sketch: wet(['RD R unseen', 'WH W unseen', 'GN G unseen', 'BU coiled unseen'], {
      board: ['R', 'C', 'W', 'G']
    }),
    says: ['wire-not-explained'],
    shut: ['add-conductor', 'plug-in-transformer', 'no-c-needed']
  },
  'a B on a boiler that nobody has read at the machine': {
    sketch: wet(['RD R R', 'WH W W', 'YE B unseen', 'BU coiled C'], { board: ['R', 'C', 'W', 'B'] }),
    model: 'de-farspeak',
    says: ['wire-not-explained'],
    shut: ['receiver-at-equipment']
  },
  'cooling on the boiler’s heat screw, two machines with commons that an earth may tie': {
    sketch: {
      strands: ['RD RH R', 'WH W W', 'BN RC R@2', 'YE Y W', 'GN G G@2', 'BU C C@2'],
      board: ['R', 'C', 'W'],
      observed: { ...thin, 'heat-from': 'radiators', 'outdoor-unit': 'rests', 'measured-volts': 26 },
      equipment: boiler,
      further: [{ kind: 'air-handler', marks: ['R', 'C', 'Y', 'G'] }]
    },
    says: ['load-runs-uncalled'],
    leaving: 'pro'
  },
  'the fan given away under strips on a mark that nobody knows': {
    sketch: {
      strands: ['RD R R', 'YE Y Y', 'GN coiled C', 'OG O O', 'WH W2 QX'],
      board: ['R', 'C', 'Y', 'G', 'O', 'QX'],
      observed: pump,
      equipment: { kind: 'air-handler' }
    },
    says: ['wire-not-explained', 'compressor-without-blower'],
    repairs: ['add-y-g-link'],
    leaving: 'care',
    shut: ['existing-c', 'add-conductor']
  },
  'a mark at the machine that nobody knows, under the wire that heats': {
    sketch: ac(['RD R R', 'WH W QX', 'YE Y Y', 'GN G G', 'BU C C'], { board: ['R', 'C', 'QX', 'Y', 'G'] }),
    closed: true,
    says: ['wire-not-explained'],
    noMove: /white/
  },
  'the same under a wire of the fan': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y Y', 'GN G M3', 'BU C C'], { board: ['R', 'C', 'W', 'Y', 'M3'] }),
    closed: true,
    says: ['wire-not-explained']
  },
  'an unmarked screw': {
    sketch: ac(['RD R R', 'WH W #1', 'YE Y Y', 'GN G G', 'BU C C']),
    closed: true,
    says: ['wire-not-explained']
  },
  'a mark on the plate that nobody knows': {
    sketch: ac(['RD R R', 'WH M4 W', 'YE Y Y', 'GN G G', 'BU C C']),
    says: ['wire-not-explained'],
    open: ['existing-c'],
    recommended: 'existing-c'
  },
  'B at both ends of a furnace': {
    sketch: ac([...R_W_Y_G, 'BU B B'], { board: [...FULL, 'B'] }),
    closed: true,
    says: ['wire-not-explained']
  },
  'B at the wall and C at the machine': {
    sketch: ac([...R_W_Y_G, 'BU B C']),
    open: ['existing-c'],
    recommended: 'existing-c',
    never: ['wire-not-explained']
  },
  'B at both ends of a heat pump': {
    sketch: {
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'DB B B', 'WH W2 W2', 'BU C C'],
      board: ['R', 'C', 'Y', 'G', 'B', 'W2'],
      observed: pump,
      equipment: { kind: 'air-handler', fuel: 'electricity' }
    },
    never: ['wire-not-explained'],
    open: ['existing-c']
  },
  'X at both ends': {
    sketch: ac([...R_W_Y_G, 'BU X X'], { board: [...FULL, 'X'] }),
    closed: true,
    says: ['wire-not-explained']
  },
  'X at the wall and C at the machine': {
    sketch: ac([...R_W_Y_G, 'BU X C']),
    open: ['existing-c'],
    never: ['wire-not-explained']
  },
  'prints of the maker’s own that the trade knows': {
    sketch: ac(['RD R 24VAC', 'WH W TH', 'YE Y Y/Y2', 'GN G F', 'BU C COM'], {
      board: ['24VAC', 'TH', 'Y/Y2', 'F', 'COM']
    }),
    open: ['existing-c'],
    never: ['wire-not-explained', 'unknown-mark'],
    recommended: 'existing-c'
  },
  'GND that may be earth': {
    sketch: ac([...R_W_Y_G, 'BU C GND'], { board: ['R', 'W', 'Y', 'G', 'GND'] }),
    closed: true,
    says: ['wire-not-explained']
  },
  'a valve with three wires, R W B': {
    sketch: wet(['RD R R', 'WH W W', 'BN B B', 'BU coiled coiled'], { board: ['R', 'W', 'B', 'C'] }),
    closed: true,
    says: ['wire-not-explained']
  },
  'a valve with three wires, R W Y': {
    sketch: wet(['RD R R', 'WH W W', 'YE Y Y', 'BU coiled coiled'], { board: ['R', 'W', 'Y', 'C'] }),
    closed: true,
    says: ['wire-not-explained'],
    noMove: /yellow/
  },
  'a valve with three wires, 4 5 6': {
    sketch: wet(['RD 4 4', 'WH 5 5', 'BN 6 6'], { board: ['4', '5', '6'] }),
    closed: true
  },
  'a machine recorded as a valve of three wires': {
    sketch: wet(['RD R R', 'WH W W'], { equipment: { kind: 'three-wire-valve' } }),
    closed: true,
    says: ['machine-not-modelled']
  },
  'an air handler on a boiler’s water': {
    sketch: ac(R_W_Y_G, { equipment: { kind: 'hydro-air' } }),
    closed: true,
    says: ['machine-not-modelled']
  },
  'steam with a fan': {
    sketch: wet(['RD R R', 'WH W W', 'GN G G'], {
      board: ['R', 'C', 'W', 'G'],
      equipment: { kind: 'fan-coil' }
    }),
    closed: true,
    says: ['machine-not-modelled']
  },
  'a fan wire on a boiler that nobody explained': {
    sketch: wet(['RD R R', 'WH W W', 'GN G G', 'BU coiled coiled'], { board: ['R', 'C', 'W', 'G'] }),
    closed: true,
    says: ['wire-not-explained']
  },
  'an oil burner with T1 T2 and a fan centre': {
    sketch: ac(['RD R T1', 'WH W T2'], { board: ['T1', 'T2'], equipment: { kind: 'oil-with-fan-centre' } }),
    closed: true,
    says: ['machine-not-modelled']
  },
  'electric heat on a 24 V relay': {
    sketch: ac(['RD R R', 'WH W W'], { equipment: { kind: 'electric-heat-relay', fuel: 'electricity' } }),
    closed: true,
    says: ['machine-not-modelled']
  },
  'two screws T on a boiler': {
    sketch: wet(['RD R T#1', 'WH W T#2', 'BU coiled coiled'], { board: ['T', 'T', 'C'] }),
    open: ['spare-conductor'],
    never: ['wire-not-explained']
  },
  'Y at the wall on Y2 of the board, and nothing on Y1': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y Y2', 'GN G G', 'BU C C'], {
      board: ['R', 'C', 'W', 'Y', 'Y2', 'G']
    }),
    recommended: 'existing-c',
    moves: /yellow wire on Y;/,
    never: ['wire-not-explained', 'dead-before']
  },
  'W and W2 linked at the board': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'], {
      board: ['R', 'C', 'W', 'W2', 'Y', 'G'],
      links: ['equipment W W2']
    }),
    recommended: 'existing-c',
    moves: /white wire on W;/
  },
  'Y loose at the machine, with an outdoor unit': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y loose', 'GN G G', 'BU C C']),
    repairs: ['land-loose-end'],
    says: ['dead-today', 'made-to-work', 'repair'],
    moves: /yellow wire on Y/
  },
  'W and G swapped, measured to be the same wires': {
    sketch: ac(['RD R R', 'WH W G', 'YE Y Y', 'GN G W', 'BU C C']),
    repairs: ['move-wrong-end'],
    says: ['load-runs-uncalled', 'repair'],
    leaving: 'care'
  },
  'W and G swapped, and nobody has measured': {
    sketch: ac(['RD R R', 'WH W G', 'YE Y Y', 'GN G W', 'BU C C'], { continuity: 'untested' }),
    closed: true,
    says: ['wire-not-explained', 'leaving-it-harms'],
    leaving: 'pro'
  },
  'the fan wire serves as C, and no jumper': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C']),
    repairs: ['add-y-g-link'],
    says: ['compressor-without-blower', 'repair'],
    moves: /Join Y to G/
  },
  'a jumper from Y to G left behind': {
    sketch: ac([...R_W_Y_G, 'BU C C'], { links: ['equipment Y G'] }),
    repairs: ['remove-y-g-link'],
    says: ['load-runs-uncalled', 'repair'],
    moves: /Remove the jumper between Y and G/
  },
  'a jumper left beside a loose end': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y loose', 'GN G G', 'BU C C'], { links: ['equipment Y G'] }),
    repairs: ['land-loose-end', 'remove-y-g-link']
  },
  'two supplies tied by a jumper at the wall': {
    sketch: wet(['RD RH R', 'WH W W', 'BN RC R@2', 'YE Y Y@2', 'GN G G@2', 'BU C C@2'], {
      further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }],
      links: ['wall RH RC'],
      observed: { ...water, 'outdoor-unit': 'rests' }
    }),
    repairs: ['part-supplies'],
    says: ['supplies-tied', 'repair'],
    moves: /Take the jumper between RH and RC out/
  },
  'a wire that was measured open, and a spare': {
    sketch: ac([...R_W_Y_G, 'BU coiled coiled']),
    never: ['repair'],
    open: ['spare-conductor']
  },
  'a supply left in an outlet': {
    sketch: ac(['RD RH R', 'WH W W', 'BU C C', 'BN RC R@plug', 'BK C C@plug'], {
      board: ['R', 'C', 'W'],
      observed: { ...air, 'outdoor-unit': 'none' }
    }),
    open: ['existing-c', 'plug-in-transformer'],
    recommended: 'existing-c',
    moves: /Pull the plug-in supply out of its outlet/,
    says: ['supplies-tied', 'repair']
  },
  'a fan given away, and a new cable': {
    sketch: ac(['RD R R', 'WH W W', 'YE Y Y', 'GN C C'], { links: ['equipment Y G'] }),
    says: ['repair'],
    open: ['new-cable']
  },
  'a common on R at the machine, measured to be one wire': {
    sketch: ac([...R_W_Y_G, 'BU C R']),
    repairs: ['move-wrong-end'],
    says: ['repair']
  },
  'a common on R at the machine, and nobody has measured': {
    sketch: ac([...R_W_Y_G, 'BU C R'], { continuity: 'untested' }),
    closed: true,
    says: ['wire-not-explained']
  },
  'volts between the classes': {
    sketch: ac(R_W_Y_G, { observed: { ...cooled, 'measured-volts': 12 } }),
    closed: true,
    says: ['voltage-class-unsettled']
  },
  'two wires that nobody has measured, at a machine that nobody has named': {
    sketch: { strands: ['RD R R', 'WH W W'], board: ['R', 'W', 'C'], observed: thin },
    closed: true,
    says: ['voltage-class-unsettled']
  },
  'two wires at a furnace whose plate was read': {
    sketch: { strands: ['RD R R', 'WH W W'], board: ['R', 'W', 'C'], observed: air, equipment: gas },
    never: ['voltage-class-unsettled'],
    open: ['plug-in-transformer']
  },
  'an electric furnace, and the user says that it is gas': {
    sketch: {
      strands: ['RD R R', 'WH W W', 'GN G G'],
      board: ['R', 'C', 'W', 'G'],
      observed: { ...thin, 'heat-from': 'registers', flue: 'none', breakers: 'large' },
      equipment: { kind: 'furnace', fuel: 'electricity' },
      stated: 'furnace'
    },
    says: ['stated-against-evidence', 'not-for-this-family'],
    shut: ['repurpose-g']
  },
  'auxiliary heat on W2 of a heat pump is no second heat stage': {
    sketch: {
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'OG O O', 'WH AUX W2', 'BU coiled coiled'],
      board: ['R', 'C', 'Y', 'G', 'O', 'W2'],
      observed: pump,
      equipment: { kind: 'air-handler', fuel: 'electricity' }
    },
    open: ['spare-conductor', 'signal-splitter'],
    never: ['wire-not-explained']
  },
  'a relay and a lamp under R of a small transformer': {
    sketch: ac([...R_W_Y_G, 'BU C C'], { equipment: { ...gas, transformerVa: 20 } }),
    open: ['existing-c']
  },
  'a spare in a cable that goes to the other machine': {
    sketch: wet(['RD RH R', 'WH W W', 'BN RC R@2', 'YE Y Y@2', 'GN G G@2', 'BK coiled coiled'], {
      board: ['R', 'W'],
      further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }],
      observed: { ...water, 'outdoor-unit': 'rests' }
    }),
    spareTo: 0,
    model: 'de-fellgate',
    shut: ['spare-conductor']
  },
  'an end of the second supply that nobody read': {
    sketch: wet(['RD RH R', 'WH W W', 'BN RC unseen', 'YE Y Y@2', 'GN G G@2'], {
      further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }],
      observed: { ...water, 'outdoor-unit': 'rests' }
    }),
    closed: true,
    says: ['end-not-read']
  },
  'an answer that its question does not have': {
    sketch: ac([...R_W_Y_G, 'BU C C'], { observed: { ...cooled, flue: 'maybe' } }),
    open: ['existing-c']
  }
};

/** The spares in a cable of their own that ends at a machine. */
function sparesTo(made: House, machine: number): House {
  const [cable] = made.thermostat.cables;
  const far = made.job.equipment[machine]?.id;
  if (!cable || !far) throw new Error('No such machine');
  const own = { ...cable, id: makeId('cable', 'spares'), name: 'second cable', far };
  return withThermostat(made, {
    cables: [cable, own],
    conductors: made.thermostat.conductors.map((conductor) =>
      conductor.near.state === 'coiled' ? { ...conductor, cable: own.id } : conductor
    )
  });
}

const planned = ({ sketch, model = 'de-fellgate', spareTo }: Odd) => {
  const made = house(sketch);
  const { job, thermostat } = spareTo === undefined ? made : sparesTo(made, spareTo);
  return { job, thermostat, plan: planFor(job, thermostat, { device: findDevice(job, model)! }) };
};

const said = (plan: Plan) =>
  new Set([
    ...plan.today.map((finding) => finding.code),
    ...plan.identification.findings.map((finding) => finding.code),
    ...plan.options.flatMap((option) => option.findings.map((finding) => finding.code))
  ]);

describe('an odd house', () => {
  it('stands for each kind of oddity', () => {
    expect(Object.keys(HOUSES).length).toBeGreaterThanOrEqual(40);
  });

  it.each(Object.entries(HOUSES))('%s', (_, odd) => {
    const { job, thermostat, plan } = planned(odd);
    const open = plan.options
      .filter((option) => option.method !== 'none' && option.verdict !== 'no')
      .map((option) => option.method);
    if (odd.closed) expect(open).toEqual([]);
    for (const method of odd.open ?? []) expect(open).toContain(method);
    for (const method of odd.shut ?? []) expect(open).not.toContain(method);
    // What is refused says why.
    for (const option of plan.options)
      if (option.verdict === 'no') expect(option.findings.length, option.method).toBeGreaterThan(0);
    const codes = said(plan);
    for (const code of odd.says ?? []) expect([...codes]).toContain(code);
    for (const code of odd.never ?? []) expect([...codes]).not.toContain(code);
    if (odd.repairs) expect(situationOf(job, thermostat).repairs).toEqual(odd.repairs);
    if (odd.recommended) expect(plan.recommended).toBe(odd.recommended);
    if (odd.leaving)
      expect(plan.options.find((option) => option.method === 'none')?.verdict).toBe(odd.leaving);
    const moves = plan.moves.map((move) => move.text).join('\n');
    if (odd.moves) expect(moves).toMatch(odd.moves);
    if (odd.noMove) expect(moves).not.toMatch(odd.noMove);
  });
});
