/** Every main view: no accessibility fault in either theme, nothing sideways at phone width, no error in the console. */
import { expect, test, type Page } from '@playwright/test';
import {
  expectAccessible,
  expectAccessibleInBothThemes,
  expectNoSideways,
  open,
  openDemo,
  takePhoto,
  walkStations
} from './helpers';

const stations = [
  'survey',
  'safe',
  'sheet',
  'system',
  'thermostat',
  'supply',
  'bench',
  'moves',
  'set-up',
  'test',
  'keep'
];

const sizes = {
  desk: { viewport: { width: 1280, height: 800 } },
  phone: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
} as const;

const job = '/job/job-schoolhouse/th-classroom';

/** Every page that there is, in a few walks that are made beside each other. */
const WALKS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  'up to the system': (page) => walk(page, stations.slice(0, 4)),
  'up to the bench': (page) => walk(page, stations.slice(4, 7)),
  'from the steps on': (page) => walk(page, stations.slice(7)),
  'beside the stations': async (page) => {
    await takePhoto(page, 'Photo of the wall');
    await open(page, `${job}/sheet`);
    await page.getByRole('link', { name: /The wall/ }).click();
    await expect(page.getByRole('button', { name: /cross at/ })).toHaveAttribute('data-ready', 'true');
    await expectAccessibleInBothThemes(page);
    for (const path of [
      `${job}/together`,
      `${job}/thermostat/de-fellgate`,
      '/',
      '/job/job-gone/th-1/sheet'
    ]) {
      await open(page, path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expectAccessibleInBothThemes(page);
    }
  }
};

function walk(page: Page, some: readonly string[]): Promise<void> {
  return walkStations(page, 'classroom', some, () => expectAccessibleInBothThemes(page));
}

for (const [size, shape] of Object.entries(sizes))
  test.describe(`on a ${size}`, () => {
    test.use(shape);

    for (const [name, pages] of Object.entries(WALKS))
      test(`every page is accessible in both themes, with no error in the console: ${name}`, async ({
        page
      }) => {
        const errors: string[] = [];
        page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
        page.on('pageerror', (error) => errors.push(error.message));
        await openDemo(page);
        await pages(page);
        expect(errors).toEqual([]);
      });

    test('so is the page for an address that there is not', async ({ page }) => {
      const missing = await page.goto('/nothing/here');
      expect(missing?.status()).toBe(404);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await expectAccessibleInBothThemes(page);
    });
  });

/** A house that is stopped, and one that is not known, look different at these; the bench without a circuit has a test of its own. */
for (const thermostat of ['flat', 'bell-room'])
  test(`where the ${thermostat} is said otherwise, it is accessible as well`, async ({ page }) => {
    await openDemo(page);
    await walkStations(page, thermostat, ['system', 'supply', 'moves'], () => expectAccessible(page));
  });

test.describe('at 390 pixels', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  for (const thermostat of ['classroom', 'flat', 'bell-room']) {
    test(`nothing of the ${thermostat} has to be pushed sideways`, async ({ page }) => {
      await openDemo(page);
      await walkStations(page, thermostat, stations, () => expectNoSideways(page));
    });
  }
});

const tight = [
  { what: 'at 320 pixels', viewport: { width: 320, height: 700 }, textPx: 16 },
  { what: 'with the text twice as large', viewport: { width: 1280, height: 800 }, textPx: 32 }
];

for (const { what, viewport, textPx } of tight)
  test.describe(what, () => {
    test.use({ viewport });

    test('nothing has to be pushed sideways, and every toggle can be hit', async ({ page }) => {
      // As one sets it in the browser: what the layout does at a width follows it.
      const browser = await page.context().newCDPSession(page);
      await browser.send('Page.setFontSizes', { fontSizes: { standard: textPx, fixed: textPx } });
      await openDemo(page);
      await walkStations(page, 'classroom', stations, async (station) => {
        await expectNoSideways(page);
        for (const toggle of await page.locator('summary:visible').all())
          expect((await toggle.boundingBox())?.height, station).toBeGreaterThanOrEqual(24);
        expect(await page.title(), station).toMatch(/ · Ulterum$/);
      });
    });
  });

test('who wants no motion gets none that runs on', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openDemo(page, 'classroom', 'bench');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  const endless = () =>
    page.evaluate(
      () =>
        document
          .getAnimations()
          .filter((animation) => animation.effect?.getComputedTiming().iterations === Infinity).length
    );
  expect(await endless()).toBe(0);
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  expect(await endless()).toBeGreaterThan(0);
});

test('the jobs page is accessible, empty and filled', async ({ page }) => {
  await open(page, '/');
  await expect(page.getByRole('region', { name: 'What this is' })).toBeVisible();
  await expectAccessible(page);
  await openDemo(page);
  await open(page, '/');
  await expect(page.getByRole('list', { name: 'Jobs' })).toContainText('The old schoolhouse');
  await expectAccessible(page);
});

test('every judgement of the standing opens its reasons, down to recorded facts and solved calls', async ({
  page
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^Standing: / }).click();
  await page.getByRole('button', { name: /^System: .* Open the reasons/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Why this system' });
  await expect(dialog).toContainText('An outdoor unit stands outside and rests in winter.');
  await dialog.locator('summary').first().click();
  await expect(dialog).toContainText(/recorded:|observed:/);
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.getByRole('button', { name: /^Supply: .* Open the reasons/ }).click();
  await expect(page.getByRole('dialog', { name: 'How the supply was judged' })).toContainText(
    'Solved for a furnace with air conditioner'
  );
});

test('mains is a stop on every station, and no move is given', async ({ page }) => {
  await openDemo(page, 'bell-room', 'supply');
  await expect(page.getByRole('button', { name: /^Standing: .*1 stop,/ })).toBeVisible();
  await expect(page.getByRole('main')).toContainText('This is mains voltage: shock and fire.');
  await expect(page.getByRole('button', { name: /^Take this way/ })).toHaveCount(0);
  await open(page, '/job/job-schoolhouse/th-bell-room/moves');
  await expect(page.getByRole('heading', { name: 'Nothing is moved' })).toBeVisible();
});

test('the theme is kept', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /Dark theme/ }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'cellar');
});
