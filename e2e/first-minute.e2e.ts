/** The first minute: a page that reads at once and is light, a first answer in a few touches, a thin frame, words that are explained. */
import { gzipSync } from 'node:zlib';
import { expect, test, type Page } from '@playwright/test';
import {
  answerQuestion,
  cell,
  expectAccessible,
  expectNoSideways,
  goTo,
  goByLink,
  open,
  openDemo,
  openWay
} from './helpers';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

test.describe('on a phone', () => {
  test.use(phone);

  test('the quick look answers in less than ten touches, and everything is kept as a job', async ({
    page
  }) => {
    await open(page, '/');
    let touches = 0;
    const touch = async (name: string | RegExp, role: 'button' | 'link' = 'button') => {
      touches += 1;
      await page.getByRole(role, { name, exact: true }).tap();
    };
    await touch(/^Quick look/, 'link');
    await page.waitForURL('**/look');
    for (const letter of ['R', 'W', 'Y', 'G', '1']) await touch(letter);
    await touch('Warm air from registers');
    await touch('Yes, it rests in winter');
    const answer = page.getByRole('region', { name: 'First answer' });
    await expect(answer).toHaveAttribute('data-common', 'spare');
    await expect(answer).toContainText('Use a spare wire');
    await expectNoSideways(page);
    await expectAccessible(page);
    await touch('Keep this as a job');
    expect(touches).toBeLessThanOrEqual(10);
    await page.waitForURL('**/sheet');
    await expect(cell(page, 4, 'wall')).toHaveText('G');
    await expect(cell(page, 5, 'wall')).toHaveText('coiled');
    await expect(page.locator('[data-next]')).toContainText('read which screws 5 wires are on');
    await goTo(page, 'system');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('System: furnace with air conditioner');
  });

  test(
    'from the letters of an empty page to a way that is taken, one wire after the other',
    { tag: '@wide' },
    async ({ page }) => {
      await open(page, '/');
      await page.getByRole('button', { name: 'New job' }).tap();
      await page.getByRole('button', { name: 'Begin at the wall' }).tap();
      const sheet = page.getByRole('region', { name: 'Strand sheet' });
      for (const letter of ['R', 'W', 'Y', 'G', '1'])
        await sheet.getByRole('button', { name: letter, exact: true }).tap();
      await page.getByRole('button', { name: 'Record these wires' }).tap();
      await cell(page, 1, 'colour').tap();
      const dialog = page.getByRole('dialog');
      await expect(dialog).toContainText('which colour is the wire that is on R at the wall?');
      for (const colour of ['RD', 'WH', 'YE', 'GN', 'BU'])
        await dialog.getByRole('button', { name: new RegExp(`^${colour}`) }).tap();
      await expect(dialog).toBeHidden();
      await page.getByRole('button', { name: 'At the equipment' }).tap();
      await cell(page, 1, 'equipment').tap();
      await expect(dialog).toContainText('where does the red wire end?');
      for (const mark of ['R', 'W', 'Y', 'G'])
        await dialog.getByRole('button', { name: mark, exact: true }).tap();
      await expect(dialog).toContainText('where does the blue wire end?');
      await dialog.getByRole('button', { name: /^Coiled/ }).tap();
      await expect(dialog).toBeHidden();
      await page
        .getByRole('group', { name: /Terminals of Furnace/ })
        .getByRole('button', { name: 'C', exact: true })
        .tap();
      await goTo(page, 'system');
      await page.getByLabel('You know what it is?').selectOption('furnace-ac');
      for (const answer of [/^Thin/, /^Burner with a flue/]) await answerQuestion(page, answer);
      await goTo(page, 'supply');
      await openWay(page, 'spare-conductor');
      await expectNoSideways(page);
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Take this way: Use a spare wire' }).tap();
      await goTo(page, 'moves');
      await expect(page.getByRole('region', { name: 'Move list' })).toContainText('blue');
    }
  );

  test('what smells of mains is a stop at once, with no way named', async ({ page }) => {
    await open(page, '/look');
    await page.getByRole('button', { name: 'L1', exact: true }).tap();
    await page.getByRole('button', { name: /^Thick/ }).tap();
    const answer = page.getByRole('region', { name: 'First answer' });
    await expect(answer).toContainText('Stop');
    await expect(answer).toContainText('Put the cover back on');
    await expect(answer.getByRole('listitem')).toHaveCount(0);
  });

  test('the frame leaves the page to its content, and a new job raises no alarm', async ({ page }) => {
    await openDemo(page);
    await expectContentWithin(page, 96);
    await goByLink(page, '/');
    await page.getByRole('button', { name: 'New job' }).tap();
    await page.getByRole('button', { name: 'Begin at the wall' }).tap();
    await expect(page.getByRole('button', { name: /^Standing: .*0 stops/ })).toBeVisible();
    await expect(page.locator('[data-next=power-off]')).toContainText('Switch the power off');
    await page.locator('[data-next]').tap();
    await page.waitForURL('**/safe');
    await goTo(page, 'sheet');
    const letters = page.getByRole('region', { name: 'Strand sheet' });
    for (const letter of ['R', 'W']) await letters.getByRole('button', { name: letter, exact: true }).tap();
    await page.getByRole('button', { name: 'Record these wires' }).tap();
    await expect(cell(page, 2, 'wall')).toHaveText('W');
    await page.getByRole('button', { name: /^Take back: / }).tap();
    await expect(page.getByRole('button', { name: 'Record these wires' })).toBeVisible();
  });
});

