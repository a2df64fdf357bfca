/** Every main view: no accessibility fault, nothing sideways at phone width, no error in the console. */
import { expect, test, type Page } from '@playwright/test';
import {
  expectAccessible,
  expectAccessibleInBothThemes,
  expectNoSideways,
  goByLink,
  open,
  openDemo,
  openStation,
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
const MAINS_STATIONS = ['strip', 'layout', 'controller', 'work', 'trial', 'fault', 'built'];

/** At a desk in the light theme, on a phone in the dark one: each page is seen in both sizes and both themes, in two looks instead of four. */
const sizes = {
  desk: { viewport: { width: 1280, height: 800 }, colorScheme: 'light' },
  phone: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, colorScheme: 'dark' }
} as const;
type Size = keyof typeof sizes;

/** A look at the page that stands there. */
type Look = (page: Page) => Promise<void>;

const classroom = '/job/job-schoolhouse/th-classroom';
const of = (thermostat: string, some: readonly string[]) => some.map((station) => `${thermostat}/${station}`);

/** Every page that there is, in a few walks that are made beside each other: the demo house that each begins with, and its pages. */
const WALKS: readonly { readonly name: string; readonly demo?: string; readonly pages: readonly string[] }[] =
  [
    { name: 'up to the bench', pages: of(classroom, stations.slice(0, 7)) },
    {
      name: 'from the steps on, and beside the stations',
      pages: [
        ...of(classroom, [...stations.slice(7), 'do', 'power', 'together', 'thermostat/de-fellgate']),
        '/job/job-gone/th-1/sheet',
        '/words',
        '/look',
        '/left',
        '/follow',
        '/'
      ]
    },
    {
      name: 'dark after the work',
      demo: 'mill-cottage',
      pages: of('/job/job-mill-cottage/th-parlour', ['why', 'keep', 'moves'])
    },
    {
      name: 'mains',
      demo: 'quarry-row',
      pages: of('/job/job-quarry-row/th-quarry-house', MAINS_STATIONS)
    }
  ];

async function expectEachHas(page: Page, pages: readonly string[], look: Look): Promise<void> {
  for (const path of pages) {
    await goByLink(page, path);
    await look(page);
  }
}

/** Pieces of text that stand on other text, by their first words; what hovers over the page and what is cut off is left out. */
function textOnText(): string[] {
  const pieces: { readonly text: string; readonly at: DOMRect }[] = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const inFlow = (element: Element | null): boolean => {
    for (let up = element; up && up !== document.body; up = up.parentElement) {
      const { position, overflow, clipPath } = getComputedStyle(up);
      if (['absolute', 'fixed', 'sticky'].includes(position) || clipPath !== 'none') return false;
      if (overflow !== 'visible' || up instanceof SVGElement || up.localName === 'select') return false;
    }
    return true;
  };
  while (walker.nextNode()) {
    const { textContent, parentElement } = walker.currentNode;
    if (!textContent?.trim() || !parentElement?.checkVisibility() || !inFlow(parentElement)) continue;
    const range = document.createRange();
    range.selectNodeContents(walker.currentNode);
    for (const at of range.getClientRects()) pieces.push({ text: textContent.trim().slice(0, 30), at });
  }
  pieces.sort((a, b) => a.at.top - b.at.top);
  // Line boxes of neighbouring lines touch; letters of both are on each other only from a third of a line on.
  return pieces.flatMap((piece, index) => {
    const found: string[] = [];
    for (let next = index + 1; next < pieces.length; next += 1) {
      const other = pieces[next]!;
      const down = Math.min(piece.at.bottom, other.at.bottom) - other.at.top;
      if (down <= 0) break;
      const along = Math.min(piece.at.right, other.at.right) - Math.max(piece.at.left, other.at.left);
      if (along > 2 && down > Math.min(piece.at.height, other.at.height) / 3)
        found.push(`${piece.text} / ${other.text}`);
    }
    return found;
  });
}

/** No wider than the window, no text on other text, every toggle is large enough to hit, and the page has a name. */
async function expectFits(page: Page): Promise<void> {
  await expectNoSideways(page);
  expect(await page.evaluate(textOnText), page.url()).toEqual([]);
  const small = await page
    .locator('summary:visible')
    .evaluateAll((toggles) => toggles.filter((toggle) => toggle.getBoundingClientRect().height < 24).length);
  expect(small, page.url()).toBe(0);
  expect(await page.title(), page.url()).toMatch(/^Ulterum · | · Ulterum$/);
}

/** The least width that has to do, and the text twice as large, as one sets it in the browser: what the layout does at a width follows it. */
const TIGHT: Readonly<Record<Size, (page: Page, look: Look) => Promise<void>>> = {
  phone: async (page, look) => {
    await page.setViewportSize({ width: 320, height: 700 });
    await look(page);
    await page.setViewportSize(sizes.phone.viewport);
  },
  desk: async (page, look) => {
    const browser = await page.context().newCDPSession(page);
    const text = (px: number) =>
      browser.send('Page.setFontSizes', { fontSizes: { standard: px, fixed: px } });
    await text(32);
    await look(page);
    await text(16);
    await browser.detach();
  }
};

