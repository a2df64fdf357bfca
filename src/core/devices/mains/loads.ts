/** What a spur feeds: valves with their end switches, pump and boiler. Coils are resistances of their nameplate size. */
import type { PartName } from '../../trade/parts';
import {
  BOILER_LOW,
  HOUSE_OHMS,
  HOUSE_VOLTS,
  MAINS_DROP_OUT,
  MAINS_PULL_IN,
  MAINS_VA,
  SPUR_FUSE_AMPS,
  SPUR_VA
} from '../../trade/mains';
import type { MainsUnit } from '../../wiring/graph';
import type { Coil, Contact, Element, Fragment, PartOf } from '../elements';
import { hasScrew, nodeFor } from './screws';

export const part = (unit: MainsUnit, name: PartName, mark: string): PartOf => ({
  device: unit.id,
  part: name,
  mark
});

/** A coil or motor between two nodes; `volts` is what it is made for. */
export function mainsCoil(
  unit: MainsUnit,
  name: string,
  [a, b]: readonly [string, string],
  va: number,
  volts = HOUSE_VOLTS
): Coil {
  const share = volts / HOUSE_VOLTS;
  return {
    kind: 'coil',
    id: `${unit.id}:${name}`,
    a,
    b,
    ohms: (volts * volts) / va,
    reactance: 0,
    pullIn: MAINS_PULL_IN * share,
    dropOut: MAINS_DROP_OUT * share,
    inrush: 1,
    inrushRange: [1, 1],
    part: part(unit, 'coil', name)
  };
}

function contact(
  unit: MainsUnit,
  name: string,
  [a, b]: readonly [string, string],
  coil: string,
  closedWhen: Contact['closedWhen'] = 'energised'
): Contact {
  return {
    kind: 'contact',
    id: `${unit.id}:${name}`,
    a,
    b,
    coil: `${unit.id}:${coil}`,
    closedWhen,
    part: part(unit, 'contact', name)
  };
}

/** 230 V from L to N behind its fuse; neutral and earth meet at the house's supply. */
export function spur(unit: MainsUnit): Fragment {
  const inside = `${unit.id}~behind-fuse`;
  const [live, neutral, earth] = [nodeFor(unit, 'live'), nodeFor(unit, 'neutral'), nodeFor(unit, 'earth')];
  return {
    elements: [
      {
        kind: 'source',
        id: `${unit.id}:supply`,
        a: inside,
        b: neutral,
        volts: HOUSE_VOLTS,
        nominalVolts: HOUSE_VOLTS,
        ohms: HOUSE_OHMS,
        ratedVa: SPUR_VA,
        leastVa: SPUR_VA,
        name: unit.name,
        part: part(unit, 'transformer', 'supply')
      },
      {
        kind: 'fuse',
        id: `${unit.id}:fuse`,
        a: inside,
        b: live,
        amps: unit.fuseAmps ?? SPUR_FUSE_AMPS,
        seen: unit.fuseAmps !== null,
        part: part(unit, 'fuse', 'fuse')
      },
      {
        kind: 'resistor',
        of: 'joint',
        id: `${unit.id}:earthing`,
        a: earth,
        b: neutral,
        ohms: HOUSE_OHMS,
        part: part(unit, 'joint', 'earthing')
      }
    ],
    loads: [],
    ground: neutral
  };
}

/** The motor runs against a spring; at its end it closes the switch that brings on boiler and pump. */
export function twoPortValve(unit: MainsUnit): Fragment {
  return {
    elements: [
      mainsCoil(unit, 'motor', [nodeFor(unit, 'motor'), nodeFor(unit, 'neutral')], MAINS_VA.valve),
      contact(unit, 'end-switch', [nodeFor(unit, 'switch-in'), nodeFor(unit, 'switch-out')], 'motor')
    ],
    loads: [{ load: 'zone-valve', coils: [`${unit.id}:motor`] }]
  };
}

/**
 * Rests on hot water. White drives it to the middle; white and grey to heating, where its own switch feeds orange from white. Grey alone
 * holds it where it was.
 */
export function midPositionValve(unit: MainsUnit): Fragment {
  const [white, grey, neutral] = [nodeFor(unit, 'white'), nodeFor(unit, 'grey'), nodeFor(unit, 'neutral')];
  const between = `${unit.id}~at-heating`;
  return {
    elements: [
      mainsCoil(unit, 'white', [white, neutral], MAINS_VA.valve),
      mainsCoil(unit, 'grey', [grey, neutral], MAINS_VA.valve),
      contact(unit, 'at-middle', [white, between], 'white'),
      contact(unit, 'at-end', [between, nodeFor(unit, 'orange')], 'grey')
    ],
    loads: [{ load: 'zone-valve', coils: [`${unit.id}:white`] }]
  };
}

export function mainsPump(unit: MainsUnit): Fragment {
  return {
    elements: [mainsCoil(unit, 'pump', [nodeFor(unit, 'live'), nodeFor(unit, 'neutral')], MAINS_VA.pump)],
    loads: [{ load: 'pump', coils: [`${unit.id}:pump`] }]
  };
}

/** Small: what senses the call; the burner's fan, valve and pump hang on the permanent live where there is one. */
const SENSING_VA = 2;

export function mainsBoiler(unit: MainsUnit): Fragment {
  const neutral = nodeFor(unit, 'neutral');
  const permanent = hasScrew(unit, 'live');
  const feed = permanent ? nodeFor(unit, 'live') : nodeFor(unit, 'switched-live');
  const elements: Element[] = [];
  if (hasScrew(unit, 'contact-a')) elements.push(...lowInput(unit));
  if (hasScrew(unit, 'switched-live') || !hasScrew(unit, 'contact-a'))
    elements.push(mainsCoil(unit, 'call', [nodeFor(unit, 'switched-live'), neutral], SENSING_VA));
  const started = `${unit.id}~started`;
  elements.push(mainsCoil(unit, 'boiler', [started, neutral], MAINS_VA.boiler));
  const callers = elements.flatMap((element) =>
    element.kind === 'coil' && element.id !== `${unit.id}:boiler` ? [element.id] : []
  );
  for (const coil of callers) {
    const name = coil.slice(unit.id.length + 1);
    elements.push(contact(unit, `start-on-${name}`, [feed, started], name));
    if (hasScrew(unit, 'pump-live'))
      elements.push(contact(unit, `pump-on-${name}`, [feed, nodeFor(unit, 'pump-live')], name));
  }
  return { elements, loads: [{ load: 'boiler', coils: [`${unit.id}:boiler`] }] };
}

/** A thermostat input with a small voltage of the boiler's own: joining its two sides is the call. */
function lowInput(unit: MainsUnit): Element[] {
  const inside = `${unit.id}~input`;
  return [
    {
      kind: 'source',
      id: `${unit.id}:input`,
      a: inside,
      b: nodeFor(unit, 'contact-a'),
      volts: BOILER_LOW.volts,
      nominalVolts: BOILER_LOW.volts,
      ohms: 5,
      ratedVa: BOILER_LOW.va,
      leastVa: BOILER_LOW.va,
      name: `${unit.name}, thermostat input`,
      part: part(unit, 'transformer', 'input')
    },
    mainsCoil(unit, 'contact-call', [inside, nodeFor(unit, 'contact-b')], BOILER_LOW.va / 2, BOILER_LOW.volts)
  ];
}
