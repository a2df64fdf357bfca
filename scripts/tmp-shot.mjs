import { ensureChromium } from './set-up.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';
import { readFile, mkdir } from 'node:fs/promises';
const executablePath = ensureChromium(); ensureBuild();
const { chromium } = await import('@playwright/test');
const { launchArguments } = await import('./browser.mjs');
await mkdir('/tmp/shots', { recursive: true });
const { origin, server } = await startServer(await freePort(4199));
const browser = await chromium.launch({ executablePath, args: launchArguments });
const list = JSON.parse(process.argv[2]);
for (const v of list) {
  const ctx = await browser.newContext({ viewport: v.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 }, colorScheme: v.dark ? 'dark' : 'light' });
  const page = await ctx.newPage(); page.on('pageerror', (e) => console.log('ERR', v.name, e.message)); page.on('console', (m) => m.type() === 'error' && console.log('CON', v.name, m.text()));
  await page.goto(`${origin}/demo/${v.job ?? 'schoolhouse'}`); await page.waitForURL('**/sheet');
  await page.goto(`${origin}${v.path}`); await page.locator('h1').first().waitFor(); await page.waitForTimeout(2500);
  for (const act of v.acts ?? []) { const [kind, a, b] = act; if (kind === 'select') await page.getByLabel(a).selectOption(typeof b === 'number' ? { index: b } : b); if (kind === 'click') await page.getByText(a, { exact: false }).first().click(); if (kind === 'check') await page.getByLabel(a).check(); await page.waitForTimeout(500); }
  await page.waitForTimeout(800);
  const w = await page.evaluate(() => document.documentElement.scrollWidth); console.log(v.name, 'width', w);
  if (v.at) await page.locator(v.at).first().scrollIntoViewIfNeeded();
  if (v.el) await page.locator(v.el).first().screenshot({ path: `/tmp/shots/${v.name}.png` }); else await page.screenshot({ path: `/tmp/shots/${v.name}.png`, fullPage: !!v.full });
  await ctx.close();
}
await browser.close(); server.kill(); process.exit(0);
