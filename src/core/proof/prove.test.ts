/** The proof by itself, over pairs of wirings written by hand: each thing that it says, where it must and where it must not. */
import { ref, refId } from '../findings/refs';
import { describe, expect, it } from 'vitest';
import type { World } from '../devices/world';
import { findDevice } from '../match/catalogue';
import { newJob } from '../job/create';
import { makeId } from '../job/ids';
import { linkOf, plug, strandOf, worldOf } from '../houses/hand-wired';
import { FIVE, FOUR, MARKS, today, tomorrow } from '../houses/hand-pairs';
import type { FindingCode } from '../findings/finding';
import { type Wiring } from '../wiring/graph';
import { prove } from './prove';
import type { ProofInput } from './types';

const furnace = worldOf('furnace-ac');

function proven(before: Wiring, after: Wiring, world: World = furnace, more: Partial<ProofInput> = {}) {
  return prove({ before, after, worlds: [{ world, weight: 1 }], needsSupply: 'always', ...more });
}

const codes = (proof: ReturnType<typeof prove>, level?: 'stop' | 'warn' | 'note') =>
  proof.findings
    .filter((finding) => level === undefined || finding.level === level)
    .map((finding) => finding.code);
const fact = (proof: ReturnType<typeof prove>, code: FindingCode) =>
  proof.findings.find((finding) => finding.code === code)?.params;

/** A heat-only house with a supply in an outlet beside it; the thermostat's own link is still in. */
const heatOnly = tomorrow({ on: ['RH>R', 'W'] });
const withPlug: Wiring = {
  ...heatOnly,
  devices: [...heatOnly.devices, plug],
  strands: [
    ...heatOnly.strands,
    strandOf('p-r', ['th', 'RC'], ['plug', 'R'], 3),
    strandOf('p-c', ['th', 'C'], ['plug', 'C'], 3)
  ]
};

describe('a whole plan', () => {
  it('says nothing, and has a row for each call with what ran, what will run and what it takes', () => {
    const proof = proven(today({ on: FOUR }), tomorrow({ on: FIVE }));
    expect(proof.findings).toEqual([]);
    const [world] = proof.worlds;
    expect(world!.rows.map((row) => row.call)).toEqual(['idle', 'heat1', 'cool1', 'fan', 'heat1+fan']);
    for (const row of world!.rows) {
      expect(row.after).toEqual(row.before);
      expect(row.fedAfter).toBe(true);
      expect(row.voltsLow!).toBeLessThan(row.voltsAfter!);
      expect(row.voltsHigh!).toBeGreaterThan(row.voltsAfter!);
      expect(row.vaAfter).toBeGreaterThan(row.vaBefore);
    }
  });
});

describe('what is lost', () => {
  it('is a stop for heat and cooling, and a warning for the fan alone', () => {
    const noY = proven(today({ on: FOUR }), tomorrow({ on: ['RC>R', 'W', 'Y>-', 'G', 'C'] }));
    expect(fact(noY, 'function-lost')).toEqual({ call: 'cool1', loads: ['compressor'] });
    expect(codes(noY, 'stop')).toContain('function-lost');
    const noG = proven(
      today({ on: FOUR }),
      tomorrow({ on: ['RC>R', 'W', 'Y', 'C'], links: [linkOf('machine', 'eq.Y1', 'eq.G')] })
    );
    expect(codes(noG, 'warn')).toEqual(['function-lost']);
    expect(fact(noG, 'function-lost')).toEqual({ call: 'fan', loads: ['blower'] });
    expect(codes(noG, 'stop')).toEqual([]);
  });

  it('is not what never ran: that is said of the record', () => {
    const dead = { on: ['R', 'W', 'Y>-', 'G'] };
    const proof = proven(today(dead), tomorrow({ on: ['RC>R', 'W', 'Y>-', 'G', 'C'] }));
    expect(codes(proof)).not.toContain('function-lost');
    expect(fact(proof, 'dead-before')).toEqual({ call: 'cool1', loads: ['compressor'] });
  });
});

