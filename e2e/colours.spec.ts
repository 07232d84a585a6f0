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
  await expect(shades.filter({ hasText: 'picked' })).toHaveCount(1);
  const poppy = (await shades.filter({ hasText: 'picked' }).locator('.figure').textContent())!;
  await dialog.getByRole('button', { name: 'Recolour the piece' }).click();
  await expect(bench.tally).toContainText('Use the palette of a picture');
  await expect(bench.card).toContainText(poppy);
  await bench.choose('See the piece', 'In grey');
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
  await bench.goTo('Thread');
  await page.getByRole('button', { name: 'Shopping list…' }).click();
  const list = page.getByTestId('shopping');
  await expect(page.getByTestId('shop-state')).toContainText('simulated thread shop');
  await expect(list).toContainText(poppy);
  await expect(list).toContainText('10 cm');
  await expect(page.getByTestId('costs')).toContainText('€');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the list as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('kite-to-buy.csv');
});
