/** The house, who lives in it, and the day of the work. */
import { WEATHER_PLACES } from '../house/weather';
import { BuildingFacts, Habits, Survey } from '../job/survey-schema';
import { HOME_SYSTEM_NAMES } from '../trade/home-systems';
import { questionsAbout, YES_NO_WORDS, type Question } from './question';

const building = questionsAbout(BuildingFacts);
const habits = questionsAbout(Habits);
const survey = questionsAbout(Survey);

const COOLS = 'How fast the house cools decides how long the work may take.';
const SAVES = 'It decides what turning down saves.';

export const BUILDING_QUESTIONS = {
  floorAreaM2: building.number('floorAreaM2', {
    label: 'Heated floor',
    ask: 'How large is the heated floor?',
    why: COOLS,
    help: 'All heated rooms of all storeys together. A rough figure is good enough.',
    quantity: 'area',
    digits: 0
  }),
  storeys: building.number('storeys', {
    label: 'Storeys',
    ask: 'How many heated storeys are there?',
    why: COOLS,
    whole: true
  }),
  ceilingM: building.number('ceilingM', {
    label: 'Ceiling height',
    ask: 'How high are the ceilings?',
    why: COOLS,
    quantity: 'length'
  }),
  insulation: building.choice('insulation', {
    label: 'Walls and roof',
    ask: 'How well are walls and roof insulated?',
    why: COOLS,
    words: { unknown: 'not known', poor: 'little or none', usual: 'as usual', good: 'well insulated' }
  }),
  draughts: building.choice('draughts', {
    label: 'Draughts',
    ask: 'Is it draughty?',
    why: COOLS,
    help: 'Hold a wet hand near windows and doors on a windy day.',
    words: { unknown: 'not known', draughty: 'draughty', usual: 'as usual', tight: 'tight' }
  }),
  build: building.choice('build', {
    label: 'Built',
    ask: 'What is the house built of?',
    why: COOLS,
    words: { unknown: 'not known', light: 'wood and board', medium: 'mixed', heavy: 'stone or brick' }
  }),
  heatingKw: building.number('heatingKw', {
    label: 'Heating gives',
    ask: 'How much heat does the machine give at most?',
    why: 'It decides how long the house takes to get warm again.',
    help: 'Output on its plate. 10,000 BTU an hour are 2.9 kW.',
    unit: 'kW'
  }),
  efficiency: building.number('efficiency', {
    label: 'Heat for each unit paid',
    ask: 'How much heat comes out for each unit you pay for?',
    why: SAVES,
    help: '0.8 for an older furnace, 0.95 for one that condenses, about 3 for a heat pump.',
    digits: 2
  }),
  pricePerKwh: building.number('pricePerKwh', {
    label: 'Price of a kWh',
    ask: 'What does a kWh cost?',
    why: SAVES,
    help: 'On the bill. A therm is 29.3 kWh; a gallon of oil about 40.',
    unit: 'money',
    digits: 3
  }),
  weather: building.choice('weather', {
    label: 'Weather like (simulated)',
    ask: 'Which weather is most like yours?',
    why: 'Cold days decide when the work can be done.',
    help: 'These places and their weather are made up by a formula. You can bring a year of your own.',
    words: Object.fromEntries(WEATHER_PLACES.map(({ id, name }) => [id, name])) as Record<string, string>
  })
} satisfies Readonly<Record<Exclude<keyof BuildingFacts, 'ownWeather'>, Question>>;

const HOURS = Array.from(
  { length: 24 },
  (_, hour) => [String(hour), `${String(hour).padStart(2, '0')}:00`] as const
);
/** An hour of the day is chosen, not typed. */
const hourQuestion = (field: 'awayFrom' | 'awayTo' | 'nightFrom' | 'nightTo', label: string): Question => ({
  ...habits.number(field, { label, why: SAVES, whole: true, optional: false }),
  answer: { kind: 'choice', choices: HOURS, holds: 'number' }
});