/** What a page has said in the console by then that is wrong. */
function errorsOf(page: Page): readonly string[] {
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(error.message));
  return errors;
}

for (const [size, shape] of Object.entries(sizes))
  // At every commit the phone, which is the harder one of the two.
  test.describe(`on a ${size}`, size === 'desk' ? { tag: '@wide' } : {}, () => {
    test.use(shape);

    /** As it stands, and as tight as it gets. */
    const look: Look = async (page) => {
      await expectAccessible(page);
      await expectFits(page);
      await TIGHT[size as Size](page, expectFits);
    };

    for (const { name, demo = 'schoolhouse', pages } of WALKS)
      test(`every page is accessible and fits, with no error in the console: ${name}`, async ({ page }) => {
        const errors = errorsOf(page);
        await open(page, `/demo/${demo}`);
        await page.waitForURL('**/job/**');
        // What one size alone shows is in the frame, which is the same on all: seen in the other theme too.
        await page.getByRole('heading', { level: 1 }).waitFor();
        await expectAccessibleInBothThemes(page);
        await expectEachHas(page, pages, look);
        expect(errors).toEqual([]);
      });

    test('so is a photo', async ({ page }) => {
      const errors = errorsOf(page);
      await openDemo(page);
      await takePhoto(page, 'Photo of the wall');
      await page.getByRole('link', { name: /The wall/ }).click();
      await expect(page.getByRole('button', { name: /cross at/ })).toHaveAttribute('data-ready', 'true');
      await look(page);
      expect(errors).toEqual([]);
    });

    test('so is the page for an address that there is not', async ({ page }) => {
      const missing = await page.goto('/nothing/here');
      expect(missing?.status()).toBe(404);
      await page.getByRole('heading', { level: 1 }).waitFor();
      await expectAccessibleInBothThemes(page);
    });
  });

test.describe('on a phone', () => {
  test.use(sizes.phone);

  /** A house that is stopped, and one that is not known, look different at these; the bench without a circuit has a test of its own. */
  const otherwise = ['system', 'supply', 'moves'];
  for (const thermostat of ['flat', 'bell-room'])
    test(
      `where the ${thermostat} is said otherwise, it is accessible and fits as well`,
      { tag: '@wide' },
      async ({ page }) => {
        await openDemo(page);
        await walkStations(page, thermostat, stations, async (station) => {
          await expectFits(page);
          if (otherwise.includes(station)) await expectAccessible(page);
        });
      }
    );
});

test(
  'what is not accessible is found, in either theme, and so is text on text',
  { tag: '@wide' },
  async ({ page }) => {
    await openDemo(page);
    await page.getByRole('heading', { level: 1 }).waitFor();
    const fault = (html: string) =>
      page.locator('main').evaluate((main, added) => {
        main.querySelector('.fault')?.remove();
        main.insertAdjacentHTML('beforeend', `<div class="fault">${added}</div>`);
      }, html);
    expect(await page.evaluate(textOnText)).toEqual([]);
    await fault('<p>A line</p><p style="margin-top: -1.2em">Another</p>');
    expect(await page.evaluate(textOnText)).toEqual(['A line / Another']);
    await fault('<img src="data:,">');
    await expect(expectAccessible(page)).rejects.toThrow('image-alt');
    // Pale on the paper of one theme, well read on the dark of the other.
    await fault('<p style="color: #bbb">Pale</p>');
    await expect(expectAccessible(page)).rejects.toThrow('color-contrast');
    await page.getByRole('button', { name: /Dark theme/ }).click();
    await expectAccessible(page);
    await expect(expectAccessibleInBothThemes(page)).rejects.toThrow('color-contrast');
  }
);

test('no rule of style has the browser look through the whole page at every change in it', async ({
  page
}) => {
  await openDemo(page);
  const selectors = await page.evaluate(() => {
    const of = (rules: CSSRuleList): string[] =>
      [...rules].flatMap((rule) => [
        ...(rule instanceof CSSStyleRule ? [rule.selectorText] : []),
        ...('cssRules' in rule ? of(rule.cssRules as CSSRuleList) : [])
      ]);
    return [...document.styleSheets].flatMap((sheet) => of(sheet.cssRules));
  });
  expect(selectors.length).toBeGreaterThan(300);
  expect(selectors.filter((selector) => /(:root|html|body|^):has\(/.test(selector))).toEqual([]);
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
  await goByLink(page, '/');
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
  // The page behind it stands still, and goes again once it is closed.
  const scrolled = async () => {
    await page.mouse.move(20, 400);
    await page.mouse.wheel(0, 300);
    return page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => setTimeout(() => done(window.scrollY), 50)))
    );
  };
  expect(await scrolled()).toBe(0);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.keyboard.press('Escape');
  await expect.poll(scrolled).toBeGreaterThan(0);
  await page.getByRole('button', { name: /^Standing: / }).click();
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
  await openStation(page, 'bell-room', 'moves');
  await expect(page.getByRole('heading', { name: 'Nothing is moved' })).toBeVisible();
});

test('the theme is kept', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /Dark theme/ }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'cellar');
});
