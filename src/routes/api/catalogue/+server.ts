import { json } from '@sveltejs/kit';
import { CATALOGUE } from '$core/match/catalogue';
import type { RequestHandler } from './$types';

/** `GET /api/catalogue`: the shipped thermostats, all invented. */
export const GET: RequestHandler = () =>
  json({ invented: true, devices: CATALOGUE }, { headers: { 'cache-control': 'public, max-age=3600' } });
