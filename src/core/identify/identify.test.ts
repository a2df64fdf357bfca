import { ref } from '../findings/refs';
import { describe, expect, it } from 'vitest';
import { house } from '../houses/builder';
import { FAMILY_HOUSES } from '../houses/families';
import {
  boilerHouse,
  electricFurnaceHouse,
  furnaceWithSpare,
  heatOnly,
  heatPumpHouse,
  lineVoltageHouse
} from '../houses/houses';
import { beliefsFrom, chance, PRIOR } from './beliefs';
import { EVIDENCE } from './evidence/registry';
import { voltageBand } from './evidence/measured-volts';
import { identify } from './identify';
import { CANDIDATES } from './types';
import { worldsOf } from './worlds';
import { wiringOf } from '../wiring/from-job';

const named = (where: ReturnType<typeof house>) => identify(where.job, where.thermostat);

describe('families told apart', () => {
  it.each([
    ['furnace', heatOnly],
    ['furnace-ac', furnaceWithSpare],
    ['electric-furnace', electricFurnaceHouse],
    ['heat-pump', heatPumpHouse],
    ['boiler', boilerHouse],
    ['line-voltage', lineVoltageHouse]
  ] as const)('names %s from a plain house', (family, make) => {
    const result = named(make());
    expect(result.family).toBe(family);
    expect(result.probability).toBeGreaterThan(0.9);
    expect(result.decided).toBe(true);
  });

  it('names nothing before anything is recorded, and asks', () => {
    const result = named(house({ strands: [] }));
    expect(result.family).toBe('unknown');
    expect(result.next.length).toBeGreaterThan(3);
    expect(result.findings.map((finding) => finding.code)).toContain('system-unknown');
  });

  it('keeps an incomplete house open instead of guessing', () => {
    const result = named(house({ strands: ['RD R unseen', 'WH W unseen'] }));
    expect(result.decided).toBe(false);
  });

  it('names both sides of a contradiction', () => {
    const result = named(
      house({
        strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'OG O loose'],
        board: ['R', 'C', 'W', 'Y', 'G'],
        observed: {
          'outdoor-unit': 'rests',
          flue: 'burner',
          'heat-from': 'registers',
          'conductor-build': 'thin'
        }
      })
    );
    expect(result.family).toBe('furnace-ac');
    const finding = result.findings.find((candidate) => candidate.code === 'evidence-disagrees');
    expect(finding).toMatchObject({
      params: {
        evidence: expect.stringContaining('landed at the wall but on nothing at the equipment') as string,
        against: expect.any(String) as string
      }
    });
    expect(finding?.because).toContainEqual(ref.conductor('co-5'));
  });

  it('finds no contradiction in a plain house', () => {
    expect(named(furnaceWithSpare()).findings).toEqual([]);
  });
});

describe('the voltage class', () => {
  it('is settled by a reading, whatever the rest says', () => {
    const reading = (volts: number) =>
      named(
        house({
          strands: ['RD R R', 'WH W W'],
          observed: { 'measured-volts': volts, 'conductor-build': 'thin', 'heat-from': 'registers' }
        })
      );
    expect(reading(27).voltageClass).toBe('24v');
    expect(reading(120).voltageClass).toBe('line');
    expect(reading(120).findings.some((finding) => finding.level === 'stop')).toBe(true);
    expect(reading(0.4).voltageClass).toBe('millivolt');
    expect(reading(0.4).findings.some((finding) => finding.level === 'stop')).toBe(true);
  });

  it('sorts readings into the bands of the trade', () => {
    expect([0.7, 12, 18, 32, 33, 51, -120].map(voltageBand)).toEqual([
      'millivolt',
      'between',
      '24v',
      '24v',
      'between',
      'line',
      'line'
    ]);
  });

  it('stops while mains is still possible', () => {
    const result = named(
      house({ strands: ['BK unseen unseen', 'RD unseen unseen'], observed: { 'conductor-build': 'thick' } })
    );
    expect(result.findings[0]).toMatchObject({ level: 'stop' });
  });
});

