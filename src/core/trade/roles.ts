/**
 * What somebody may state that a screw is for, where its print does not say it or says it wrongly, and how they know. Each role stands for
 * the mark that usually carries it.
 */
import * as v from 'valibot';

export const SCREW_ROLES = [
  'hot',
  'hot-heat',
  'hot-cool',
  'common',
  'heat1',
  'heat2',
  'aux',
  'emergency',
  'compressor1',
  'compressor2',
  'fan',
  'reversing-cool',
  'reversing-heat',
  'reversing',
  'combined',
  'humidify',
  'dehumidify',
  'ventilate',
  'lamp',
  'sensor',
  'contact',
  'data',
  'mains',
  'nothing'
] as const;
export const ScrewRole = v.picklist(SCREW_ROLES, `one of ${SCREW_ROLES.join(', ')}`);
export type ScrewRole = v.InferOutput<typeof ScrewRole>;

/** The mark that stands for a role; null for a screw that does nothing. */
export const ROLE_MARKS: Readonly<Record<ScrewRole, string | null>> = {
  hot: 'R',
  'hot-heat': 'RH',
  'hot-cool': 'RC',
  common: 'C',
  heat1: 'W1',
  heat2: 'W2',
  aux: 'AUX',
  emergency: 'E',
  compressor1: 'Y1',
  compressor2: 'Y2',
  fan: 'G',
  'reversing-cool': 'O',
  'reversing-heat': 'B',
  reversing: 'OB',
  combined: 'K',
  humidify: 'HUM',
  dehumidify: 'DEHUM',
  ventilate: 'V',
  lamp: 'L',
  sensor: 'S',
  contact: 'T',
  data: 'A',
  mains: 'L1',
  nothing: null
};

export const ROLE_NAMES: Readonly<Record<ScrewRole, string>> = {
  hot: 'hot (R)',
  'hot-heat': 'hot for heating (RH)',
  'hot-cool': 'hot for cooling (RC)',
  common: 'common (C)',
  heat1: 'first heat stage (W)',
  heat2: 'second heat stage (W2)',
  aux: 'auxiliary heat (AUX)',
  emergency: 'emergency heat (E)',
  compressor1: 'compressor (Y)',
  compressor2: 'second compressor stage (Y2)',
  fan: 'blower (G)',
  'reversing-cool': 'reversing valve, on for cooling (O)',
  'reversing-heat': 'reversing valve, on for heating (B)',
  reversing: 'reversing valve, either way (O/B)',
  combined: 'Y and G on one wire (K)',
  humidify: 'humidifier (HUM)',
  dehumidify: 'dehumidifier (DEHUM)',
  ventilate: 'ventilator (V)',
  lamp: 'fault lamp (L)',
  sensor: 'remote sensor (S)',
  contact: 'one side of a two-wire contact (T)',
  data: 'data',
  mains: 'mains',
  nothing: 'nothing: no wire inside leads to it'
};

/** How it is known what a screw is for. */
export const ROLE_SOURCES = ['diagram', 'sheet', 'trace', 'meter', 'technician', 'other'] as const;
export const RoleSource = v.picklist(ROLE_SOURCES, `one of ${ROLE_SOURCES.join(', ')}`);
export type RoleSource = v.InferOutput<typeof RoleSource>;

export const ROLE_SOURCE_NAMES: Readonly<Record<RoleSource, string>> = {
  diagram: 'the diagram inside the door',
  sheet: 'the maker’s sheet',
  trace: 'followed by eye',
  meter: 'measured',
  technician: 'a technician said so',
  other: 'another source'
};
