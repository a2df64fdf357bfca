/** Rows of a proof from solved calls that were made by hand. */
import { describe, expect, it } from 'vitest';
import type { FeedResult } from '../circuit/simulate';
import { finding } from '../findings/finding';
import { ref } from '../findings/refs';
import { solvedCall, supply } from '../houses/call-results';
import { worldOf } from '../houses/hand-wired';
import { holdsNominally, newWith, nominalRow, type SolvedCall } from './rows';

const world = worldOf('furnace-ac');
const feed = (volts: number, more: Partial<FeedResult> = {}): FeedResult => ({
  device: 'th-1',
  volts,
  min: 18,
  max: 30,
  fed: volts >= 18 && volts <= 30,
  ...more
});
const fed = (volts: number, more: Parameters<typeof solvedCall>[1] = {}) =>
  solvedCall(['burner'], {
    feeds: [feed(volts)],
    thermostatVolts: volts,
    thermostatFed: volts >= 18 && volts <= 30,
    ...more
  });
const was = solvedCall(['burner', 'blower'], { thermostatVolts: null, thermostatFed: null });
const row = (more: Partial<Parameters<typeof nominalRow>[0]>) =>
  nominalRow({ world, call: 'heat1', was, cases: [fed(26)], crowd: null, ...more });

describe('a row', () => {
  it('has what runs in every case, what is lost of that, and what is new in any', () => {
    const cases = [solvedCall(['burner', 'blower']), solvedCall(['burner', 'compressor'])];
    expect(row({ cases })).toMatchObject({
      call: 'heat1',
      before: ['burner', 'blower'],
      after: ['burner'],
      lost: ['blower'],
      gained: ['compressor']
    });
  });

  it('has the least volts over the cases, and is fed where all are', () => {
    expect(row({ cases: [fed(26), fed(24)] })).toMatchObject({
      voltsBefore: null,
      voltsAfter: 24,
      fedAfter: true
    });
    expect(row({ cases: [fed(26), fed(12)] })).toMatchObject({
      voltsAfter: 12,
      fedAfter: false,
      voltsOver: null
    });
    const none = solvedCall([], { thermostatVolts: null, thermostatFed: null });
    expect(row({ cases: [none] })).toMatchObject({ voltsAfter: null, fedAfter: null });
    expect(row({ was: fed(25) }).voltsBefore).toBe(25);
  });

  it('has the most that it gets where that is too much, and nothing at the edge', () => {
    expect(row({ cases: [fed(31), fed(33)] }).voltsOver).toBe(33);
    expect(row({ cases: [fed(30)] }).voltsOver).toBeNull();
  });

  it('counts with the crowd what its own thermostat gets there, and not what another gets', () => {
    const crowd = fed(20, { feeds: [feed(20), feed(11, { device: 'th-2' }), feed(40, { device: 'th-2' })] });
    expect(row({ crowd })).toMatchObject({ voltsAfter: 20, fedAfter: true, voltsOver: null });
    expect(row({ crowd: fed(14, { feeds: [feed(14)] }) })).toMatchObject({ voltsAfter: 14, fedAfter: false });
  });

  it('has the most that any transformer gives, before and after, with the crowd', () => {
    const giving = (va: number, amps = 1) => fed(26, { supplies: [supply({ va, amps, ratedAmps: 2 })] });
    const made = row({ was: giving(9), cases: [giving(12), giving(15, 1.5)], crowd: giving(30, 3) });
    expect(made).toMatchObject({ vaBefore: 9, vaAfter: 30, loadShare: 1.5 });
  });

  it('has the fuse that is nearest to its rating, and none where there is none', () => {
    const fuses = [
      supply({ amps: 1, fuseRating: 5 }),
      supply({ amps: 2, fuseRating: 3 }),
      supply({ amps: 9, fuseRating: null }),
      supply({ amps: 2, fuseRating: 4 })
    ];
    expect(row({ cases: [fed(26, { supplies: fuses })] }).fuse).toEqual({ amps: 2, rating: 3, open: false });
    const blown = supply({ amps: 0, fuseRating: 3, fuseOpen: true, fuseAmps: 20 });
    expect(row({ cases: [fed(26, { supplies: [blown] })] }).fuse).toEqual({
      amps: 20,
      rating: 3,
      open: true
    });
    expect(row({ cases: [fed(26, { supplies: [supply({ fuseRating: null })] })] }).fuse).toBeNull();
  });
});

