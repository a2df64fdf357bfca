/** What a thermostat has to be told, for every family and every style of device. */
import { describe, expect, it } from 'vitest';
import { chosen, finished } from '../houses/finished';
import { house, type House } from '../houses/builder';
import * as houses from '../houses/houses';
import { makeSetting } from '../job/after-edits';
import { UNREAD_MENU } from '../job/device-facts';
import { apply } from '../job/steps';
import { CATALOGUE } from '../match/catalogue';
import { setUpMenuOf } from '../match/set-up-menus';
import { SYSTEM_SETTINGS, type SettingId } from '../trade/setting-ids';
import type { Family } from '../trade/vocabulary';
import { finishedOf } from './subject';
import { mayBeMade, settingsLeft, settingsOf } from './settings';
import { otherwiseText, placeText, reasonText } from './setting-words';

const sheetOf = (made: House, device = 'fellgate') => settingsOf(finished(chosen(made, device)));
const valuesOf = (made: House, device = 'fellgate') =>
  Object.fromEntries(sheetOf(made, device).settings.map(({ id, value }) => [id, value]));
const find = (made: House, id: SettingId, device = 'fellgate') =>
  sheetOf(made, device).settings.find((setting) => setting.id === id);
const withC = (strands: readonly string[], board: readonly string[], family: Family) =>
  house({
    strands: [...strands, 'BU C C'],
    board: [...board, 'C'],
    stated: family,
    observed: { 'conductor-build': 'thin' }
  });

const FAMILIES: readonly (readonly [Family, House, Readonly<Record<string, string | null>>])[] = [
  [
    'furnace',
    withC(['RD R R', 'WH W W'], ['R', 'W'], 'furnace'),
    { kind: 'air', fan: 'machine', 'heat-stages': '1', 'cool-stages': '0', cycles: '5' }
  ],
  [
    'furnace-ac',
    withC(['RD R R', 'WH W W', 'BN W2 W2', 'YE Y Y', 'GN G G'], ['R', 'W', 'W2', 'Y', 'G'], 'furnace-ac'),
    { kind: 'air', fan: 'machine', 'heat-stages': '2', 'cool-stages': '1', 'compressor-wait': '5' }
  ],
  [
    'heat-pump',
    houses.heatPumpHouse(),
    { kind: 'heat-pump', valve: 'O', auxiliary: 'strips', emergency: 'yes' }
  ],
  [
    'dual-fuel',
    withC(['RD R R', 'YE Y Y', 'GN G G', 'OG O O', 'WH W2 W2'], ['R', 'Y', 'G', 'O', 'W2'], 'dual-fuel'),
    { kind: 'heat-pump', auxiliary: 'burner' }
  ],
  [
    'boiler',
    withC(['RD R R', 'WH W W'], ['R', 'W'], 'boiler'),
    { kind: 'water', cycles: '3', 'cool-stages': '0' }
  ],
  ['steam', withC(['RD R R', 'WH W W'], ['R', 'W'], 'steam'), { kind: 'steam', cycles: '1' }],
  [
    'cooling-only',
    withC(['RD R R', 'YE Y Y', 'GN G G'], ['R', 'Y', 'G'], 'cooling-only'),
    { kind: 'cooling', 'heat-stages': '0', 'cool-stages': '1' }
  ],
  ['contact-heater', withC(['RD R R', 'WH W W'], ['R', 'W'], 'contact-heater'), { kind: null }],
  ['electric-furnace', houses.electricFurnaceHouse(), { kind: 'air', fan: 'thermostat', cycles: '9' }],
  ['boiler-plus-ac', houses.boilerPlusAcHouse(), { kind: 'water', 'cool-stages': '1', cycles: '3' }]
];