test('at a desk too, the content begins near the top', async ({ page }) => {
  await openDemo(page);
  await expectContentWithin(page, 120);
});

async function expectContentWithin(page: Page, most: number): Promise<void> {
  const main = page.getByRole('main');
  await main.getByRole('heading', { level: 1 }).waitFor();
  expect((await main.boundingBox())?.y).toBeLessThanOrEqual(most);
}

test('a demo house that does not come says so, and is there at the second try', async ({ page }) => {
  let gone = true;
  await page.route('**/_app/immutable/chunks/*.js', async (route) => {
    const response = await route.fetch();
    const house = (await response.text()).includes('job-schoolhouse');
    return gone && house ? route.abort() : route.fulfill({ response });
  });
  await open(page, '/demo');
  await expect(page.getByRole('alert')).toContainText('could not be loaded');
  await expectAccessible(page);
  gone = false;
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.waitForURL('**/th-classroom/sheet');
});

test.describe('without scripts', () => {
  test.use({ javaScriptEnabled: false });

  test('the first page reads', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('main')).toContainText('how a new thermostat gets its power');
    await expect(page.getByRole('img', { name: /is there a C wire/ })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Quick look/ })).toBeVisible();
  });
});

test('words are explained where they stand, and on a page of their own', async ({ page }) => {
  await open(page, '/look');
  await page.getByRole('button', { name: 'C wire' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'C wire' });
  await expect(dialog).toContainText('takes the current back');
  await expectAccessible(page);
  await dialog.getByRole('link', { name: 'All words' }).click();
  await page.getByLabel('Find a word').fill('clip');
  await expect(page.getByRole('term').first()).toContainText('Jumper');
  await page.getByLabel('Find a word').fill('submarine');
  await expect(page.getByText('No such word here.')).toBeVisible();
});

/** Kilobytes of a kind of file that a page asks for, compressed as every server can. */
async function weightOf(page: Page, go: () => Promise<void>) {
  const files = new Map<string, { readonly kind: string; readonly bytes: number }>();
  let requests = 0;
  page.on('request', () => (requests += 1));
  page.on('response', (response) => {
    const kind = response.request().resourceType();
    if (kind !== 'script' && kind !== 'stylesheet') return;
    void response
      .body()
      .then((body) => files.set(response.url(), { kind, bytes: gzipSync(body, { level: 9 }).length }))
      .catch(() => undefined);
  });
  await go();
  await page.waitForLoadState('networkidle');
  const kilobytes = (kind: string) =>
    [...files.values()].filter((file) => file.kind === kind).reduce((sum, { bytes }) => sum + bytes, 0) /
    1000;
  const thread = [...files].filter(([url]) => url.includes('/workers/'));
  return {
    script: kilobytes('script'),
    thread: thread.reduce((sum, [, { bytes }]) => sum + bytes, 0) / 1000,
    style: kilobytes('stylesheet'),
    requests
  };
}

test('the first page is light, and the first station of a job does not grow', async ({ page, browser }) => {
  const home = await weightOf(page, () => open(page, '/'));
  expect(home.script).toBeLessThanOrEqual(60);
  expect(home.style).toBeLessThanOrEqual(14);
  expect(home.requests).toBeLessThanOrEqual(25);
  await openDemo(page);
  const again = await (
    await browser.newContext({ storageState: await page.context().storageState({ indexedDB: true }) })
  ).newPage();
  const station = await weightOf(again, async () => {
    await open(again, '/job/job-schoolhouse/th-classroom/sheet');
    await again.getByRole('heading', { level: 1, name: 'Wires' }).waitFor();
  });
  // The page by itself, and the planner that its thread loads beside it.
  expect(station.script - station.thread).toBeLessThanOrEqual(150);
  expect(station.thread).toBeLessThanOrEqual(110);
  expect(station.requests).toBeLessThanOrEqual(70);
});
