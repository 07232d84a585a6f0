import { expect, test } from './bench.ts';
import type { Page } from '@playwright/test';

/** A flat picture of a meadow with one small poppy. */
async function meadow(page: Page): Promise<Buffer> {
  const address = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [400, 300];
    const brush = canvas.getContext('2d')!;
    for (const [colour, x, y, w, h] of [
      ['#86a35a', 0, 0, 400, 300],
      ['#c8b98c', 0, 200, 400, 100],
      ['#54432f', 40, 90, 60, 140],
      ['#d8342c', 290, 60, 22, 22],
    ] as const) {
      brush.fillStyle = colour;
      brush.fillRect(x, y, w, h);
    }
    return canvas.toDataURL('image/png');
  });
  return Buffer.from(address.split(',')[1]!, 'base64');
}

test('from a picture to a palette, from the palette to a shopping list', async ({ bench, page }) => {
  await bench.openKite('Colours');
  await page.getByRole('button', { name: 'Palette from a picture…' }).click();
  const dialog = page.getByRole('dialog');
  const chooser = page.waitForEvent('filechooser');
  await dialog.getByRole('button', { name: 'Choose a picture' }).click();
  await (await chooser).setFiles({ name: 'meadow.png', mimeType: 'image/png', buffer: await meadow(page) });
  const shades = dialog.getByTestId('palette-shades').locator('li');
  await expect(shades).toHaveCount(5);
  await expect(dialog.getByRole('img', { name: /^With 5 shades/ })).toBeVisible();
  await dialog.getByLabel('Shades', { exact: true }).fill('2');
  await expect(shades).toHaveCount(2);
  // The poppy is pressed upon: it is there from now on, however few shades are taken.
  const box = (await dialog.getByTestId('palette-picture').boundingBox())!;
  await page.mouse.click(box.x + (300 / 400) * box.width, box.y + (70 / 300) * box.height);
  await expect(shades).toHaveCount(3);
  await expect(shades.filter({ hasText: 'pressed' })).toHaveCount(1);
  const poppy = (await shades.filter({ hasText: 'pressed' }).locator('.figure').textContent())!;
  await dialog.getByRole('button', { name: 'Give them to the piece' }).click();
  await expect(bench.tally).toContainText('Take the palette of a picture');
  await expect(bench.card).toContainText(poppy);
  await bench.goTo('Thread');
  await page.getByRole('button', { name: 'Shopping list…' }).click();
  const list = page.getByTestId('shopping');
  await expect(page.getByTestId('shop-state')).toContainText('a stand-in');
  await expect(list).toContainText(poppy);
  await expect(list).toContainText('10 cm');
  await expect(page.getByTestId('costs')).toContainText('€');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'List as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('kite-to-buy.csv');
});

test('a shade that is out of stock is told, and another takes its place with its effect known', async ({
  bench,
  page,
}) => {
  await bench.openKite('Colours');
  const stock = (await (await page.request.get('/stand-ins/shop')).json()) as {
    threads: { range: string; code: string; lots: unknown[] }[];
  };
  const out = stock.threads.find(({ range, lots }) => range === 'thrumwick' && lots.length === 0)!;
  await bench.card.locator('.colour').first().click();
  await page.getByLabel('Search the shade card').fill(out.code);
  await bench.card.locator('.shade').first().click();
  await expect(bench.card.locator('.colour').first()).toContainText('Out of stock');
  const offers = page.getByTestId('stand-ins').getByRole('button');
  await expect(offers).toHaveCount(4);
  await expect(offers.first()).toContainText(/stays apart|too near|lost/);
  await offers.first().click();
  await expect(bench.card.locator('.colour').first()).not.toContainText('Out of stock');
  await expect(bench.card.locator('.colour').first()).not.toContainText(out.code);
});

