import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type axe from 'axe-core';
import { expect, type Locator, type Page } from '@playwright/test';

/** Less than half of what the package gives as its source, which is sent to each page anew. */
const AXE = createRequire(import.meta.url).resolve('axe-core/axe.min.js');

/** Opens an address and waits until the page answers. */
export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('html[data-ready=yes]').waitFor({ state: 'attached' });
}

export async function openDemo(page: Page, thermostat = 'classroom', station = 'sheet'): Promise<void> {
  await open(page, '/demo');
  await page.waitForURL('**/th-classroom/sheet');
  if (thermostat !== 'classroom' || station !== 'sheet') await openStation(page, thermostat, station);
}

/** A station of the demo house, once the demo is open. */
export async function openStation(page: Page, thermostat: string, station: string): Promise<void> {
  await goByLink(page, `/job/job-schoolhouse/th-${thermostat}/${station}`);
}

/** The page goes there as by a link of its own: nothing is loaded anew. */
export async function goByLink(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    const link = document.createElement('a');
    link.href = to;
    document.body.append(link);
    link.click();
    link.remove();
  }, path);
  await page.waitForURL(`**${path}`);
  await page.locator('h1').first().waitFor();
}

/** From station to station by the rail, as one goes; the first is loaded. */
export async function walkStations(
  page: Page,
  thermostat: string,
  stations: readonly string[],
  at: (station: string) => Promise<void>
): Promise<void> {
  const [first = 'sheet', ...others] = stations;
  await openStation(page, thermostat, first);
  await at(first);
  for (const other of others) {
    await goTo(page, other);
    await page.locator('h1').first().waitFor();
    await at(other);
  }
}

/** Goes to a station as one does: on a phone by its group first. */
export async function goTo(page: Page, id: string): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Stations' }).locator(`a[href$="/${id}"]`);
  await page.getByRole('navigation', { name: 'Stations' }).waitFor();
  if (!(await link.isVisible())) {
    const first = {
      survey: 'survey',
      safe: 'survey',
      sheet: 'survey',
      system: 'survey',
      moves: 'moves',
      power: 'moves',
      'set-up': 'moves',
      test: 'moves',
      why: 'moves',
      keep: 'keep'
    };
    const group = first[id as keyof typeof first] ?? 'thermostat';
    await page.getByRole('navigation', { name: 'Parts of the work' }).locator(`a[href$="/${group}"]`).click();
    await page.waitForURL(`**/${group}`);
  }
  await link.click();
  await page.waitForURL(`**/${id}`);
}

/** Everything is put by, the page runs on that, and the network is gone. */
export async function workOffline(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.context().setOffline(true);
}

/** Nothing that axe counts as a fault. */
export async function expectAccessible(page: Page): Promise<void> {
  await expectNoViolation(page, {});
}

/** The same in both themes: they differ in their colours alone. */
export async function expectAccessibleInBothThemes(page: Page): Promise<void> {
  await expectAccessible(page);
  const root = page.locator('html');
  const theme = await root.getAttribute('data-theme');
  const set = (name: string | null) => root.evaluate((html, to) => (html.dataset['theme'] = to ?? ''), name);
  await set(theme === 'paper' ? 'cellar' : 'paper');
  await expectNoViolation(page, { runOnly: ['color-contrast'] });
  await set(theme);
}

interface Colour {
  r: number;
  g: number;
  b: number;
  alpha: number;
  parseString(text: string): Colour;
}

/** A page has a dozen colours on hundreds of pieces of text, and to take them apart is a fifth of the tool's work. */
function parseEachColourOnce(): void {
  const { prototype } = (
    window as unknown as { axe: { commons: { color: { Color: { prototype: Colour } } } } }
  ).axe.commons.color.Color;
  const { parseString } = prototype;
  const known = new Map<string, Pick<Colour, 'r' | 'g' | 'b' | 'alpha'>>();
  prototype.parseString = function (text) {
    const before = known.get(text);
    if (before) return Object.assign(this, before);
    const { r, g, b, alpha } = parseString.call(this, text);
    known.set(text, { r, g, b, alpha });
    return this;
  };
}

