import { findingText } from '../words/findings/table';
import { ref } from '../findings/refs';
import { RAILS, SUPPLY_NEEDS } from '../job/device-facts';
import { describe, expect, it } from 'vitest';
import { house } from '../houses/builder';
import {
  boilerHouse,
  boilerPlusAcHouse,
  furnaceFourWires,
  furnaceWithCommon,
  heatPumpHouse,
  lineVoltageHouse
} from '../houses/houses';
import type { House } from '../houses/builder';
import { makeId } from '../job/ids';
import { screwIdFor, screwsFrom } from '../job/screws';
import { CATALOGUE, findDevice } from './catalogue';
import { byAspect } from './aspects';
import { matchAll, matchDevice } from './match';

const match = ({ job, thermostat }: House, model: string) =>
  matchDevice(job, thermostat, findDevice(job, model)!);
/** What stands in the way; settings are looked at by themselves. */
const codes = (where: House, model: string) =>
  match(where, model)
    .findings.map((finding) => finding.code)
    .filter((code) => code !== 'set-up');
const settings = (where: House, model: string) =>
  match(where, model)
    .findings.filter((finding) => finding.code === 'set-up')
    .map((finding) => findingText(finding));

describe('the catalogue', () => {
  it('holds fourteen devices that differ in what decides a match', () => {
    expect(CATALOGUE).toHaveLength(14);
    expect(new Set(CATALOGUE.map((device) => device.supply))).toEqual(new Set(SUPPLY_NEEDS));
    expect(new Set(CATALOGUE.map((device) => device.rails))).toEqual(new Set(RAILS));
    expect(CATALOGUE.some((device) => device.marks.includes('K'))).toBe(true);
  });
});

describe('checks', () => {
  it('voltage: a 24 V device is refused on mains, and doubted where the class is open', () => {
    for (const match of matchAll(lineVoltageHouse().job, lineVoltageHouse().thermostat))
      expect(match.verdict).toBe('no');
    expect(codes(house({ strands: [] }), 'de-fellgate')).toContain('voltage-class-unsettled');
    expect(codes(furnaceWithCommon(), 'de-fellgate')).toEqual([]);
  });

  it('common: asked for where none is landed, content where one is', () => {
    expect(match(furnaceFourWires(), 'de-fellgate').verdict).toBe('care');
    expect(codes(furnaceFourWires(), 'de-fellgate')).toEqual(['needs-common']);
    expect(codes(furnaceFourWires(), 'de-sipper')).toEqual(['supply-not-proven']);
    expect(codes(furnaceFourWires(), 'de-pair')).toEqual(['device-needs-no-common']);
    expect(match(furnaceWithCommon(), 'de-fellgate').verdict).toBe('go');
  });

  it('heat pump: refused for a device that knows no reversing valve', () => {
    expect(codes(heatPumpHouse(), 'de-sipper')).toContain('no-heat-pump');
    expect(match(heatPumpHouse(), 'de-sipper').verdict).toBe('no');
    expect(match(heatPumpHouse(), 'de-onebar').verdict).toBe('go');
  });

  it('terminals: what works today and has no place on the device is named by its wire', () => {
    const found = match(heatPumpHouse(), 'de-pair');
    expect(found.findings.find((finding) => finding.code === 'missing-terminal')).toMatchObject({
      level: 'stop',
      because: [ref.conductor('co-6'), ref.machine('eq-1'), ref.device('de-pair')]
    });
    expect(codes(heatPumpHouse(), 'de-onebar')).not.toContain('missing-terminal');
  });

  it('stages: a board with W2 and a device with one stage', () => {
    const staged = house({
      strands: ['RD R R', 'WH W W', 'BU C C'],
      board: ['R', 'C', 'W', 'W2'],
      stated: 'furnace',
      observed: { 'measured-volts': 27 }
    });
    expect(codes(staged, 'de-weftline')).toEqual(['too-few-stages']);
    expect(codes(staged, 'de-onebar')).toEqual([]);
  });

  it('rails: two machines with a hot wire each need hot terminals that can be parted', () => {
    const base = boilerHouse();
    const cooler = {
      ...base.job.equipment[0]!,
      id: makeId('equipment', 'cooler'),
      name: 'air handler',
      screws: screwsFrom(['R', 'C', 'Y', 'G'])
    };
    const third = { ...base.thermostat.conductors[0]!, id: makeId('conductor', '3') };
    const thermostat = {
      ...base.thermostat,
      statedFamily: 'furnace-ac' as const,
      screws: screwsFrom(['RH', 'RC', 'W']),
      equipment: [...base.thermostat.equipment, cooler.id],
      conductors: [
        {
          ...base.thermostat.conductors[0]!,
          near: { state: 'landed' as const, on: [{ at: base.thermostat.id, screw: screwIdFor('RH') }] }
        },
        {
          ...third,
          near: { state: 'landed' as const, on: [{ at: base.thermostat.id, screw: screwIdFor('RC') }] },
          far: { state: 'landed' as const, on: [{ at: cooler.id, screw: screwIdFor('R') }] }
        }
      ]
    };
    const two: House = {
      job: { ...base.job, equipment: [...base.job.equipment, cooler], thermostats: [thermostat] },
      thermostat
    };
    expect(
      match(two, 'de-onebar').findings.find((finding) => finding.code === 'link-must-suit-supplies')
    ).toMatchObject({ level: 'stop' });
    expect(
      match(two, 'de-fellgate').findings.find((finding) => finding.code === 'link-must-suit-supplies')
    ).toMatchObject({ level: 'warn' });
    expect(codes(furnaceWithCommon(), 'de-onebar')).not.toContain('link-must-suit-supplies');
  });
});

