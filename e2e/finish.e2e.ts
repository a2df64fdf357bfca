/** The last stretch, on a phone without a network: lit, set up, tested, handed over, closed; opened again elsewhere by the codes on its sheet. */
import { readFile, writeFile } from 'node:fs/promises';
import { chromium, expect, test, type Download, type Page } from '@playwright/test';
import { encode } from 'uqr';
import { expectAccessible, expectNoSideways, goTo, open, openDemo, openWay, workOffline } from './helpers';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** A picture of one dot. */
const DOT =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==';

async function textOf(download: Promise<Download>): Promise<string> {
  return readFile(await (await download).path(), 'utf8');
}

async function paper(page: Page, name: RegExp): Promise<string> {
  const download = page.waitForEvent('download');
  await page.getByRole('region', { name: 'Papers and files' }).getByRole('button', { name }).tap();
  return textOf(download);
}

/** Ticks every setting that may be made, in the order in which they stand. */
async function setUp(page: Page): Promise<void> {
  const left = page.getByRole('button', { name: /^Set: / }).and(page.locator('[aria-pressed=false]:enabled'));
  await expect(left.first()).toBeVisible();
  for (let made = 0; (await left.count()) > 0; made += 1) {
    await left.first().tap();
    await expect(page.locator('[data-setting][data-made=true]')).toHaveCount(made + 1);
  }
}

async function workThrough(page: Page): Promise<void> {
  await openWay(page, 'spare-conductor');
  await page.getByRole('button', { name: 'Take this way: Use a spare wire' }).tap();
  await goTo(page, 'safe');
  await page.getByRole('button', { name: /none of the/ }).tap();
  for (const supply of await page.locator('[data-supply]').all())
    await supply.getByLabel('Proof').selectOption('meter');
  await goTo(page, 'moves');
  await page.getByRole('link', { name: 'Step by step' }).tap();
  const step = page.getByRole('region', { name: 'This step' });
  for (let number = 1; number <= 18; number += 1) {
    await expect(step).toContainText(`Step ${number} of 18`);
    await step.getByRole('button', { name: 'Done', exact: true }).tap();
  }
}

