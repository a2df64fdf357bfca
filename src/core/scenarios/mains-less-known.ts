/** Mains controls with one fact taken away: no way of any controller is judged better for it. */
import type { MainsControls } from '../job/mains-schema';
import { CONTROLLERS } from '../match/mains/controllers';
import { planMains } from '../plan/mains/plan';
import type { MainsMethod } from '../trade/mains';
import { VERDICTS } from '../trade/vocabulary';
import type { Every, LessKnownWalk } from './less-known';

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

/** Takes the facts of a record away one by one, and plans it without each for these controllers; all of the catalogue unless said otherwise. */
export function walkMainsLessKnown(
  mains: MainsControls,
  { step, from }: Every,
  controllersAt: (fact: number) => readonly string[] = () => CONTROLLERS.map(({ id }) => id)
): LessKnownWalk {
  const known = new Map<string, ReadonlyMap<MainsMethod, number>>();
  const knownOf = (controller: string) => {
    const before = known.get(controller) ?? bestOf(mains, controller);
    known.set(controller, before);
    return before;
  };
  const facts = [...knowingLess(mains)].filter((_, at) => at % step === from % step);
  return {
    facts: facts.length,
    bold: facts.flatMap(([what, less], at) =>
      controllersAt(at).flatMap((controller) =>
        [...bestOf(less, controller)]
          .filter(
            ([method, verdict]) => verdict < (knownOf(controller).get(method) ?? VERDICTS.indexOf('no'))
          )
          .map(([method]) => `${what}, ${controller}: ${method} is bolder`)
      )
    )
  };
}
