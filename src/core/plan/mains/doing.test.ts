import { describe, expect, it } from 'vitest';
import { quarryRow } from '../../../demo/quarry-row';
import { edit } from '../../job/edit';
import type { MainsControls } from '../../job/mains-schema';
import type { Job } from '../../job/schema';
import type { Move } from '../move-types';
import { doMainsMove, mayDo, takeMainsBack } from './doing';
import { planMains } from './plan';

const DAY = '2026-11-27';
const AT = `${DAY}T09:00:00.000Z`;
const DEAD: NonNullable<MainsControls['dead']> = {
  at: AT,
  testerBefore: true,
  liveNeutral: true,
  liveEarth: true,
  neutralEarth: true,
  testerAfter: true
};

function jobWith(change: Partial<MainsControls>): Job {
  const job = quarryRow();
  return {
    ...job,
    thermostats: job.thermostats.map((thermostat) => ({
      ...thermostat,
      mains: thermostat.mains && { ...thermostat.mains, ...change }
    }))
  };
}

const house = (job: Job) => job.thermostats[0]!;
const movesOf = (job: Job): readonly Move[] => planMains(house(job).mains!).taken?.moves ?? [];
const who = (name: MainsControls['competence']['who']) => ({ competence: { who: name, name: '', at: AT } });
const wireMove = (job: Job) => movesOf(job).find(({ change }) => change !== null)!;
const offMove = (job: Job) => movesOf(job).find(({ action }) => action === 'power-off')!;

function ticked(job: Job, move: Move, at = AT): Job | null {
  const step = doMainsMove(job, house(job), move, at);
  if (step === null) return null;
  const made = edit(job, step);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.job;
}

describe('hands on mains wires', () => {
  it.each(['unsaid', 'nobody'] as const)('do nothing where %s is named, not even a switch', (name) => {
    const job = jobWith({ ...who(name), dead: DEAD });
    expect(ticked(job, offMove(job))).toBeNull();
    expect(ticked(job, wireMove(job))).toBeNull();
  });

  it.each(['competent', 'licensed'] as const)(
    'move a wire for somebody %s once dead is proven, on that day',
    (name) => {
      const unproven = jobWith(who(name));
      expect(ticked(unproven, offMove(unproven))).not.toBeNull();
      expect(ticked(unproven, wireMove(unproven))).toBeNull();
      const proven = jobWith({ ...who(name), dead: DEAD });
      expect(ticked(proven, wireMove(proven))).not.toBeNull();
      expect(ticked(proven, wireMove(proven), '2026-11-28T07:00:00.000Z')).toBeNull();
      expect(mayDo(house(proven).mains!, wireMove(proven), '2026-11-28')).toBe(false);
    }
  );

  it('write down what they did, and take it back', () => {
    const job = jobWith({ ...who('licensed'), dead: DEAD });
    const first = ticked(job, wireMove(job))!;
    expect(house(first).mains!.log).toMatchObject([{ at: AT, undoes: null }]);
    expect(movesOf(first).length).toBe(movesOf(job).length - 1);
    const [entry] = house(first).mains!.log;
    const back = edit(first, takeMainsBack(first, house(first), entry!, AT)!);
    if (!back.ok) throw new Error('not taken back');
    expect(movesOf(back.job).map(({ text }) => text)).toEqual(movesOf(job).map(({ text }) => text));
    expect(takeMainsBack(back.job, house(back.job), entry!, AT)).toBeNull();
  });

  it('keep the last checks and the switch in the list until they are done', () => {
    let job = jobWith({ ...who('licensed'), dead: DEAD });
    for (const move of movesOf(job).filter(({ change }) => change !== null)) job = ticked(job, move) ?? job;
    expect(movesOf(job).map(({ what }) => what)).toEqual(['tug', 'earths', 'dead-cable', 'md-spur']);
    for (const move of movesOf(job)) job = ticked(job, move) ?? job;
    expect(movesOf(job)).toEqual([]);
  });
});
