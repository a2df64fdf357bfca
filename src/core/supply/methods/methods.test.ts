/** Each method: one house where it is open, and those where it must not be. */
import { ref } from '../../findings/refs';
import { makeId } from '../../job/ids';
import { describe, expect, it } from 'vitest';
import { findDevice } from '../../match/catalogue';
import { planFor, type Plan, type PlannedOption } from '../../plan/plan';
import { house, type House } from '../../houses/builder';
import {
  boilerHouse,
  electricFurnaceHouse,
  furnaceFourWires,
  furnaceWithCommon,
  furnaceWithSpare,
  heatOnly,
  heatPumpHouse,
  heatPumpNoCommon,
  lineVoltageHouse
} from '../../houses/houses';
import type { MethodId } from '../../trade/vocabulary';

function planOf({ job, thermostat }: House, model = 'de-fellgate'): Plan {
  return planFor(job, thermostat, { device: findDevice(job, model) ?? null });
}

function optionOf(where: House, method: MethodId, model?: string): PlannedOption {
  const option = planOf(where, model).options.find((plannedOption) => plannedOption.method === method);
  if (!option) throw new Error(`${method} is not among the options`);
  return option;
}

const codes = (option: PlannedOption) => option.findings.map((finding) => finding.code);
const openAir = {
  'outdoor-unit': 'rests',
  flue: 'burner',
  'heat-from': 'registers',
  'conductor-build': 'thin'
};

describe('existing-c', () => {
  it('is simply done where C is landed at both ends', () => {
    expect(optionOf(furnaceWithCommon(), 'existing-c')).toMatchObject({ verdict: 'go', loses: [] });
    expect(planOf(heatPumpHouse(), 'de-onebar').recommended).toBe('existing-c');
  });

  it('is refused where C ends on nothing at the equipment, or where nobody has looked', () => {
    const loose = house({
      strands: ['RD R R', 'WH W W', 'BU C loose'],
      board: ['R', 'C', 'W'],
      observed: openAir
    });
    expect(codes(optionOf(loose, 'existing-c'))).toContain('common-one-ended');
    const unseen = house({
      strands: ['RD R R', 'WH W W', 'BU C unseen'],
      board: ['R', 'C', 'W'],
      observed: openAir
    });
    expect(optionOf(unseen, 'existing-c').verdict).toBe('no');
    expect(codes(optionOf(unseen, 'existing-c'))).toContain('end-not-read');
    // Nor has anybody seen a C on the board: to read that end finds it.
    const neither = house({
      strands: ['RD R R', 'WH W W', 'BU C unseen'],
      board: ['R', 'W'],
      observed: openAir
    });
    expect(codes(optionOf(neither, 'existing-c'))).toEqual(['end-not-read']);
  });

  it('takes a common that is landed at the equipment and coiled at the wall, once it is proven to be the same one', () => {
    const there = (continuity: 'proven' | 'untested') =>
      house({
        strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled C'],
        board: ['R', 'C', 'W', 'Y', 'G'],
        observed: openAir,
        continuity
      });
    expect(optionOf(there('proven'), 'existing-c').verdict).toBe('go');
    expect(optionOf(there('untested'), 'existing-c').verdict).toBe('care');
  });

  it('is refused for a device without a C terminal', () => {
    expect(codes(optionOf(furnaceWithCommon(), 'existing-c', 'de-pair'))).toEqual(['device-has-no-common']);
  });
});

