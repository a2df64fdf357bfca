/** Each kind of fault: where it may hit, and what the circuit shows of it, as one would see it in the house. */
import { describe, expect, it } from 'vitest';
import { running } from '../../circuit/expected';
import { netlistOf } from '../../circuit/netlist';
import { simulate } from '../../circuit/simulate';
import type { World } from '../../devices/world';
import { findDevice } from '../../match/catalogue';
import { planFor } from '../../plan/plan';
import type { House } from '../../houses/builder';
import { worldOf } from '../../houses/hand-wired';
import { furnaceFourWires, furnaceWithCommon, heatOnly } from '../../houses/houses';
import type { Call } from '../../trade/calls';
import type { LoadId, MethodId } from '../../trade/vocabulary';
import type { Wiring } from '../../wiring/graph';
import { FAULT_KINDS, type Fault } from '../types';
import { faultsOf } from './registry';

function planned({ job, thermostat }: House, method: MethodId): Wiring {
  const device = findDevice(job, 'de-fellgate') ?? null;
  const { wiringAfter } = planFor(job, thermostat, { device, method });
  if (!wiringAfter) throw new Error(`${method} has no wiring`);
  return wiringAfter;
}

const furnace = worldOf('furnace-ac');
const whole = planned(furnaceWithCommon(), 'existing-c');
const linked = planned(furnaceFourWires(), 'repurpose-g');
const plugged = planned(heatOnly(), 'plug-in-transformer');

const all = (wiring: Wiring, world: World) => faultsOf(wiring, netlistOf(wiring, world)!);

function fault(wiring: Wiring, id: string, world = furnace): Fault {
  const found = all(wiring, world).find((candidate) => candidate.id === id);
  if (!found)
    throw new Error(
      `${id} is none of ${all(wiring, world)
        .map((fault) => fault.id)
        .join(', ')}`
    );
  return found;
}

function seen(wiring: Wiring, call: Call, world = furnace) {
  const made = simulate(wiring, world, call);
  if (!made.ok) throw new Error(made.why);
  const { result } = made;
  return {
    runs: running(result.loads).sort(),
    volts: result.thermostatVolts ?? 0,
    fuse: result.supplies.some((supply) => supply.fuseOpen)
  };
}

const strand = (wiring: Wiring, mark: string) =>
  wiring.strands.find(
    (candidate) => candidate.far.state === 'landed' && candidate.far.terminal.endsWith(`.${mark}`)
  )!.id;

describe('faults of the hands', () => {
  it('swap only wires that end at one place, and say where a cord ends', () => {
    const cord = plugged.strands.filter(({ id }) => id.startsWith('co-cord')).map(({ id }) => id);
    expect(cord.length).toBe(2);
    const ids = all(plugged, worldOf('furnace')).map(({ id, says }) => ({ id, says }));
    const swaps = ids.filter(({ id }) => id.startsWith('conductors-swapped') && id.endsWith(':far'));
    // At the furnace, and at the plug-in supply; never one of the one with one of the other.
    for (const { id } of swaps)
      expect([0, 2], id).toContain(cord.filter((strand) => id.includes(strand)).length);
    expect(swaps.some(({ id }) => id.includes(cord[0]!) && id.includes(cord[1]!))).toBe(true);
    const loose = (end: string) => ids.find(({ id }) => id === `conductor-loose:${cord[0]}:${end}`)?.says;
    expect(loose('far')).toMatch(/loose at the plug-in supply$/);
    expect(loose('near')).toMatch(/loose at the wall$/);
  });
});

