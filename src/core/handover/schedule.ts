/** A schedule from the habits of the survey: a proposal, as rows that any thermostat can be given. */
import type { Habits } from '../job/survey-schema';
import { shownText } from '../trade/units';

export interface ScheduleRow {
  readonly days: 'every' | 'weekdays' | 'weekends';
  /** Hour of the day, 0 to 23, and what it is set to from then on, °C. */
  readonly at: number;
  readonly toC: number;
}

const DAYS: Readonly<Record<ScheduleRow['days'], string>> = {
  every: 'Every day',
  weekdays: 'Weekdays',
  weekends: 'Weekends'
};

/** Null where nobody has said when somebody is home: a schedule is not guessed. */
export function scheduleOf(habits: Habits): readonly ScheduleRow[] | null {
  if (habits.home === 'unknown') return null;
  const { comfortC, nightFrom, nightTo, awayFrom, awayTo } = habits;
  const low = Math.min(comfortC, habits.setbackC);
  const night = habits.night === 'set-back' && low < comfortC;
  const away = habits.home === 'away-by-day' && low < comfortC;
  const nights = (days: ScheduleRow['days']): ScheduleRow[] =>
    night
      ? [
          { days, at: nightTo, toC: comfortC },
          { days, at: nightFrom, toC: low }
        ]
      : [];
  if (!away) return night ? sorted(nights('every')) : [{ days: 'every', at: 0, toC: comfortC }];
  const gone: ScheduleRow[] = [
    { days: 'weekdays', at: awayFrom, toC: low },
    { days: 'weekdays', at: awayTo, toC: comfortC }
  ];
  const weekend = night ? nights('weekends') : [{ days: 'weekends' as const, at: 0, toC: comfortC }];
  return [...sorted([...nights('weekdays'), ...gone]), ...sorted(weekend)];
}

function sorted(rows: readonly ScheduleRow[]): ScheduleRow[] {
  return [...rows].sort((first, second) => first.at - second.at);
}

/** `Weekdays 6:00 20 °C, 8:00 16 °C; weekends …` in the job's scale. */
export function scheduleText(rows: readonly ScheduleRow[], temperature: 'C' | 'F'): string {
  const days = [...new Set(rows.map((row) => row.days))];
  return days
    .map((day) => {
      const steps = rows
        .filter((row) => row.days === day)
        .map(({ at, toC }) => `${at}:00 ${shownText(toC, 'temperature', { length: 'm', temperature }, 0)}`);
      return `${DAYS[day]} ${steps.join(', ')}`;
    })
    .join('; ');
}
