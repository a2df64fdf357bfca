/**
 * Nothing may lie outside of what is called the least or the most. An adversary of its own looks for it: values drawn between their ends, and
 * a climb that turns one value after the other to its other end as long as that makes things worse. It knows the ranges, and nothing of the
 * derivatives that the search goes by.
 */
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { callsOf } from '../devices/calls';
import type { Coil, Element, Source } from '../devices/elements';
import { PLAIN_CASE, supplyCases, type CornerId, type SupplyCase } from '../devices/world';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import type { PoweredHouse } from '../houses/half-wave-houses';
import { plannedHouse, twoSupplyHouse, zonedHouse } from '../houses/powered-houses';
import { findDevice } from '../match/catalogue';
import type { Call } from '../trade/calls';
import { chanceFrom, type Chance } from '../trade/random';
import { across, circuitOf, isCircuit, setImpedance, through, type Circuit } from './circuit';
import { netlistOf } from './netlist';
import { relaysOf, settle, type Relays } from './settle';
import { EMF_RANGE, RANGES } from './spread';
import { settled, simulate } from './simulate';

const thermostat = (id: string) => SCHOOLHOUSE.thermostats.find((candidate) => candidate.id === id)!;
const device = (id: string) => findDevice(SCHOOLHOUSE, id)!;

/** A thermostat that charges itself through the idle coil of a boiler relay. */
function trickling(): PoweredHouse {
  return {
    world: worldOf('boiler'),
    wiring: wiringFrom({
      devices: [thermostatOf(device('de-sipper'), 'th'), boardOf('eq', ['R', 'C', 'W'])],
      strands: [strandOf('r', ['th', 'R'], ['eq', 'R']), strandOf('w', ['th', 'W'], ['eq', 'W'])]
    })
  };
}

