/** The look that is worth most: what may open a better way, over what it takes. */
import { describe, expect, it } from 'vitest';
import { house, type HouseSketch } from '../houses/builder';
import { findDevice } from '../match/catalogue';
import { lookText } from './look-words';
import { looksFor } from './looks';

const air = { 'conductor-build': 'thin', 'heat-from': 'registers', flue: 'burner', 'outdoor-unit': 'rests' };
const ac = (more: Partial<HouseSketch>): HouseSketch => ({
  strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'],
  board: ['R', 'C', 'W', 'Y', 'G'],
  observed: air,
  equipment: { kind: 'furnace', fuel: 'gas' },
  ...more
});
const looks = (sketch: HouseSketch) => {
  const { job, thermostat } = house(sketch);
  return looksFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null });
};

describe('the next look', () => {
  it('is at wires that are coiled in the wall, before an outlet: one of them would be the better way', () => {
    const found = looks(
      ac({ strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled unseen'], outlet: 'unknown' })
    );
    expect(found[0]).toMatchObject({ at: { what: 'spares' }, opens: 'spare-conductor' });
    expect(lookText(found[0]!.at)).toContain('free in the wall');
  });

  it('is the mark that closes everything', () => {
    const found = looks(
      ac({
        strands: ['RD R R', 'WH W QX', 'YE Y Y', 'GN G G', 'BU C C'],
        board: ['R', 'C', 'QX', 'Y', 'G']
      })
    );
    expect(found[0]).toMatchObject({ at: { what: 'mark', mark: 'QX' }, opens: 'existing-c' });
  });

  it('is the other end of a wire on C, also where no C is recorded at the machine yet', () => {
    for (const board of [
      ['R', 'C', 'W', 'Y', 'G'],
      ['R', 'W', 'Y', 'G']
    ]) {
      const found = looks(
        ac({ strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C unseen'], board, outlet: 'none' })
      );
      expect(found[0], board.join(' ')).toMatchObject({ at: { what: 'ends' }, opens: 'existing-c' });
    }
  });

  it('is the meter where two ends do not fit', () => {
    const found = looks(
      ac({ strands: ['RD R R', 'WH W G', 'YE Y Y', 'GN G W', 'BU C C'], continuity: 'untested' })
    );
    expect(found[0]).toMatchObject({ at: { what: 'same-wire' }, opens: 'existing-c' });
  });

  it('is the outlet where nothing else would feed a heat-only house, and none where all is known', () => {
    const strands = ['RD R R', 'WH W W'];
    const observed = { ...air, 'outdoor-unit': 'none' };
    const heat = { strands, board: ['R', 'W'], observed, outlet: 'unknown' } as const;
    expect(looks(ac(heat)).some((look) => look.at.what === 'outlet')).toBe(true);
    expect(looks(ac({ strands: [...strands, 'BU C C'], board: ['R', 'W', 'C'], observed }))).toEqual([]);
  });
});
