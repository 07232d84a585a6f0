import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { expect, test } from './bench.ts';
import type { Page } from '@playwright/test';

interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly nodes: readonly { readonly target: unknown; readonly failureSummary: string }[];
  }[];
}

const axeSource = readFile(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

// The checker is run inside the page, which the content policy would forbid.
test.use({ bypassCSP: true });

/** What the light decides; all else is the same by day and by lamp-light. */
const OF_COLOURS = ['color-contrast', 'link-in-text-block'];
const ALL = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

const STEPS = ['Drawing', 'Hoop', 'Stitches', 'Colours', 'Thread', 'Transfer', 'Order', 'At the hoop', 'Finish'];
const CHAPTERS = ['Compare fillings', 'Knots at true size', 'Techniques', 'Practice'];

/** Runs the checker on the whole of the page in the light that it is in, and on its colours in the other, in which it stays. */
async function check(page: Page, where: string): Promise<void> {
  await bringChecker(page);
  // Nothing that a program would say: no value that is missing, no field that asks for “input”.
  expect(await page.locator('body').innerText(), where).not.toMatch(/undefined|\bNaN\b|\[object|\{\{|\}\}/);
  await expect(page.getByPlaceholder(/^Please/), where).toHaveCount(0);
  const isByDay = (await page.locator('html').getAttribute('data-theme')) === 'light';
  await checkBy(page, ALL, where);
  await switchTo(page, isByDay ? 'lamp' : 'light');
  await checkBy(page, OF_COLOURS, `${where}, in the other light`);
}

async function bringChecker(page: Page): Promise<void> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(await axeSource);
}

/** Switches the light as another tab would. */
async function switchTo(page: Page, theme: 'light' | 'lamp'): Promise<void> {
  await page.evaluate((name) => {
    const key = 'junctura-settings';
    const before = localStorage.getItem(key);
    const set = JSON.parse(before ?? '{}');
    // At the hoop the hour would decide.
    const hoop = { type: 'usual', target: 'right', breakMin: 40, staysAwake: true, sounds: false, voice: false };
    const newValue = JSON.stringify({ ...set, theme: name, hoop: { ...hoop, ...set.hoop, lampAtNight: false } });
    localStorage.setItem(key, newValue);
    dispatchEvent(new StorageEvent('storage', { key, oldValue: before, newValue, storageArea: localStorage }));
  }, theme);
  await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
  await expect(page.locator('.whole')).toHaveAttribute('data-components', theme);
  // Nothing changes by degrees where little motion is asked for.
  await page.evaluate(async () => {
    for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
  });
}

async function checkBy(page: Page, runOnly: string[], where: string): Promise<void> {
  const { violations } = await page.evaluate(
    (options) => (window as unknown as { axe: { run(options: object): Promise<AxeResult> } }).axe.run(options),
    { runOnly, resultTypes: ['violations'] },
  );
  const found = violations.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${id} ${String(target)} ${failureSummary.split('\n')[1]}`),
  );
  expect(found, where).toEqual([]);
}

test('the bench, the stitch book, the thread box and the ways in meet WCAG 2.2 AA as far as a checker can tell', async ({
  bench,
  page,
}) => {
  await bench.open();
  await expect(page.locator('canvas[data-painted]')).toHaveCount(12);
  await check(page, 'bench');
  await page.getByRole('button', { name: 'Back up or restore' }).click();
  await expect(page.getByTestId('save-backup')).toBeVisible();
  await check(page, 'backing up');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Stitch book' }).click();
  await page.getByRole('link', { name: 'Couching' }).click();
  await expect(page.getByRole('heading', { name: 'Couching' })).toBeVisible();
  await check(page, 'the stitch book');
  for (const chapter of CHAPTERS) {
    await page.getByRole('navigation', { name: 'Chapters' }).getByRole('link', { name: chapter }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await check(page, chapter);
  }

  await bench.open('/threads');
  await check(page, 'an empty thread box');
  await page.getByRole('button', { name: 'Add examples' }).click();
  await expect.poll(() => page.getByTestId('box-row').count()).toBeGreaterThan(10);
  await page.getByTestId('box-row').first().getByRole('button').click();
  await check(page, 'the thread box with an entry');
  await page.getByLabel('Select everything shown').check();
  await check(page, 'many entries');
  await page.getByRole('button', { name: 'Add thread' }).click();
  await check(page, 'adding thread');

  await bench.openKite('Transfer');
  await page.getByRole('button', { name: 'Show all transfer methods' }).click();
  await page.getByRole('button', { name: 'Try it on the simulated printer' }).click();
  await page.getByTestId('printed-bars').waitFor();
  await check(page, 'all ways and the printer');
  await page.getByRole('link', { name: 'Open the light table' }).click();
  await expect(page.getByTestId('light-table').locator('[data-part]')).toHaveCount(20);
  await check(page, 'the light table');
  await page.goBack();
  await bench.goTo('Hoop');
  await page.getByRole('button', { name: /^Compare hoop sizes/ }).click();
  await expect(page.getByRole('button', { name: 'Use this hoop' })).toHaveCount(8);
  await check(page, 'hoops side by side');
  const dialog = page.getByRole('dialog');
  await dialog.getByText('Oval hoops, turned for the best fit').click();
  await expect(dialog.getByRole('button', { name: 'Use this hoop' })).toHaveCount(3);
  await expect(dialog).toContainText('20 × 13 cm');
  await dialog.getByRole('button', { name: 'Use this hoop' }).nth(1).click();
  await expect(bench.tally).toContainText('Use a 20 × 13 cm hoop');
  await bench.goTo('Drawing');
  await page.getByRole('button', { name: 'Petals, letters, borders…' }).click();
  await bench.choose('Shape', 'Lettering');
  await check(page, 'drawing by rule');

  await bench.open('/begin/motif');
  await expect(page.getByTestId('motifs').getByRole('button')).toHaveCount(50);
  await check(page, 'designs to start from');
  await page.getByRole('button', { name: 'Tulip' }).click();
  await expect(page.getByTestId('version-rich')).toBeVisible({ timeout: 40_000 });
  await page.getByTestId('your-box').getByRole('button', { name: 'Red', exact: true }).click();
  await check(page, 'four questions');
  await bench.open('/begin/name');
  await page.getByLabel('Name or word').fill('Ada');
  await check(page, 'a name');
});

test('every step does so too, with a part and the findings', async ({ bench, page }) => {
  await bench.open('/piece/demo-tram/drawing');
  for (const step of STEPS) {
    await bench.goTo(step);
    await expect(bench.card.getByRole('heading').first()).toBeVisible();
    await check(page, step);
  }
  for (const tab of ['Steps', 'Price and label']) {
    await bench.card.getByRole('button', { name: tab, exact: true }).click();
    await expect(bench.card.getByRole('heading', { level: 3 }).first()).toBeVisible();
    await check(page, `Finish, ${tab}`);
  }
  await bench.goTo('Stitches');
  await bench.pick('Moon');
  await page.getByRole('button', { name: 'Another shade…' }).click();
  await check(page, 'a part');
  await page.keyboard.press('Escape');
  await page.keyboard.press('f');
  await expect(bench.card.getByRole('heading', { name: 'Things to check' })).toBeVisible();
  await check(page, 'findings');
});

test('what is opened on a step does so too: layers, colours, thread, the record', async ({ bench, page }) => {
  await bench.openPart('demo-rock-pool', 'Star arm 1');
  await page.getByTestId('move-vein').first().click();
  await check(page, 'a part in layers, with the pen out');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  await bench.goTo('Colours');
  await bench.card.locator('.colour').nth(2).click();
  await page.getByRole('button', { name: 'Make a shade ladder…' }).click();
  const apart = page.getByTestId('told-apart');
  await apart.getByRole('button', { name: /^Show all/ }).click();
  await apart.getByRole('listitem').first().getByRole('button').click();
  await check(page, 'a colour opened');
  await page.getByRole('button', { name: 'Colourways…' }).click();
  await page.getByRole('button', { name: 'Suggest variations' }).click();
  await expect.poll(() => page.getByTestId('colourways').getByRole('listitem').count()).toBeGreaterThan(3);
  await check(page, 'colourways');
  await page.keyboard.press('Escape');

  await bench.goTo('Thread');
  await bench.card.locator('.need .name').first().click();
  await check(page, 'a need opened');
  for (const question of ['Will it be enough?', 'How you work']) {
    await bench.card.getByRole('button', { name: question }).click();
    await check(page, question);
  }
  await page.getByRole('button', { name: 'Shopping list…' }).click();
  await expect(page.getByTestId('shop-state')).toContainText('simulated thread shop');
  await check(page, 'the shopping list');
  await page.keyboard.press('Escape');

  await bench.goTo('At the hoop');
  await expect(page.getByTestId('pace')).toBeVisible();
  await check(page, 'how the work stands');
  for (const view of ['On the needle', 'Thread used', 'Record']) {
    await bench.card.getByRole('button', { name: view, exact: true }).click();
    await check(page, view);
  }
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('all that is met at the hoop does so too', async ({ bench, page }) => {
    await bench.open('/hoop/demo-rock-pool');
    await expect(page.getByTestId('begin-sheet')).toContainText('Needles:');
    await check(page, 'what to lay out');
    await page.getByTestId('begin').click();
    await expect(page.getByTestId('done')).toBeVisible();
    await check(page, 'a step');
    await page.getByTestId('wrong').click();
    await expect(page.getByRole('dialog')).toContainText('Something is wrong');
    await check(page, 'what else can be said of a step');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Settings for stitching' }).click();
    await check(page, 'what it may do');
    await page.keyboard.press('Escape');
    await page.getByTestId('end').click();
    await expect(page.getByTestId('needles-in')).toBeVisible();
    await check(page, 'the end of a sitting');
    await bench.open('/hoop/demo-bramble');
    await expect(page.getByRole('heading', { name: 'All stitched' })).toBeVisible();
    await check(page, 'a piece that is stitched');
    await page.getByTestId('hand-over').click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await check(page, 'handing over');
  });
});

/** By how many pixels something on a page is wider than there is room for. */
function widerBy(page: Page): Promise<number> {
  return page.evaluate(() => {
    const scrolls = [...document.querySelectorAll('html, .body, .card, .list, article')];
    return Math.max(...scrolls.map((element) => element.scrollWidth - Math.max(element.clientWidth, 1)));
  });
}

test('every page does so too in a narrow window, and none is wider than its window, from 320 pixels on', async ({
  bench,
  page,
}) => {
  const wide: string[] = [];
  const look = async (where: string): Promise<void> => {
    await expect(page.getByRole('heading').first()).toBeVisible();
    await bringChecker(page);
    await checkBy(page, ALL, `${where} at 390`);
    for (const width of [900, 600, 320, 390]) {
      await page.setViewportSize({ width, height: 844 });
      // Pictures follow the window when they were told of it.
      await expect
        .poll(() => widerBy(page), { timeout: 5000 })
        .toBeLessThanOrEqual(2)
        .catch(async () => wide.push(`${where} at ${width}: ${await widerBy(page)} px too wide`));
    }
  };
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.open();
  await expect(page.locator('canvas[data-painted]')).toHaveCount(12);
  await look('bench');
  await page.getByRole('link', { name: 'Thread box' }).click();
  await look('thread box');
  await bench.open('/stitches');
  await look('the stitch book');
  await page.getByRole('link', { name: 'Satin stitch', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Satin stitch' })).toBeVisible();
  await look('a stitch');
  for (const chapter of CHAPTERS) {
    await page.getByRole('navigation', { name: 'Chapters' }).getByRole('link', { name: chapter }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await look(chapter);
  }
  await bench.open('/piece/demo-rock-pool/drawing');
  // A name of any length and script, without a space to break it at.
  await page.getByLabel('Name of the piece').fill(`Παλίρροια ${'langerTeichname'.repeat(8)}`);
  for (const step of STEPS) {
    await bench.goTo(step);
    await look(step);
    // How the work stands is read on a phone.
    if (step === 'At the hoop') await expect(bench.card.getByTestId('work-done')).toBeInViewport();
  }
  await bench.saved();
  await bench.open('/hoop/demo-rock-pool');
  await look('at the hoop');
  await page.getByTestId('begin').click();
  await expect(page.getByTestId('end')).toBeInViewport({ ratio: 1 });
  await bench.open();
  await expect(page.getByText('langerTeichname', { exact: false }).first()).toBeVisible();
  await look('the bench with a long name');
  expect(wide).toEqual([]);
});
