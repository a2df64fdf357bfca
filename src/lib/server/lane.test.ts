/** A lane with threads of its own: who is turned away, what is ended, what is dropped. */
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inEither, Lane, type Clock, type LaneSettings } from './lane';

interface Task {
  readonly does: 'echo' | 'wait-for' | 'for-ever' | 'fill' | 'throw';
  readonly says?: string;
}

const folder = mkdtempSync(join(tmpdir(), 'ulterum-lane-'));
const journal = join(folder, 'journal');
const filename = join(folder, 'thread.mjs');
writeFileSync(
  filename,
  `import { appendFileSync, existsSync } from 'node:fs';
  export default async ({ does, says }) => {
    appendFileSync(${JSON.stringify(journal)}, says + '\\n');
    if (does === 'throw') throw new Error('ours');
    if (does === 'for-ever') for (;;);
    if (does === 'fill') for (const kept = []; ; ) kept.push(new Array(1000).fill(kept.length));
    while (does === 'wait-for' && !existsSync(${JSON.stringify(join(folder, 'go'))}))
      await new Promise((next) => setTimeout(next, 2));
    return says;
  };`
);

/** Stands still until it is put on, so that no thread is too slow on a busy machine. */
class HeldClock implements Clock {
  private time = 0;
  private readonly alarms: { readonly at: number; readonly controller: AbortController }[] = [];
  now() {
    return this.time;
  }
  after(ms: number) {
    const controller = new AbortController();
    this.alarms.push({ at: this.time + ms, controller });
    return controller.signal;
  }
  putOn(ms: number) {
    this.time += ms;
    for (const { at, controller } of this.alarms) if (at <= this.time) controller.abort();
  }
}

let clock = new HeldClock();
const lanes: Lane<Task, string>[] = [];
function laneWith(more: Partial<LaneSettings> = {}): Lane<Task, string> {
  const lane = new Lane<Task, string>({
    filename,
    threads: 1,
    mostWaiting: 2,
    mostWaitMs: 30_000,
    mostMs: 30_000,
    mostMb: 64,
    clock,
    ...more
  });
  lanes.push(lane);
  return lane;
}
const here = () => new AbortController().signal;
const begun = () => readFileSync(journal, 'utf8').split('\n').slice(0, -1);
const go = () => writeFileSync(join(folder, 'go'), '');
/** Until this piece has been begun, so many times. */
async function whileNot(says: string, times = 1) {
  while (begun().filter((piece) => piece === says).length < times)
    await new Promise((next) => setTimeout(next, 2));
}

beforeEach(() => {
  clock = new HeldClock();
  writeFileSync(journal, '');
  rmSync(join(folder, 'go'), { force: true });
});
afterEach(async () => void (await Promise.all(lanes.splice(0).map((lane) => lane.end()))));
afterAll(() => rmSync(folder, { recursive: true }));

