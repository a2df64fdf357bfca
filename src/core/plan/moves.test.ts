/** What holds of every move list, over all houses, methods and devices: the order of the hands, and that each act can be done when it comes. */
import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { FERRY_HOUSE } from '../../demo/ferry-house';
import { CATALOGUE } from '../match/catalogue';
import { FAMILY_HOUSES } from '../houses/families';
import { HOUSES } from '../houses/houses';
import type { Job, Thermostat } from '../job/schema';
import { deviceOf, isSupply, landedTerminal, type Wiring } from '../wiring/graph';
import type { Move } from './move-types';
import { applyMoves, moveKey, movesBetween, wiringsAlong } from './moves';
import { planFor } from './plan';
import { bagFor } from './tools';

interface List {
  readonly name: string;
  readonly before: Wiring;
  readonly after: Wiring;
  readonly moves: readonly Move[];
}

const DEVICES = CATALOGUE.filter((device) =>
  ['de-fellgate', 'de-weftline', 'de-farspeak', 'de-pair', 'de-onebar'].includes(device.id)
);

function listsOf(name: string, job: Job, thermostat: Thermostat): List[] {
  return DEVICES.flatMap((device) =>
    planFor(job, thermostat, { device, neighbours: [] }).options.flatMap((option): List[] =>
      option.after === null || option.verdict === 'no'
        ? []
        : [
            {
              name: `${name}, ${device.id}, ${option.method}`,
              before: option.before,
              after: option.after,
              moves: option.moves
            }
          ]
    )
  );
}

const LISTS: readonly List[] = [
  ...Object.entries(HOUSES).flatMap(([name, make]) => {
    const { job, thermostat } = make();
    return listsOf(name, job, thermostat);
  }),
  ...Object.entries(FAMILY_HOUSES).flatMap(([family, trio]) => {
    const { job, thermostat } = trio.plain();
    return listsOf(family, job, thermostat);
  }),
  ...[SCHOOLHOUSE, FERRY_HOUSE].flatMap((job) =>
    job.thermostats.flatMap((thermostat) => listsOf(thermostat.name, job, thermostat))
  )
];

/** Every list, so that a failure names its house and way. */
function every(check: (list: List) => void): void {
  for (const list of LISTS) check(list);
}

const isPower = (move: Move) => move.action === 'power-off' || move.action === 'power-on';

