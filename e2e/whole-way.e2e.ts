/** From an empty job to a printed move list: by keyboard at a desk, by touch on a phone. */
import { expect, test } from '@playwright/test';
import {
  answerQuestion,
  cell,
  expectAccessible,
  expectNoSideways,
  expectSaved,
  open,
  openDemo,
  station,
  goTo,
  openWay
} from './helpers';

test('by keyboard', async ({ page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'New job' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('Which house').fill('Mill cottage');
  await page.keyboard.press('Enter');
  await page.waitForURL('**/th-1/sheet');

  await page.getByRole('button', { name: 'Add a cable' }).focus();
  await page.keyboard.press('Enter');
  await page.getByLabel('What it looks like').fill('tan cable');
  await page.getByLabel('Gauge').selectOption('18');
  await page.getByLabel(/Length, one way/).fill('12');
  await page.getByLabel('In the wall it is').selectOption('free');
  await page.keyboard.press('Enter');
  await expect(cell(page, 5, 'wall')).toBeVisible();

  // One conductor after the other, without leaving the keys: the wall down, then the equipment down.
  await cell(page, 1, 'wall').focus();
  for (const mark of ['r', 'w', 'y', 'g', 'coiled']) {
    await page.keyboard.type(mark);
    await page.keyboard.press('Enter');
  }
  await expect(cell(page, 1, 'wall')).toHaveText('R');
  await expect(cell(page, 5, 'wall')).toHaveText('coiled');
  await cell(page, 1, 'equipment').focus();
  for (const mark of ['r', 'w', 'y', 'g', 'coiled']) {
    await page.keyboard.type(mark);
    await page.keyboard.press('ArrowDown');
  }
  await expect(cell(page, 4, 'equipment')).toHaveText('G');

  // A colour by two letters, and the whole thing taken back and done again.
  await cell(page, 5, 'colour').focus();
  await page.keyboard.type('bn');
  await expect(cell(page, 5, 'colour')).toContainText('BN');
  await page.keyboard.press('Control+z');
  await expect(cell(page, 5, 'colour')).toContainText('BU');
  await page.keyboard.press('Control+y');
  await expect(cell(page, 5, 'colour')).toContainText('BN');

  await page
    .getByRole('group', { name: /Terminals of Furnace/ })
    .getByRole('button', { name: 'C', exact: true })
    .press('Enter');
  await expectSaved(page);
  await page.reload();
  await expect(cell(page, 5, 'colour')).toContainText('BN');
  await expect(page.getByRole('button', { name: /^Take back: / })).toBeEnabled();

  await station(page, 'System').press('Enter');
  for (const answer of [/^Thin/, /^Warm air/, /^Yes, it rests/, /^Burner with a flue/])
    await answerQuestion(page, answer);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('System: furnace with air conditioner');

  await station(page, 'Thermostat').press('Enter');
  await page.getByRole('button', { name: 'Choose Tarnwick Fellgate 4' }).press('Enter');
  await station(page, 'C wire').press('Enter');
  const best = page.locator('[data-method=spare-conductor]');
  await expect(best).toContainText('Recommended');
  await best.locator('summary').first().press('Enter');
  await page.getByRole('button', { name: 'Take this way: Use a spare wire' }).press('Enter');
  await expect(best).toHaveAttribute('data-chosen', 'true');
  await expectSaved(page);
  await page.reload();
  await expect(best).toHaveAttribute('data-chosen', 'true');

  await station(page, /^Steps/).press('Enter');
  const moves = page.getByRole('region', { name: 'Move list' }).getByRole('listitem');
  await expect(moves.first()).toContainText('Power off');
  await expect(moves.last()).toContainText('Power on');
  await expectAccessible(page);

  // What goes to the printer: the moves, both sheets, and none of the frame.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeHidden();
  await expect(page.getByRole('region', { name: 'As found' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'As planned' })).toBeVisible();
  const pdf = await page.pdf({ format: 'A4' });
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('by touch', { tag: '@wide' }, async ({ page }) => {
    await open(page, '/');
    await page.getByRole('button', { name: 'New job' }).tap();
    await page.getByLabel('Which house').fill('Ferry house');
    await page.getByRole('button', { name: 'Begin at the wall' }).tap();
    await page.waitForURL('**/th-1/sheet');
    await page.getByRole('button', { name: 'Add a cable' }).tap();
    await page.getByLabel('Wires, spare ones too').selectOption('4');
    await page.getByRole('button', { name: 'Add the cable' }).tap();
    await expectNoSideways(page);

    // One wire after the other is asked for.
    await cell(page, 1, 'wall').tap();
    for (const mark of ['R', 'W', 'Y', 'G'])
      await page.getByRole('dialog').getByRole('button', { name: mark, exact: true }).tap();
    await page.getByRole('button', { name: 'At the equipment' }).tap();
    // One wire after the other is asked for.
    await cell(page, 1, 'equipment').tap();
    for (const mark of ['R', 'W', 'Y', 'G'])
      await page.getByRole('dialog').getByRole('button', { name: mark, exact: true }).tap();
    await expect(cell(page, 3, 'equipment')).toHaveText('Y');
    await page
      .getByRole('group', { name: /Terminals of Furnace/ })
      .getByRole('button', { name: 'C', exact: true })
      .tap();
    await expectSaved(page);
    await page.reload();
    await page.getByRole('button', { name: 'At the equipment' }).tap();
    await expect(cell(page, 4, 'equipment')).toHaveText('G');

    await goTo(page, 'system');
    await page.getByLabel('You know what it is?').selectOption('furnace-ac');
    // What is stated leaves an electric furnace possible, whose fan wire nobody may take: the flue rules it out.
    for (const answer of [/^Thin/, /^Warm air/, /^Burner with a flue/]) await answerQuestion(page, answer);
    await expectNoSideways(page);
    await goTo(page, 'supply');
    await openWay(page, 'repurpose-g');
    await page.getByRole('button', { name: 'Take this way: Use the fan wire as the C wire' }).tap();
    await expectNoSideways(page);
    await expectAccessible(page);
    await goTo(page, 'moves');
    const moves = page.getByRole('region', { name: 'Move list' });
    await expect(moves).toContainText('Join Y to G with a short piece of wire (a jumper).');
    await expect(moves).toContainText('Land the green wire on C');
    await expectNoSideways(page);
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.length).toBeGreaterThan(20_000);
  });
});