describe('a lane', () => {
  it('does one piece after the other, in the order of asking', async () => {
    const lane = laneWith();
    const asked = ['a', 'b', 'c'].map((says) => lane.run({ does: 'echo', says }, here()));
    expect(await Promise.all(asked)).toEqual(['a', 'b', 'c'].map((result) => ({ ok: true, result })));
    expect(begun()).toEqual(['a', 'b', 'c']);
  });

  it('turns away who is one too many, for the longer the more wait, and takes people in again afterwards', async () => {
    const after = async (mostWaiting: number) => {
      const lane = laneWith({ mostWaiting });
      const inside = Array.from({ length: 1 + mostWaiting }, () =>
        lane.run({ does: 'wait-for', says: 'in' }, here())
      );
      const refused = await lane.run({ does: 'echo', says: 'one too many' }, here());
      go();
      expect((await Promise.all(inside)).every(({ ok }) => ok)).toBe(true);
      expect(await lane.run({ does: 'echo', says: 'later' }, here())).toEqual({ ok: true, result: 'later' });
      rmSync(join(folder, 'go'));
      if (refused.ok || refused.why !== 'full') throw new Error('It was let in');
      return refused.afterSeconds;
    };
    expect(await after(2)).toBe(1);
    expect(await after(80)).toBeGreaterThan(5);
    expect(begun()).not.toContain('one too many');
  });

  it('turns away who has waited too long, and who would', async () => {
    const lane = laneWith({ mostWaitMs: 150, mostMs: 1000 });
    const endless = lane.run({ does: 'for-ever', says: 'endless' }, here());
    // By what pieces took so far this one would have its turn in time.
    const waits = lane.run({ does: 'echo', says: 'waits' }, here());
    await whileNot('endless');
    clock.putOn(150);
    expect(await waits).toMatchObject({ ok: false, why: 'full' });
    clock.putOn(849);
    expect(await Promise.race([endless, 'still at it'])).toBe('still at it');
    clock.putOn(1);
    expect(await endless).toEqual({ ok: false, why: 'too-long' });
    const again = lane.run({ does: 'wait-for', says: 'again' }, here());
    expect(await lane.run({ does: 'echo', says: 'would wait' }, here())).toMatchObject({ why: 'full' });
    go();
    expect((await again).ok).toBe(true);
    expect(begun()).toEqual(['endless', 'again']);
  });

  it('ends work whose time is over, and goes on with the next', async () => {
    const lane = laneWith({ mostMs: 300 });
    const endless = lane.run({ does: 'for-ever', says: 'endless' }, here());
    const next = lane.run({ does: 'echo', says: 'next' }, here());
    await whileNot('endless');
    clock.putOn(300);
    expect(await endless).toEqual({ ok: false, why: 'too-long' });
    expect(await next).toEqual({ ok: true, result: 'next' });
  });

  it('ends work that fills the memory, and goes on with the next', async () => {
    const lane = laneWith({ mostMb: 32 });
    const filling = lane.run({ does: 'fill', says: 'filling' }, here());
    expect(await filling).toEqual({ ok: false, why: 'too-large' });
    expect(await lane.run({ does: 'echo', says: 'next' }, here())).toEqual({ ok: true, result: 'next' });
  });

  it('drops what nobody waits for any more, begun or not', async () => {
    const lane = laneWith();
    const [first, second] = [new AbortController(), new AbortController()];
    const endless = lane.run({ does: 'for-ever', says: 'endless' }, first.signal);
    const waiting = lane.run({ does: 'echo', says: 'waiting' }, second.signal);
    await whileNot('endless');
    second.abort();
    first.abort();
    expect(await Promise.all([endless, waiting])).toEqual([
      { ok: false, why: 'gone' },
      { ok: false, why: 'gone' }
    ]);
    expect(await lane.run({ does: 'echo', says: 'next' }, here())).toEqual({ ok: true, result: 'next' });
    expect(begun()).toEqual(['endless', 'next']);
  });

  it('is followed by the other where its limits were too small, and by none where it was full', async () => {
    const [small, large] = [laneWith({ mostMs: 200, mostWaiting: 0 }), laneWith()];
    const ended = inEither([small, large], { does: 'wait-for', says: 'twice' }, here());
    const full = inEither([small, large], { does: 'echo', says: 'full' }, here());
    expect(await full).toMatchObject({ ok: false, why: 'full' });
    await whileNot('twice');
    clock.putOn(200);
    await whileNot('twice', 2);
    go();
    expect(await ended).toEqual({ ok: true, result: 'twice' });
    expect(begun()).toEqual(['twice', 'twice']);
    const [tight, roomy] = [laneWith({ mostMb: 32 }), laneWith({ mostMs: 300, mostMb: 512 })];
    const filling = inEither([tight, roomy], { does: 'fill', says: 'filling' }, here());
    await whileNot('filling', 2);
    clock.putOn(300);
    expect((await filling).ok).toBe(false);
  });

  it('hands a mistake of ours on without holding up the queue', async () => {
    const lane = laneWith();
    await expect(lane.run({ does: 'throw', says: 'mistake' }, here())).rejects.toThrow('ours');
    expect((await lane.run({ does: 'echo', says: 'next' }, here())).ok).toBe(true);
  });
});
