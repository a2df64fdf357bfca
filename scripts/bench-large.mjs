/** How the page keeps up with a job of forty thermostats with two hundred wires each, and with two hundred jobs in the list. */
import { demoJob, largeJob } from './large-job.mjs';
import { saysOf, tasksWhile } from './main-thread.mjs';

const EDITS = 12;
const JOBS = 200;

export async function measureLarge(browser, origin) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const small = demoJob('classroom');
  // The first page makes no store by itself; a job that is opened does.
  await page.goto(`${origin}/demo`);
  await page.waitForURL('**/sheet');
  await page.locator('h1').first().waitFor();
  await put(page, [largeJob(small, { wires: 200 })]);
  await edits(browser, page, origin);
  await put(
    page,
    Array.from({ length: JOBS }, (_, at) => ({ ...small, id: `job-${at}`, name: `House ${at}` }))
  );
  // What it takes to leave the large job is none of the list's.
  await page.goto('about:blank');
  const listing = await tasksWhile(browser, page, async () => {
    await page.goto(origin);
    await page.getByText(`House ${JOBS - 1}`, { exact: true }).waitFor();
  });
  console.log(`${JOBS} jobs in the list: while it is drawn, ${saysOf(listing)}`);
  await page.close();
}

/** Puts jobs into the store as they lie there after a save: thermostats by themselves, and what the list shows of each. */
function put(page, jobs) {
  return page.evaluate(async (all) => {
    const request = indexedDB.open('ulterum');
    const database = await new Promise((done) => (request.onsuccess = () => done(request.result)));
    const work = database.transaction(['jobs', 'thermostats'], 'readwrite');
    const saved = new Date().toISOString();
    for (const { thermostats, ...shell } of all) {
      const keys = thermostats.map((_, at) => `${shell.id}/${at}`);
      thermostats.forEach((thermostat, at) => work.objectStore('thermostats').put(thermostat, keys[at]));
      const { id, name, place } = shell;
      const names = thermostats.map((thermostat) => ({ id: thermostat.id, name: thermostat.name }));
      const summary = { id, name, place, saved, thermostats: names, due: [], closed: false };
      const listed = { of: 1, revision: 1, summary };
      work
        .objectStore('jobs')
        .put({ shell, thermostats: keys, saved, revision: 1, history: null, listed }, id);
    }
    await new Promise((done) => (work.oncomplete = done));
    database.close();
  }, jobs);
}

async function edits(browser, page, origin) {
  await page.goto('about:blank');
  const start = performance.now();
  let seconds = '';
  const opening = await tasksWhile(browser, page, async () => {
    await page.goto(`${origin}/job/job-large/th-0/sheet`);
    await page.locator('h1').first().waitFor({ timeout: 300_000 });
    seconds = ((performance.now() - start) / 1000).toFixed(0);
    await page.waitForTimeout(2000);
  });
  console.log(
    `40 thermostats with 200 wires each: the first plan takes ${seconds} s in its thread; until it is drawn, ${saysOf(opening)}`
  );
  const times = [];
  const editing = await tasksWhile(browser, page, async () => {
    for (let at = 0; at < EDITS; at += 1) times.push(await editAt(page, at));
  });
  times.sort((a, b) => a - b);
  console.log(
    `an edit of it to the new mark on screen: median ${times[Math.floor(EDITS / 2)].toFixed(0)} ms, the longest ${times[EDITS - 1].toFixed(0)} ms of ${EDITS}; meanwhile, plan and saving included, ${saysOf(editing)}`
  );
}

async function editAt(page, at) {
  // Not by a locator: the tool looks through the whole page for one, which would count as a task of the page.
  await page.evaluate(watchEdit, `${at % 4}-equipment`);
  await page.waitForTimeout(100);
  await page.keyboard.type(['?', 'R', 'coiled'][Math.floor(at / 4)]);
  await page.keyboard.press('Enter');
  const took = await page.evaluate(() => window.edited);
  await page.waitForTimeout(1200);
  return took;
}

/** Goes to a cell, and sets `window.edited` to the milliseconds from the next Enter to the frame that shows what it has changed. */
function watchEdit(name) {
  const spot = document.querySelector(`[data-spot="${name}"]`);
  spot.focus();
  const before = spot.closest('[role=gridcell]').textContent;
  window.edited = new Promise((resolve) => {
    const pressed = ({ key }) => {
      if (key !== 'Enter') return;
      window.removeEventListener('keydown', pressed, { capture: true });
      const start = performance.now();
      const look = () => {
        const now = document.querySelector(`[data-spot="${name}"]`)?.closest('[role=gridcell]');
        if (now?.textContent === before && performance.now() - start < 3000) requestAnimationFrame(look);
        else requestAnimationFrame(() => resolve(performance.now() - start));
      };
      requestAnimationFrame(look);
    };
    window.addEventListener('keydown', pressed, { capture: true });
  });
}
