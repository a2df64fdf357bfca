import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../match/catalogue';
import { readDevice, writeDevice } from './device-json';

const [device] = CATALOGUE;

describe('the facts of a device as a file', () => {
  it('come back as they were written, for every shipped one', () => {
    for (const facts of CATALOGUE)
      expect(readDevice(writeDevice(facts))).toEqual({ ok: true, device: facts });
  });

  it('are read with what is not said left unknown', () => {
    const { adapters, accessoryOutputs, setUp, ...rest } = device!;
    const text = JSON.stringify({ format: 'ulterum-device', version: 1, device: rest });
    expect([adapters, accessoryOutputs, setUp === '']).toEqual(['any', 'none', false]);
    expect(readDevice(text)).toMatchObject({
      ok: true,
      device: { adapters: 'unknown', accessoryOutputs: 'unknown', setUp: '' }
    });
  });

  it.each([
    ['text that breaks off', '{"format": "ulterum-device"', 'the file: JSON'],
    ['a list', '[]', 'the file: the facts of a device'],
    ['a job', '{"format": "ulterum-job"}', 'format: "ulterum-device"'],
    [
      'a wrong value',
      writeDevice(device!).replace('"drawVa": 3', '"drawVa": -3'),
      'device.drawVa: a number above 0'
    ],
    ['an unknown key', writeDevice(device!).replace('"drawVa"', '"draw"'), 'device.draw: no such key'],
    [
      'a window that is none',
      writeDevice({ ...device!, voltsMin: 30, voltsMax: 18 }),
      'device.voltsMin: less than the highest voltage'
    ],
    [
      'electronics fed from a terminal that it does not have',
      writeDevice({ ...device!, electronicsFrom: 'ZZ' }),
      'device.electronicsFrom: one of its own terminals'
    ],
    ['too much', ' '.repeat(100_001), 'the file: at most 0.1 MB']
  ])('are refused with the place of the fault: %s', (_, text, fault) => {
    const read = readDevice(text);
    expect(read.ok).toBe(false);
    const faults = read.ok ? [] : read.faults.map((fault) => `${fault.path}: ${fault.expected}`);
    expect(faults).toContain(fault);
  });
});
