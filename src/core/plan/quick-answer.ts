/**
 * The first answer of the quick look: is there a C wire, and which ways of feeding a thermostat are likely, possible or ruled out. It is planned
 * twice: with what was seen, and as if every wire went where such wires usually go. What works in the first is likely, what works only in
 * the second is possible, and what works in neither is not.
 */
import { isStop, type Finding } from '../findings/finding';
import { landedOn } from '../job/create';
import type { Conductor, Job, Thermostat } from '../job/schema';
import { screwsFrom } from '../job/screws';
import { isHot } from '../trade/terminals';
import type { MethodId, VoltageClass } from '../trade/vocabulary';
import { findingText } from '../words/findings/table';
import { lookText } from './look-words';
import { looksFor } from './looks';
import { planFor, type Plan, type PlannedOption } from './plan';
import { isOfDevice } from './undecided';

export type Chance = 'likely' | 'possible' | 'depends' | 'not';

export interface QuickWay {
  readonly method: MethodId;
  readonly title: string;
  readonly chance: Chance;
  /** Why it is not, or what it depends on; null where nothing more is to be said. */
  readonly why: string | null;
}

export interface QuickAnswer {
  /** `landed`: a wire is on C at the wall; its other end is not seen. `spare`: none is, and a wire is free in the wall. */
  readonly common: 'landed' | 'spare' | 'none' | 'nothing-seen';
  readonly voltageClass: VoltageClass;
  /** What stops: mains, a heater that makes its own voltage, data. Then there are no ways. */
  readonly stops: readonly Finding[];
  readonly ways: readonly QuickWay[];
  /** What to look at next, in words; empty where nothing would change the answer. */
  readonly next: string;
}

export function quickAnswer(job: Job, thermostat: Thermostat): QuickAnswer {
  const now = planFor(job, thermostat);
  const { identification } = now;
  const seen = thermostat.conductors.length > 0;
  const stops = identification.findings.filter(isStop);
  const common = commonOf(thermostat);
  const facts = { common, voltageClass: identification.voltageClass };
  if (stops.length > 0 && (seen || identification.evidence.length > 0))
    return { ...facts, stops, ways: [], next: identification.next[0]?.evidence.ask ?? '' };
  if (!seen) return { ...facts, stops: [], ways: [], next: 'Touch the letters that have a wire.' };
  const usual = asUsual(job, thermostat);
  const later = planFor(usual.job, usual.thermostat);
  return { ...facts, stops: [], ways: waysOf(now, later), next: nextOf(job, thermostat, common) };
}

function commonOf({ conductors, screws }: Thermostat): QuickAnswer['common'] {
  if (conductors.length === 0) return 'nothing-seen';
  const onC = screws.find(({ mark }) => mark === 'C');
  if (onC && conductors.some(({ near }) => near.on.some(({ screw }) => screw === onC.id))) return 'landed';
  return conductors.some(({ near }) => near.state === 'coiled') ? 'spare' : 'none';
}

/** Every wire on the screw of its own letter at the machine, and the free ones free there too. */
function asUsual(job: Job, thermostat: Thermostat): { readonly job: Job; readonly thermostat: Thermostat } {
  const [machine] = job.equipment;
  if (!machine) return { job, thermostat };
  const markAt = ({ near }: Conductor) => {
    const mark = thermostat.screws.find(({ id }) => near.on.some(({ screw }) => screw === id))?.mark;
    return mark !== undefined && isHot(mark) ? 'R' : mark;
  };
  const marks = [...new Set([...thermostat.conductors.flatMap((wire) => markAt(wire) ?? []), 'R', 'C'])];
  const read = thermostat.conductors.map((wire): Conductor => {
    const mark = markAt(wire);
    return { ...wire, far: mark === undefined ? { state: 'coiled', on: [] } : landedOn(machine.id, mark) };
  });
  const seen = { ...thermostat, conductors: read };
  return {
    thermostat: seen,
    job: {
      ...job,
      equipment: job.equipment.map((candidate) =>
        candidate === machine ? { ...candidate, screws: screwsFrom(marks) } : candidate
      ),
      thermostats: job.thermostats.map((candidate) => (candidate === thermostat ? seen : candidate))
    }
  };
}

const ORDER: Readonly<Record<Chance, number>> = { likely: 0, possible: 1, depends: 2, not: 3 };

function waysOf(now: Plan, later: Plan): QuickWay[] {
  const open = (option: PlannedOption | undefined) => option !== undefined && option.verdict !== 'no';
  return later.options
    .filter(({ method }) => method !== 'none')
    .map((option): QuickWay => {
      const { method, title, findings } = option;
      const stop = findings.find(isStop);
      const why = stop ? findingText(stop) : null;
      if (stop && isOfDevice(stop)) return { method, title, chance: 'depends', why };
      if (!open(option)) return { method, title, chance: 'not', why };
      const likely = open(now.options.find((other) => other.method === method));
      return { method, title, chance: likely ? 'likely' : 'possible', why: null };
    })
    .sort((a, b) => ORDER[a.chance] - ORDER[b.chance]);
}

function nextOf(job: Job, thermostat: Thermostat, common: QuickAnswer['common']): string {
  const [look] = looksFor(job, thermostat);
  if (common === 'landed')
    return 'Go to the furnace or air handler: is the wire of this C on its C there too?';
  if (common === 'spare')
    return 'Go to the furnace or air handler: is a wire of this cable free there too, and is there a screw marked C?';
  return look ? lookText(look.at) : 'Go to the furnace or air handler: read which wires are on which screws.';
}
