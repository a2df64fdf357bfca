/** The link that a thermostat comes with: it comes and goes with it, and a change takes it out. */
import { describe, expect, it } from 'vitest';
import { boardOf, linkOf, strandOf, thermostatOf, wiringFrom } from '../houses/hand-wired';
import { house } from '../houses/builder';
import { CATALOGUE, findDevice } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { applyChange, difference, reverseChange } from './difference';
import { sortedWiring, type OldThermostat, type Wiring } from './graph';
import { linkInBox, ownLink } from './own-link';

const facts = (id: string) => CATALOGUE.find((device) => device.id === id)!;
const fellgate = facts('de-fellgate');
const old: OldThermostat = {
  ...thermostatOf(fellgate, 'th-old'),
  kind: 'old-thermostat',
  supply: 'none'
} as unknown as OldThermostat;
const base = (devices: Wiring['devices'], links: Wiring['links']): Wiring =>
  wiringFrom({
    devices: [...devices, boardOf('eq', ['R', 'W'])],
    strands: [strandOf('a', null, ['eq', 'W'])],
    links
  });
const lead = (wiring: Wiring, changes: ReturnType<typeof difference>) => changes.reduce(applyChange, wiring);

describe('the link in the box', () => {
  it('is there where RH and RC are joined by something that can be taken out, and nowhere else', () => {
    const rails = CATALOGUE.map((device) => [device.rails, linkInBox(device, 'wall') !== null] as const);
    for (const [kind, has] of rails)
      expect(has, kind).toBe(kind === 'link-removable' || kind === 'link-to-be-cut');
    expect(ownLink(boardOf('eq', ['R']))).toBeNull();
  });

  const own = linkInBox(fellgate, 'wall')!;
  const plate = linkOf('wall', 'th-old.RH', 'th-old.RC');
  const fresh = { ...thermostatOf(fellgate), id: fellgate.id };

  it('comes with the thermostat, and stays without a change of its own', () => {
    const changes = difference(base([old], [plate]), base([fresh], [own]));
    expect(changes.map((change) => change.kind)).toEqual(['device-off', 'device-on']);
    expect(sortedWiring(lead(base([old], [plate]), changes))).toEqual(sortedWiring(base([fresh], [own])));
  });

  it('is taken out by a change after the thermostat has come, and every step can be taken back', () => {
    const [before, after] = [base([old], [plate]), base([fresh], [])];
    const changes = difference(before, after);
    expect(changes.map((change) => change.kind)).toEqual(['device-off', 'device-on', 'link-off']);
    const there = lead(before, changes);
    expect(sortedWiring(there)).toEqual(sortedWiring(after));
    expect(sortedWiring(lead(there, changes.map(reverseChange).reverse()))).toEqual(sortedWiring(before));
  });

  it('is no second link where it is there already', () => {
    const wiring = base([fresh], [own]);
    expect(() => applyChange(wiring, { kind: 'link-on', link: own })).toThrow('is there already');
  });
});

describe('the list of moves', () => {
  const said = (strands: string[], model: string, method: 'existing-c' | 'plug-in-transformer') => {
    const made = house({
      strands,
      board: ['R', 'C', 'W'],
      observed: {
        'conductor-build': 'thin',
        'heat-from': 'registers',
        flue: 'burner',
        'outdoor-unit': 'none'
      },
      equipment: { kind: 'furnace', fuel: 'gas' }
    });
    const plan = planFor(made.job, made.thermostat, { device: findDevice(made.job, model)!, method });
    return plan.moves.map((move) => move.text);
  };
  const withC = ['RD R R', 'WH W W', 'BU C C'];

  it('says to leave it in with one supply, and to take it out before the head goes on with two', () => {
    const moves = said(withC, 'de-fellgate', 'existing-c');
    expect(moves.some((text) => text === 'See that the clip joins RH and RC.')).toBe(true);
    const two = said(['RD R R', 'WH W W'], 'de-fellgate', 'plug-in-transformer');
    const out = two.findIndex((text) => text.startsWith('Take the jumper between RH and RC out'));
    const mounted = two.findIndex((text) => text.startsWith('Level the plate of the Tarnwick'));
    const landed = two.findIndex((text) => text.startsWith('Land the'));
    expect(mounted).toBeGreaterThan(-1);
    expect(out).toBeGreaterThan(mounted);
    expect(landed).toBeGreaterThan(out);
  });

  it('says to cut it where it has to be cut, and to set it inside where it is joined inside', () => {
    const cut = CATALOGUE.find((device) => device.rails === 'link-to-be-cut')!;
    expect(said(['RD R R', 'WH W W'], cut.id, 'plug-in-transformer').join(' ')).toContain(
      'Cut the piece that joins'
    );
    const inside = CATALOGUE.find(
      (device) => device.rails === 'joined-inside' && device.supply !== 'battery'
    )!;
    expect(said(withC, inside.id, 'existing-c').join(' ')).toContain(
      'in its set-up, say that there is one transformer'
    );
  });
});
