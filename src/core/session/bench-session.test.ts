import { describe, expect, it } from 'vitest';
import { PLAIN_CASE } from '../devices/world';
import { twoSupplyHouse } from '../houses/powered-houses';
import {
  causesOf,
  faultedWiring,
  observe,
  powerSession,
  sessionCalls,
  sessionCases,
  sessionFaults,
  type BenchSession
} from './bench-session';

const { wiring, world } = twoSupplyHouse();
const session = (more: Partial<BenchSession> = {}): BenchSession => ({
  sound: wiring,
  world,
  call: 'heat1',
  supplyCase: PLAIN_CASE,
  wrong: [],
  ...more
});
const powered = (more: Partial<BenchSession> = {}) => {
  const outcome = powerSession(session(more));
  if (!outcome.ok) throw new Error(outcome.why);
  return outcome.powered;
};
const loose = sessionFaults(wiring, world).find(
  (fault) => fault.kind === 'conductor-loose' && fault.hits.strands?.includes('co-2')
)!;

describe('a session at the bench', () => {
  it('shows what runs, the display and the volts, and gives no reason away', () => {
    const seen = observe(powered({ wrong: [loose.id] }));
    expect(seen.headline).toMatch(/^Heat is dead: burner/);
    expect(seen.displayLit).toBe(true);
    expect(seen.loads.filter((load) => load.energised)).toEqual([]);
    expect(seen.strands.get('co-2')?.state).toBe('dead');
    const { meter, strands, ...told } = seen;
    expect(JSON.stringify(told)).not.toContain(causesOf(powered({ wrong: [loose.id] })).reasons[0]!);
    expect(meter.volts('th.RC', 'th.C')).toBeGreaterThan(24);
    expect(strands.size).toBe(wiring.strands.length);
  });

  it('tells why when it is asked', () => {
    expect(causesOf(powered()).reasons).toEqual([]);
    expect(causesOf(powered({ wrong: [loose.id] })).reasons[0]).toMatch(/^Burner: /);
  });

  it('puts wrong what this wiring can have, several at once, and nothing else', () => {
    const other = sessionFaults(wiring, world).find(
      (fault) => fault.id !== loose.id && fault.kind === 'conductor-loose'
    )!;
    expect(faultedWiring(session())).toBe(wiring);
    expect(faultedWiring(session({ wrong: ['conductor-loose:gone'] }))).toBe(wiring);
    expect(faultedWiring(session({ wrong: [loose.id, other.id] }))).toEqual(other.apply(loose.apply(wiring)));
  });

  it('has the calls and the cases of its system', () => {
    expect(sessionCalls(wiring, world)).toContain('heat1');
    expect(sessionCases(wiring, world)).toEqual([PLAIN_CASE]);
    const touching = sessionFaults(wiring, world).find(({ id }) => id === 'conductors-shorted:co-1:co-3')!;
    expect(sessionCases(faultedWiring(session({ wrong: [touching.id] })), world)).toHaveLength(4);
  });

  it('says why nothing can be powered up', () => {
    const outcome = powerSession(session({ world: { ...world, family: 'communicating' } }));
    expect(outcome).toMatchObject({ ok: false });
    if (!outcome.ok) expect(outcome.why).toMatch(/^Not solved: /);
  });
});
