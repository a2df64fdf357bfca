/**
 * The situation: everything about a thermostat's place that holds whatever thermostat and whatever way is taken. Made once for a plan; each
 * later step takes it as it is.
 */
import { finding, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import { identify, type Identification } from '../identify/identify';
import { worldsOf, type WeightedWorld } from '../identify/worlds';
import type { LogEntry } from '../job/log-schema';
import { thermostatFindings } from '../job/record-findings';
import type { Equipment, Job, Thermostat } from '../job/schema';
import { chosenFindings } from '../match/chosen';
import { isWithoutModel } from '../trade/machine-kinds';
import { traceOf } from '../reading/trace-common';
import { stopFindings } from '../safety/standing';
import type { World } from '../devices/world';
import { doubted } from '../explain/doubted';
import { unexplained, type Unexplained } from '../explain/explain';
import { assumeUnseenEnds, wiringOf } from '../wiring/from-job';
import { boards, type Wiring } from '../wiring/graph';
import { readIn } from '../wiring/meaning';
import { nowOf } from '../wiring/now';
import { todayFindings, wrongsOf } from '../proof/today';
import type { RepairId } from '../trade/vocabulary';
import { withoutOldAdapter } from './old-adapter';
import { mended } from './repairs/mend';
import { maybeElsewhere, unreadThatDecides, unusedStages } from './asked';

export interface Situation {
  readonly job: Job;
  readonly thermostat: Thermostat;
  readonly identification: Identification;
  /** As recorded, with doubt. */
  readonly recorded: Wiring;
  /** With unseen equipment ends taken to be on the same mark; `assumed` names those strands. What is proven and moved starts here. */
  readonly found: Wiring;
  /** `found` with what is wrong today put right, as far as that can be shown. */
  readonly mended: Wiring;
  readonly repairs: readonly RepairId[];
  /** What each repair is, and what has to hold before it is made. */
  readonly repairFindings: readonly Finding[];
  /** What is wrong with `found`: what hurts, and what is dead. */
  readonly today: readonly Finding[];
  /** `mended` without an adapter of the old thermostat: what the methods build on. */
  readonly before: Wiring;
  readonly assumed: readonly string[];
  /** `found` with what has been done since: where the work goes on from. */
  readonly now: Wiring;
  /** What has been done and stands, and what no longer fits the record. */
  readonly done: readonly LogEntry[];
  readonly misfits: readonly LogEntry[];
  /** Believable ways the equipment may be, likeliest first; never empty where a method is asked. */
  readonly worlds: readonly WeightedWorld[];
  /** The likeliest. */
  readonly world: World;
  /** Wires that nobody can explain: what moves one of them is closed. */
  readonly riddles: readonly Unexplained[];
  /** What closes every way; nothing where the gate is open. */
  readonly closed: readonly Finding[];
  /** What every way is subject to as long as it is not settled. */
  readonly conditions: readonly Finding[];
}

const UNKNOWN_WORLD: World = {
  id: 'unknown',
  family: 'unknown',
  blowerInHeat: 'g',
  blowerInCool: 'g',
  compressor: false,
  reversing: 'none',
  says: 'an unknown system'
};

/** A record is never changed in place, so its situation holds as long as it does: each thermostat that is tried in it starts from the same. */
const known = new WeakMap<Thermostat, { readonly job: Job; readonly situation: Situation }>();

export function situationOf(job: Job, thermostat: Thermostat): Situation {
  const before = known.get(thermostat);
  if (before?.job === job) return before.situation;
  const situation = madeFor(job, thermostat);
  known.set(thermostat, { job, situation });
  return situation;
}

function madeFor(job: Job, thermostat: Thermostat): Situation {
  const identification = identify(job, thermostat);
  const recorded = wiringOf(job, thermostat);
  const { wiring: filled, strands: assumed } = assumeUnseenEnds(recorded);
  const worlds = worldsOf(identification, filled);
  // The methods read the marks as the likeliest family has them; each proof reads them anew in its own world.
  const found = readIn(filled, worlds[0]?.world.family ?? null);
  // An end that nobody has read is asked about where it is taken to be: to read it there would close no more.
  const riddles = [
    ...unexplained(
      filled,
      worlds.map(({ world }) => world)
    ),
    ...maybeElsewhere(recorded, found, assumed)
  ];
  const closed = [...gate(job, thermostat, identification, worlds), ...unreadThatDecides(recorded, assumed)];
  const wrongs = closed.length > 0 ? [] : wrongsOf(found, worlds);
  const repaired = mended({ wiring: found, assumed, worlds }, wrongs);
  const cleared = withoutOldAdapter(repaired.wiring);
  const { wiring: now, done, misfits } = nowOf(found, thermostat.log);
  return {
    job,
    thermostat,
    identification,
    recorded,
    found,
    mended: repaired.wiring,
    repairs: repaired.repairs,
    repairFindings: repaired.findings,
    today: doubted(
      todayFindings(wrongs),
      riddles,
      found,
      worlds.map(({ world }) => world)
    ),
    before: cleared.wiring,
    assumed,
    now,
    done,
    misfits,
    worlds,
    riddles,
    world: worlds[0]?.world ?? UNKNOWN_WORLD,
    closed,
    conditions: [
      ...chosenFindings(job, thermostat),
      ...sharedConditions(identification, worlds, recorded, assumed),
      ...riddles.map((riddle) => riddle.finding).filter((asked) => asked.level !== 'stop'),
      ...repaired.findings,
      ...unusedStages(found, worlds),
      ...cleared.findings
    ]
  };
}

/** A supply of these machines that nobody can switch off: nothing is opened on it. */
function uncuttable(job: Job, thermostat: Thermostat): Finding[] {
  return Object.entries(thermostat.off).flatMap(([id, { cut }]) => {
    const machine = job.equipment.find((candidate) => candidate.id === id);
    if (cut !== 'cannot') return [];
    return [
      finding('stop', 'supply-cannot-be-off', { name: machine?.name ?? id, feeds: [] }, [ref.supply(id)])
    ];
  });
}

/** What closes every way: a record that contradicts itself, a voltage that is not settled, a system that nothing is known of. */
function gate(
  job: Job,
  thermostat: Thermostat,
  identification: Identification,
  worlds: readonly WeightedWorld[]
): Finding[] {
  const machines = job.equipment.filter((machine) => thermostat.equipment.includes(machine.id));
  const because = [ref.thermostat(thermostat.id)];
  const closed = [
    ...stopFindings(thermostat),
    ...uncuttable(job, thermostat),
    ...machines.flatMap((machine) => traceOf(machine).findings),
    ...thermostatFindings(job, thermostat),
    ...machines.flatMap(withoutModel),
    ...identification.findings
  ].filter((candidate) => candidate.level === 'stop');
  if (identification.family === 'unknown' || worlds.length === 0)
    closed.push(finding('stop', 'system-unknown', { what: 'ask' }, because));
  if (thermostat.conductors.length === 0)
    closed.push(finding('stop', 'end-not-read', { what: 'no-conductor' }, because));
  return closed;
}

/** A machine that is recognised and that nothing can be solved for. */
function withoutModel(machine: Equipment): Finding[] {
  const { id, name, kind } = machine;
  return isWithoutModel(kind)
    ? [finding('stop', 'machine-not-modelled', { machine: name, kind }, [ref.machine(id)])]
    : [];
}

function sharedConditions(
  identification: Identification,
  worlds: readonly WeightedWorld[],
  recorded: Wiring,
  assumed: readonly string[]
): Finding[] {
  const found: Finding[] = [];
  if (!identification.decided && worlds.length > 0) {
    const families = [...new Set(worlds.map(({ world }) => world.family))];
    found.push(finding('warn', 'system-unsettled', { what: 'solved-for', families }));
  }
  if (assumed.length > 0) {
    const conductors = recorded.strands.filter(({ id }) => assumed.includes(id)).map(({ name }) => name);
    found.push(finding('warn', 'end-not-read', { what: 'assumed', conductors }, assumed.map(ref.conductor)));
  }
  const guessed = recorded.cables.filter((cable) => cable.lengthM === null || cable.gauge === null);
  const noPlate = boards(recorded).filter((board) => board.transformerVa === null);
  if (guessed.length + noPlate.length > 0) {
    const fact = { cable: guessed.length > 0, transformer: noPlate.length > 0 };
    const because = [
      ...guessed.map((cable) => ref.cable(cable.id)),
      ...noPlate.map((board) => ref.machine(board.id))
    ];
    found.push(finding('note', 'values-assumed', fact, because));
  }
  return found;
}
