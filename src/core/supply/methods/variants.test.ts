/** Choices inside the methods, and houses that bring something of their own: two commons, an old adapter, a loose end. */
import { describe, expect, it } from 'vitest';
import { findDevice } from '../../match/catalogue';
import { applyMoves } from '../../plan/moves';
import { planFor, type PlannedOption } from '../../plan/plan';
import { house, type House } from '../../houses/builder';
import {
  boilerPlusAcHouse,
  furnaceWithCommon,
  furnaceFourWires,
  heatOnly,
  oldAdapterHouse
} from '../../houses/houses';
import type { MethodId } from '../../trade/vocabulary';
import { landedTerminal, sortedWiring } from '../../wiring/graph';

function optionOf(
  { job, thermostat }: House,
  method: MethodId,
  model: string,
  variant?: string
): PlannedOption {
  const plan = planFor(job, thermostat, {
    device: findDevice(job, model) ?? null,
    method,
    variant: variant ?? null
  });
  const option = plan.options.find((plannedOption) => plannedOption.method === method);
  if (!option) throw new Error(`${method} is not among the options`);
  return option;
}
const codes = (option: PlannedOption) => option.findings.map((finding) => finding.code);
const far = (option: PlannedOption, strand: string) =>
  landedTerminal(
    option.after?.strands.find((candidate) => candidate.id === strand)?.far ?? { state: 'loose' }
  );

describe('a common where two supplies reach the wall', () => {
  it('comes from the machine that feeds the electronics, and the circuit refuses the other', () => {
    const spare = boilerPlusAcHouse(['BK coiled coiled']);
    const right = optionOf(spare, 'spare-conductor', 'de-fellgate');
    expect(right.verdict).not.toBe('no');
    expect(far(right, 'co-6')).toBe('eq-2.C');
    const wrong = optionOf(spare, 'spare-conductor', 'de-fellgate', '@eq-1');
    expect(far(wrong, 'co-6')).toBe('eq-1.C');
    expect(wrong.verdict).toBe('no');
    expect(codes(wrong)).toContain('thermostat-unfed');
    expect(right.variants.map((variant) => variant.title)).toEqual([
      'common of air handler',
      'common of boiler'
    ]);
  });

  it('is one of two that are landed; the other comes off, since both on one terminal tie the supplies', () => {
    const both = boilerPlusAcHouse(['BK C C', 'BN C C@2']);
    const option = optionOf(both, 'existing-c', 'de-fellgate');
    expect(option.verdict).not.toBe('no');
    expect(option.after?.strands.find((strand) => strand.id === 'co-6')?.near.state).toBe('coiled');
    expect(landedTerminal(option.after!.strands.find((strand) => strand.id === 'co-7')!.near)).toBe(
      'de-fellgate.C'
    );
    expect(option.variants).toHaveLength(2);
  });
});

describe('an adapter of the old thermostat in line', () => {
  it('works in the circuit of before: the compressor and the blower by one wire', () => {
    const { before } = planFor(oldAdapterHouse().job, oldAdapterHouse().thermostat);
    const cooling = before.find((result) => result.call === 'cool1')?.loads.filter((load) => load.energised);
    expect(cooling?.map((load) => load.id).sort()).toEqual(['blower', 'compressor']);
  });

  it('comes out, whichever way is taken, in the same move list', () => {
    const option = optionOf(oldAdapterHouse(['BK coiled coiled']), 'spare-conductor', 'de-fellgate');
    expect(option.verdict).toBe('care');
    expect(codes(option)).toContain('old-adapter-in-line');
    expect(option.after?.devices.some((device) => device.kind === 'adapter')).toBe(false);
    expect([far(option, 'co-3'), far(option, 'co-4'), far(option, 'co-5')]).toEqual([
      'eq-1.Y1',
      'eq-1.G',
      'eq-1.C'
    ]);
    expect(sortedWiring(applyMoves(option.before, option.moves))).toEqual(sortedWiring(option.after!));
    const out = option.moves.findIndex(
      (move) => move.action === 'mount' && move.what === 'eq-2' && move.to === ''
    );
    const lifted = option.moves.findIndex((move) => move.action === 'lift' && move.from === 'eq-2.K');
    const landed = option.moves.findIndex((move) => move.action === 'land' && move.to === 'eq-1.Y1');
    expect(lifted).toBeLessThan(out);
    expect(out).toBeLessThan(landed);
    expect(option.moves[out]?.text).toContain('it belonged to the old thermostat');
  });

  it('is exchanged for the one of the new device where that puts both calls on one wire too', () => {
    const option = optionOf(oldAdapterHouse(), 'combined-terminal-adapter', 'de-weftline', 'g-becomes-c');
    expect(option.verdict).toBe('care');
    expect(option.findings.filter((finding) => finding.code === 'function-lost')).toEqual([]);
    const mounted = option.moves.filter((move) => move.action === 'mount').map((move) => move.text);
    expect(mounted.some((text) => text.startsWith('Unscrew the grey module'))).toBe(true);
    expect(mounted.some((text) => text.startsWith('Screw the adapter to bare metal'))).toBe(true);
  });
});

describe('wires that hang loose at the equipment', () => {
  const loose = house({
    strands: ['RD R R', 'WH W W', 'BU C loose', 'OG HUM loose'],
    board: ['R', 'C', 'W'],
    observed: furnaceFourWires().thermostat.observed,
    stated: 'furnace'
  });

  it('are landed where they serve: the one on C at the wall becomes the common', () => {
    const option = optionOf(loose, 'spare-conductor', 'de-fellgate');
    expect(option.verdict).not.toBe('no');
    expect(far(option, 'co-3')).toBe('eq-1.C');
    expect(codes(option)).toContain('common-one-ended');
  });

  it('are wrapped back where they do not, at both ends, so that no bare end is left', () => {
    const option = optionOf(loose, 'spare-conductor', 'de-fellgate');
    const orange = option.after?.strands.find((strand) => strand.id === 'co-4');
    expect([orange?.near.state, orange?.far.state]).toEqual(['coiled', 'coiled']);
    const capped = option.moves.filter((move) => move.what === 'co-4' && move.action === 'cap');
    expect(capped.map((move) => move.end).sort()).toEqual(['equipment', 'wall']);
  });
});