describe('the thermostat', () => {
  const noC = tomorrow({ on: ['RC>R', 'W', 'Y', 'G'] });

  it('that gets nothing in any call is said once, with all of them', () => {
    const proof = proven(today({ on: FOUR }), noC);
    expect(codes(proof, 'stop')).toEqual(['thermostat-unfed']);
    expect(fact(proof, 'thermostat-unfed')).toMatchObject({
      calls: ['idle', 'heat1', 'cool1', 'fan', 'heat1+fan']
    });
    expect(proof.findings[0]!.because).toHaveLength(5);
  });

  it('that dozes on cells makes a warning of it, and one that needs nothing none at all', () => {
    const verdict = (needsSupply: ProofInput['needsSupply']) =>
      proven(today({ on: FOUR }), noC, furnace, { needsSupply }).findings.map((finding) => finding.level);
    expect(verdict('dozes')).toEqual(['warn']);
    expect(verdict('never')).toEqual([]);
  });

  it('that charges itself is asked for in the idle house only', () => {
    const proof = proven(today({ on: FOUR }), noC, furnace, { needsSupply: 'idle' });
    expect(proof.findings.flatMap((finding) => finding.because)).toEqual([ref.call('idle')]);
  });

  it('that gets more than it stands is told apart from one that gets too little', () => {
    const proof = proven(today({ on: FOUR }), tomorrow({ on: FIVE }, { voltsMin: 10, voltsMax: 26.5 }));
    expect(codes(proof, 'stop')).toContain('thermostat-overfed');
    expect(fact(proof, 'thermostat-overfed')).toMatchObject({ call: 'idle' });
    const above30 = proven(
      today({ on: FOUR, more: { transformerVa: 40 } }),
      tomorrow({ on: FIVE }, { voltsMin: 10, voltsMax: 40 })
    );
    expect(codes(above30, 'stop')).toEqual([]);
  });
});

describe('harm', () => {
  it('of a compressor without air is a stop, whatever was wired before', () => {
    const noFan = { on: ['R', 'W', 'Y'] };
    const proof = proven(today(noFan), tomorrow({ on: ['RC>R', 'W', 'Y', 'C'] }));
    expect(codes(proof, 'stop')).toEqual(['compressor-without-blower']);
    expect(fact(proof, 'compressor-without-blower')).toEqual({ call: 'cool1' });
  });

  it('of strips without air shows on an electric furnace whose board leaves the blower to G', () => {
    const wired = { on: ['R', 'W', 'G'] };
    const after = tomorrow({ on: ['RC>R', 'W', 'G>-', 'C'] });
    const leaves = proven(today(wired), after, worldOf('electric-furnace', { blowerInHeat: 'g' }));
    const starts = proven(today(wired), after, worldOf('electric-furnace', { blowerInHeat: 'board' }));
    expect(codes(leaves, 'stop')).toContain('strips-without-blower');
    expect(codes(starts, 'stop')).not.toContain('strips-without-blower');
  });

  it('of an overload names the amps and the rating', () => {
    const proof = proven(today({ on: FOUR }), tomorrow({ on: FIVE, more: { transformerVa: 14 } }));
    expect(codes(proof, 'stop')).toContain('transformer-overloaded');
    expect(fact(proof, 'transformer-overloaded')).toMatchObject({
      ratedVa: 14,
      ratedAmps: expect.closeTo(14 / 24, 6) as number
    });
  });

  it('of a short opens the fuse, in the call that closes it', () => {
    const crossed = tomorrow({ on: ['RC>R', 'W', 'Y>C', 'G', 'C'] });
    const proof = proven(today({ on: FOUR }), crossed);
    const opened = proof.findings.filter((finding) => finding.code === 'fuse-opens');
    expect(opened.map((findingOf) => findingOf.because.at(-1))).toEqual([ref.call('cool1')]);
    expect(opened[0]!.params).toMatchObject({ amps: expect.any(Number) as number });
    expect(proof.worlds[0]!.rows.find((row) => row.call === 'cool1')!.fuse).toMatchObject({ open: true });
  });

  it('of two supplies joined by copper is found in every call, in the case that is worst', () => {
    const before = today({ on: ['R', 'W'] });
    const both = withPlug;
    const world = worldOf('furnace');
    expect(codes(proven(before, { ...both, links: [] }, world), 'stop')).toEqual([]);
    const tied = proven(before, both, world);
    expect(codes(tied, 'stop')).toContain('supplies-tied');
    expect(tied.findings.some((finding) => finding.supplyCase?.startsWith('opposite polarity'))).toBe(true);
    // What opens with nothing called is said once, not again for every call.
    const opened = tied.findings.flatMap((finding) =>
      finding.code === 'fuse-opens' ? [`${finding.params.supply} ${finding.params.call}`] : []
    );
    expect(opened.length).toBeGreaterThan(0);
    expect(opened.every((candidate) => candidate.endsWith(' idle'))).toBe(true);
  });

  it('of a load that nobody called is a stop', () => {
    const linked = tomorrow({ on: FIVE, links: [linkOf('machine', 'eq.W1', 'eq.G')] });
    const proof = proven(today({ on: FOUR }), linked);
    expect(codes(proof, 'stop')).toContain('load-runs-uncalled');
    expect(fact(proof, 'load-runs-uncalled')).toMatchObject({ loads: ['burner'] });
  });
});

