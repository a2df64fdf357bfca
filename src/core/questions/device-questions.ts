/** The facts of a thermostat, as its sheet has them. */
import { DeviceFacts } from '../job/device-facts';
import { HOME_SYSTEM_NAMES } from '../trade/home-systems';
import { questionsAbout, type Question } from './question';

const device = questionsAbout(DeviceFacts);

export const SUPPLY_WORDS: Readonly<Record<DeviceFacts['supply'], string>> = {
  'common-required': 'a C wire, always',
  'common-or-battery': 'a C wire, or batteries with the radio asleep',
  'paired-receiver': 'a receiver at the equipment; the wall part runs on batteries',
  'self-charging': 'what it draws through an idle call, or a C wire',
  battery: 'batteries'
};

export const RAIL_WORDS: Readonly<Record<DeviceFacts['rails'], string>> = {
  'one-r': 'one R',
  'link-removable': 'RH and RC, the jumper comes out',
  'link-to-be-cut': 'RH and RC, the jumper must be cut',
  'joined-inside': 'RH and RC, joined inside'
};

export const ADAPTER_WORDS: Readonly<Record<DeviceFacts['adapters'], string>> = {
  unknown: 'not said',
  any: 'takes adapters and splitters',
  own: 'takes only the one in its box',
  none: 'takes none'
};

export const CHARGES_WORDS: Readonly<Record<DeviceFacts['chargesThrough'], string>> = {
  unknown: 'not said',
  any: 'allowed by its sheet',
  none: 'not allowed by its sheet'
};

export const OUTPUT_WORDS: Readonly<Record<DeviceFacts['accessoryOutputs'], string>> = {
  unknown: 'not said',
  none: 'no output',
  powered: 'outputs powered from R',
  dry: 'dry contacts'
};

/** In the order of a sheet; terminals are touched, not typed. */
export const DEVICE_QUESTIONS = {
  maker: device.text('maker', { label: 'Maker' }),
  model: device.text('model', { label: 'Model' }),
  supply: device.choice('supply', {
    label: 'Powered by',
    why: 'It decides which ways can feed it.',
    help: 'Look in its sheet for "C wire", "common" or "batteries".',
    words: SUPPLY_WORDS
  }),
  rails: device.choice('rails', {
    label: 'Hot side',
    why: 'Two supplies must not be joined.',
    help: 'Look for terminals marked R, RH and RC.',
    words: RAIL_WORDS
  }),
  electronicsFrom: device.text('electronicsFrom', { label: 'Electronics run from' }),
  heatStages: device.number('heatStages', { label: 'Heat stages', whole: true, optional: false }),
  coolStages: device.number('coolStages', { label: 'Cooling stages', whole: true, optional: false }),
  heatPump: device.yesOrNo('heatPump', { label: 'Drives a heat pump' }),
  voltsMin: device.number('voltsMin', { label: 'Lowest voltage', unit: 'V', optional: false }),
  voltsMax: device.number('voltsMax', { label: 'Highest voltage', unit: 'V', optional: false }),
  drawVa: device.number('drawVa', { label: 'Draw', unit: 'VA', optional: false }),
  plateWidthMm: device.number('plateWidthMm', {
    label: 'Plate width',
    quantity: 'small-length',
    optional: false
  }),
  plateHeightMm: device.number('plateHeightMm', {
    label: 'Plate height',
    quantity: 'small-length',
    optional: false
  }),
  price: device.number('price', { label: 'Price', unit: 'money', digits: 2 }),
  wifiBands: device.text('wifiBands', { label: 'Network bands', placeholder: '2.4 GHz' }),
  worksWith: device.several('worksWith', { label: 'Works with, by its sheet', words: HOME_SYSTEM_NAMES }),
  adapters: device.choice('adapters', { label: 'Adapters', words: ADAPTER_WORDS }),
  chargesThrough: device.choice('chargesThrough', {
    label: 'Without a C wire, if it charges itself',
    words: CHARGES_WORDS
  }),
  accessoryOutputs: device.choice('accessoryOutputs', { label: 'Accessories', words: OUTPUT_WORDS }),
  setUp: device.text('setUp', {
    label: 'Where it is set up',
    placeholder: 'codes or menu names for the kind of system'
  }),
  note: device.text('note', { label: 'Note' })
} satisfies Readonly<Record<Exclude<keyof DeviceFacts, 'id' | 'marks' | 'setUpMenu'>, Question>>;