async function expectNoViolation(page: Page, options: axe.RunOptions): Promise<void> {
  // Buttons take a moment to change their colours; what is paused or runs on is not waited for.
  await page.evaluate(() =>
    Promise.race([
      Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => undefined))),
      new Promise((done) => setTimeout(done, 500))
    ])
  );
  // The tool stays in a page until it is loaded anew, and gives back what the tests tell.
  if (!(await page.evaluate(() => 'axe' in window))) {
    await page.evaluate(await readFile(AXE, 'utf8'));
    await page.evaluate(parseEachColourOnce);
  }
  const violations = await page.evaluate(async (asked) => {
    const tool = (window as unknown as { axe: typeof axe }).axe;
    const { violations: found } = await tool.run({ ...asked, resultTypes: ['violations'] });
    return found.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join('; ')}`);
  }, options);
  expect(violations).toEqual([]);
}

/** A cell of the strand sheet. */
export function cell(page: Page, row: number, column: 'wall' | 'colour' | 'strand' | 'equipment'): Locator {
  return page.locator(`[data-spot="${row - 1}-${column}"]`);
}

export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByRole('banner').getByText('Saved', { exact: true })).toBeAttached();
}

/** The whole page is no wider than the window: nothing has to be pushed sideways. */
export async function expectNoSideways(page: Page): Promise<void> {
  // Not the page's own idea of it: a phone makes its window as wide as what is too wide in it.
  const window = page.viewportSize();
  const width = () => page.evaluate(() => document.documentElement.scrollWidth);
  // A chart is drawn anew a moment after its window has changed.
  await expect.poll(width, { timeout: 3000 }).toBeLessThanOrEqual(window?.width ?? 0);
}

/** Unfolds a way of the C wire station. */
export async function openWay(page: Page, method: string): Promise<void> {
  const way = page.locator(`li[data-method="${method}"] > details`);
  await expect(async () => {
    if ((await way.getAttribute('open')) === null) await way.locator('summary').first().click();
    await expect(way).toHaveAttribute('open', '', { timeout: 1000 });
  }).toPass();
}

/** A station's link on the rail. */
export function station(page: Page, name: string | RegExp): Locator {
  return page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name });
}

/** Answers a question of the System station by one of its buttons, whichever question is asked at the moment. */
export async function answerQuestion(page: Page, answer: RegExp): Promise<void> {
  await expect(page.getByRole('region', { name: 'Next observation' })).toBeVisible();
  const button = page.getByRole('button', { name: answer });
  if (!(await button.isVisible())) {
    const other = page.getByLabel('Or answer another');
    for (const option of (await other.locator('option').allTextContents()).slice(1)) {
      await other.selectOption({ label: option });
      if (await button.isVisible()) break;
    }
  }
  await button.press('Enter');
}

/** Presses the button in `where` that makes a PDF: it has its fonts in it. Its file name is given back. */
export async function downloadedPdf(page: Page, where: Page | Locator = page): Promise<string> {
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    where.getByRole('button', { name: 'As PDF' }).click()
  ]);
  const bytes = await readFile(await pdf.path());
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
  expect(bytes.includes(Buffer.from('FontFile'))).toBe(true);
  return pdf.suggestedFilename();
}

/** A picture of four fields, as a camera would give it: white, red, blue, yellow. */
async function picture(page: Page): Promise<Buffer> {
  const text = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 800;
    canvas.height = 600;
    const context = canvas.getContext('2d')!;
    ['#f2f2f0', '#c82d28', '#3c82d2', '#e8c828'].forEach((colour, index) => {
      context.fillStyle = colour;
      context.fillRect((index % 2) * 400, Math.floor(index / 2) * 300, 400, 300);
    });
    return canvas.toDataURL('image/jpeg', 0.95).split(',')[1] ?? '';
  });
  return Buffer.from(text, 'base64');
}

/** Adds a photo of the wall by the field of this name, and waits until it is there. */
export async function takePhoto(page: Page, label: string): Promise<void> {
  const before = await page.getByRole('link', { name: /The wall/ }).count();
  await page
    .getByLabel(label)
    .setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer: await picture(page) });
  await expect(page.getByRole('link', { name: /The wall/ })).toHaveCount(before + 1);
}