describe('what may be', () => {
  const worlds: ProofInput['worlds'] = [
    { world: worldOf('furnace-ac'), weight: 0.7 },
    { world: worldOf('heat-pump'), weight: 0.3 }
  ];

  it('is solved each by itself, and a sentence that holds in some names them', () => {
    const before = today({ on: ['R', 'Y', 'G', 'W', 'O'], board: [...MARKS, 'O'] });
    const after = tomorrow({ on: ['RC>R', 'Y', 'G', 'W', 'O/B>O', 'C'], board: [...MARKS, 'O'] });
    const proof = prove({ before, after, worlds, needsSupply: 'always' });
    expect(proof.worlds.map((world) => world.world.family)).toEqual(['furnace-ac', 'heat-pump']);
    for (const finding of proof.findings) expect(finding.worlds).toHaveLength(1);
  });

  it('counts in what its worst says, and once where all agree', () => {
    const proof = prove({
      before: today({ on: FOUR }),
      after: tomorrow({ on: ['RC>R', 'W', 'Y', 'G'] }),
      worlds: [worlds[0]!, { world: worldOf('furnace-ac', { blowerInHeat: 'g' }), weight: 0.3 }],
      needsSupply: 'always'
    });
    expect(codes(proof).filter((code) => code === 'thermostat-unfed')).toHaveLength(1);
    expect(proof.findings.find((finding) => finding.code === 'thermostat-unfed')?.worlds).toBeUndefined();
  });

  it('has no proof where no circuit is known, and says so', () => {
    const proof = proven(today({ on: FOUR }), tomorrow({ on: FIVE }), worldOf('communicating'));
    expect(proof.worlds).toEqual([]);
    expect(codes(proof)).toEqual(['no-circuit']);
  });

  it('has none either for a record that contradicts itself, and names the part', () => {
    const broken = tomorrow({ on: FIVE, more: { transformerVa: 0 } });
    const proof = proven(today({ on: FOUR }), broken);
    expect(codes(proof, 'stop')).toEqual(['circuit-not-solvable']);
    expect(proof.findings[0]!.because.map(refId)).toEqual(['eq:secondary']);
  });
});

/** The zone's call on a screw of its own, as each zone of a panel has it. */
function onZone(number: number, wiring: Wiring): Wiring {
  const screw = { id: `eq.W-${number}`, mark: 'W', role: null, means: ['W1'] };
  return {
    ...wiring,
    devices: wiring.devices.map((device) =>
      device.kind === 'board'
        ? { ...device, screws: [...device.screws.filter((it) => it.mark !== 'W'), screw] }
        : device
    ),
    strands: wiring.strands.map((strand) =>
      strand.far.state === 'landed' && strand.far.terminal === 'eq.W1'
        ? { ...strand, far: { state: 'landed', terminal: screw.id } }
        : strand
    )
  };
}

describe('neighbours on one transformer', () => {
  const job = newJob(makeId('job', 'n'), 'N');
  const panel = { machine: 'zone-panel' as const, transformerVa: 40 };
  const zone = { on: ['RC>R', 'W', 'C'], board: ['R', 'W', 'C'], more: panel };
  const before = today({ ...zone, on: ['R', 'W'] });
  const neighbour = (at: number) => ({
    thermostat: `th-${at}`,
    worlds: {},
    wiring: onZone(at, tomorrow(zone, { drawVa: findDevice(job, 'de-fellgate')!.drawVa }))
  });
  const beside = (count: number) =>
    proven(before, tomorrow(zone), worldOf('boiler'), {
      neighbours: Array.from({ length: count }, (_, at) => neighbour(at + 2))
    });

  it('add up to a stop of their own, while each alone would do', () => {
    expect(codes(beside(0), 'stop')).toEqual([]);
    const crowd = beside(4);
    expect(codes(crowd, 'stop')).toEqual(['overloaded-together']);
    expect(fact(crowd, 'overloaded-together')).toMatchObject({ thermostats: 5, call: 'heat1' });
  });

  it('may be too much only in the worst case: then it is a condition, and says how many call', () => {
    const few = beside(2);
    expect(codes(few, 'stop')).toEqual([]);
    expect(codes(few, 'warn')).toEqual(['overloaded-at-limits']);
    expect(fact(few, 'overloaded-at-limits')).toMatchObject({ thermostats: 3, call: 'heat1' });
    expect(codes(beside(0))).not.toContain('overloaded-at-limits');
  });

  it('take the share of the rating up and the volts down, one by one', () => {
    const rows = [0, 1, 2].map((count) => beside(count).worlds[0]!.rows.find((row) => row.call === 'heat1')!);
    const [shares, volts] = [rows.map((row) => row.loadShare), rows.map((row) => row.voltsAfter!)];
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect([...volts].sort((a, b) => b - a)).toEqual(volts);
    expect(new Set(shares).size).toBe(3);
  });

  it('may run what the own thermostat does not: that is no load which nobody called', () => {
    const board = ['R', 'C', 'Y', 'G', 'O'];
    const own = { on: ['R', 'Y', 'G'], board };
    const other = tomorrow({ on: ['RC>R', 'Y', 'G', 'O/B>O', 'C'], board });
    const proof = proven(today(own), tomorrow({ on: ['RC>R', 'Y', 'G', 'C'], board }), worldOf('heat-pump'), {
      neighbours: [{ thermostat: 'th-2', wiring: other, worlds: {} }]
    });
    expect(codes(proof, 'stop')).toEqual([]);
    expect(fact(proof, 'load-at-limits')).not.toMatchObject({ what: 'uncalled' });
  });
});

