/** The stations of the work in its four groups, with what each still lacks. */
import { isLit } from '$core/job/lit';
import type { StationId } from '$core/plan/next-step';
import { untestedCalls } from '$core/plan/untested';
import { BUYING_NAMES } from '$core/survey/verdicts';
import { FAMILY_NAMES } from '$core/trade/vocabulary';
import { counted } from '$core/words/text';
import type { Place } from '../state/place.svelte';
import type { Station } from './station';

export const GROUPS = [
  { id: 'look', name: 'Look', stations: ['survey', 'safe', 'sheet', 'system'] },
  { id: 'decide', name: 'Decide', stations: ['thermostat', 'supply', 'bench'] },
  { id: 'do', name: 'Do', stations: ['moves', 'power', 'set-up', 'test', 'why'] },
  { id: 'keep', name: 'Keep', stations: ['keep'] }
] as const satisfies readonly { id: string; name: string; stations: readonly StationId[] }[];

/** The same groups where mains heating controls are recorded. */
export const MAINS_GROUPS = [
  { id: 'look', name: 'Look', stations: ['survey', 'strip', 'layout'] },
  { id: 'decide', name: 'Decide', stations: ['controller'] },
  { id: 'do', name: 'Do', stations: ['work', 'trial', 'fault'] },
  { id: 'keep', name: 'Keep', stations: ['built'] }
] as const satisfies readonly { id: string; name: string; stations: readonly StationId[] }[];

export type StationGroup = (typeof GROUPS)[number] | (typeof MAINS_GROUPS)[number];

export function groupsOf({ thermostat }: Pick<Place, 'thermostat'>): readonly StationGroup[] {
  return thermostat.mains === null ? GROUPS : MAINS_GROUPS;
}

/** The group of a page, by the last part of its address; pages beside the stations belong to the group that they are reached from. */
export function groupOf(station: string, groups: readonly StationGroup[] = GROUPS): StationGroup {
  const beside =
    groups === GROUPS ? ({ photo: 'sheet', together: 'moves', do: 'moves' }[station] ?? station) : station;
  return (
    groups.find(({ stations }) => (stations as readonly string[]).includes(beside)) ?? groups[0] ?? GROUPS[0]
  );
}

export function stationsOf(place: Place): ReadonlyMap<StationId, Station> {
  const { mains } = place.thermostat;
  const all = [
    ...lookStations(place),
    ...decideStations(place),
    ...workStations(place),
    ...(mains === null ? [] : (place.guide?.mainsStations(mains, place.job.closed !== null) ?? []))
  ];
  return new Map(all.map((station) => [station.id, station]));
}

function lookStations({ thermostat, unread, identification, buying, safety, standing }: Place): Station[] {
  const open = unread.wall + unread.equipment;
  const none = thermostat.conductors.length === 0;
  const stops = identification.findings.some((finding) => standing.stops.includes(finding));
  return [
    {
      id: 'survey',
      name: 'Before you buy',
      says: BUYING_NAMES[buying.verdict].toLowerCase(),
      done: buying.verdict === 'buy-now' || buying.verdict === 'buy-and-wait'
    },
    { id: 'safe', name: 'Power off', says: safetyWords(safety), done: safety.safe },
    {
      id: 'sheet',
      name: 'Wires',
      says: none
        ? 'none recorded yet'
        : open > 0
          ? `${counted(open, 'end', 'ends')} not read`
          : 'both ends read',
      done: !none && open === 0
    },
    {
      id: 'system',
      name: 'System',
      says: stops
        ? 'stop'
        : identification.family === 'unknown'
          ? 'not known yet'
          : FAMILY_NAMES[identification.family],
      done: identification.decided && !stops
    }
  ];
}

function decideStations({ thermostat, device, match, plan }: Place): Station[] {
  const supplied = plan.options.find((option) => option.method === plan.taken);
  return [
    {
      id: 'thermostat',
      name: 'Thermostat',
      says: device === null ? 'none chosen' : match?.verdict === 'no' ? 'does not fit' : device.model,
      done: device !== null && match?.verdict !== 'no'
    },
    {
      id: 'supply',
      name: 'C wire',
      says: thermostat.choice.method === null ? 'not chosen' : (supplied?.title ?? ''),
      done: thermostat.choice.method !== null && supplied?.verdict !== 'no'
    },
    {
      id: 'bench',
      name: 'Try it',
      says: thermostat.bench.length === 0 ? 'simulate the wiring' : `${thermostat.bench.length} kept`,
      done: thermostat.bench.length > 0
    }
  ];
}

function workStations({ plan, thermostat, job }: Place): Station[] {
  const started = thermostat.log.length > 0;
  return [
    {
      id: 'moves',
      name: 'Steps',
      says: plan.moves.length === 0 ? 'none left' : `${plan.moves.length} to do`,
      done: started && plan.moves.length === 0
    },
    {
      id: 'power',
      name: 'Power up',
      says: started && plan.moves.length === 0 ? 'now' : 'after the steps',
      // Lit with steps left is a look on the way, or a way that was changed since.
      done: isLit(thermostat.seen) && plan.moves.length === 0
    },
    {
      id: 'set-up',
      name: 'Set up',
      says: thermostat.settings.length === 0 ? 'before anything runs' : `${thermostat.settings.length} set`,
      done: thermostat.settings.some(({ setting }) => setting === 'network')
    },
    {
      id: 'test',
      name: 'Test',
      says: testWords(thermostat),
      done: isTested(thermostat, plan)
    },
    {
      id: 'why',
      name: 'Find out why',
      says: thermostat.seen.length === 0 ? 'if it does not work' : `${thermostat.seen.length} seen`,
      done: false
    },
    {
      id: 'keep',
      name: 'Hand over',
      says: job.closed ? 'closed' : 'sheets, codes, files',
      done: job.closed !== null
    }
  ];
}

function isTested(thermostat: Place['thermostat'], plan: Place['plan']): boolean {
  const last = new Map(thermostat.tests.map(({ call, result }) => [call, result]));
  return last.size > 0 && ![...last.values()].includes('bad') && untestedCalls(plan, thermostat).length === 0;
}

function testWords({ testing, tests }: Place['thermostat']): string {
  if (testing !== null) return 'one is running';
  const calls = new Set(tests.map(({ call }) => call)).size;
  return calls === 0 ? 'every call by itself' : `${calls} tested`;
}

function safetyWords(safety: Place['safety']): string {
  if (safety.locked) return 'a stop is open';
  if (safety.safe) return 'off and proven';
  const live = safety.supplies.filter((supply) => !supply.off).length;
  return live === 0 ? 'questions open' : `${counted(live, 'supply', 'supplies')} to switch off`;
}
