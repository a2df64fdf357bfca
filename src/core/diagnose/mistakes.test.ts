import { expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { finish } from '../circuit/long-run';
import { callsOf } from '../devices/calls';
import { plannedHouse } from '../houses/powered-houses';
import { faultTableRun } from './fault-table';
import { countMistakes, mistakesOf } from './mistakes';

const { wiring, world } = plannedHouse(
  SCHOOLHOUSE,
  SCHOOLHOUSE.thermostats.find((thermostat) => thermostat.id === 'th-classroom')!
);
const run = faultTableRun({ wiring, world, calls: callsOf(world, wiring), pairs: false });
if ('ok' in run) throw new Error(run.why);
const mistakes = mistakesOf(finish(run));
const about = (words: string) => mistakes.find((mistake) => mistake.says === words)!;

it('tells what harms from what only shows, and from what nothing shows', () => {
  expect(about('the yellow wire is loose at the wall')).toMatchObject({
    harms: true,
    shows: expect.arrayContaining(['a machine runs without its blower'])
  });
  expect(about('the green wire is loose at the wall')).toMatchObject({
    harms: false,
    shows: ['the display is dark']
  });
  expect(about('the red wire is on W2 instead of W1 at the wall').harms).toBe(false);
  expect(about('the white wire touches common at the equipment')).toMatchObject({ harms: true });
});

it('counts each once, harm first in the list', () => {
  const counts = countMistakes(mistakes);
  expect(counts.harming + counts.noticed + counts.hidden).toBe(counts.all);
  expect(counts.harming).toBeGreaterThan(0);
  expect(mistakes.slice(0, counts.harming).every((mistake) => mistake.harms)).toBe(true);
  expect(mistakes.slice(counts.all - counts.hidden).every((mistake) => mistake.shows.length === 0)).toBe(
    true
  );
});
