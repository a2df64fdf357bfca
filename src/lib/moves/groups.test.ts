import { describe, expect, it } from 'vitest';
import type { Move } from '$core/plan/move-types';
import { groupMoves, placeHead } from './groups';

const at = (place: string, id: string): Move => ({
  id,
  end: place === 'wall' ? 'wall' : 'equipment',
  place,
  action: 'lift',
  what: id,
  from: '',
  to: '',
  text: id,
  tools: [],
  strip: null,
  change: null
});

describe('moves under heads', () => {
  it('keep their order and their numbers, and a place come back to is a visit of its own', () => {
    const moves = ['furnace', 'furnace', 'wall', 'furnace'].map((place, index) => at(place, `m${index}`));
    const groups = groupMoves(moves);
    expect(groups.map(({ key, first, moves: own }) => [key, first, own.map((move) => move.id)])).toEqual([
      ['furnace', 1, ['m0', 'm1']],
      ['wall', 3, ['m2']],
      ['furnace', 4, ['m3']]
    ]);
    expect(groupMoves([])).toEqual([]);
  });

  it('part where the key says, not only where the place changes', () => {
    const moves = [at('wall', 'kitchen-1'), at('wall', 'kitchen-2'), at('wall', 'loft-1')];
    const groups = groupMoves(moves, (move) => move.id.split('-')[0] ?? '');
    expect(groups.map((group) => group.moves.length)).toEqual([2, 1]);
    expect(placeHead('wall')).toBe('At the wall');
  });
});
