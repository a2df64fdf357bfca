/** Settings in words: why each is what it is, and what another value would do. */
import { callName } from '../trade/calls';
import { LOAD_NAMES } from '../trade/loads';
import type { SettingId } from '../trade/setting-ids';
import { settingValueName } from '../trade/settings';
import { FAMILY_NAMES, type LoadId } from '../trade/vocabulary';
import type { Otherwise } from '../session/set-up';
import { and, capital, counted } from '../words/text';
import type { Setting, SettingReason, SettingsSheet } from './settings';

export function reasonText(reason: SettingReason): string {
  switch (reason.why) {
    case 'family':
      return `This house has: ${FAMILY_NAMES[reason.family]}.`;
    case 'valve':
      return reason.valve === 'B'
        ? 'The valve gets power in heating here.'
        : 'The valve gets power in cooling here.';
    case 'stages':
      return stagesText(reason.wired, reason.machine);
    case 'aux':
      return reason.with === 'none'
        ? 'No wire for auxiliary heat is on the thermostat.'
        : reason.with === 'burner'
          ? 'A burner helps the heat pump: the two never run at once.'
          : 'Electric strips help the heat pump.';
    case 'emergency':
      return reason.wired
        ? 'It heats without the compressor where that is broken.'
        : 'No wire serves it here.';
    case 'fan':
      return reason.by === 'thermostat'
        ? 'Electric heat wants its blower at once, and not every such machine starts it by itself.'
        : 'The machine starts its blower by itself once it is warm.';
    case 'supplies':
      return reason.ties
        ? 'Two machines have a transformer each: their hot sides must not be joined.'
        : 'One transformer feeds both sides.';
    case 'power':
      return reason.landed ? 'A wire is on C.' : 'No wire is on C.';
    case 'one-wire':
      return reason.used ? 'Y and G come down one wire, on K.' : 'Y and G have a wire each.';
    case 'accessory':
      return reason.wired
        ? 'It is wired to the thermostat.'
        : 'Nothing of the kind is wired to the thermostat.';
    case 'cycles':
      return 'Usual for this kind of machine: more wears it out, fewer lets the room swing.';
    case 'compressor-wait':
      return 'A compressor that starts against its pressure stalls.';
    case 'scale':
      return 'As in this job.';
    case 'clock':
      return 'The schedule goes by it.';
    case 'name':
      return 'So that two are told apart.';
    case 'schedule':
      return 'From what you said of your days; change it as you like.';
    case 'network':
      return 'Last: what it fetches from there may change its settings.';
  }
}

function stagesText(wired: number, machine: number | null): string {
  const has = wired === 0 ? 'None is wired.' : wired === 1 ? 'One is wired.' : 'Two are wired.';
  return machine !== null && machine > Math.max(1, wired)
    ? `${has} The machine has ${counted(machine, 'stage', 'stages')}: the further one stays unused.`
    : has;
}

/** What a wrong value does, in a sentence; the worst of its calls first. */
export function otherwiseText(id: SettingId, { value, calls }: Setting['otherwise'][number]): string {
  const said = `Set to “${settingValueName(id, value)}”`;
  const [worst] = [...calls].sort((first, second) => harm(second) - harm(first));
  return worst ? `${said}: ${effectText(worst)}.` : `${said}: nothing changes.`;
}

function harm({ turned, missing, extra, joins }: Otherwise): number {
  return (
    Number(turned !== null) * 8 + Number(joins) * 6 + Math.min(5, missing.length) + Math.min(2, extra.length)
  );
}

/** What one call does otherwise than it should, as a clause. */
export function effectText({ call, turned, missing, extra, joins }: Otherwise): string {
  const when = `when it calls for ${callName(call)}`;
  if (joins) return 'two supplies are joined, and one transformer burns';
  if (turned === 'cools') return `it cools ${when}`;
  if (turned === 'heats') return `it heats ${when}`;
  const parts = [
    ...(missing.length > 0 ? [`${loads(missing)} ${several(missing) ? 'do' : 'does'} not run`] : []),
    ...(extra.length > 0 ? [`${loads(extra)} ${several(extra) ? 'run' : 'runs'} as well`] : [])
  ];
  return `${and(parts)} ${when}`;
}

function several(list: readonly LoadId[]): boolean {
  return list.length > 1 || list.includes('strips');
}

function loads(list: readonly LoadId[]): string {
  return and(list.map((load) => `the ${LOAD_NAMES[load]}`));
}

const STYLES: Readonly<Record<SettingsSheet['style'], (name: string) => string>> = {
  unknown: (name) => name,
  numbers: (name) => `Function ${name}`,
  questions: (name) => capital(name),
  switches: (name) => capital(name),
  dial: (name) => capital(name),
  menus: (name) => name
};

/** Where on the device, and what is set there: `Function 14: 1`; empty where its sheet names no such setting. */
export function placeText(
  style: SettingsSheet['style'],
  { place, value }: Pick<Setting, 'place' | 'value'>
): string {
  if (!place) return '';
  const where = STYLES[style](place.name);
  if (value === null) return where;
  return `${where}: ${place.shown ?? 'no value for this on its sheet'}`;
}
