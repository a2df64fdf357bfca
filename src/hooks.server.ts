/** Headers of every answer, pages and data alike: nothing is guessed, framed or sent on, and the camera is for this page only. */
import type { Handle } from '@sveltejs/kit';

const HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'permissions-policy': 'camera=(self), microphone=(), geolocation=()',
  'cross-origin-opener-policy': 'same-origin'
};

/** For answers that are no page: nothing in them is ever to be run or shown as one. */
const DATA_POLICY = "default-src 'none'; frame-ancestors 'none'";

export const handle: Handle = async ({ event, resolve }) => {
  const response = await resolve(event);
  for (const [name, value] of Object.entries(HEADERS))
    if (!response.headers.has(name)) response.headers.set(name, value);
  const isPage = response.headers.get('content-type')?.startsWith('text/html') ?? false;
  if (!isPage && !response.headers.has('content-security-policy'))
    response.headers.set('content-security-policy', DATA_POLICY);
  return response;
};