test.describe('on a phone', () => {
  test.use({ ...phone, serviceWorkers: 'allow' });

  test(
    'the classroom is walked to its end without a network, and opened again by its codes',
    { tag: '@wide' },
    async ({ page, browser }) => {
      await openDemo(page, 'classroom', 'supply');
      await workOffline(page);
      await workThrough(page);

      // Nothing can be tested before it is lit and set up.
      await goTo(page, 'test');
      await expect(page.locator('[data-test=heat1]')).toHaveAttribute('data-gate', 'not-lit');
      await goTo(page, 'power');
      for (const box of await page.getByRole('region', { name: 'In this order' }).getByRole('checkbox').all())
        await box.check();
      await page.getByRole('button', { name: 'It is lit' }).tap();
      await goTo(page, 'test');
      await expect(page.locator('[data-test=heat1]')).toHaveAttribute('data-gate', 'settings-left');

      // Set up, in the words of this device; the network comes last. A wrong one can be tried first.
      await goTo(page, 'set-up');
      await expect(page.getByRole('button', { name: 'Set: Network', exact: true })).toBeDisabled();
      await expect(page.locator('[data-setting=kind]')).toContainText('System, page 2');
      await setUp(page);
      await expect(page.getByRole('button', { name: 'Set: Network', exact: true })).toHaveAttribute(
        'aria-pressed',
        'true'
      );
      await page.getByLabel('Registration code').fill('4711-0815');
      await page.getByLabel('Registration code').blur();
      await page.getByLabel('Photo of the code').setInputFiles({
        name: 'code.png',
        mimeType: 'image/png',
        buffer: Buffer.from(DOT, 'base64')
      });
      await expect(page.getByRole('checkbox', { name: 'Photo of other' })).toBeChecked();
      const simulated = page.getByRole('region', { name: 'Simulated thermostat' });
      await simulated.getByRole('button', { name: 'Power on' }).tap();
      await simulated.getByRole('button', { name: 'Let time run faster' }).tap();
      await simulated.getByLabel('Kind of system').selectOption('heat-pump');
      await simulated.getByRole('button', { name: 'heat', exact: true }).tap();
      await expect(simulated.getByRole('alert')).toContainText('the burner does not run');
      await expectNoSideways(page);
      await expectAccessible(page);

      // Heat, off; cooling is put off in the cold; the rest.
      await goTo(page, 'test');
      const card = (call: string) => page.locator(`[data-test="${call}"]`);
      await card('heat1').getByRole('button', { name: 'I made the call: begin' }).tap();
      await card('heat1')
        .getByRole('textbox', { name: /Volts AC/ })
        .fill('19.5');
      await card('heat1').getByRole('button', { name: 'Keep: Volts AC' }).tap();
      await expect(card('heat1').getByRole('alert')).toContainText('below what it should be');
      await page.reload();
      await expect(card('heat1').getByLabel('Time since the call began')).toHaveText(/0:\d\d/);
      await expectNoSideways(page);
      await expectAccessible(page);
      await card('heat1').getByRole('button', { name: 'Good', exact: true }).tap();
      await card('idle')
        .getByRole('button', { name: /begin to wait/ })
        .tap();
      await card('idle').getByRole('button', { name: 'Good', exact: true }).tap();
      await expect(card('cool1')).toHaveAttribute('data-gate', 'outdoors-unknown');
      await card('cool1').getByLabel('Outdoors, °C').fill('9');
      await card('cool1').getByRole('button', { name: 'Keep' }).tap();
      await expect(card('cool1')).toHaveAttribute('data-gate', 'too-cold');
      await expect(card('cool1').getByRole('button', { name: /begin/ })).toHaveCount(0);
      await card('cool1').getByRole('button', { name: 'Put off' }).tap();
      await expect(card('cool1').getByLabel('Until')).toHaveValue(/^20\d\d-0[4-9]-\d\d$/);
      await card('cool1').getByRole('button', { name: 'Put it off' }).tap();
      await card('fan').getByRole('button', { name: 'I made the call: begin' }).tap();
      await card('fan').getByRole('button', { name: 'Good', exact: true }).tap();
      await card('heat1+fan').getByRole('button', { name: 'Cannot be tested' }).tap();
      await card('heat1+fan').getByLabel('Why').fill('too warm in the room');
      await card('heat1+fan').getByRole('button', { name: 'Keep' }).last().tap();
      await expect(page.getByText('5 of 5 tested or put off.')).toBeVisible();
      const calendar = page.waitForEvent('download');
      await page.getByRole('button', { name: 'Into a calendar' }).tap();
      expect(await textOf(calendar)).toContain('Test cooling');

      // Handed over: nothing private in it; closed: nothing is changed any more.
      await goTo(page, 'keep');
      expect(await paper(page, /Sheet for the furnace door/)).toMatch(/^%PDF-/);
      const record = await paper(page, /As built \(JSON\)/);
      expect(record).not.toContain('4711');
      const whole = await paper(page, /The whole job as a file/);
      expect(whole).toContain('ulterum-job');
      expect(whole).not.toMatch(/4711|"ph-/);
      await page.getByRole('checkbox', { name: /With the registration code/ }).check();
      expect(await paper(page, /Full report/)).toMatch(/^%PDF-/);
      await expect(page.getByRole('checkbox', { name: /With the registration code/ })).not.toBeChecked();
      expect(await paper(page, /Wires \(CSV\)/)).toContain('wall_terminal');
      await page.getByLabel('Who did it').fill('M. Arkwright');
      await page.getByRole('button', { name: 'Close the job' }).tap();
      await expect(page.locator('[data-closed]')).toContainText('by M. Arkwright');
      await expect(page.locator('[data-closed]')).toContainText('Test cooling');
      await expectNoSideways(page);
      await expectAccessible(page);
      const codes = (JSON.parse(await paper(page, /As built \(JSON\)/)) as { codes: string[] }).codes;
      await paper(page, /The same as a drawing/);
      const drawing = (
        await page.locator('.paper').evaluateAll((pages) => pages.map((page) => page.innerHTML))
      ).join('');
      await goTo(page, 'set-up');
      await page.getByRole('button', { name: 'Set: Kind of system', exact: true }).tap();
      await expect(page.getByRole('button', { name: 'Set: Kind of system', exact: true })).toHaveAttribute(
        'aria-pressed',
        'true'
      );

      await page.goto('/');
      await expect(page.getByRole('region', { name: 'Due' })).toContainText('Test cooling, Former classroom');

      // Another phone, nothing in its store: the first code by its address, all of them from pictures of the sheet.
      const other = await browser.newContext(phone);
      const next = await other.newPage();
      const pictures = await picturesOf(next, drawing);
      expect(pictures.length).toBe(codes.length);
      await open(next, new URL(codes[0]!).pathname + new URL(codes[0]!).hash);
      await expect(next.locator('[data-left]')).toHaveAttribute(
        'data-left',
        codes.length > 1 ? 'more' : 'whole'
      );
      if (codes.length > 1)
        await next
          .getByLabel('From pictures')
          .setInputFiles(
            pictures.map((buffer, at) => ({ name: `code-${at}.png`, mimeType: 'image/png', buffer }))
          );
      await expect(next.locator('[data-left=whole]')).toContainText('M. Arkwright');
      await expectAccessible(next);
      await next.getByRole('button', { name: 'Show the house as it was left' }).tap();
      await next.waitForURL('**/keep');
      await expect(next.locator('[data-closed]')).toContainText('M. Arkwright');
      await expect(next.getByRole('region', { name: 'Tested' })).toContainText('heat: good');
      await next.getByRole('link', { name: /find out why/ }).tap();
      await next.waitForURL('**/why');
      await other.close();
    }
  );

  test('a code of something else gets a clear word, and nothing is kept', async ({ page }) => {
    await open(page, '/left#1.1.00000000.AAAA');
    await expect(page.getByRole('alert')).toContainText('cannot be read');
    await page.getByRole('button', { name: 'Begin again' }).tap();
    await page
      .getByLabel('From pictures')
      .setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
    await expect(page.getByRole('alert')).toContainText('no picture');
    await expectNoSideways(page);
  });
});

test('the camera reads a code, and is let go once the record is whole', async ({ baseURL }, info) => {
  const [vector] = JSON.parse(await readFile('src/core/formats/fixtures/door-codes-1.json', 'utf8')) as {
    codes: string[];
  }[];
  const film = info.outputPath('code.y4m');
  await writeFile(film, filmOf(vector!.codes[0]!));
  const { launchOptions } = info.project.use as { launchOptions: { executablePath: string; args: string[] } };
  const browser = await chromium.launch({
    ...launchOptions,
    args: [
      ...launchOptions.args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`
    ]
  });
  try {
    const page = await browser.newPage({ ...phone, baseURL: baseURL! });
    await open(page, '/left');
    await page.getByRole('button', { name: 'Scan with the camera' }).tap();
    await expect(page.locator('[data-left=whole]')).toContainText('Vector');
    await expect(page.locator('video')).toHaveCount(0);
  } finally {
    await browser.close();
  }
});

/** A film of a code held still, uncompressed (YUV4MPEG2): light and dark in the first plane, no colour in the others. */
function filmOf(text: string): Buffer {
  const { data, size } = encode(text, { ecc: 'M', border: 4 });
  const field = 6;
  const side = Math.ceil((size * field) / 2) * 2;
  const light = Buffer.alloc(side * side, 235);
  for (let y = 0; y < side; y += 1)
    for (let x = 0; x < side; x += 1)
      if (data[Math.floor(y / field)]?.[Math.floor(x / field)]) light[y * side + x] = 16;
  const colour = Buffer.alloc((side * side) / 2, 128);
  const frame = Buffer.concat([Buffer.from('FRAME\n'), light, colour]);
  return Buffer.concat([Buffer.from(`YUV4MPEG2 W${side} H${side} F10:1 Ip A1:1 C420jpeg\n`), frame, frame]);
}

/** Each code of a sheet photographed by itself. */
async function picturesOf(page: Page, svg: string): Promise<Buffer[]> {
  await page.setContent(`<style>body{margin:0} svg{width:1600px;height:auto}</style>${svg}`);
  const codes = await page.locator('svg g[transform]').all();
  const pictures: Buffer[] = [];
  for (const code of codes) {
    await code.scrollIntoViewIfNeeded();
    const box = (await code.boundingBox())!;
    const edge = 30;
    pictures.push(
      await page.screenshot({
        fullPage: true,
        clip: { x: box.x - edge, y: box.y - edge, width: box.width + 2 * edge, height: box.height + 2 * edge }
      })
    );
  }
  return pictures;
}