describe('a single fault in a furnace with an air conditioner', () => {
  const of = (mark: string) => strand(whole, mark);

  it.each<[string, string, Call, LoadId[]]>([
    ['Y loose at the wall', `conductor-loose:${of('Y1')}:near`, 'cool1', ['blower']],
    ['Y loose at the equipment', `conductor-loose:${of('Y1')}:far`, 'cool1', ['blower']],
    ['G broken on the way', `conductor-broken:${of('G')}`, 'fan', []],
    ['G broken, cooling called', `conductor-broken:${of('G')}`, 'cool1', ['compressor']],
    ['W loose', `conductor-loose:${of('W1')}:near`, 'heat1', []],
    ['the hot one loose: nothing at all', `conductor-loose:${of('R')}:near`, 'heat1', []],
    ['the gas valve’s coil open', 'coil-open:eq-1:coil-W1', 'heat1', []],
    ['no power', 'supply-off:eq-1:secondary', 'cool1', []],
    ['its fuse open', 'fuse-open:eq-1:fuse', 'cool1', []],
    ['the head not seated', 'head-not-seated:de-fellgate', 'heat1', []],
    ['the gas valve’s coil shorted: its fuse opens', 'coil-shorted:eq-1:coil-W1', 'heat1', []],
    ['W’s contact welded', 'contact-welded:de-fellgate:contact-W1', 'idle', ['blower', 'burner']],
    [
      'R and W touching in the cable',
      `conductors-shorted:${of('R')}:${of('W1')}`,
      'idle',
      ['blower', 'burner']
    ],
    ['the common open behind its screw', 'board-common-open:eq-1', 'heat1', []],
    ['a corroded joint of Y: the contactor hums', `joint-corroded:${of('Y1')}`, 'cool1', ['blower']],
    ['G broken at the nick', `conductor-nicked:${of('G')}`, 'fan', []]
  ])('%s', (_, id, call, runs) => {
    const before = seen(whole, call);
    expect(before.runs).not.toEqual(runs);
    expect(seen(fault(whole, id).apply(whole), call).runs).toEqual(runs);
  });

  it('inside the board, behind its C screw, leaves the display lit and the outdoor unit running', () => {
    const made = fault(whole, 'board-common-open:eq-1').apply(whole);
    expect(seen(made, 'heat1').volts).toBeGreaterThan(25);
    expect(seen(made, 'cool1').runs).toEqual(['compressor']);
  });

  it('that touches earthed metal is nothing where the common is not earthed, and a short where it is', () => {
    const made = fault(whole, `conductor-to-earth:${of('R')}`).apply(whole);
    const fuse = (bonded: boolean) => {
      const outcome = simulate(made, furnace, 'idle', { bonded, turned: 0 });
      return outcome.ok && outcome.result.supplies.some((supply) => supply.fuseOpen);
    };
    expect([fuse(false), fuse(true)]).toEqual([false, true]);
  });

  it('is no link left in where neither the box nor the plate has one', () => {
    const kinds = (model: string) => {
      const { job, thermostat } = heatOnly();
      const device = findDevice(job, model) ?? null;
      const { wiringAfter } = planFor(job, thermostat, { device, method: 'plug-in-transformer' });
      return wiringAfter === null ? [] : all(wiringAfter, worldOf('furnace')).map(({ kind }) => kind);
    };
    expect(kinds('de-fellgate')).toContain('link-left-in');
    const found = furnaceWithCommon();
    const old = planFor(found.job, found.thermostat).wiringFound;
    expect(all(old, furnace).map(({ kind }) => kind)).not.toContain('link-left-in');
  });

  it('on the common takes the display and leaves every load', () => {
    for (const side of ['near', 'far']) {
      const made = fault(whole, `conductor-loose:${of('C')}:${side}`).apply(whole);
      expect(seen(made, 'cool1').runs).toEqual(['blower', 'compressor']);
      expect(seen(made, 'cool1').volts).toBeLessThan(5);
    }
  });

  it('of a weak transformer lowers the voltage under load, and hardly without', () => {
    const weak = fault(whole, 'weak-transformer:eq-1:secondary').apply(whole);
    const drop = (call: Call) => seen(whole, call).volts - seen(weak, call).volts;
    expect(drop('cool1')).toBeGreaterThan(1);
    expect(drop('idle')).toBeLessThan(0.6);
  });

  it('of copper on the common opens the fuse as soon as that wire is live', () => {
    const onHot = fault(whole, `short-to-common:${of('R')}`).apply(whole);
    const onY = fault(whole, `short-to-common:${of('Y1')}`).apply(whole);
    expect(seen(onHot, 'idle').fuse).toBe(true);
    expect(['idle', 'heat1', 'fan'].map((call) => seen(onY, call as Call).fuse)).toEqual([
      false,
      false,
      false
    ]);
    expect(seen(onY, 'cool1').fuse).toBe(true);
  });

  it('that puts W and Y at each other’s place at one end cools when heat is called', () => {
    const ids = [of('W1'), of('Y1')];
    const swapped = all(whole, furnace).find(
      (candidate) =>
        candidate.kind === 'conductors-swapped' &&
        ids.every((id) => candidate.id.includes(id)) &&
        candidate.hits.end === 'near'
    );
    expect(seen(swapped!.apply(whole), 'heat1').runs).toEqual(['compressor']);
    expect(seen(swapped!.apply(whole), 'cool1').runs).toEqual(['blower', 'burner']);
  });
});

