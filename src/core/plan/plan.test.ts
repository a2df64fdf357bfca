import { ref } from '../findings/refs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { running } from '../circuit/expected';
import { simulate } from '../circuit/simulate';
import { CATALOGUE, findDevice } from '../match/catalogue';
import { house, type House } from '../houses/builder';
import { furnaceFourWires, furnaceWithSpare, HOUSES, heatOnly } from '../houses/houses';
import { prove } from '../proof/prove';
import { offersIn } from '../supply/options';
import { situationOf } from '../supply/situation';
import { applyChange, difference, reverseChange } from '../wiring/difference';
import { sortedWiring, type Wiring } from '../wiring/graph';
import { applyMoves, movesBetween } from './moves';
import { planFor } from './plan';

const planned = (where: House, model = 'de-fellgate') =>
  planFor(where.job, where.thermostat, { device: findDevice(where.job, model) ?? null });

/** Devices that between them open every method: two hot terminals, one combined, a receiver, cells. */
const DEVICES = CATALOGUE.filter((device) =>
  ['de-fellgate', 'de-weftline', 'de-farspeak', 'de-pair'].includes(device.id)
);

/** Every pair of before and after that any method makes in the houses, and in random ones: as offered, for moves do not ask what was proven. */
function pairs(where: House): [Wiring, Wiring][] {
  const situation = situationOf(where.job, where.thermostat);
  return DEVICES.flatMap((device) =>
    offersIn(situation, device).flatMap(({ method, offer }): [Wiring, Wiring][] =>
      // Left as it is, an old adapter stays with all that is on it; so it does where only something is put right.
      offer.after && method.id !== 'none' ? [[situation.found, offer.after]] : []
    )
  );
}

const mark = fc.constantFrom('R', 'C', 'W', 'Y', 'G', 'O', 'loose', 'coiled', 'unseen');
const anyHouse = fc
  .record({
    strands: fc.array(
      fc.tuple(fc.constantFrom('RD', 'WH', 'BU', 'GN'), mark, mark).map((words) => words.join(' ')),
      { minLength: 1, maxLength: 7 }
    ),
    board: fc.subarray(['R', 'C', 'W', 'Y', 'G', 'O']),
    stated: fc.constantFrom(
      'furnace' as const,
      'furnace-ac' as const,
      'heat-pump' as const,
      'electric-furnace' as const,
      'boiler' as const
    )
  })
  .map((sketch) =>
    house({
      ...sketch,
      observed: { 'conductor-build': 'thin', 'heat-from': 'registers', 'measured-volts': 27 }
    })
  );

/** The same with an adapter of the old thermostat somewhere in line, whole or not. */
const farEnd = fc.constantFrom(
  'R',
  'C',
  'W',
  'Y',
  'G',
  'K@2',
  'C@2',
  'Y@2',
  'R@2',
  'loose',
  'coiled',
  'unseen'
);
const houseWithAdapter = fc
  .record({
    strands: fc.array(
      fc.tuple(fc.constantFrom('RD', 'WH', 'BU', 'GN'), mark, farEnd).map((words) => words.join(' ')),
      { minLength: 1, maxLength: 7 }
    ),
    board: fc.subarray(['R', 'C', 'W', 'Y', 'G']),
    adapter: fc.subarray(['R', 'C', 'K', 'Y', 'G'])
  })
  .map(({ strands, board, adapter }) =>
    house({
      strands,
      board,
      stated: 'furnace-ac',
      observed: { 'conductor-build': 'thin', 'measured-volts': 27 },
      further: [{ name: 'grey module', kind: 'old-adapter', marks: adapter, transformerVa: null }]
    })
  );

