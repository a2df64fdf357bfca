/** Entry of the web worker. */
import type { ToThread } from './protocol';
import { serve } from './serve';

const scope = self as unknown as {
  postMessage(message: unknown, transfer: Transferable[]): void;
  onmessage: ((event: { data: ToThread }) => void) | null;
};

/** Turns of the queue by a message to itself: a timer would wait some milliseconds once turns follow each other. */
const turns = new MessageChannel();
const waiting: (() => void)[] = [];
turns.port1.onmessage = () => waiting.shift()?.();
const soon = (next: () => void) => {
  waiting.push(next);
  turns.port2.postMessage(null);
};

serve(
  {
    post: (message, transfer = []) => scope.postMessage(message, transfer),
    listen: (hear) => void (scope.onmessage = ({ data }) => hear(data))
  },
  { now: () => performance.now(), soon, slice: 40 }
);
