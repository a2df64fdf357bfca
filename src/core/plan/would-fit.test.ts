import { describe, expect, it } from 'vitest';
import { findDevice } from '../match/catalogue';
import { matchDevice } from '../match/match';
import type { House } from '../scenarios/builder';
import { furnaceFourWires, heatPumpHouse, lineVoltageHouse } from '../scenarios/houses';
import { planFor } from './plan';
import { wouldFit } from './would-fit';

describe('what would make it fit', () => {
  const fit = (where: House, model: string) => {
    const device = findDevice(where.job, model)!;
    const { options } = planFor(where.job, where.thermostat, { device });
    return wouldFit(where.job, where.thermostat, matchDevice(where.job, where.thermostat, device), options);
  };

  it('names the ways that would feed it here', () => {
    const { steps, ways, instead } = fit(furnaceFourWires(), 'de-fellgate');
    expect(ways.map((one) => one.title)).toContain('Pull a new cable');
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
