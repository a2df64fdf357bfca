/** As long as a wire is unexplained, it is not said that nothing runs; what such a wire could not prevent is said all the same. */
import { describe, expect, it } from 'vitest';
import { finding } from '../findings/finding';
import { house } from '../houses/builder';
import { furnaceFourWires } from '../houses/houses';
import { planFor } from '../plan/plan';
import { situationOf } from '../supply/situation';
import { findingText } from '../words/findings/table';
import { doubted } from './doubted';

const cooling = finding('stop', 'compressor-without-blower', { call: 'cool1' });
const dead = finding('warn', 'dead-today', { call: 'fan', loads: ['blower'] });
const tied = finding('stop', 'supplies-tied', {});

const made = (strands: readonly string[], board: readonly string[]) => {
  const { job, thermostat } = house({
    strands: [...strands],
    board: [...board],
    observed: furnaceFourWires().thermostat.observed
  });
  const situation = situationOf(job, thermostat);
  const worlds = situation.worlds.map(({ world }) => world);
  return {
    said: (findings: Parameters<typeof doubted>[0]) =>
      doubted(findings, situation.riddles, situation.found, worlds),
    plan: planFor(job, thermostat)
  };
};
const fanUnknown = made(['RD R R', 'WH W W', 'YE Y Y', 'GN G QX'], ['R', 'C', 'W', 'Y', 'QX']);
const heatUnknown = made(['RD R R', 'WH W QX', 'YE Y Y', 'GN G G'], ['R', 'C', 'QX', 'Y', 'G']);
const allKnown = made(['RD R R', 'WH W W', 'YE Y Y', 'GN G G'], ['R', 'C', 'W', 'Y', 'G']);

describe('a fan wire on a screw that nobody knows', () => {
  it('may run the blower: a caution that names the wire, and nothing is called dead', () => {
    const [caution, ...others] = fanUnknown.said([cooling, dead]);
    expect(caution).toMatchObject({ code: 'compressor-without-blower', level: 'warn', unless: ['green'] });
    expect(findingText(caution!)).toContain('Unless the green wire does it');
    expect(others).toEqual([]);
  });

  it('keeps what it could not prevent', () => {
    expect(fanUnknown.said([tied])).toEqual([tied]);
  });

  it('has the caution in its plan, and leaving it is neither refused nor called sound', () => {
    const { today, options } = fanUnknown.plan;
    expect(today.map(({ code, level }) => [code, level])).toEqual([['compressor-without-blower', 'warn']]);
    const leaving = options.find(({ method }) => method === 'none');
    expect(leaving?.verdict).toBe('go');
    expect(leaving?.findings.map(({ code }) => code)).toContain('leaving-it-harms');
    expect(leaving?.findings.map(({ code }) => code)).not.toContain('keep-the-old');
  });
});

describe('what a wire that nobody can explain may prevent', () => {
  const levels = (strands: string[], board: string[], said: Parameters<typeof doubted>[0]) =>
    made(strands, board)
      .said(said)
      .map(({ level }) => level);
  const strips = finding('stop', 'strips-without-blower', { call: 'heat1' });
  const burner = finding('stop', 'burner-without-blower', { call: 'heat1' });
  const heat = ['R', 'C', 'QX', 'Y', 'G'];

  it('is strips and a burner without a blower as well, in a call that it is hot in', () => {
    const unknown = ['RD R R', 'WH W QX', 'YE Y Y', 'GN G G'];
    expect(levels(unknown, heat, [strips, burner])).toEqual(['warn', 'warn']);
  });

  it('hangs on each request of a call, not on all of them', () => {
    const damp = finding('stop', 'compressor-without-blower', { call: 'cool1+humidify' });
    expect(fanUnknown.said([damp]).map(({ level }) => level)).toEqual(['warn']);
  });

  it('is anything where the wire is always hot, or nobody knows its mark at the wall either', () => {
    const other = ['RD R R', 'WH W W', 'YE Y Y'];
    const board = ['R', 'C', 'W', 'Y', 'G', 'QX'];
    expect(levels([...other, 'GN R QX'], board, [burner])).toEqual(['warn']);
    expect(levels([...other, 'GN M4 QX'], board, [burner])).toEqual(['warn']);
  });

  it('is nothing where only its mark at the wall is not known', () => {
    const named = ['RD R R', 'WH W W', 'YE Y Y', 'GN M4 G'];
    expect(levels(named, ['R', 'C', 'W', 'Y', 'G'], [cooling])).toEqual(['stop']);
  });
});

describe('a wire that is not called in cooling', () => {
  it('cannot run the blower in it: the stop stays one', () => {
    expect(heatUnknown.said([cooling])).toEqual([cooling]);
  });
});

describe('a house without a riddle', () => {
  it('is said of what is said', () => {
    expect(allKnown.said([cooling, dead, tied])).toEqual([cooling, dead, tied]);
  });
});
