/** What is made of solved calls: the worst of all cases, dips that are new, what only the crowd brings, and what is said once. */
import { describe, expect, it } from 'vitest';
import { finding } from '../findings/finding';
import { ref } from '../findings/refs';
import { solvedCall, supply } from '../houses/call-results';
import { worldOf } from '../houses/hand-wired';
import { asksIn, crowdFindings, foldSupply, rowFindings, unsolvable, worstHarm } from './proof-findings';
import type { NominalRow } from './types';

const over = (amps: number, turned = 0) =>
  solvedCall([], { supplies: [supply({ amps, ratedAmps: 1 })], supplyCase: { bonded: false, turned } });

describe('harm over all cases of polarity and bonding', () => {
  it('is said once, of the case in which most current flows, without a case where all have it', () => {
    const [worst, ...others] = worstHarm([over(1.5), over(2.5, 1), over(2)]);
    expect(others).toEqual([]);
    expect(worst).toMatchObject({ params: { amps: 2.5 } });
    expect(worst).not.toHaveProperty('supplyCase');
  });

  it('keeps the first of two cases that are equally bad', () => {
    expect(worstHarm([over(2), over(2, 1), over(0.5)])[0]).toMatchObject({
      supplyCase: 'same polarity, commons apart'
    });
  });

  it('names the case where it is not in all', () => {
    expect(worstHarm([over(0.5), over(2, 1)])[0]).toMatchObject({
      params: { amps: 2 },
      supplyCase: 'opposite polarity, commons apart'
    });
    expect(worstHarm([over(0.5), over(0.5)])).toEqual([]);
  });

  it('tells two supplies apart, and what a fuse saw from what flows on', () => {
    const open = (id: string) =>
      supply({ id, part: { ...supply().part, id }, fuseOpen: true, fuseAmps: 30, amps: 0 });
    expect(worstHarm([solvedCall([], { supplies: [open('a'), open('b')] })])).toHaveLength(2);
    const [kept] = worstHarm([
      solvedCall([], { supplies: [supply({ fuseOpen: true, fuseAmps: 30, amps: 0 })] }),
      solvedCall([], { supplies: [supply({ fuseOpen: true, fuseAmps: 20, amps: 1 })] })
    ]);
    expect(kept).toMatchObject({ params: { amps: 30 } });
  });
});

describe('a circuit that is not there', () => {
  it('is one that nobody has modelled, or one that contradicts itself', () => {
    const world = worldOf('communicating');
    expect(unsolvable({ reason: 'no-model', at: 'x', why: 'y' }, world)).toEqual({
      code: 'no-circuit',
      level: 'stop',
      params: { system: world.says },
      because: []
    });
    expect(
      unsolvable({ reason: 'not-solvable', at: 'eq:secondary', why: 'it gives nothing' }, world)
    ).toEqual({
      code: 'circuit-not-solvable',
      level: 'stop',
      params: { why: 'it gives nothing' },
      because: [{ kind: 'part', id: 'eq:secondary', device: null, part: null, mark: null }]
    });
  });
});

describe('what only the crowd brings', () => {
  it('is an overload or a fuse that no thermostat alone would make', () => {
    expect(crowdFindings({ crowd: over(2), cases: [over(0.5)] }, 3)).toMatchObject([
      { code: 'overloaded-together', level: 'stop', params: { amps: 2, thermostats: 3 } }
    ]);
    const open = solvedCall([], { supplies: [supply({ fuseOpen: true, fuseAmps: 9 })] });
    expect(crowdFindings({ crowd: open, cases: [over(0.5)] }, 2)).toMatchObject([
      { params: { amps: 9, thermostats: 2 } }
    ]);
  });

  it('is nothing of what is so alone, of other harm, or without a crowd', () => {
    expect(crowdFindings({ crowd: over(2), cases: [over(1.5)] }, 3)).toEqual([]);
    expect(crowdFindings({ crowd: solvedCall(['compressor']), cases: [over(0.5)] }, 3)).toEqual([]);
    expect(crowdFindings({ crowd: null, cases: [over(2)] }, 3)).toEqual([]);
  });
});

