/** The side that asks: one promise for each task, with progress and a signal that stops it. */
import { JobSplitter } from './job-parts';
import { sentTask } from './sent-task';
import type { FromThread, Port, Task, TaskKind, Tasks, ToThread } from './protocol';

export type Outcome<T> =
  | { readonly ok: true; readonly result: T }
  | { readonly ok: false; readonly reason: 'failed'; readonly at: string; readonly why: string }
  | { readonly ok: false; readonly reason: 'cancelled' };

export interface Watch {
  readonly onProgress?: (share: number) => void;
  readonly signal?: AbortSignal;
}

export interface Client {
  run<K extends TaskKind>(
    kind: K,
    request: Tasks[K]['request'],
    watch?: Watch
  ): Promise<Outcome<Tasks[K]['result']>>;
}

interface Waiting {
  hear(message: FromThread): void;
}

export function clientOf(port: Port<ToThread, FromThread>): Client {
  const waiting = new Map<number, Waiting>();
  const splitter = new JobSplitter();
  let last = 0;
  port.listen((message) => waiting.get(message.id)?.hear(message));
  return {
    run: (kind, request, watch = {}) =>
      new Promise((resolve, reject) => {
        const id = (last += 1);
        const settle = (act: () => void) => {
          waiting.delete(id);
          act();
        };
        waiting.set(id, {
          hear: (message) => {
            switch (message.type) {
              case 'progress':
                return watch.onProgress?.(message.done / message.total);
              case 'done':
                return settle(() =>
                  resolve({ ok: true, result: message.result as Tasks[typeof kind]['result'] })
                );
              case 'failed':
                return settle(() =>
                  resolve({ ok: false, reason: 'failed', at: message.at, why: message.why })
                );
              case 'cancelled':
                return settle(() => resolve({ ok: false, reason: 'cancelled' }));
              case 'broken':
                return settle(() =>
                  reject(Object.assign(new Error(message.message), { stack: message.stack }))
                );
            }
          }
        });
        if (watch.signal?.aborted) return settle(() => resolve({ ok: false, reason: 'cancelled' }));
        watch.signal?.addEventListener('abort', () => port.post({ type: 'cancel', id }), { once: true });
        port.post({ type: 'start', id, task: sentTask({ kind, request } as Task, splitter) });
      })
  };
}
