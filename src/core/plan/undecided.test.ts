/** Closed ways that wait for a look are told from those that are closed for good. */
import { describe, expect, it } from 'vitest';
import { house, type House } from '../houses/builder';
import { withThermostat } from '../houses/changed';
import { furnaceFourWires, furnaceWithSpare, heatPumpNoCommon } from '../houses/houses';
import { finding } from '../findings/finding';
import { findDevice } from '../match/catalogue';
import { lessKnown, refusedForGood } from '../scenarios/less-known';
import type { MethodId } from '../trade/vocabulary';
import { findingText } from '../words/findings/table';
import { planFor } from './plan';
import { situationOf } from '../supply/situation';
import { ref } from '../findings/refs';
import { closingOf, nearestClosing, unreadFact, waitingWays, type OpenFacts } from './undecided';

const OPEN: OpenFacts = { device: false, system: null, unread: null };
const unread = finding('warn', 'screw-not-read', { machine: 'the furnace', mark: 'QX' });
const system = finding('warn', 'system-unsettled', { what: 'before-buying' });
const noC = finding('stop', 'board-mark-missing', { machine: 'the furnace', read: true });
const noOutlet = finding('stop', 'no-outlet', {});
const noFan = finding('stop', 'fan-conductor-missing', { what: 'none' });
const noReceiver = finding('stop', 'device-has-no-receiver', { model: 'Any' });

const planOf = ({ job, thermostat }: House, model?: string) =>
  planFor(job, thermostat, model === undefined ? {} : { device: findDevice(job, model) ?? null });
const closing = (plan: ReturnType<typeof planOf>, method: MethodId) =>
  plan.options.find((option) => option.method === method)?.closing;

/** The same house before anybody went to the machine: nothing of it is read. */
function seenAtTheWall(made: House): House {
  const conductors = made.thermostat.conductors.map((conductor) => ({
    ...conductor,
    far: { state: 'unseen' as const, on: [] }
  }));
  const seen = withThermostat(made, { conductors });
  const job = { ...seen.job, equipment: seen.job.equipment.map((machine) => ({ ...machine, screws: [] })) };
  return { job, thermostat: seen.thermostat };
}

describe('what closes a way', () => {
  it('is a question only where every stop of it is one', () => {
    expect(closingOf([noC], OPEN)).toEqual({ what: 'asks', question: noC });
    expect(closingOf([noC, noOutlet], OPEN)).toEqual({ what: 'settled' });
    expect(closingOf([noOutlet], { ...OPEN, unread, system })).toEqual({ what: 'settled' });
  });

  it('is settled where a stop says what is missing in a house that is read, and a question where something is unread', () => {
    expect(closingOf([noFan], OPEN)).toEqual({ what: 'settled' });
    expect(closingOf([noFan], { ...OPEN, unread })).toEqual({ what: 'asks', question: unread });
  });

  it('waits for the system where it holds in some of the believable ones only', () => {
    const inOne = { ...noOutlet, worlds: ['a heat pump'] };
    expect(closingOf([inOne], { ...OPEN, system })).toEqual({ what: 'asks', question: system });
    const never = (sure: boolean) => finding('stop', 'not-for-this-family', { family: 'heat-pump', sure });
    expect(closingOf([never(false)], { ...OPEN, system })).toEqual({ what: 'asks', question: system });
    expect(closingOf([never(true)], { ...OPEN, system })).toEqual({ what: 'settled' });
  });

  it('depends on the thermostat as long as none is chosen, whatever else is asked', () => {
    expect(closingOf([noReceiver], { ...OPEN, device: true })).toEqual({ what: 'device' });
    expect(closingOf([noReceiver, noC], { ...OPEN, device: true })).toEqual({ what: 'device' });
    expect(closingOf([noReceiver], OPEN)).toEqual({ what: 'settled' });
  });

  it('of several variants is that of the one nearest to open', () => {
    const asks = { what: 'asks', question: noC } as const;
    expect(nearestClosing([{ what: 'settled' }, asks, { what: 'device' }])).toEqual(asks);
  });
});

