import { demoJob, largeJob } from './large-job.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';
import { launchArguments } from './browser.mjs';
import { chromium } from '@playwright/test';
ensureBuild();
const { origin, server } = await startServer(await freePort(4305));
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell', args: launchArguments });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => { window.tasks = []; new PerformanceObserver((l) => l.getEntries().forEach((t) => window.tasks.push([Math.round(t.startTime), Math.round(t.duration)]))).observe({ type: 'longtask', buffered: true }); });
await page.goto(`${origin}/demo`); await page.waitForURL('**/sheet'); await page.locator('h1').first().waitFor();
const small = demoJob('classroom');
await page.evaluate(async (all) => {
  const r = indexedDB.open('ulterum'); const db = await new Promise((d) => (r.onsuccess = () => d(r.result)));
  const w = db.transaction('jobs', 'readwrite');
  for (const job of all) w.objectStore('jobs').put({ job, saved: new Date().toISOString(), revision: 1, history: null }, job.id);
  await new Promise((d) => (w.oncomplete = d)); db.close();
}, [largeJob(small, { wires: 200 }), ...Array.from({ length: 200 }, (_, at) => ({ ...small, id: `job-${at}`, name: `House ${at}` }))]);
const client = await page.context().newCDPSession(page);
await client.send('Profiler.enable'); await client.send('Profiler.setSamplingInterval', { interval: 500 });
async function profiled(name, act, ms) {
  await client.send('Profiler.start'); await act(); await page.waitForTimeout(ms);
  const { profile } = await client.send('Profiler.stop');
  console.log('##', name, 'tasks', JSON.stringify(await page.evaluate(() => window.tasks.splice(0))));
  const byId = new Map(profile.nodes.map((n) => [n.id, n])); const parent = new Map(); profile.nodes.forEach((n) => (n.children ?? []).forEach((c) => parent.set(c, n.id)));
  const incl = new Map(); let t = 0; const busy = []; let start = null, last = null; let stack = new Map();
  profile.samples.forEach((s, i) => { const d = profile.timeDeltas[i] / 1000; const nm = byId.get(s).callFrame.functionName; if (nm === '(idle)') { if (start !== null && t - start > 40) busy.push([start, t, stack]); start = null; stack = new Map(); t += d; return; } if (start === null) start = t; const seen = new Set(); for (let x = s; x; x = parent.get(x)) { const c = byId.get(x).callFrame; const k = c.functionName + ' ' + c.url.split('/').pop() + ':' + c.lineNumber + ':' + c.columnNumber; if (!seen.has(k)) { seen.add(k); stack.set(k, (stack.get(k) ?? 0) + d); } } t += d; });
  for (const [a, b, st] of busy) { console.log(`-- busy ${a.toFixed(0)}..${b.toFixed(0)} = ${(b - a).toFixed(0)} ms`); console.log([...st].sort((x, y) => y[1] - x[1]).slice(0, 26).map(([k, v]) => `   ${v.toFixed(0)} ${k}`).join('\n')); }
}
const what = process.argv[2] ?? 'list';
if (what === 'list') await profiled('list', () => page.goto(origin), 3000);
if (what === 'open') await profiled('open', () => page.goto(`${origin}/job/job-large/th-0/sheet`), 8000);
if (what === 'edit') { await page.goto(`${origin}/job/job-large/th-0/sheet`); await page.locator('h1').first().waitFor({ timeout: 100000 }); await page.waitForTimeout(12000); await page.evaluate(() => window.tasks.splice(0)); await page.locator('[data-spot="0-equipment"]').focus(); await profiled('edit', async () => { await page.keyboard.type('?'); await page.keyboard.press('Enter'); }, 6000); }
await browser.close(); server.kill();
