/** `npm run shots [folder]`: one picture of each main view, from the demo house, for docs/screenshots. */
import { mkdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { ensureChromium, root } from './set-up.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';

const executablePath = ensureChromium();
ensureBuild();
const { chromium } = await import('@playwright/test');
const { launchArguments } = await import('./browser.mjs');
const folder = resolve(root, process.argv[2] ?? 'docs/screenshots');
const only = process.argv[3];
mkdirSync(folder, { recursive: true });

const desk = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
const ferry = (thermostat, station) => `/job/job-ferry-house/th-${thermostat}/${station}`;
const quarry = (thermostat, station) => `/job/job-quarry-row/th-quarry-${thermostat}/${station}`;
const place = (thermostat, station) => `/job/job-schoolhouse/th-${thermostat}/${station}`;
const views = [
  { name: 'home', path: '/', size: desk, empty: true },
  {
    name: 'look',
    path: '/look',
    size: phone,
    empty: true,
    touch: ['R', 'W', 'Y', 'G', '1', 'Warm air from registers', 'Yes, it rests in winter'],
    full: true
  },
  { name: 'jobs', path: '/', size: desk },
  { name: 'sheet', path: place('classroom', 'sheet'), size: desk },
  { name: 'survey-phone', path: place('classroom', 'survey'), size: phone, theme: 'cellar' },
  { name: 'safe', path: place('classroom', 'safe'), size: desk },
  { name: 'system', path: place('classroom', 'system'), size: desk },
  { name: 'thermostat', path: place('classroom', 'thermostat'), size: desk },
  { name: 'supply', path: place('classroom', 'supply'), size: desk },
  { name: 'bench', path: place('classroom', 'bench'), size: desk },
  { name: 'moves', path: place('classroom', 'moves'), size: desk, full: true },
  { name: 'together', path: ferry('landing', 'together'), size: desk },
  { name: 'do-phone', path: place('classroom', 'do'), size: phone },
  {
    name: 'why-phone',
    path: '/job/job-mill-cottage/th-parlour/why',
    size: phone,
    touch: ['Dark', 'It sits']
  },
  { name: 'set-up', path: '/job/job-mill-cottage/th-parlour/set-up', size: desk, prepare: lit },
  {
    name: 'test-phone',
    path: '/job/job-mill-cottage/th-parlour/test',
    size: phone,
    prepare: setUp,
    full: true
  },
  {
    name: 'hand-over',
    path: '/job/job-mill-cottage/th-parlour/keep',
    size: desk,
    prepare: setUp,
    touch: ['The same as a drawing \\(SVG\\)'],
    full: true
  },
  { name: 'strip', path: quarry('house', 'strip'), size: desk },
  { name: 'controller', path: quarry('annexe', 'controller'), size: desk, full: true }
];

const mill = (station) => `/job/job-mill-cottage/th-parlour/${station}`;

/** Powered up, and lit. */
async function lit(page) {
  await page.goto(`${origin}${mill('power')}`);
  await page.locator('html[data-ready=yes]').waitFor({ state: 'attached' });
  await page.getByRole('button', { name: 'It is lit' }).click();
}

/** Lit, and everything set that is known. */
async function setUp(page) {
  await lit(page);
  await page.goto(`${origin}${mill('set-up')}`);
  const left = page.getByRole('button', { name: /^Set: / }).and(page.locator('[aria-pressed=false]:enabled'));
  await left.first().waitFor();
  while ((await left.count()) > 0) {
    await left.first().click();
    await page.waitForTimeout(300);
  }
}

const { origin, server } = await startServer(await freePort(4199));
const browser = await chromium.launch({ executablePath, args: launchArguments });
try {
  for (const view of views.filter((view) => !only || view.name.includes(only))) {
    const page = await browser.newPage({
      viewport: view.size,
      colorScheme: view.theme === 'cellar' ? 'dark' : 'light'
    });
    if (!view.empty) {
      const house =
        ['ferry-house', 'mill-cottage', 'quarry-row'].find((name) => view.path.includes(name)) ??
        'schoolhouse';
      await page.goto(`${origin}/demo/${house}`);
      await page.waitForURL(/\/(sheet|why|strip)$/);
    }
    await view.prepare?.(page);
    await page.goto(`${origin}${view.path}`);
    await page.locator('h1').first().waitFor();
    await page.locator('html[data-ready=yes]').waitFor({ state: 'attached' });
    // What a page works out in its thread stands before it is photographed.
    await page.locator('main [aria-busy=true]').waitFor({ state: 'detached' });
    for (const name of view.touch ?? [])
      await page.getByRole('button', { name: new RegExp(`^${name}( then .*)?$`) }).click();
    await page.waitForTimeout(/^(survey|bench|look|why|supply)/.test(view.name) ? 1500 : 300);
    await page.screenshot({ path: resolve(folder, `${view.name}.png`), fullPage: view.full ?? false });
    await page.close();
    console.log(`${view.name}.png`);
  }
} finally {
  await browser.close();
  server.kill();
}
