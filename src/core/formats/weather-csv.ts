/**
 * A year of outdoor temperatures as CSV, in: one line for each hour from 1 January, 8760 of them (8784 with a leap day, of which 29 February
 * is left out), with a header that holds a column `temperature_c` or `temperature_f`. Every fault names its line.
 */
import { YEAR_HOURS, type OwnWeather } from '../job/survey-schema';
import type * as v from 'valibot';
import type { Fault } from '../job/faults';
import { readCsv } from './csv-table';

export type WeatherRead =
  | { readonly ok: true; readonly weather: v.InferOutput<typeof OwnWeather> }
  | { readonly ok: false; readonly faults: readonly Fault[] };

const LEAP_HOURS = YEAR_HOURS + 24;
const LEAP_DAY_START = 59 * 24;
const MOST_FAULTS = 12;

export function readWeather(text: string, name: string): WeatherRead {
  const { fields, doubled, rows } = readCsv(text);
  const column = ['temperature_c', 'temperature_f'].find((candidate) => fields.includes(candidate));
  if (!column)
    return bad('line 1', 'a column temperature_c or temperature_f', fields.join(', ') || 'an empty file');
  if (doubled.includes(column)) return bad('line 1', `the column ${column} once`, 'it twice');
  if (rows.length !== YEAR_HOURS && rows.length !== LEAP_HOURS)
    return bad('the file', `${YEAR_HOURS} or ${LEAP_HOURS} hourly lines`, `${rows.length} lines`);
  const faults: Fault[] = [];
  const tenths = rows.map((row, index) => {
    const cell = (row[column] ?? '').trim();
    const value = column.endsWith('f') ? ((Number(cell) - 32) * 5) / 9 : Number(cell);
    if (cell === '' || !Number.isFinite(value) || Math.abs(value) > 60)
      faults.push({
        path: `line ${index + 2}, column ${column}`,
        expected: 'a temperature between -60 and 60 °C',
        found: cell === '' ? 'nothing' : `"${cell}"`
      });
    return Math.round(value * 10);
  });
  if (faults.length > 0) return { ok: false, faults: faults.slice(0, MOST_FAULTS) };
  const year =
    tenths.length === LEAP_HOURS
      ? [...tenths.slice(0, LEAP_DAY_START), ...tenths.slice(LEAP_DAY_START + 24)]
      : tenths;
  return { ok: true, weather: { name: name.slice(0, 120), tenths: year } };
}

function bad(path: string, expected: string, found: string): WeatherRead {
  return { ok: false, faults: [{ path, expected, found }] };
}
