/** What the corners of all tolerances show, from corners that were made by hand. */
import { describe, expect, it } from 'vitest';
import type { CallResult, FeedResult } from '../circuit/simulate';
import { solvedCall, supply } from '../houses/call-results';
import { worldOf } from '../houses/hand-wired';
import { limitsFrom, sameReading, SLACK_VOLTS, type NominalCall, type SolvedCorners } from './limits';

const feed = (volts: number, device = 'th-1'): FeedResult => ({ device, volts, min: 18, max: 30, fed: true });
const call = (more: Partial<CallResult> = {}) => solvedCall(['burner'], { feeds: [feed(26)], ...more });

function limits(corners: Partial<SolvedCorners> = {}, nominal: Partial<NominalCall> = {}) {
  return limitsFrom(
    { world: worldOf('furnace-ac'), call: 'heat1', was: call(), cases: [call()], crowd: null, ...nominal },
    { weak: [call()], strong: [call()], loaded: [call()], shared: false, today: () => [], ...corners }
  );
}

describe('volts in the corners', () => {
  it('are the least in the weak one and the most in the strong one, of the own thermostat', () => {
    const weak = [call({ feeds: [feed(22), feed(9, 'th-2')] }), call({ feeds: [feed(20)] })];
    const strong = [call({ feeds: [feed(28), feed(50, 'th-2')] }), call({ feeds: [feed(29)] })];
    expect(limits({ weak, strong })).toMatchObject({
      call: 'heat1',
      low: 20,
      high: 29,
      tooLow: false,
      tooHigh: false
    });
  });

  it('are none where no thermostat is fed', () => {
    const none = solvedCall(['burner']);
    expect(limits({ weak: [none], strong: [none] }, { cases: [none] })).toMatchObject({
      low: null,
      high: null
    });
  });

  it('are too low below the window in any case, and too high a little above it', () => {
    expect(limits({ weak: [call(), call({ feeds: [feed(17.9)] })] }).tooLow).toBe(true);
    expect(limits({ weak: [call({ feeds: [feed(18)] })] }).tooLow).toBe(false);
    expect(limits({ strong: [call(), call({ feeds: [feed(30.1 + SLACK_VOLTS)] })] }).tooHigh).toBe(true);
    expect(limits({ strong: [call({ feeds: [feed(30 + SLACK_VOLTS)] })] }).tooHigh).toBe(false);
  });
});

describe('loads in the corners', () => {
  const stopped = { weak: [call({ loads: [] })] };

  it('are lost that run with nominal values and today in the weak corner, and no longer will', () => {
    expect(limits({ ...stopped, today: () => [call()] }).lost).toEqual(['burner']);
    expect(limits({ ...stopped, today: () => [call({ loads: [] })] }).lost).toEqual([]);
    expect(limits({ ...stopped, today: () => [] }).lost).toEqual([]);
    expect(limits({ today: () => [call()] }).lost).toEqual([]);
    expect(limits({ ...stopped, today: (corner) => (corner === 'weak' ? [call()] : []) }).lost).toEqual([
      'burner'
    ]);
  });

  it('are lost where they stop in one of several cases', () => {
    expect(limits({ weak: [call(), call({ loads: [] })], today: () => [call()] }).lost).toEqual(['burner']);
  });

  it('run uncalled that run in some corner and neither today, with nominal values nor with the crowd', () => {
    const extra = call({ loads: solvedCall(['burner', 'compressor']).loads });
    expect(limits({ weak: [extra] }).uncalled).toEqual(['compressor']);
    expect(limits({ strong: [extra] }).uncalled).toEqual(['compressor']);
    expect(limits({ loaded: [extra] }).uncalled).toEqual(['compressor']);
    expect(limits({ loaded: [extra] }, { was: extra }).uncalled).toEqual([]);
    expect(limits({ loaded: [extra] }, { cases: [extra] }).uncalled).toEqual([]);
    expect(limits({ loaded: [extra] }, { crowd: extra }).uncalled).toEqual([]);
    expect(limits().uncalled).toEqual([]);
  });
});