describe('spare-conductor', () => {
  it('is done where a wire is free at both ends and proven', () => {
    expect(planOf(furnaceWithSpare()).recommended).toBe('spare-conductor');
    expect(optionOf(furnaceWithSpare(), 'spare-conductor').verdict).toBe('go');
  });

  it('names the condition where it was not measured through, and is refused where it measured open', () => {
    const spare = (continuity: 'untested' | 'broken') =>
      house({
        strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'],
        board: ['R', 'C', 'W', 'Y', 'G'],
        observed: openAir,
        continuity
      });
    expect(optionOf(spare('untested'), 'spare-conductor').verdict).toBe('care');
    expect(codes(optionOf(spare('untested'), 'spare-conductor'))).toContain('continuity-not-proven');
    expect(codes(optionOf(spare('broken'), 'spare-conductor'))).toContain('continuity-broken');
  });

  it('is refused where its other end was never found, and where C was not read on the board', () => {
    const oneEnded = house({
      strands: ['RD R R', 'WH W W', 'BU coiled unseen'],
      board: ['R', 'C', 'W'],
      observed: openAir
    });
    expect(codes(optionOf(oneEnded, 'spare-conductor'))).toEqual(['spare-one-ended']);
    const noC = house({
      strands: ['RD R R', 'WH W W', 'BU coiled coiled'],
      board: ['R', 'W'],
      observed: openAir
    });
    expect(codes(optionOf(noC, 'spare-conductor'))).toEqual(['board-mark-missing']);
    // That a wire which nobody has followed is on C at the wall makes no C on the board.
    const taken = house({
      strands: ['RD R R', 'WH W W', 'BU C unseen', 'YE coiled coiled'],
      board: ['R', 'W'],
      observed: openAir
    });
    for (const method of ['spare-conductor', 'add-conductor'] as const)
      expect(codes(optionOf(taken, method)), method).toContain('board-mark-missing');
    expect(codes(optionOf(furnaceFourWires(), 'spare-conductor'))).toEqual(['no-spare']);
  });
});

