/**
 * What a thermostat of the 24 V class has to be told, in the order in which it is told: the system first, then what belongs to the people,
 * the network last.
 */
export const SETTING_IDS = [
  'kind',
  'valve',
  'heat-stages',
  'cool-stages',
  'auxiliary',
  'emergency',
  'fan',
  'supplies',
  'power',
  'one-wire',
  'humidifier',
  'dehumidifier',
  'ventilator',
  'cycles',
  'compressor-wait',
  'scale',
  'clock',
  'name',
  'schedule',
  'network'
] as const;
export type SettingId = (typeof SETTING_IDS)[number];

/** Nothing is called for before these are set; the others are the people's. */
export const SYSTEM_SETTINGS: ReadonlySet<SettingId> = new Set<SettingId>(
  SETTING_IDS.slice(0, SETTING_IDS.indexOf('scale'))
);