describe('transformers in the loaded corner', () => {
  const giving = (...supplies: Parameters<typeof supply>[0][]) =>
    call({ supplies: supplies.map((supplyResult) => supply(supplyResult)) });

  it('give the most that any gives', () => {
    expect(limits({ loaded: [giving({ amps: 0.5 }), giving({ amps: 1.2 }, { amps: 0.1 })] }).amps).toBe(1.2);
  });

  it('are beyond the least that their plate may say, each once, of the case that is worst', () => {
    const { excess } = limits({
      loaded: [giving({ amps: 2 }), giving({ amps: 3 }), giving({ amps: 2.5 }), giving({ id: 'b', amps: 4 })],
      today: (corner) => (corner === 'loaded' ? [giving({ amps: 1.9 })] : [])
    });
    expect(excess.map((excess) => [excess.supply.id, excess.supply.amps, excess.ampsToday])).toEqual([
      ['eq-1:secondary', 3, 1.9],
      ['b', 4, null]
    ]);
  });

  it('are within it at it, and beyond it with a fuse that opens', () => {
    expect(limits({ loaded: [giving({ amps: 1, leastVa: 24 })] }).excess).toEqual([]);
    expect(limits({ loaded: [giving({ amps: 1.01, leastVa: 24 })] }).excess).toHaveLength(1);
    expect(limits({ loaded: [giving({ amps: 0, fuseOpen: true })] }).excess).toHaveLength(1);
  });

  it('are not compared with today where neighbours hang on them', () => {
    const loaded = [giving({ amps: 3 })];
    expect(
      limits({ loaded, shared: true, today: () => [giving({ amps: 1 })] }).excess[0]!.ampsToday
    ).toBeNull();
    expect(limits({ loaded, today: () => [] }).excess[0]!.ampsToday).toBeNull();
  });

  it('have what they give today with nominal values, by their id', () => {
    expect([...limits({}, { was: giving({ amps: 0.7 }, { id: 'b', amps: 0.2 }) }).today]).toEqual([
      ['eq-1:secondary', 0.7],
      ['b', 0.2]
    ]);
  });
});

describe('two cases of polarity and bonding', () => {
  const base = call({ supplies: [supply({ amps: 1 })] });

  it('read the same where volts and amps are the same to a millionth', () => {
    expect(sameReading(base, call({ supplies: [supply({ amps: 1 + 5e-7 })] }))).toBe(true);
    expect(sameReading(base, call({ supplies: [supply({ amps: 1.00001 })] }))).toBe(false);
    expect(sameReading(base, call({ supplies: [supply({ amps: 1 })], feeds: [feed(26.1)] }))).toBe(false);
    expect(
      sameReading(
        base,
        call({ supplies: [supply({ amps: 1 })], loads: [{ id: 'burner', energised: true, volts: 24 }] })
      )
    ).toBe(false);
  });

  it('are weighed by their size: a large figure may differ by more', () => {
    const large = (volts: number) => call({ feeds: [feed(volts)] });
    expect(sameReading(large(100), large(100.00005))).toBe(true);
    expect(sameReading(large(0.0001), large(0.0001009))).toBe(true);
    expect(sameReading(large(0.0001), large(0.0002))).toBe(false);
  });

  it('are not the same where one has less in it', () => {
    expect(sameReading(base, call({ supplies: [] }))).toBe(false);
    expect(sameReading(base, call({ supplies: [supply({ amps: 1 })], feeds: [] }))).toBe(false);
    expect(sameReading(base, call({ supplies: [supply({ amps: 1 })], loads: [] }))).toBe(false);
  });

  it('are told apart by any of several', () => {
    const two = (amps: number) => call({ supplies: [supply({ amps: 1 }), supply({ id: 'b', amps })] });
    expect(sameReading(two(2), two(3))).toBe(false);
    expect(sameReading(call({ feeds: [feed(26), feed(20)] }), call({ feeds: [feed(26), feed(21)] }))).toBe(
      false
    );
  });
});