describe('repurpose-g', () => {
  it('is open on a burner furnace, with the link at the board and the fan named as lost', () => {
    const option = optionOf(furnaceFourWires(), 'repurpose-g');
    expect(option.verdict).toBe('care');
    expect(option.after?.links.map((link) => link.id)).toContain('ln-y-g');
    expect(codes(option)).toContain('function-lost');
    expect(option.proof?.worlds[0]?.rows.find((row) => row.call === 'fan')?.lost).toEqual(['blower']);
    expect(option.proof?.worlds[0]?.rows.find((row) => row.call === 'cool1')?.lost).toEqual([]);
  });

  it('is refused for a heat pump, where the circuit shows strips without air', () => {
    const option = optionOf(heatPumpNoCommon(), 'repurpose-g');
    expect(option.verdict).toBe('no');
    expect(codes(option)).toEqual(expect.arrayContaining(['not-for-this-family', 'strips-without-blower']));
  });

  it('is refused for an electric furnace, where it burns in one of the two ways its board may be', () => {
    const option = optionOf(electricFurnaceHouse(), 'repurpose-g');
    expect(codes(option)).toEqual(expect.arrayContaining(['not-for-this-family', 'strips-without-blower']));
  });

  it('is left to the circuit where there are no strips: a house that only cools keeps its blower by the link', () => {
    const cool = house({
      strands: ['RD R R', 'YE Y Y', 'GN G G'],
      board: ['R', 'C', 'Y', 'G'],
      observed: { 'conductor-build': 'thin', 'measured-volts': 27 },
      stated: 'cooling-only'
    });
    const option = optionOf(cool, 'repurpose-g');
    expect(option.verdict).toBe('care');
    expect(
      option.findings.filter((finding) => finding.code === 'function-lost').map((finding) => finding.because)
    ).toEqual([[ref.call('fan')]]);
  });

  it('needs no link where nothing cools, and is refused without a G wire', () => {
    const noCooling = house({
      strands: ['RD R R', 'WH W W', 'GN G G'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: { ...openAir, 'outdoor-unit': 'none' }
    });
    expect(optionOf(noCooling, 'repurpose-g').after?.links.filter((link) => link.at !== 'th-1')).toEqual([]);
    expect(codes(optionOf(heatOnly(), 'repurpose-g'))).toEqual(['fan-conductor-missing']);
  });
});

describe('plug-in-transformer', () => {
  it('is open for a heat-only pair', () => {
    expect(optionOf(heatOnly(), 'plug-in-transformer').verdict).toBe('go');
    expect(optionOf(boilerHouse(), 'plug-in-transformer').verdict).toBe('go');
  });

  it('is refused where it would leave cooling without a return: the circuit says so, not a rule', () => {
    const option = optionOf(furnaceFourWires(), 'plug-in-transformer');
    expect(option.verdict).toBe('no');
    expect(
      option.findings.filter((finding) => finding.level === 'stop').map((finding) => finding.code)
    ).toEqual(['function-lost']);
  });

  it('is refused for a device whose hot terminals cannot be parted, and without an outlet', () => {
    for (const model of ['de-weftline', 'de-onebar']) {
      const option = optionOf(heatOnly(), 'plug-in-transformer', model);
      expect(option.verdict).toBe('no');
      // The circuit refuses it; the remark only says why it comes to that.
      expect(option.findings.find((finding) => finding.level === 'stop')?.code).toBe('supplies-tied');
      expect(option.findings.find((finding) => finding.code === 'rails-not-separable')?.level).toBe('note');
    }
    const noOutlet = house({
      strands: ['RD R R', 'WH W W'],
      board: ['R', 'C', 'W'],
      observed: { ...openAir, 'measured-volts': 26 },
      outlet: 'none'
    });
    expect(codes(optionOf(noOutlet, 'plug-in-transformer'))).toEqual(['no-outlet']);
  });
});

describe('new-cable', () => {
  it('is open where the old one moves, and keeps every function', () => {
    const option = optionOf(furnaceFourWires(), 'new-cable');
    expect(option.verdict).toBe('go');
    expect(option.proof?.worlds.flatMap((world) => world.rows.flatMap((row) => row.lost))).toEqual([]);
  });

  it('leaves spares in the new cable, each with a colour of its own', () => {
    const strands = optionOf(furnaceFourWires(), 'new-cable').after?.strands ?? [];
    const colours = strands.map((strand) => strand.colour);
    expect(strands.some((strand) => strand.near.state === 'coiled')).toBe(true);
    expect(new Set(colours).size).toBe(colours.length);
  });

  it('is refused where the cable is stapled, and careful where nobody has pulled at it', () => {
    const path = (way: 'stapled' | 'unknown') =>
      house({
        strands: ['RD R R', 'WH W W'],
        board: ['R', 'C', 'W'],
        observed: { ...openAir, 'measured-volts': 26 },
        path: way
      });
    expect(codes(optionOf(path('stapled'), 'new-cable'))).toContain('cable-stapled');
    expect(optionOf(path('unknown'), 'new-cable').verdict).toBe('care');
  });
});

describe('no-c-needed', () => {
  it('stands below a common for a device that could have one, and says what sleeps', () => {
    const plan = planOf(furnaceWithSpare(), 'de-twobridge');
    expect(plan.recommended).toBe('spare-conductor');
    const cells = plan.options.find((option) => option.method === 'no-c-needed');
    expect(cells?.loses).toContainEqual({ what: 'radio-asleep' });
    expect(planOf(furnaceWithSpare(), 'de-pair').recommended).toBe('no-c-needed');
  });

  it('is open for a device on batteries or one that charges itself, with what the circuit cannot tell', () => {
    expect(optionOf(furnaceFourWires(), 'no-c-needed', 'de-pair').verdict).toBe('go');
    expect(codes(optionOf(furnaceFourWires(), 'no-c-needed'))).toEqual(['device-needs-supply']);
    const idle = optionOf(furnaceFourWires(), 'no-c-needed', 'de-sipper');
    expect(idle.verdict).toBe('care');
    expect(codes(idle)).toContain('supply-not-proven');
    expect(optionOf(furnaceFourWires(), 'no-c-needed', 'de-twobridge').verdict).toBe('care');
  });
});

describe('none', () => {
  it('is all that is left on mains, and names a licensed person', () => {
    const plan = planOf(lineVoltageHouse());
    expect(plan.recommended).toBe('none');
    expect(plan.moves).toEqual([]);
    expect(
      plan.options
        .filter((option) => option.verdict !== 'no')
        .map((option) => [option.method, option.verdict])
    ).toEqual([['none', 'pro']]);
  });

  it('is never recommended while a safe way is open', () => {
    expect(planOf(furnaceFourWires()).recommended).not.toBe('none');
  });
});

describe('what closes every way', () => {
  it('a record that contradicts itself', () => {
    const where = furnaceWithSpare();
    const [first, ...rest] = where.thermostat.conductors;
    const twice = {
      ...first!,
      near: {
        state: 'landed' as const,
        on: [...first!.near.on, { at: where.thermostat.id, screw: makeId('screw', 'c') }]
      }
    };
    const thermostat = { ...where.thermostat, conductors: [twice, ...rest] };
    const plan = planFor({ ...where.job, thermostats: [thermostat] }, thermostat);
    expect(plan.recommended).toBe('none');
    expect(plan.options.find((option) => option.method === 'spare-conductor')?.findings[0]?.code).toBe(
      'landed-twice'
    );
  });

  it('a system that nothing is known of', () => {
    const plan = planOf(house({ strands: ['RD unseen unseen', 'WH unseen unseen'] }));
    expect(plan.recommended).toBe('none');
  });
});

const shown = (option: PlannedOption) => option.variants.map((variant) => [variant.id, variant.verdict]);
const losesCalls = (option: PlannedOption) => codes(option).filter((code) => code === 'function-lost');

describe('combined-terminal-adapter', () => {
  it('keeps every function on four wires, either way round, for a device that has the terminal', () => {
    const option = optionOf(furnaceFourWires(), 'combined-terminal-adapter', 'de-weftline');
    expect(shown(option)).toEqual([
      ['g-becomes-c', 'go'],
      ['y-becomes-c', 'go']
    ]);
    expect(losesCalls(option)).toEqual([]);
    expect(option.moves.map((move) => move.text).join(' ')).toContain('Screw the adapter to bare metal');
  });

  it('is refused for other devices, without a fan wire, and with two transformers', () => {
    const refuses = (where: House, model: string) =>
      codes(optionOf(where, 'combined-terminal-adapter', model));
    expect(refuses(furnaceFourWires(), 'de-fellgate')).toEqual(['device-has-no-combined']);
    expect(refuses(heatOnly(), 'de-weftline')).toContain('fan-conductor-missing');
    const two = house({
      strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2', 'GN G G@2'],
      board: ['R', 'C', 'W'],
      further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'] }],
      observed: { 'conductor-build': 'thin', 'heat-from': 'radiators', 'outdoor-unit': 'rests' }
    });
    expect(optionOf(two, 'combined-terminal-adapter', 'de-weftline').verdict).toBe('no');
  });
});

describe('signal-splitter', () => {
  it('frees a wire for any thermostat with a C, and says what it asks for', () => {
    const option = optionOf(furnaceFourWires(), 'signal-splitter');
    expect(option.verdict).toBe('care');
    expect(losesCalls(option)).toEqual([]);
    expect(codes(option)).toContain('room-behind-plate');
  });

  it('is refused where nothing is on G', () => {
    expect(codes(optionOf(heatOnly(), 'signal-splitter'))).toContain('fan-conductor-missing');
  });
});

describe('add-conductor', () => {
  it('is open where the old cable moves, and refused where it is stapled', () => {
    expect(optionOf(furnaceFourWires(), 'add-conductor').verdict).toBe('go');
    const base = furnaceFourWires();
    const cables = base.thermostat.cables.map((cable) => ({ ...cable, path: 'stapled' as const }));
    const thermostat = { ...base.thermostat, cables };
    const stapled = { job: { ...base.job, thermostats: [thermostat] }, thermostat };
    expect(codes(optionOf(stapled, 'add-conductor'))).toContain('cable-stapled');
  });
});

describe('added-transformer', () => {
  it('takes a licensed person, and is good for heat alone', () => {
    const option = optionOf(heatOnly(), 'added-transformer');
    expect(option.verdict).toBe('pro');
    expect(losesCalls(option)).toEqual([]);
  });

  it('shows that cooling has no return on it, and offers two spares where there are two', () => {
    expect(losesCalls(optionOf(furnaceFourWires(), 'added-transformer')).length).toBeGreaterThan(0);
    const spares = house({
      strands: ['RD R R', 'WH W W', 'BU coiled coiled', 'BK coiled coiled'],
      board: ['R', 'C', 'W'],
      observed: { ...openAir, 'outdoor-unit': 'none' },
      continuity: 'proven'
    });
    expect(
      shown(optionOf(spares, 'added-transformer'))
        .map(([id]) => id)
        .sort()
    ).toEqual(['new-pair', 'two-spares']);
  });
});

describe('receiver-at-equipment', () => {
  it('keeps every function without a wire at the wall, for a device that is made so', () => {
    const option = optionOf(furnaceFourWires(), 'receiver-at-equipment', 'de-farspeak');
    expect(option.verdict).toBe('care');
    expect(losesCalls(option)).toEqual([]);
    expect(option.after?.strands.every((strand) => strand.near.state === 'coiled')).toBe(true);
    expect(
      planOf(furnaceFourWires(), 'de-farspeak').options.find(
        (plannedOption) => plannedOption.method === 'new-cable'
      )?.verdict
    ).toBe('no');
  });

  it('is refused for a device that is wired at the wall', () => {
    expect(codes(optionOf(furnaceFourWires(), 'receiver-at-equipment'))).toEqual(['device-has-no-receiver']);
  });
});
