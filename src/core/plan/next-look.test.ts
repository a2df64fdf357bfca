/** One list of what to look at: what would change the way stands first, and nothing of the rest is lost. */
import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import { house, type HouseSketch } from '../houses/builder';
import { findDevice } from '../match/catalogue';
import { looksFor } from './looks';
import { nextLooks } from './next-look';

function listed(sketch: HouseSketch) {
  const { job, thermostat } = house(sketch);
  const identification = identify(job, thermostat);
  const looks = looksFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null });
  return { identification, looks, next: nextLooks(identification, looks) };
}

const halfKnown: HouseSketch = {
  strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled unseen'],
  board: ['R', 'C', 'W', 'Y', 'G'],
  observed: { 'conductor-build': 'thin' },
  equipment: { kind: 'furnace' }
};

describe('what to look at next', () => {
  it('begins with the look that opens a better way, though it tells nothing of the system', () => {
    const air = {
      'conductor-build': 'thin',
      'heat-from': 'registers',
      flue: 'burner',
      'outdoor-unit': 'rests'
    };
    const { next } = listed({ ...halfKnown, observed: air, equipment: { kind: 'furnace', fuel: 'gas' } });
    expect(next[0]).toMatchObject({ at: { what: 'spares' }, bits: 0, opens: 'spare-conductor' });
    expect(next[0]!.gain).toBeGreaterThan(0);
  });

  it('holds each open question once, with its bits', () => {
    const { next, identification } = listed(halfKnown);
    const asked = next.flatMap(({ at, bits }) => (at.what === 'question' ? [{ id: at.id, bits }] : []));
    expect(asked.length).toBeGreaterThan(1);
    expect([...asked].sort((a, b) => b.bits - a.bits || a.id.localeCompare(b.id))).toEqual(
      identification.next
        .map(({ evidence, gain }) => ({ id: evidence.id, bits: gain }))
        .sort((a, b) => b.bits - a.bits || a.id.localeCompare(b.id))
    );
  });

  it('is the list by bits where no look would change the way', () => {
    const { identification } = listed(halfKnown);
    expect(nextLooks(identification, []).map(({ question }) => question)).toEqual(identification.next);
  });

  it('puts a question that changes the way above one that only tells more of the system', () => {
    const { identification } = listed(halfKnown);
    const last = identification.next.at(-1)!;
    const { id, ask, effort } = last.evidence;
    const look = {
      at: { what: 'question', id, ask },
      effort,
      gain: 3,
      opens: 'plug-in-transformer'
    } as const;
    const next = nextLooks(identification, [look]);
    expect(next[0]).toMatchObject({ gain: 3, question: last });
    expect(next).toHaveLength(identification.next.length);
  });
});
