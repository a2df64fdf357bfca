/**
 * What every joint of a mains wiring is for. Each point that copper joins has one job, which the screws on it name together; what fits no job is a
 * question, and nothing that touches it is moved.
 */
import { doesOf, mainsTerminal, mainsUnits } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import type { MainsControls } from '../../job/mains-schema';
import { colourName } from '../../trade/colours';
import type { MainsFunction, MainsPart } from '../../trade/mains';
import { wiringFromMains } from '../../wiring/from-mains';
import { landedTerminal, printedMark, terminalAt, type TerminalId, type Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';

/** A screw by the part that it is on and what it does. */
type Kind = `${MainsPart}.${MainsFunction}`;

/** The jobs that a point may have: which screws may meet there. A point is explained when one job takes all of its screws. */
const JOBS: Readonly<Record<string, readonly (Kind | `*.${MainsFunction}`)[]>> = {
  'permanent live': [
    '*.live',
    'two-port-valve.switch-in',
    'frost-thermostat.in',
    'timer.heating-common',
    'timer.water-common',
    'controller.heating-common',
    'controller.water-common',
    // Without a timer the thermostats hang on the permanent live.
    'room-thermostat.in',
    'cylinder-thermostat.common'
  ],
  neutral: ['*.neutral'],
  earth: ['*.earth'],
  'heating on': [
    'timer.heating-on',
    'controller.heating-on',
    'room-thermostat.in',
    'frost-thermostat.in',
    'pipe-thermostat.in'
  ],
  'room calls': [
    'timer.heating-on',
    'controller.heating-on',
    'room-thermostat.out',
    'frost-thermostat.out',
    'pipe-thermostat.out',
    'two-port-valve.motor',
    'mid-position-valve.white'
  ],
  'heating straight to boiler or pump': [
    'timer.heating-on',
    'controller.heating-on',
    'room-thermostat.out',
    'frost-thermostat.out',
    'pipe-thermostat.out',
    'pump.live',
    'boiler.switched-live'
  ],
  'water on': ['timer.water-on', 'controller.water-on', 'cylinder-thermostat.common'],
  'cylinder calls': [
    'timer.water-on',
    'controller.water-on',
    'cylinder-thermostat.call',
    'two-port-valve.motor'
  ],
  'water straight to the boiler': ['timer.water-on', 'controller.water-on', 'boiler.switched-live'],
  'cylinder satisfied': [
    'cylinder-thermostat.satisfied',
    'mid-position-valve.grey',
    'timer.water-off',
    'controller.water-off'
  ],
  'boiler and pump': [
    'two-port-valve.switch-out',
    'mid-position-valve.orange',
    'cylinder-thermostat.call',
    'boiler.switched-live',
    'pump.live'
  ],
  'pump from the boiler': ['boiler.pump-live', 'pump.live'],
  'frost to pipe': ['frost-thermostat.out', 'pipe-thermostat.in'],
  'boiler contact, one side': [
    'timer.heating-common',
    'controller.heating-common',
    'room-thermostat.in',
    'boiler.contact-a',
    'boiler.contact-b'
  ],
  'boiler contact, other side': [
    'timer.heating-on',
    'controller.heating-on',
    'room-thermostat.out',
    'boiler.contact-a',
    'boiler.contact-b'
  ],
  'low voltage': ['controller.low-a', 'wall-part.low-a'],
  'low voltage, other side': ['controller.low-b', 'wall-part.low-b']
};

export interface Point {
  readonly terminals: readonly TerminalId[];
  /** The jobs that take all of its screws; empty where none does. */
  readonly jobs: readonly string[];
}

/** Screws of devices on a point; joints of a strip or a plate only carry it on. */
function workingScrews(wiring: Wiring, terminals: readonly TerminalId[]): TerminalId[] {
  return terminals.filter((terminal) => mainsTerminal(wiring, terminal)?.does !== 'joint');
}

export function pointsOf(wiring: Wiring): Point[] {
  return joinedIn(wiring).points.map((terminals) => ({ terminals, jobs: jobsOf(wiring, terminals) }));
}

function jobsOf(wiring: Wiring, terminals: readonly TerminalId[]): string[] {
  const screws = workingScrews(wiring, terminals).flatMap((terminal) => {
    const found = mainsTerminal(wiring, terminal);
    return found ? [found] : [];
  });
  return Object.entries(JOBS).flatMap(([job, takes]) =>
    screws.every(
      ({ unit, does }) =>
        (takes as readonly string[]).includes(`${unit.part}.${does}`) ||
        (takes as readonly string[]).includes(`*.${does}`)
    )
      ? [job]
      : []
  );
}

/** A screw in words: the device, then what is printed. */
export function screwWords(wiring: Wiring, terminal: TerminalId): string {
  const found = terminalAt(wiring, terminal);
  return found ? `${found.device.name} ${printedMark(wiring, terminal)}` : terminal;
}

/** Everything about the record that nobody can explain yet; each stops what would move it. */
export function unexplained(mains: MainsControls): MainsFinding[] {
  const wiring = wiringFromMains(mains);
  return [
    ...unreadEnds(mains, wiring),
    ...unreadScrews(wiring),
    ...pointsOf(wiring).flatMap((point) => pointFindings(wiring, point)),
    ...colours(mains, wiring),
    ...missing(mains)
  ];
}

function unreadEnds(mains: MainsControls, wiring: Wiring): MainsFinding[] {
  return wiring.strands.flatMap((strand): MainsFinding[] => {
    const cable = mains.cables.find(({ id }) => id === strand.cable)?.name ?? '';
    const about = { wire: strand.name, cable };
    const states = [strand.near.state, strand.far.state];
    if (states.includes('unseen')) return [mainsFinding('stop', 'mains-end-unread', about, [strand.id])];
    const bare = states.includes('loose');
    return bare && states.includes('landed')
      ? [mainsFinding('warn', 'mains-wire-loose', about, [strand.id])]
      : [];
  });
}

/** A screw that carries a wire and that nobody can name. */
function unreadScrews(wiring: Wiring): MainsFinding[] {
  const used = new Set(
    wiring.strands.flatMap((strand) => [landedTerminal(strand.near), landedTerminal(strand.far)])
  );
  return mainsUnits(wiring).flatMap((unit) =>
    unit.screws
      .filter((screw) => used.has(screw.id) && doesOf(screw) === 'unknown')
      .map((screw) =>
        mainsFinding(
          'stop',
          'mains-screw-unread',
          { device: unit.name, screw: printedMark(wiring, screw.id) },
          [unit.id]
        )
      )
  );
}

/** What may end at a number of its own: nobody has to listen to it. */
const OUTPUTS: readonly MainsFunction[] = [
  'heating-on',
  'heating-off',
  'water-on',
  'water-off',
  'satisfied',
  'pump-live',
  'live',
  'neutral',
  'earth'
];

function pointFindings(wiring: Wiring, { terminals, jobs }: Point): MainsFinding[] {
  const working = workingScrews(wiring, terminals);
  const [only] = working;
  if (working.some((terminal) => mainsTerminal(wiring, terminal)?.does === 'unknown')) return [];
  if (working.length === 1 && only !== undefined) {
    const strand = wiring.strands.find((strand) =>
      [strand.near, strand.far].some((end) => landedTerminal(end) === only)
    );
    // An output that nothing uses may be parked by itself; what has to be fed or heard, and is alone, has lost its partner, or it is not written down.
    const does = mainsTerminal(wiring, only)?.does ?? 'unknown';
    return [
      mainsFinding(
        OUTPUTS.includes(does) ? 'warn' : 'stop',
        'mains-point-alone',
        { wire: strand?.name ?? '', screw: screwWords(wiring, only) },
        strand ? [strand.id] : []
      )
    ];
  }
  if (working.length === 0 || jobs.length > 0) return [];
  return [
    mainsFinding(
      'stop',
      'mains-point-unexplained',
      { screws: working.map((terminal) => screwWords(wiring, terminal)) },
      [...new Set(working.flatMap((terminal) => mainsTerminal(wiring, terminal)?.unit.id ?? []))]
    )
  ];
}

const EARTH_COLOURS: readonly (readonly [string, string | null])[] = [
  ['GN', 'YE'],
  ['GN', null]
];
/** Insulation that is live by either code: brown today, red before. */
const LIVE_COLOURS = ['BN', 'RD'];

/** Cables of the older code: red live, black neutral, plain green earth. A red wire or a plain green one tells it; a house may have both. */
function olderCables(mains: MainsControls): ReadonlySet<string> {
  return new Set(
    mains.wires
      .filter(({ colour, stripe }) => colour === 'RD' || (colour === 'GN' && stripe === null))
      .map(({ cable }) => cable)
  );
}

/** Colours that say something else than what the wire does, and no sleeve that puts it right. */
function colours(mains: MainsControls, wiring: Wiring): MainsFinding[] {
  const older = olderCables(mains);
  return mains.wires.flatMap((wire): MainsFinding[] => {
    const strand = wiring.strands.find(({ id }) => id === wire.id);
    const terminal = strand ? landedTerminal(strand.near) : null;
    const does = terminal === null ? undefined : mainsTerminal(wiring, terminal)?.does;
    const { colour } = wire;
    if (does === undefined || does === 'joint' || does === 'unknown' || colour === null) return [];
    const isEarth = EARTH_COLOURS.some(
      ([own, stripe]) => own === colour && (stripe === null || stripe === wire.stripe)
    );
    const about = { wire: strand?.name ?? '', colour: colourName(colour, wire.stripe), does };
    if (isEarth && does !== 'earth') return [mainsFinding('stop', 'mains-colour-misleads', about, [wire.id])];
    const neutral = older.has(wire.cable) ? 'BK' : 'BU';
    const misleads =
      does === 'earth'
        ? !isEarth
        : does === 'neutral'
          ? LIVE_COLOURS.includes(colour)
          : // Yellow is an old phase, or an old green-yellow that has faded.
            colour === neutral || colour === 'BU' || colour === 'YE';
    return misleads && wire.sleeve === null
      ? [mainsFinding('warn', 'mains-colour-misleads', about, [wire.id])]
      : [];
  });
}

/** Without these nothing can be said of what the wiring does. */
function missing(mains: MainsControls): MainsFinding[] {
  const has = (part: MainsPart) => mains.devices.some((device) => device.part === part);
  const lacks = (['supply', 'boiler'] as const).filter((part) => !has(part));
  const findings: MainsFinding[] = [];
  if (mains.wires.length === 0 || lacks.includes('boiler'))
    findings.push(mainsFinding('stop', 'mains-nothing-recorded', { missing: lacks }));
  else if (lacks.includes('supply')) findings.push(mainsFinding('stop', 'mains-spur-missing', {}));
  for (const boiler of mains.devices)
    if (boiler.part === 'boiler' && boiler.input === 'unknown')
      findings.push(mainsFinding('stop', 'mains-boiler-input-unread', { device: boiler.name }, [boiler.id]));
  return findings;
}