describe('a stated family', () => {
  it('is taken, and what disagrees is said', () => {
    const result = named({ ...statedHeatPump() });
    expect(result.family).toBe('heat-pump');
    expect(result.stated).toBe(true);
    expect(result.findings.map((finding) => finding.code)).toContain('stated-against-evidence');
  });

  it('is taken in silence where the evidence agrees', () => {
    const where = heatPumpHouse();
    const thermostat = { ...where.thermostat, statedFamily: 'heat-pump' as const };
    const result = identify({ ...where.job, thermostats: [thermostat] }, thermostat);
    expect(result.findings.map((finding) => finding.code)).not.toContain('stated-against-evidence');
  });

  it('comes first among the worlds, both ways its valve may work, however likely the others are', () => {
    const stated = statedHeatPump();
    const worlds = worldsOf(named(stated), wiringOf(stated.job, stated.thermostat));
    const families = worlds.map(({ world }) => world.family);
    const own = families.filter((family) => family === 'heat-pump').length;
    expect(own).toBeGreaterThan(0);
    expect(families.slice(0, own)).toEqual(Array.from({ length: own }, () => 'heat-pump'));
    const [first] = worlds;
    const other = worlds.find(({ world }) => world.family === 'furnace-ac');
    expect(other?.weight).toBeGreaterThan(first?.weight ?? 1);
  });

  function statedHeatPump() {
    const where = furnaceWithSpare();
    const thermostat = { ...where.thermostat, statedFamily: 'heat-pump' as const };
    return { job: { ...where.job, thermostats: [thermostat] }, thermostat };
  }
});

describe('the next observation', () => {
  it('prefers a look over a climb of about the same gain, and never asks what is answered', () => {
    const result = named(
      house({ strands: ['RD R unseen', 'WH W unseen'], observed: { 'conductor-build': 'thin' } })
    );
    expect(result.next[0]?.evidence.effort).toBe('look');
    expect(result.next.map((nextObservation) => nextObservation.evidence.id)).not.toContain(
      'conductor-build'
    );
  });

  it('promises answers whose chances add up, and a gain that is never negative', () => {
    for (const nextObservation of named(house({ strands: [] })).next) {
      expect(nextObservation.gain).toBeGreaterThan(0);
      expect(nextObservation.answers.reduce((sum, answer) => sum + answer.chance, 0)).toBeCloseTo(1, 9);
    }
  });
});

describe('evidence', () => {
  it('has a row of the right length for every family, and sentences for every value', () => {
    for (const evidence of EVIDENCE) {
      for (const family of CANDIDATES) {
        const chances = evidence.values.map((value) => chance(evidence, family, value.value));
        expect(
          chances.reduce((sum, each) => sum + each, 0),
          `${evidence.id} ${family}`
        ).toBeCloseTo(1, 9);
      }
      if (evidence.kind !== 'read') expect(evidence.values.length).toBeGreaterThan(1);
    }
  });

  it('starts from shares that add up', () => {
    const beliefs = beliefsFrom([]);
    expect(beliefs).toBe(PRIOR);
    expect(Object.values(PRIOR).reduce((sum, value) => sum + value, 0)).toBeCloseTo(1, 9);
  });

  it('each piece fires in one of the houses and is silent in an empty one', () => {
    const silent = house({ strands: [] });
    const houses = Object.values(FAMILY_HOUSES).flatMap((trio) => Object.values(trio).map((make) => make()));
    const measured = house({ strands: ['RD R R'], observed: { 'measured-volts': 27 } });
    for (const evidence of EVIDENCE) {
      const read = (where: ReturnType<typeof house>) =>
        evidence.read({ ...where, wiring: wiringOf(where.job, where.thermostat) });
      expect(
        [...houses, measured].some((where) => read(where) !== null),
        evidence.id
      ).toBe(true);
      expect(read(silent), evidence.id).toBeNull();
    }
  });
});

describe('worlds', () => {
  it('holds both ways the board of an electric furnace may be', () => {
    const where = electricFurnaceHouse();
    const worlds = worldsOf(named(where), wiringOf(where.job, where.thermostat));
    expect(worlds.map((world) => world.world.blowerInHeat).sort()).toEqual(['board', 'g']);
  });

  it('keeps every family that is still believable', () => {
    const where = house({
      strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'],
      board: ['R', 'C', 'W', 'Y', 'G'],
      observed: { 'conductor-build': 'thin', 'heat-from': 'registers' }
    });
    const families = worldsOf(named(where), wiringOf(where.job, where.thermostat)).map(
      (world) => world.world.family
    );
    expect(families[0]).toBe('furnace-ac');
    expect(families).toContain('electric-furnace');
  });
});
