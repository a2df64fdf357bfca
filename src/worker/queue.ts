/** Both sides in one thread: for tests, and where no second thread can be had. Messages wait their turn as they would on a wire. */
import type { FromThread, Port, ToThread } from './protocol';
import { serve, type Surroundings } from './serve';

export function inThisThread(surroundings: Surroundings): Port<ToThread, FromThread> {
  let toThread: (message: ToThread) => void = () => undefined;
  let fromThread: (message: FromThread) => void = () => undefined;
  serve(
    {
      post: (message) => fromThread(structuredClone(message)),
      listen: (hear) => void (toThread = hear)
    },
    surroundings
  );
  return {
    post: (message) => surroundings.soon(() => toThread(structuredClone(message))),
    listen: (hear) => void (fromThread = hear)
  };
}