/** Two supplies that a jumper left in ties together. */
function tied(): PoweredHouse {
  const { wiring, world } = twoSupplyHouse();
  const link = { id: 'left-in', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' } as const;
  return { world, wiring: { ...wiring, links: [...wiring.links, link] } };
}

const behindCoil = trickling();

const houses: [string, PoweredHouse][] = [
  ['a planned classroom', plannedHouse(SCHOOLHOUSE, thermostat('th-classroom'))],
  ['a flat', plannedHouse(SCHOOLHOUSE, thermostat('th-flat'))],
  ['two supplies', twoSupplyHouse()],
  ['two supplies, tied', tied()],
  ['charging through an idle coil', behindCoil],
  ['a panel of two zones', zonedHouse(2)]
];

/** One number of a house that may be anywhere between 0 and 1 of its range. */
type Dials = Float64Array;
const PER_ELEMENT = 4;

/** Puts an element where four dials have it: admittance, EMF, power factor, inrush. */
function dial(circuit: Circuit, at: number, element: Element, dials: Dials, feedVolts: number): void {
  const d = (number: number) => dials[at * PER_ELEMENT + number]!;
  const between = ([low, high]: readonly [number, number], share: number) => low + (high - low) * share;
  if (element.kind === 'source') {
    circuit.emf[at] = (element as Source).volts * between(EMF_RANGE, d(1));
    setImpedance(circuit, at, element.ohms * between(RANGES.transformerOhms, d(0)), 0);
  } else if (element.kind === 'coil') {
    const coil = element as Coil;
    const nominal = Math.hypot(coil.ohms, coil.reactance);
    const size = nominal * between(RANGES.coilSize, d(0));
    const share = Math.min(1, Math.max(0.2, coil.ohms / nominal + between(RANGES.powerFactor, d(2))));
    setImpedance(circuit, at, size * share, size * Math.sqrt(1 - share * share));
    circuit.ratio[at] = between(coil.inrushRange, d(3));
  } else if (element.kind === 'resistor') {
    const joint = between(RANGES.jointOhms, d(1));
    if (element.of === 'joint') setImpedance(circuit, at, joint, 0);
    else if (element.of === 'conductor')
      setImpedance(circuit, at, element.ohms * between(RANGES.copper, d(0)) + 2 * joint, 0);
    else {
      const power = d(2) < 0.5 ? 1 : (24 / Math.max(12, feedVolts)) ** 2;
      setImpedance(circuit, at, element.ohms / (between(RANGES.electronics, d(0)) * power), 0);
    }
  }
}

interface Contest {
  readonly relays: Relays;
  readonly call: Call;
  readonly supplyCase: SupplyCase;
  /** What is read, to be made as large as possible. */
  readonly read: () => number;
  /** The coils that are pulled in where the bound is. */
  readonly energised: Uint8Array;
}

/** What the dials give, with constant power followed to where it settles; the electronics of a collapsed circuit give up at 12 V. */
function reading({ relays, call, supplyCase, read, energised }: Contest, dials: Dials): number {
  const { circuit } = relays;
  const { elements, fed } = circuit.netlist;
  let volts = 24;
  for (let round = 0; round < 30; round += 1) {
    elements.forEach((element, at) => dial(circuit, at, element, dials, volts));
    circuit.model = 'complex';
    settle(relays, call, { ...supplyCase });
    const at = fed[0] ? circuit.placeOf.get(fed[0].element) : undefined;
    const next = at === undefined ? 24 : across(circuit, at);
    if (Math.abs(next - volts) < 1e-6) break;
    volts = next;
  }
  // Coils that do something else are a finding of their own, in whichever corner they do it.
  return relays.energised.every((on, number) => on === energised[number]) ? read() : -Infinity;
}

/** The most that draws and climbs find. */
function adversary(contest: Contest, chance: Chance): number {
  const size = contest.relays.circuit.netlist.elements.length * PER_ELEMENT;
  let best = -Infinity;
  for (let draw = 0; draw < 60; draw += 1)
    best = Math.max(
      best,
      reading(
        contest,
        Float64Array.from({ length: size }, () => chance.next())
      )
    );
  for (let climb = 0; climb < 3; climb += 1) {
    const dials = Float64Array.from({ length: size }, () => (chance.next() < 0.5 ? 0 : 1));
    let here = reading(contest, dials);
    for (let better = true; better;) {
      better = false;
      for (let at = 0; at < size; at += 1) {
        dials[at] = 1 - dials[at]!;
        const there = reading(contest, dials);
        if (there > here + 1e-9) [here, better] = [there, true];
        else dials[at] = 1 - dials[at]!;
      }
    }
    best = Math.max(best, here);
  }
  return best;
}

function contestIn(
  { wiring, world }: PoweredHouse,
  call: Call,
  supplyCase: SupplyCase,
  [corner, sign, what]: (typeof questions)[number]
): Contest | null {
  const circuit = circuitOf(netlistOf(wiring, world)!, 'complex');
  if (!isCircuit(circuit)) throw new Error(circuit.why);
  const [fed] = circuit.netlist.fed;
  const at = what === 'amps' ? circuit.sources[0] : fed && circuit.placeOf.get(fed.element);
  if (at === undefined) return null;
  const read = what === 'amps' ? through : across;
  const bounded = settled(wiring, world, call, { ...supplyCase, corner });
  if ('ok' in bounded) throw new Error(bounded.why);
  const energised = bounded.energised.slice();
  return {
    relays: relaysOf(circuit),
    call,
    supplyCase,
    energised,
    read: () => sign * read(circuit, at)
  };
}

function bound(where: PoweredHouse, call: Call, supplyCase: SupplyCase, corner: CornerId): number {
  const made = simulate(where.wiring, where.world, call, { ...supplyCase, corner });
  if (!made.ok) throw new Error(made.why);
  return corner === 'loaded' ? made.result.supplies[0]!.amps : made.result.feeds[0]!.volts;
}

const questions = [
  ['weak', -1, 'volts'],
  ['strong', 1, 'volts'],
  ['loaded', 1, 'amps']
] as const;

describe('no adversary gets past a bound', () => {
  it.each(houses)('in %s', (_, where) => {
    const chance = chanceFrom(29);
    const sources = netlistOf(where.wiring, where.world)!.elements.filter(({ kind }) => kind === 'source');
    const cases = sources.length > 1 ? supplyCases(2).slice(-2) : [PLAIN_CASE];
    for (const call of callsOf(where.world, where.wiring))
      for (const supplyCase of cases)
        for (const question of questions) {
          const [corner, sign] = question;
          // Electronics behind a coil have two answers to one set of values, lit and collapsed: a current of a few tenths, and no bound.
          if (corner === 'loaded' && where === behindCoil) continue;
          const contest = contestIn(where, call, supplyCase, question);
          if (!contest) continue;
          const most = sign * bound(where, call, supplyCase, corner);
          const found = adversary(contest, chance);
          expect(found, `${call} ${corner}`).toBeLessThanOrEqual(most + 2e-3 * Math.max(1, Math.abs(most)));
        }
  });
});
