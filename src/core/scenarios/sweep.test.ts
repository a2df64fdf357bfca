/** A seeded sample of the sweep; `npm run sweep` walks as much of the whole as one gives it time for. */
import { describe, expect, it } from 'vitest';
import { powerUp } from '../circuit/simulate';
import { running } from '../circuit/expected';
import { callsOf } from '../devices/calls';
import { worldOf, boardOf, linkOf, strandOf, thermostatOf, wiringFrom } from '../houses/hand-wired';
import { chanceFrom } from '../trade/random';
import { CATALOGUE } from '../match/catalogue';
import type { Wiring } from '../wiring/graph';
import { reachedLoads } from './reach-checker';
import { SITUATIONS, situationOf } from '../houses/situations';
import { checkSituation, type Violation } from './sweep';

const SAMPLE = 110;

describe('the sweep', () => {
  it('knows more than a million situations, each different', () => {
    expect(SITUATIONS).toBeGreaterThan(1_000_000);
    const some = [0, 1, 17, 98, 12345].map((number) =>
      JSON.stringify([situationOf(number).house, situationOf(number).device.id])
    );
    expect(new Set(some).size).toBe(some.length);
  });

  it('finds nothing wrong with any option on offer in a seeded sample, by the circuit and by the second checker', () => {
    const chance = chanceFrom(2026);
    const violations: Violation[] = [];
    let compared = 0;
    let offered = 0;
    for (let draw = 0; draw < SAMPLE; draw += 1) {
      const checked = checkSituation(Math.floor(chance.next() * SITUATIONS));
      violations.push(...checked.violations);
      compared += checked.compared;
      offered += checked.offered;
    }
    expect(violations).toEqual([]);
    expect(offered).toBeGreaterThan(SAMPLE);
    expect(compared).toBeGreaterThan(SAMPLE);
  }, 120_000);
});

describe('situations that once were wrong', () => {
  it.each([
    [4017762, 'a board with W and Y that may belong to a boiler with a separate air conditioner'],
    [
      5654284,
      'an unread transformer that gives more than the smallest in another call than the one looked at'
    ]
  ])('%i: %s', (number) => {
    expect(checkSituation(number).violations).toEqual([]);
  });
});

describe('the second checker', () => {
  const facts = CATALOGUE.find((device) => device.id === 'de-fellgate')!;
  const whole = (ends: readonly string[], links = ['th.RH th.RC']): Wiring =>
    wiringFrom({
      devices: [thermostatOf(facts, 'th'), boardOf('eq', ['R', 'C', 'W', 'Y', 'G'])],
      strands: ends.map((end, at) => {
        const [wall = '', far = wall] = end.split(' ');
        return strandOf(`co-${at}`, ['th', wall], ['eq', far]);
      }),
      links: links.map((link) => {
        const [a = '', b = ''] = link.split(' ');
        return linkOf(a.startsWith('th') ? 'wall' : 'machine', a, b);
      })
    });

  it.each([
    ['a whole house', whole(['RC R', 'C', 'W', 'Y', 'G'])],
    ['a missing link', whole(['RC R', 'C', 'W', 'Y', 'G'], [])],
    ['two swapped', whole(['RC R', 'C', 'W Y', 'Y W', 'G'])],
    ['hot and common swapped', whole(['RC C', 'C R', 'W', 'Y', 'G'])],
    ['Y joined to G', whole(['RC R', 'C', 'W', 'Y'], ['th.RH th.RC', 'eq.Y1 eq.G'])],
    ['R touching C', whole(['RC R', 'C', 'W', 'Y', 'G'], ['th.RH th.RC', 'eq.R eq.C'])]
  ])('agrees with the circuit on %s', (_, wiring) => {
    const world = worldOf('furnace-ac');
    for (const call of callsOf(world, wiring)) {
      const made = powerUp(wiring, world, call);
      if (!made.ok) throw new Error(made.why);
      expect(reachedLoads(wiring, world, call), call).toEqual(running(made.result.loads).sort());
    }
  });
});