describe('links', () => {
  it('between Y and G that are forgotten let the compressor run without air', () => {
    const link = linked.links.find((candidate) => candidate.at !== 'th-1')!;
    const made = fault(linked, `link-missing:${link.id}`);
    expect(made.says).toContain('between Y and G at the equipment is missing');
    expect(seen(linked, 'cool1').runs).toEqual(['blower', 'compressor']);
    expect(seen(made.apply(linked), 'cool1').runs).toEqual(['compressor']);
  });

  it('between RH and RC that are left in tie two supplies', () => {
    const world = worldOf('furnace');
    const made = fault(plugged, 'link-left-in:de-fellgate', world).apply(plugged);
    const tied = (wiring: Wiring) => {
      const outcome = simulate(wiring, world, 'idle');
      return outcome.ok ? outcome.result.tied.length : 0;
    };
    expect([tied(plugged), tied(made)]).toEqual([0, 1]);
    // With one supply and the link in, there is nothing to be left in.
    expect(all(whole, furnace).some((candidate) => candidate.kind === 'link-left-in')).toBe(false);
  });
});

describe('all faults of a wiring', () => {
  it('have ids of their own, and say what is wrong of what, in words', () => {
    for (const wiring of [whole, linked]) {
      const faults = all(wiring, furnace);
      expect(new Set(faults.map((fault) => fault.id)).size).toBe(faults.length);
      for (const single of faults) {
        expect(FAULT_KINDS).toContain(single.kind);
        expect(single.id.startsWith(`${single.kind}:`)).toBe(true);
        expect(single.says, single.id).toMatch(/ (is|was|are|touch|touches|has) /);
        expect(single.says, single.id).not.toMatch(/undefined|eq-1|co-\d/);
      }
    }
  });

  it('change the wiring that they are applied to in nothing, and go together', () => {
    const before = structuredClone(whole);
    const faults = all(whole, furnace);
    for (const fault of faults) expect(fault.apply(whole)).not.toBe(whole);
    expect(whole).toEqual(before);
    const [first, second] = faults.filter((candidate) => candidate.kind === 'conductor-loose');
    const both = second!.apply(first!.apply(whole));
    expect(
      both.strands.filter((candidate) => candidate.near.state === 'loose' || candidate.far.state === 'loose')
        .length
    ).toBeGreaterThan(0);
  });

  it('do not hit a wire that leads nowhere', () => {
    const spare = furnaceWithCommon();
    const loose = planned(spare, 'new-cable');
    const idle = loose.strands.filter(
      (candidate) => candidate.near.state !== 'landed' || candidate.far.state !== 'landed'
    );
    const hit = all(loose, furnace).map((fault) => fault.id);
    for (const single of idle)
      expect(
        hit.some((id) => id.split(':').includes(single.id)),
        single.id
      ).toBe(false);
  });
});
