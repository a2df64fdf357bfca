import { describe, expect, it } from 'vitest';
import { findDevice } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { makeId } from '../job/ids';
import type { House } from '../scenarios/builder';
import { furnaceWithCommon } from '../scenarios/houses';

const option = ({ job, thermostat }: House, model: string) =>
  planFor(job, thermostat, { device: findDevice(job, model) ?? null }).options.find(
    (one) => one.method === 'existing-c'
  )!;
const row = (where: House, model: string) =>
  option(where, model).proof?.worlds[0]?.rows.find((one) => one.call === 'cool1');
const said = (where: House, model: string) =>
  option(where, model).findings.filter((one) => one.code === 'volts-at-limits');

/** The house with a common, and a device of this window. */
function withWindow(voltsMin: number, voltsMax: number): House {
  const base = furnaceWithCommon();
  const device = { ...findDevice(base.job, 'de-fellgate')!, id: makeId('device', 'own'), voltsMin, voltsMax };
  return { job: { ...base.job, devices: [device] }, thermostat: base.thermostat };
}

describe('the mains at its limits', () => {
  it('moves the voltage by a tenth either way, as a circuit without diodes must', () => {
    const { voltsLow, voltsAfter, voltsHigh } = row(furnaceWithCommon(), 'de-fellgate')!;
    expect(voltsLow).toBeCloseTo(0.9 * voltsAfter!, 6);
    expect(voltsHigh).toBeCloseTo(1.1 * voltsAfter!, 6);
  });

  it('is a condition where it takes the thermostat over what its sheet stands, and none where it does not', () => {
    const narrow = withWindow(22, 28);
    const [high] = said(narrow, 'de-own');
    expect(high?.text).toContain('With the mains 10 % high, the thermostat gets 29.8 V');
    expect(high?.level).toBe('warn');
    expect(option(narrow, 'de-own').verdict).toBe('care');
    expect(said(furnaceWithCommon(), 'de-fellgate')).toEqual([]);
    expect(option(furnaceWithCommon(), 'de-fellgate').verdict).toBe('go');
  });

  it('is told from what fails at rated mains already: that is a stop, and each call is said once', () => {
    // 26 V: met by an idle house and by the fan alone, not in heating and cooling.
    const { findings, verdict } = option(withWindow(26.3, 30), 'de-own');
    const of = (code: string) => findings.filter((one) => one.code === code).flatMap((one) => one.because);
    expect(verdict).toBe('no');
    expect(of('thermostat-unfed')).toEqual(['call:heat1', 'call:cool1']);
    expect(of('volts-at-limits')).toEqual(['call:idle', 'call:fan']);
  });
});
