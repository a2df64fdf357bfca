import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_SURVEY, EMPTY_WALL_FACE, YEAR_HOURS } from '../job/survey-schema';
import { buildingFindings, thermalModel, timeConstantHours } from './building';
import { savingOf, settingOf } from './saving';
import { coolingCurve, heatingYear, hoursAbove, hoursToCool, type Plant } from './thermal';
import { hoursWithoutHeat, wallTasks } from './wall-work';
import { coldestStart, dayAt, hourOfDay, WEATHER_PLACES, weatherOf, yearOf } from './weather';

const plant: Plant = { lossWPerK: 200, capacityWhPerK: 6000, gainsW: 300, heatingW: 12000 };
const year = yearOf(WEATHER_PLACES[0]!);
const facts = {
  ...EMPTY_SURVEY.building,
  floorAreaM2: 140,
  insulation: 'usual',
  draughts: 'usual',
  build: 'medium'
} as const;
const habits = { ...EMPTY_SURVEY.habits, home: 'away-by-day' } as const;

describe('cooling with the heating off', () => {
  it('follows the closed form at a constant outdoor temperature', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 600, noNaN: true }),
        fc.double({ min: 1000, max: 20000, noNaN: true }),
        fc.double({ min: -25, max: 5, noNaN: true }),
        (lossWPerK, capacityWhPerK, outdoor) => {
          const house = { ...plant, lossWPerK, capacityWhPerK, gainsW: 0 };
          const steady = new Float64Array(YEAR_HOURS).fill(outdoor);
          const curve = coolingCurve(house, steady, 100, 60, 20);
          const after = outdoor + (20 - outdoor) * Math.exp((-60 * lossWPerK) / capacityWhPerK);
          expect(curve[60]).toBeCloseTo(after, 9);
          const hours = hoursToCool(house, 20, 12, outdoor);
          const counted = hoursAbove(coolingCurve(house, steady, 0, 500, 20), 12);
          if (hours < 400) expect(Math.abs(counted - hours)).toBeLessThan(0.5);
        }
      )
    );
  });

  it('never reaches a temperature that the gains alone hold', () => {
    expect(hoursToCool(plant, 20, 15, 14)).toBe(Infinity);
    expect(hoursToCool(plant, 14, 15, 0)).toBe(0);
  });
});

describe('a year of heating', () => {
  it('keeps its energy balance within a thousandth', () => {
    for (const place of WEATHER_PLACES) {
      const yearBalance = heatingYear(plant, yearOf(place), settingOf(habits), 20);
      const into = yearBalance.heatKWh + yearBalance.gainsKWh;
      const out = yearBalance.lossKWh + yearBalance.storedKWh + yearBalance.airedKWh;
      expect(Math.abs(into - out) / into).toBeLessThan(0.001);
    }
  });

  it('holds the setting whenever the power suffices', () => {
    const yearBalance = heatingYear(plant, year, () => 20, 20);
    expect(Math.min(...yearBalance.indoor)).toBeGreaterThan(19.99);
    const weak = heatingYear({ ...plant, heatingW: 2000 }, year, () => 20, 20);
    expect(Math.min(...weak.indoor)).toBeLessThan(18);
  });

  it('takes the loss times the degree hours when nothing is set back and nothing gained', () => {
    const cold = Float64Array.from(year, (one) => Math.min(one, 15));
    const yearBalance = heatingYear({ ...plant, gainsW: 0 }, cold, () => 20, 20);
    const degreeHours = cold.reduce((sum, outdoor) => sum + (20 - outdoor), 0);
    expect(yearBalance.heatKWh).toBeCloseTo((plant.lossWPerK * degreeHours) / 1000, 3);
  });
});

