import { expect, test, type Bench } from './bench.ts';
import { png } from './png.ts';

/** A leaf of fine veins, dark to pale, on a plain ground; a bright hair lies across it. */
const LEAF = png(420, 320, (x, y) => {
  const [dx, dy] = [(x - 210) / 170, (y - 160) / 110];
  if (Math.hypot(dx, dy) > 1) return [236, 232, 224];
  if (Math.abs(y - 140 - 0.1 * (x - 210)) < 2 && Math.abs(x - 210) < 90) return [250, 250, 240];
  const vein = 26 * Math.sin((x - 210) / 4 + (y - 160) / 9);
  const light = 96 + 70 * dx + vein;
  return [Math.max(0, light * 0.55), Math.min(255, Math.max(0, light)), Math.max(0, light * 0.4)];
});

/** Brings in the leaf, so wide: as one part to be painted, or to lie below. */
async function bringLeaf(bench: Bench, as: 'whole' | 'below', width: string): Promise<void> {
  const { page } = bench;
  await bench.open();
  await bench.bring('leaf.png', LEAF);
  await page.getByLabel('Read the picture').selectOption(as);
  await page.getByLabel('Width of the page').fill(width);
  await page.getByLabel('Width of the page').press('Enter');
  await page.getByRole('button', { name: 'Use this picture' }).click();
}

test('a picture is painted: shades are grown and counted, the stitches beside it, what lies on top added, all undone', async ({
  bench,
  page,
}) => {
  await bringLeaf(bench, 'whole', '28 mm');
  await expect(page).toHaveURL(/\/stitches$/);
  await bench.pick('Picture');
  const paint = bench.card.getByRole('region', { name: 'Painted from the picture' });
  await paint.getByLabel('Shades', { exact: true }).fill('6');
  await paint.getByLabel('Shades', { exact: true }).press('Enter');
  // Ways to work it are set side by side before she begins; one is taken.
  await paint.getByRole('button', { name: 'Compare ways' }).click();
  const ways = page.getByRole('dialog', { name: 'Ways to work it from the picture' });
  await expect(ways.getByRole('listitem')).toHaveCount(3);
  await expect(ways.getByRole('listitem').nth(0)).toContainText('Painted in 4 shades');
  await expect(ways.getByRole('listitem').nth(1)).toContainText(/Painted in 6 shades.*h.* m .*difference/);
  await expect(ways.getByRole('listitem').nth(2)).toContainText('Flat areas');
  await ways.getByRole('listitem').nth(1).getByRole('button', { name: 'Use this' }).click();
  await expect(ways).toHaveCount(0);
  await expect(paint.getByRole('list', { name: 'Its shades' }).getByRole('listitem')).toHaveCount(6);
  await expect(bench.tally).toContainText('Paint from the picture in 6 shades');
  // Shades are pinned, done without, and counted by the curve.
  const first = paint.getByRole('button', { name: /^Leave out/ }).first();
  const name = (await first.getAttribute('aria-label'))!;
  await first.click();
  await expect(paint.getByRole('button', { name, exact: true })).toHaveCount(0);
  await paint
    .getByRole('button', { name: /^Always keep / })
    .first()
    .click();
  await expect(paint.getByRole('button', { name: /^Always keep / }).first()).toHaveAttribute('aria-pressed', 'true');
  // What the picture shows, in chalk, beside the stitches, as difference, in figures.
  await paint.getByText('Show stitch direction in chalk').click();
  await expect(page.locator('path.lie')).toHaveAttribute('d', /^M/);
  await paint.getByLabel('View').getByText('Difference', { exact: true }).click();
  await expect(page.locator('.over.difference img')).toBeVisible();
  await paint.getByRole('button', { name: 'How close is it?' }).click();
  await expect(paint.getByTestId('judged')).toContainText(/difference from the picture is \d+\.\d /);
  await paint.getByText('Stitches', { exact: true }).click();
  // What lies on top becomes parts of their own, but for what is struck out.
  await paint.getByTestId('on-top').click();
  const rows = paint.getByRole('list', { name: 'Highlights and hairs' }).getByRole('checkbox');
  await expect(rows.first()).toBeChecked();
  const found = await rows.count();
  if (found > 1) await rows.last().click();
  const added = Math.max(1, found - 1);
  await paint.getByRole('button', { name: /worked last$/ }).click();
  await expect(bench.figure('Parts')).toHaveText(String(1 + added));
  // A stroke leads the lie; a mark says what matters most.
  await paint.getByRole('button', { name: 'Draw the direction of the hair' }).click();
  await bench.drawOver('part-1', [
    [0.3, 0.3],
    [0.4, 0.6],
  ]);
  await expect(paint).toContainText('One stroke sets the direction.');
  await paint.getByRole('button', { name: 'Mark an eye' }).click();
  await bench.drawOver('part-1', [
    [0.6, 0.5],
    [0.64, 0.5],
  ]);
  await expect(paint).toContainText('You marked one place');
  await page.keyboard.press('Escape');
  // By colour each shade goes all over it; by area one goes on from patch to patch.
  await paint.getByRole('button', { name: 'Go zone by zone, from back to front' }).click();
  await expect(paint.getByRole('button', { name: /^Go zone by zone/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  // The pattern marks its shades; the order has a step for each that is in use.
  await bench.goTo('Transfer');
  await expect(bench.card.getByText('Borders of shades, with their numbers and key')).toBeVisible();
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(bench.figure('Parts')).toHaveText('1');
});

test('what a picture shows is proposed as a part, and seen coarsely while its stitches are worked', async ({
  bench,
  page,
}) => {
  await bringLeaf(bench, 'below', '150 mm');
  await page.getByRole('button', { name: 'Find the subject of the picture' }).click();
  await expect(bench.figure('Parts')).toHaveText('1');
  await bench.goTo('Stitches');
  await bench.pick('Subject');
  const paint = bench.card.getByRole('region', { name: 'Painted from the picture' });
  // A canvas that is there only until the stitches are: whether it ever was is kept.
  await page.evaluate(() => {
    const see = (): void => {
      if (document.querySelector('[data-test=coarse]')) document.documentElement.dataset['coarse'] = 'seen';
    };
    new MutationObserver(see).observe(document.body, { childList: true, subtree: true });
  });
  await paint.getByRole('button', { name: 'Paint it in 24 shades' }).click();
  await expect(bench.tally).toContainText('Paint from the picture in 24 shades');
  await expect(page.locator('html[data-coarse=seen]')).toHaveCount(1);
  await expect(page.getByTestId('coarse')).toHaveCount(0);
});

test('a painting whose picture is taken away says so, and has it back', async ({ bench, page }) => {
  await bringLeaf(bench, 'whole', '28 mm');
  await bench.goTo('Stitches');
  await bench.pick('Picture');
  await bench.card.getByRole('button', { name: /^Paint it in/ }).click();
  await expect(bench.tally).toContainText('Paint from the picture');
  await bench.card.getByRole('button', { name: 'All parts' }).click();
  await bench.goTo('Drawing');
  await expect(page.locator('.overlay image')).toBeVisible();
  await bench.card.getByRole('button', { name: 'Remove it' }).click();
  await bench.goTo('Stitches');
  await bench.pick('Picture');
  await expect(bench.card).toContainText('Its picture is gone');
  await page.keyboard.press('f');
  await expect(bench.card).toContainText('there is no picture any more');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(bench.card).not.toContainText('there is no picture any more');
});
