/** The stations of the work, in its order, with what each still lacks. */
import { FAMILY_NAMES } from '$core/trade/vocabulary';
import { counted } from '$core/words/text';
import { BUYING_NAMES } from '$core/survey/before-buying';
import type { Place } from '../state/place.svelte';

export interface Station {
  readonly id: 'survey' | 'safe' | 'sheet' | 'system' | 'thermostat' | 'supply' | 'bench' | 'moves';
  readonly name: string;
  /** What is missing, or what was settled. */
  readonly says: string;
  readonly done: boolean;
}

export function stationsOf(place: Place): Station[] {
  const { thermostat, unread, identification, device, match, plan, buying, safety } = place;
  const open = unread.wall + unread.equipment;
  const none = thermostat.conductors.length === 0;
  const stops = identification.findings.some((finding) => finding.level === 'stop');
  const supplied = plan.options.find((option) => option.method === plan.taken);
  return [
    {
      id: 'survey',
      name: 'Survey',
      says: BUYING_NAMES[buying.verdict].toLowerCase(),
      done: buying.verdict === 'buy-now' || buying.verdict === 'buy-and-wait'
    },
    { id: 'safe', name: 'Make safe', says: safetyWords(safety), done: safety.safe },
    {
      id: 'sheet',
      name: 'Strands',
      says: none
        ? 'no conductor yet'
        : open > 0
          ? `${open} ${open === 1 ? 'end' : 'ends'} not seen`
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
    },
    {
      id: 'thermostat',
      name: 'Thermostat',
      says: device === null ? 'none chosen' : match?.verdict === 'no' ? 'does not fit' : device.model,
      done: device !== null && match?.verdict !== 'no'
    },
    {
      id: 'supply',
      name: 'Supply',
      says: thermostat.choice.method === null ? 'not chosen' : (supplied?.title ?? ''),
      done: thermostat.choice.method !== null && supplied?.verdict !== 'no'
    },
    {
      id: 'bench',
      name: 'Bench',
      says: thermostat.bench.length === 0 ? 'power it up' : `${thermostat.bench.length} kept`,
      done: thermostat.bench.length > 0
    },
    {
      id: 'moves',
      name: 'Moves',
      says: plan.moves.length === 0 ? 'none' : counted(plan.moves.length, 'move', 'moves'),
      done: false
    }
  ];
}

function safetyWords(safety: Place['safety']): string {
  if (safety.locked) return 'a stop is open';
  if (safety.safe) return 'off and proven';
  const live = safety.supplies.filter((supply) => !supply.off).length;
  if (live === 0) return 'questions open';
  return `${live} ${live === 1 ? 'supply' : 'supplies'} to cut`;
}