describe('every move list', () => {
  it('is there to be looked at', () => {
    expect(LISTS.length).toBeGreaterThan(80);
    expect(new Set(LISTS.flatMap((list) => list.moves.map((move) => move.action))).size).toBeGreaterThan(7);
  });

  it('takes every supply off before anything else, and puts it on when all is done', () => {
    every(({ name, before, after, moves }) => {
      if (moves.length === 0) return;
      const first = moves.findIndex((move) => move.action !== 'power-off');
      const last = moves.map((move) => move.action === 'power-on').indexOf(true);
      expect(moves.slice(first, last).some(isPower), name).toBe(false);
      expect(
        moves.slice(last).every((move) => move.action === 'power-on'),
        name
      ).toBe(true);
      const supplies = (wiring: Wiring) => wiring.devices.filter(isSupply).map((device) => device.id);
      const acted = (action: Move['action']) =>
        moves.filter((move) => move.action === action).map((move) => move.what);
      for (const id of supplies(before)) expect(acted('power-off'), name).toContain(id);
      for (const id of supplies(after)) expect(acted('power-on'), name).toContain(id);
    });
  });

  it('leads from the one wiring to the other, and each move is another act', () => {
    every(({ name, before, after, moves }) => {
      const reached = applyMoves(before, moves);
      const ends = (wiring: Wiring) =>
        new Map(
          wiring.strands.map((strand) => [
            strand.id,
            [landedTerminal(strand.near), landedTerminal(strand.far)]
          ])
        );
      expect(ends(reached), name).toEqual(ends(after));
      const keys = moves.map(moveKey);
      expect(new Set(keys).size, name).toBe(keys.length);
      expect(
        moves.map((move) => move.id),
        name
      ).toEqual(moves.map((_, at) => `move-${at + 1}`));
    });
  });

  it('never has a wire on a device that is not there, whatever move one stands at', () => {
    every(({ name, before, moves }) => {
      for (const [at, wiring] of wiringsAlong(before, moves).entries()) {
        const landed = wiring.strands.flatMap((strand) => [
          landedTerminal(strand.near),
          landedTerminal(strand.far)
        ]);
        const links = wiring.links
          .filter((link) => link.kind !== 'inside')
          .flatMap((link) => [link.a, link.b]);
        for (const terminal of [...landed, ...links])
          if (terminal !== null)
            expect(deviceOf(wiring, terminal) !== undefined, `${name}, after move ${at}: ${terminal}`).toBe(
              true
            );
      }
    });
  });

  it('moves one end at a time, and lifts an end before it lands it elsewhere', () => {
    every(({ name, before, moves }) => {
      const along = wiringsAlong(before, moves);
      moves.forEach((move, at) => {
        if (move.change?.kind !== 'end') return;
        const [was, is] = [along[at]!, along[at + 1]!];
        const changed = is.strands.filter((strand, index) => strand !== was.strands[index]);
        expect(
          changed.map((strand) => strand.id),
          name
        ).toEqual([move.what]);
        if (move.action === 'land')
          expect(move.change.from.state, `${name}: ${move.text}`).not.toBe('landed');
      });
    });
  });

  it('names what the hands take hold of: wire, mark, tool, and how much to strip where it is landed', () => {
    every(({ name, before, after, moves }) => {
      const names = new Map([...before.strands, ...after.strands].map((strand) => [strand.id, strand.name]));
      for (const move of moves) {
        const where = `${name}: ${move.text}`;
        expect(move.text.length, where).toBeGreaterThan(15);
        expect(move.text, where).not.toMatch(/undefined|null|NaN/);
        if (move.change?.kind === 'end') {
          const cord = move.what.startsWith('co-cord');
          if (!cord) expect(move.text, where).toContain(names.get(move.what));
          expect(move.tools.length, where).toBeGreaterThan(0);
        }
        if (move.action === 'land') expect(move.strip, where).not.toBeNull();
        // A link of wire is stripped at its ends as well; nothing else is.
        else if (move.strip !== null) expect(move.action, where).toBe('link');
        expect(['wall', 'equipment'], where).toContain(move.end);
        expect(move.place, where).not.toBe('');
      }
      if (moves.length > 0) expect(bagFor(moves), name).toContain('meter');
    });
  });

  it('proves a wire that nobody has measured before it lands it', () => {
    every(({ name, before, moves }) => {
      for (const strand of before.strands) {
        const idle = strand.near.state !== 'landed' && strand.far.state !== 'landed';
        if (!idle || strand.continuity === 'proven') continue;
        const own = moves.filter((move) => move.what === strand.id);
        const landing = own.findIndex((move) => move.action === 'land');
        if (landing === -1) continue;
        expect(
          own.slice(0, landing).map((move) => move.action),
          name
        ).toContain('check');
      }
    });
  });
});

describe('no list', () => {
  it('is made where nothing changes', () => {
    const [any] = LISTS;
    expect(movesBetween(any!.before, any!.before)).toEqual([]);
    expect(movesBetween(any!.before, any!.before, [{ id: 'outdoor-unit', name: 'outdoor unit' }])).toEqual(
      []
    );
  });
});

describe('a supply that the wiring does not show', () => {
  it('is cut with the others and comes back after them', () => {
    const list = LISTS.find((candidate) => candidate.moves.length > 5)!;
    const moves = movesBetween(list.before, list.after, [{ id: 'outdoor-unit', name: 'outdoor unit' }]);
    expect(moves[0]).toMatchObject({ action: 'power-off', what: 'outdoor-unit' });
    expect(moves.at(-1)).toMatchObject({
      action: 'power-on',
      what: 'outdoor-unit',
      text: 'Power on: outdoor unit.'
    });
  });
});
