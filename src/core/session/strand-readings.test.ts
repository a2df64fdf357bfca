import { describe, expect, it } from 'vitest';
import { powerUp } from '../circuit/simulate';
import { splitterHouse } from '../houses/half-wave-houses';
import { twoSupplyHouse } from '../houses/powered-houses';
import type { Call } from '../trade/calls';
import { readStrands } from './strand-readings';

function live({ wiring, world }: ReturnType<typeof twoSupplyHouse>, call: Call) {
  const made = powerUp(wiring, world, call);
  if (!made.ok) throw new Error(made.why);
  return readStrands(wiring, made.meter);
}

describe('what a strand shows', () => {
  it('tells current from waiting from dead', () => {
    const idle = live(twoSupplyHouse(), 'idle');
    expect(idle.get('co-1')).toMatchObject({ state: 'waits', amps: expect.closeTo(0, 6) });
    expect(idle.get('co-2')).toMatchObject({ state: 'dead', text: '–' });
    expect(idle.get('co-3')?.state).toBe('carries');
    expect(live(twoSupplyHouse(), 'heat1').get('co-2')).toMatchObject({ state: 'carries' });
  });

  it('reads each supply against its own common', () => {
    const idle = live(twoSupplyHouse(), 'idle');
    expect(idle.get('co-1')?.volts).toBeGreaterThan(26);
    expect(idle.get('co-3')?.volts).toBeGreaterThan(26);
  });

  it('shows the shared wire at work while only the fan is called', () => {
    expect(live(splitterHouse(), 'fan').get('co-3')?.state).toBe('carries');
    expect(live(splitterHouse(), 'idle').get('co-3')?.state).toBe('dead');
  });
});
