/** The calendar file, read back by another reader than the one that wrote it. */
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import type { Due } from '../handover/due';
import { writeCalendar } from './calendar';

const due: Due = {
  id: 'job-1-th-1-cool1',
  job: 'job-1',
  jobName: 'Mill cottage; the one, by the weir',
  place: 'Weir Lane',
  thermostat: 'th-1',
  thermostatName: 'Parlour',
  call: 'cool1',
  what: 'Test cooling',
  until: '2027-05-03',
  moved: 0
};
const NOW = '2026-10-15T12:00:00.000Z';
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents('vevent')
    .map((part) => ({ part, event: new ICAL.Event(part) }));

describe('a calendar file', () => {
  it('has a whole day for each test that is put off, with an alarm that morning', () => {
    const [entry] = read(writeCalendar([due], NOW)!);
    expect(entry!.event.summary).toBe('Test cooling: Parlour, Mill cottage; the one, by the weir');
    expect(entry!.event.startDate.toString()).toBe('2027-05-03');
    expect(entry!.event.startDate.isDate).toBe(true);
    expect(entry!.event.location).toBe('Weir Lane');
    const [alarm] = entry!.part.getAllSubcomponents('valarm');
    expect(alarm?.getFirstPropertyValue('action')).toBe('DISPLAY');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('PT9H');
  });

  it('changes an entry that was exported before, and makes no second one', () => {
    const [first] = read(writeCalendar([due], NOW)!);
    const [second] = read(
      writeCalendar([{ ...due, until: '2027-05-20', moved: 1 }], '2027-04-01T08:00:00.000Z')!
    );
    expect(second!.event.uid).toBe(first!.event.uid);
    expect(second!.event.sequence).toBeGreaterThan(first!.event.sequence);
    expect(second!.event.startDate.toString()).toBe('2027-05-20');
  });

  it('keeps two tests apart, and is none where nothing is due', () => {
    const all = read(
      writeCalendar([due, { ...due, id: 'job-1-th-1-aux', what: 'Test auxiliary heat' }], NOW)!
    );
    expect(new Set(all.map(({ event }) => event.uid)).size).toBe(2);
    expect(writeCalendar([], NOW)).toBeNull();
  });
});
