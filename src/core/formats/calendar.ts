/**
 * What is put off as a calendar file (iCalendar, RFC 5545): a whole day with an alarm that morning. The id of an entry stays the same however
 * often it is exported, and its sequence grows when the day is moved: a calendar changes its entry and makes no second one.
 */
import { createEvents, type EventAttributes } from 'ics';
import type { Due } from '../handover/due';

/** Hour of the morning at which it is brought to mind. */
const ALARM_HOUR = 9;

/** `now`: ISO time of the export. Null where there is nothing due. */
export function writeCalendar(due: readonly Due[], now: string): string | null {
  if (due.length === 0) return null;
  const { value, error } = createEvents(due.map((entry) => eventOf(entry, now)));
  if (error || value === undefined)
    throw new Error(`A calendar of ${due.length} entries was not made: ${error?.message ?? ''}`);
  return value;
}

function eventOf(
  { id, what, jobName, place, thermostatName, until, moved }: Due,
  now: string
): EventAttributes {
  const [year = 0, month = 0, day = 0] = until.split('-').map(Number);
  return {
    uid: `${id}@ulterum`,
    sequence: moved,
    productId: 'ulterum',
    title: `${what}: ${thermostatName}, ${jobName}`,
    description:
      'Put off when the thermostat was fitted. Read the outdoor temperature first: cooling is not tested below 16 °C (60 °F).',
    location: place === '' ? jobName : place,
    start: [year, month, day],
    duration: { days: 1 },
    created: Date.parse(now),
    lastModified: Date.parse(now),
    alarms: [
      { action: 'display', description: what, trigger: { hours: ALARM_HOUR, minutes: 0, before: false } }
    ]
  };
}
