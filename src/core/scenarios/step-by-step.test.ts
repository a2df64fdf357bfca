/** Whatever way is taken: done one step after the other, each planned anew, the list comes to its end and to the wiring that was proven. */
import { describe, expect, it } from 'vitest';
import { chosen, worked } from '../houses/finished';
import * as houses from '../houses/houses';
import { METHOD_IDS } from '../trade/vocabulary';
import { sortedWiring } from '../wiring/graph';

const HOUSES = [
  'furnaceWithSpare',
  'furnaceFourWires',
  'heatOnly',
  'heatPumpNoCommon',
  'boilerHouse',
  'boilerPlusAcHouse',
  'oldAdapterHouse'
] as const;
const DEVICES = ['fellgate', 'weftline', 'farspeak'] as const;

const open = HOUSES.flatMap((name) =>
  DEVICES.flatMap((device) =>
    chosen(houses[name](), device)
      .plan.options.filter(
        ({ verdict, after, moves }) => verdict !== 'no' && after !== null && moves.length > 0
      )
      .map(({ method }) => ({ name, device, method }))
  )
);
/** Two houses for each way: every list is planned as often as it has steps. */
const ways = METHOD_IDS.flatMap((method) => {
  const of = open.filter((way) => way.method === method);
  const [first] = of;
  const other = of.find(({ name }) => name !== first?.name);
  return [first, other].flatMap((way) => (way ? [[way.name, way.device, method] as const] : []));
});

describe('step by step', () => {
  it('is asked of most ways', () => {
    expect(new Set(ways.map(([, , method]) => method)).size).toBeGreaterThan(7);
  });

  it.each(ways)('%s with %s by %s ends where it was to end', (name, device, method) => {
    const made = chosen(houses[name](), device, method);
    const wanted = made.plan.wiringAfter!;
    const done = worked(made);
    expect(done.plan.taken).toBe(method);
    expect(JSON.stringify(sortedWiring(done.plan.wiringNow))).toBe(JSON.stringify(sortedWiring(wanted)));
    expect(done.plan.done.at(-1)?.act.action).toBe('power-on');
  });
});
