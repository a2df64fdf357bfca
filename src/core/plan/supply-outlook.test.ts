/** What a plan says to somebody who has not bought yet: each part of it by itself. */
import { describe, expect, it } from 'vitest';
import { finding } from '../findings/finding';
import { furnaceWithSpare } from '../houses/houses';
import { planFor, type Plan } from './plan';
import { supplyOutlook } from './supply-outlook';

const { job, thermostat } = furnaceWithSpare();
const plan = planFor(job, thermostat);
const change = (more: Partial<Plan>): Plan => ({ ...plan, ...more });
const unread = finding('warn', 'end-not-read', { what: 'open', conductors: ['red'] });
const system = finding('warn', 'system-unsettled', { what: 'before-buying' });
const tied = finding('stop', 'supplies-tied', {});
const dead = finding('warn', 'dead-today', { call: 'fan', loads: ['blower'] });

describe('what a plan says before buying', () => {
  it('is that nothing stands in the way, where a way is open and all is read', () => {
    expect(supplyOutlook(plan, null, [])).toMatchObject({
      harms: [],
      feedable: true,
      tooMuchTogether: false,
      open: [],
      unfit: []
    });
  });

  it('is what hurts the house, not what is dead in it', () => {
    expect(supplyOutlook(change({ today: [tied, dead] }), null, []).harms).toEqual([tied]);
  });

  it('is what ways wait for as long as none can be judged, each once, and what was not read', () => {
    const waiting = [{ question: unread, methods: ['new-cable'] as const }];
    const open = (undecided: boolean) =>
      supplyOutlook(change({ undecided, waiting }), null, [{ ...unread }]).open;
    expect(open(true)).toEqual([unread]);
    expect(supplyOutlook(change({ undecided: true, waiting }), null, []).open).toEqual([unread]);
    expect(supplyOutlook(change({ undecided: false, waiting }), null, []).open).toEqual([]);
    expect(open(false)).toEqual([unread]);
  });

  it('leaves to the system what is said of the system', () => {
    const volts = finding('warn', 'voltage-class-unsettled', { what: 'before-buying' });
    const unknown = finding('warn', 'system-unknown', { what: 'ask' });
    expect(supplyOutlook(plan, null, [system, volts, unknown]).open).toEqual([]);
  });

  it('is whether a way is open for some thermostats, and what rules out the chosen one', () => {
    const closed = plan.options.map((option) => ({ ...option, closing: null }));
    const depends = closed.map((option, at) =>
      at === 0 ? { ...option, closing: { what: 'device' } as const } : option
    );
    expect(supplyOutlook(change({ options: closed }), null, []).hangsOnDevice).toBe(false);
    expect(supplyOutlook(change({ options: depends }), null, []).hangsOnDevice).toBe(true);
    const chosen = {
      device: plan.device,
      verdict: 'no',
      findings: [tied, dead],
      open: [],
      known: 'read'
    } as const;
    expect(supplyOutlook(plan, chosen, []).unfit).toEqual([tied]);
  });
});
