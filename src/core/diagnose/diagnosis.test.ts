import { beforeAll, describe, expect, it } from 'vitest';
import { finish } from '../circuit/long-run';
import { furnaceWithSpare } from '../houses/houses';
import { plannedHouse, twoSupplyHouse } from '../houses/powered-houses';
import { beliefAfter, prepareRun, rankedCauses, type Prepared } from './diagnosis';
import { entropy } from '../belief/bayes';
import { bitsOf, minutesOf, nextLooks, startAt, SWITCH_MINUTES, WALK_MINUTES } from './next-look';
import { planFor } from '../plan/plan';
import { diagnosisRequest } from './from-plan';
import { CAUSE_ODDS } from './causes/odds';
import type { CauseKind } from './causes/types';
import { remedyOf } from './remedy';
import { TRIED_STILL, triedId } from './tried-code';
import { readSeen } from '../formats/diagnose-words';
import { stateOf, type DiagnosisState } from './state';

let prepared: Prepared;
const hands = { meter: false, helper: false };

beforeAll(() => {
  const { job, thermostat } = furnaceWithSpare();
  const run = prepareRun(plannedHouse(job, thermostat));
  if ('ok' in run) throw new Error(run.why);
  prepared = finish(run);
});

const look = (id: string) => prepared.observations.find((observation) => observation.id === id)!;
const reading = (mark: string, call: string) =>
  prepared.observations.find(
    ({ id }) => id.startsWith('eq-1') && id.includes(`.${mark}:`) && id.endsWith(`@${call}`)
  )!;
const after = (...seen: readonly (readonly [string, string | number])[]) =>
  stateOf(
    prepared,
    seen.map(([observation, answer]) => ({ observation, answer })),
    hands
  );

