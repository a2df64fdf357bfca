/** What was worked out lately: made once, found again, and never more of it than was asked for. */
import { describe, expect, it } from 'vitest';
import { recently } from './recent';

function counted(most: number) {
  const made: string[] = [];
  const found = recently<string>(most);
  return {
    made,
    ask: (key: string) =>
      found(key, () => {
        made.push(key);
        return key.toUpperCase();
      })
  };
}

describe('what was worked out lately', () => {
  it('is made once and found again', () => {
    const { made, ask } = counted(3);
    expect([ask('a'), ask('a')]).toEqual(['A', 'A']);
    expect(made).toEqual(['a']);
  });

  it('keeps what is asked for again, though it is older', () => {
    const { made, ask } = counted(2);
    for (const key of ['a', 'b', 'a', 'c', 'a']) ask(key);
    expect(made).toEqual(['a', 'b', 'c']);
  });

  it('gives up the oldest when there are more than it may hold, and keeps the rest', () => {
    const { made, ask } = counted(2);
    for (const key of ['a', 'b', 'c', 'b', 'c', 'a']) ask(key);
    expect(made).toEqual(['a', 'b', 'c', 'a']);
  });
});