describe('a heat pump of which only the wall was seen', () => {
  const plan = planOf(seenAtTheWall(heatPumpNoCommon()));

  it('is not decided: what waits stands under the question that it waits for, and leaving it is for until then', () => {
    expect(plan.recommended).toBe('none');
    expect(plan.undecided).toBe(true);
    const board = plan.waiting.find(({ question }) => question.code === 'board-mark-missing');
    expect(findingText(board!.question)).toContain('Nobody has looked at the board');
    expect(board?.methods).toEqual(expect.arrayContaining(['add-conductor', 'new-cable', 'signal-splitter']));
    expect(plan.waiting.flatMap(({ methods }) => methods)).not.toContain('none');
  });

  it('has ways that only another thermostat would open, and with one chosen they are closed for good', () => {
    expect(closing(plan, 'receiver-at-equipment')).toEqual({ what: 'device' });
    const chosen = planOf(seenAtTheWall(heatPumpNoCommon()), 'de-fellgate');
    expect(closing(chosen, 'receiver-at-equipment')).toEqual({ what: 'settled' });
    expect(closing(chosen, 'add-conductor')?.what).toBe('asks');
  });

  it('is decided once the machine is read', () => {
    const read = planOf(heatPumpNoCommon());
    expect(read.undecided).toBe(false);
    expect(closing(read, read.recommended)).toBeNull();
    // Strips and a heat pump keep their fan wire, whatever else is read.
    expect(closing(read, 'repurpose-g')).toEqual({ what: 'settled' });
  });
});

describe('what nobody has read', () => {
  const board = ['R', 'C', 'W', 'Y', 'G'];
  const fact = (strands: string[], screws = board) => {
    const { job, thermostat } = house({ strands, board: screws, observed: {} });
    return unreadFact(situationOf(job, thermostat).recorded);
  };

  it('is nothing in a record that is read, spares and loose ends among it', () => {
    expect(fact(['RD R R', 'WH W loose', 'GN coiled coiled'])).toBeNull();
  });

  it('is each wire of which an end was not seen, by name', () => {
    expect(fact(['RD R R', 'WH W unseen', 'GN unseen G'])).toMatchObject({
      level: 'warn',
      code: 'end-not-read',
      params: { what: 'open', conductors: ['white', 'green'] },
      because: [ref.conductor('co-2'), ref.conductor('co-3')]
    });
  });

  it('is before all a screw that says nothing', () => {
    expect(fact(['RD R R', 'WH W unseen'], [...board, 'QX'])).toMatchObject({
      code: 'screw-not-read',
      params: { machine: 'furnace', mark: 'QX' },
      because: [ref.machine('eq-1')]
    });
  });
});

describe('a fan wire on a screw that nobody can read', () => {
  const made = house({
    strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G QX'],
    board: ['R', 'C', 'W', 'Y', 'QX'],
    observed: furnaceFourWires().thermostat.observed
  });

  it('is asked about by name, and not said to be missing', () => {
    const now = closing(planOf(made, 'de-fellgate'), 'repurpose-g');
    expect(now).toMatchObject({ what: 'asks', question: { code: 'wire-not-explained' } });
  });

  it('is missing where the board is read and no wire is on G', () => {
    const none = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: furnaceFourWires().thermostat.observed
    });
    expect(closing(planOf(none, 'de-fellgate'), 'repurpose-g')).toEqual({ what: 'settled' });
  });
});

describe('questions', () => {
  it('stand once each, with the one first that most ways wait for', () => {
    const asks = (method: MethodId, question: typeof noC | typeof unread) => ({
      method,
      closing: { what: 'asks', question } as const
    });
    const waiting = waitingWays([
      asks('existing-c', unread),
      asks('new-cable', noC),
      asks('add-conductor', { ...noC }),
      asks('none', noC),
      { method: 'no-c-needed', closing: { what: 'settled' } },
      { method: 'spare-conductor', closing: null }
    ]);
    expect(waiting.map(({ question, methods }) => [question.code, methods])).toEqual([
      ['board-mark-missing', ['new-cable', 'add-conductor']],
      ['screw-not-read', ['existing-c']]
    ]);
  });

  it('say where to look', () => {
    expect(findingText(unread)).toContain('Look it up in the diagram inside the door');
    const bare = finding('warn', 'screw-not-read', { machine: 'the furnace', mark: '' });
    expect(findingText(bare)).toContain('the screw without a mark at the furnace');
  });
});

describe('a way that is open', () => {
  it.each([
    ['furnaceWithSpare', furnaceWithSpare()],
    ['heatPumpNoCommon', heatPumpNoCommon()]
  ])('of %s is never refused for good with one fact less', (_, made) => {
    const full = planOf(made, 'de-fellgate');
    const refused = lessKnown(made).flatMap((less) =>
      refusedForGood(full, planOf(less.house, 'de-fellgate'))
    );
    expect(refused).toEqual([]);
  });

  it('would be told if it were', () => {
    const full = planOf(furnaceWithSpare(), 'de-fellgate');
    const settled = full.options.map((option) => ({ ...option, closing: { what: 'settled' } as const }));
    expect(refusedForGood(full, { ...full, options: settled })).toContain(
      'spare-conductor: refused for good'
    );
  });
});
