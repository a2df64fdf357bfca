/**
 * Explained, or stopped. A proof proves the model; before it counts for anything, the model has to account for the record: every wire that is
 * landed at both ends has a job that both ends agree on. Where one has none, the one question that settles it is asked, and until then nobody
 * moves it.
 */
import { finding, type Finding, type FindingLevel } from '../findings/finding';
import { ref } from '../findings/refs';
import type { World } from '../devices/world';
import { worldOfDevice } from '../devices/world';
import {
  deviceOf,
  landedTerminal,
  markAt,
  meansAt,
  printedMark,
  STRAND_ENDS,
  terminalAt,
  type Strand,
  type TerminalId,
  type Wiring
} from '../wiring/graph';
import { readIn } from '../wiring/meaning';
import { reachable } from '../wiring/trace';
import { agree, hasPurpose, purposeOf, type Purpose } from './agreement';

/** Why nobody can say what a wire is for. */
export type Riddle = 'far-mark' | 'near-mark' | 'ends-differ' | 'no-job' | 'third-wire' | 'unread';

/** What a wire is for in a world, or why that is not known. */
export type WireJob =
  { readonly known: true; readonly purpose: Purpose } | { readonly known: false; readonly riddle: Riddle };

/** Wires that are on a screw at either end, and no other. */
function isJoined({ near, far }: Strand): boolean {
  return near.state === 'landed' && far.state === 'landed';
}

const ONE_SIDE: ReadonlySet<string | null> = new Set(['T', 'TT']);

/** What the wire is for, where its screws mean what they do in this world. The wiring has to be read in the world's family. */
export function wireJob(wiring: Wiring, world: World, strand: Strand): WireJob {
  const [near, far] = [landedTerminal(strand.near), landedTerminal(strand.far)];
  const device = far === null ? undefined : deviceOf(wiring, far);
  const { family } = device ? worldOfDevice(world, device.id) : world;
  const [nearWord, farWord] = [purposesAt(wiring, near), purposesAt(wiring, far)];
  const [farPurpose] = farWord;
  if (farPurpose === undefined) return { known: false, riddle: 'far-mark' };
  const isBoard = device?.kind === 'board';
  const odd = isWater(family) ? 'third-wire' : 'no-job';
  const [nearPurpose] = nearWord;
  // One side of a contact does not say by itself which of the two it is: the hot one or the switched one.
  const oneSide = farWord.length === 1 && ONE_SIDE.has(markAt(wiring, far));
  if (nearPurpose === undefined && oneSide) return { known: false, riddle: 'far-mark' };
  if (nearPurpose === undefined)
    return { known: false, riddle: isBoard && !hasPurpose(farPurpose, family) ? odd : 'near-mark' };
  const around = { family: world.family, servesFirstStage: servesFirstStage(wiring, strand) };
  const pair = nearWord
    .flatMap((purpose) => farWord.map((other) => ({ near: purpose, far: other })))
    .find((ends) => agree(ends, around));
  // Ends that were measured to be one wire: the machine's end says what it does, and the wall's was on the wrong screw.
  if (!pair && strand.continuity !== 'proven') return { known: false, riddle: 'ends-differ' };
  const purpose = pair?.far ?? farPurpose;
  return hasPurpose(purpose, family) || !isBoard ? { known: true, purpose } : { known: false, riddle: odd };
}

function isWater(family: World['family']): boolean {
  return family === 'boiler' || family === 'steam';
}

function purposesAt(wiring: Wiring, terminal: TerminalId | null): Purpose[] {
  return meansAt(wiring, terminal).flatMap((mark) => purposeOf(mark) ?? []);
}

const FIRST: Readonly<Record<string, string>> = { W2: 'W1', Y2: 'Y1' };

