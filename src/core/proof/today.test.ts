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

describe('what is remembered of a wiring', () => {
  it('is of the worlds that were asked for: another system has wrongs of its own, in its own words', () => {
    const wiring = wired({ ...sound, Y: null });
    const cooled = { world, weight: 1 };
    const heats = { world: { ...worldOf('furnace'), says: 'a furnace' }, weight: 1 };
    const names = (found: ReturnType<typeof wrongsOf>) =>
      found.map((wrong) => [wrong.world.says, wrong.dead.length]);
    expect(names(wrongsOf(wiring, [cooled]))).toEqual([[world.says, 1]]);
    expect(names(wrongsOf(wiring, [heats]))).toEqual([['a furnace', 0]]);
    const renamed = { world: { ...heats.world, says: 'heat alone' }, weight: 1 };
    expect(names(wrongsOf(wiring, [renamed]))).toEqual([['heat alone', 0]]);
    expect(names(wrongsOf(wiring, [cooled, heats]))).toHaveLength(2);
  });

  it('is of the calls that are asked for as well: those of another wiring show what this one can no longer do', () => {
    const { G: _fan, ...fanless } = sound;
    const without = wired(fanless);
    const dead = (as: Wiring) => wrongs(without, as).flatMap((wrong) => wrong.dead.map(({ call }) => call));
    expect(dead(wired(sound))).toContain('fan');
    expect(dead(wired(sound))).toEqual(dead(wired(sound)));
  });

  it('does not mistake a wire that moved for one that stayed', () => {
    expect(codes(wired(sound))).toEqual([]);
    expect(codes(wired({ ...sound, W: ['eq', 'Y'], Y: ['eq', 'W'] }))).toContain('load-runs-uncalled');
    expect(codes(wired(sound))).toEqual([]);
  });
});

describe('wrongs against each other', () => {
  const of = (
    id: string,
    dead: readonly (readonly [string, readonly string[]])[],
    harms: readonly string[] = []
  ) =>
    ({
      world: { ...world, id },
      harms: harms.map((call) => ({ code: 'load-runs-uncalled', params: { call, loads: [] } })),
      dead: dead.map(([call, loads]) => ({ call, loads }))
    }) as unknown as ReturnType<typeof wrongsOf>[number];

  it('are told apart by call and load: another load dead in the same call is another wrong', () => {
    const burner = [of('a', [['heat1', ['burner']]])];
    const blower = [of('a', [['heat1', ['blower']]])];
    const both = [of('a', [['heat1', ['burner', 'blower']]])];
    expect(isNoWorse(burner, blower)).toBe(false);
    expect(isBetter(both, burner)).toBe(true);
    expect(isBetter(burner, both)).toBe(false);
  });

  it('are told apart by the call in which something is hurt', () => {
    const heating = [of('a', [], ['heat1'])];
    const cooling = [of('a', [], ['cool1'])];
    expect(isNoWorse(heating, cooling)).toBe(false);
    expect(isNoWorse(heating, heating)).toBe(true);
    expect(isBetter(heating, [of('a', [])])).toBe(true);
  });

  it('are looked at world by world: better in one does not make up for worse in another', () => {
    const was = [of('a', [['heat1', ['burner']]]), of('b', [])];
    const is = [of('a', []), of('b', [['fan', ['blower']]])];
    expect(isNoWorse(was, is)).toBe(false);
    expect(isBetter(was, is)).toBe(false);
    expect(isBetter(was, [of('a', []), of('b', [])])).toBe(true);
  });

  it('of a world that is not there any more cannot be called gone', () => {
    const was = [of('a', [['heat1', ['burner']]]), of('b', [])];
    expect(isNoWorse(was, [of('a', [])])).toBe(false);
    expect(isNoWorse(was, [of('a', []), of('c', [])])).toBe(false);
  });
});
