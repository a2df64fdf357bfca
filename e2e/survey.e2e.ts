/** From the survey to the named system on a phone with the network gone; photos with pins and colours; labels; making safe. */
import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import {
  answerQuestion,
  cell,
  downloadedPdf,
  expectAccessible,
  expectNoSideways,
  expectSaved,
  goByLink,
  open,
  openDemo,
  openStation,
  takePhoto,
  goTo,
  workOffline
} from './helpers';

/** Opens, or folds, the line of a question of the survey. */
async function openLine(page: Page, label: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${label} `) }).tap();
}

test.describe('on a phone, in the dark, with the network gone', () => {
  test.use({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    colorScheme: 'dark',
    serviceWorkers: 'allow'
  });

  test(
    'the survey, the photo and the named system work, and all is there after a reload',
    { tag: '@wide' },
    async ({ page }) => {
      await open(page, '/');
      await workOffline(page);

      await open(page, '/');
      await page.getByRole('button', { name: 'New job' }).tap();
      await page.getByLabel('Which house').fill('Lantern Cottage');
      await page.getByRole('button', { name: 'Begin at the wall' }).tap();
      await page.waitForURL('**/sheet');

      await goTo(page, 'survey');
      await expect(page.getByRole('region', { name: 'Verdict before buying' })).toHaveAttribute(
        'data-verdict',
        'prepare-first'
      );
      const next = page.getByRole('region', { name: 'Next question' });
      await expect(next).toContainText('Does heating (and cooling) work today?');
      await next.getByRole('button', { name: 'yes', exact: true }).tap();
      await expect(next).toContainText('Does the internet work');
      await next.getByRole('button', { name: 'Not sure, ask the next' }).tap();
      await expect(next).toContainText('What kind of machine');
      await openLine(page, 'Heated floor');
      await page.getByLabel('Heated floor').fill('1300');
      await page.getByLabel('Heated floor').blur();
      await openLine(page, 'Heated floor');
      await expect(page.getByRole('button', { name: /^Heated floor 1300/ })).toBeVisible();
      await openLine(page, 'Somebody is home');
      await page.getByRole('button', { name: 'always', exact: true }).tap();
      await openLine(page, 'At night');
      await page.getByRole('button', { name: 'as by day', exact: true }).tap();
      await expect(page.getByRole('main')).toContainText('It will not pay');
      await openLine(page, 'Somebody is home');
      await page.getByRole('button', { name: 'not on weekdays by day', exact: true }).tap();
      await page.getByRole('button', { name: 'Simulated meter' }).tap();
      await expect(page.getByRole('main')).toContainText('1 reading');
      await expectNoSideways(page);

      await goTo(page, 'safe');
      await page.getByRole('button', { name: /none of the 8 open ones/ }).tap();
      await page.locator('[data-supply=eq-1]').getByLabel('Proof').selectOption('display-dark');
      await expect(page.getByRole('main')).toContainText('a dark display proves nothing');
      await page.locator('[data-supply=eq-1]').getByLabel('Proof').selectOption('both');
      // As long as the system is not known, an outdoor unit may be there, with a breaker of its own.
      await page.locator('[data-supply=outdoor-unit]').getByLabel('Proof').selectOption('meter');
      await expect(page.locator('[data-safe=true]')).toBeVisible();
      await expectNoSideways(page);
      await expectAccessible(page);

      await goTo(page, 'sheet');
      await page.getByRole('button', { name: 'Add a cable' }).tap();
      await page.getByRole('button', { name: 'Add the cable' }).tap();
      await takePhoto(page, 'Photo of the wall');
      await cell(page, 1, 'wall').tap();
      await page.getByRole('dialog').getByRole('button', { name: 'R', exact: true }).tap();
      await page.getByRole('dialog').getByRole('button', { name: 'W', exact: true }).tap();
      await page.keyboard.press('Escape');

      await goTo(page, 'system');
      await answerQuestion(page, /^Thin/);
      await page.getByLabel('You know what it is?').selectOption('furnace');
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('System: furnace, heat only');
      await expectSaved(page);

      await page.reload();
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('System: furnace, heat only');
      await goTo(page, 'sheet');
      await expect(cell(page, 1, 'wall')).toHaveText('R');
      await expect(page.getByRole('link', { name: /The wall/ }).locator('img')).toBeVisible();
    }
  );
});

test(
  'a photo carries pins, names colours without setting a function, and travels with the file',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await takePhoto(page, 'Photo of the wall');
    await page.getByRole('link', { name: /The wall/ }).click();
    const field = page.getByRole('button', { name: /cross at/ });
    await expect(field).toHaveAttribute('data-ready', 'true');
    const box = (await field.boundingBox())!;
    const at = (x: number, y: number) => ({ position: { x: box.width * x, y: box.height * y } });

    await field.click(at(0.75, 0.25));
    await page.getByRole('dialog').getByRole('button', { name: /red/ }).click();
    await expect(page.getByRole('main')).toContainText('1. the red wire');
    await field.press('ArrowLeft');
    await field.press('Enter');
    await page.getByRole('dialog').getByRole('button', { name: 'RH at the wall' }).click();
    await expect(page.getByRole('main')).toContainText('2. RH at the wall');

    await page.getByRole('button', { name: 'Name a colour' }).click();
    await field.click(at(0.25, 0.75));
    const guess = page.getByRole('region', { name: 'Name of the colour' });
    await expect(guess).toContainText('touch something white first');
    await page.getByRole('button', { name: 'Touch white' }).click();
    await field.click(at(0.25, 0.25));
    await field.click(at(0.25, 0.75));
    await expect(guess).toContainText('Sure');
    await guess.getByLabel('Which wire').selectOption({ label: 'green' });
    await guess.getByRole('button', { name: 'Set blue' }).click();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Back to the wires' }).click();
    await expect(cell(page, 5, 'colour')).toContainText('BU');
    await expect(cell(page, 5, 'wall')).toHaveText('coiled');

    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export the job as a file' }).click()
    ]);
    expect(file.suggestedFilename()).toBe('the-old-schoolhouse.ulterum.zip');
    const bytes = await readFile(await file.path());
    expect(bytes.includes(Buffer.from('Exif'))).toBe(false);
    await goByLink(page, '/');
    await page
      .getByLabel('Bring in a file')
      .setInputFiles({ name: 'again.zip', mimeType: 'application/zip', buffer: bytes });
    await expect(page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')).toHaveCount(2);
  }
);

test('an end found at the machine is proposed, and taken over only when confirmed', async ({ page }) => {
  await openDemo(page, 'flat');
  await page.getByRole('button', { name: 'Colour', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: /black/ }).click();
  await page.getByLabel('Mark or state').fill('loose');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.locator('[data-kind=one]')).toContainText('The same one?');
  await expect(cell(page, 8, 'equipment')).toContainText('not seen');
  await page.getByRole('button', { name: 'Yes, the same' }).click();
  await expect(cell(page, 8, 'equipment')).toHaveText('loose');
});

test('a stop locks the moves, not the record, until it is resolved', async ({ page }) => {
  await openDemo(page, 'classroom', 'safe');
  const gas = page.locator('[data-stop=gas-smell]');
  await gas.getByRole('button', { name: 'Yes' }).click();
  await expect(gas).toContainText('Call the gas emergency line');
  await expectAccessible(page);
  await openStation(page, 'classroom', 'moves');
  await expect(page.getByRole('heading', { name: 'Nothing is moved' })).toBeVisible();
  await openStation(page, 'classroom', 'sheet');
  await expect(cell(page, 1, 'wall')).toBeEnabled();
  await openStation(page, 'classroom', 'safe');
  await gas.getByRole('button', { name: 'It was resolved' }).click();
  await gas.getByLabel(/Resolved, when/).fill('cleared by the gas line');
  await gas.getByRole('button', { name: 'It is resolved' }).click();
  await expect(gas.getByRole('button', { name: 'It is resolved' })).toHaveCount(0);
  await expectSaved(page);
  await openStation(page, 'classroom', 'moves');
  await expect(page.getByRole('region', { name: 'Move list' })).toBeVisible();
});

test('a supply that cannot be switched off is a stop, and the moves are closed', async ({ page }) => {
  await openDemo(page, 'classroom');
  await goTo(page, 'safe');
  const furnace = page.locator('[data-supply]').first();
  await furnace.getByLabel('Cut').selectOption('cannot');
  await expect(page.getByRole('region', { name: 'What is open' })).toContainText(
    'cannot be switched off. Stop'
  );
  await expect(page.getByRole('status').filter({ hasText: 'A stop is open' })).toBeVisible();
  await goTo(page, 'moves');
  await expect(page.getByRole('main')).toContainText('Nothing is moved');
  await goTo(page, 'safe');
  await furnace.getByLabel('Cut').selectOption('both');
  await expect(page.getByRole('region', { name: 'What is open' })).not.toContainText(
    'cannot be switched off'
  );
});

test('labels come out as PDF with its fonts, and as SVG', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Labels' }).click();
  expect(await downloadedPdf(page, page.getByRole('dialog'))).toMatch(/\.pdf$/);
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('dialog').getByRole('button', { name: 'As SVG' }).click()
  ]);
  expect(await readFile(await svg.path(), 'utf8')).toContain('The old schoolhouse');
});

test('the move list comes out as PDF with its fonts and drawings, and the drawings as SVG', async ({
  page
}) => {
  await openDemo(page, 'classroom', 'moves');
  expect(await downloadedPdf(page)).toBe('the-old-schoolhouse-former-classroom-moves.pdf');
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Drawings as SVG' }).click()
  ]);
  expect(await readFile(await svg.path(), 'utf8')).toContain('>GN  green');
});