/** A second stage's screw works as the first where a link joins the two, or where no wire is on the first. */
function servesFirstStage(wiring: Wiring, strand: Strand): boolean {
  const far = landedTerminal(strand.far);
  const near = landedTerminal(strand.near);
  if (far === null || near === null) return false;
  const second = [far, near].find((end) => (markAt(wiring, end) ?? '') in FIRST);
  if (second === undefined) return false;
  const first = FIRST[markAt(wiring, second) ?? ''] ?? '';
  const device = deviceOf(wiring, second);
  const screw = device?.screws.find((candidate) => candidate.means.includes(first));
  if (!screw) return true;
  if (reachable({ strands: [], links: wiring.links }, second).has(screw.id)) return true;
  const taken = wiring.strands.some(
    (other) =>
      other.id !== strand.id &&
      [other.near, other.far].some((end) => landedTerminal(end) === screw.id) &&
      isJoined(other)
  );
  // One heat stage burns on W1 alone; a compressor of one stage starts on whichever of the two it is wired to.
  return !taken && first === 'Y1';
}

/** A wire on a mark at the wall that nobody knows, whose other end nobody has seen: it may do anything. */
function unreadJob(wiring: Wiring, { near, far }: Strand): WireJob {
  const terminal = landedTerminal(near);
  const open = terminal !== null && far.state === 'unseen' && purposesAt(wiring, terminal).length === 0;
  return open ? { known: false, riddle: 'unread' } : { known: true, purpose: 'accessory' };
}

/** A wire that nobody can explain, with the question that settles it. */
export interface Unexplained {
  readonly strand: string;
  readonly riddle: Riddle;
  readonly finding: Finding;
}

/** What is not explained in every one of the worlds, each wire once; the worst riddle first. */
export function unexplained(recorded: Wiring, worlds: readonly World[]): Unexplained[] {
  const found = new Map<string, { riddle: Riddle; worlds: World[] }>();
  for (const world of worlds) {
    const wiring = readIn(recorded, world.family);
    for (const strand of wiring.strands) {
      const job = isJoined(strand) ? wireJob(wiring, world, strand) : unreadJob(wiring, strand);
      if (job.known) continue;
      const entry = found.get(strand.id);
      const worse = !entry || (LEVELS[entry.riddle] !== 'stop' && LEVELS[job.riddle] === 'stop');
      if (worse) found.set(strand.id, { riddle: job.riddle, worlds: [world] });
      else if (LEVELS[entry.riddle] === LEVELS[job.riddle]) entry.worlds.push(world);
    }
  }
  return [...found].map(([id, { riddle, worlds: inWorlds }]) => {
    const strand = recorded.strands.find((candidate) => candidate.id === id)!;
    const said = inWorlds.length === worlds.length ? undefined : inWorlds.map((world) => world.says);
    const asked = riddleFinding(recorded, strand, riddle);
    return {
      strand: id,
      riddle,
      finding: said ? { ...asked, worlds: [...new Set(said)] } : asked
    };
  });
}

/** A wall mark that nobody knows is settled by the machine's end; everything else stops. */
const LEVELS: Readonly<Record<Riddle, FindingLevel>> = {
  'far-mark': 'stop',
  'ends-differ': 'stop',
  'no-job': 'stop',
  'third-wire': 'stop',
  unread: 'stop',
  'near-mark': 'warn'
};

function riddleFinding(wiring: Wiring, strand: Strand, riddle: Riddle): Finding {
  const [near, far] = [landedTerminal(strand.near) ?? '', landedTerminal(strand.far) ?? ''];
  const fact = {
    riddle,
    conductor: strand.name,
    wall: printedMark(wiring, near),
    far: printedMark(wiring, far),
    machine: deviceOf(wiring, far)?.name ?? 'machine'
  };
  return finding(LEVELS[riddle], 'wire-not-explained', fact, [ref.conductor(strand.id)]);
}

/** Whether two wirings hold a wire in the same way: it is there in both, each end is where it was, and so is the screw. */
export function leavesAlone(before: Wiring, after: Wiring, id: string): boolean {
  const [was, is] = [before, after].map(({ strands }) => strands.find((strand) => strand.id === id));
  if (!was || !is) return false;
  return STRAND_ENDS.every((end) => {
    const terminal = landedTerminal(is[end]);
    if (terminal !== landedTerminal(was[end])) return false;
    return terminal === null || !terminalAt(before, terminal) || terminalAt(after, terminal) !== undefined;
  });
}
