/** What a proof is put together from: results call by call, each way the board may start the blower, and the points that it rests on. */
import { describe, expect, it } from 'vitest';
import { withBlowerInCool } from '../devices/world';
import { FIVE, FOUR, today, tomorrow } from '../houses/hand-pairs';
import { linkOf, worldOf } from '../houses/hand-wired';
import { factKey } from '../findings/finding';
import { prove } from './prove';
import type { ProofInput } from './types';

const furnace = worldOf('furnace-ac', { compressor: true });
const input = (more: Partial<ProofInput> = {}): ProofInput => ({
  before: today({ on: FOUR }),
  after: tomorrow({ on: FIVE }),
  worlds: [{ world: furnace, weight: 1 }],
  needsSupply: 'always',
  ...more
});
const said = (proof: ReturnType<typeof prove>) => proof.findings.map(({ code }) => code);

describe('the results of a proof', () => {
  it('are one before and one after for each row, of the call of that row', () => {
    const [world] = prove(input()).worlds;
    const calls = world!.rows.map(({ call }) => call);
    expect(world!.before.map(({ call }) => call)).toEqual(calls);
    expect(world!.after.map(({ call }) => call)).toEqual(calls);
    for (const [at, row] of world!.rows.entries()) {
      expect(world!.before[at]!.thermostatVolts).toBe(row.voltsBefore);
      expect(world!.after[at]!.thermostatVolts).toBeCloseTo(row.voltsAfter!, 6);
    }
  });

  it('are of the calls that are asked for, where some are', () => {
    const [world] = prove(input({ calls: ['heat1', 'fan'] })).worlds;
    expect(world!.rows.map(({ call }) => call)).toEqual(['heat1', 'fan']);
  });

  it('are of every world that has a circuit, with its weight', () => {
    const worlds = [
      { world: furnace, weight: 0.7 },
      { world: { ...worldOf('furnace'), says: 'a furnace' }, weight: 0.3 }
    ];
    expect(prove(input({ worlds })).worlds.map(({ weight }) => weight)).toEqual([0.7, 0.3]);
  });

  it('rest on more points the more calls, worlds and ways of the blower there are', () => {
    const { solves: all } = prove(input());
    expect(prove(input({ calls: ['idle'] })).solves).toBeLessThan(all);
    expect(prove(input({ calls: ['idle'] })).solves).toBeGreaterThan(0);
    const again = { world: { ...furnace, id: 'again', blowerInHeat: 'g' as const }, weight: 0.5 };
    expect(prove(input({ worlds: [{ world: furnace, weight: 1 }, again] })).solves).toBeGreaterThan(all);
    // Where no compressor runs it makes no difference how cooling starts the blower: nothing is solved twice.
    const heats = { ...worldOf('furnace'), compressor: false };
    const known = prove(input({ worlds: [{ world: heats, weight: 1 }] }));
    expect(known.solves).toBeLessThan(all);
  });
});

describe('how a board starts the blower in cooling', () => {
  const noFan = tomorrow({ on: ['RC>R', 'W', 'Y', 'C'] });

  it('is taken both ways where nobody knows: cooling without air is found, though the one way would blow', () => {
    const proof = prove(input({ after: noFan }));
    expect(said(proof)).toContain('compressor-without-blower');
    const onY = { ...withBlowerInCool(furnace, 'board'), id: 'on-y' };
    expect(said(prove(input({ after: noFan, worlds: [{ world: onY, weight: 1 }] })))).toContain(
      'compressor-without-blower'
    );
  });

  it('is known of a heat pump, and is not taken otherwise', () => {
    const pump = worldOf('heat-pump', {
      compressor: true,
      reversing: 'O',
      blowerInHeat: 'g',
      blowerInCool: 'g'
    });
    const { worlds } = prove(input({ worlds: [{ world: pump, weight: 1 }] }));
    expect(worlds).toHaveLength(1);
  });

  it('says each thing once, though it is so both ways', () => {
    for (const after of [
      noFan,
      tomorrow({ on: ['RC>R', 'W', 'Y>-', 'G', 'C'] }),
      tomorrow({ on: ['RC>R', 'W', 'Y', 'G'] })
    ]) {
      const keys = prove(input({ after })).findings.map(factKey);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });
});

describe('a fuse', () => {
  const calls = (after: ReturnType<typeof tomorrow>) =>
    prove(input({ after })).findings.flatMap((finding) =>
      finding.code === 'fuse-opens' ? [finding.params.call] : []
    );

  it('that opens with nothing called is said of that alone', () => {
    expect(calls(tomorrow({ on: FIVE, links: [linkOf('machine', 'eq.R', 'eq.C')] }))).toEqual(['idle']);
  });

  it('that opens in a call is said of the call', () => {
    expect(calls(tomorrow({ on: FIVE, links: [linkOf('machine', 'eq.W1', 'eq.C')] }))).toContain('heat1');
    expect(calls(tomorrow({ on: FIVE, links: [linkOf('machine', 'eq.W1', 'eq.C')] }))).not.toContain('idle');
    expect(calls(tomorrow({ on: FIVE }))).toEqual([]);
  });
});

describe('worst cases', () => {
  it('are not asked of what is refused already', () => {
    const refused = prove(input({ after: tomorrow({ on: ['RC>R', 'W', 'Y>-', 'G', 'C'] }) }));
    expect(refused.findings.some(({ level }) => level === 'stop')).toBe(true);
    for (const row of refused.worlds[0]!.rows)
      expect([row.voltsLow, row.voltsHigh, row.ampsMost]).toEqual([null, null, null]);
    for (const row of prove(input()).worlds[0]!.rows) expect(row.ampsMost).toBeGreaterThan(0);
  });
});
