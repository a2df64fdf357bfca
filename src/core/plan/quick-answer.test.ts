import { finding } from '../findings/finding';
import { millCottage } from '$demo/mill-cottage';
import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../match/catalogue';
import type { MethodId, Verdict } from '../trade/vocabulary';
import { edit } from '../job/edit';
import { screwsFrom } from '../job/screws';
import { readRawJob } from '../formats/job-json';
import { makeId } from '../job/ids';
import { jobOfLook, NOTHING_SEEN, recordLetters, type QuickLook } from '../survey/quick-look';
import { nextStep } from './next-step';
import { nextStepText } from './next-step-words';
import { planFor } from './plan';
import { quickAnswer } from './quick-answer';
import { standingOf, type StandingFacts } from './standing';
import { thermostatFindings } from '../job/record-findings';
import { knownSupplies } from '../safety/known-supplies';
import { safetyOf } from '../safety/standing';
import { wiringOf } from '../wiring/from-job';

const looked = (look: Partial<QuickLook>) => {
  const job = jobOfLook({ ...NOTHING_SEEN, ...look }, makeId('job', 'look'), 'My house');
  const [thermostat] = job.thermostats;
  return { job, thermostat: thermostat! };
};
const answerTo = (look: Partial<QuickLook>) => {
  const { job, thermostat } = looked(look);
  return quickAnswer(job, thermostat);
};
const warmAir = {
  answers: { 'heat-from': 'registers', 'outdoor-unit': 'rests', 'conductor-build': 'thin' }
};
const chanceOf = (answer: ReturnType<typeof quickAnswer>, method: string) =>
  answer.ways.find((way) => way.method === method)?.chance;

describe('the quick look', () => {
  it('makes a record that holds, with every answer in it and nothing made up', () => {
    const { job, thermostat } = looked({ letters: ['R', 'W', 'O/B'], coiled: 2, ...warmAir });
    expect(readRawJob(JSON.parse(JSON.stringify(job))).ok).toBe(true);
    expect(thermostat.conductors.map(({ near }) => near.state)).toEqual([
      'landed',
      'landed',
      'landed',
      'coiled',
      'coiled'
    ]);
    expect(thermostat.conductors.every(({ far, colour }) => far.state === 'unseen' && colour === null)).toBe(
      true
    );
    expect(thermostat.observed).toEqual({
      'heat-from': 'registers',
      'outdoor-unit': 'rests',
      'conductor-build': 'thin'
    });
  });

  it('is written into a job without taking anything from it', () => {
    const { job, thermostat } = looked({});
    const known = screwsFrom(['R', 'T']);
    const begun = { ...thermostat, screws: known };
    const before = { ...job, thermostats: [begun] };
    const step = recordLetters(before, begun, { ...NOTHING_SEEN, letters: ['R', 'W'], coiled: 1 });
    const edited = edit(before, step);
    if (!edited.ok) throw new Error('It was not recorded');
    const [after] = edited.job.thermostats;
    expect(after!.screws.slice(0, 2)).toEqual(known);
    expect(after!.screws.map(({ mark }) => mark)).toEqual(['R', 'T', 'W']);
    expect(after!.conductors[0]!.near.on).toEqual([{ at: begun.id, screw: known[0]!.id }]);
  });

  it('calls a free wire possible and never likely before its other end is seen', () => {
    const answer = answerTo({ letters: ['R', 'W', 'Y', 'G'], coiled: 1, ...warmAir });
    expect(answer).toMatchObject({ common: 'spare', stops: [] });
    expect(chanceOf(answer, 'spare-conductor')).toBe('possible');
    expect(chanceOf(answer, 'existing-c')).toBe('not');
    expect(answer.next).toContain('furnace');
  });

  it('rules a spare wire out where none is free, and leaves to the thermostat what only it decides', () => {
    const answer = answerTo({ letters: ['R', 'W', 'Y', 'G'], coiled: 0, ...warmAir });
    expect(answer.common).toBe('none');
    expect(chanceOf(answer, 'spare-conductor')).toBe('not');
    expect(chanceOf(answer, 'combined-terminal-adapter')).toBe('depends');
    expect(answer.ways.filter(({ chance }) => chance === 'not').every(({ why }) => why !== null)).toBe(true);
  });

  it('takes a wire on C for a C wire only as far as it was seen', () => {
    const answer = answerTo({ letters: ['R', 'C', 'W', 'Y', 'G'], coiled: 0, ...warmAir });
    expect(answer.common).toBe('landed');
    expect(chanceOf(answer, 'existing-c')).toBe('possible');
  });

  it('stops where it smells of mains, and gives no way', () => {
    const answer = answerTo({
      letters: ['L1'],
      answers: { 'conductor-build': 'thick', 'heat-from': 'electric' }
    });
    expect(answer.stops.length).toBeGreaterThan(0);
    expect(answer.ways).toEqual([]);
  });

  it('says nothing before anything was touched', () => {
    expect(answerTo({})).toMatchObject({ common: 'nothing-seen', stops: [], ways: [] });
  });
});