describe('a row of the proof', () => {
  const furnace = worldOf('furnace-ac');
  const row = (more: Partial<NominalRow>): NominalRow => ({
    call: 'heat1',
    before: ['burner', 'blower'],
    after: ['burner', 'blower'],
    ever: more.after ?? ['burner', 'blower'],
    lost: [],
    gained: [],
    voltsBefore: null,
    voltsAfter: 26,
    fedAfter: true,
    voltsOver: null,
    vaBefore: 10,
    vaAfter: 12,
    loadShare: 0.3,
    fuse: null,
    ...more
  });
  const said = (more: Partial<NominalRow>, needs: Parameters<typeof rowFindings>[2] = 'always') =>
    rowFindings(row(more), furnace, needs);
  const because = [ref.call('heat1')];

  it('says nothing where all is as before and fed', () => {
    expect(said({})).toEqual([]);
  });

  it('says what is lost: a stop, and a caution where it is the fan alone', () => {
    expect(said({ lost: ['burner'] })).toEqual([
      { code: 'function-lost', level: 'stop', params: { call: 'heat1', loads: ['burner'] }, because }
    ]);
    expect(said({ call: 'fan', before: ['blower'], after: [], lost: ['blower'] })).toMatchObject([
      { level: 'warn' }
    ]);
  });

  it('says what does not run today, whether that is mended, and what would run uncalled', () => {
    expect(said({ before: [], after: [] })).toMatchObject([
      { code: 'dead-before', level: 'warn', params: { loads: expect.arrayContaining(['burner']) as unknown } }
    ]);
    expect(said({ before: [] })).toMatchObject([
      {
        code: 'made-to-work',
        level: 'note',
        params: { loads: expect.arrayContaining(['burner']) as unknown }
      }
    ]);
    expect(said({ gained: ['compressor'] })).toEqual([
      { code: 'load-runs-uncalled', level: 'stop', params: { call: 'heat1', loads: ['compressor'] }, because }
    ]);
    expect(said({ gained: ['burner'], before: ['blower'] }).map((finding) => finding.code)).toEqual([
      'made-to-work'
    ]);
  });

  it('says what the thermostat gets where that is too little, nothing or too much', () => {
    expect(said({ fedAfter: false, voltsAfter: 14.04 })).toMatchObject([
      { code: 'thermostat-unfed', level: 'stop', params: { calls: ['heat1'], volts: 14 } }
    ]);
    expect(said({ fedAfter: null, voltsAfter: null })).toMatchObject([{ params: { volts: null } }]);
    expect(said({ fedAfter: false, voltsAfter: 26, voltsOver: 33.33 })).toMatchObject([
      { code: 'thermostat-overfed', level: 'stop', params: { call: 'heat1', volts: 33.3 } }
    ]);
    expect(said({ fedAfter: false }, 'dozes')).toMatchObject([{ level: 'warn' }]);
    expect(said({ fedAfter: false }, 'never')).toEqual([]);
    expect(said({ fedAfter: false }, 'idle')).toEqual([]);
  });

  it('asks for a supply in every call, in the idle house, or in none', () => {
    expect(asksIn('always', 'heat1')).toBe(true);
    expect(asksIn('dozes', 'idle')).toBe(true);
    expect(asksIn('idle', 'idle')).toBe(true);
    expect(asksIn('idle', 'heat1')).toBe(false);
    expect(asksIn('never', 'idle')).toBe(false);
  });
});

describe('a thermostat that is unfed in several calls', () => {
  const unfed = (call: 'heat1' | 'cool1' | 'fan') =>
    finding('stop', 'thermostat-unfed', { calls: [call], volts: 3 }, [ref.call(call)]);
  const other = finding('warn', 'coil-starved', { call: 'heat1', volts: 12, pullIn: 18 }, [
    ref.call('heat1')
  ]);

  it('is one finding with all of them, before the rest', () => {
    expect(foldSupply([unfed('heat1'), other, unfed('cool1')])).toEqual([
      {
        code: 'thermostat-unfed',
        level: 'stop',
        params: { calls: ['heat1', 'cool1'], volts: null },
        because: [ref.call('heat1'), ref.call('cool1')]
      },
      other
    ]);
  });

  it('stays as it is in one', () => {
    expect(foldSupply([other, unfed('fan')])).toEqual([other, unfed('fan')]);
    expect(foldSupply([other])).toEqual([other]);
  });
});
