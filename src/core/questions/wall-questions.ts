/** The wall round the old plate, the cables in it and their wires. */
import { Cable, Conductor, Thermostat } from '../job/schema';
import { CablePath, WallFace } from '../job/survey-schema';
import { GAUGES } from '../trade/cable';
import { COLOUR_CODES, COLOURS } from '../trade/colours';
import { questionsAbout, YES_NO_WORDS, type Question } from './question';

const face = questionsAbout(WallFace);
const path = questionsAbout(CablePath);
const cable = questionsAbout(Cable);
const wire = questionsAbout(Conductor);
const thermostat = questionsAbout(Thermostat);

const MARK = 'A smaller new plate leaves it in sight.';

export const WALL_QUESTIONS = {
  outlineWidthMm: face.number('outlineWidthMm', {
    label: 'Old mark, width',
    ask: 'How wide is the old thermostat’s mark on the wall?',
    why: MARK,
    quantity: 'small-length',
    digits: 0
  }),
  outlineHeightMm: face.number('outlineHeightMm', {
    label: 'Old mark, height',
    ask: 'How high is that mark?',
    why: MARK,
    quantity: 'small-length',
    digits: 0
  }),
  box: face.choice('box', {
    label: 'Box in the wall',
    ask: 'Is there a box in the wall behind it?',
    why: 'A plate needs something to be screwed to; a box may also mean mains.',
    words: { unknown: 'not known', none: 'none', upright: 'upright', flat: 'lying', round: 'round' }
  }),
  holes: face.choice('holes', {
    label: 'Holes',
    ask: 'Which holes will be seen?',
    why: 'They are filled, or covered.',
    words: { unknown: 'not known', none: 'none', screws: 'of screws', large: 'a large one' }
  }),
  paint: face.choice('paint', {
    label: 'Paint under the old plate',
    ask: 'Is the paint under the old plate another?',
    why: 'It decides between paint and a cover plate.',
    words: { unknown: 'not known', same: 'the same', other: 'another' }
  }),
  hides: face.text('hides', {
    label: 'What the cover hides',
    ask: 'What else does the old cover hide?',
    why: 'Stains, a gap, torn paper.',
    placeholder: 'nothing'
  }),
  finish: face.choice('finish', {
    label: 'What is done with it',
    ask: 'What do you want to do with the wall?',
    why: 'Paint and filler need hours to dry, with the heating off.',
    words: {
      undecided: 'not decided',
      nothing: 'nothing',
      plate: 'a cover plate',
      patch: 'patch and paint',
      both: 'patch, then a cover plate'
    }
  })
} satisfies Readonly<Record<keyof WallFace, Question>>;

export const OLD_THERMOSTAT_QUESTIONS = {
  oldSupply: thermostat.choice('oldSupply', {
    label: 'What powers the old one',
    why: 'A working C wire is proof of itself.',
    words: { unknown: 'not known', none: 'nothing', battery: 'batteries', common: 'its C wire' }
  }),
  outlet: thermostat.choice('outlet', {
    label: 'An outlet near the plate',
    why: 'A plug-in transformer needs one that is always on.',
    words: { unknown: 'not known', near: 'yes, always on', none: 'none' }
  }),
  mercury: thermostat.choice('mercury', {
    label: 'Does it hold a glass bulb with silvery liquid (mercury)?',
    why: 'Mercury is poisonous: it goes to a collection point whole, not into the bin.',
    words: YES_NO_WORDS
  })
} satisfies Readonly<Partial<Record<keyof Thermostat, Question>>>;

export const PATH_QUESTIONS = {
  more: path.number('more', {
    label: 'More wires than today',
    ask: 'How many more wires than today should it have?',
    why: 'For stages, sensors, what may come: a spare wire costs nothing now.',
    whole: true,
    optional: false
  })
} satisfies Readonly<Partial<Record<keyof CablePath, Question>>>;

export const CABLE_QUESTIONS = {
  name: cable.text('name', { label: 'What it looks like', placeholder: 'brown cable' }),
  gauge: {
    ...cable.number('gauge', {
      label: 'Gauge',
      why: 'Thin wires lose volts on a long way.',
      help: 'Printed on the sheath: 18/5 means 18 AWG, five wires.'
    }),
    answer: {
      kind: 'choice',
      holds: 'number',
      choices: [['', 'not read'], ...GAUGES.map((gauge) => [String(gauge), `${gauge} AWG`] as const)]
    }
  },
  lengthM: cable.number('lengthM', {
    label: 'Length, one way',
    why: 'A long way loses volts.',
    help: 'The way along walls and floors, not as the crow flies.',
    quantity: 'length'
  }),
  path: cable.choice('path', {
    label: 'In the wall it is',
    why: 'A free cable can pull a new one through.',
    words: { unknown: 'not known', free: 'free: it moves when pulled gently', stapled: 'stapled' }
  }),
  insulation: cable.choice('insulation', {
    label: 'Its insulation, when a wire is bent',
    why: 'Brittle wires break when they are moved.',
    words: { unknown: 'not looked at', sound: 'stays whole', brittle: 'cracks or crumbles (brittle)' }
  })
} satisfies Readonly<Partial<Record<keyof Cable, Question>>>;

const colourChoices = (none: string) => [
  ['', none] as const,
  ...COLOUR_CODES.map((code) => [code, `${code} ${COLOURS[code].name}`] as const)
];

export const WIRE_QUESTIONS = {
  label: wire.text('label', { label: 'Own label (tape, number)' }),
  stripe: {
    ...wire.text('stripe', { label: 'Stripe' }),
    answer: { kind: 'choice', holds: 'text', choices: colourChoices('no stripe') }
  },
  position: wire.number('position', {
    label: 'Position in the sheath (tells two of one colour apart)',
    whole: true
  }),
  continuity: wire.choice('continuity', {
    label: 'Measured from end to end, power off',
    why: 'Proves that both ends are one wire.',
    words: {
      untested: 'not measured',
      proven: 'proven: one and the same at both ends',
      broken: 'open: broken on the way'
    }
  })
} satisfies Readonly<Partial<Record<keyof Conductor, Question>>>;

export const SPLICE_COLOURS = colourChoices('not seen');
