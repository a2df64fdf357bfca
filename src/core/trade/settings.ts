/** What each setting is called, which values it has, and what is usual. Cycle rates and the wait of a compressor are the trade's (usual installer sheets). */
import type { SettingId } from './setting-ids';
import type { Family, Request } from './vocabulary';

export const SETTING_NAMES: Readonly<Record<SettingId, string>> = {
  kind: 'Kind of system',
  valve: 'Reversing valve works on',
  'heat-stages': 'Heat stages',
  'cool-stages': 'Cooling stages',
  auxiliary: 'Auxiliary heat',
  emergency: 'Emergency heat',
  fan: 'Who starts the blower in heating',
  supplies: 'Supplies',
  power: 'Powered by',
  'one-wire': 'One wire for Y and G',
  humidifier: 'Humidifier',
  dehumidifier: 'Dehumidifier',
  ventilator: 'Ventilator',
  cycles: 'Heat cycles an hour',
  'compressor-wait': 'Compressor waits after a stop',
  scale: 'Scale',
  clock: 'Clock',
  name: 'Name',
  schedule: 'Schedule',
  network: 'Network'
};

/** The values of a setting with their words; a setting that is not here takes any text. */
export const SETTING_VALUES: Readonly<Partial<Record<SettingId, Readonly<Record<string, string>>>>> = {
  kind: {
    air: 'warm air (furnace)',
    'heat-pump': 'heat pump',
    water: 'hot water (boiler)',
    steam: 'steam',
    cooling: 'cooling only'
  },
  valve: { O: 'O: on in cooling', B: 'B: on in heating' },
  'heat-stages': { '0': 'none', '1': 'one', '2': 'two', '3': 'three' },
  'cool-stages': { '0': 'none', '1': 'one', '2': 'two' },
  auxiliary: { none: 'none', strips: 'electric strips', burner: 'a burner' },
  emergency: { yes: 'yes', no: 'no' },
  fan: { machine: 'the machine itself (gas, oil)', thermostat: 'the thermostat, through G (electric)' },
  supplies: { one: 'one: RH and RC joined', two: 'two: RH and RC apart' },
  power: { 'c-wire': 'a C wire', none: 'no C wire' },
  'one-wire': { yes: 'yes, on K', no: 'no' },
  humidifier: { yes: 'connected', no: 'none' },
  dehumidifier: { yes: 'connected', no: 'none' },
  ventilator: { yes: 'connected', no: 'none' },
  cycles: { '1': '1', '3': '3', '5': '5', '9': '9' },
  'compressor-wait': { '5': '5 minutes', '0': 'not at all' },
  scale: { C: '°C', F: '°F' },
  network: { joined: 'joined' }
};

/** A value in words; what has no word of its own is its own word. */
export function settingValueName(setting: SettingId, value: string): string {
  return SETTING_VALUES[setting]?.[value] ?? value;
}

/** The kind of system by its family; null where a thermostat's menu has no usual word for it. */
export function kindOfFamily(family: Family): string | null {
  switch (family) {
    case 'furnace':
    case 'furnace-ac':
    case 'electric-furnace':
      return 'air';
    case 'heat-pump':
    case 'dual-fuel':
      return 'heat-pump';
    case 'boiler':
    case 'boiler-plus-ac':
      return 'water';
    case 'steam':
      return 'steam';
    case 'cooling-only':
      return 'cooling';
    default:
      return null;
  }
}

/** Heat cycles an hour: steam 1, hot water 3, furnace 5, electric 9 are usual; null where no figure is usual. */
export function usualCycles(family: Family): string | null {
  switch (family) {
    case 'steam':
      return '1';
    case 'boiler':
    case 'boiler-plus-ac':
      return '3';
    case 'furnace':
    case 'furnace-ac':
      return '5';
    case 'electric-furnace':
      return '9';
    default:
      return null;
  }
}

/** Settings that say whether something is connected, with what it is asked for. */
export const CONNECTED: readonly (readonly [SettingId, Request])[] = [
  ['humidifier', 'humidify'],
  ['dehumidifier', 'dehumidify'],
  ['ventilator', 'ventilate']
];
