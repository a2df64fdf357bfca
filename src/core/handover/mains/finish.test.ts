import { describe, expect, it } from 'vitest';
import { mainsOf } from '../../houses/mains-builder';
import { mainsHouse, TWO_VALVE_OVERRUN, type MainsHouse } from '../../houses/mains-houses';
import type { LogEntry } from '../../job/log-schema';
import type { MainsControls } from '../../job/mains-schema';
import { planMains } from '../../plan/mains/plan';
import { writeStripCsv } from '../../formats/strip-csv';
import { stripSheet } from '../../formats/strip-sheet';
import { stripLabels } from '../../formats/strip-labels';
import { quarryRow } from '../../../demo/quarry-row';
import { dueOf } from '../due';
import { mainsAsBuilt } from './as-built';
import { settingsFor } from './settings';
import { testsFor } from './tests';
import { mainsView } from './view';

/** All moves done, as somebody ticks them. */
function workedHouse(house: MainsHouse, controller: string): MainsControls {
  const mains: MainsControls = {
    ...mainsHouse(house),
    choice: { controller: controller as never, method: 'replace-both', variant: null }
  };
  const { taken } = planMains(mains);
  if (!taken) throw new Error('No way');
  return {
    ...mains,
    log: taken.moves.map(({ action, end, what, from, to, change }, at) => ({
      id: `lg-${at + 1}` as LogEntry['id'],
      at: '2026-11-27T10:00:00.000Z',
      act: { action, end, what, from, to },
      change,
      undoes: null
    }))
  };
}

describe('tests after the work', () => {
  const testsOf = (house: MainsHouse) => {
    const { plan } = mainsView(mainsHouse(house));
    return testsFor(plan.now.wiring, plan.inputs, []);
  };

  it('begin with nothing and say what must run and what must not', () => {
    const tests = testsOf('mid-position');
    expect(tests.map(({ name }) => name)).toEqual([
      'All off',
      'Heating alone',
      'Room warm',
      'Hot water alone',
      'Both',
      'Cylinder hot'
    ]);
    expect(tests[0]).toMatchObject({ mustRun: [] });
    expect(tests[1]).toMatchObject({
      mustRun: ['boiler', 'pump', 'radiators get warm'],
      mustNot: ['the cylinder gets warm']
    });
    expect(tests[5]?.mustRun).toEqual([]);
  });

  it('know which state of finding out why they are, so that what failed is what was seen', () => {
    expect(testsOf('mid-position').map(({ probe }) => probe)).toEqual([
      'off',
      'heating',
      null,
      'water',
      'both',
      null
    ]);
  });

  it('try frost and each zone where there are such, and no hot water where there is none', () => {
    expect(testsOf('two-valve-frost').map(({ name }) => name)).toContain('Frost');
    expect(testsOf('two-zones').filter(({ name }) => name === 'One zone alone')).toHaveLength(2);
    expect(testsOf('combination').map(({ name }) => name)).not.toContain('Hot water alone');
  });
});

describe('a test that is put off', () => {
  it('is due on its day, at the station where it is done; without a day it is not', () => {
    const job = quarryRow();
    const [house] = job.thermostats;
    const tested = (until: string | null) =>
      dueOf(job, [
        {
          ...house!,
          mains: {
            ...house!.mains!,
            tests: [{ row: 'heating', result: 'put-off', at: '2026-11-27T10:00:00.000Z', until, note: '' }]
          }
        }
      ]);
    expect(tested('2026-12-01')).toMatchObject([
      { until: '2026-12-01', station: 'trial', thermostat: 'th-quarry-house' }
    ]);
    expect(tested(null)).toEqual([]);
  });
});

