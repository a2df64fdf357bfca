import { describe, expect, it } from 'vitest';
import { findDevice } from '../match/catalogue';
import { wiringsAlong } from '../plan/moves';
import { planFor } from '../plan/plan';
import { furnaceFourWires } from '../houses/houses';
import { moveSvg } from './move-svg';

const { job, thermostat } = furnaceFourWires();
const option = planFor(job, thermostat, { device: findDevice(job, 'de-fellgate') ?? null }).options.find(
  (plannedOption) => plannedOption.method === 'repurpose-g'
)!;
const along = wiringsAlong(option.before, option.moves);
const pictures = option.moves.map((move, at) => ({ move, svg: moveSvg(along[at]!, along[at + 1]!, move) }));
const of = (action: string, what: string, end: string) =>
  pictures.find(
    (picture) => picture.move.action === action && picture.move.what === what && picture.move.end === end
  )?.svg ?? '';

describe('the picture of a move', () => {
  it('shows both ends of the wire before and after, and marks the end that moves', () => {
    const svg = of('land', 'co-4', 'equipment');
    const words = [...svg.matchAll(/>([^<>]+)<\/text>/g)].map((regExpExecArray) => regExpExecArray[1]);
    // Before: G at the wall, loose at the board. After: G at the wall, C at the board.
    expect(words).toEqual(['before', 'after', 'GN', 'G', 'loose', 'GN', 'G', 'C']);
    expect(svg.match(/fill="#000" stroke/g)).toHaveLength(1);
  });

  it('shows a link open and joined', () => {
    const svg = of('link', 'ln-y-g', 'equipment');
    expect(svg.indexOf('>open<')).toBeLessThan(svg.indexOf('>joined<'));
  });

  it('is there for every move that changes the wiring, and for no other', () => {
    for (const { move, svg } of pictures)
      expect(svg !== null, move.text).toBe(move.change !== null && !move.change.kind.startsWith('cable'));
  });
});
