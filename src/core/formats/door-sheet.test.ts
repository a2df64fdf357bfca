/** The sheets on paper: everything that the next person needs, within the page, on A4, on Letter and on a card. */
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { millCottage } from '../../demo/mill-cottage';
import { asBuilt, type AsBuilt } from '../handover/as-built';
import { planFor } from '../plan/plan';
import { writeAsBuiltCsv } from './as-built-csv';
import { codeSvg, doorSheet, wallCard } from './door-sheet';
import { labelsAsBuilt } from './labels';
import { writeLeftCodes } from './left-code';
import { Paper, PAPERS, wrap } from './paper';

const job = millCottage();
const [place] = job.thermostats;
const built: AsBuilt = {
  ...asBuilt(job, place!, planFor(job, place!)),
  settings: [
    { setting: 'kind', value: 'air', at: '2026-10-03T12:00:00.000Z' },
    { setting: 'schedule', value: 'Weekdays 8:00 16 °C', at: '2026-10-03T12:00:00.000Z' }
  ],
  tests: [
    {
      call: 'heat1',
      at: '2026-10-03T12:10:00.000Z',
      result: 'good',
      why: '',
      until: null,
      began: null,
      ended: null,
      outdoorC: 9
    },
    {
      call: 'cool1',
      at: '2026-10-03T12:20:00.000Z',
      result: 'put-off',
      why: '',
      until: '2027-05-03',
      began: null,
      ended: null,
      outdoorC: 9
    }
  ]
};
const NOW = '2026-10-04T08:00:00.000Z';
const codes = writeLeftCodes(job, place!, 'https://ulterum.example');
const sheet = (paper: 'A4' | 'LETTER', more: Partial<AsBuilt> = {}) =>
  doorSheet({ ...built, ...more }, { paper, codes, dayOf: (day) => day, now: NOW });
const textIn = (svg: string) =>
  [...svg.matchAll(/<text[^>]*>([^<]*)<\/text>/g)].map(([, text]) => text).join(' ');
const sizes = (svg: string) => [...svg.matchAll(/font-size="([\d.]+)"/g)].map(([, size]) => Number(size));

describe('the sheet in the door', () => {
  it('has both ends of every wire, power, settings, tests with what is put off, and the codes', () => {
    const text = textIn(sheet('A4').join(''));
    for (const word of [
      'Parlour',
      'Mill cottage',
      'red',
      'RC',
      'blue',
      'was coiled',
      'breaker number 9',
      'Kind of system: warm air',
      'good',
      'put off until 2027-05-03',
      'Jumper at the wall: RH to RC',
      '1 of 2'
    ])
      expect(text).toContain(word);
    expect(text).not.toContain('Weekdays');
  });

  it.each(['A4', 'LETTER'] as const)(
    'stays within the page of %s, in black, and large enough for an arm’s length',
    (name) => {
      const { width, height } = PAPERS[name];
      for (const page of sheet(name, { wires: Array.from({ length: 40 }, () => built.wires).flat() })) {
        for (const [, y] of page.matchAll(/<text x="[\d.]+" y="([\d.]+)"/g))
          expect(Number(y)).toBeLessThanOrEqual(height - 10);
        for (const [, x] of page.matchAll(/ x2?="([\d.]+)"/g))
          expect(Number(x)).toBeLessThanOrEqual(width - 10);
        expect(page).not.toMatch(/fill="#(?!000|fff)/);
        expect(Math.min(...sizes(page))).toBeGreaterThanOrEqual(3);
      }
      expect(
        sheet(name, { wires: Array.from({ length: 40 }, () => built.wires).flat() }).length
      ).toBeGreaterThan(1);
    }
  );

  it('writes what somebody has called a thing as text, never as markup', () => {
    const [page] = sheet('A4', { thermostat: { ...built.thermostat, name: '<b>"Hall" & co' } });
    expect(page).not.toContain('<b>');
  });

  it('has codes that cover no more than their square', () => {
    const svg = codeSvg('https://ulterum.example/left#1.1.00000000.AAAA', 10, 20, 50);
    expect(svg).toContain('translate(10 20)');
    const [, scale] = /scale\(([\d.]+)\)/.exec(svg)!;
    const most = Math.max(...[...svg.matchAll(/M(\d+) /g)].map(([, x]) => Number(x)));
    expect((most + 1) * Number(scale)).toBeLessThan(50);
  });
});

describe('the other papers', () => {
  it('a card has the wires and how the power is cut', () => {
    const text = textIn(wallCard(built, (day) => day, NOW).join(''));
    for (const word of ['Parlour', 'red', 'Power off', 'breaker number 9']) expect(text).toContain(word);
  });

  it('labels carry where each end is now', () => {
    const labels = labelsAsBuilt(built, 2);
    expect(labels.filter(({ mark }) => mark === 'C')).toHaveLength(2);
    expect(labels.filter(({ end }) => end === 'blank')).toHaveLength(2);
    expect(labels.length).toBe(built.wires.length * 2 + 2);
  });

  it('CSV has a line for each wire, and no cell that a spreadsheet would run', () => {
    const danger = built.wires.map((wire, at) => (at === 0 ? { ...wire, name: '=1+1' } : wire));
    const { data } = Papa.parse<Record<string, string>>(writeAsBuiltCsv({ wires: danger }), {
      header: true,
      skipEmptyLines: true
    });
    expect(data).toHaveLength(built.wires.length);
    expect(data[0]).toMatchObject({
      wire: "'=1+1",
      wall_terminal: 'RC',
      machine_terminal: 'R',
      machine_name: 'Gas furnace'
    });
  });
});

describe('lines on paper', () => {
  it('break between words, and within one that is too wide', () => {
    expect(wrap('one two three', 12, { size: 4 }).length).toBeGreaterThan(1);
    expect(wrap('x'.repeat(50), 20, { size: 4 }).join('')).toBe('x'.repeat(50));
    expect(wrap('', 20, { size: 4 })).toEqual([]);
  });

  it('go on on another page when one is full', () => {
    const paper = new Paper(PAPERS.A6, 6);
    for (let line = 0; line < 60; line += 1) paper.text('a line of words', { size: 4 });
    expect(paper.done('x').length).toBe(3);
  });
});
