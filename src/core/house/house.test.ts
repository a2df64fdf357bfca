import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_SURVEY, EMPTY_WALL_FACE, YEAR_HOURS } from '../job/survey-schema';
import { buildingFindings, thermalModel, timeConstantHours } from './building';
import type { Equipment } from '../job/schema';
import type { Family } from '../trade/vocabulary';
import { compressorW, copAt, heatSourceOf, type HeatSource } from './heat-source';
import { savingOf, settingOf } from './saving';
import { coolingCurve, heatingYear, hoursAbove, hoursToCool, sunAt, type Plant } from './thermal';
import { hoursWithoutHeat, wallTasks } from './wall-work';
import { coldestStart, dayAt, hourOfDay, WEATHER_PLACES, weatherOf, yearOf } from './weather';

const plant: Plant = { lossWPerK: 200, capacityWhPerK: 6000, gainsW: 300, heatingW: 12000 };
const year = yearOf(WEATHER_PLACES[0]!);
const ALWAYS_20 = year.map(() => 20);
/** The same without the weather in which nobody heats. */
const winter = Float64Array.from(year, (outdoor) => Math.min(outdoor, 12));
const gas: HeatSource = {
  kind: 'burner',
  efficiency: { low: 0.85, mid: 0.85, high: 0.85 },
  price: { low: 0.12, mid: 0.12, high: 0.12 },
  strips: false
};
const pump = (strips: boolean): HeatSource =>
  heatSourceOf({ family: 'heat-pump', fuel: 'electricity', strips, efficiency: 2.8, pricePerKWh: 0.17 });
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
      const yearBalance = heatingYear(plant, yearOf(place), {
        settingC: year.map((_, hour) => settingOf(habits)(hour)),
        comfortC: 20,
        solarM2: 4
      });
      const into = yearBalance.heatKWh + yearBalance.gainsKWh;
      const out = yearBalance.lossKWh + yearBalance.storedKWh + yearBalance.airedKWh;
      expect(Math.abs(into - out) / into).toBeLessThan(0.001);
    }
  });

  it('holds the setting whenever the power suffices', () => {
    const yearBalance = heatingYear(plant, winter, { settingC: ALWAYS_20, comfortC: 20 });
    expect(Math.min(...yearBalance.indoor)).toBeGreaterThan(19.99);
    const weak = heatingYear({ ...plant, heatingW: 2000 }, winter, { settingC: ALWAYS_20, comfortC: 20 });
    expect(Math.min(...weak.indoor)).toBeLessThan(18);
  });

  it('takes the loss times the degree hours when nothing is set back and nothing gained', () => {
    const cold = Float64Array.from(year, (outdoor) => Math.min(outdoor, 12));
    const yearBalance = heatingYear({ ...plant, gainsW: 0 }, cold, { settingC: ALWAYS_20, comfortC: 20 });
    const degreeHours = cold.reduce((sum, outdoor) => sum + (20 - outdoor), 0);
    expect(yearBalance.heatKWh).toBeCloseTo((plant.lossWPerK * degreeHours) / 1000, 3);
  });
});

