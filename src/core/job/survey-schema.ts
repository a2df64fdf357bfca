/**
 * What is found out before anything is bought: the house and who lives in it, the signal and the wall at the thermostat, the path that a
 * new cable would take. Everything may stay unknown. Fields have defaults, so that a file without a survey still holds.
 */
import * as v from 'valibot';
import { HOME_SYSTEMS } from '../trade/home-systems';
import { listOf } from './limits';
import { positive, shortText, text, timeText, wholeNumber } from './primitives';

export const YesNo = v.picklist(['yes', 'no', 'unknown'], 'yes, no or unknown');
export type YesNo = v.InferOutput<typeof YesNo>;

const hour = wholeNumber(0, 23);
const celsius = v.pipe(
  v.number('a number'),
  v.minValue(-60, 'at least -60 °C'),
  v.maxValue(60, 'at most 60 °C')
);

/** Hours of a year without a leap day. */
export const YEAR_HOURS = 8760;

/** A year of outdoor temperatures that the user brought along, in tenths of a degree Celsius, hour by hour from 1 January. */
export const OwnWeather = v.strictObject({
  name: shortText,
  tenths: v.pipe(v.array(wholeNumber(-600, 600)), v.length(YEAR_HOURS, `${YEAR_HOURS} hourly values`))
});

export const BuildingFacts = v.strictObject({
  floorAreaM2: v.nullable(positive(5000)),
  ceilingM: v.nullable(positive(12)),
  storeys: v.nullable(wholeNumber(1, 6)),
  insulation: v.picklist(['poor', 'usual', 'good', 'unknown'], 'poor, usual, good or unknown'),
  draughts: v.picklist(['draughty', 'usual', 'tight', 'unknown'], 'draughty, usual, tight or unknown'),
  build: v.picklist(['light', 'medium', 'heavy', 'unknown'], 'light, medium, heavy or unknown'),
  /** What the heating gives at most, kW of heat. */
  heatingKw: v.nullable(positive(500)),
  /** Heat delivered for a unit of fuel or electricity: 0.8 for an old furnace, 3 for a heat pump. */
  efficiency: v.nullable(positive(8)),
  /** Price of a kWh of fuel or electricity, dollars. */
  pricePerKwh: v.nullable(positive(20)),
  /** Id of a place of the simulated weather service, or `own`. */
  weather: v.pipe(v.string(), v.regex(/^[a-z][a-z-]{0,40}$/, 'the id of a weather place, or own')),
  ownWeather: v.nullable(OwnWeather)
});
export type BuildingFacts = v.InferOutput<typeof BuildingFacts>;

export const Habits = v.strictObject({
  home: v.picklist(
    ['always', 'away-by-day', 'irregular', 'unknown'],
    'always, away-by-day, irregular or unknown'
  ),
  comfortC: celsius,
  setbackC: celsius,
  /** True when somebody already turns it down by hand or by clock. */
  setsBackToday: YesNo,
  night: v.picklist(['set-back', 'as-by-day'], 'set-back or as-by-day'),
  awayFrom: hour,
  awayTo: hour,
  nightFrom: hour,
  nightTo: hour
});
export type Habits = v.InferOutput<typeof Habits>;

export const HomeSystemId = v.picklist(HOME_SYSTEMS, `one of ${HOME_SYSTEMS.join(', ')}`);

export const Survey = v.strictObject({
  building: BuildingFacts,
  habits: Habits,
  /** The day on which the work is meant to be done, `YYYY-MM-DD`. */
  workDay: v.nullable(v.pipe(v.string(), v.isoDate('a day as YYYY-MM-DD'))),
  /** The indoor temperature that must not be gone below while the heating is off. */
  lowestC: celsius,
  oldOneWorks: YesNo,
  internet: v.picklist(['works', 'none', 'unknown'], 'works, none or unknown'),
  /** Somebody old, ill or very young lives there. */
  frail: YesNo,
  pipesCanFreeze: YesNo,
  /** What else in the home it has to work with. */
  worksWith: v.optional(v.pipe(v.array(HomeSystemId), v.maxLength(HOME_SYSTEMS.length, 'each once')), []),
  /** Rebate of the utility on the device, dollars. */
  rebate: v.nullable(v.pipe(v.number('a number'), v.minValue(0, 'at least 0'), v.maxValue(10000))),
  note: text
});
export type Survey = v.InferOutput<typeof Survey>;

export const EMPTY_SURVEY: Survey = {
  building: {
    floorAreaM2: null,
    ceilingM: null,
    storeys: null,
    insulation: 'unknown',
    draughts: 'unknown',
    build: 'unknown',
    heatingKw: null,
    efficiency: null,
    pricePerKwh: null,
    weather: 'harrowdale',
    ownWeather: null
  },
  habits: {
    home: 'unknown',
    comfortC: 20,
    setbackC: 16,
    setsBackToday: 'unknown',
    night: 'set-back',
    awayFrom: 8,
    awayTo: 16,
    nightFrom: 22,
    nightTo: 6
  },
  workDay: null,
  lowestC: 15,
  oldOneWorks: 'unknown',
  internet: 'unknown',
  frail: 'unknown',
  pipesCanFreeze: 'unknown',
  worksWith: [],
  rebate: null,
  note: ''
};

/** The strength of the radio signal at the wall, read once. */
export const SignalReading = v.strictObject({
  dbm: v.pipe(v.number('a number'), v.minValue(-120, 'at least -120 dBm'), v.maxValue(0, 'at most 0 dBm')),
  at: timeText,
  source: v.picklist(['typed', 'simulated'], 'typed or simulated')
});
export type SignalReading = v.InferOutput<typeof SignalReading>;

/** The wall round the old plate. Sizes in millimetres, width by height as it hangs. */
export const WallFace = v.strictObject({
  outlineWidthMm: v.nullable(positive(600)),
  outlineHeightMm: v.nullable(positive(600)),
  box: v.picklist(['none', 'upright', 'flat', 'round', 'unknown'], 'none, upright, flat, round or unknown'),
  holes: v.picklist(['none', 'screws', 'large', 'unknown'], 'none, screws, large or unknown'),
  paint: v.picklist(['same', 'other', 'unknown'], 'same, other or unknown'),
  /** What the old cover hides: stains, a gap, torn paper. */
  hides: shortText,
  finish: v.picklist(
    ['undecided', 'nothing', 'plate', 'patch', 'both'],
    'undecided, nothing, plate, patch or both'
  )
});
export type WallFace = v.InferOutput<typeof WallFace>;

export const EMPTY_WALL_FACE: WallFace = {
  outlineWidthMm: null,
  outlineHeightMm: null,
  box: 'unknown',
  holes: 'unknown',
  paint: 'unknown',
  hides: '',
  finish: 'undecided'
};

/** One stretch of the way that a new cable would take. */
export const Stretch = v.strictObject({
  name: shortText,
  lengthM: positive(300),
  held: v.picklist(['free', 'stapled', 'unknown'], 'free, stapled or unknown')
});
export type Stretch = v.InferOutput<typeof Stretch>;

export const CablePath = v.strictObject({
  stretches: listOf(Stretch, 'stretches'),
  /** Conductors wanted beyond those of today: for stages, sensors, what may come. */
  more: wholeNumber(0, 10)
});
export type CablePath = v.InferOutput<typeof CablePath>;
