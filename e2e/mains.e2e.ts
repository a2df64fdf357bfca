/** Mains heating controls: from an empty wiring centre to the printed plan by keyboard; the demo house to its end on a phone. */
import { readFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import {
  expectAccessible,
  expectAccessibleInBothThemes,
  expectNoSideways,
  expectSaved,
  goByLink,
  open
} from './helpers';

/** Chooses in a list by its letters, as one does from the keys. */
async function pick(page: Page, label: string | RegExp, value: string | { label: string }): Promise<void> {
  const list = page.getByLabel(label);
  await list.focus();
  await list.selectOption(value);
}

async function addDevice(page: Page, part: string, name: string): Promise<void> {
  await pick(page, 'Another device', { label: part });
  await page.getByRole('button', { name: `Add the ${part}` }).press('Enter');
  await expect(page.locator('details[data-unit]', { hasText: name }).first()).toBeAttached();
}

/** Under a number: a wire of this device, on this screw. */
async function addWire(
  page: Page,
  number: string,
  device: string,
  screw: RegExp,
  colour: string
): Promise<void> {
  await page.locator(`button[data-number="${number}"]`).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: `Number ${number}` });
  await pick(page, 'Its cable goes to', { label: device });
  const option = dialog.getByLabel('There it is on').locator('option', { hasText: screw });
  await pick(page, 'There it is on', (await option.getAttribute('value')) ?? '');
  if (colour === 'earth') await dialog.getByLabel('green-yellow (earth)').press('Space');
  else await pick(page, 'Colour', colour);
  await dialog.getByRole('button', { name: 'Add this wire' }).press('Enter');
  // A wire that is there says which screw of the device it is on: one more line than before.
  await expect(dialog.locator('li', { hasText: `${device} ${screw.source.slice(1)}` })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
}

