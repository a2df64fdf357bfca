/**
 * The settings sheet: what a thermostat has to be told in this house, derived from the record, the system and the wiring that the work ends
 * with. What nobody knows is asked for and never set on a guess; what another value would do is solved.
 */
import { isOnCommon } from '../devices/reach';
import { isHeatPump, isHydronic, markForRole } from '../devices/roles';
import type { SettingMade } from '../job/after-schema';
import type { SetUpEntry, SetUpMenu } from '../job/device-facts';
import { setUpMenuOf } from '../match/set-up-menus';
import { joiningTies, joinsBySetUp, otherwiseWith, type Otherwise } from '../session/set-up';
import { requestsOf, type Call } from '../trade/calls';
import { SETTING_IDS, SYSTEM_SETTINGS, type SettingId } from '../trade/setting-ids';
import { kindOfFamily, SETTING_VALUES, usualCycles } from '../trade/settings';
import type { Family } from '../trade/vocabulary';
import { landedTerminal, screwThat } from '../wiring/graph';
import { scheduleText, scheduleOf } from './schedule';
import { agreed, callsIn, type Finished } from './subject';

/** Why a setting is what it is: a fact of the house, or of the people in it. */
export type SettingReason =
  | { readonly why: 'family'; readonly family: Family }
  | { readonly why: 'valve'; readonly valve: string }
  | { readonly why: 'stages'; readonly wired: number; readonly machine: number | null }
  | { readonly why: 'aux'; readonly with: 'strips' | 'burner' | 'none' }
  | { readonly why: 'emergency'; readonly wired: boolean }
  | { readonly why: 'fan'; readonly by: 'machine' | 'thermostat' }
  | { readonly why: 'supplies'; readonly ties: boolean }
  | { readonly why: 'power'; readonly landed: boolean }
  | { readonly why: 'one-wire'; readonly used: boolean }
  | { readonly why: 'accessory'; readonly wired: boolean }
  | { readonly why: 'cycles' | 'compressor-wait' | 'scale' | 'clock' | 'name' | 'schedule' | 'network' };

export interface Setting {
  readonly id: SettingId;
  /** Null where nobody knows yet. */
  readonly value: string | null;
  readonly reason: SettingReason;
  /** What would settle an unknown one; empty where it is known. */
  readonly ask: string;
  /** Where this device has it, and what the value is called there; null where its sheet names no such setting. */
  readonly place: { readonly name: string; readonly shown: string | null } | null;
  /** It comes out of the box with another value than this house needs. */
  readonly presetWrong: string | null;
  /** What the other values would do, solved; empty where the circuit shows no difference. */
  readonly otherwise: readonly { readonly value: string; readonly calls: readonly Otherwise[] }[];
  /** As it was made last; null where it was not. */
  readonly made: SettingMade | null;
}

export interface SettingsSheet {
  readonly style: SetUpMenu['style'];
  readonly which: Finished['which'];
  readonly settings: readonly Setting[];
}

type Derived = Pick<Setting, 'value' | 'reason'> & { readonly ask?: string };

export function settingsOf(finished: Finished): SettingsSheet {
  const { control, thermostat } = finished;
  const menu = setUpMenuOf(control.facts);
  const calls = callsIn(finished);
  const settings = SETTING_IDS.flatMap((id): Setting[] => {
    const derived = DERIVE[id](finished, calls);
    if (derived === null) return [];
    const entry = menu.entries.find(({ setting }) => setting === id);
    return [
      {
        id,
        value: derived.value,
        reason: derived.reason,
        ask: derived.value === null ? (derived.ask ?? '') : '',
        place: entry ? { name: entry.name, shown: shownIn(entry, derived.value) } : null,
        presetWrong: presetWrong(entry, derived.value),
        otherwise: otherwiseOf(finished, calls, id, derived.value),
        made: thermostat.settings.findLast(({ setting }) => setting === id) ?? null
      }
    ];
  });
  return { style: menu.style, which: finished.which, settings };
}

function shownIn(entry: SetUpEntry, value: string | null): string | null {
  return entry.values.find((candidate) => candidate.value === value)?.shown || null;
}

function presetWrong(entry: SetUpEntry | undefined, value: string | null): string | null {
  if (!entry || entry.preset === null || value === null || entry.preset === value) return null;
  // Two values that are one choice on this device are no difference.
  const right = shownIn(entry, value);
  const preset = shownIn(entry, entry.preset) ?? entry.preset;
  return preset === right ? null : preset;
}

