import { ensureChromium } from './set-up.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';
const executablePath = ensureChromium(); ensureBuild();
const { chromium } = await import('@playwright/test');
const { launchArguments } = await import('./browser.mjs');
const { origin, server } = await startServer(await freePort(4300));
const browser = await chromium.launch({ executablePath, args: launchArguments });
try {
  for (const [name, size] of [['d', {width:1280,height:800}], ['p', {width:390,height:844}]]) {
    const page = await browser.newPage({ viewport: size });
    for (const n of [1,2]) {
      await page.goto(origin); await page.waitForTimeout(800);
      await page.locator('input[type=file]').first().setInputFiles(`/tmp/odd${n}.json`);
      await page.waitForTimeout(1500);
      for (const st of n === 1 ? ['sheet','supply','moves'] : ['supply']) {
        await page.goto(`${origin}/job/job-odd-${n}/th-1/${st}`); await page.locator('h1').first().waitFor(); await page.waitForTimeout(2500);
        await page.screenshot({ path: `/tmp/shots/odd${n}-${st}-${name}.png`, fullPage: st !== 'moves' && name === 'd' });
      }
    }
  }
} finally { await browser.close(); server.kill(); }
