/** Entry of the web worker. */
import type { ToThread } from './protocol';
import { serve } from './serve';

const scope = self as unknown as {
  postMessage(message: unknown, transfer: Transferable[]): void;
  onmessage: ((event: { data: ToThread }) => void) | null;
};

serve(
  {
    post: (message, transfer = []) => scope.postMessage(message, transfer),
    listen: (hear) => void (scope.onmessage = ({ data }) => hear(data))
  },
  { now: () => performance.now(), soon: (next) => void setTimeout(next), slice: 40 }
);
