import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** `GET /healthz`: answers as long as the server can; for whoever watches it. */
export const GET: RequestHandler = () => json({ ok: true }, { headers: { 'cache-control': 'no-store' } });
