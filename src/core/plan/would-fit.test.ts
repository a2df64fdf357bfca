import { describe, expect, it } from 'vitest';
import { findDevice } from '../match/catalogue';
import type { House } from '../houses/builder';
import { FAMILY_HOUSES } from '../houses/families';
import { furnaceFourWires, furnaceWithCommon, heatPumpHouse, lineVoltageHouse } from '../houses/houses';
import { planFor, type Plan } from './plan';
import { wouldFit } from './would-fit';

describe('what would make it fit', () => {
  const fit = (where: House, model: string) => {
    return wouldFit(where.job, where.thermostat, findDevice(where.job, model)!);
  };

  it('names the ways that would feed it here', () => {
    const { steps, ways, instead } = fit(furnaceFourWires(), 'de-fellgate');
    expect(ways.map((way) => way.title)).toContain('Pull a new cable');
    expect(steps).toEqual([`Feed it in one of the ${ways.length} ways below; the first is the best here.`]);
    expect(instead).toEqual([]);
  });

  it('names others where nothing would make this one fit', () => {
    const { instead } = fit(heatPumpHouse(), 'de-sipper');
    expect(instead).toContain('Hollinfast Onebar');
    expect(instead).not.toContain('Pennhollow Sipper');
  });

  it('says so where no device does', () => {
    expect(fit(lineVoltageHouse(), 'de-fellgate').steps.join(' ')).toContain(
      'no other of the devices known here'
    );
  });
});

describe('a device that by its sheet drives no heat pump, though it has a terminal for every wire', () => {
  const own = (heatPump: boolean) => ({ ...findDevice(heatPumpHouse().job, 'de-onebar')!, heatPump });
  const plan = (where: House, heatPump: boolean) =>
    planFor(where.job, where.thermostat, { device: own(heatPump) });

  it.each([
    ['heat pump', heatPumpHouse],
    ['heat pump with a burner for help', FAMILY_HOUSES['dual-fuel'].plain]
  ])(
    'is fed in no way on a %s: a match that refuses it and a plan that does not would contradict each other',
    (_, make) => {
      const wired = (made: Plan) =>
        made.options.filter((option) => option.standing !== 'left' && option.after !== null);
      expect(wired(plan(make(), true)).some((option) => option.verdict !== 'no')).toBe(true);
      expect(wired(plan(make(), false)).map((option) => option.verdict)).toEqual(
        wired(plan(make(), false)).map(() => 'no')
      );
      expect(wired(plan(make(), false))[0]?.findings[0]?.code).toBe('no-heat-pump');
    }
  );

  it('is fed like any other where there is none', () => {
    const { options } = plan(furnaceWithCommon(), false);
    expect(options.find((option) => option.method === 'existing-c')?.verdict).toBe('go');
  });
});