describe('moves', () => {
  it('turn the before graph into the after graph, for every house, method and device', () => {
    for (const make of Object.values(HOUSES)) {
      for (const [before, after] of pairs(make())) {
        expect(sortedWiring(applyMoves(before, movesBetween(before, after)))).toEqual(sortedWiring(after));
      }
    }
  });

  it('do so for random records too, and the difference can be walked back', () => {
    fc.assert(
      fc.property(anyHouse, (where) => {
        for (const [before, after] of pairs(where)) {
          expect(sortedWiring(applyMoves(before, movesBetween(before, after)))).toEqual(sortedWiring(after));
          const back = difference(before, after).map(reverseChange).reverse();
          expect(sortedWiring(back.reduce(applyChange, after))).toEqual(sortedWiring(before));
        }
      }),
      { numRuns: 40 }
    );
  }, 30_000);

  it('do so where an adapter of the old thermostat is in line, and never leave it or anything on it', () => {
    let seen = 0;
    fc.assert(
      fc.property(houseWithAdapter, (where) => {
        for (const [before, after] of pairs(where)) {
          expect(sortedWiring(applyMoves(before, movesBetween(before, after)))).toEqual(sortedWiring(after));
          seen += 1;
          expect(JSON.stringify(after)).not.toContain('eq-2');
        }
      }),
      { numRuns: 25 }
    );
    expect(seen).toBeGreaterThan(20);
  }, 30_000);

  it('begin with every supply off and end with every supply on', () => {
    const { moves } = planned(furnaceWithSpare());
    const power = moves.map((move) => move.action.startsWith('power'));
    expect(moves.slice(0, 2).map((move) => [move.action, move.what])).toEqual([
      ['power-off', 'outdoor-unit'],
      ['power-off', 'eq-1']
    ]);
    expect(power.indexOf(false)).toBe(2);
    expect(power.lastIndexOf(false)).toBe(moves.length - 3);
  });

  it('take one wire at a time at the equipment, and stay at one place until it is done', () => {
    const option = planned(furnaceFourWires()).options.find(
      (plannedOption) => plannedOption.method === 'repurpose-g'
    );
    const atEquipment = (option?.moves ?? []).filter(
      (move) => move.end === 'equipment' && !move.action.startsWith('power')
    );
    expect(atEquipment.map((move) => move.action)).toEqual(['lift', 'land', 'link']);
    const ends = (option?.moves ?? [])
      .filter((move) => !move.action.startsWith('power'))
      .map((move) => move.end);
    expect(ends.lastIndexOf('equipment')).toBeLessThan(ends.indexOf('wall'));
  });

  it('prove an untested spare before it is landed', () => {
    const spare = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: furnaceWithSpare().thermostat.observed,
      continuity: 'untested'
    });
    const actions = planned(spare)
      .moves.filter((move) => move.what === 'co-5')
      .map((move) => move.action);
    expect(actions).toEqual(['check', 'land', 'land']);
  });

  it('plug a plug-in supply in last of all', () => {
    const option = planned(heatOnly()).options.find(
      (plannedOption) => plannedOption.method === 'plug-in-transformer'
    );
    expect(option?.moves.at(-1)).toMatchObject({ action: 'power-on', place: 'outlet' });
  });

  it('refuse a change that was made for another wiring', () => {
    const { wiringBefore, moves } = planned(furnaceWithSpare());
    const once = applyMoves(wiringBefore, moves);
    expect(() => applyMoves(once, moves)).toThrow();
  });
});

