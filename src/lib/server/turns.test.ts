import { afterEach, describe, expect, it, vi } from 'vitest';
import { inTurn, MOST_MS } from './turns';

afterEach(() => void vi.restoreAllMocks());

/** Work that goes on until it is let go. */
function held() {
  let release = () => {};
  const gate = new Promise<void>((done) => (release = done));
  return { release, work: () => gate.then(() => new Response('done')) };
}

describe('heavy work on the server', () => {
  it('is done one piece after the other, in the order of asking', async () => {
    const order: number[] = [];
    await Promise.all(
      [1, 2, 3].map((number) =>
        inTurn(async () => {
          order.push(number);
          await new Promise((next) => setImmediate(next));
          order.push(-number);
          return new Response('');
        })
      )
    );
    expect(order).toEqual([1, -1, 2, -2, 3, -3]);
  });

  it('turns away who would be one too many, and takes people in again afterwards', async () => {
    const { release, work } = held();
    const inside = Array.from({ length: 64 }, () => inTurn(work));
    const refused = await inTurn(work);
    expect(refused.status).toBe(503);
    expect(refused.headers.get('retry-after')).toBe('5');
    release();
    expect((await Promise.all(inside)).every((response) => response.status === 200)).toBe(true);
    expect((await inTurn(() => new Response(''))).status).toBe(200);
  });

  it('gives up work whose time is over, and goes on with the next', async () => {
    const clock = vi.spyOn(performance, 'now');
    let time = 0;
    clock.mockImplementation(() => time);
    const slow = inTurn(async (turn) => {
      time += MOST_MS + 1;
      await turn.breathe();
      return new Response('never');
    });
    const refused = await slow;
    expect(refused.status).toBe(503);
    expect((await refused.json()).message).toContain('8 s');
    expect((await inTurn(() => new Response(''))).status).toBe(200);
  });

  it('hands a mistake of ours on without holding up the queue', async () => {
    await expect(
      inTurn(() => {
        throw new Error('ours');
      })
    ).rejects.toThrow('ours');
    expect((await inTurn(() => new Response(''))).status).toBe(200);
  });
});
