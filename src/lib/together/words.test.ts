import { describe, expect, it } from 'vitest';
import { planTogether } from '$core/plan/together';
import { FERRY_HOUSE } from '$demo/ferry-house';
import { togetherContent } from '../files/together-pdf';
import { byTheMetreText, deviceText, jointGroups, jointPictures, ownerOf, rollText, wayText } from './words';
import { partText } from '../moves/bands';

const planned = (plannedVa: number | null) => {
  const equipment = FERRY_HOUSE.equipment.map((machine) => ({ ...machine, plannedVa }));
  return planTogether({ ...FERRY_HOUSE, equipment });
};
const together = planned(75);
const names = new Map<string, string>(
  FERRY_HOUSE.thermostats.map((thermostat) => [thermostat.id, thermostat.name])
);
const run = { conductors: 5, gauge: 18 as const, for: 'Net loft' };

describe('the plan of a whole job in words', () => {
  it('puts each wall under its own head, and the machine under one for all of a visit', () => {
    const groups = jointGroups(together.moves, names);
    const heads = groups.map((group) => group.head);
    for (const name of names.values()) expect(heads).toContain(`At the wall: ${name}`);
    const panel = groups.filter((group) => group.head.startsWith('At the Zone panel'));
    const served = new Set(
      panel.flatMap((jointGroup) => jointGroup.moves.flatMap((move) => move.thermostats))
    );
    expect(served.size).toBe(names.size);
    expect(groups.flatMap((group) => group.moves).map((move) => move.id)).toEqual(
      together.moves.map((move) => move.id)
    );
    expect(groups.map((group) => group.first)).toEqual(
      groups.map((_, at) => 1 + groups.slice(0, at).reduce((sum, group) => sum + group.moves.length, 0))
    );
  });

  it('names the owner of a wire at the shared machine, and nobody where the head does or all are meant', () => {
    const atMachine = together.moves.filter((move) => move.end === 'equipment');
    const owned = atMachine.filter((jointMove) => ownerOf(jointMove, names) !== '');
    expect(owned.length).toBeGreaterThan(4);
    for (const move of owned) expect(ownerOf(move, names)).toBe(names.get(move.thermostats[0]!));
    const shared = together.moves.filter((move) => move.thermostats.length > 1 || move.end === 'wall');
    expect(shared.every((jointMove) => ownerOf(jointMove, names) === '')).toBe(true);
  });

  it('has a picture before and after for every move, and the second of one is the first of the next', () => {
    const pictures = jointPictures(together);
    for (const { thermostat } of together.places) {
      const own = together.moves.filter((move) => move.thermostats.includes(thermostat.id));
      const solo = own.filter((jointMove) => jointMove.thermostats.length === 1);
      expect(
        solo.every((jointMove) => pictures.get(jointMove.id)?.every((wiring) => wiring !== undefined))
      ).toBe(true);
    }
    expect([...pictures.keys()].sort()).toEqual(together.moves.map((move) => move.id).sort());
  });

  it('tells a way that is taken from one that is only recommended', () => {
    const [first] = together.places;
    expect(wayText(first!, true)).toBe('Use a spare wire, Tarnwick Fellgate 4');
    expect(wayText(first!, false)).toMatch(/\(recommended, not chosen\)$/);
    expect(wayText({ ...first!, assumedDevice: true }, true)).toBe('Use a spare wire, no device chosen yet');
  });

  it('says what to buy with whose it is, and a price only where there is one', () => {
    const [first] = together.places;
    const priced = (price: number | null) => deviceText({ ...first!, device: { ...first!.device, price } });
    expect(priced(89)).toBe('Tarnwick Fellgate 4, for Landing, $89');
    expect(priced(null)).toBe('Tarnwick Fellgate 4, for Landing');
    expect(partText({ id: 'p', name: 'Lever connectors', quantity: 3, unit: 'piece', cost: 4 })).toBe(
      '3 pieces: Lever connectors, about $4'
    );
    const runs = [
      { ...run, lengthM: 13 },
      { ...run, lengthM: 14, for: 'Boat room' }
    ];
    expect(rollText({ conductors: 5, gauge: 18, lengthM: 30, cost: 62, runs, restM: 3 })).toBe(
      '5 wires, 18 AWG, a roll of 30 m, about $62: cut 13 m for Net loft, 14 m for Boat room; 3 m are left'
    );
    expect(byTheMetreText({ ...run, conductors: 1, lengthM: 400 })).toMatch(/^1 wire, 400 m for Net loft/);
  });
});

describe('the plan of a whole job on paper', () => {
  const text = (plan: typeof together) =>
    JSON.stringify(togetherContent({ together: plan, title: 'Ferry house', names, chosen: new Set() }));

  it('has the cautions before the first move, and every move with its number', () => {
    const paper = text(together);
    const first = paper.indexOf(JSON.stringify(together.moves[0]!.text).slice(1, -1));
    expect(paper.indexOf('call a licensed person')).toBeGreaterThan(0);
    expect(paper.indexOf('call a licensed person')).toBeLessThan(first);
    for (const move of together.moves) expect(paper).toContain(JSON.stringify(move.text));
    for (const at of together.moves.keys())
      expect(paper).toContain(`{"text":"${at + 1}","alignment":"right"}`);
    expect(paper).toContain('13 m for Ferryman’s kitchen');
  });

  it('says why ways are closed where nothing is moved, and what would open them', () => {
    const paper = text(planned(null));
    expect(paper).toContain('Nothing is moved');
    expect(paper).toMatch(/Landing, [^:]*Boat room: STOP\. /);
    expect(paper).toContain('Too much. One of 75 VA would carry them all.');
    expect(paper).not.toContain('To buy, for all');
  });
});