describe('the saving of a setback', () => {
  const input = {
    model: thermalModel(facts),
    hourly: year,
    efficiency: 0.85,
    pricePerKWh: 0.12,
    outlay: 100
  };

  it('is there for people who go out, and pays back sooner the dearer the fuel', () => {
    const cheap = savingOf({ ...input, habits });
    const dear = savingOf({ ...input, habits, pricePerKWh: 0.3 });
    expect(cheap.possible).toBe(true);
    expect(cheap.heatKWh.low).toBeLessThanOrEqual(cheap.heatKWh.mid);
    expect(cheap.heatKWh.mid).toBeLessThanOrEqual(cheap.heatKWh.high);
    expect(dear.payBackYears.mid).toBeLessThan(cheap.payBackYears.mid);
  });

  it('is nothing for somebody who is always home with one setting, and says so', () => {
    const saving = savingOf({ ...input, habits: { ...habits, home: 'always', night: 'as-by-day' } });
    expect(saving.possible).toBe(false);
    expect(saving.why).toContain('always home');
    expect(saving.dollars.high).toBe(0);
    expect(saving.payBackYears.low).toBe(Infinity);
  });

  it('is nothing where it is turned down by hand already', () => {
    expect(savingOf({ ...input, habits: { ...habits, setsBackToday: 'yes' } }).possible).toBe(false);
  });

  it('grows with the depth of the setback', () => {
    const at = (setbackC: number) => savingOf({ ...input, habits: { ...habits, setbackC } }).heatKWh.mid;
    expect(at(14)).toBeGreaterThan(at(17));
  });
});

describe('a house from a few answers', () => {
  it('has a wider band the less is answered', () => {
    const known = thermalModel(facts).lossWPerK;
    const open = thermalModel(EMPTY_SURVEY.building).lossWPerK;
    expect(open.high / open.low).toBeGreaterThan(known.high / known.low);
  });

  it('is doubted outside the limits of real houses, and not within', () => {
    const codes = (change: Partial<typeof EMPTY_SURVEY.building>) => {
      const changed = { ...facts, ...change };
      return buildingFindings(changed, thermalModel(changed), -15).map((finding) => finding.code);
    };
    expect(codes({})).toEqual([]);
    expect(codes({ floorAreaM2: 4 })).toContain('house-facts-doubtful');
    expect(codes({ heatingKw: 1 })).toContain('house-facts-doubtful');
    expect(codes({ heatingKw: 300 })).toContain('house-facts-doubtful');
    expect(codes({ insulation: 'unknown' })).toEqual(['house-not-known']);
    expect(timeConstantHours(thermalModel(facts))).toBeGreaterThan(10);
  });
});

describe('the simulated weather', () => {
  it('is the same year every time, cold in winter and warm in summer', () => {
    expect(yearOf(WEATHER_PLACES[0]!)).toEqual(year);
    const mean = (from: number) => year.slice(from, from + 720).reduce((sum, one) => sum + one, 0) / 720;
    expect(mean(0)).toBeLessThan(2);
    expect(mean(4400)).toBeGreaterThan(17);
    expect(dayAt(coldestStart(year))).toMatch(/^(12|01|02)-/);
  });

  it('counts days and hours both ways', () => {
    for (const day of ['2026-01-01', '2026-03-01', '2026-11-25', '2026-12-31'])
      expect(dayAt(hourOfDay(day))).toBe(day.slice(5));
  });

  it('gives way to a year of the user’s own', () => {
    const tenths = new Array<number>(YEAR_HOURS).fill(-55);
    const own = weatherOf({ weather: 'own', ownWeather: { name: 'station', tenths } });
    expect(own.simulated).toBe(false);
    expect(own.hourly[17]).toBe(-5.5);
    expect(weatherOf({ weather: 'nowhere', ownWeather: null }).simulated).toBe(true);
  });
});

describe('the work at the wall', () => {
  it('takes no drying under a cover plate, and a night and more for a large patch', () => {
    const hours = (change: Partial<typeof EMPTY_WALL_FACE>) =>
      hoursWithoutHeat({ ...EMPTY_WALL_FACE, ...change });
    expect(hours({ finish: 'plate' })).toBeLessThan(3);
    expect(hours({ finish: 'patch', holes: 'screws' })).toBeLessThan(
      hours({ finish: 'patch', holes: 'large' })
    );
    expect(hours({ finish: 'patch', holes: 'large' })).toBeGreaterThan(24);
    expect(hours({ finish: 'both', holes: 'screws' })).toBeLessThan(
      hours({ finish: 'patch', holes: 'screws' })
    );
  });

  it('puts one task after the other', () => {
    const tasks = wallTasks({ ...EMPTY_WALL_FACE, finish: 'patch', holes: 'large' });
    tasks.slice(1).forEach((task, index) => {
      const before = tasks[index]!;
      expect(task.start).toBeCloseTo(before.start + before.hours, 9);
    });
  });
});
