import { describe, expect, it } from 'vitest';
import { mainsHouse, type MainsHouse } from '../../houses/mains-houses';
import { wiringFromMains, wireName } from '../../wiring/from-mains';
import { rowText } from './row-text';
import { inputsOf, rowsOf } from './rows';

const textsOf = (house: MainsHouse) => {
  const wiring = wiringFromMains(mainsHouse(house));
  return rowsOf(inputsOf(wiring)).map((row) => rowText(row, wiring));
};

describe('a state in words', () => {
  it('names what the house has that asks, and nothing else', () => {
    expect(textsOf('room-at-boiler')).toEqual(['room warm', 'room calls']);
    expect(textsOf('combination')).toEqual([
      'heating off, room warm',
      'heating on, room warm',
      'heating off, room calls',
      'heating on, room calls'
    ]);
    expect(textsOf('two-valve')).toContain('heating on, hot water off, room calls, cylinder hot');
  });

  it('names rooms by their thermostats where there are several', () => {
    expect(textsOf('two-zones')[0]).toContain('room thermostat upstairs warm');
  });

  it('is always the same where nothing asks', () => {
    const { devices, ...rest } = mainsHouse('room-at-boiler');
    const wiring = wiringFromMains({
      ...rest,
      devices: devices.filter(({ part }) => part !== 'room-thermostat')
    });
    expect(rowsOf(inputsOf(wiring)).map((row) => rowText(row, wiring))).toEqual(['always']);
  });
});

describe('a wire of mains controls in words', () => {
  it('is uncoloured where nobody has said its colour, and carries sleeve and label', () => {
    const wire = { colour: null, stripe: null, sleeve: null, label: '' } as const;
    expect(wireName(wire)).toBe('uncoloured');
    expect(wireName({ ...wire, colour: 'GN', stripe: 'YE' })).toBe('green-yellow');
    expect(wireName({ ...wire, colour: 'BU', sleeve: 'BN', label: 'hall' })).toBe(
      'blue, sleeved brown (hall)'
    );
  });
});