describe('a diagnosis', () => {
  it('believes all of it at first, each cause by its odds and two at once by their share', () => {
    const sum = prepared.prior.reduce((total, share) => total + share, 0);
    expect(sum).toBeCloseTo(1, 9);
    const pairs = prepared.situation.list.reduce(
      (total, { causes }, at) => total + (causes.length > 1 ? prepared.prior[at]! : 0),
      0
    );
    expect(pairs).toBeCloseTo(0.15, 6);
  });

  it('gives each observation answers whose chances add up to one under every hypothesis', () => {
    for (const { id, chances } of prepared.observations)
      for (const at of [0, 1, prepared.situation.list.length - 1]) {
        const sum = chances.reduce((total, column) => total + column[at]!, 0);
        expect(sum, `${id} under ${at}`).toBeCloseTo(1, 2);
      }
  });

  it('reads volts as a spread: 24 and 27 V say the same of a live screw, 12 V and 0 V do not', () => {
    const live = reading('R', 'idle');
    const top = (volts: number) =>
      rankedCauses(prepared, beliefAfter(prepared, [{ observation: live, answer: volts }]), 'meter')[0]!.id;
    const share = (volts: number, kind: string) =>
      rankedCauses(prepared, beliefAfter(prepared, [{ observation: live, answer: volts }]), 'meter')
        .filter(({ id }) => id.startsWith(kind))
        .reduce((sum, { probability }) => sum + probability, 0);
    expect(share(24, 'supply-off')).toBeLessThan(0.01);
    expect(share(27, 'supply-off')).toBeLessThan(0.01);
    expect(share(0, 'supply-off')).toBeGreaterThan(0.2);
    expect(top(0)).not.toBe(top(24));
  });

  it('counts the way to a look, and the switching of the power', () => {
    const start = startAt(prepared.situation.wiring);
    const head = look('head');
    expect(minutesOf(head, start)).toBe(head.minutes);
    const far = prepared.observations.find(({ id }) => id.startsWith('tug-eq'))!;
    expect(minutesOf(far, start)).toBe(far.minutes + WALK_MINUTES + SWITCH_MINUTES);
    // At the wall with the power off: to the switch at the machine, and back.
    const screws = prepared.observations.find(({ power, place }) => power === 'off' && place === start.at)!;
    expect(minutesOf(screws, start)).toBe(screws.minutes + 2 * WALK_MINUTES + SWITCH_MINUTES);
    expect(minutesOf(screws, { ...start, at: far.place })).toBe(
      screws.minutes + WALK_MINUTES + SWITCH_MINUTES
    );
    expect(minutesOf(far, { ...start, at: far.place, power: 'off' })).toBe(far.minutes);
  });

  it('weighs a look by the chance to be wrong that it takes away, and tells its bits beside', () => {
    const belief = beliefAfter(prepared, [{ observation: look('display'), answer: 'dark' }]);
    /** Shares of what no look tells apart, as one. */
    const classes = (shares: Float64Array) => {
      const sums = new Map<number, number>();
      shares.forEach((share, at) => {
        const alike = prepared.alike.hands[at]!;
        sums.set(alike, (sums.get(alike) ?? 0) + share);
      });
      return [...sums.values()];
    };
    const wrong = (shares: Float64Array) => 1 - Math.hypot(...classes(shares));
    const start = startAt(prepared.situation.wiring);
    const [next] = nextLooks(prepared, belief, start, new Set(['display']));
    const left = (measure: (shares: Float64Array) => number) =>
      next!.observation.chances.reduce((sum, column) => {
        const joint = belief.map((share, at) => share * column[at]!);
        const chance = joint.reduce((total, share) => total + share, 0);
        return sum + chance * measure(joint.map((share) => share / chance));
      }, 0);
    expect(next!.gain).toBeCloseTo(wrong(belief) - left(wrong), 3);
    const bits = (shares: Float64Array) => entropy(classes(shares));
    expect(bitsOf(prepared, belief, start, next!.observation)).toBeCloseTo(bits(belief) - left(bits), 2);
  });

  it('asks for a meter only of who has said that they can use one', () => {
    const start = startAt(prepared.situation.wiring);
    const needs = (meter: boolean) =>
      nextLooks(prepared, prepared.prior, { ...start, meter }, new Set()).map(
        ({ observation }) => observation.needs
      );
    expect(needs(false)).not.toContain('meter');
    expect(needs(true)).toContain('meter');
  });

  it('says which answer does not fit the rest, and leaves out what this house does not know', () => {
    const state = after(['display', 'dark'], ['head', 'off'], ['fan-blower', 'runs'], ['flux', 'high']);
    expect(state.against.map(({ observation }) => observation).length).toBeGreaterThan(0);
    expect(state.unknown).toEqual([{ observation: 'flux', answer: 'high' }]);
  });

  it('settles on what was found, and on nothing before anything was seen', () => {
    expect(after().settled).toBeNull();
    expect(after(['display', 'dark'], ['head', 'off']).settled?.id).toMatch(/^head-not-seated/);
  });

  it('goes on where a remedy changed nothing: that cause is out, what was seen stays, and the next is looked for', () => {
    const dark = [
      ['display', 'dark'],
      ['head', 'off']
    ] as const;
    const settled = after(...dark).settled!;
    const tried = after(...dark, [triedId(settled.cause.id), TRIED_STILL]);
    expect(tried.unknown).toEqual([]);
    expect(tried.causes.map(({ id }) => id)).not.toContain(settled.id);
    expect(tried.settled).toBeNull();
    expect(tried.looks.length).toBeGreaterThan(0);
    // It was off, and was pressed on: no answer was wrong, nor does a later one make it so.
    expect(tried.against).toEqual([]);
    const later = after(...dark, [triedId(settled.cause.id), TRIED_STILL], ['lamp', 'shines']);
    expect(later.against).toEqual([]);
    // Nobody is sent to make a remedy as a look.
    expect(tried.looks.some(({ observation }) => observation.id.startsWith('tried'))).toBe(false);
    // Every other cause of a dark display is likelier than it was.
    const supply = (state: DiagnosisState) =>
      state.causes.find(({ cause }) => cause.kind === 'supply-off')!.probability;
    expect(supply(tried)).toBeGreaterThan(supply(after(...dark)));
    expect(readSeen(prepared, `${triedId(settled.cause.id)}-${TRIED_STILL}`)).toEqual({
      observation: triedId(settled.cause.id),
      answer: TRIED_STILL
    });
    expect(readSeen(prepared, 'tried-nothing-still')).toHaveProperty('why');
  });

  it('looks at a fuse again that was replaced, and stops where it is open once more', () => {
    const open = [
      ['display', 'dark'],
      ['fuse', 'open']
    ] as const;
    const fuse = prepared.situation.causes.find(({ kind }) => kind === 'fuse-open')!;
    const still = [triedId(fuse.id), TRIED_STILL] as const;
    const asked = after(...open, still);
    expect(asked.stop).toBeNull();
    expect(asked.looks.map(({ observation }) => observation.id)).toContain('fuse');
    // The answer takes the place of the one before it, after the remedy.
    const again = after(open[0], still, ['fuse', 'open']);
    expect(again).toMatchObject({ stop: { id: 'fuse-again' }, stoppedBy: 'fuse', looks: [], settled: null });
    expect(after(open[0], still, ['fuse', 'whole']).stop).toBeNull();
    // Any other look is not made twice.
    const tugged = after(...open, ['tug-wall', 'fine'], still);
    expect(tugged.looks.map(({ observation }) => observation.id)).not.toContain('tug-wall');
  });

  it('asks a dark display for the wires that feed it, and a call that fails for its own', () => {
    const wires = (id: string) =>
      look(id)
        .answers.map(({ value }) => value)
        .filter((value) => value !== 'fine');
    const whole = wires('tug-wall');
    const feeds = wires('tug-wall-display');
    expect(feeds.length).toBeGreaterThan(1);
    expect(feeds.length).toBeLessThan(whole.length);
    // Without any of them the display goes dark; without any other it does not: the circuit says so.
    const { situation } = prepared;
    for (const strand of whole) {
      const at = situation.list.findIndex(
        ({ causes }) =>
          causes.length === 1 &&
          situation.causes[causes[0]!]!.kind === 'conductor-loose' &&
          situation.causes[causes[0]!]!.hits.strands?.includes(strand)
      );
      expect(prepared.lit[at]! < 0.5, strand).toBe(feeds.includes(strand));
    }
  });

  it('has one name for each look, at an outlet too', () => {
    const run = prepareRun(twoSupplyHouse());
    if ('ok' in run) throw new Error(run.why);
    const { observations } = finish(run);
    const ids = observations.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const places = observations
      .filter(({ id }) => /^tug-[a-z0-9]+(-\d)?$/.test(id))
      .map(({ place }) => place);
    expect(new Set(places).size).toBe(3);
  });

  it('is not begun while a stop of the user’s is open', () => {
    const { job, thermostat } = furnaceWithSpare();
    const plan = planFor(job, thermostat);
    expect('code' in diagnosisRequest(plan, thermostat, 'now')).toBe(false);
    const gas = { answer: 'yes' as const, at: '2026-01-05T09:00:00.000Z', resolved: null };
    const stopped = { ...thermostat, stops: { 'gas-smell': gas } } as never;
    expect(diagnosisRequest(plan, stopped, 'now')).toMatchObject({ level: 'stop' });
  });

  it('has something to do for every cause: moves, steps one after the other, or whom to call', () => {
    const steps = (kind: CauseKind) =>
      remedyOf(prepared, { cause: { ...prepared.situation.causes[0]!, id: '-', kind } });
    for (const kind of Object.keys(CAUSE_ODDS) as CauseKind[]) {
      const { says, pro, steps: list } = steps(kind);
      expect(says).toMatch(/\.$/);
      if (pro) expect(list).toEqual([]);
      for (const step of list) expect(step).toMatch(/[.!]$/);
      // A limit or a switch that opened is there for a reason.
      expect(list.join(' ')).not.toMatch(/(?<!Never )[Bb]ridge/);
    }
    expect(steps('fuse-open').steps[0]).toMatch(/^Power off/);
    expect(steps('fuse-open').proven).toBe(true);
    expect(steps('timer-counting').proven).toBeNull();
  });

  it('calls a remedy proven only where the wiring that it leads to was solved', () => {
    const of = (kind: string) => prepared.situation.causes.find((cause) => cause.kind === kind)!;
    expect(remedyOf(prepared, { cause: of('conductor-loose') }).proven).toBe(true);
    // Another wire takes its place: that is another wiring.
    expect(remedyOf(prepared, { cause: of('conductor-broken') })).toMatchObject({ proven: null, moves: [] });
  });

  it('ends at a stop sign, whatever else was seen', () => {
    const state = after(['display', 'dark'], ['gas', 'yes']);
    expect(state).toMatchObject({ stop: { id: 'gas' }, settled: null, looks: [] });
  });
});