describe('what the board may do with its blower in cooling', () => {
  const noFan = { on: ['R', 'W', 'Y'] };
  const after = tomorrow({ on: ['RC>R', 'W', 'Y', 'C'] });
  const stops = (world: World) => codes(proven(today(noFan), after, world), 'stop');

  it('is solved both ways, whichever the world names: the one that starts no blower counts', () => {
    expect(stops(worldOf('furnace-ac', { blowerInCool: 'board' }))).toEqual(['compressor-without-blower']);
    expect(stops(worldOf('furnace-ac', { blowerInCool: 'g' }))).toEqual(['compressor-without-blower']);
  });

  it('is one way where there is no compressor, and on a heat pump, whose thermostat calls the fan itself', () => {
    expect(stops(worldOf('furnace', { blowerInCool: 'board' }))).toEqual([]);
    const pump = worldOf('heat-pump', { blowerInCool: 'board' });
    const solves = (world: World) => proven(today({ on: FOUR }), tomorrow({ on: FIVE }), world).solves;
    expect(solves(pump)).toBe(solves({ ...pump, blowerInCool: 'g' }));
    const cooled = worldOf('furnace-ac');
    const calls = (world: World) =>
      proven(today({ on: FOUR }), tomorrow({ on: FIVE }), world).worlds[0]!.rows.length;
    expect(solves(cooled)).toBeGreaterThan(
      (solves(worldOf('furnace')) * calls(cooled)) / calls(worldOf('furnace'))
    );
  });

  it('is printed as the first of the two, and volts and amps are said once', () => {
    const weak = tomorrow({ on: FIVE, lengthM: 120 });
    const proof = proven(
      today({ on: FOUR, lengthM: 120 }),
      weak,
      worldOf('furnace-ac', { blowerInCool: 'board' })
    );
    const said = proof.findings.filter((finding) => finding.code === 'volts-at-limits');
    expect(said.length).toBeGreaterThan(0);
    expect(said.length).toBeLessThanOrEqual(2);
    expect(new Set(said.map((findingOf) => JSON.stringify(findingOf.params))).size).toBe(said.length);
    expect(proof.worlds).toHaveLength(1);
  });
});

describe('a complaint of the device', () => {
  const apart: Wiring = { ...withPlug, links: [] };

  it('is looked for where all works, in the likeliest world, and not where something stops', () => {
    const before = today({ on: ['R', 'W'] });
    const works = proven(before, apart, worldOf('furnace'));
    expect(works.complaints.map((complaint) => complaint.code)).toEqual(['device-may-complain']);
    const tied = proven(before, { ...apart, links: [linkOf('wall', 'th.RH', 'th.RC')] }, worldOf('furnace'));
    expect(tied.complaints).toEqual([]);
    expect(prove({ before, after: apart, worlds: [], needsSupply: 'always' }).complaints).toEqual([]);
  });
});

describe('the points that a proof rests on', () => {
  it('are those of every world, and more with the corners than without', () => {
    const proof = proven(today({ on: FOUR }), tomorrow({ on: FIVE }));
    const world = furnace;
    const two = prove({
      before: today({ on: FOUR }),
      after: tomorrow({ on: FIVE }),
      worlds: [
        { world, weight: 0.6 },
        { world: { ...worldOf('furnace'), id: 'other' }, weight: 0.4 }
      ],
      needsSupply: 'always'
    });
    expect(two.solves).toBeGreaterThan(proof.solves);
    expect(two.worlds).toHaveLength(2);
    // What stops with nominal values is not asked how far off it may be as well.
    const refusedAt = proven(today({ on: FOUR }), tomorrow({ on: ['RC>R', 'W', 'Y>-', 'G', 'C'] }));
    expect(refusedAt.worlds[0]!.rows.every((row) => row.voltsLow === null && row.ampsMost === null)).toBe(
      true
    );
    expect(refusedAt.solves).toBeLessThan(proof.solves);
  });
});