describe('settings', () => {
  const settingsOf = (house: MainsHouse, controller: string) => {
    const plan = planMains(mainsHouse(house), { controller });
    if (!plan.controller || !plan.taken) throw new Error('No way');
    return settingsFor(plan.taken.after, plan.identification.layout, plan.controller, mainsHouse(house));
  };
  const valueOf = (house: MainsHouse, controller: string, id: string) =>
    settingsOf(house, controller).find((setting) => setting.id === id)?.value;

  it('follow from what is wired', () => {
    expect(valueOf('two-valve', 'ct-tarnwick-duo', 'channels')).toBe('heating and hot water');
    expect(valueOf('combination', 'ct-tarnwick-duo', 'channels')).toBe('heating only');
    expect(valueOf('gravity', 'ct-tarnwick-duo', 'gravity-mode')).toBe('on');
    expect(valueOf('two-valve', 'ct-tarnwick-duo', 'gravity-mode')).toBe('off');
    expect(valueOf('two-valve', 'ct-corriedale-hall', 'wall-part-feed')).toBe('wired');
  });

  it('put the network last', () => {
    expect(settingsOf('two-valve', 'ct-tarnwick-duo').at(-1)?.id).toBe('network');
  });
});

describe('as built', () => {
  const built = mainsAsBuilt(workedHouse('joined-at-timer', 'ct-tarnwick-duo'));

  it('is what was found with what was done', () => {
    const four = built.numbers.find(({ mark }) => mark === '4');
    expect(four?.linked).toEqual(['5']);
    expect(four?.wires.map(({ to }) => to)).toEqual(['Tarnwick Duo 2 4']);
    expect(built.devices.some(({ part }) => part === 'timer' || part === 'room-thermostat')).toBe(false);
    expect(built.dead.map(({ cable }) => cable)).toEqual([
      'room thermostat',
      'room thermostat',
      'room thermostat'
    ]);
    expect(built.changes.length).toBeGreaterThan(20);
  });

  it('stands on paper, in CSV and on labels', () => {
    const [page] = stripSheet(built, { paper: 'A4', title: 'House', under: 'Quarry Row' });
    expect(page).toContain('Wiring centre as built: House');
    expect(page).toContain('link');
    const csv = writeStripCsv(built);
    expect(csv.split('\r\n')[0]).toBe('strip,number,cable,colour,to,does,linked_to');
    expect(csv).toContain('wiring centre,4,timer,');
    const labels = stripLabels(built);
    expect(labels.filter(({ mark }) => mark === 'NOT IN USE')).toHaveLength(6);
  });

  it('tells a wire that goes straight from device to device as well', () => {
    const overrun = mainsOf({
      ...TWO_VALVE_OVERRUN,
      strip: { ...TWO_VALVE_OVERRUN.strip, 9: [] },
      straight: [['pump.live', 'boiler.pump-live']]
    });
    const straight = mainsAsBuilt(overrun).numbers.filter(({ of }) => of === 'device');
    expect(straight.map(({ unit, mark, wires }) => [unit, mark, wires.map(({ to }) => to)])).toEqual([
      ['boiler', 'PL', ['pump L']]
    ]);
    expect(writeStripCsv(mainsAsBuilt(overrun))).toContain('boiler,PL,pump,');
    expect(stripLabels(mainsAsBuilt(overrun)).map(({ small }) => small)).toContain('live · boiler PL');
  });

  it('tells the terminals of the boiler where there is no wiring centre', () => {
    const own = mainsAsBuilt(mainsHouse('room-at-boiler'));
    expect(own.numbers.map(({ mark, wires }) => [mark, wires.map(({ to }) => to)])).toEqual([
      ['L', ['fused spur L', 'room thermostat 1']],
      ['SL', ['room thermostat 3']],
      ['N', ['fused spur N', 'room thermostat 4']],
      ['E', ['fused spur E', 'room thermostat E']]
    ]);
    const [page] = stripSheet(own, { paper: 'A4', title: 'House', under: '' });
    expect(page).toContain('Wiring at the boiler as built: House');
    expect(page).not.toContain('iring centre');
    expect(stripLabels(own).map(({ small }) => small)).toContain('out · boiler SL');
  });

  it('leaves an end that nobody has read unread', () => {
    const mains = mainsHouse('two-valve');
    const unread: MainsControls = {
      ...mains,
      wires: mains.wires.map((wire, at) =>
        at === 0 ? { ...wire, near: { state: 'unseen', on: null } } : wire
      )
    };
    expect(mainsAsBuilt(unread).numbers[0]?.wires[0]?.to).toBe('other end not read');
  });
});
