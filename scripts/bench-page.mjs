/** What the page does while long work runs, and how soon an edit shows, measured in the built application. */
import { measureLarge } from './bench-large.mjs';
import { saysOf, tasksWhile } from './main-thread.mjs';
import { ensureChromium } from './set-up.mjs';
import { ensureBuild, freePort, startServer } from './serve.mjs';

const EDITS = 31;

export async function measurePage() {
  const executablePath = ensureChromium();
  ensureBuild();
  const { chromium } = await import('@playwright/test');
  const { launchArguments } = await import('./browser.mjs');
  const { origin, server } = await startServer(await freePort(4205));
  const browser = await chromium.launch({ executablePath, args: launchArguments });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${origin}/demo`);
    await page.waitForURL('**/sheet');
    console.log('## page');
    await longTasks(browser, page, origin);
    await editToRanking(browser, page, origin);
    await measureLarge(browser, origin);
  } finally {
    await browser.close();
    server.kill();
  }
}

/** Tasks of the main thread from the press of a button until the result of the thread is drawn, its chart included. */
async function longTasks(browser, page, origin) {
  await page.goto(`${origin}/job/job-schoolhouse/th-classroom/bench`);
  await page.getByRole('button', { name: 'Draw them' }).waitFor();
  await page.waitForTimeout(4000);
  for (const [name, button, done] of [
    ['fault table', 'Solve them', '[data-summary]'],
    ['tolerance run', 'Draw them', '[data-spread]']
  ]) {
    const tasks = await tasksWhile(browser, page, async () => {
      await page.getByRole('button', { name: button }).click();
      await page.locator(done).waitFor();
      await page.waitForTimeout(1000);
    });
    console.log(`${name}, until its result and its chart are drawn: ${saysOf(tasks)}`);
  }
}

/**
 * From an edit of the record to the ranking that shows it, two frames included. Every edit leads to a record that this page has not planned
 * before: the edits are made on the sheet, the page is loaded anew, and they are taken back one by one.
 */
async function editToRanking(browser, page, origin) {
  await makeEdits(page, origin);
  await page.goto(`${origin}/job/job-schoolhouse/th-classroom/supply`);
  await page.locator('h1').waitFor();
  await page.waitForTimeout(1500);
  const times = [];
  for (let at = 0; at < EDITS; at += 1) {
    times.push(await page.evaluate(takeBackOne));
    await page.waitForTimeout(100);
  }
  times.sort((a, b) => a - b);
  const at = (share) => times[Math.min(times.length - 1, Math.floor(share * times.length))].toFixed(0);
  console.log(
    `an edit of the strand sheet to the new ranking on screen, two frames included, ${EDITS} edits: median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms`
  );
  // The trace takes time of its own: the same once more for the tasks alone.
  await makeEdits(page, origin);
  await page.goto(`${origin}/job/job-schoolhouse/th-classroom/supply`);
  await page.locator('h1').waitFor();
  await page.waitForTimeout(1500);
  const tasks = await tasksWhile(browser, page, async () => {
    for (let edit = 0; edit < EDITS; edit += 1) {
      await page.evaluate(takeBackOne);
      await page.waitForTimeout(100);
    }
  });
  console.log(`the same edits again, ${saysOf(tasks)}`);
}

/** Milliseconds until the page shows the plan without the last edit. */
function takeBackOne() {
  return new Promise((resolve) => {
    const button = [...document.querySelectorAll('header button')].find((candidate) =>
      (candidate.getAttribute('aria-label') ?? candidate.title).startsWith('Take back')
    );
    const start = performance.now();
    button.click();
    // The plan comes from its thread; until then the page says that it is busy.
    const look = () =>
      document.querySelector('main')?.getAttribute('aria-busy') === 'false'
        ? requestAnimationFrame(() => resolve(performance.now() - start))
        : requestAnimationFrame(look);
    requestAnimationFrame(look);
  });
}

/** Each row's equipment end as recorded, and the other word that it is given. */
const ROWS = [
  ['R', '?'],
  ['W', '?'],
  ['Y', '?'],
  ['G', '?'],
  ['coiled', 'loose']
];

/** One end at a time, in the order of a Gray code: no record comes twice. */
async function makeEdits(page, origin) {
  await page.goto(`${origin}/job/job-schoolhouse/th-classroom/sheet`);
  await page.locator('h1').first().waitFor();
  const changed = ROWS.map(() => false);
  for (let at = 1; at <= EDITS; at += 1) {
    const row = Math.log2(at & -at);
    changed[row] = !changed[row];
    await page.locator(`[data-spot="${row}-equipment"]`).focus();
    await page.keyboard.type(ROWS[row][changed[row] ? 1 : 0]);
    await page.keyboard.press('Enter');
    await page.waitForTimeout(60);
  }
  await page.getByRole('banner').getByText('Saved', { exact: true }).waitFor();
  await page.waitForTimeout(500);
}
