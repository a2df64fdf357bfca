/** Entry of the thread that the command line starts. */
import { parentPort } from 'node:worker_threads';
import { serve } from './serve';

if (!parentPort) throw new Error('This is the entry of a worker thread');
const port = parentPort;
serve(
  {
    post: (message, transfer = []) => port.postMessage(message, transfer),
    listen: (hear) => void port.on('message', hear)
  },
  { now: () => performance.now(), soon: (next) => void setImmediate(next), slice: 100 }
);
