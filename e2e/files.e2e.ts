/** Files in and out, two tabs, a full browser: nothing stored is lost or overwritten in silence. */
import { readFile, writeFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { cell, expectSaved, goByLink, open, openDemo, goTo } from './helpers';

async function bring(page: Page, name: string, text: string): Promise<void> {
  await page
    .getByLabel('Bring in a file')
    .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

test('a job is exported and brought back beside the one that is there', async ({ page }) => {
  await openDemo(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the job as a file' }).click();
  const file = await waiting;
  expect(file.suggestedFilename()).toBe('the-old-schoolhouse.ulterum.json');
  const text = await readFile(await file.path(), 'utf8');
  expect(JSON.parse(text)).toMatchObject({ format: 'ulterum-job', version: 2, name: 'The old schoolhouse' });
  await goByLink(page, '/');
  await bring(page, 'again.json', text);
  await expect(page.getByRole('list', { name: 'Jobs' }).locator('> li')).toHaveCount(2);
});

test('a bad file is refused with its places, and nothing stored is touched', async ({ page }) => {
  await openDemo(page);
  await goByLink(page, '/');
  const alert = page.getByRole('alert');
  await bring(page, 'broken.json', '{"format": "ulterum-job", "version": 1,');
  await expect(alert).toContainText('broken.json was not brought in; nothing stored was touched');
  await expect(alert).toContainText('expected JSON');
  await bring(page, 'foreign.json', '{"hello": 1}');
  await expect(alert).toContainText('format: expected "ulterum-job"');
  await bring(page, 'newer.json', '{"format": "ulterum-job", "version": 7}');
  await expect(alert).toContainText('written by a newer Ulterum');
  const job = JSON.parse(await readFile('demo/classroom.json', 'utf8'));
  job.thermostats[0].conductors[1].colour = 'mauve';
  await bring(page, 'mauve.json', JSON.stringify(job));
  await expect(alert).toContainText('thermostats[0].conductors[1].colour');
  // From the disk, as a user has it: what a test hands over itself takes seconds on its way to the browser.
  const large = test.info().outputPath('large.json');
  await writeFile(large, ' '.repeat(20_100_000));
  await page.getByLabel('Bring in a file').setInputFiles(large);
  await expect(alert).toContainText('at most 20 MB');
  await expect(page.getByRole('list', { name: 'Jobs' }).locator('> li')).toHaveCount(1);
});

test('the wire list goes out as CSV and comes back; a bad line changes nothing', async ({ page }) => {
  await openDemo(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'List as CSV' }).click();
  const text = await readFile(await (await waiting).path(), 'utf8');
  const send = (name: string, csv: string) =>
    page.getByLabel('CSV in').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await send('bad.csv', text.replace(',GN,', ',GREENISH,'));
  await expect(page.getByRole('alert')).toContainText('line 6, column colour');
  await expect(cell(page, 5, 'colour')).toContainText('GN');
  await send('good.csv', text.replace(',GN,', ',VT,'));
  await expect(cell(page, 5, 'colour')).toContainText('VT');
});

test('the first job, made in another tab, is there when one comes back to the first page', async ({
  context
}) => {
  const page = await context.newPage();
  await open(page, '/');
  await expect(page.getByRole('region', { name: 'What this is' })).toBeVisible();
  await openDemo(await context.newPage());
  // The window of a test is never hidden: this is what coming back says.
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await expect(page.getByRole('list', { name: 'Jobs' })).toContainText('The old schoolhouse');
});

test('two tabs: the other one follows, and a late edit never overwrites', async ({ context }) => {
  const page = await context.newPage();
  await openDemo(page);
  const two = await context.newPage();
  await openDemo(two);
  await cell(page, 5, 'colour').focus();
  await page.keyboard.type('vt');
  await expectSaved(page);
  await expect(cell(two, 5, 'colour')).toContainText('VT');

  // A tab that did not hear of the other's save, as after a sleep.
  await two.evaluate(async () => {
    const request = indexedDB.open('ulterum');
    const base = await new Promise<IDBDatabase>((done) => (request.onsuccess = () => done(request.result)));
    const work = base.transaction('jobs', 'readwrite');
    const store = work.objectStore('jobs');
    const read = store.get('job-schoolhouse');
    read.onsuccess = () =>
      store.put(
        {
          ...read.result,
          revision: read.result.revision + 1,
          shell: { ...read.result.shell, name: 'Renamed elsewhere' }
        },
        'job-schoolhouse'
      );
    // A page that is left takes back what is not written yet.
    await new Promise((done) => (work.oncomplete = done));
    base.close();
  });
  await cell(page, 5, 'colour').focus();
  await page.keyboard.type('pk');
  await expect(page.getByRole('alert')).toContainText('changed in another tab');
  await page.getByRole('button', { name: 'Keep both: mine as a copy' }).click();
  await expectSaved(page);
  await open(page, '/');
  const jobs = page.getByRole('list', { name: 'Jobs' });
  await expect(jobs).toContainText('Renamed elsewhere');
  await expect(jobs).toContainText('The old schoolhouse (copy)');
});

test('a job that another tab has removed stays removed, and can be kept as a new one', async ({
  context
}) => {
  const page = await context.newPage();
  await openDemo(page);
  const two = await context.newPage();
  await open(two, '/');
  await two.getByRole('button', { name: /^Remove The old schoolhouse/ }).click();
  await two.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('removed in another tab');
  await cell(page, 5, 'colour').focus();
  await page.keyboard.type('vt');
  await expect(two.getByRole('list', { name: 'Jobs' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it as a new job' }).click();
  await expectSaved(page);
  await expect(two.getByRole('list', { name: 'Jobs' })).toContainText('The old schoolhouse (copy)');
});

test('one broken record hides no other: it is listed, taken out as it is, and removed', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(async () => {
    const request = indexedDB.open('ulterum');
    const base = await new Promise<IDBDatabase>((done) => (request.onsuccess = () => done(request.result)));
    const work = base.transaction('jobs', 'readwrite');
    const store = work.objectStore('jobs');
    store.put({ job: [[]], revision: 'x', saved: 'no time' }, 'job-broken');
    const read = store.get('job-schoolhouse');
    read.onsuccess = () => store.put({ ...read.result, saved: 'yesterday, or so' }, 'job-schoolhouse');
    await new Promise((done) => (work.oncomplete = done));
    base.close();
  });
  await goByLink(page, '/');
  const jobs = page.getByRole('list', { name: 'Jobs' });
  await expect(jobs).toContainText('The old schoolhouse');
  await expect(jobs).toContainText('job-broken (damaged)');
  await page.getByRole('button', { name: /^Remove job-broken/ }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(jobs).not.toContainText('job-broken');
  await expect(jobs).toContainText('The old schoolhouse');
});

test('a browser that is full says so, and the work can still be exported', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await cell(page, 5, 'colour').focus();
  await page.keyboard.type('vt');
  await expect(page.getByRole('alert')).toContainText('The browser has no room left');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the job, photos too' }).click();
  expect(await readFile(await (await waiting).path(), 'utf8')).toContain('"colour": "VT"');
});

test('records that cannot be are shown as findings, and close the ways instead of crashing', async ({
  page
}) => {
  const job = JSON.parse(await readFile('demo/classroom.json', 'utf8'));
  const [thermostat] = job.thermostats;
  thermostat.conductors[0].near.on.push({ at: thermostat.id, screw: 'sc-rc' });
  thermostat.conductors[1].id = thermostat.conductors[2].id;
  thermostat.links.push({ ...thermostat.links[0], id: 'ln-self', b: thermostat.links[0].a });
  await open(page, '/');
  job.thermostats.push({ ...structuredClone(thermostat), name: 'Copied by hand' });
  await bring(page, 'odd.json', JSON.stringify(job));
  await expect(page.getByRole('alert')).toContainText(`${thermostat.conductors[1].id} was there twice`);
  await expect(page.getByRole('alert')).toContainText(`${thermostat.id} was there twice`);
  await page.getByRole('link', { name: 'Former classroom' }).click();
  for (const code of ['landed-twice', 'link-to-itself'])
    await expect(page.locator(`[data-code=${code}]`)).toBeVisible();
  await goTo(page, 'supply');
  // No way is on offer; each waits for the record to be put right.
  const undecided = page.getByRole('region', { name: 'Not decided yet' });
  await expect(undecided.locator('[data-method=spare-conductor]')).toBeAttached();
  await expect(page.getByRole('button', { name: /^Take this way/ })).toHaveCount(0);
});

test('an address that leads nowhere says so', async ({ page }) => {
  await open(page, '/job/job-nowhere/th-1/sheet');
  await expect(page.getByRole('heading')).toHaveText('This job cannot be opened');
  await openDemo(page);
  await goByLink(page, '/job/job-schoolhouse/th-nobody/sheet');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No such thermostat');
});

test('a tab that is killed in the moment of an edit, or while one types, loses nothing', async ({
  context
}) => {
  const page = await context.newPage();
  await openDemo(page);
  // The database does not answer any more: only what is noted at once can be there afterwards.
  await page.evaluate(() => {
    IDBFactory.prototype.open = () => new EventTarget() as IDBOpenDBRequest;
    IDBObjectStore.prototype.put = () => new EventTarget() as IDBRequest<IDBValidKey>;
  });
  await cell(page, 1, 'strand').click();
  const label = page.getByRole('dialog').getByLabel('Own label');
  await label.pressSequentially('blue tape');
  await expect(page.getByText('Saving …')).toBeAttached();
  await expect.poll(() => page.evaluate(() => JSON.stringify(localStorage))).toContain('blue tape');
  const kill = await context.newCDPSession(page);
  void kill.send('Page.crash').catch(() => undefined);
  await page.waitForEvent('crash');
  const again = await context.newPage();
  await open(again, '/job/job-schoolhouse/th-classroom/sheet');
  await expect(again.getByRole('status').filter({ hasText: 'have been restored' })).toBeVisible();
  await cell(again, 1, 'strand').click();
  await expect(again.getByRole('dialog').getByLabel('Own label')).toHaveValue('blue tape');
  await again.keyboard.press('Escape');
  await expectSaved(again);
  expect(await again.evaluate(() => localStorage.length)).toBe(0);
});

test(
  'what stands in a form and is not added yet is there after the tab was killed, until it is added',
  { tag: '@wide' },
  async ({ context }) => {
    const page = await context.newPage();
    await openDemo(page);
    await goTo(page, 'survey');
    await page.getByLabel('Stretch', { exact: true }).pressSequentially('over the hall');
    await page.getByLabel('Length, m').pressSequentially('3,5');
    await goTo(page, 'thermostat');
    await page.getByRole('button', { name: 'Enter a device' }).click();
    const sheet = (of: Page) => of.getByRole('dialog', { name: 'A device, from its own sheet' });
    await sheet(page).getByLabel('Maker').fill('Quince');
    await sheet(page).getByLabel('Model').fill('Hall 2');
    await expect.poll(() => page.evaluate(() => JSON.stringify(localStorage))).toContain('Hall 2');
    const kill = await context.newCDPSession(page);
    void kill.send('Page.crash').catch(() => undefined);
    await page.waitForEvent('crash');

    const again = await context.newPage();
    await open(again, '/job/job-schoolhouse/th-classroom/thermostat');
    await again.getByRole('button', { name: 'Enter a device' }).click();
    await expect(sheet(again).getByLabel('Maker')).toHaveValue('Quince');
    await expect(sheet(again).getByLabel('Model')).toHaveValue('Hall 2');
    await sheet(again).getByRole('button', { name: 'Keep and choose it' }).click();
    await expect(sheet(again)).toHaveCount(0);
    await again.getByRole('button', { name: 'Enter a device' }).click();
    await expect(sheet(again).getByLabel('Maker')).toHaveValue('');
    await sheet(again).getByLabel('Maker').fill('Another');
    await again.keyboard.press('Escape');
    await goTo(again, 'survey');
    await expect(again.getByLabel('Stretch', { exact: true })).toHaveValue('over the hall');
    await expect(again.getByLabel('Length, m')).toHaveValue('3,5');
    await again.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(again.getByText('over the hall: 3.5 m')).toBeVisible();
    await expect(again.getByLabel('Stretch', { exact: true })).toHaveValue('');
    await expectSaved(again);

    // Another thermostat's form is another form, and a job that goes takes what was typed along.
    await open(again, '/job/job-schoolhouse/th-flat/survey');
    await expect(again.getByLabel('Stretch', { exact: true })).toHaveValue('');
    expect(await again.evaluate(() => Object.keys(localStorage))).toEqual([
      'ulterum-typed/job-schoolhouse/th-classroom/device'
    ]);
    await open(again, '/');
    await again.getByRole('button', { name: /^Remove The old schoolhouse/ }).click();
    await again.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true }).click();
    await expect.poll(() => again.evaluate(() => localStorage.length)).toBe(0);
  }
);
