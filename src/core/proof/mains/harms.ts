/** What is dangerous or damaging in a wiring of mains controls, whatever else it does: solved where a circuit shows it, traced where copper alone does. */
import { mainsTerminal, mainsUnits, nodeFor, screwsThat } from '../../devices/mains/screws';
import type { MainsFunction } from '../../trade/mains';
import { landedTerminal, type TerminalId, type Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';
import { isGravity, type RowState } from './ways';
import { unitsOf } from './rows';

export const MAINS_HARMS = [
  'boiler-without-way',
  'runs-with-all-off',
  'boiler-without-pump',
  'neutral-switched',
  'earth-not-joined',
  'live-on-earth',
  'mains-on-low-voltage',
  'live-on-dead-cable',
  'supplies-tied',
  'fuse-opens',
  'not-fed'
] as const;
export type MainsHarm = (typeof MAINS_HARMS)[number];

export interface MainsTrouble {
  readonly harm: MainsHarm;
  /** Devices or wires that it is about. */
  readonly at: readonly string[];
  /** A row in which it happens; null where it is there in all of them. */
  readonly row: RowState['row'] | null;
}

/** Volts above which a screw that should be dead or of low voltage is a danger. */
const TOUCH_VOLTS = 50;

/** `dead`: cables that have to be dead, by their id. */
export function mainsHarms(
  wiring: Wiring,
  states: readonly RowState[],
  dead: readonly string[]
): MainsTrouble[] {
  const wired = wiredAs(wiring, dead);
  const inRows = states.flatMap((state) => rowHarms(wired, state));
  return [...structural(wiring), ...firstOfEach(inRows)];
}

/** One for each harm and place: the first row that shows it. */
function firstOfEach(troubles: readonly MainsTrouble[]): MainsTrouble[] {
  const seen = new Set<string>();
  return troubles.filter(({ harm, at }) => {
    const key = `${harm} ${at.join()}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** What is the same in all rows of a wiring. */
interface Wired {
  readonly hasValves: boolean;
  readonly gravity: boolean;
  /** Neutrals of the spurs. */
  readonly neutrals: readonly TerminalId[];
  /** Screws of each device that mains must not reach, and its earths. */
  readonly units: readonly {
    readonly id: string;
    readonly low: readonly TerminalId[];
    readonly earths: readonly TerminalId[];
  }[];
  /** Ends of cables that have to be dead, without those that lie on earth: the earth of a dead cable stays joined. */
  readonly deadEnds: readonly { readonly cable: string; readonly end: TerminalId }[];
}

const LOW: readonly MainsFunction[] = ['low-a', 'low-b', 'contact-a', 'contact-b'];

function wiredAs(wiring: Wiring, dead: readonly string[]): Wired {
  const spurs = unitsOf(wiring, 'supply');
  const joined = joinedIn(wiring);
  const earthed = (end: TerminalId) => spurs.some((spur) => joined.same(end, nodeFor(spur, 'earth')));
  return {
    hasValves: unitsOf(wiring, 'two-port-valve').length + unitsOf(wiring, 'mid-position-valve').length > 0,
    gravity: isGravity(wiring),
    neutrals: spurs.map((spur) => nodeFor(spur, 'neutral')),
    units: mainsUnits(wiring).map((unit) => ({
      id: unit.id,
      low: LOW.flatMap((does) => screwsThat(unit, does).map((screw) => screw.id)),
      earths: screwsThat(unit, 'earth').map((screw) => screw.id)
    })),
    deadEnds: wiring.strands
      .filter((strand) => dead.includes(strand.cable))
      .flatMap(({ cable, near, far }) =>
        [landedTerminal(near), landedTerminal(far)].flatMap((end) =>
          end === null || earthed(end) ? [] : [{ cable, end }]
        )
      )
  };
}

function rowHarms(wired: Wired, state: RowState): MainsTrouble[] {
  const { row, boiler, pump, heatingWay, waterWay, result } = state;
  const found: MainsTrouble[] = [];
  const say = (harm: MainsHarm, at: readonly string[] = []) => found.push({ harm, at, row });
  const asked = row.heating || row.water || row.frost;
  if ((boiler || pump) && !asked) say('runs-with-all-off');
  if (boiler && wired.hasValves && heatingWay !== 'open' && waterWay !== 'open') say('boiler-without-way');
  // A house without a pump of its own has it in the boiler, and it runs with that.
  if (boiler && !pump && !wired.gravity) say('boiler-without-pump');
  if (result.supplies.some((supply) => supply.fuseOpen)) say('fuse-opens');
  if (result.tied.length > 0)
    say(
      'supplies-tied',
      result.tied.flat().map((part) => part.device ?? part.id)
    );
  for (const feed of result.feeds) if (!feed.fed) say('not-fed', [feed.device]);
  found.push(...livesWhereNone(wired, state));
  return found;
}

/** Against the spur's own neutral and earth. */
function livesWhereNone({ neutrals, units, deadEnds }: Wired, { row, meter }: RowState): MainsTrouble[] {
  const hot = (terminal: TerminalId) =>
    neutrals.some((neutral) => (meter.volts(terminal, neutral) ?? 0) > TOUCH_VOLTS);
  /** In one island with the mains, whatever the volts are now: the next contact that closes puts it there. */
  const onMains = (terminal: TerminalId) => {
    const own = meter.island(terminal);
    return own !== undefined && neutrals.some((neutral) => own === meter.island(neutral));
  };
  const found: MainsTrouble[] = [];
  for (const { id, low, earths } of units) {
    if (low.some(onMains)) found.push({ harm: 'mains-on-low-voltage', at: [id], row });
    if (earths.some(hot)) found.push({ harm: 'live-on-earth', at: [id], row });
  }
  for (const { cable, end } of deadEnds)
    if (onMains(end)) found.push({ harm: 'live-on-dead-cable', at: [cable], row });
  return found;
}

/** What copper has to join without any contact between: each neutral, and each earth that somebody landed or that the device has to have. */
function structural(wiring: Wiring): MainsTrouble[] {
  const joined = joinedIn(wiring);
  const spurs = unitsOf(wiring, 'supply');
  const reaches = (terminal: TerminalId, does: MainsFunction) =>
    spurs.some((spur) => joined.same(terminal, nodeFor(spur, does)));
  const found: MainsTrouble[] = [];
  for (const unit of mainsUnits(wiring)) {
    const neutrals = screwsThat(unit, 'neutral');
    if (
      neutrals.length > 0 &&
      isConnected(wiring, unit.id) &&
      !neutrals.some((candidate) => reaches(candidate.id, 'neutral'))
    )
      found.push({ harm: 'neutral-switched', at: [unit.id], row: null });
    const earths = screwsThat(unit, 'earth');
    if (
      earths.length > 0 &&
      isConnected(wiring, unit.id) &&
      !earths.some((candidate) => reaches(candidate.id, 'earth'))
    )
      found.push({ harm: 'earth-not-joined', at: [unit.id], row: null });
  }
  return [...found, ...stray(wiring, reaches)];
}

function isConnected(wiring: Wiring, unit: string): boolean {
  return wiring.strands.some((strand) =>
    [strand.near, strand.far].some((end) => {
      const terminal = landedTerminal(end);
      return terminal !== null && mainsTerminal(wiring, terminal)?.unit.id === unit;
    })
  );
}

/** A green-yellow wire that is landed on what is no earth is an earth that is not one. */
function stray(
  wiring: Wiring,
  reaches: (terminal: TerminalId, does: MainsFunction) => boolean
): MainsTrouble[] {
  return wiring.strands.flatMap((strand): MainsTrouble[] => {
    if (strand.colour !== 'GN' || strand.stripe !== 'YE') return [];
    const ends = [landedTerminal(strand.near), landedTerminal(strand.far)].filter((end) => end !== null);
    const wrong = ends.some((end) => reaches(end, 'live') || reaches(end, 'neutral'));
    return wrong ? [{ harm: 'live-on-earth', at: [strand.id], row: null }] : [];
  });
}
