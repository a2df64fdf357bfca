/** What one feels and hears under each cause, with the covers on: two valves, a pump and a boiler, as an engineer would tell it. */
import { describe, expect, it } from 'vitest';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../../houses/mains-houses';
import { inputsOf } from '../../proof/mains/rows';
import { wiringFromMains } from '../../wiring/from-mains';
import { causesIn } from './causes';
import { diagnoseMains } from './diagnose';
import { looksIn, readMainsSeen, rowOfProbe, shownIn } from './looks';

const wiring = wiringFromMains(mainsHouse('two-valve'));
const inputs = inputsOf(wiring);
const looks = looksIn(wiring, inputs);

/** What the looks show where this cause alone is there; of the sound wiring where none is named. */
function shown(id?: string): (look: string) => string | undefined {
  const cause = causesIn(wiring).find((candidate) => candidate.id.startsWith(id ?? '-'));
  if (id !== undefined && !cause?.wiring) throw new Error(`no cause ${id}`);
  const all = shownIn(cause?.wiring ?? wiring, inputs, looks);
  return (look) => all.get(look);
}

const PROBES = ['off', 'heating', 'water', 'both'] as const;
/** The states of the controls in which a look says yes. */
const yes = (what: string, id?: string) => PROBES.filter((probe) => shown(id)(`${what}@${probe}`) === 'yes');

describe('what one feels and hears', () => {
  it('of a sound house: what is asked for runs and gets warm, and nothing else does', () => {
    expect(yes('boiler')).toEqual(['heating', 'water', 'both']);
    expect(yes('pump')).toEqual(['heating', 'water', 'both']);
    expect(yes('radiators')).toEqual(['heating', 'both']);
    expect(yes('cylinder')).toEqual(['water', 'both']);
  });

  it('without a supply: nothing, whatever is asked for', () => {
    for (const what of ['boiler', 'pump', 'radiators', 'cylinder'])
      expect(yes(what, 'supply-off')).toEqual([]);
  });

  it.each([
    [
      'valve-stuck-md-heating-valve',
      { boiler: ['water', 'both'], radiators: [], cylinder: ['water', 'both'] }
    ],
    [
      'valve-stuck-md-water-valve',
      { boiler: ['heating', 'both'], radiators: ['heating', 'both'], cylinder: [] }
    ],
    // The other valve's switch starts boiler and pump where both are asked for, and this valve is open then.
    [
      'end-switch-open-md-heating-valve',
      { boiler: ['water', 'both'], radiators: ['both'], cylinder: ['water', 'both'] }
    ],
    [
      'cylinder-thermostat-open',
      { boiler: ['heating', 'both'], radiators: ['heating', 'both'], cylinder: [] }
    ],
    [
      'not-calling-md-timer-heating-on',
      { boiler: ['water', 'both'], radiators: [], cylinder: ['water', 'both'] }
    ],
    [
      'not-calling-md-timer-water-on',
      { boiler: ['heating', 'both'], radiators: ['heating', 'both'], cylinder: [] }
    ]
  ])('under %s: %o', (cause, expected) => {
    for (const [what, probes] of Object.entries(expected)) expect(yes(what, cause), what).toEqual(probes);
  });

  it('under a switch of a valve that stays closed: boiler and pump run on with everything off', () => {
    expect(yes('boiler', 'end-switch-stuck-md-heating-valve')).toEqual([...PROBES]);
    expect(yes('pump', 'end-switch-stuck-md-heating-valve')).toEqual([...PROBES]);
    expect(yes('radiators', 'end-switch-stuck-md-heating-valve')).toEqual(['heating', 'both']);
  });

  it('tells a pump that does not turn from a boiler that does not fire', () => {
    expect(yes('pump', 'pump-stuck')).toEqual([]);
    expect(yes('boiler', 'pump-stuck')).toEqual(['heating', 'water', 'both']);
    expect(yes('radiators', 'pump-stuck')).toEqual([]);
    expect(yes('pump', 'boiler-fault')).toEqual(['heating', 'water', 'both']);
    expect(yes('boiler', 'boiler-fault')).toEqual([]);
    expect(yes('radiators', 'boiler-fault')).toEqual([]);
  });
});

describe('looks', () => {
  it('are made in states that the house has: none asks for hot water where no timer gives it', () => {
    const combination = wiringFromMains(mainsHouse('combination'));
    const own = inputsOf(combination);
    expect(rowOfProbe(own, 'water')).toBeNull();
    expect(looksIn(combination, own).filter(({ probe }) => probe === 'water' || probe === 'both')).toEqual(
      []
    );
    expect(looksIn(combination, own).some(({ probe }) => probe === 'heating')).toBe(true);
  });

  it('that need a cover off are a tester on the strip, and asked of nobody who is not competent', () => {
    const opening = looks.filter(({ openCover }) => openCover);
    expect(opening.length).toBeGreaterThan(0);
    const seen: Record<string, string> = {};
    for (let asked = 0; asked < 40; asked += 1) {
      const { next } = diagnoseMains({ wiring, inputs, seen, competent: false });
      if (!next) break;
      expect(next.look.openCover, next.look.id).toBe(false);
      seen[next.look.id] = next.look.answers[0]!.value;
    }
  });

  it.each(Object.keys(MAINS_SKETCHES) as MainsHouse[])(
    'of %s each have the answer that the circuit shows',
    (house) => {
      const there = wiringFromMains(mainsHouse(house));
      const own = inputsOf(there);
      const all = looksIn(there, own);
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
      for (const [id, answer] of shownIn(there, own, all)) {
        const look = all.find((candidate) => candidate.id === id)!;
        expect(
          look.answers.map(({ value }) => value),
          id
        ).toContain(answer);
      }
    }
  );

  it('are read from codes: what is no look, or no answer of it, is told by its place', () => {
    expect(readMainsSeen(wiring, inputs, ['boiler@heating=no', 'pump@off=yes'])).toEqual({
      seen: { 'boiler@heating': 'no', 'pump@off': 'yes' }
    });
    expect(readMainsSeen(wiring, inputs, ['boiler@heating=no', 'kettle@off=yes'])).toEqual({
      unknown: 'kettle@off=yes',
      at: 1
    });
    expect(readMainsSeen(wiring, inputs, ['boiler@heating=perhaps'])).toEqual({
      unknown: 'boiler@heating=perhaps',
      at: 0
    });
  });
});

describe('causes', () => {
  it('each have an id of their own, words, and a remedy that begins with the power where hands go in', () => {
    const causes = causesIn(wiring);
    expect(new Set(causes.map(({ id }) => id)).size).toBe(causes.length);
    for (const { id, kind, text, remedy } of causes) {
      expect(text.endsWith('.'), id).toBe(true);
      if (['wire-off', 'wires-swapped', 'link-missing', 'link-added'].includes(kind))
        expect(remedy, id).toMatch(/^Power off, proven dead:/);
    }
  });

  it('leave out what is none: an earth that came off shows nothing, and two screws on one joint cannot be exchanged', () => {
    const earths = wiring.strands.filter(
      ({ near }) => near.state === 'landed' && near.terminal.endsWith('.E')
    );
    expect(earths.length).toBeGreaterThan(0);
    const off = new Set(causesIn(wiring).map(({ id }) => id));
    for (const { id } of earths) expect(off.has(`off-${id}`)).toBe(false);
  });
});