describe('the one next step', () => {
  const factsOf = ({ job, thermostat }: ReturnType<typeof looked>): StandingFacts => {
    const plan = planFor(job, thermostat);
    const { identification } = plan;
    return {
      thermostat,
      identification,
      safety: safetyOf(
        thermostat,
        knownSupplies(job, thermostat, identification, wiringOf(job, thermostat)),
        null
      ),
      recordFindings: thermostatFindings(job, thermostat),
      plan,
      match: null
    };
  };
  const stepOf = (facts: StandingFacts) =>
    nextStep({ ...facts, standing: standingOf(facts), looks: [], machines: ['Furnace'], closed: false });

  it('of a new job is to switch the power off, and nothing in it is an alarm', () => {
    const facts = factsOf(looked({}));
    expect(standingOf(facts).stops).toEqual([]);
    expect(standingOf(facts).open.length).toBeGreaterThan(0);
    expect(stepOf(facts)).toMatchObject({ what: 'power-off', first: true, station: 'safe' });
  });

  it('leads to the furnace once the wall is read, with the number of wires', () => {
    const step = stepOf(factsOf(looked({ letters: ['R', 'W', 'Y', 'G'], ...warmAir })));
    expect(step).toMatchObject({ what: 'read-equipment', count: 4, station: 'sheet' });
    expect(nextStepText(step)).toBe('Go to the furnace: read which screws 4 wires are on');
  });

  it('is a stop as soon as something looks like mains', () => {
    const facts = factsOf(
      looked({ letters: ['L1'], answers: { 'conductor-build': 'thick', 'heat-from': 'electric' } })
    );
    expect(standingOf(facts).stops.length).toBeGreaterThan(0);
    expect(stepOf(facts)).toMatchObject({ what: 'stopped' });
  });

  it('never calls done what was never begun, and a closed way is no end of the work', () => {
    const facts = factsOf(
      looked({ letters: ['R', 'W'], answers: { ...warmAir.answers, 'outdoor-unit': 'none' } })
    );
    const read = facts.thermostat.conductors.map((wire) => ({ ...wire, far: wire.near }));
    const [device] = CATALOGUE;
    const chosen = (method: MethodId, verdict: Verdict): StandingFacts => ({
      ...facts,
      identification: { ...facts.identification, decided: true },
      match: { device: device!, verdict: 'go', findings: [], open: [], known: 'read' },
      thermostat: {
        ...facts.thermostat,
        conductors: read,
        choice: { device: device!.id, method, variant: null }
      },
      plan: {
        ...facts.plan,
        today: [],
        taken: method,
        moves: [],
        options: facts.plan.options.map((option) =>
          option.method === method ? { ...option, verdict, findings: [] } : option
        )
      }
    });
    const open = chosen('spare-conductor', 'no');
    const fed = open.plan.options.map((option) =>
      option.method === 'add-conductor' ? { ...option, verdict: 'go' as const, findings: [] } : option
    );
    const step = stepOf({ ...open, plan: { ...open.plan, options: fed } });
    expect(step).toEqual({ what: 'way-closed', station: 'supply' });
    const none = open.plan.options.map((option) =>
      option.standing === 'left' ? option : { ...option, verdict: 'no' as const, findings: [] }
    );
    const closed = { ...open, plan: { ...open.plan, undecided: false, options: none } };
    expect(stepOf(closed)).toEqual({ what: 'none-open', station: 'supply' });
    const overload = finding(
      'stop',
      'overloaded-together',
      { call: 'heat1', supply: 'Panel', amps: 2, fuse: 'opens', thermostats: 4 },
      []
    );
    const together = none.map((option) => ({ ...option, findings: [overload] }));
    const asked = { ...closed, plan: { ...closed.plan, options: together } };
    expect(stepOf(asked)).toEqual({ what: 'too-much-together', station: 'together' });
    expect(stepOf(chosen('none', 'go'))).toEqual({ what: 'nothing-to-do', station: 'keep' });
  });

  it('after the last step is to power up, then to find out why until it is lit', () => {
    const job = millCottage();
    const place = job.thermostats[0]!;
    const after = (...seen: readonly (readonly [string, string])[]) => {
      const entries = seen.map(([observation, answer]) => ({
        at: '2026-10-03T10:00:00.000Z',
        observation,
        answer
      }));
      const facts = factsOf({ job, thermostat: { ...place, seen: entries } });
      return stepOf({
        ...facts,
        match: { device: facts.plan.device, verdict: 'go', findings: [], open: [], known: 'read' }
      });
    };
    expect(after()).toEqual({ what: 'power-up', station: 'power' });
    expect(after(['display', 'dark'])).toEqual({ what: 'find-out', station: 'why' });
    expect(after(['display', 'lit'])).toEqual({ what: 'set-up', station: 'set-up' });
    expect(after(['display', 'lit'], ['heat1-burner', 'still']).what).toBe('find-out');
  });

  it('once it is lit is to set it up, to test it, and to hand it over; what was not good is tested again', () => {
    const job = millCottage();
    const at = '2026-10-03T10:00:00.000Z';
    const after = (more: Partial<typeof place>, closed = false) => {
      const facts = factsOf({
        job,
        thermostat: { ...place, seen: [{ at, observation: 'display', answer: 'lit' }], ...more }
      });
      const match = {
        device: facts.plan.device,
        verdict: 'go',
        findings: [],
        open: [],
        known: 'read'
      } as const;
      return nextStep({ ...facts, match, standing: standingOf(facts), looks: [], machines: [], closed }).what;
    };
    const place = job.thermostats[0]!;
    const kind = { setting: 'kind', value: 'air', at } as const;
    const clock = { setting: 'clock', value: 'set', at } as const;
    const test = (result: 'good' | 'bad' | 'put-off', call: 'heat1' | 'cool1' | 'fan' = 'heat1') =>
      ({ call, at, result, why: '', until: null, began: null, ended: null, outdoorC: null }) as const;
    expect(after({ settings: [kind] })).toBe('set-up');
    expect(after({ settings: [kind, clock] })).toBe('test');
    expect(after({ settings: [kind, clock], tests: [test('bad')] })).toBe('test');
    const others = [test('put-off', 'cool1'), test('good', 'fan')];
    expect(after({ settings: [kind, clock], tests: [test('good'), others[1]!] })).toBe('test');
    expect(after({ settings: [kind, clock], tests: [test('bad'), test('good'), ...others] })).toBe(
      'hand-over'
    );
    expect(
      after({
        settings: [kind, clock],
        tests: [test('good')],
        testing: { call: 'fan', began: at, ended: null }
      })
    ).toBe('test');
    const trouble = [
      { at, observation: 'display', answer: 'lit' },
      { at, observation: 'heat1-burner', answer: 'still' }
    ];
    expect(after({ settings: [kind, clock], tests: [test('bad')], seen: trouble })).toBe('find-out');
    const later = { ...test('good'), at: '2026-10-03T11:00:00.000Z' };
    expect(after({ settings: [kind, clock], tests: [test('bad'), later, ...others], seen: trouble })).toBe(
      'hand-over'
    );
    expect(after({}, true)).toBe('closed');
    const gas = { 'gas-smell': { answer: 'yes' as const, at, resolved: null } };
    expect(after({ stops: gas }, true)).toBe('stopped');
  });

  it('asks for a thermostat when the wires and the system are known', () => {
    const facts = factsOf(
      looked({ letters: ['R', 'W'], answers: { ...warmAir.answers, 'outdoor-unit': 'none' } })
    );
    const read = facts.thermostat.conductors.map((wire) => ({ ...wire, far: wire.near }));
    const known = {
      ...facts,
      thermostat: { ...facts.thermostat, conductors: read },
      identification: { ...facts.identification, decided: true }
    };
    expect(stepOf(known)).toEqual({ what: 'choose-thermostat', station: 'thermostat' });
  });
});
