/**
 * What may be wrong after the work, or in an old house: each cause is a function from graph to graph, like a mistake of the hands, so that what it
 * shows is solved. Odds are estimates of the trade, in their order; what a move of this job touched counts several times.
 */
import { doesOf, mainsTerminal, mainsUnits, screwsThat } from '../../devices/mains/screws';
import { printedMark, landedTerminal, type MainsUnit, type Upset, type Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';
import { unitsOf } from '../../proof/mains/rows';
import { triedId } from '../tried-code';
import { firstScrew, withEnd, withLink } from '../../supply/mains/edits';

export const MAINS_CAUSE_KINDS = [
  'wire-off',
  'wires-swapped',
  'link-missing',
  'link-added',
  'supply-off',
  'end-switch-open',
  'end-switch-stuck',
  'valve-stuck',
  'pump-stuck',
  'boiler-fault',
  'cylinder-thermostat-open',
  'not-calling',
  'something-else'
] as const;
export type MainsCauseKind = (typeof MAINS_CAUSE_KINDS)[number];

export interface MainsCause {
  readonly id: string;
  readonly kind: MainsCauseKind;
  /** Ids of the wires, links or devices that it is about. */
  readonly at: readonly string[];
  /** In words: what is wrong. */
  readonly text: string;
  /** What to do about it. */
  readonly remedy: string;
  /** Relative odds before anything is seen. */
  readonly odds: number;
  /** The wiring with it; null for what no wiring shows. */
  readonly wiring: Wiring | null;
}

/** What it is kept under that its remedy was done; null for what has none. */
export function triedCode({ id, kind }: Pick<MainsCause, 'id' | 'kind'>): string | null {
  return kind === 'something-else' ? null : triedId(id);
}

/** How many times a cause counts that a move of this job could have made. */
export const TOUCHED_TIMES = 6;

const ODDS: Readonly<Record<MainsCauseKind, number>> = {
  'supply-off': 5,
  'not-calling': 6,
  'wire-off': 0.5,
  'wires-swapped': 0.4,
  'link-missing': 2,
  'link-added': 0.6,
  'end-switch-open': 4,
  'end-switch-stuck': 1.5,
  'valve-stuck': 4,
  'pump-stuck': 2,
  'boiler-fault': 4,
  'cylinder-thermostat-open': 1,
  'something-else': 4
};

function withUpset(wiring: Wiring, upset: Upset): Wiring {
  return { ...wiring, upsets: [...(wiring.upsets ?? []), upset] };
}

/** Every single cause in this wiring. `touched`: ids of wires, links and devices that a move of this job touched. */
export function causesIn(wiring: Wiring, touched: ReadonlySet<string> = new Set()): MainsCause[] {
  const found: Omit<MainsCause, 'odds'>[] = [
    ...wiresOff(wiring),
    ...swapped(wiring),
    ...linksMissing(wiring),
    ...linksAdded(wiring),
    ...inDevices(wiring),
    {
      id: 'something-else',
      kind: 'something-else',
      at: [],
      text: 'Something that is not in this list.',
      remedy: 'Put everything back as it was, or call a heating engineer with what was seen.',
      wiring: null
    }
  ];
  return found.map((cause) => ({
    ...cause,
    odds: ODDS[cause.kind] * (cause.at.some((id) => touched.has(id)) ? TOUCHED_TIMES : 1)
  }));
}

function wiresOff(wiring: Wiring): Omit<MainsCause, 'odds'>[] {
  return wiring.strands.flatMap((strand) => {
    const [near, far] = [landedTerminal(strand.near), landedTerminal(strand.far)];
    if (near === null || far === null) return [];
    const own = mainsTerminal(wiring, near);
    if (!own || own.does === 'earth') return [];
    const where = `${own.unit.name} ${printedMark(wiring, near)}`;
    const there = mainsTerminal(wiring, far)?.unit.name ?? '';
    return [
      {
        id: `off-${strand.id}`,
        kind: 'wire-off' as const,
        at: [strand.id],
        text: `The ${strand.name} wire of ${where} has come off, or was never tight.`,
        remedy: `Power off, proven dead: tug the ${strand.name} wire at ${where} and at the ${there}; land it again.`,
        wiring: withEnd(wiring, strand.id, 'near', { state: 'loose' })
      }
    ];
  });
}

/** Two wires on neighbouring screws of the controller, timer or a valve, exchanged. */
function swapped(wiring: Wiring): Omit<MainsCause, 'odds'>[] {
  const joined = joinedIn(wiring);
  const plates = mainsUnits(wiring).filter(({ part }) =>
    ['controller', 'timer', 'cylinder-thermostat', 'mid-position-valve', 'two-port-valve'].includes(part)
  );
  return plates.flatMap((unit) => {
    const ends = unit.screws.flatMap((screw) => {
      const strand = wiring.strands.find(
        (strand) => landedTerminal(strand.near) === screw.id && strand.far.state === 'landed'
      );
      return strand && doesOf(screw) !== 'earth' ? [{ strand, screw }] : [];
    });
    return ends.slice(1).flatMap((second, at) => {
      const first = ends[at];
      if (!first || joined.same(first.screw.id, second.screw.id)) return [];
      const made = withEnd(
        withEnd(wiring, first.strand.id, 'near', second.strand.near),
        second.strand.id,
        'near',
        first.strand.near
      );
      const marks = `${printedMark(wiring, first.screw.id)} and ${printedMark(wiring, second.screw.id)}`;
      return [
        {
          id: `swap-${first.strand.id}-${second.strand.id}`,
          kind: 'wires-swapped' as const,
          at: [first.strand.id, second.strand.id],
          text: `${unit.name}: the wires on ${marks} are exchanged.`,
          remedy: `Power off, proven dead: compare ${marks} of the ${unit.name} with the plan, by what they do.`,
          wiring: made
        }
      ];
    });
  });
}

function linksMissing(wiring: Wiring): Omit<MainsCause, 'odds'>[] {
  return wiring.links.map((link) => {
    const between = `${printedMark(wiring, link.a)} and ${printedMark(wiring, link.b)}`;
    const where = mainsTerminal(wiring, link.a)?.unit.name ?? '';
    return {
      id: `no-${link.id}`,
      kind: 'link-missing' as const,
      at: [link.id],
      text: `${where}: the link between ${between} is missing.`,
      remedy: `Power off, proven dead: put the link between ${between} in (${where}).`,
      wiring: { ...wiring, links: wiring.links.filter((candidate) => candidate.id !== link.id) }
    };
  });
}

/** A link from live to a screw that is no common: as on a plate of volt-free contacts, on one that is fed inside. */
function linksAdded(wiring: Wiring): Omit<MainsCause, 'odds'>[] {
  return unitsOf(wiring, 'controller').flatMap((unit) => {
    const live = firstScrew(unit, 'live');
    const outs = (['water-off', 'heating-off', 'water-on', 'heating-on'] as const).flatMap((does) =>
      screwsThat(unit, does)
    );
    if (live === null) return [];
    return outs.map((screw) => ({
      id: `extra-${screw.id}`,
      kind: 'link-added' as const,
      at: [unit.id],
      text: `${unit.name}: a link from live to ${printedMark(wiring, screw.id)}, which is no common.`,
      remedy: `Power off, proven dead: take the link from live to ${printedMark(wiring, screw.id)} out.`,
      wiring: withLink(wiring, unit.at, live, screw.id)
    }));
  });
}

function inDevices(wiring: Wiring): Omit<MainsCause, 'odds'>[] {
  return mainsUnits(wiring).flatMap((unit) => (IN_DEVICE[unit.part] ?? []).map((make) => make(unit, wiring)));
}

type Make = (unit: MainsUnit, wiring: Wiring) => Omit<MainsCause, 'odds'>;

const inside =
  (
    kind: MainsCauseKind,
    element: string,
    upset: Upset['kind'],
    text: (name: string) => string,
    remedy: (name: string) => string
  ): Make =>
  (unit, wiring) => ({
    id: `${kind}-${unit.id}-${element}`,
    kind,
    at: [unit.id],
    text: text(unit.name),
    remedy: remedy(unit.name),
    wiring: withUpset(wiring, { element: `${unit.id}:${element}`, kind: upset })
  });

const notCalling = (channel: 'heating' | 'water') =>
  inside(
    'not-calling',
    channel === 'heating' ? 'heating-on' : 'water-on',
    'open',
    (name) =>
      `The ${name} does not call for ${channel === 'heating' ? 'heating' : 'hot water'}: schedule, temperature or pairing.`,
    (name) =>
      `Set ${channel === 'heating' ? 'the room to 5 °C more than it is' : 'hot water to on'} at the ${name}, check that its wall part is paired and its batteries are good; wait a minute.`
  );

const stuckValve = inside(
  'valve-stuck',
  'motor',
  'open',
  (name) => `The ${name} does not open: motor or body.`,
  (name) => `Try the lever of the ${name} by hand; a motor head is exchanged by somebody competent.`
);

const IN_DEVICE: Partial<Record<MainsUnit['part'], readonly Make[]>> = {
  supply: [
    inside(
      'supply-off',
      'fuse',
      'open',
      (name) => `No supply: ${name} off, its fuse blown, or the breaker.`,
      (name) =>
        `Look at the ${name}: switch, fuse, breaker. A fuse that blows a second time is a short: off, and look.`
    )
  ],
  controller: [notCalling('heating'), notCalling('water')],
  timer: [notCalling('heating'), notCalling('water')],
  'two-port-valve': [
    stuckValve,
    inside(
      'end-switch-open',
      'end-switch',
      'open',
      (name) => `The end switch of the ${name} does not close: the valve opens, boiler and pump stay off.`,
      (name) => `The motor head of the ${name} is exchanged by somebody competent.`
    ),
    inside(
      'end-switch-stuck',
      'end-switch',
      'closed',
      (name) => `The end switch of the ${name} stays closed: boiler and pump run on.`,
      (name) => `Switch off at the spur; the motor head of the ${name} is exchanged by somebody competent.`
    )
  ],
  'mid-position-valve': [
    inside(
      'valve-stuck',
      'white',
      'open',
      (name) => `The ${name} does not leave hot water.`,
      (name) => `Try the lever of the ${name}; a motor head is exchanged by somebody competent.`
    ),
    inside(
      'end-switch-open',
      'at-end',
      'open',
      (name) => `The switch inside the ${name} does not feed the boiler in heating alone.`,
      (name) => `The motor head of the ${name} is exchanged by somebody competent.`
    )
  ],
  pump: [
    inside(
      'pump-stuck',
      'pump',
      'open',
      (name) => `The ${name} does not turn.`,
      (name) => `Feel the ${name}: warm and still is stuck. An engineer frees or exchanges it.`
    )
  ],
  boiler: [
    inside(
      'boiler-fault',
      'boiler',
      'open',
      (name) => `The ${name} is called and does not fire: its own fault, pressure, a lock-out.`,
      (name) => `Read what the ${name} shows; its manual tells. Gas parts are for a licensed person.`
    )
  ],
  'cylinder-thermostat': [
    inside(
      'cylinder-thermostat-open',
      'call',
      'open',
      (name) => `The ${name} does not call: set too low, or broken.`,
      (name) => `Turn the ${name} up until it clicks, then back to 60 °C.`
    )
  ]
};
