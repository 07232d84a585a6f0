import { readFile } from 'node:fs/promises';
import type { Download } from '@playwright/test';
import type { Locator } from '@playwright/test';
import { expect, test } from './bench.ts';

const text = async (download: Download): Promise<string> => readFile(await download.path(), 'utf8');

test('the piece grows from bare cloth to the end, and stands as it does after any step', async ({ bench }) => {
  const { page } = bench;
  await bench.openKite('Order');
  const picture = page.locator('canvas[data-place]');
  const slider = page.getByRole('slider', { name: 'How far the work is' });
  await expect(picture).toHaveAttribute('data-place', /^\d+$/);
  const whole = await picture.screenshot();
  await slider.fill('0');
  await expect(picture).toHaveAttribute('data-place', '0');
  expect(Buffer.compare(await picture.screenshot(), whole)).not.toBe(0);
  await page.getByRole('button', { name: 'A step on' }).click();
  await expect(picture).toHaveAttribute('data-place', '1');
  await page.keyboard.press('.');
  await expect(picture).toHaveAttribute('data-place', '2');
  await page.keyboard.press(',');
  await expect(picture).toHaveAttribute('data-place', '1');
  await page.getByRole('combobox', { name: 'Pace' }).selectOption('200 a second');
  await page.getByRole('button', { name: 'Let it grow' }).click();
  await expect(page.getByText('All is stitched')).toBeVisible({ timeout: 15_000 });
});

test('each step says why it stands there; moved against a rule it is said at once, and undone', async ({ bench }) => {
  const { page, card } = bench;
  await bench.openKite('Order');
  const steps = card.locator('li.line');
  await expect.poll(() => steps.count()).toBeGreaterThan(4);
  const before = await steps.allInnerTexts();
  // The spar lies on the panels of the sail.
  const spar = steps.filter({ hasText: 'Spar' });
  await spar.getByRole('button').click();
  await expect(card.getByTestId('because')).toContainText('which lies behind it');
  for (let i = 0; i < 6 && !(await card.getByRole('status').isVisible()); i++) {
    await spar.getByRole('button', { name: 'Earlier' }).click();
    await expect(bench.tally).toContainText('Fix what comes before what');
  }
  await expect(card.getByRole('status')).toContainText('is fixed there');
  await card.getByRole('button', { name: 'Let go of all that is fixed' }).click();
  await expect(steps.first()).toBeVisible();
  await expect.poll(async () => (await steps.allInnerTexts()).length).toBeGreaterThan(3);
  await spar.getByRole('button', { name: 'Begin with it' }).click();
  await expect(page.getByText('Begin with it:')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await steps.locator('.title').allInnerTexts()).length).toBe(before.length);
});

test('a step that is dragged stands where it is dropped, and is undone', async ({ bench }) => {
  const { page, card } = bench;
  await bench.openKite('Order');
  const titles = card.locator('li.line .title');
  await expect.poll(() => titles.count()).toBeGreaterThan(4);
  const before = await titles.allInnerTexts();
  const grip = (at: number): Locator => card.locator('li.line').nth(at).locator('.grip');
  const last = 3;
  await grip(last).scrollIntoViewIfNeeded();
  const [from, to] = [(await grip(last).boundingBox())!, (await grip(0).boundingBox())!];
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x, from.y - 20, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(bench.tally).toContainText('Fix what comes before what');
  // What is fixed is its neighbours: it comes before the one that it was put before. The best order of the rest is found anew,
  // and like steps may stand in one line.
  const isBefore = async (): Promise<boolean> => {
    const now = await titles.allInnerTexts();
    const placeOf = (title: string): number => now.findIndex((other) => other.startsWith(title));
    return before.slice(0, last).some((title) => placeOf(before[last]!) < placeOf(title));
  };
  await expect.poll(isBefore).toBe(true);
  await page.keyboard.press('Control+z');
  await expect.poll(() => titles.allInnerTexts()).toEqual(before);
});

test('sittings fall on chosen days, can be moved, and go into a calendar', async ({ bench }) => {
  const { page, card } = bench;
  await bench.open('/piece/demo-rock-pool/order');
  await card.getByTestId('sitting-2').click();
  await expect(card.getByText('Lay out')).toBeVisible();
  await card.getByRole('button', { name: 'Days' }).click();
  await card.getByRole('button', { name: 'Tue' }).click();
  await card.getByRole('button', { name: 'Fri' }).click();
  await card.getByLabel('First sitting from').fill('2027-03-01');
  const days = card.getByTestId('days').locator('li');
  await expect(days.first()).toContainText('Tue, Mar 2');
  await expect(days.nth(1)).toContainText('Fri, Mar 5');
  await card.getByLabel('Day of sitting 2').fill('2027-03-06');
  await expect(days.nth(1)).toContainText('Sat, Mar 6');
  await card.getByLabel('Done by').fill('2027-04-01');
  await expect(card.getByTestId('done-by')).toContainText('sittings a week');
  await card.getByLabel('Done by').fill('2027-02-01');
  await expect(card.getByText('That day lies before the first sitting')).toBeVisible();
  const saved = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Save as a calendar file' }).click();
  const file = await text(await saved);
  expect(file).toContain('DTSTART:20270302T193000');
  expect(file).toContain('DTSTART:20270306T193000');
});

test('the guide is printed, and saved as one page that stands alone', async ({ bench }) => {
  const { page, card } = bench;
  await bench.openKite('Order');
  await card.getByRole('button', { name: 'Guide' }).click();
  await card.getByRole('combobox', { name: 'Drawings for the' }).selectOption('Left hand');
  const pdf = page.waitForEvent('download');
  await card.getByTestId('guide-pdf').click();
  expect((await text(await pdf)).slice(0, 5)).toBe('%PDF-');
  const html = page.waitForEvent('download');
  await card.getByTestId('guide-html').click();
  const guide = await text(await html);
  expect(guide).toContain('For the left hand');
  await page.setContent(guide);
  await expect(page.getByRole('heading', { name: 'The order of work' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'The piece as it will be' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'The map' })).toBeVisible();
});

test('a piece with nothing drawn says what comes here', async ({ bench }) => {
  const { page, card } = bench;
  await bench.open();
  await page.getByRole('button', { name: 'Begin on empty cloth' }).click();
  await bench.goTo('Order');
  await expect(card).toContainText('There is nothing to put in order yet');
});