export const HABIT_QUESTIONS = {
  home: habits.choice('home', {
    label: 'Somebody is home',
    ask: 'When is somebody home?',
    why: `${SAVES} Where somebody is always home, it may not pay at all.`,
    words: {
      unknown: 'not known',
      always: 'always',
      'away-by-day': 'not on weekdays by day',
      irregular: 'it changes'
    }
  }),
  night: habits.choice('night', {
    label: 'At night',
    ask: 'May it be cooler at night?',
    why: SAVES,
    words: { 'set-back': 'cooler', 'as-by-day': 'as by day' }
  }),
  setsBackToday: habits.choice('setsBackToday', {
    label: 'Turned down today already',
    ask: 'Does somebody turn it down already, by hand or by clock?',
    why: 'What is saved already cannot be saved again.',
    words: YES_NO_WORDS
  }),
  comfortC: habits.number('comfortC', {
    label: 'Comfortable',
    ask: 'How warm is comfortable?',
    why: SAVES,
    quantity: 'temperature',
    optional: false
  }),
  setbackC: habits.number('setbackC', {
    label: 'Set back to',
    ask: 'How cool may it get while nobody is there?',
    why: SAVES,
    quantity: 'temperature',
    optional: false
  }),
  awayFrom: hourQuestion('awayFrom', 'Away from'),
  awayTo: hourQuestion('awayTo', 'Back at'),
  nightFrom: hourQuestion('nightFrom', 'Night from'),
  nightTo: hourQuestion('nightTo', 'Morning at')
} satisfies Readonly<Record<keyof Habits, Question>>;

export const SURVEY_QUESTIONS = {
  oldOneWorks: survey.choice('oldOneWorks', {
    label: 'The old system works',
    ask: 'Does heating (and cooling) work today?',
    why: 'A new thermostat does not mend a machine. What is broken is mended first.',
    help: 'Turn the old thermostat up by a few degrees and wait five minutes.',
    words: YES_NO_WORDS
  }),
  internet: survey.choice('internet', {
    label: 'Internet in the house',
    ask: 'Does the internet work in the house?',
    why: 'Without it a connected thermostat is an ordinary one.',
    words: { unknown: 'not known', works: 'works', none: 'none' }
  }),
  frail: survey.choice('frail', {
    label: 'Somebody old, ill or very young',
    ask: 'Does somebody old, ill or very young live there?',
    why: 'They should not sit in a house without heat while the work is done.',
    words: YES_NO_WORDS
  }),
  pipesCanFreeze: survey.choice('pipesCanFreeze', {
    label: 'Pipes that can freeze',
    ask: 'Are there pipes that can freeze?',
    why: 'With the heating off they may not wait long.',
    words: YES_NO_WORDS
  }),
  lowestC: survey.number('lowestC', {
    label: 'Not below',
    ask: 'How cold may it get inside during the work?',
    why: 'The hours until then are the time that the work has.',
    quantity: 'temperature',
    optional: false
  }),
  workDay: survey.day('workDay', {
    label: 'Day of the work',
    ask: 'On which day do you want to do it?',
    why: 'That day’s weather decides whether there is time enough, and whether cooling can be tested.'
  }),
  worksWith: survey.several('worksWith', {
    label: 'It has to work with',
    ask: 'Which home system does it have to work with?',
    why: 'Thermostats whose sheet does not name it are marked.',
    words: HOME_SYSTEM_NAMES
  }),
  rebate: survey.number('rebate', {
    label: 'Rebate',
    ask: 'Does your utility pay part of the thermostat?',
    why: 'It comes off the price.',
    help: 'Ask before you buy: some pay for certain models only.',
    unit: 'money',
    digits: 0
  })
} satisfies Readonly<Record<Exclude<keyof Survey, 'building' | 'habits' | 'note'>, Question>>;
