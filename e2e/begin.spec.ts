import { type Locator, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { expect, test } from './bench.ts';

/** What a person does, counted: each press and each field that is filled is one. */
class Hand {
  actions = 0;

  async press(what: Locator): Promise<void> {
    this.actions++;
    await what.click();
  }

  async fill(what: Locator, text: string): Promise<void> {
    this.actions++;
    await what.fill(text);
  }
}

/** Two hoops, eight colours, a day, evenings: what one has and wants. */
async function answer(page: Page, hand: Hand): Promise<void> {
  const box = page.getByTestId('your-box');
  for (const hoop of ['15 cm hoop', '20 cm hoop']) await hand.press(box.getByRole('button', { name: hoop }));
  for (const colour of ['Red', 'Navy', 'Green', 'Gold', 'Brown', 'Black']) {
    await hand.press(box.getByRole('button', { name: colour, exact: true }));
  }
  const soon = new Date(Date.now() + 6 * 86_400_000).toISOString().slice(0, 10);
  await hand.fill(page.getByLabel('Ready by'), soon);
  await expect(page.getByTestId('hours-there')).toContainText('at the hoop');
}

/** A version is used, the kit is saved, and the piece is at the hoop. */
async function takeTheKit(page: Page, hand: Hand): Promise<void> {
  await expect(page.getByTestId('version-rich')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByTestId('version-within')).toContainText('Within');
  for (const kind of ['simple', 'usual', 'rich'])
    await expect(page.getByTestId(`version-${kind}`)).toContainText(/ h|min/);
  await hand.press(page.getByTestId('use-simple'));
  await expect(page.getByTestId('use-simple')).toContainText('In use');
  const saved = page.waitForEvent('download', { timeout: 60_000 });
  await hand.press(page.getByTestId('save-kit'));
  const file = await saved;
  expect(file.suggestedFilename()).toMatch(/-kit\.pdf$/);
  expect((await readFile((await file.path())!)).subarray(0, 5).toString()).toBe('%PDF-');
  await hand.press(page.getByTestId('start'));
  await expect(page.getByTestId('begin-sheet')).toContainText('Needles');
}

for (const [where, viewport] of [
  ['on a desk', { width: 1280, height: 800 }],
  ['on a phone', { width: 390, height: 844 }],
] as const) {
  test.describe(where, () => {
    test.use({ viewport });

    test('from a name to a kit in at most 20 actions', async ({ bench, page }) => {
      const hand = new Hand();
      await bench.open('/');
      await hand.press(page.getByRole('button', { name: /A name or a word/ }));
      await hand.fill(page.getByLabel('Name or word'), 'Ada');
      await hand.press(page.getByTestId('begin-name'));
      await expect(page.getByRole('heading', { name: 'Four questions' })).toBeVisible();
      await answer(page, hand);
      await takeTheKit(page, hand);
      expect(hand.actions).toBeLessThanOrEqual(20);
    });
  });
}

test('from an own drawing to a kit in at most 15 actions; a file dialog that is closed leads back to the doors', async ({
  bench,
  page,
}) => {
  const hand = new Hand();
  await bench.open('/');
  const chooser = page.waitForEvent('filechooser');
  await hand.press(page.getByTestId('own-drawing'));
  // Closed without a file, it leaves everything as it was.
  await (await chooser).setFiles([]);
  await expect(page.getByTestId('doors')).toBeVisible();
  const again = page.waitForEvent('filechooser');
  await hand.press(page.getByTestId('own-drawing'));
  await (await again).setFiles(fileURLToPath(new URL('../demo/motifs/tulip.svg', import.meta.url)));
  hand.actions++;
  await expect(page.getByRole('heading', { name: 'Four questions' })).toBeVisible();
  await hand.fill(page.getByLabel('Ready by'), new Date(Date.now() + 6 * 86_400_000).toISOString().slice(0, 10));
  await takeTheKit(page, hand);
  expect(hand.actions).toBeLessThanOrEqual(15);
});

test('a ready-made design is found by a word, and its versions are one undoable choice', async ({ bench, page }) => {
  await bench.open('/begin/motif');
  await page.getByRole('searchbox').fill('autumn');
  await expect(page.getByTestId('motifs').getByRole('button')).toHaveCount(5);
  await page.getByRole('button', { name: 'Mushroom' }).click();
  await page.getByTestId('use-simple').click({ timeout: 40_000 });
  await page.getByRole('button', { name: /every part at the desk/ }).click();
  await bench.goTo('Stitches');
  await expect(bench.card.getByLabel('How much is stitched')).not.toHaveValue('usual');
  await page.keyboard.press('Control+z');
  await expect(bench.card.getByLabel('How much is stitched')).toHaveValue('usual');
});
