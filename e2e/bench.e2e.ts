/** The bench: calls, faults, probes, the meter, long work with progress, what is kept. */
import { expect, test } from '@playwright/test';
import { expectAccessible, expectNoSideways, expectSaved, openDemo, goTo } from './helpers';

test.describe('by touch on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, colorScheme: 'dark' });

  test('a call is pressed, a wire pulled off and put back, and the sheet says what changes', async ({
    page
  }) => {
    await openDemo(page, 'classroom');
    await goTo(page, 'bench');
    const words = page.locator('[data-words]');
    await page.getByRole('button', { name: 'cooling', exact: true }).tap();
    await expect(words).toContainText('Cooling works: compressor, blower.');
    const sheet = page.getByRole('region', { name: 'On the bench' });
    await sheet.getByRole('button', { name: /^yellow: 0\.\d\d A, 2\d\.\d V/ }).tap();
    await sheet.getByRole('button', { name: 'Pull off at the wall' }).tap();
    await expect(words).toContainText('Compressor runs, blower does not. Blower: nothing drives G.');
    await expect(page.getByText('the coil freezes', { exact: false })).toBeVisible();
    await sheet.getByRole('button', { name: 'Put back at the wall' }).tap();
    await expect(words).toContainText('Cooling works');
    await expectNoSideways(page);
    await expectAccessible(page);
  });
});

test(
  'the meter is read by keyboard, a blown fuse is explained, and what showed is kept with the job',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'classroom');
    await goTo(page, 'bench');
    await page.getByRole('button', { name: 'heat', exact: true }).press('Enter');
    const meter = page.getByRole('region', { name: 'Simulated meter' });
    const reading = meter.locator('[data-reading]');
    await meter.getByLabel('Probe 1').selectOption({ label: 'C · Tarnwick Fellgate 4' });
    await meter.getByLabel('Probe 2').selectOption({ label: 'RC · Tarnwick Fellgate 4' });
    await expect(reading).toHaveText(/^2[56]\.\d V$/);
    const sheet = page.getByRole('region', { name: 'On the bench' });
    await sheet.getByRole('button', { name: 'Probe on W, red, equipment' }).press('Space');
    await expect(sheet.getByRole('button', { name: 'Probe on W, red, equipment' })).toHaveAttribute(
      'aria-pressed',
      'true'
    );
    const wrong = page.getByRole('region', { name: 'Put something wrong' });
    await wrong.getByLabel('What').selectOption('fuse-open');
    await wrong.getByRole('button', { name: /the fuse of Oil furnace is open/ }).press('Enter');
    await expect(page.locator('[data-words]')).toContainText(
      'Burner: Oil furnace has no voltage between R and common.'
    );
    await page.getByRole('button', { name: 'Keep what shows now' }).press('Enter');
    await expectSaved(page);
    await page.reload();
    await expect(page.getByRole('region', { name: 'Kept from the bench' })).toContainText(
      'heat, as planned: the fuse of Oil furnace is open'
    );
  }
);

test(
  'a wire pulled off shows a phantom, and a small load takes it away',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page, 'classroom');
    await goTo(page, 'bench');
    await page.getByRole('button', { name: 'nothing', exact: false }).first().click();
    const sheet = page.getByRole('region', { name: 'On the bench' });
    await sheet.getByRole('button', { name: /^blue: / }).click();
    await sheet.getByRole('button', { name: 'Pull off at the equipment' }).click();
    const meter = page.getByRole('region', { name: 'Simulated meter' });
    const reading = meter.locator('[data-reading]');
    await meter.getByLabel('Probe 1').selectOption({ label: 'C · Oil furnace' });
    await meter.getByLabel('Probe 2').selectOption({ label: 'blue wire, loose at the equipment' });
    await expect(reading).toHaveText(/\d\.\d V\s*phantom/);
    await meter.getByLabel('Low impedance').check();
    await expect(reading).toHaveText(/0\.\d V\s*no phantom left/);
    await expectAccessible(page);
  }
);

test('long work runs in a thread of its own, and can be stopped', async ({ page }) => {
  await openDemo(page, 'classroom');
  await goTo(page, 'bench');
  const faults = page.getByRole('region', { name: 'Every single mistake' });
  await faults.getByRole('button', { name: 'Solve them' }).click();
  await expect(faults.locator('[data-summary]')).toContainText(/\d+ would harm/);
  const spread = page.getByRole('region', { name: 'Spread of the voltage' });
  await spread.getByRole('button', { name: 'Draw them' }).click();
  await expect(spread.locator('[data-spread]')).toContainText(/nine in ten between 2\d\.\d V and 2\d\.\d V/);
  await expect(spread.getByRole('img', { name: /How often each voltage/ })).toBeVisible();
  await page.getByRole('button', { name: 'As found', exact: true }).click();
  await expect(spread.getByRole('button', { name: 'Draw them' })).toBeVisible();
  // Stopped the moment that it can be: a fast machine is through before a hand would have found the button.
  await page.evaluate(() => {
    const watch = new MutationObserver(() => {
      const stop = [...document.querySelectorAll('button')].find(
        (candidate) => candidate.textContent.trim() === 'Stop'
      );
      if (!stop) return;
      watch.disconnect();
      stop.click();
      document.documentElement.dataset['stopped'] = 'yes';
    });
    watch.observe(document.body, { childList: true, subtree: true });
  });
  await spread.getByRole('button', { name: 'Draw them' }).click();
  await expect(page.locator('html[data-stopped=yes]')).toBeAttached();
  await expect(spread.getByRole('button', { name: 'Draw them' })).toBeVisible();
  await expect(spread.locator('[data-spread]')).toHaveCount(0);
});

test('a house without a 24 V circuit says why there is nothing to power up', async ({ page }) => {
  await openDemo(page, 'bell-room');
  await goTo(page, 'bench');
  await expect(page.getByRole('main')).toContainText('Not solved: no circuit is known for');
  await expectAccessible(page);
});
