/**
 * A second opinion on mains controls, by reachability alone and written without the solver: what live reaches through copper and closed contacts, what
 * neutral reaches through copper, and which coils stand between the two. It has to agree with what is solved.
 */
import type { MainsUnit, Wiring } from '../wiring/graph';
import type { MainsRow } from '../proof/mains/rows';

export interface Reached {
  readonly boiler: boolean;
  readonly pump: boolean;
  /** Some point hangs between two coils alone: what it gets is a matter of volts, and reachability has no opinion. */
  readonly unclear: boolean;
  /** Boilers that are called. */
  readonly called: ReadonlySet<string>;
  /** Of each valve: whether its motor (white) and its grey are driven. */
  readonly driven: ReadonlyMap<string, { readonly motor: boolean; readonly grey: boolean }>;
}

type Pair = readonly [string, string];

const screws = (unit: MainsUnit, does: string) =>
  unit.screws.filter((screw) => screw.means[0] === does).map((screw) => screw.id);
const screw = (unit: MainsUnit, does: string) => screws(unit, does)[0] ?? `${unit.id}?${does}`;

function unitsIn(wiring: Wiring): MainsUnit[] {
  return wiring.devices.filter((device): device is MainsUnit => device.kind === 'mains');
}

/** Wires and links, and screws of one kind that a device joins inside. */
function copper(wiring: Wiring): Pair[] {
  const pairs: Pair[] = wiring.links.map(({ a, b }) => [a, b]);
  for (const { near, far, continuity } of wiring.strands)
    if (near.state === 'landed' && far.state === 'landed' && continuity !== 'broken')
      pairs.push([near.terminal, far.terminal]);
  for (const unit of unitsIn(wiring))
    for (const does of ['live', 'neutral', 'earth', 'switched-live', 'pump-live']) {
      const [first, ...others] = screws(unit, does);
      for (const other of others) pairs.push([first ?? other, other]);
    }
  return pairs;
}

function reach(from: readonly string[], pairs: readonly Pair[]): Set<string> {
  const reached = new Set(from);
  for (let grown = true; grown;) {
    grown = false;
    for (const [a, b] of pairs) {
      if (reached.has(a) === reached.has(b)) continue;
      reached.add(a).add(b);
      grown = true;
    }
  }
  return reached;
}

/** Contacts that a row closes, apart from those of valves and boilers. */
function asked(wiring: Wiring, row: MainsRow): Pair[] {
  const units = unitsIn(wiring);
  const there = new Set(units.map(({ id }) => id));
  const gone = Object.entries(row.rooms).filter(([room]) => !there.has(room));
  return units.flatMap((unit): Pair[] => {
    const on = (from: string, to: string, closed: boolean): Pair[] =>
      closed ? [[screw(unit, from), screw(unit, to)]] : [];
    switch (unit.part) {
      case 'timer':
      case 'controller': {
        const heating = row.heating && (unit.part === 'timer' || gone.every(([, calls]) => calls));
        const water = row.water || (unit.heatingBringsWater && heating);
        const from = (channel: string, kind: string | null | undefined) =>
          (kind ?? unit.contacts) === 'volt-free' ||
          (!unit.facts && screws(unit, `${channel}-common`).length > 0)
            ? `${channel}-common`
            : 'live';
        const [h, w] = [from('heating', unit.facts?.heatingContact), from('water', unit.facts?.waterContact)];
        return [
          ...on(h, 'heating-on', heating),
          ...on(h, 'heating-off', !heating),
          ...on(w, 'water-on', water),
          ...on(w, 'water-off', !water)
        ];
      }
      case 'room-thermostat': {
        const calls = row.rooms[unit.id] ?? true;
        return [...on('in', 'out', calls), ...on('in', 'satisfied', !calls)];
      }
      case 'cylinder-thermostat':
        return [...on('common', 'call', row.cylinder), ...on('common', 'satisfied', !row.cylinder)];
      case 'frost-thermostat':
      case 'pipe-thermostat':
        return on('in', 'out', row.frost);
      default:
        return [];
    }
  });
}

/** Contacts that follow from what is driven: end switches, a boiler that has started. */
function followed(wiring: Wiring, state: Reached): Pair[] {
  return unitsIn(wiring).flatMap((unit): Pair[] => {
    const driven = state.driven.get(unit.id);
    if (unit.part === 'two-port-valve' && driven?.motor)
      return [[screw(unit, 'switch-in'), screw(unit, 'switch-out')]];
    if (unit.part === 'mid-position-valve' && driven?.motor && driven.grey)
      return [[screw(unit, 'white'), screw(unit, 'orange')]];
    if (unit.part === 'boiler' && state.called.has(unit.id) && screws(unit, 'pump-live').length > 0)
      return [[feed(unit), screw(unit, 'pump-live')]];
    return [];
  });
}