test('without an answer the shop’s last word stands with its date, and it is asked again', async ({ bench, page }) => {
  await bench.openKite('Thread');
  await page.getByRole('button', { name: 'Shopping list…' }).click();
  await expect(page.getByTestId('shop-state')).toContainText('a stand-in');
  await expect.poll(() => bench.revisionOf('shop')).toBeGreaterThan(0);
  // An answer that makes no sense is as good as none, and is no error in the page.
  await page.route('**/stand-ins/shop', (route) => route.fulfill({ json: { simulated: true, threads: 'none' } }));
  await page.reload();
  await page.getByRole('button', { name: 'Shopping list…' }).click();
  await expect(page.getByTestId('shop-state')).toContainText('makes no sense');
  await expect(page.getByTestId('shop-state')).toContainText('Shown is what it said on');
  await expect(page.getByTestId('costs')).toContainText('€');
  await page.unroute('**/stand-ins/shop');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByTestId('shop-state')).toContainText('a stand-in');
});

test('pairs that cannot be told apart are mended by one shade; the hoop is seen in other ways', async ({
  bench,
  page,
}) => {
  await bench.open('/piece/demo-rock-pool/colours');
  const apart = page.getByTestId('told-apart');
  await expect(apart.getByRole('listitem')).toHaveCount(1);
  await apart.getByRole('button', { name: /equally light/ }).click();
  await expect(apart.getByRole('row')).toHaveCount(7);
  await apart.getByRole('button', { name: 'Move one shade' }).click();
  await expect(bench.tally).toContainText('Choose a shade');
  await expect(apart).toContainText(/All \d+ pairs of colours that touch are told apart/);
  await bench.choose('Look at the hoop', 'Without colour');
  await expect
    .poll(() =>
      page.locator('canvas.picture').evaluate((canvas: HTMLCanvasElement) => {
        const { data } = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
        let colourful = 0;
        for (let i = 0; i < data.length; i += 4) if (Math.abs(data[i]! - data[i + 2]!) > 24) colourful++;
        return colourful / (data.length / 4);
      }),
    )
    .toBeLessThan(0.01);
});

test('ladders shade an area; colourways are kept, varied and taken', async ({ bench, page }) => {
  await bench.openKite('Colours');
  await bench.card.locator('.colour').first().click();
  await page.getByRole('button', { name: 'A ladder of shades through it…' }).click();
  const ladder = page.getByTestId('ladder');
  await expect(ladder.locator('ol > li')).toHaveCount(3);
  await expect(ladder).toContainText('highlight');
  const before = await bench.card.locator('.colour').count();
  await ladder.getByRole('button', { name: /in these shades$/ }).click();
  await expect(bench.card.locator('.colour')).toHaveCount(before + 2);
  await page.getByRole('button', { name: 'Colourways…' }).click();
  await page.getByLabel('Name of this colourway').fill('Evening');
  await page.getByRole('button', { name: 'Keep the piece as it is now' }).click();
  const ways = page.getByTestId('colourways').getByRole('listitem');
  await expect(ways).toHaveCount(2);
  await page.getByRole('button', { name: 'Vary the palette' }).click();
  await expect.poll(() => ways.count()).toBeGreaterThan(4);
  await ways.nth(2).getByRole('button', { name: 'Take it' }).click();
  await expect(bench.tally).toContainText('Take the palette');
  await ways.filter({ hasText: 'Evening' }).getByRole('button', { name: 'Take it' }).click();
  await expect(bench.tally).toContainText('Take the colourway Evening');
});

test('shades are gathered before any part uses them, given to a part, or taken out', async ({ bench, page }) => {
  await bench.openKite('Colours');
  await page.getByRole('button', { name: 'Gather a shade from the cards…' }).click();
  const gathered = page.getByTestId('gathered').locator('li');
  for (const code of ['rh-76', 'rh-18']) {
    await page.getByLabel('Search the shade card').fill(code);
    await bench.card.locator('.shade').first().click();
  }
  await expect(gathered).toHaveCount(2);
  const [kept, dropped] = await gathered.locator('span:nth-child(2)').allTextContents();
  await page.getByRole('button', { name: `Take out ${dropped!}` }).click();
  await expect(gathered).toHaveCount(1);
  await bench.goTo('Stitches');
  await bench.pick('Tail');
  await bench.choose('Colour', kept!);
  await bench.goTo('Colours');
  await expect(gathered).toHaveCount(0);
  await expect(bench.card.getByRole('button', { name: kept! }).first()).toBeVisible();
});