describe('what a match means for whoever buys it', () => {
  const aspects = (where: House, model: string) =>
    byAspect(match(where, model).findings).map((grouped) => grouped.aspect);

  it('sorts what does harm, is lost, is needed, is cut and is set', () => {
    expect(aspects(lineVoltageHouse(), 'de-fellgate')).toContain('damages');
    expect(aspects(furnaceFourWires(), 'de-fellgate')).toEqual(['needs', 'set']);
    expect(aspects(furnaceWithCommon(), 'de-warmonly')).toContain('damages');
    expect(aspects(boilerPlusAcHouse(), 'de-cutlink')).toContain('cut');
    expect(match(boilerPlusAcHouse(), 'de-cutlink').findings.map((finding) => finding.code)).toContain(
      'link-to-be-cut'
    );
  });

  it('names every setting, and leaves open what is not settled', () => {
    expect(settings(furnaceWithCommon(), 'de-onebar')).toEqual([
      'Set that one supply feeds both its sides: it joins RH and RC inside.',
      'Set its kind of system to furnace with air conditioner.',
      'Set that the machine runs the blower in heating by itself.'
    ]);
    expect(settings(heatPumpHouse(), 'de-onebar').join(' ')).toContain('heat pump');
    const open = match(furnaceWithCommon(), 'de-onebar').findings.filter(
      (finding) => finding.code === 'set-up'
    );
    expect(open.every((findingOf) => findingOf.level === 'note')).toBe(true);
  });

  it('says what an accessory on the machine keeps or loses', () => {
    const base = furnaceWithCommon();
    const equipment = base.job.equipment.map((machine) => ({
      ...machine,
      accessories: [{ kind: 'humidifier' as const, ownRelay: 'yes' as const, note: '' }]
    }));
    const moist: House = { job: { ...base.job, equipment }, thermostat: base.thermostat };
    const said = (model: string) =>
      match(moist, model).findings.find((finding) => finding.code === 'accessory-output');
    expect(said('de-fellgate')?.params).toEqual({ what: 'none', accessory: 'humidifier' });
    expect(said('de-moistly')?.params).toEqual({ what: 'powered', accessory: 'humidifier' });
    expect(said('de-twobridge')).toBeUndefined();
  });
});
