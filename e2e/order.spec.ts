import { readFile } from 'node:fs/promises';
import type { Download } from '@playwright/test';
import type { Locator } from '@playwright/test';
import { expect, test } from './bench.ts';

const text = async (download: Download): Promise<string> => readFile(await download.path(), 'utf8');

test('the piece grows from bare cloth to the end, and stands as it does after any step', async ({ bench }) => {
  const { page } = bench;
  await bench.openKite('Order');
  const picture = page.locator('canvas[data-place]');
  const slider = page.getByRole('slider', { name: 'How far the piece is' });
  await expect(picture).toHaveAttribute('data-place', /^\d+$/);
  const whole = await picture.screenshot();
  await slider.fill('0');
  await expect(picture).toHaveAttribute('data-place', '0');
  expect(Buffer.compare(await picture.screenshot(), whole)).not.toBe(0);
  await page.getByRole('button', { name: 'Forward one step' }).click();
  await expect(picture).toHaveAttribute('data-place', '1');
  await page.keyboard.press('.');
  await expect(picture).toHaveAttribute('data-place', '2');
  await page.keyboard.press(',');
  await expect(picture).toHaveAttribute('data-place', '1');
  await page.getByRole('combobox', { name: 'Speed' }).selectOption('200 stitches a second');
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByText('All stitched')).toBeVisible({ timeout: 15_000 });
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
  await expect(bench.tally).toContainText('Fix the order of two parts');
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
  await expect(page.getByRole('heading', { name: 'Step by step' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'The piece as it will be' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'The map' })).toBeVisible();
  // As it is laid out: each step once in the list, on the map and as a picture, and no number on another.
  const laid = await page.evaluate(() => {
    const all = (found: string): Element[] => [...document.querySelectorAll(found)];
    const numbers = all('.map g[data-step] text, .lens g[data-step] text');
    const boxes = numbers.map((number) => number.getBoundingClientRect());
    const touching = boxes.flatMap((a, i) =>
      boxes.slice(i + 1).filter((b) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom),
    );
    return {
      steps: all('li[data-step]').map((step) => step.getAttribute('data-step')),
      numbers: numbers.map((number) => number.textContent).sort((a, b) => Number(a) - Number(b)),
      pictures: all('li[data-step] svg[data-step]').map((picture) => picture.getAttribute('data-step')),
      touching: touching.length,
    };
  });
  expect(laid.touching).toBe(0);
  expect(laid.numbers).toEqual(Array.from({ length: 13 }, (_, i) => String(i + 1)));
  expect(laid.pictures).toEqual(laid.numbers);
  expect(laid.steps.slice(0, 13)).toEqual(laid.numbers);
  expect(laid.steps.slice(13).every((step) => step?.startsWith('F'))).toBe(true);
  // On a phone nothing but a template reaches past the edge.
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
