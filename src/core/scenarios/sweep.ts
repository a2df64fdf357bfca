/** What has to hold of every option that is offered, whatever the house: asserted over enumerated situations. */
import { running } from '../circuit/expected';
import { simulate } from '../circuit/simulate';
import { callsOf } from '../devices/calls';
import { supplyCases } from '../devices/world';
import { applyMoves } from '../plan/moves';
import { planFor, type PlannedOption } from '../plan/plan';
import { canonicalMark } from '../trade/terminals';
import { landedTerminal, sortedWiring, splitTerminal, type Wiring } from '../wiring/graph';
import { reachedLoads } from './reach-checker';
import { situationOf, type Situation } from './situations';

export interface Violation {
  readonly situation: number;
  readonly option: string;
  readonly what: string;
}

export interface Checked {
  readonly options: number;
  readonly offered: number;
  /** Calls in which the second checker had a say. */
  readonly compared: number;
  readonly violations: readonly Violation[];
}

/** Plans one situation and checks every option that may be done. */
export function checkSituation(number: number): Checked {
  const situation = situationOf(number);
  const { job, thermostat } = situation.house;
  const plan = planFor(job, thermostat, { device: situation.device });
  const violations: Violation[] = [];
  let offered = 0;
  let compared = 0;
  for (const option of plan.options) {
    if (option.after === null || (option.verdict !== 'go' && option.verdict !== 'care')) continue;
    offered += 1;
    const say = (what: string) =>
      violations.push({
        situation: number,
        option: `${option.method} ${option.variant?.id ?? ''}`.trim(),
        what
      });
    checkGraph(option, option.after, situation, say);
    compared += checkCircuit(option, option.after, situation, say);
  }
  return { options: plan.options.length, offered, compared, violations };
}

type Say = (what: string) => void;

function checkGraph(option: PlannedOption, after: Wiring, { read }: Situation, say: Say): void {
  const led = sortedWiring(applyMoves(option.before, option.moves));
  if (JSON.stringify(led) !== JSON.stringify(sortedWiring(after)))
    say('the moves do not lead to the wiring after');
  for (const strand of after.strands) {
    const was = option.before.strands.find((one) => one.id === strand.id);
    const terminal = landedTerminal(strand.equipment);
    if (terminal === null || (was && landedTerminal(was.equipment) === terminal)) continue;
    const { device, mark } = splitTerminal(terminal);
    const marks = read.get(device);
    if (marks && !marks.map(canonicalMark).includes(mark))
      say(`${strand.id} is landed on ${terminal}, which was not read`);
  }
}

/** Powers the option up anew in every world, call and case; returns how many calls the second checker could compare. */
function checkCircuit(option: PlannedOption, after: Wiring, { device }: Situation, say: Say): number {
  let compared = 0;
  const needs = device.supply === 'common-required' && option.method !== 'no-c-needed';
  const supplies = after.devices.filter(
    (one) => one.kind === 'board' || one.kind.endsWith('transformer')
  ).length;
  const declared = option.findings
    .filter((one) => one.code === 'function-lost')
    .map((one) => one.because.join());
  for (const { world } of option.proof?.worlds ?? []) {
    for (const call of callsOf(world, option.before)) {
      const was = simulate(option.before, world, call);
      for (const supplyCase of supplyCases(supplies)) {
        const now = simulate(after, world, call, supplyCase);
        if (!now.ok || !was.ok) {
          say(`${call}: not solved`);
          continue;
        }
        const { result } = now;
        const on = running(result.loads);
        const where = `${call} in ${world.id}`;
        if (needs && result.thermostatFed !== true) say(`${where}: the thermostat is not fed`);
        if (result.tied.length > 0) say(`${where}: two supplies are tied`);
        if (result.supplies.some((one) => one.fuseOpen)) say(`${where}: a fuse opens`);
        if (result.supplies.some((one) => one.amps * 24 > one.ratedVa))
          say(`${where}: a transformer is overloaded`);
        if (!on.includes('blower') && (on.includes('compressor') || on.includes('strips')))
          say(`${where}: runs without the blower`);
        const lost = running(was.result.loads).filter((load) => !on.includes(load));
        if (lost.length > 0 && !declared.includes(`call:${call}`))
          say(`${where}: ${lost.join(', ')} lost and not said`);
        const reached = reachedLoads(after, world, call);
        // Earth is no copper of the house: the second checker does not follow it.
        if (reached === null || supplyCase.bonded || isLong(after)) continue;
        compared += 1;
        if (reached.join() !== [...on].sort().join())
          say(
            `${where}: the second checker has ${reached.join(', ') || 'nothing'}, the circuit ${on.join(', ') || 'nothing'}`
          );
      }
    }
  }
  return compared;
}

/** Where drops along the cable decide, reachability has no say. */
function isLong(wiring: Wiring): boolean {
  return wiring.strands.some((one) => one.ohms > 1);
}