describe('a receiver', () => {
  const model = 'de-farspeak';
  it('sits at the equipment with a wall part on cells or on a small supply, or takes the old place where a common is', () => {
    const ways = (where: House) =>
      optionOf(where, 'receiver-at-equipment', model).variants.map((variant) => variant.id);
    expect(ways(furnaceWithCommon()).sort()).toEqual(['at-the-wall', 'cells', 'small-supply']);
    expect(ways(furnaceFourWires()).sort()).toEqual(['cells', 'small-supply']);
    const supplied = optionOf(furnaceFourWires(), 'receiver-at-equipment', model, 'small-supply');
    expect(supplied.parts.map((part) => part.id)).toEqual(['wall-part-supply']);
  });

  it('keeps every function in the old place, on the wires that are there', () => {
    const option = optionOf(furnaceWithCommon(), 'receiver-at-equipment', model, 'at-the-wall');
    expect(option.verdict).toBe('care');
    expect(option.findings.some((finding) => finding.code === 'function-lost')).toBe(false);
    expect(
      option.moves.filter((move) => move.end === 'equipment' && !move.action.startsWith('power'))
    ).toEqual([]);
  });
});

describe('a device that may report a fault although it works', () => {
  it('is said to, from the circuit, where one hot side has no common of its own', () => {
    const option = optionOf(heatOnly(), 'plug-in-transformer', 'de-fellgate');
    const said = option.findings.find((finding) => finding.code === 'device-may-complain');
    expect(said?.params).toMatchObject({ mark: 'RH' });
    expect(option.verdict).not.toBe('no');
  });

  it('is not where both sides are fed by the transformer whose common it has', () => {
    expect(codes(optionOf(furnaceWithCommon(), 'existing-c', 'de-fellgate'))).not.toContain(
      'device-may-complain'
    );
  });
});

describe('the maker’s word on adapters', () => {
  it('closes the splitter for a device whose sheet takes none', () => {
    expect(optionOf(furnaceFourWires(), 'signal-splitter', 'de-fellgate').verdict).not.toBe('no');
    const thrift = optionOf(furnaceFourWires(), 'signal-splitter', 'de-thrift');
    expect(thrift.verdict).toBe('no');
    expect(codes(thrift)).toContain('adapter-not-for-this');
  });
});

const openAir = {
  'outdoor-unit': 'rests',
  flue: 'burner',
  'heat-from': 'registers',
  'conductor-build': 'thin'
};

describe('a wire that is loose at the machine and on O at the wall', () => {
  const onO = (stated: 'heat-pump' | 'furnace-ac', observed: Record<string, string>) =>
    house({
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'WH W W', 'OG O loose'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      stated,
      observed
    });

  it('is no spare on a heat pump: it is the valve’s, and somebody misses it', () => {
    const pump = onO('heat-pump', { ...openAir, 'outdoor-unit': 'runs', flue: 'none' });
    expect(codes(optionOf(pump, 'spare-conductor', 'de-fellgate'))).toEqual(['no-spare']);
  });

  it('is free on a furnace, where an O carries nothing', () => {
    expect(optionOf(onO('furnace-ac', openAir), 'spare-conductor', 'de-fellgate').loses).toEqual([
      { what: 'spare', conductor: 'orange' }
    ]);
  });
});

describe('a receiver on the old plate’s place', () => {
  it('hangs only on a common whose other end somebody has seen', () => {
    const atWall = (end: string) => {
      const where = house({
        strands: ['RD R R', 'WH W W', `BU C ${end}`],
        board: ['R', 'C', 'W'],
        observed: { ...openAir, 'outdoor-unit': 'none' }
      });
      return optionOf(where, 'receiver-at-equipment', 'de-farspeak', 'at-the-wall');
    };
    expect(atWall('C')).toMatchObject({ verdict: 'care', variant: { id: 'at-the-wall' } });
    expect(atWall('unseen')).toMatchObject({ verdict: 'no', variant: { id: 'at-the-wall' } });
  });
});

describe('variants', () => {
  const shown = ({ variants }: PlannedOption) => variants.map(({ id, verdict }) => [id, verdict]);

  it('offers each spare, each cable that is large enough, each run of a cord, and takes the one asked for', () => {
    const two = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled', 'BK coiled coiled'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: openAir,
      continuity: 'proven'
    });
    expect(shown(optionOf(two, 'spare-conductor', 'de-fellgate'))).toEqual([
      ['co-5', 'go'],
      ['co-6', 'go']
    ]);
    const plan = planFor(two.job, two.thermostat, { method: 'spare-conductor', variant: 'co-6' });
    expect(plan.moves.some((move) => move.what === 'co-6' && move.action === 'land')).toBe(true);
    expect(plan.moves.some((move) => move.what === 'co-5')).toBe(false);
    const cable = optionOf(two, 'new-cable', 'de-fellgate');
    expect(cable.variant?.id).toBe('8');
    expect(cable.variants.find((variant) => variant.id === '3')).toMatchObject({
      verdict: 'no',
      closedBy: { code: 'cable-too-few' }
    });
    expect(shown(optionOf(heatOnly(), 'plug-in-transformer', 'de-fellgate')).map(([id]) => id)).toEqual([
      'listed-cable',
      'cord-on-face'
    ]);
  });
});
