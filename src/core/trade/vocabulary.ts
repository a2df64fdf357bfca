/** The words that the core, the files, the command line and the screens share. */
import * as v from 'valibot';

export const FAMILIES = [
  'furnace',
  'furnace-ac',
  'electric-furnace',
  'heat-pump',
  'dual-fuel',
  'boiler',
  'steam',
  'boiler-plus-ac',
  'cooling-only',
  'contact-heater',
  'communicating',
  'line-voltage',
  'millivolt',
  'mains-hydronic',
  'unknown'
] as const;
export const Family = v.picklist(FAMILIES, 'a family of systems such as furnace-ac or heat-pump');
export type Family = v.InferOutput<typeof Family>;

export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  furnace: 'furnace, heat only',
  'furnace-ac': 'furnace with air conditioner',
  'electric-furnace': 'electric furnace',
  'heat-pump': 'heat pump',
  'dual-fuel': 'heat pump with a burner',
  boiler: 'boiler',
  steam: 'steam boiler',
  'boiler-plus-ac': 'boiler with a separate air conditioner',
  'cooling-only': 'cooling only',
  'contact-heater': 'contact heater',
  communicating: 'communicating system',
  'line-voltage': 'line voltage',
  millivolt: 'millivolt',
  'mains-hydronic': 'mains heating controls',
  unknown: 'not known yet'
};

export type VoltageClass = '24v' | 'line' | 'millivolt' | 'data' | 'unknown';

export const END_STATES = ['landed', 'loose', 'coiled', 'unseen'] as const;
export const EndState = v.picklist(END_STATES, 'landed, loose, coiled or unseen');
export type EndState = v.InferOutput<typeof EndState>;

export type EndSide = 'wall' | 'equipment';

export const METHOD_IDS = [
  'existing-c',
  'spare-conductor',
  'repurpose-g',
  'combined-terminal-adapter',
  'signal-splitter',
  'plug-in-transformer',
  'added-transformer',
  'add-conductor',
  'new-cable',
  'receiver-at-equipment',
  'no-c-needed',
  'none'
] as const;
export const MethodId = v.picklist(METHOD_IDS, 'a supply method such as spare-conductor');
export type MethodId = v.InferOutput<typeof MethodId>;

/** What is put right as part of the work. */
export const REPAIR_IDS = [
  'land-loose-end',
  'move-wrong-end',
  'add-y-g-link',
  'remove-y-g-link',
  'part-supplies',
  'restore-fan',
  'replace-broken',
  'remove-old-supply'
] as const;
export type RepairId = (typeof REPAIR_IDS)[number];

/** What a control may ask for; the last two are those of mains controls. */
export const REQUESTS = [
  'heat1',
  'heat2',
  'cool1',
  'cool2',
  'fan',
  'aux',
  'emergency',
  'humidify',
  'dehumidify',
  'ventilate',
  'hot-water',
  'heating'
] as const;
export type Request = (typeof REQUESTS)[number];

/** Nothing asked for, or one thing: the calls that have a word of their own. Combinations are made in `calls.ts`. */
export const CALLS = ['idle', ...REQUESTS] as const;
export type SimpleCall = (typeof CALLS)[number];

export const CALL_NAMES: Readonly<Record<SimpleCall, string>> = {
  idle: 'nothing called',
  heat1: 'heat',
  heat2: 'heat, second stage',
  cool1: 'cooling',
  cool2: 'cooling, second stage',
  fan: 'fan alone',
  aux: 'auxiliary heat',
  emergency: 'emergency heat',
  humidify: 'humidify',
  dehumidify: 'dehumidify',
  ventilate: 'ventilate',
  'hot-water': 'hot water',
  heating: 'heating'
};

export type LoadId =
  | 'burner'
  | 'burner2'
  | 'blower'
  | 'compressor'
  | 'compressor2'
  | 'reversing-valve'
  | 'strips'
  | 'circulator'
  | 'zone-valve'
  | 'boiler'
  | 'pump'
  | 'humidifier'
  | 'dehumidifier'
  | 'ventilator'
  | 'thermostat';

export const VERDICTS = ['go', 'care', 'pro', 'no'] as const;
export type Verdict = (typeof VERDICTS)[number];

export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = {
  go: 'Do it',
  care: 'With care',
  pro: 'Licensed person',
  no: 'Not this way'
};

/** For a way that waits for a look: its verdict is `no` until then. */
export const WAITS_NAME = 'Not known yet';