const feed = (unit: MainsUnit) => screw(unit, screws(unit, 'live').length > 0 ? 'live' : 'switched-live');

/** Both sides of whatever draws current between live and neutral. */
function drawing(unit: MainsUnit): Pair[] {
  const to = screw(unit, 'neutral');
  const pairs = (...does: string[]): Pair[] =>
    does.filter((duty) => screws(unit, duty).length > 0).map((duty) => [screw(unit, duty), to]);
  switch (unit.part) {
    case 'two-port-valve':
      return pairs('motor');
    case 'mid-position-valve':
      return pairs('white', 'grey');
    case 'pump':
    case 'timer':
    case 'controller':
      return pairs('live');
    case 'boiler':
      return pairs('switched-live', 'live', 'pump-live');
    case 'room-thermostat':
      return screws(unit, 'neutral').length > 0 ? pairs('out') : [];
    default:
      return [];
  }
}

export function reachRow(wiring: Wiring, row: MainsRow): Reached {
  const units = unitsIn(wiring);
  const wires = copper(wiring);
  const spurs = units.filter(({ part }) => part === 'supply');
  const contacts = asked(wiring, row);
  let state: Reached = { boiler: false, pump: false, unclear: false, called: new Set(), driven: new Map() };
  for (let step = 0; step < 16; step += 1) {
    const pairs = [...wires, ...contacts, ...followed(wiring, state)];
    const next = readOff(units, pairs, sidesOf(spurs, pairs));
    if (same(state, next)) return next;
    state = next;
  }
  return { ...state, unclear: true };
}

interface Sides {
  readonly live: ReadonlySet<string>;
  readonly neutral: ReadonlySet<string>;
}

/** Where the two meet a fuse opens, and nothing is live any more. Neutral and earth meet at the spur. */
function sidesOf(spurs: readonly MainsUnit[], pairs: readonly Pair[]): Sides {
  const live = reach(
    spurs.map((spur) => screw(spur, 'live')),
    pairs
  );
  const neutral = reach(
    spurs.flatMap((spur) => [screw(spur, 'neutral'), screw(spur, 'earth')]),
    pairs
  );
  const short = [...live].some((terminal) => neutral.has(terminal));
  return { live: short ? new Set() : live, neutral };
}

function readOff(units: readonly MainsUnit[], pairs: readonly Pair[], { live, neutral }: Sides): Reached {
  const fed = (unit: MainsUnit, does: string) => {
    const [first, second] = [screw(unit, does), screw(unit, 'neutral')];
    return (live.has(first) && neutral.has(second)) || (neutral.has(first) && live.has(second));
  };
  const calling = units.filter(
    (unit) =>
      unit.part === 'boiler' &&
      (fed(unit, 'switched-live') ||
        // A contact that is free of voltage: its two sides are one point when it is closed.
        (screws(unit, 'contact-a').length > 0 &&
          reach([screw(unit, 'contact-a')], pairs).has(screw(unit, 'contact-b'))))
  );
  const boiler = calling.some((unit) =>
    fed(unit, screws(unit, 'live').length === 0 ? 'switched-live' : 'live')
  );
  const pumps = units.filter(({ part }) => part === 'pump');
  return {
    boiler,
    unclear: hangsBetween(units, pairs, { live, neutral }),
    called: new Set(calling.map(({ id }) => id)),
    pump: pumps.length === 0 ? boiler : pumps.some((unit) => fed(unit, 'live')),
    driven: new Map(
      units
        .filter(({ part }) => part === 'two-port-valve' || part === 'mid-position-valve')
        .map((unit) => [
          unit.id,
          {
            motor: fed(unit, unit.part === 'two-port-valve' ? 'motor' : 'white'),
            grey: unit.part === 'mid-position-valve' && fed(unit, 'grey')
          }
        ])
    )
  };
}

/** A point that is neither live nor neutral, with a coil to a live one and a coil to another point. */
function hangsBetween(
  units: readonly MainsUnit[],
  pairs: readonly Pair[],
  { live, neutral }: Sides
): boolean {
  const coils = units.flatMap(drawing);
  const floating = (terminal: string) => !live.has(terminal) && !neutral.has(terminal);
  const backFed = coils.flatMap(([a, b]) => {
    if (live.has(a) && floating(b)) return [b];
    return live.has(b) && floating(a) ? [a] : [];
  });
  return backFed.some((terminal) => {
    const point = reach([terminal], pairs);
    return coils.filter(([a, b]) => point.has(a) || point.has(b)).length > 1;
  });
}

function same(a: Reached, b: Reached): boolean {
  const text = ({ boiler, pump, driven, called }: Reached) =>
    JSON.stringify([boiler, pump, [...driven], [...called]]);
  return text(a) === text(b);
}