/** Other values are tried in the likeliest world only: what is asked is what a slip would do, not whether the wiring is sound. */
function otherwiseOf(
  { wiring, worlds }: Finished,
  calls: readonly Call[],
  id: SettingId,
  value: string | null
): Setting['otherwise'] {
  const values = SETTING_VALUES[id];
  const [likeliest] = worlds;
  if (!values || value === null || !likeliest || !SYSTEM_SETTINGS.has(id)) return [];
  return Object.keys(values)
    .filter((other) => other !== value)
    .map((other) => ({ value: other, calls: otherwiseWith(wiring, likeliest.world, calls, { [id]: other }) }))
    .filter((other) => other.calls.length > 0);
}

type AccessoryCall = 'humidify' | 'dehumidify' | 'ventilate';
type Derive = (finished: Finished, calls: readonly Call[]) => Derived | null;

const asks = (calls: readonly Call[], request: string) =>
  calls.some((call) => (requestsOf(call) as readonly string[]).includes(request));
const heatPumpIn = ({ worlds }: Finished) => worlds.some(({ world }) => isHeatPump(world.family));
const traitIn = ({ plan }: Finished, id: string) =>
  plan.identification.traits.find((trait) => trait.id === id);
const stagesRead = (finished: Finished, id: string) => {
  const decided = traitIn(finished, id)?.decided ?? null;
  return decided === null ? null : Number(decided);
};
const plain = (
  value: string,
  why: 'cycles' | 'compressor-wait' | 'scale' | 'clock' | 'name' | 'schedule' | 'network'
) => ({
  value,
  reason: { why }
});

