/** What in a solved call would hurt a machine: each thing by itself, and nothing where all is well. */
import { describe, expect, it } from 'vitest';
import { ref } from '../findings/refs';
import { coil, solvedCall, supply } from '../houses/call-results';
import { harmFindings } from './harm';

describe('harm', () => {
  it('is none where everything runs as it should', () => {
    expect(harmFindings(solvedCall(['burner', 'blower']))).toEqual([]);
    expect(harmFindings(solvedCall(['boiler']))).toEqual([]);
    expect(harmFindings(solvedCall([]))).toEqual([]);
  });

  it.each([
    ['compressor', 'compressor-without-blower'],
    ['strips', 'strips-without-blower'],
    ['burner', 'burner-without-blower']
  ] as const)('is a %s without air over it', (load, code) => {
    expect(harmFindings(solvedCall([load], { call: 'cool1' }))).toEqual([
      { code, level: 'stop', params: { call: 'cool1' }, because: [ref.call('cool1')] }
    ]);
    expect(harmFindings(solvedCall([load, 'blower']))).toEqual([]);
  });

  it('is a fuse that opens, with what it saw', () => {
    const open = supply({ fuseOpen: true, fuseAmps: 23.4, amps: 9 });
    expect(harmFindings(solvedCall([], { supplies: [open] }))).toEqual([
      {
        code: 'fuse-opens',
        level: 'stop',
        params: { call: 'heat1', supply: 'furnace', amps: 23, fuse: 'opens' },
        because: [open.part, ref.call('heat1')]
      }
    ]);
    const seen = (more: Parameters<typeof supply>[0]) =>
      harmFindings(solvedCall([], { supplies: [supply({ fuseOpen: true, ...more })] }))[0];
    // At one and a half times its rating a blade fuse may hold for minutes; one that nobody saw is none.
    expect(seen({ fuseAmps: 4.6 })).toMatchObject({ params: { fuse: 'slow' } });
    expect(seen({ fuseAmps: 6 })).toMatchObject({ params: { fuse: 'opens' } });
    expect(seen({ fuseAmps: 23, fuseRating: null })).toMatchObject({ params: { fuse: 'unseen' } });
    const unmeasured = supply({ fuseOpen: true });
    expect(harmFindings(solvedCall([], { supplies: [unmeasured] }))[0]).toMatchObject({
      params: { amps: null }
    });
  });

  it('is a transformer beyond its rating, and none at it', () => {
    const over = supply({ amps: 1.004, ratedAmps: 1, ratedVa: 24 });
    expect(harmFindings(solvedCall([], { supplies: [over] }))).toEqual([
      {
        code: 'transformer-overloaded',
        level: 'stop',
        params: { call: 'heat1', supply: 'furnace', amps: 1, ratedAmps: 1, ratedVa: 24 },
        because: [over.part, ref.call('heat1')]
      }
    ]);
    expect(harmFindings(solvedCall([], { supplies: [supply({ amps: 1, ratedAmps: 1 })] }))).toEqual([]);
  });

  it('is two supplies that copper joins, a relay without rest, and a coil that hums', () => {
    const [first, second] = [supply().part, coil('other')];
    const found = harmFindings(
      solvedCall([], {
        tied: [[first, second]],
        chattering: [coil('a')],
        starved: [coil('b'), coil('c')],
        coils: [
          { part: coil('b'), energised: false, volts: 11, pullIn: 18 },
          { part: coil('c'), energised: false, volts: 9.04, pullIn: 18 },
          { part: coil('d'), energised: false, volts: 1, pullIn: 18 }
        ]
      })
    );
    expect(found).toEqual([
      { code: 'supplies-tied', level: 'stop', params: {}, because: [first, second] },
      {
        code: 'relay-chatter',
        level: 'stop',
        params: { call: 'heat1' },
        because: [coil('a'), ref.call('heat1')]
      },
      {
        code: 'coil-starved',
        level: 'warn',
        params: { call: 'heat1', volts: 9, pullIn: 18 },
        because: [coil('b'), coil('c'), ref.call('heat1')]
      }
    ]);
  });
});