test('from an empty wiring centre to the printed plan, by keyboard', { tag: '@wide' }, async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).press('Enter');
  await page.getByLabel('Which house').fill('Tannery Yard');
  await page.getByRole('button', { name: '230 V timer and boiler instead' }).press('Enter');
  await page.waitForURL('**/th-1/strip');
  await expect(page.getByRole('heading', { name: 'Wiring centre', exact: true })).toBeVisible();
  await expect(page.getByText('Leave every cover on.')).toBeVisible();
  await expectAccessible(page);

  await addDevice(page, 'timer', 'timer');
  await addDevice(page, 'room thermostat', 'room thermostat');
  await addDevice(page, 'boiler', 'boiler');

  // Arrow keys go down the numbers.
  await page.locator('button[data-number="1"]').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('button[data-number="2"]')).toBeFocused();
  await page.keyboard.press('End');
  await expect(page.locator('button[data-number="10"]')).toBeFocused();

  for (const [number, device, screw, colour] of [
    ['1', 'fused spur', /^L ·/, 'BN'],
    ['1', 'timer', /^L ·/, 'BN'],
    ['2', 'fused spur', /^N ·/, 'BU'],
    ['2', 'timer', /^N ·/, 'BU'],
    ['2', 'boiler', /^N ·/, 'BU'],
    ['3', 'fused spur', /^E ·/, 'earth'],
    ['3', 'timer', /^E ·/, 'earth'],
    ['3', 'room thermostat', /^E ·/, 'earth'],
    ['3', 'boiler', /^E ·/, 'earth'],
    ['4', 'timer', /^4 ·/, 'GY'],
    ['4', 'room thermostat', /^1 ·/, 'BN'],
    ['5', 'room thermostat', /^3 ·/, 'BK'],
    ['5', 'boiler', /^SL ·/, 'BN']
  ] as const)
    await addWire(page, number, device, screw, colour);

  // What the boiler wants is not known yet: nothing is offered before it is.
  const questions = page.getByRole('region', { name: 'Questions' });
  await expect(questions).toContainText('What the boiler wants at its thermostat input is not known');
  const boiler = page.locator('details[data-unit=md-boiler]');
  await boiler.locator('summary').press('Enter');
  await boiler.getByLabel('What it wants at its thermostat input').selectOption('switched-live');
  await boiler.getByLabel('A combination boiler').selectOption('yes');
  await page.getByLabel('These are all there are').press('Space');
  await expect(questions).toContainText('Nothing: every wire has a job.');
  await expectAccessible(page);
  await expectSaved(page);

  await page.getByRole('link', { name: /^Layout/ }).press('Enter');
  await expect(page.getByRole('region', { name: 'Layout' })).toContainText('Combination boiler, no cylinder');
  await expectAccessible(page);

  await page.getByRole('link', { name: /^Controller/ }).press('Enter');
  const solo = page.locator('li[data-controller=ct-pennhollow-solo]');
  await solo.locator('summary').first().press('Enter');
  await solo.getByRole('button', { name: /^Take Pennhollow Solo/ }).press('Enter');
  const way = page.locator('li[data-way="replace-both link-dead"]');
  await expect(way).toContainText('Licensed person');
  await way.getByRole('button', { name: /^Take this way/ }).press('Enter');
  await expect(way.getByRole('button', { name: /^Take this way/ })).toHaveText('Taken');
  await expectAccessible(page);

  await page.getByRole('link', { name: /^Steps/ }).press('Enter');
  await expect(page.getByText('These steps are not for you.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Moves' }).getByRole('checkbox').first()).toBeDisabled();
  await expectAccessible(page);
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Plan as PDF' }).press('Enter')
  ]);
  expect((await readFile(await pdf.path())).subarray(0, 5).toString()).toBe('%PDF-');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  async function station(page: Page, id: string): Promise<void> {
    await goByLink(page, `/job/job-quarry-row/th-quarry-annexe/${id}`);
  }

  test('a boiler whose thermostat is wired straight to it gets its way, without a wiring centre', async ({
    page
  }) => {
    await open(page, '/');
    await page.getByRole('button', { name: 'New job' }).tap();
    await page.getByLabel('Which house').fill('Ropewalk');
    await page.getByRole('button', { name: '230 V timer and boiler instead' }).tap();
    await page.waitForURL('**/th-1/strip');
    await page.getByRole('button', { name: 'There is no wiring centre' }).tap();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wires at the boiler');
    await addDevice(page, 'room thermostat', 'room thermostat');
    const card = (id: string) => page.locator(`details[data-unit=${id}]`);
    for (const id of ['md-supply', 'md-room-thermostat', 'md-boiler'])
      await card(id).locator('summary').tap();
    for (const [id, mark, to] of [
      ['md-supply', 'L', 'boiler L'],
      ['md-supply', 'N', 'boiler N'],
      ['md-supply', 'E', 'boiler E'],
      ['md-room-thermostat', '1', 'boiler L'],
      ['md-room-thermostat', '3', 'boiler SL'],
      ['md-room-thermostat', 'E', 'boiler E']
    ] as const)
      await card(id)
        .locator(`[data-screw="${mark}"]`)
        .getByLabel('its wire goes to')
        .selectOption({ label: to });
    const terminal = (mark: string) => page.locator(`li[data-mark="${mark}"]`);
    await expect(terminal('L')).toContainText('room thermostat 1');
    await card('md-boiler').getByLabel('What it wants at its thermostat input').selectOption('switched-live');
    await card('md-boiler').getByLabel('A combination boiler').selectOption('yes');
    await page.getByLabel('These are all there are').tap();
    await expect(page.getByRole('region', { name: 'Questions' })).toContainText(
      'Nothing: every wire has a job.'
    );

    // A terminal opens like a number does: what is on it, and a further wire.
    await terminal('SL').getByRole('button', { name: 'Terminal SL: 1 wire' }).tap();
    await expect(page.getByRole('dialog', { name: 'Terminal SL' })).toContainText('room thermostat');
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expectNoSideways(page);

    const at = (id: string) =>
      page
        .url()
        .replace(/[^/]+$/, id)
        .replace(/^.*(?=\/job\/)/, '');
    await goByLink(page, at('controller'));
    const solo = page.locator('li[data-controller=ct-pennhollow-solo]');
    await solo.locator('summary').first().tap();
    await solo.getByRole('button', { name: /^Take Pennhollow Solo/ }).tap();
    const way = page.locator('li[data-way="single-channel dead"]');
    await expect(way).toContainText('Licensed person');
    await way.getByRole('button', { name: /^Take this way/ }).tap();
    await goByLink(page, at('work'));
    const strip = page.getByRole('region', { name: 'Strip before and after' });
    await expect(strip).toContainText('On each terminal of the boiler');
    await expect(strip.locator('tr', { hasText: 'SL' })).toContainText('Pennhollow Solo NO');
    await expectNoSideways(page);
    await expectAccessible(page);
  });

  test('the demo house is worked, tested and handed over', { tag: '@wide' }, async ({ page }) => {
    await open(page, '/demo/quarry-row');
    await page.waitForURL('**/th-quarry-house/strip');
    await station(page, 'strip');
    await expect(page.locator('li[data-mark="7"]')).toContainText('mid-position valve GREY');
    await expectNoSideways(page);
    await expectAccessibleInBothThemes(page);

    await station(page, 'controller');
    await page
      .locator('li[data-way="replace-both link-dead"]')
      .getByRole('button', { name: /^Take this way/ })
      .tap();
    await expectNoSideways(page);

    // Nobody competent is named: nothing can be ticked. Then: not proven dead, no wire can.
    await station(page, 'work');
    const moves = page.getByRole('region', { name: 'Moves' });
    await expect(moves.getByRole('checkbox').first()).toBeDisabled();
    await page.getByLabel('Who works on the mains here').selectOption('competent');
    await expect(moves.getByRole('checkbox').first()).toBeEnabled();
    await expect(page.getByText('Not proven dead today.')).toBeVisible();
    const wire = moves.locator('li[data-action=cap]').first().getByRole('checkbox');
    await expect(wire).toBeDisabled();
    for (const name of [
      /Tester proven on/,
      /Live to neutral/,
      /Live to earth/,
      /Neutral to earth/,
      /Tester proven again/
    ])
      await page.getByRole('region', { name: 'Who opens it' }).getByLabel(name).check();
    await expect(page.locator('[data-dead=true]')).toBeVisible();
    await expect(wire).toBeEnabled();
    await expectNoSideways(page);
    await expectAccessible(page);

    const boxes = moves.getByRole('checkbox');
    for (let left = await boxes.count(); left > 0; left -= 1) {
      await expect(boxes).toHaveCount(left);
      await boxes.first().click();
    }
    await expect(page.getByText('All steps are done.')).toBeVisible();

    await station(page, 'trial');
    await page.locator('[data-test]').first().waitFor();
    // What failed is what was seen: it stands under Find out why.
    const heating = page.locator('[data-test]').nth(1);
    await heating.getByRole('button', { name: /: Not as it should/ }).tap();
    await heating.getByRole('button', { name: /Does the boiler run\? No/ }).tap();
    await expectAccessible(page);
    await station(page, 'fault');
    await expect(page.getByRole('region', { name: 'Seen' })).toContainText('Does the boiler run? No');
    await station(page, 'trial');
    await page.locator('[data-test]').first().waitFor();
    for (const test of await page.locator('[data-test]').all())
      await test.getByRole('button', { name: /: As it should/ }).tap();
    await expect(page.locator('[data-result=good]')).toHaveCount(6);
    await expectNoSideways(page);
    await expectAccessible(page);

    // All of it is there after the page was loaded anew.
    await expectSaved(page);
    await page.reload();
    await station(page, 'built');
    await expect(page.getByRole('region', { name: 'Strip as built' })).toContainText('Tarnwick Duo 2');
    const sheet = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Sheet for the cover, PDF' }).tap();
    expect((await readFile(await (await sheet).path())).subarray(0, 5).toString()).toBe('%PDF-');
    await page.getByLabel('Handed over by').fill('M. Arkwell');
    await page.getByRole('button', { name: 'Close the job' }).tap();
    await expect(page.locator('[data-closed]')).toContainText('M. Arkwell');
    await expectAccessible(page);
  });

  test('as long as a wire is not read to its end, no way is refused for good and nothing is said to stand still', async ({
    page
  }) => {
    const job = JSON.parse(readFileSync('demo/quarry-row.json', 'utf8')) as {
      id: string;
      thermostats: { id: string; mains: { wires: { far: object }[]; choice: object } }[];
    };
    job.id = 'job-half-read';
    const { mains } = job.thermostats[0]!;
    mains.choice = { controller: null, method: null, variant: null };
    mains.wires[0]!.far = { state: 'unseen', on: null };
    await open(page, '/');
    await page.getByLabel('Bring in a file').setInputFiles({
      name: 'half-read.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(job))
    });
    await expect(page.getByRole('list', { name: 'Jobs' })).toContainText('Quarry');
    await goByLink(page, `/job/job-half-read/${job.thermostats[0]!.id}/controller`);
    await expect(page.getByRole('region', { name: 'Not decided yet' })).toContainText(
      'one end has not been read'
    );
    await expect(page.locator('[data-way^=replace-both]').first()).toContainText('Not known yet');
    await expect(page.locator('[data-way^=keep]')).toContainText('Until then');
    await expect(page.locator('[data-controller=ct-oskerry-twin]')).toContainText('Fits so far');
    await expectNoSideways(page);
    await expectAccessible(page);
    await goByLink(page, `/job/job-half-read/${job.thermostats[0]!.id}/layout`);
    await expect(page.getByRole('main')).toContainText('worked out once every wire and screw in use is read');
    await expect(page.getByRole('region', { name: 'Today' })).toHaveCount(0);
  });

  test('what does not work is found out with the covers on', async ({ page }) => {
    await open(page, '/demo/quarry-row');
    await page.waitForURL('**/th-quarry-house/strip');
    await station(page, 'fault');
    const look = page.getByRole('region', { name: 'Next look' });
    await look.waitFor();
    for (let answered = 0; answered < 8 && (await look.isVisible()); answered += 1) {
      const id = (await look.getAttribute('data-look')) ?? '';
      // A dead spur: nothing runs, no lever is slack.
      await look.getByRole('button').last().tap();
      await expect(page.locator(`[data-look="${id}"]`)).toHaveCount(0);
    }
    await expect(page.getByRole('region', { name: 'Causes' })).toContainText('No supply');
    // It was put right and changed nothing: that cause is out, what was seen stays.
    const remedy = page.getByRole('region', { name: 'Remedy' });
    await expect(remedy).toContainText('No supply');
    await remedy.getByRole('button', { name: 'Done, and it is as before' }).tap();
    await expect(page.getByRole('region', { name: 'Causes' })).not.toContainText('No supply');
    await expect(page.getByRole('region', { name: 'Seen' })).toContainText('Put right, and it was as before');
    await expectNoSideways(page);
    await expectAccessible(page);
  });
});
