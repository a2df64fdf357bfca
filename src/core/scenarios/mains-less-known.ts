/** Mains controls with one fact taken away: no way of any controller is judged better for it, nor refused for good. */
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

interface Best {
  readonly verdict: number;
  /** Every variant of it is closed by a fact that is known. */
  readonly settled: boolean;
}

/** The best verdict of each method that touches a wire. */
function bestOf(mains: MainsControls, controller: string): ReadonlyMap<MainsMethod, Best> {
  const best = new Map<MainsMethod, Best>();
  for (const { method, verdict, closing } of planMains(mains, { controller }).ways) {
    if (method === 'keep') continue;
    const before = best.get(method);
    best.set(method, {
      verdict: Math.min(before?.verdict ?? Infinity, VERDICTS.indexOf(verdict)),
      settled: (before?.settled ?? true) && closing === 'settled'
    });
  }
  return best;
}

/** Controllers that are judged better with less known, or that a look would have made fit and that are refused for good. */
function bolderControllers(full: MainsControls, less: MainsControls): string[] {
  const known = new Map(planMains(full).matches.map((match) => [match.facts.id, match]));
  return planMains(less).matches.flatMap(({ facts, verdict, closing }) => {
    const was = known.get(facts.id)?.verdict ?? 'no';
    if (VERDICTS.indexOf(verdict) < VERDICTS.indexOf(was)) return [`${facts.id} is judged better`];
    return was !== 'no' && closing === 'settled' ? [`${facts.id} is refused for good`] : [];
  });
}

/** Takes the facts of a record away one by one, and plans it without each for these controllers; all of the catalogue unless said otherwise. */
export function walkMainsLessKnown(
  mains: MainsControls,
  { step, from }: Every,
  controllersAt: (fact: number) => readonly string[] = () => CONTROLLERS.map(({ id }) => id)
): LessKnownWalk {
  const known = new Map<string, ReadonlyMap<MainsMethod, Best>>();
  const knownOf = (controller: string) => {
    const before = known.get(controller) ?? bestOf(mains, controller);
    known.set(controller, before);
    return before;
  };
  const facts = [...knowingLess(mains)].filter((_, at) => at % step === from % step);
  return {
    facts: facts.length,
    bold: facts.flatMap(([what, less], at) => [
      ...bolderControllers(mains, less).map((word) => `${what}: ${word}`),
      ...controllersAt(at).flatMap((controller) =>
        [...bestOf(less, controller)].flatMap(([method, now]) => {
          const CLOSED = VERDICTS.indexOf('no');
          const was = knownOf(controller).get(method)?.verdict ?? CLOSED;
          return [
            ...(now.verdict < was ? [`${what}, ${controller}: ${method} is bolder`] : []),
            ...(was < CLOSED && now.settled ? [`${what}, ${controller}: ${method} is refused for good`] : [])
          ];
        })
      )
    ])
  };
}
