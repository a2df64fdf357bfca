/** Entry of a thread of the pool: bytes of a body in, bytes of an answer out. Nothing else of the work reaches the event loop. */
import { answerTo, type WorkKind } from './compute';

export interface Work {
  readonly kind: WorkKind;
  readonly bytes: Uint8Array;
}

/** `json`: the body of the answer, as UTF-8. */
export interface Done {
  readonly status: number;
  readonly json: Uint8Array<ArrayBuffer>;
}

export default function work({ kind, bytes }: Work): Done {
  const { status, body } = answerTo(kind, bytes);
  return { status, json: new TextEncoder().encode(JSON.stringify(body)) };
}