describe('what holds with nominal values', () => {
  const solved = (more: Partial<SolvedCall> = {}): SolvedCall => {
    const nominal = { world, call: 'heat1' as const, was, cases: [fed(26)], crowd: null, ...more };
    return { ...nominal, row: nominalRow(nominal), solves: 1, ...more };
  };
  const holds = (more: Partial<SolvedCall> = {}, needs: Parameters<typeof holdsNominally>[1] = 'always') =>
    holdsNominally([solved(more)], needs);

  it('is a thermostat that is fed, where it has to be', () => {
    expect(holds().fed('heat1')).toBe(true);
    expect(holds({ cases: [fed(12)] }).fed('heat1')).toBe(false);
    expect(holds().fed('cool1')).toBe(false);
    expect(holds({}, 'dozes').fed('heat1')).toBe(false);
    expect(holds({}, 'idle').fed('heat1')).toBe(false);
    expect(holds({}, 'never').fed('heat1')).toBe(false);
  });

  it('is a load that runs', () => {
    expect(holds().runs('heat1', 'burner')).toBe(true);
    expect(holds().runs('heat1', 'compressor')).toBe(false);
    expect(holds().runs('cool1', 'burner')).toBe(false);
  });

  it('is a transformer that carries it, in every case and with the crowd', () => {
    const giving = (more: Parameters<typeof supply>[0]) =>
      fed(26, {
        supplies: [supply({ amps: 1, ratedAmps: 1 }), supply({ id: 'other', amps: 9, ratedAmps: 1 })].map(
          (supplyResult, at) => (at === 0 ? { ...supplyResult, ...more } : supplyResult)
        )
      });
    expect(holds({ cases: [giving({})] }).carried('heat1', 'eq-1:secondary')).toBe(true);
    expect(holds({ cases: [giving({}), giving({ amps: 1.1 })] }).carried('heat1', 'eq-1:secondary')).toBe(
      false
    );
    expect(holds({ cases: [giving({ fuseOpen: true })] }).carried('heat1', 'eq-1:secondary')).toBe(false);
    expect(
      holds({ cases: [giving({})], crowd: giving({ amps: 2 }) }).carried('heat1', 'eq-1:secondary')
    ).toBe(false);
    expect(holds({ cases: [giving({})] }).carried('heat1', 'other')).toBe(false);
    expect(holds().carried('cool1', 'eq-1:secondary')).toBe(true);
  });
});

describe('what several requests at once bring', () => {
  const over = (amps: number) =>
    finding(
      'stop',
      'transformer-overloaded',
      { call: 'heat1', supply: 'furnace', amps, ratedAmps: 1, ratedVa: 24 },
      [supply().part, ref.call('heat1')]
    );
  const lost = (...loads: ('burner' | 'blower')[]) =>
    finding('stop', 'function-lost', { call: 'heat1', loads }, [ref.call('heat1')]);
  const dead = finding('warn', 'dead-before', { call: 'heat1', loads: ['blower'] }, [ref.call('heat1')]);
  const unfed = finding('stop', 'thermostat-unfed', { calls: ['heat1'], volts: 3 }, [ref.call('heat1')]);

  it('is told where none of them brought it by itself', () => {
    expect(newWith([over(2)], [])).toEqual([over(2)]);
    expect(newWith([over(2)], [over(1.5)])).toEqual([]);
    expect(newWith([lost('burner', 'blower')], [lost('burner')])).toEqual([lost('burner', 'blower')]);
    expect(newWith([lost('burner')], [lost('burner', 'blower')])).toEqual([]);
    expect(newWith([lost('blower')], [dead])).toEqual([lost('blower')]);
  });

  it('is told of a thermostat that is unfed in each call: they are folded into one', () => {
    expect(newWith([unfed], [unfed])).toEqual([unfed]);
  });
});
