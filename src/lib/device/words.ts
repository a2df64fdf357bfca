/** Facts of a device in words. */
import type { DeviceFacts } from '$core/job/device-facts';
import type { Verdict } from '$core/trade/vocabulary';

export const SUPPLY_WORDS: Readonly<Record<DeviceFacts['supply'], string>> = {
  'common-required': 'a common, always',
  'common-or-battery': 'a common, or batteries with the radio asleep',
  'paired-receiver': 'a receiver at the equipment; the wall part runs on batteries',
  'self-charging': 'what it draws through an idle call, or a common',
  battery: 'batteries'
};

export const RAIL_WORDS: Readonly<Record<DeviceFacts['rails'], string>> = {
  'one-r': 'one R',
  'link-removable': 'RH and RC, the link comes out',
  'link-to-be-cut': 'RH and RC, the link must be cut',
  'joined-inside': 'RH and RC, joined inside'
};

export const ADAPTER_WORDS: Readonly<Record<DeviceFacts['adapters'], string>> = {
  any: 'takes adapters and splitters',
  own: 'takes only the one in its box',
  none: 'takes none',
  unknown: 'not said'
};

export const CHARGES_WORDS: Readonly<Record<DeviceFacts['chargesThrough'], string>> = {
  any: 'allowed by its sheet',
  none: 'not allowed by its sheet',
  unknown: 'not said'
};

export const OUTPUT_WORDS: Readonly<Record<DeviceFacts['accessoryOutputs'], string>> = {
  none: 'no output',
  powered: 'outputs powered from R',
  dry: 'dry contacts',
  unknown: 'not said'
};

/** A match's verdict: a device fits or it does not. */
export const FIT_WORDS: Readonly<Record<Verdict, string>> = {
  go: 'Fits',
  care: 'Fits, with care',
  pro: 'Licensed person',
  no: 'Does not fit'
};
