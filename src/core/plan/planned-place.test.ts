/** What stands beside a plan on its pages: worked out with it, and only anew where it has to be. */
import { FERRY_HOUSE } from '$demo/ferry-house';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { describe, expect, it } from 'vitest';
import type { House } from '../houses/builder';
import { boilerPlusAcHouse, furnaceWithSpare, heatOnly, heatPumpHouse } from '../houses/houses';
import { ODD_HOUSES } from '../houses/odd-houses';
import type { Job, Thermostat } from '../job/schema';
import { lessKnown } from '../scenarios/less-known';
import { findingText } from '../words/findings/table';
import { planFor } from './plan';
import { plannedPlace } from './planned-place';

const [classroom] = SCHOOLHOUSE.thermostats;
const placeOf = (job: Job, thermostat: Thermostat) => plannedPlace(job, thermostat, planFor(job, thermostat));

describe('what stands beside a plan', () => {
  it('is the house as answered: a colder floor, fewer hours and another saving', () => {
    const { study } = placeOf(SCHOOLHOUSE, classroom!);
    const { survey } = SCHOOLHOUSE;
    const colder = {
      ...SCHOOLHOUSE,
      survey: { ...survey, building: { ...survey.building, floorAreaM2: 400, draughts: 'draughty' as const } }
    };
    const after = placeOf(colder, classroom!).study;
    expect(after.coldest.hours.mid).not.toBe(study.coldest.hours.mid);
    expect(after.saving).not.toEqual(study.saving);
  });

  it('is worked through once for edits that are none of its business, and anew for one that is', () => {
    const first = placeOf(SCHOOLHOUSE, classroom!).study;
    const noted = { ...classroom!, note: 'The plate was painted over.' };
    const job = { ...SCHOOLHOUSE, thermostats: [noted, ...SCHOOLHOUSE.thermostats.slice(1)] };
    expect(placeOf(job, noted).study).toBe(first);
    const rebate = { ...SCHOOLHOUSE, survey: { ...SCHOOLHOUSE.survey, rebate: 5 } };
    expect(placeOf(rebate, classroom!).study.outlay).not.toBe(first.outlay);
  });

  it('saves the same in a year whichever way is taken, and lays out what its thermostats cost', () => {
    const { job, thermostat } = furnaceWithSpare();
    const study = (method: 'spare-conductor' | 'none', device: string | null = null) => {
      const choice = { ...thermostat.choice, method, device } as Thermostat['choice'];
      const chosen = { ...thermostat, choice };
      return placeOf({ ...job, thermostats: [chosen] }, chosen).study;
    };
    const [spare, none] = [study('spare-conductor'), study('none')];
    expect(spare.saving).toEqual(none.saving);
    expect(spare.withoutHeatH).not.toEqual(none.withoutHeatH);
    const dear = study('spare-conductor', 'de-fellgate');
    expect(dear.saving.heatKWh).toEqual(spare.saving.heatKWh);
    expect(dear.outlay).not.toBe(spare.outlay);
    expect(dear.unpriced).toBe(0);
    // Habits are another year, though everything else stands.
    const habits = { ...job.survey.habits, setbackC: job.survey.habits.setbackC - 3 };
    const colder = { ...job, survey: { ...job.survey, habits } };
    expect(placeOf(colder, thermostat).study.saving.heatKWh).not.toEqual(none.saving.heatKWh);
    expect(study('none').saving).toEqual(none.saving);
  });

  it('takes the minutes of the way that is taken, and none before one is', () => {
    const { job, thermostat } = furnaceWithSpare();
    const hours = (choice: Partial<Thermostat['choice']>) => {
      const chosen = { ...thermostat, choice: { ...thermostat.choice, ...choice } };
      const changed = { ...job, thermostats: [chosen] };
      return placeOf(changed, chosen).study.withoutHeatH;
    };
    const spare = hours({ method: 'spare-conductor' });
    const none = hours({ method: 'none' });
    expect(spare.late).toBeGreaterThan(none.late);
    expect(spare.usual).toBeLessThan(spare.late);
  });

  it('knows the supplies that have to be off, the outdoor unit that nobody recorded too', () => {
    const names = ({ job, thermostat }: { readonly job: Job; readonly thermostat: Thermostat }) =>
      placeOf(job, thermostat).known.supplies.map(({ id }) => id);
    expect(names(furnaceWithSpare())).toContain('outdoor-unit');
    expect(names(heatOnly())).not.toContain('outdoor-unit');
  });

  it('says to buy nothing while a stop is open', () => {
    const gas = { answer: 'yes' as const, at: '2026-01-05T09:00:00.000Z', resolved: null };
    const stopped = { ...classroom!, stops: { ...classroom!.stops, 'gas-smell': gas } };
    const job = { ...SCHOOLHOUSE, thermostats: [stopped, ...SCHOOLHOUSE.thermostats.slice(1)] };
    expect(placeOf(SCHOOLHOUSE, classroom!).buying.verdict).toBe('buy-now');
    expect(placeOf(job, stopped).buying.verdict).toBe('do-not-buy');
  });
});

describe('the verdict before buying, with a plan at hand', () => {
  const of = ({ job, thermostat }: House) => placeOf(job, thermostat);
  const codes = (house: House) => of(house).buying.findings.map(({ code }) => code);

  it('is not to buy as long as no way can be judged', () => {
    const place = of(ODD_HOUSES['common traced to two spots']());
    expect(place.plan.undecided).toBe(true);
    expect(place.buying.verdict).toBe('prepare-first');
    expect(place.buying.findings.map(({ code }) => code)).toContain('common-traces-disagree');
  });

  it('is not to buy for a house that is hurt as it is, nor where the chosen thermostat can be fed in no way', () => {
    expect(codes(ODD_HOUSES['jumper twice']())).toContain('fuse-opens');
    expect(of(ODD_HOUSES['jumper twice']()).buying.verdict).toBe('prepare-first');
    expect(codes(ODD_HOUSES['window too low']())).toContain('no-way-open');
    expect(of(ODD_HOUSES['window too low']()).buying.verdict).toBe('prepare-first');
  });

  it('is to settle the transformer that all hang on, where each alone would do', () => {
    const [landing] = FERRY_HOUSE.thermostats;
    const { buying } = placeOf(FERRY_HOUSE, landing!);
    expect(buying.verdict).toBe('prepare-first');
    expect(findingText(buying.because!)).toContain('See All together');
  });

  it('is not to buy a thermostat that does not fit, though another would', () => {
    const { job, thermostat } = heatPumpHouse();
    const chosen = {
      ...thermostat,
      choice: { ...thermostat.choice, device: 'de-sipper' as const }
    } as Thermostat;
    const house = { job: { ...job, thermostats: [chosen] }, thermostat: chosen };
    expect(of(house).buying.verdict).toBe('prepare-first');
    expect(codes(house)).toContain('no-heat-pump');
  });

  it.each([
    ['a furnace with a spare', furnaceWithSpare],
    ['a heat pump', heatPumpHouse],
    ['a boiler with an air conditioner', boilerPlusAcHouse]
  ] as const)('%s: with one fact less nobody is told to buy past what is open', (_, make) => {
    expect(of(make()).buying.verdict).toBe('buy-now');
    for (const { what, house } of lessKnown(make()).filter((__, at) => at % 2 === 0)) {
      const { plan, matches, buying } = of(house);
      const open = plan.undecided || matches[0]!.known !== 'read' || !plan.identification.decided;
      if (open) expect([what, buying.verdict]).toEqual([what, 'prepare-first']);
    }
  });
});
