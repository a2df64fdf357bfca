/** What asks: timer, thermostats, the controller and its wall part. Their contacts answer to the requests of their own id. */
import { HOUSE_VOLTS, MAINS_VA, RECEIVER_LOW, type MainsFunction } from '../../trade/mains';
import type { Request } from '../../trade/vocabulary';
import type { MainsUnit } from '../../wiring/graph';
import type { CallContact, Element, Fragment } from '../elements';
import { hasScrew, nodeFor } from './screws';
import { part } from './loads';

function asking(
  unit: MainsUnit,
  name: string,
  [from, to]: readonly [MainsFunction, MainsFunction],
  requests: readonly Request[],
  asked: CallContact['asked'] = 'closes'
): CallContact {
  return {
    kind: 'call-contact',
    id: `${unit.id}:${name}`,
    a: nodeFor(unit, from),
    b: nodeFor(unit, to),
    control: unit.id,
    requests,
    asked,
    part: part(unit, 'contact', name)
  };
}

/** Where the contact of a channel is fed from: its own common where it is volt-free, live where it is linked inside. */
function commonOf(unit: MainsUnit, channel: 'heating' | 'water'): MainsFunction {
  const own: MainsFunction = channel === 'heating' ? 'heating-common' : 'water-common';
  if (unit.facts !== null) {
    const kind = channel === 'heating' ? unit.facts.heatingContact : unit.facts.waterContact;
    return kind === 'volt-free' ? own : 'live';
  }
  return unit.contacts === 'volt-free' || hasScrew(unit, own) ? own : 'live';
}

/** Contacts of a timer or a controller: on with what is asked for, the off screws without. */
function channels(unit: MainsUnit): Element[] {
  const [heating, water] = [commonOf(unit, 'heating'), commonOf(unit, 'water')];
  const forWater: readonly Request[] = unit.heatingBringsWater ? ['hot-water', 'heating'] : ['hot-water'];
  const all: readonly (readonly [MainsFunction, CallContact])[] = [
    ['heating-on', asking(unit, 'heating-on', [heating, 'heating-on'], ['heating'])],
    ['heating-off', asking(unit, 'heating-off', [heating, 'heating-off'], ['heating'], 'opens')],
    ['water-on', asking(unit, 'water-on', [water, 'water-on'], forWater)],
    ['water-off', asking(unit, 'water-off', [water, 'water-off'], forWater, 'opens')]
  ];
  return all.flatMap(([does, element]) => (hasScrew(unit, does) ? [element] : []));
}

function electronics(unit: MainsUnit, [a, b]: readonly [string, string], va: number, volts: number): Element {
  return {
    kind: 'resistor',
    of: 'electronics',
    id: `${unit.id}:electronics`,
    a,
    b,
    ohms: (volts * volts) / va,
    part: part(unit, 'electronics', 'electronics')
  };
}

export function timer(unit: MainsUnit): Fragment {
  const clock = electronics(
    unit,
    [nodeFor(unit, 'live'), nodeFor(unit, 'neutral')],
    MAINS_VA.timer,
    HOUSE_VOLTS
  );
  return { elements: [...channels(unit), clock], loads: [] };
}

export function roomThermostat(unit: MainsUnit): Fragment {
  const elements: Element[] = [asking(unit, 'switch', ['in', 'out'], ['heating'])];
  if (hasScrew(unit, 'satisfied'))
    elements.push(asking(unit, 'satisfied', ['in', 'satisfied'], ['heating'], 'opens'));
  if (hasScrew(unit, 'neutral'))
    elements.push({
      ...electronics(
        unit,
        [nodeFor(unit, 'out'), nodeFor(unit, 'neutral')],
        MAINS_VA.anticipator,
        HOUSE_VOLTS
      ),
      id: `${unit.id}:anticipator`
    });
  return { elements, loads: [] };
}

/** Frost and pipe thermostats close when it is cold. */
export function coldThermostat(unit: MainsUnit): Fragment {
  return { elements: [asking(unit, 'switch', ['in', 'out'], ['heating'])], loads: [] };
}

export function cylinderThermostat(unit: MainsUnit): Fragment {
  return {
    elements: [
      asking(unit, 'call', ['common', 'call'], ['hot-water']),
      asking(unit, 'satisfied', ['common', 'satisfied'], ['hot-water'], 'opens')
    ],
    loads: []
  };
}

/** Within 15 % of what it is made for. */
const window = (volts: number) => ({ min: volts * 0.85, max: volts * 1.15 });

export function controller(unit: MainsUnit): Fragment {
  const fed = electronics(
    unit,
    [nodeFor(unit, 'live'), nodeFor(unit, 'neutral')],
    unit.facts?.drawVa ?? MAINS_VA.controller,
    HOUSE_VOLTS
  );
  const elements: Element[] = [...channels(unit), fed];
  if (hasScrew(unit, 'low-a'))
    elements.push({
      kind: 'source',
      id: `${unit.id}:low`,
      a: nodeFor(unit, 'low-a'),
      b: nodeFor(unit, 'low-b'),
      volts: RECEIVER_LOW.volts,
      nominalVolts: RECEIVER_LOW.volts,
      ohms: 2,
      ratedVa: RECEIVER_LOW.va,
      leastVa: RECEIVER_LOW.va,
      name: `${unit.name}, low-voltage output`,
      part: part(unit, 'transformer', 'low')
    });
  return { elements, loads: [], fed: { device: unit.id, element: fed.id, ...window(HOUSE_VOLTS) } };
}

export function wallPart(unit: MainsUnit): Fragment {
  if (!hasScrew(unit, 'low-a')) return { elements: [], loads: [] };
  const fed = electronics(
    unit,
    [nodeFor(unit, 'low-a'), nodeFor(unit, 'low-b')],
    RECEIVER_LOW.va / 4,
    RECEIVER_LOW.volts
  );
  return {
    elements: [fed],
    loads: [],
    fed: { device: unit.id, element: fed.id, ...window(RECEIVER_LOW.volts) }
  };
}