test('three ways are compared, one is taken, moves are ticked, and another wire than recorded is found', async ({
  page
}) => {
  await openDemo(page, 'classroom', 'supply');
  const card = (method: string) => page.locator(`li[data-method="${method}"]`);
  await expect(card('spare-conductor')).toContainText('Recommended');
  await expect(card('add-conductor')).toContainText('With care');
  await expect(card('signal-splitter')).toContainText('nothing');
  await expect(card('spare-conductor').locator('[data-slips]')).toContainText(/\d+ of \d+ would do harm/);
  await page.getByText('What matters to you').click();
  await page.getByLabel(/^Work/).selectOption('not at all');
  // Less work counts for nothing against a cable that nobody has pulled at yet.
  await expect(page.locator('li[data-method]').nth(1)).toHaveAttribute('data-method', 'signal-splitter');
  await page.getByLabel(/^Work/).selectOption('as usual');
  await expect(page.locator('li[data-method]').nth(1)).toHaveAttribute('data-method', 'signal-splitter');
  await openWay(page, 'signal-splitter');
  await card('signal-splitter')
    .getByLabel('Which way')
    .selectOption({ label: 'Y becomes C, G carries both calls' });
  await expect(card('signal-splitter')).toHaveAttribute('data-chosen', 'true');
  await openWay(page, 'spare-conductor');
  await card('spare-conductor').getByRole('button', { name: 'Take this way: Use a spare wire' }).click();
  await expect(card('spare-conductor')).toHaveAttribute('data-chosen', 'true');

  await goTo(page, 'moves');
  const list = page.getByRole('region', { name: 'Move list' });
  const boxes = list.getByRole('checkbox');
  await boxes.nth(0).check();
  await boxes.nth(1).check();
  await expect(list.locator('[data-progress]')).toHaveText('2 of 18 done');
  await expect(list).toContainText(/done \d\d:\d\d/);
  await expectSaved(page);
  await page.reload();
  await expect(list.locator('[data-progress]')).toHaveText('2 of 18 done');

  // The spare turns out to be cut off in the wall: the record is put right, and the plan is made anew.
  await list.getByRole('link', { name: 'the Wires page' }).click();
  await cell(page, 5, 'equipment').focus();
  await page.keyboard.type('?');
  await page.keyboard.press('Enter');
  await goTo(page, 'supply');
  await expect(page.getByRole('region', { name: 'Not known yet' })).toContainText('nobody has found it');
  await openWay(page, 'add-conductor');
  await card('add-conductor')
    .getByRole('button', { name: /Take this way/ })
    .click();
  await goTo(page, 'moves');
  await expect(list.locator('[data-progress]')).toHaveText(/^2 of \d+ done$/);
});
