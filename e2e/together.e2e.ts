/** Several thermostats on one panel, and the sheet of a thermostat. */
import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import {
  downloadedPdf,
  expectAccessible,
  expectNoSideways,
  expectSaved,
  goByLink,
  open,
  openDemo,
  openStation,
  goTo
} from './helpers';

async function openFerry(page: Page, path = 'th-landing/together'): Promise<void> {
  await open(page, '/demo/ferry-house');
  await page.waitForURL('**/th-landing/sheet');
  await goByLink(page, `/job/job-ferry-house/${path}`);
}

test(
  'four zones overload the panel together; one bigger transformer opens all of them, in one trip',
  { tag: '@wide' },
  async ({ page }) => {
    await openFerry(page);
    const panel = page.locator('[data-shared="eq-zone-panel"]');
    await expect(panel).toContainText('110 %: too much');
    await expect(page.locator('[data-verdict="no"]')).toHaveCount(4);
    await expectAccessible(page);
    await panel.getByRole('button', { name: 'Plan with one of 75 VA' }).click();
    await expect(page.locator('[data-verdict="care"]')).toHaveCount(4);
    await expect(panel).not.toContainText('too much');
    await expect(page.locator('[data-cuts]')).toContainText(
      'cut 13 m for Ferryman’s kitchen, 16 m for Boat room'
    );

    // Power is cut once for all, and each list has it done.
    const moves = page.getByRole('region', { name: 'Moves of all' });
    await expect(moves.getByRole('checkbox', { name: /Done: Power off/ })).toHaveCount(1);
    await moves.getByRole('checkbox', { name: /Done: Power off/ }).check();
    await expectAccessible(page);
    await expectSaved(page);
    await goByLink(page, '/job/job-ferry-house/th-net-loft/moves');
    await expect(page.locator('[data-progress]')).toHaveText(/^1 of \d+ done$/);

    // Back to the small one: the way of each is closed again, and says why.
    await page.getByRole('link', { name: 'All together', exact: true }).first().click();
    await panel.getByRole('button', { name: 'Keep the 40 VA' }).click();
    await expect(page.locator('[data-verdict="no"]')).toHaveCount(4);
    await goTo(page, 'supply');
    await expect(page.locator('details[data-method="spare-conductor"]')).toContainText(
      'All 4 thermostats on it call at once'
    );
  }
);

test('ways that fit together are taken at once, can be taken back, and go along on paper', async ({
  page
}) => {
  await openDemo(page, 'classroom', 'together');
  const ways = page.getByRole('region', { name: 'Ways taken' });
  const open = ways.getByText('(recommended, not chosen)');
  await expect(open).toHaveCount(3);
  await ways.getByRole('button', { name: 'Take these ways' }).click();
  // The bell room has no device and waits for a licensed person: it is left as it is.
  await expect(open).toHaveCount(1);
  await expect(ways.getByRole('button', { name: 'Take these ways' })).toHaveCount(0);

  expect(await downloadedPdf(page)).toBe('the-old-schoolhouse-all-together.pdf');

  // One step back opens all of them again.
  await page.getByRole('button', { name: /^Take back:/ }).click();
  await expect(open).toHaveCount(3);
});

test('a new thermostat goes on a machine that is there, or on one of its own', async ({ page }) => {
  await openFerry(page, 'th-landing/survey');
  await page.getByRole('button', { name: /Other thermostats of this job/ }).click();
  await page.getByRole('button', { name: 'Another thermostat' }).click();
  await page.getByLabel('Where it hangs').fill('Sail store');
  await page.getByLabel('Its wires go to').selectOption('Zone panel');
  await page.getByRole('dialog').getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page).toHaveURL(/th-1\/sheet$/);
  await page.getByRole('button', { name: /Other thermostats of this job/ }).click();
  await page.getByRole('link', { name: 'All together' }).click();
  await expect(page.locator('[data-shared]')).toContainText('Sail store');
});

test(
  'a thermostat has a sheet of its own, which goes out as a file and comes in again',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'classroom', 'thermostat');
    await page.getByRole('link', { name: 'Sheet of the Hollinfast Onebar' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Hollinfast Onebar');
    await expect(page.getByRole('region', { name: 'Here', exact: true })).toContainText(
      'joins RH and RC inside'
    );
    await expect(page.getByRole('region', { name: 'What would make it fit' })).toContainText(
      'Use a spare wire'
    );
    await expectAccessible(page);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Facts as a file' }).click()
    ]);
    const text = await readFile(await file.path(), 'utf8');
    expect(JSON.parse(text)).toMatchObject({ format: 'ulterum-device', device: { model: 'Onebar' } });

    await openStation(page, 'classroom', 'thermostat');
    const bring = (name: string, buffer: string) =>
      page
        .getByLabel('From a file that Ulterum wrote')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(buffer) });
    await page.getByRole('button', { name: 'Enter a device' }).click();
    await bring('broken.json', text.replace('"drawVa": 5', '"drawVa": "five"'));
    await expect(page.getByRole('alert')).toContainText('device.drawVa: expected a number');
    await bring('copy.json', text.replace('Onebar', 'Onebar of my own'));
    await expect(page.getByRole('link', { name: 'Sheet of the Hollinfast Onebar of my own' })).toBeVisible();
    await expectSaved(page);
  }
);

test('a move leads to its wire on the sheet, where the house is otherwise than recorded', async ({
  page
}) => {
  await openDemo(page, 'classroom', 'moves');
  const land = page.locator('li[data-action="land"]').first();
  await land.getByText('Picture').click();
  await expect(land.locator('svg')).toContainText('before');
  await land.getByRole('link', { name: /Put this wire right/ }).click();
  await expect(page.locator('[data-spot="4-equipment"]')).toBeFocused();
});

test.describe('at 390 pixels', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('nothing of these has to be pushed sideways', async ({ page }) => {
    await openFerry(page);
    await expectNoSideways(page);
    // Four thermostats do not fit beside each other: where one is stands in sight all the same.
    await expect(page.getByRole('banner').getByText('All together')).toBeInViewport({ ratio: 1 });
    await openDemo(page, 'classroom', 'thermostat/de-moistly');
    await expectNoSideways(page);
  });
});
