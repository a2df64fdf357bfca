import { describe, expect, it } from 'vitest';
import { PLAIN_CASE, supplyCases } from '../devices/world';
import { callsOf } from '../devices/calls';
import { boardOf, linkOf, plug, strandOf, thermostatOf, wiringFrom } from '../houses/hand-wired';
import { twoSupplyHouse } from '../houses/powered-houses';
import { CATALOGUE } from '../match/catalogue';
import { sameReading } from '../proof/limits';
import type { Wiring } from '../wiring/graph';
import { simulate, type CallResult } from './simulate';
import { casesIn } from './supply-cases';
import { MOST_TURNABLE } from './supply-ties';

const { wiring: apart, world } = twoSupplyHouse();
const tied: Wiring = { ...apart, links: [linkOf('wall', 'th.RH', 'th.RC')] };
const fellgate = CATALOGUE.find((device) => device.id === 'de-fellgate')!;

/** Boards whose hot sides all hang on one strip of wires, and one plug-in supply that touches nothing. */
function chain(boards: number): Wiring {
  const ids = Array.from({ length: boards }, (_, at) => `eq-${at}`);
  return wiringFrom({
    devices: [thermostatOf(fellgate, 'th'), ...ids.map((id) => boardOf(id, ['R', 'C', 'W'])), plug],
    strands: ids
      .slice(1)
      .map((id, at) => strandOf(`co-${at}`, [ids[at]!, 'R'], [id, 'R']))
      .concat(strandOf('co-w', ['th', 'W'], ['eq-0', 'W']), strandOf('co-r', ['th', 'RH'], ['eq-0', 'R']))
  });
}

const solve = (wiring: Wiring, call: CallResult['call'], supplyCase = PLAIN_CASE) => {
  const made = simulate(wiring, world, call, supplyCase);
  if (!made.ok) throw new Error(made.why);
  return made.result;
};

describe('cases of polarity and earth', () => {
  it('are one where no two supplies touch, and four where a jumper ties two', () => {
    expect(casesIn(apart, world)).toEqual([PLAIN_CASE]);
    expect(casesIn(tied, world)).toEqual(supplyCases(2));
  });

  it('grow with the supplies that touch, and not with those beside them', () => {
    expect([2, 3, 4].map((boards) => casesIn(chain(boards), world).length)).toEqual([4, 8, 16]);
  });

  it('hold the earth apart where something besides a common touches it', () => {
    const earthed: Wiring = { ...apart, upsets: [{ element: 'eq.W', kind: 'earthed' }] };
    expect(casesIn(earthed, world).map(({ bonded }) => bonded)).toEqual([false, true]);
  });

  it('leave none out that reads otherwise', () => {
    for (const wiring of [apart, tied, chain(2), chain(3)]) {
      const kept = casesIn(wiring, world);
      const sources = solve(wiring, 'idle').supplies.length;
      for (const call of callsOf(world, wiring)) {
        const readings = kept.map((supplyCase) => solve(wiring, call, supplyCase));
        for (const supplyCase of supplyCases(sources)) {
          const result = solve(wiring, call, supplyCase);
          expect(readings.some((reading) => sameReading(reading, result))).toBe(true);
        }
      }
    }
  });

  it('are refused beyond what can be judged, with a reason', () => {
    expect(simulate(chain(MOST_TURNABLE + 1), world, 'heat1').ok).toBe(true);
    const made = simulate(chain(MOST_TURNABLE + 2), world, 'heat1');
    expect(made.ok ? '' : made.why).toContain('hang together');
  });
});
