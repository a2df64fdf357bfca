/**
 * Work that keeps the processor busy is done one piece at a time. Who would wait too long is told so at once, and work that takes too long
 * is given up, so that a crowd or one hard house never takes the server down.
 */
import { refuse } from './body';

/** Pieces of work that may wait for their turn. */
const MOST_WAITING = 64;
/** Milliseconds that one piece of work may take, its waiting included. */
export const MOST_MS = 8000;

let waiting = 0;
let last: Promise<unknown> = Promise.resolve();

/** Thrown by work that looks at its clock and finds its time gone. */
export class TimeGone extends Error {}

export interface Turn {
  /** Throws `TimeGone` once the time is over; lets other requests be heard in between. */
  breathe(): Promise<void>;
}

export async function inTurn(work: (turn: Turn) => Response | Promise<Response>): Promise<Response> {
  if (waiting >= MOST_WAITING) return busy('Too many houses are waiting.');
  waiting += 1;
  const end = performance.now() + MOST_MS;
  const turn: Turn = {
    breathe: async () => {
      if (performance.now() > end) throw new TimeGone();
      await new Promise((next) => setImmediate(next));
    }
  };
  const mine = last.then(async () => {
    try {
      await turn.breathe();
      return await work(turn);
    } catch (error) {
      if (error instanceof TimeGone) return busy(`This took longer than ${MOST_MS / 1000} s.`);
      throw error;
    } finally {
      waiting -= 1;
    }
  });
  last = mine.catch(() => undefined);
  return mine;
}

function busy(message: string): Response {
  const response = refuse(503, message, []);
  response.headers.set('retry-after', '5');
  return response;
}