describe('the settings sheet', () => {
  it.each(FAMILIES)('of %s has its own values', (_, made, expected) => {
    expect(valuesOf(made)).toMatchObject(expected);
  });

  it('asks nobody who heats water who starts the blower, and nobody with a furnace for a valve', () => {
    expect(find(FAMILIES[4]![1], 'fan')).toBeUndefined();
    expect(find(FAMILIES[0]![1], 'valve')).toBeUndefined();
    expect(find(FAMILIES[0]![1], 'auxiliary')).toBeUndefined();
  });

  it('asks for what nobody knows, and sets nothing on a guess', () => {
    const unsure = house({
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'OG OB OB', 'WH W2 W2', 'BU C C'],
      board: ['R', 'C', 'Y', 'G', 'OB', 'W2'],
      stated: 'heat-pump',
      observed: { 'conductor-build': 'thin' }
    });
    const valve = find(unsure, 'valve');
    expect(valve?.value).toBeNull();
    expect(valve?.ask).toMatch(/\w/);
    expect(valve?.otherwise).toEqual([]);
  });

  it('tells an electric furnace that its thermostat starts the blower, and what happens otherwise', () => {
    const fan = find(houses.electricFurnaceHouse(), 'fan')!;
    expect(fan.value).toBe('thermostat');
    expect(fan.presetWrong).toBe('No');
    expect(otherwiseText('fan', fan.otherwise[0]!)).toMatch(/the blower does not run when it calls for heat/);
  });

  it('says in the words of the device where it is set', () => {
    const shown = (made: House, id: SettingId, device: string) => {
      const sheet = sheetOf(made, device);
      return placeText(
        sheet.style,
        sheet.settings.find((setting) => setting.id === id)!
      );
    };
    const furnace = houses.furnaceWithSpare();
    expect(shown(furnace, 'kind', 'weftline')).toBe('Function 11: 1');
    expect(shown(furnace, 'kind', 'sipper')).toBe('“What heats your home?”: Warm air');
    expect(shown(furnace, 'fan', 'pair')).toBe('Switch 1: GAS');
    expect(shown(houses.heatPumpHouse(), 'valve', 'onebar')).toBe('Wiring: valve: O');
    expect(shown(furnace, 'kind', 'farspeak')).toMatch(/dial of the receiver: 1$/);
    expect(shown(furnace, 'clock', 'fellgate')).toBe('');
  });

  it('has every style in the catalogue, and every value that it shows is one that a setting can have', () => {
    const menus = CATALOGUE.map(setUpMenuOf);
    expect(new Set(menus.map(({ style }) => style))).toEqual(
      new Set(['menus', 'numbers', 'questions', 'switches', 'dial'])
    );
    for (const { entries } of menus)
      for (const { values, preset } of entries)
        if (preset !== null) expect(values.map(({ value }) => value)).toContain(preset);
  });

  it('takes the menu of a user’s own device from its facts', () => {
    const own = { ...CATALOGUE[0]!, setUpMenu: { style: 'numbers' as const, entries: [] } };
    expect(setUpMenuOf(own)).toEqual(own.setUpMenu);
    expect(setUpMenuOf({ ...own, id: 'de-mine' as typeof own.id, setUpMenu: UNREAD_MENU }).style).toBe(
      'unknown'
    );
  });

  it('is one supply or two where set-up alone joins the hot sides, by the machines that feed them', () => {
    expect(find(houses.heatPumpHouse(), 'supplies', 'onebar')?.value).toBe('one');
    expect(find(houses.heatPumpHouse(), 'supplies', 'fellgate')).toBeUndefined();
  });

  it('has a reason for every setting in words', () => {
    for (const { reason } of sheetOf(houses.heatPumpHouse(), 'onebar').settings)
      expect(reasonText(reason)).toMatch(/\.$/);
  });
});

describe('settings that are made', () => {
  const at = '2026-10-03T10:00:00.000Z';
  const made = chosen(houses.furnaceWithSpare(), 'fellgate');
  const { id } = made.thermostat;
  const sheetAfter = (...settings: readonly (readonly [SettingId, string])[]) => {
    const job = settings.reduce(
      (so, [setting, value]) => apply(so, makeSetting(so, id, setting, value, at)),
      made.job
    );
    return settingsOf(finished({ ...made, job, thermostat: job.thermostats[0]! }));
  };
  const all = sheetAfter()
    .settings.filter((setting) => SYSTEM_SETTINGS.has(setting.id))
    .map(({ id: setting, value }) => [setting, value!] as const);

  it('hold the network back until the system is set, and every call too', () => {
    expect(mayBeMade(sheetAfter(), 'network')).toBe(false);
    expect(mayBeMade(sheetAfter(...all), 'schedule')).toBe(true);
    expect(mayBeMade(sheetAfter(...all), 'network')).toBe(false);
    const people = [
      ['scale', 'C'],
      ['clock', 'set']
    ] as const;
    expect(mayBeMade(sheetAfter(...all, ...people), 'network')).toBe(false);
    expect(mayBeMade(sheetAfter(...all, ...people, ['name', 'Hall']), 'network')).toBe(true);
    expect(settingsLeft(sheetAfter()).length).toBe(all.length);
    expect(settingsLeft(sheetAfter(...all))).toEqual([]);
  });

  it('count as not made where they were made wrong', () => {
    const wrong = sheetAfter(...all, ['fan', 'thermostat']);
    expect(settingsLeft(wrong).map((setting) => setting.id)).toEqual(['fan']);
  });

  it('hold one value of each, and can be taken back', () => {
    const twice = apply(made.job, makeSetting(made.job, id, 'kind', 'air', at));
    const again = apply(twice, makeSetting(twice, id, 'kind', 'water', at));
    expect(again.thermostats[0]!.settings.map(({ value }) => value)).toEqual(['water']);
    expect(apply(again, makeSetting(again, id, 'kind', null, at)).thermostats[0]!.settings).toEqual([]);
  });
});

describe('no settings sheet', () => {
  it('is made while a stop is open, or no way is', () => {
    const { job, thermostat, plan } = chosen(houses.lineVoltageHouse(), 'fellgate');
    expect(finishedOf(job, thermostat, plan)).toMatchObject({ level: 'stop' });
    const open = chosen(houses.furnaceWithSpare(), 'fellgate');
    const stops = { 'gas-smell': { answer: 'yes' as const, at: '2026-10-03T10:00:00.000Z', resolved: null } };
    expect(finishedOf(open.job, { ...open.thermostat, stops }, open.plan)).toMatchObject({ level: 'stop' });
    const closed = chosen(houses.heatOnly(), 'fellgate', 'existing-c');
    expect(finishedOf(closed.job, closed.thermostat, closed.plan)).toMatchObject({ code: 'system-unknown' });
  });
});
