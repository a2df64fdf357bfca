/** A machine: its plate, its breaker, what hangs on it. */
import { Accessory, Equipment, type MachineKind } from '../job/schema';
import { questionsAbout, YES_NO_WORDS, type Question } from './question';

const machine = questionsAbout(Equipment);
const accessory = questionsAbout(Accessory);

export const MACHINE_KIND_WORDS: Readonly<Record<MachineKind, string>> = {
  unknown: 'not known',
  furnace: 'furnace',
  'air-handler': 'air handler',
  boiler: 'boiler',
  'room-heater': 'heater in the room',
  'zone-panel': 'panel of zone valves, or not known which',
  'zone-pump-panel': 'panel of zone pumps',
  'old-adapter': 'adapter of the old thermostat, in line',
  'three-wire-valve': 'zone valve with three wires (one opens, one closes)',
  'hydro-air': 'air handler heated by a boiler’s water',
  'fan-coil': 'steam or water with a fan',
  'oil-with-fan-centre': 'oil burner with T1 T2, and a fan centre beside it',
  'electric-heat-relay': 'electric heat on a 24 V relay',
  'outdoor-unit': 'outdoor unit',
  other: 'something else'
};

export const ACCESSORY_WORDS: Readonly<Record<Accessory['kind'], string>> = {
  humidifier: 'humidifier',
  dehumidifier: 'dehumidifier',
  ventilator: 'ventilator',
  'condensate-pump': 'condensate pump',
  lamp: 'fault lamp'
};

const FINDS_AGAIN = 'So that the next person finds it.';

export const MACHINE_QUESTIONS = {
  kind: machine.choice('kind', {
    label: 'Kind',
    ask: 'What kind of machine is it?',
    why: 'It decides what the wires do.',
    words: MACHINE_KIND_WORDS
  }),
  fuel: machine.choice('fuel', {
    label: 'Fuel',
    ask: 'What does it burn?',
    why: 'It decides who starts the blower, and which cautions apply.',
    words: {
      unknown: 'not known',
      gas: 'gas',
      oil: 'oil',
      propane: 'propane',
      electricity: 'electricity',
      wood: 'wood',
      none: 'none'
    }
  }),
  transformerVa: machine.number('transformerVa', {
    label: 'Transformer',
    ask: 'How strong is its transformer?',
    why: 'It has to feed the new thermostat as well.',
    help: 'VA on its label; 40 VA is common.',
    unit: 'VA',
    digits: 0
  }),
  fuseAmps: machine.number('fuseAmps', {
    label: 'Fuse on the board',
    ask: 'Is there a small fuse on the board?',
    why: 'It decides what a slip would cost.',
    help: 'A coloured blade fuse, as in a car: 3 (violet) or 5 (tan).',
    unit: 'A'
  }),
  heatStages: machine.number('heatStages', {
    label: 'Heat stages',
    ask: 'How many stages of heat does it have?',
    why: 'A thermostat with fewer cannot use them all.',
    whole: true
  }),
  coolStages: machine.number('coolStages', {
    label: 'Compressor stages',
    ask: 'How many stages does its compressor have?',
    why: 'A thermostat with fewer cannot use them all.',
    whole: true
  }),
  behindSwitch: machine.choice('behindSwitch', {
    label: 'The burner’s switch cuts its transformer too',
    ask: 'Does the burner’s switch cut its 24 V transformer too?',
    why: 'A C wire behind that switch goes dead with it.',
    words: YES_NO_WORDS
  }),
  name: machine.text('name', {
    label: 'Called here',
    ask: 'What do you call it?',
    why: 'The steps name it so.'
  }),
  place: machine.text('place', {
    label: 'Stands',
    ask: 'Where does it stand?',
    why: 'The steps are put together by place.',
    placeholder: 'cellar, attic, closet'
  }),
  breaker: machine.text('breaker', {
    label: 'Breaker',
    ask: 'Which breaker switches it off?',
    why: 'It is switched off before anything is touched.',
    placeholder: 'as the panel names it'
  }),
  serviceSwitch: machine.text('serviceSwitch', {
    label: 'Service switch',
    ask: 'Where is its service switch?',
    why: 'It is nearer than the breaker.',
    placeholder: 'where it is'
  }),
  maker: machine.text('maker', { label: 'Maker', ask: 'Who made it?', why: FINDS_AGAIN }),
  model: machine.text('model', { label: 'Model', ask: 'Which model is it?', why: FINDS_AGAIN }),
  serial: machine.text('serial', { label: 'Serial', ask: 'What is its serial number?', why: FINDS_AGAIN })
} satisfies Readonly<Partial<Record<keyof Equipment, Question>>>;

export const ACCESSORY_QUESTIONS = {
  ownRelay: accessory.choice('ownRelay', {
    label: 'Needs a relay of its own',
    ask: 'Does it need a relay of its own?',
    why: 'A thermostat’s output may be too weak for it.',
    words: YES_NO_WORDS
  })
} satisfies Readonly<Partial<Record<keyof Accessory, Question>>>;
