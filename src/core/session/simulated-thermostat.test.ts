import { describe, expect, it } from 'vitest';
import { BOOT_SECONDS, COMPRESSOR_WAIT_SECONDS, screenAt, type Feed } from './simulated-thermostat';

const good: Feed = { idleVolts: 25.6, callVolts: 24.9, least: 18, most: 30, runs: ['compressor', 'blower'] };
const at = (seconds: number, called: number | null = null, dbm: number | null = -60) => ({
  seconds,
  called,
  dbm
});

describe('the simulated thermostat', () => {
  it('boots, is ready, and joins a network that is strong enough', () => {
    expect(screenAt(good, at(3)).phase).toBe('booting');
    const ready = screenAt(good, at(BOOT_SECONDS + 60));
    expect(ready).toMatchObject({ phase: 'ready', network: 'joined', running: [] });
    expect(ready.lines).toContain('Ready');
    expect(screenAt(good, at(90, null, -72)).network).toBe('weak');
    expect(screenAt(good, at(90, null, -88)).network).toBe('none');
  });

  it('is dark without volts, falls over again and again with too few, and says it of too many', () => {
    expect(screenAt({ ...good, idleVolts: null }, at(100)).phase).toBe('dark');
    const weak = { ...good, idleVolts: 14 };
    expect(screenAt(weak, at(100)).phase).toBe('falls-over');
    expect([0, 3, 8, 14].map((seconds) => screenAt(weak, at(seconds)).lines.length)).toEqual([1, 1, 0, 1]);
    expect(screenAt({ ...good, idleVolts: 120 }, at(100)).phase).toBe('too-much');
  });

  it('goes down with the volts when what it calls is too much for the transformer', () => {
    expect(screenAt({ ...good, callVolts: 15 }, at(400, 10)).phase).toBe('falls-over');
    expect(screenAt({ ...good, idleVolts: 18.4 }, at(100)).lines[0]).toBe('Low supply: 18.4 V');
  });

  it('waits five minutes before a compressor, after power and after a call, and runs the rest at once', () => {
    const early = screenAt(good, at(60, 30));
    expect(early.running).toEqual(['blower']);
    expect(early.lines[0]).toBe('Compressor waits 4:30');
    expect(screenAt(good, at(900, COMPRESSOR_WAIT_SECONDS)).running).toEqual(['compressor', 'blower']);
    expect(screenAt({ ...good, runs: [] }, at(900, 20)).lines).toContain('Called, and nothing answers');
  });
});