const DERIVE: Readonly<Record<SettingId, Derive>> = {
  kind: ({ worlds, plan }) => {
    const kind = agreed(worlds, ({ family }) => kindOfFamily(family));
    const [question] = plan.identification.next;
    const [first] = worlds;
    return {
      value: kind,
      reason: { why: 'family', family: first?.world.family ?? 'unknown' },
      ask: question?.evidence.ask ?? 'The sheet of the heater says what it wants to be set as.'
    };
  },
  valve: (finished) => {
    if (!heatPumpIn(finished)) return null;
    const valve = agreed(finished.worlds, ({ reversing }) => reversing);
    const known = valve === 'O' || valve === 'B' ? valve : null;
    return {
      value: known,
      reason: { why: 'valve', valve: known ?? '' },
      ask: traitIn(finished, 'reversing-valve')?.settle ?? ''
    };
  },
  'heat-stages': (finished, calls) => {
    const wired = asks(calls, 'heat2') ? 2 : asks(calls, 'heat1') ? 1 : 0;
    return {
      value: `${wired}`,
      reason: { why: 'stages', wired, machine: stagesRead(finished, 'heat-stages') }
    };
  },
  'cool-stages': (finished, calls) => {
    const wired = asks(calls, 'cool2') || secondCompressor(finished) ? 2 : asks(calls, 'cool1') ? 1 : 0;
    return {
      value: `${wired}`,
      reason: { why: 'stages', wired, machine: stagesRead(finished, 'cool-stages') }
    };
  },
  auxiliary: (finished, calls) => {
    if (!heatPumpIn(finished)) return null;
    const family = agreed(finished.worlds, (world) => world.family);
    const kind = !asks(calls, 'aux')
      ? 'none'
      : family === 'dual-fuel'
        ? 'burner'
        : family === 'heat-pump'
          ? 'strips'
          : null;
    return {
      value: kind,
      reason: { why: 'aux', with: kind ?? 'none' },
      ask: 'Does a burner help the heat pump, or electric strips? Look for a flue or a gas pipe at the indoor unit.'
    };
  },
  emergency: (finished, calls) => {
    if (!heatPumpIn(finished)) return null;
    const wired = asks(calls, 'emergency');
    return { value: wired ? 'yes' : 'no', reason: { why: 'emergency', wired } };
  },
  fan: (finished) => {
    const { worlds } = finished;
    if (worlds.some(({ world }) => isHydronic(world.family) || isHeatPump(world.family))) return null;
    if (worlds.every(({ world }) => world.family === 'cooling-only' || kindOfFamily(world.family) === null))
      return null;
    // Called for by the thermostat as well, the blower of an electric furnace runs whoever starts it: right in every world.
    const by = agreed(worlds, ({ family }) => (family === 'electric-furnace' ? 'thermostat' : 'machine'));
    return {
      value: by,
      reason: { why: 'fan', by: by ?? 'machine' },
      ask:
        traitIn(finished, 'blower-in-heat')?.settle ??
        'Is it gas, oil or electric? The plate of the furnace says so.'
    };
  },
  supplies: ({ wiring, worlds }) => {
    if (!joinsBySetUp(wiring)) return null;
    const ties = agreed(worlds, (world) => joiningTies(wiring, world));
    return {
      value: ties === null ? null : ties ? 'two' : 'one',
      reason: { why: 'supplies', ties: ties === true },
      ask: 'Do the wires on RH and RC come from one machine or from two?'
    };
  },
  power: ({ control, wiring }) => {
    if (!['self-charging', 'common-or-battery'].includes(control.facts.supply)) return null;
    const landed = isOnCommon(wiring, control);
    return { value: landed ? 'c-wire' : 'none', reason: { why: 'power', landed } };
  },
  'one-wire': ({ control, wiring }) => {
    const combined = screwThat(control, 'K')?.id;
    if (combined === undefined) return null;
    const used = wiring.strands.some(({ near }) => landedTerminal(near) === combined);
    return { value: used ? 'yes' : 'no', reason: { why: 'one-wire', used } };
  },
  humidifier: (finished, calls) => accessory(finished, calls, 'humidify'),
  dehumidifier: (finished, calls) => accessory(finished, calls, 'dehumidify'),
  ventilator: (finished, calls) => accessory(finished, calls, 'ventilate'),
  cycles: ({ worlds }) => {
    const cycles = agreed(worlds, ({ family }) => usualCycles(family));
    return cycles === null ? null : plain(cycles, 'cycles');
  },
  'compressor-wait': (_, calls) =>
    asks(calls, 'cool1') || asks(calls, 'aux') ? plain('5', 'compressor-wait') : null,
  scale: ({ job }) => plain(job.units.temperature, 'scale'),
  clock: () => plain('the time of day', 'clock'),
  name: ({ thermostat }) => plain(thermostat.name, 'name'),
  schedule: ({ job }) => {
    const schedule = scheduleOf(job.survey.habits);
    return schedule === null
      ? {
          value: null,
          reason: { why: 'schedule' },
          ask: 'When is somebody home? Say so under Before you buy.'
        }
      : plain(scheduleText(schedule, job.units.temperature), 'schedule');
  },
  network: () => plain('joined', 'network')
};

function secondCompressor({ control, wiring }: Finished): boolean {
  const screw = screwThat(control, 'Y2')?.id;
  return wiring.strands.some(
    ({ near, far }) => screw !== undefined && landedTerminal(near) === screw && far.state === 'landed'
  );
}

/** What its device has an output for, or what is wired; of others nothing is asked. */
function accessory({ control }: Finished, calls: readonly Call[], request: AccessoryCall): Derived | null {
  const wired = asks(calls, request);
  const has =
    markForRole(
      request,
      control.screws.flatMap(({ means }) => means)
    ) !== null;
  return has || wired ? { value: wired ? 'yes' : 'no', reason: { why: 'accessory', wired } } : null;
}

/**
 * Whether a setting may be made now: the people's own come after the system's, and the network after everything else but a schedule that nobody
 * can propose. What nobody knows of the system holds back what comes after it.
 */
export function mayBeMade({ settings }: SettingsSheet, id: SettingId): boolean {
  if (SYSTEM_SETTINGS.has(id)) return true;
  return settings
    .filter(
      (setting) =>
        SYSTEM_SETTINGS.has(setting.id) ||
        (id === 'network' && setting.id !== id && (setting.id !== 'schedule' || setting.value !== null))
    )
    .every(({ made }) => made !== null);
}

/** Settings of the system that are not made yet, or were made otherwise than this house needs: nothing is called before. */
export function settingsLeft({ settings }: SettingsSheet): readonly Setting[] {
  return settings.filter(
    ({ id, made, value }) =>
      SYSTEM_SETTINGS.has(id) && (made === null || (value !== null && made.value !== value))
  );
}
