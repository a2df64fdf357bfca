/** Less knowledge never makes a bolder verdict: each fact of a record taken away in turn, no way of any controller is judged better for it. */
import { describe, expect, it } from 'vitest';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../houses/mains-houses';
import type { MainsControls } from '../job/mains-schema';
import { planMains } from '../plan/mains/plan';
import type { MainsMethod } from '../trade/mains';
import { VERDICTS } from '../trade/vocabulary';

/** Records that know one thing less: an end, what a screw does, a boiler's input, what a valve is for, that these are all devices. */
function* knowingLess(mains: MainsControls): Generator<readonly [string, MainsControls]> {
  for (const [at, wire] of mains.wires.entries()) {
    const end = at % 2 === 0 ? 'near' : 'far';
    yield [
      `${wire.id} ${end}`,
      {
        ...mains,
        wires: mains.wires.map((other, index) =>
          index === at ? { ...other, [end]: { state: 'unseen', on: null } } : other
        )
      }
    ];
  }
  for (const device of mains.devices) {
    const changed = (change: Partial<typeof device>): MainsControls => ({
      ...mains,
      devices: mains.devices.map((other) => (other === device ? { ...other, ...change } : other))
    });
    if (device.part === 'wiring-centre') continue;
    for (const screw of device.screws)
      yield [
        `${device.id} ${screw.mark}`,
        changed({
          screws: device.screws.map((other) => (other === screw ? { ...other, does: 'unknown' } : other))
        })
      ];
    yield [
      `${device.id} facts`,
      changed({ serves: 'unknown', contacts: 'unknown', input: 'unknown', combination: 'unknown' })
    ];
  }
  yield ['that these are all', { ...mains, observed: { ...mains.observed, 'devices-complete': 'unknown' } }];
}

/** The best verdict of each method that touches a wire. */
function bestOf(mains: MainsControls, controller: string): ReadonlyMap<MainsMethod, number> {
  const best = new Map<MainsMethod, number>();
  for (const { method, verdict } of planMains(mains, { controller }).ways)
    if (method !== 'keep')
      best.set(method, Math.min(best.get(method) ?? Infinity, VERDICTS.indexOf(verdict)));
  return best;
}

const CONTROLLERS = ['ct-tarnwick-duo', 'ct-oskerry-twin', 'ct-pennhollow-solo'];

describe('a record that knows less', () => {
  const houses = Object.keys(MAINS_SKETCHES) as MainsHouse[];
  it.each(houses)('of %s opens no way', (house) => {
    const mains = mainsHouse(house);
    const known = new Map(CONTROLLERS.map((id) => [id, bestOf(mains, id)]));
    // Each second fact, the others in the next house, with one of the controllers in turn: all of them come round, and the test ends.
    const facts = [...knowingLess(mains)].filter((_, at) => at % 2 === houses.indexOf(house) % 2);
    facts.forEach(([what, less], at) => {
      const controller = CONTROLLERS[at % CONTROLLERS.length]!;
      for (const [method, verdict] of bestOf(less, controller)) {
        const before = known.get(controller)?.get(method) ?? VERDICTS.indexOf('no');
        expect({ what, method, bolder: verdict < before }).toEqual({ what, method, bolder: false });
      }
    });
  });
});
