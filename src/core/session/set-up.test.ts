/** A control does what it was told, right or wrong: solved in the circuit that it hangs in. */
import { describe, expect, it } from 'vitest';
import { chosen, finished } from '../houses/finished';
import * as houses from '../houses/houses';
import { reachableCalls } from '../devices/reach';
import { settingsOf } from '../handover/settings';
import type { Call } from '../trade/calls';
import type { House } from '../houses/builder';
import { joiningTies, otherwiseWith, type SetUp } from './set-up';

function with_(house: House, device: string, setUp: SetUp) {
  const { wiring, worlds } = finished(chosen(house, device));
  const { world } = worlds[0]!;
  const calls: readonly Call[] = reachableCalls(wiring, world);
  return otherwiseWith(wiring, world, calls, setUp);
}

describe('a thermostat that is set up', () => {
  it.each([
    ['furnaceWithSpare', 'fellgate'],
    ['heatPumpHouse', 'onebar'],
    ['electricFurnaceHouse', 'fellgate'],
    ['boilerHouse', 'fellgate']
  ] as const)('as the sheet of %s says calls for what the house has', (name, device) => {
    const made = finished(chosen(houses[name](), device));
    const right = Object.fromEntries(
      settingsOf(made).settings.flatMap(({ id, value }) => (value === null ? [] : [[id, value]]))
    );
    const { world } = made.worlds[0]!;
    expect(otherwiseWith(made.wiring, world, reachableCalls(made.wiring, world), right)).toEqual([]);
  });

  it('with the valve the wrong way round cools when heat is called, and heats when cooling is', () => {
    const wrong = with_(houses.heatPumpHouse(), 'onebar', { valve: 'B' });
    expect(wrong.find(({ call }) => call === 'heat1')).toMatchObject({
      turned: 'cools',
      extra: ['reversing-valve']
    });
    expect(wrong.find(({ call }) => call === 'cool1')).toMatchObject({
      turned: 'heats',
      missing: ['reversing-valve']
    });
  });

  it('that leaves the blower to a machine without one of its own lets the strips glow in still air', () => {
    const [wrong] = with_(houses.electricFurnaceHouse(), 'fellgate', { fan: 'machine' });
    expect(wrong).toMatchObject({ call: 'heat1', missing: ['blower'], extra: [] });
  });

  it('for a heat pump on a furnace starts the compressor when heat is called', () => {
    const wrong = with_(houses.furnaceWithSpare(), 'fellgate', { kind: 'heat-pump' });
    expect(wrong.find(({ call }) => call === 'heat1')?.extra).toContain('compressor');
  });

  it('without auxiliary heat never calls the strips', () => {
    const wrong = with_(houses.heatPumpHouse(), 'onebar', { auxiliary: 'none' });
    expect(wrong.find(({ call }) => call === 'aux')?.missing).toContain('strips');
  });

  it('with its hot sides apart, where one supply feeds both, leaves one side dead', () => {
    const wrong = with_(houses.heatPumpHouse(), 'onebar', { supplies: 'two' });
    expect(wrong.flatMap(({ missing }) => missing).length).toBeGreaterThan(0);
  });

  it('that joins its hot sides ties two supplies where two machines feed them, and none where one does', () => {
    const ties = (house: House, device: string) => {
      const { wiring, worlds } = finished(chosen(house, device));
      const devices = wiring.devices.map((device) =>
        device.kind === 'new-thermostat'
          ? { ...device, facts: { ...device.facts, rails: 'joined-inside' as const } }
          : device
      );
      return joiningTies({ ...wiring, devices }, worlds[0]!.world);
    };
    expect(ties(houses.boilerPlusAcHouse(), 'fellgate')).toBe(true);
    expect(ties(houses.heatPumpHouse(), 'onebar')).toBe(false);
  });
});
