/** Bodies as they come in: limited in size, kind and time. */
import { describe, expect, it } from 'vitest';
import { MOST_BYTES, readBody } from './body';

const post = (body: BodyInit, kind = 'application/json') =>
  new Request('http://here/api/plan', { method: 'POST', body, headers: { 'content-type': kind } });

describe('a body', () => {
  it('is counted as it comes in, whatever was announced', async () => {
    const chunk = new Uint8Array(500_000).fill(0x20);
    let sent = 0;
    const stream = new ReadableStream<Uint8Array>({
      pull(controller) {
        if (sent > MOST_BYTES) return controller.close();
        sent += chunk.length;
        controller.enqueue(chunk);
      }
    });
    const request = new Request('http://here/', {
      method: 'POST',
      body: stream,
      headers: { 'content-type': 'application/json; charset=utf-8' },
      duplex: 'half'
    } as RequestInit);
    const read = await readBody(request);
    expect(read.ok ? null : read.response.status).toBe(413);
    expect(read.ok ? '' : read.response.headers.get('connection')).toBe('close');
  });

  it('that trickles in is let go after a while, with a word', async () => {
    let closed = false;
    const stream = new ReadableStream<Uint8Array>({
      start: (controller) => controller.enqueue(new TextEncoder().encode('{"job": ')),
      cancel: () => void (closed = true)
    });
    const headers = { 'content-type': 'application/json' };
    const request = new Request('http://here/', {
      method: 'POST',
      body: stream,
      headers,
      duplex: 'half'
    } as RequestInit);
    const read = await readBody(request, 20);
    if (read.ok) throw new Error('It was read');
    expect(read.response.status).toBe(408);
    // To close what it came in on would take the answer with it.
    expect(closed).toBe(false);
    expect(read.response.headers.get('connection')).toBe('close');
    expect(await read.response.json()).toMatchObject({
      faults: [{ path: 'the body', found: 'a part of it' }]
    });
  });

  it('of another kind is refused in the same form as everything else', async () => {
    for (const kind of ['text/plain', 'application/xml', '']) {
      const read = await readBody(post('{}', kind));
      if (read.ok) throw new Error('It was read');
      expect(read.response.status).toBe(415);
      const { faults } = (await read.response.json()) as { faults: unknown[] };
      expect(faults).toMatchObject([{ path: 'content-type', expected: 'application/json' }]);
    }
  });

  it('at the limit is read', async () => {
    const padded = `"${'x'.repeat(MOST_BYTES - 2)}"`;
    expect((await readBody(post(padded))).ok).toBe(true);
    expect((await readBody(post(`${padded} `))).ok).toBe(false);
  });
});