describe('the plan', () => {
  it('gives no moves for a way that is refused, and the reasons instead', () => {
    const where = furnaceFourWires();
    const plan = planFor(where.job, where.thermostat, {
      method: 'plug-in-transformer',
      device: findDevice(where.job, 'de-fellgate') ?? null
    });
    expect(plan.taken).toBe('plug-in-transformer');
    expect(plan.moves).toEqual([]);
  });

  it('plans for any connected thermostat until one is chosen, and says so', () => {
    const where = furnaceWithSpare();
    const plan = planFor(where.job, where.thermostat);
    expect(plan.assumedDevice).toBe(true);
    expect(plan.recommended).toBe('spare-conductor');
  });

  it('ranks what exists over what is added, and that over what is given up, and says why', () => {
    const options = planned(furnaceWithSpare()).options.filter((option) => option.verdict !== 'no');
    expect(options.map((option) => option.method)).toEqual([
      'spare-conductor',
      'add-conductor',
      'new-cable',
      'signal-splitter',
      'repurpose-g',
      'none'
    ]);
    expect(options[0]?.whyAbove).toContain('it uses what is there already');
    expect(options[1]?.whyAbove).toContain('it is less work');
    // A way without conditions stands above one of its kind that has some.
    expect(options[2]?.whyAbove).toContain('nothing has to be watched with it');
    expect(options[3]?.whyAbove).toContain('every function works afterwards');
    expect(options.at(-1)?.whyAbove).toContain('refused');
  });

  it('lets the user weigh work, cost and looks, and never harm or lost functions', () => {
    const order = (minds: { cost: 0 | 1 | 2; work: 0 | 1 | 2; looks: 0 | 1 | 2 }) => {
      const where = furnaceFourWires();
      const thermostat = { ...where.thermostat, minds };
      const plan = planFor({ ...where.job, thermostats: [thermostat] }, thermostat, {
        device: findDevice(where.job, 'de-fellgate') ?? null
      });
      return plan.options.map((option) => [option.method, option.verdict] as const);
    };
    const cheap = order({ cost: 2, work: 0, looks: 1 }).map(([method]) => method);
    const quick = order({ cost: 0, work: 2, looks: 1 }).map(([method]) => method);
    expect(cheap.indexOf('add-conductor')).toBeLessThan(cheap.indexOf('signal-splitter'));
    expect(quick.indexOf('signal-splitter')).toBeLessThan(quick.indexOf('add-conductor'));
    for (const ways of [order({ cost: 2, work: 2, looks: 2 }), order({ cost: 0, work: 0, looks: 0 })]) {
      const verdicts = ways.map(([, verdict]) => verdict === 'no');
      expect(verdicts.indexOf(true)).toBe(verdicts.lastIndexOf(false) + 1);
      const kept = ways.findIndex(([method]) => method === 'repurpose-g');
      expect(ways.findIndex(([method]) => method === 'new-cable')).toBeLessThan(kept);
    }
  });

  it('counts the worse of both boards in cooling: one that starts the blower on Y would do, one that waits for G does not', () => {
    const noFan = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y', 'BU C C'],
      board: ['R', 'W', 'Y', 'G', 'C'],
      observed: furnaceFourWires().thermostat.observed
    });
    const plan = planned(noFan);
    const option = plan.options.find((plannedOption) => plannedOption.method === 'existing-c')!;
    // It is found in the record, and put right with the work.
    expect(option.findings.map((finding) => finding.code)).toContain('repair');
    const situation = situationOf(noFan.job, noFan.thermostat);
    const asItIs = { ...option.after!, links: option.after!.links.filter((link) => link.at === 'th-1') };
    const proof = prove({
      before: situation.found,
      after: asItIs,
      worlds: situation.worlds,
      needsSupply: 'always'
    });
    expect(proof.findings.map((finding) => finding.code)).toContain('compressor-without-blower');
    const [known] = proof.worlds;
    const by = (blowerInCool: 'board' | 'g') => simulate(asItIs, { ...known!.world, blowerInCool }, 'cool1');
    const runs = (made: ReturnType<typeof by>) => (made.ok ? running(made.result.loads) : []);
    expect(runs(by('board'))).toEqual(expect.arrayContaining(['compressor', 'blower']));
    expect(runs(by('g'))).not.toContain('blower');
    // Both are of one circuit: what is read of the one serves the other, and each keeps its own meaning of a coil.
    expect(runs(by('board'))).toContain('blower');
  });

  it('counts minutes and parts', () => {
    const option = planned(furnaceFourWires()).options.find(
      (plannedOption) => plannedOption.method === 'new-cable'
    );
    expect(option?.minutes).toBeGreaterThan(100);
    expect(option?.cost).toBe(option?.parts.reduce((sum, part) => sum + part.cost, 0));
  });

  it('does not rest on an end that nobody has seen without saying so', () => {
    const where = house({
      strands: ['RD R R', 'WH W W', 'YE Y unseen', 'GN G G', 'BU coiled coiled'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: furnaceWithSpare().thermostat.observed
    });
    const best = planned(where).options[0];
    expect(best?.verdict).toBe('care');
    expect(best?.findings.find((finding) => finding.code === 'end-not-read')?.because).toEqual([
      ref.conductor('co-3')
    ]);
  });
});

describe('insulation that cracks', () => {
  const methodsThatSay = (insulation: 'sound' | 'brittle') => {
    const { job, thermostat } = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      insulation,
      observed: {
        'conductor-build': 'thin',
        'heat-from': 'registers',
        flue: 'burner',
        'outdoor-unit': 'rests'
      },
      equipment: { kind: 'furnace', fuel: 'gas' }
    });
    const plan = planFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null });
    return plan.options
      .filter(({ findings }) => findings.some(({ code }) => code === 'brittle-insulation'))
      .map(({ method, verdict }) => [method, verdict]);
  };

  it('is a condition of each way that bends the old wires, and none of a new cable', () => {
    const said = methodsThatSay('brittle');
    expect(said).toContainEqual(['spare-conductor', 'care']);
    expect(said.map(([method]) => method)).toContain('add-conductor');
    expect(said.map(([method]) => method)).not.toContain('new-cable');
    expect(said.map(([method]) => method)).not.toContain('none');
  });

  it('is said of no sound cable', () => {
    expect(methodsThatSay('sound')).toEqual([]);
  });
});
