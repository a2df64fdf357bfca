/** Text that should be JSON, of a size that one means to read. */
import type { Fault } from '../job/faults';

export type Refusal = { readonly ok: false; readonly faults: readonly Fault[] };
export type JsonRead = { readonly ok: true; readonly raw: unknown } | Refusal;

export function parseJson(text: string, mostBytes: number): JsonRead {
  const bytes = new TextEncoder().encode(text).length;
  if (bytes > mostBytes)
    return refuse('the file', `at most ${mostBytes / 1_000_000} MB`, `${(bytes / 1_000_000).toFixed(1)} MB`);
  try {
    return { ok: true, raw: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown };
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return refuse('the file', 'JSON', `text that breaks off: ${why}`);
  }
}

export function refuse(path: string, expected: string, found: string): Refusal {
  return { ok: false, faults: [{ path, expected, found }] };
}

/** What should be an object of the given format; or what stands there instead. */
export function recordOf(raw: unknown, format: string, what: string): Record<string, unknown> | Refusal {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return refuse('the file', what, Array.isArray(raw) ? 'a list' : (JSON.stringify(raw) ?? 'nothing'));
  const record = raw as Record<string, unknown>;
  if (record['format'] === format) return record;
  const found =
    record['format'] === undefined
      ? 'nothing: this is another kind of file'
      : JSON.stringify(record['format']);
  return refuse('format', `"${format}"`, found);
}

export function isRefusal(value: Record<string, unknown> | Refusal): value is Refusal {
  return value['ok'] === false;
}