describe('the saving of a setback', () => {
  const input = {
    model: thermalModel(facts),
    hourly: year,
    source: gas,
    outlay: 100
  };

  it('is there for people who go out, and pays back sooner the dearer the fuel', () => {
    const cheap = savingOf({ ...input, habits });
    const dear = savingOf({
      ...input,
      habits,
      source: { ...gas, price: { low: 0.3, mid: 0.3, high: 0.3 } }
    });
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

  it('may be none at all with a heat pump whose strips bring the house back, and is one without strips', () => {
    const light = { ...facts, build: 'light' } as const;
    const at = (strips: boolean, model = thermalModel(light)) =>
      savingOf({ ...input, model, habits: { ...habits, setbackC: 15 }, source: pump(strips) });
    const withStrips = at(true);
    expect(withStrips.costs).toBe(true);
    expect(withStrips.possible).toBe(false);
    expect(withStrips.why).toContain('strips');
    expect(withStrips.heatKWh.mid).toBeGreaterThan(0);
    expect(withStrips.boughtKWh.mid).toBeLessThan(0);
    expect(at(false).boughtKWh.mid).toBeGreaterThan(0);
  });

  it('uses the power of the plate as it is: a small machine takes hours to bring the house back', () => {
    const hours = (heatingKw: number) =>
      savingOf({ ...input, habits, model: thermalModel({ ...facts, heatingKw }) }).recovery!;
    expect(hours(9).coldH).toBeGreaterThan(hours(25).coldH + 2);
    expect(hours(25).usualH).toBeLessThanOrEqual(2);
    expect(savingOf({ ...input, habits: { ...habits, setsBackToday: 'yes' } }).recovery).toBeNull();
  });

  it('has a band as wide as what is not known: efficiency and price of the fuel, loss and capacity together', () => {
    const known = savingOf({ ...input, habits });
    const open = savingOf({
      ...input,
      habits,
      source: heatSourceOf({
        family: 'furnace',
        fuel: 'unknown',
        strips: false,
        efficiency: null,
        pricePerKWh: null
      })
    });
    expect(open.dollars.high / open.dollars.low).toBeGreaterThan(
      3 * (known.dollars.high / known.dollars.low)
    );
  });

  it('is paid back at once where nothing is laid out', () => {
    expect(savingOf({ ...input, habits, outlay: 0 }).payBackYears).toEqual({ low: 0, mid: 0, high: 0 });
  });

  it('grows with the depth of the setback', () => {
    const at = (setbackC: number) => savingOf({ ...input, habits: { ...habits, setbackC } }).heatKWh.mid;
    expect(at(14)).toBeGreaterThan(at(17));
  });
});

describe('what makes the heat', () => {
  it('follows the family where nobody knows its efficiency', () => {
    const of = (family: Family, fuel: Equipment['fuel'] = 'unknown') =>
      heatSourceOf({ family, fuel, strips: true, efficiency: null, pricePerKWh: null });
    expect(of('electric-furnace').efficiency.mid).toBe(1);
    expect(of('heat-pump').efficiency.mid).toBeGreaterThan(2);
    expect(of('furnace', 'oil').efficiency.mid).toBeLessThan(of('furnace', 'gas').efficiency.mid);
    expect(of('furnace', 'gas').price.mid).toBeLessThan(of('electric-furnace').price.mid);
    expect([of('heat-pump').strips, of('furnace').strips]).toEqual([true, false]);
  });

  it('takes more for the same heat the colder it is, and gives less of it', () => {
    expect(copAt(2.8, -15)).toBeLessThan(copAt(2.8, 3));
    expect(copAt(2.8, 3)).toBeCloseTo(2.8, 9);
    expect(copAt(2.8, -60)).toBeGreaterThanOrEqual(1);
    expect(compressorW(6000, -20)).toBeLessThan(compressorW(6000, 10));
    expect(compressorW(6000, -5)).toBe(6000);
  });

  it('heats nobody’s house in summer', () => {
    const model = thermalModel(facts);
    const balance = heatingYear(
      { ...plant, lossWPerK: model.lossWPerK.mid, capacityWhPerK: model.capacityWhPerK.mid },
      year,
      {
        settingC: ALWAYS_20,
        comfortC: 20,
        solarM2: model.solarM2
      }
    );
    const warm = balance.powerW.filter((_, hour) => (year[hour] ?? 0) > 18);
    expect(warm.length).toBeGreaterThan(500);
    expect(warm.reduce((sum, watts) => sum + watts, 0) / 1000).toBeLessThan(0.002 * balance.heatKWh);
    const midsummer = sunAt(172 * 24 + 12);
    expect(midsummer).toBeGreaterThan(sunAt(355 * 24 + 12) * 1.8);
    expect(sunAt(172 * 24 + 2)).toBe(0);
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
    expect(yearOf({ ...WEATHER_PLACES[0]! })).toEqual(year);
    const mean = (from: number) => year.slice(from, from + 720).reduce((sum, value) => sum + value, 0) / 720;
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
