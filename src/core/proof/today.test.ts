/** What is wrong with a house as it is, and which of two wirings is the better. */
import { describe, expect, it } from 'vitest';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom, worldOf, type End } from '../houses/hand-wired';
import { CATALOGUE } from '../match/catalogue';
import type { Wiring } from '../wiring/graph';
import { isBetter, isNoWorse, todayFindings, wrongsOf } from './today';

const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
const world = worldOf('furnace-ac');
const worlds = [{ world, weight: 1 }];

const wired = (ends: Readonly<Record<string, End>>, links: Wiring['links'] = []): Wiring =>
  wiringFrom({
    devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W', 'Y', 'G'])],
    strands: Object.entries(ends).map(([mark, far]) =>
      strandOf(mark, ['th', mark === 'R' ? 'RC' : mark], far)
    ),
    links: [linkOf('wall', 'th.RH', 'th.RC'), ...links]
  });
const sound = { R: ['eq', 'R'], C: ['eq', 'C'], W: ['eq', 'W'], Y: ['eq', 'Y'], G: ['eq', 'G'] } as const;
const yToG = linkOf('machine', 'eq.Y1', 'eq.G');
const wrongs = (wiring: Wiring, as = wiring) => wrongsOf(wiring, worlds, as);
const codes = (wiring: Wiring) => todayFindings(wrongs(wiring)).map((finding) => finding.code);

describe('a house as it is', () => {
  it('has nothing wrong with it when all is where it belongs', () => {
    expect(codes(wired(sound))).toEqual([]);
  });

  it('is dead in a call whose wire is loose, and says it once, not again for calls at once', () => {
    const found = todayFindings(wrongs(wired({ ...sound, W: null })));
    expect(found.map((finding) => [finding.code, finding.today])).toEqual([['dead-today', true]]);
    expect(found[0]?.params).toEqual({ call: 'heat1', loads: ['burner', 'blower'] });
  });

  it('is being harmed where cooling runs without air, and where the fan starts the compressor', () => {
    expect(codes(wired({ ...sound, G: null }))).toContain('compressor-without-blower');
    expect(codes(wired(sound, [yToG]))).toEqual(['load-runs-uncalled']);
  });

  it('names the systems where it is wrong in some of several only', () => {
    const two = [...worlds, { world: { ...worldOf('furnace'), says: 'a furnace' }, weight: 0.5 }];
    const [first] = todayFindings(wrongsOf(wired({ ...sound, Y: null }), two));
    expect(first?.worlds).toEqual(['a furnace-ac']);
  });

  it('says nothing of a system without a circuit', () => {
    expect(wrongsOf(wired(sound), [{ world: worldOf('millivolt'), weight: 1 }])).toEqual([]);
  });
});

describe('one wiring against another', () => {
  const loose = wired({ ...sound, W: null });
  const whole = wired(sound);
  it('is better with one thing less wrong, and no worse with the same', () => {
    expect(isBetter(wrongs(loose), wrongs(whole, loose))).toBe(true);
    expect(isBetter(wrongs(whole), wrongs(whole))).toBe(false);
    expect(isNoWorse(wrongs(whole), wrongs(whole))).toBe(true);
    expect(isNoWorse(wrongs(whole), wrongs(loose, whole))).toBe(false);
  });

  it('is not better where one wrong goes and another comes', () => {
    const other = wired({ ...sound, G: null });
    expect(isBetter(wrongs(loose), wrongs(other, loose))).toBe(false);
    expect(isNoWorse(wrongs(loose), wrongs(other, loose))).toBe(false);
  });

  it('is not better where a world that could be judged no longer can', () => {
    expect(isBetter(wrongs(loose), [])).toBe(false);
  });
});
