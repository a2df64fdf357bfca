/**
 * The simulated weather service: an hourly year of outdoor temperature for invented places, made by a formula and no measurement.
 *
 *   T(h) = mean − yearly·cos(2π (h − coldest) / 8760) + daily·cos(2π (hour of day − 15) / 24) + Σ swing·sin(2π h / period + phase)
 *
 * The last sum stands for passing weather: four swings with periods of days that have no common multiple. The same place always has the
 * same year. Temperatures in °C; hour 0 is the first hour of 1 January of a year without a leap day.
 */
import { YEAR_HOURS, type BuildingFacts } from '../job/survey-schema';

export interface WeatherPlace {
  readonly id: string;
  readonly name: string;
  /** Yearly mean, and how far summer and winter, day and night lie from it. */
  readonly meanC: number;
  readonly yearlyC: number;
  readonly dailyC: number;
  /** Size of the passing weather. */
  readonly swingC: number;
  readonly phase: number;
}

export const WEATHER_PLACES: readonly WeatherPlace[] = [
  {
    id: 'harrowdale',
    name: 'Harrowdale (cold winters, warm summers)',
    meanC: 9.5,
    yearlyC: 11.5,
    dailyC: 4,
    swingC: 3,
    phase: 0.3
  },
  {
    id: 'saltmere',
    name: 'Saltmere (mild coast)',
    meanC: 11,
    yearlyC: 6,
    dailyC: 2.5,
    swingC: 2,
    phase: 1.1
  },
  {
    id: 'colderbrook',
    name: 'Colderbrook (long hard winters)',
    meanC: 3.5,
    yearlyC: 16,
    dailyC: 4.5,
    swingC: 4,
    phase: 2.2
  },
  {
    id: 'duneford',
    name: 'Duneford (hot and dry)',
    meanC: 20,
    yearlyC: 10,
    dailyC: 7,
    swingC: 2.5,
    phase: 0.8
  }
];

const COLDEST_HOUR = 20 * 24;
const WARMEST_HOUR_OF_DAY = 15;
const SWINGS = [
  { hours: 61, share: 0.35 },
  { hours: 97, share: 0.45 },
  { hours: 173, share: 0.55 },
  { hours: 311, share: 0.5 }
] as const;

const years = new WeakMap<WeatherPlace, Float64Array>();

/** The year of a place, °C per hour; made once, and not to be written to. */
export function yearOf(place: WeatherPlace): Float64Array {
  let year = years.get(place);
  if (!year) years.set(place, (year = madeYear(place)));
  return year;
}

function madeYear(place: WeatherPlace): Float64Array {
  return Float64Array.from({ length: YEAR_HOURS }, (_, hour) => {
    const season = -place.yearlyC * Math.cos((2 * Math.PI * (hour - COLDEST_HOUR)) / YEAR_HOURS);
    const day = place.dailyC * Math.cos((2 * Math.PI * ((hour % 24) - WARMEST_HOUR_OF_DAY)) / 24);
    const passing = SWINGS.reduce(
      (sum, swing, index) =>
        sum + swing.share * Math.sin((2 * Math.PI * hour) / swing.hours + place.phase * (index + 1)),
      0
    );
    return place.meanC + season + day + place.swingC * passing;
  });
}

export function findPlace(id: string): WeatherPlace | undefined {
  return WEATHER_PLACES.find((place) => place.id === id);
}

export interface Weather {
  readonly name: string;
  readonly simulated: boolean;
  readonly hourly: Float64Array;
}

/** The weather that the facts name: the user's own year, or a simulated place (the first one where the name is not known). */
export function weatherOf(facts: Pick<BuildingFacts, 'weather' | 'ownWeather'>): Weather {
  if (facts.weather === 'own' && facts.ownWeather)
    return {
      name: facts.ownWeather.name,
      simulated: false,
      hourly: Float64Array.from(facts.ownWeather.tenths, (tenth) => tenth / 10)
    };
  const place = findPlace(facts.weather) ?? WEATHER_PLACES[0]!;
  return { name: place.name, simulated: true, hourly: yearOf(place) };
}

/** The hour of the year at which a day begins. `day` is `YYYY-MM-DD`; 29 February counts as 1 March. */
export function hourOfDay(day: string): number {
  const month = Number(day.slice(5, 7));
  const date = Number(day.slice(8, 10));
  const before = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334][month - 1] ?? 0;
  return Math.min(364, before + date - 1) * 24;
}

/** Month and day of an hour of the year, as `MM-DD`. */
export function dayAt(hour: number): string {
  const day = Math.floor((((hour % YEAR_HOURS) + YEAR_HOURS) % YEAR_HOURS) / 24);
  const lengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  let left = day;
  let month = 0;
  while (left >= (lengths[month] ?? 31)) {
    left -= lengths[month] ?? 31;
    month += 1;
  }
  return `${String(month + 1).padStart(2, '0')}-${String(left + 1).padStart(2, '0')}`;
}

/** The hour at which the coldest `hours` of the year begin, by their mean. */
export function coldestStart(hourly: Float64Array, hours = 24): number {
  let sum = 0;
  for (let hour = 0; hour < hours; hour += 1) sum += hourly[hour] ?? 0;
  let best = sum;
  let at = 0;
  for (let start = 1; start < hourly.length; start += 1) {
    sum += (hourly[(start + hours - 1) % hourly.length] ?? 0) - (hourly[start - 1] ?? 0);
    if (sum < best) {
      best = sum;
      at = start;
    }
  }
  return at;
}
