/** With the hands on it, on a phone without a network: step by step, not as shown, power-up dark, three looks, the cause, lit; and back. */
import { expect, test, type Page } from '@playwright/test';
import {
  cell,
  expectAccessible,
  expectNoSideways,
  goTo,
  open,
  openDemo,
  openWay,
  workOffline
} from './helpers';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** The made-up house whose work is done and that stays dark, where one finds out why. */
async function openDark(page: Page): Promise<void> {
  await open(page, '/demo/mill-cottage');
  await page.waitForURL('**/why');
}

/** Answers the look that is asked for. */
async function answer(page: Page, ask: RegExp, label: string): Promise<void> {
  const look = page.getByRole('region', { name: 'Next look' });
  await expect(look).toContainText(ask);
  await look.getByRole('button', { name: new RegExp(`^${label}( then |$)`) }).tap();
}

/** Every supply off and proven, then back to the look. */
async function proveOff(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Prove it' }).tap();
  const none = page.getByRole('button', { name: /none of the/ });
  await page.locator('[data-supply]').first().waitFor();
  if (await none.isVisible()) await none.tap();
  for (const supply of await page.locator('[data-supply]').all())
    await supply.getByLabel('Proof').selectOption('meter');
  await goTo(page, 'why');
}

test.describe('on a phone', () => {
  test.use({ ...phone, serviceWorkers: 'allow' });

  test(
    'steps are done by touch once the power is proven off, and the plan is made again from now',
    { tag: '@wide' },
    async ({ page }) => {
      await openDemo(page, 'classroom', 'supply');
      await workOffline(page);
      await openWay(page, 'spare-conductor');
      await page.getByRole('button', { name: 'Take this way: Use a spare wire' }).tap();
      await goTo(page, 'moves');
      await page.getByRole('link', { name: 'Step by step' }).tap();
      const step = page.getByRole('region', { name: 'This step' });
      const done = step.getByRole('button', { name: 'Done', exact: true });
      await expect(step).toContainText('Step 1 of 18');
      for (const number of [2, 3]) {
        await done.tap();
        await expect(step).toContainText(`Step ${number} of 18`);
      }
      await expect(step).toHaveAttribute('data-gate', 'prove-off');
      await expect(done).toHaveCount(0);
      await step.getByRole('link', { name: 'Prove it' }).tap();
      await page.getByRole('button', { name: /none of the/ }).tap();
      for (const supply of await page.locator('[data-supply]').all())
        await supply.getByLabel('Proof').selectOption('meter');
      await goTo(page, 'moves');
      await page.getByRole('link', { name: 'Step by step' }).tap();
      await expect(step).toHaveAttribute('data-gate', 'open');
      await expectNoSideways(page);
      await expectAccessible(page);
      await done.tap();
      await expect(step).toContainText('Step 4 of 18');
      await step.getByRole('button', { name: 'Back' }).tap();
      await expect(step).toContainText('Step 3 of 18');

      // The spare is cut off behind the furnace: the record is put right, and the rest is another plan; what was done stays done.
      await goTo(page, 'sheet');
      await page.getByRole('button', { name: 'At the equipment' }).tap();
      await cell(page, 5, 'equipment').tap();
      await page
        .getByRole('dialog')
        .getByRole('button', { name: /^Not seen/ })
        .tap();
      await goTo(page, 'supply');
      await openWay(page, 'add-conductor');
      await page.getByRole('button', { name: /^Take this way: Pull one more wire/ }).tap();
      await goTo(page, 'moves');
      await expect(page.getByRole('region', { name: 'Move list' })).toContainText(
        /pull string|pull line|leader/
      );
      await page.getByRole('link', { name: 'Step by step' }).tap();
      await expect(step).toContainText('Step 3 of');
      await page.getByText('If you stop here').tap();
      await expect(page.locator('[data-power=off]')).toContainText('The power is off');
    }
  );

  test('dark at power-up: three looks lead to the cause, its remedy is done, and it is lit', async ({
    page
  }) => {
    await openDark(page);
    await workOffline(page);
    await goTo(page, 'power');
    await expect(page.getByRole('region', { name: 'Simulated thermostat' })).toContainText('made up');
    const boxes = page.getByRole('region', { name: 'In this order' }).getByRole('checkbox');
    for (const box of await boxes.all()) await box.check();
    // The phone put the page away while somebody was at the breaker.
    await page.reload();
    await expect(boxes.first()).toBeChecked();
    for (const box of await boxes.all()) await expect(box).toBeChecked();
    await page.getByRole('button', { name: 'It stays dark' }).tap();
    await page.waitForURL('**/why');
    const remedy = page.getByRole('region', { name: 'Remedy' });
    // The blue wire is loose at the machine; all else is as it should be.
    const truth: readonly (readonly [RegExp, string])[] = [
      [/head of the thermostat/, 'It sits'],
      [/lamp on its board/, 'It shines'],
      [/Is the door closed/, 'Yes'],
      [/breaker and the service switch/, 'Both on'],
      [/show a message/, 'No message'],
      [/thermostat click/, 'Not a sound'],
      [/At the wall: tug/, 'All hold'],
      [/At Gas furnace: tug/, 'The blue wire']
    ];
    const look = page.getByRole('region', { name: 'Next look' });
    for (let looks = 0; !(await remedy.isVisible()); looks += 1) {
      expect(looks).toBeLessThan(5);
      const asked = await look.locator('[data-ask]').textContent();
      if (await look.getByRole('link', { name: 'Prove it' }).isVisible()) await proveOff(page);
      const [ask, label] = truth.find(([shape]) => shape.test(asked ?? ''))!;
      await answer(page, ask, label);
      await expect(remedy.or(look.locator('[data-ask]').filter({ hasNotText: ask })).first()).toBeVisible();
    }
    await expect(remedy).toContainText('the blue wire is loose at the equipment');
    await expect(remedy.getByRole('list')).toContainText('Land the blue wire on C');
    await expectNoSideways(page);
    await expectAccessible(page);
    await remedy.getByRole('button', { name: 'Done. Power up again' }).tap();
    await goTo(page, 'power');
    // A second time goes through all of it again.
    for (const box of await boxes.all()) await expect(box).not.toBeChecked();
    await page.getByRole('button', { name: 'It is lit' }).tap();
    await expect(page.getByRole('status').filter({ hasText: 'Good.' })).toBeVisible();
  });

  test(
    'a remedy that changed nothing takes its cause out, and the looking goes on from what was seen',
    { tag: '@wide' },
    async ({ page }) => {
      await openDark(page);
      await answer(page, /display show/, 'Dark');
      await answer(page, /head of the thermostat/, 'It did not');
      const remedy = page.getByRole('region', { name: 'Remedy' });
      await expect(remedy).toContainText('the head of the thermostat is not seated');
      await remedy.getByRole('button', { name: 'Done, and it is as before' }).tap();
      await expect(remedy).toHaveCount(0);
      const causes = page.getByRole('region', { name: 'Most likely' });
      await expect(causes).not.toContainText('head of the thermostat');
      await expect(page.getByRole('region', { name: 'Next look' }).locator('[data-ask]')).toBeVisible();
      await expect(page.getByRole('region', { name: 'Seen so far' })).toContainText('As before');
      await expectNoSideways(page);
      await expectAccessible(page);
    }
  );

  test(
    'what smells burnt ends the finding out, and what was seen is still there after a reload',
    { tag: '@wide' },
    async ({ page }) => {
      await openDark(page);
      await answer(page, /display show/, 'Dark');
      await expect(page.getByRole('region', { name: 'Seen so far' })).toContainText('Dark');
      await page.reload();
      await expect(page.getByRole('region', { name: 'Seen so far' })).toContainText('Dark');
      await page.getByText('Stop at once if').tap();
      await page.getByRole('button', { name: 'It smells burnt, or there is smoke' }).tap();
      await expect(page.getByRole('alert')).toContainText('Switch the breaker off and leave it off');
      await expect(page.getByRole('region', { name: 'Next look' })).toHaveCount(0);
    }
  );

  test(
    'it is put back as it was, and another phone follows by the address of a code',
    { tag: '@wide' },
    async ({ page }) => {
      await page.addInitScript(() => {
        Object.defineProperty(navigator, 'clipboard', {
          value: { writeText: async (text: string) => void (document.title = text) }
        });
      });
      await openDemo(page, 'classroom', 'moves');
      await page.getByRole('link', { name: 'Step by step' }).tap();
      await page.getByRole('button', { name: 'Done', exact: true }).tap();
      await expect(page.getByRole('region', { name: 'This step' })).toContainText('Step 2 of');
      await page.getByRole('button', { name: 'On another phone' }).tap();
      const dialog = page.getByRole('dialog', { name: 'On another phone' });
      await expect(dialog.getByRole('img', { name: /^Code with/ })).toBeVisible();
      await dialog.getByRole('button', { name: 'Copy the address' }).tap();
      await expect(page).toHaveTitle(/\/follow#[A-Za-z0-9_-]+$/);
      const address = await page.title();
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Put it back as it was' }).tap();
      await expect(page.getByRole('heading', { level: 1 })).toHaveText('Put it back as it was');

      await open(page, address.replace(/^https?:\/\/[^/]+/, ''));
      await expect(page.getByRole('main')).toContainText('The old schoolhouse');
      await page.getByRole('button', { name: 'Show me the steps' }).tap();
      await expect(page.getByRole('region', { name: 'This step' })).toContainText('Step 2 of');
      await open(page, '/follow#nothing');
      await expect(page.getByRole('alert')).toContainText('This code cannot be read');
    }
  );
});
