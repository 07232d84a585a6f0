import { expect, test } from './bench.ts';
import type { Page } from '@playwright/test';

async function bringList(page: Page, name: string, text: string): Promise<void> {
  await page.getByRole('button', { name: 'File' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByText('Import a list or shade card').click();
  await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}

test('of five thousand entries only those in view are in the page, wherever one scrolls and whatever one seeks', async ({
  bench,
  page,
}) => {
  await bench.open('/threads');
  const many = Array.from(
    { length: 5000 },
    (_, i) => `Shade ${i},n${i},#${((i * 3343) % 16777215).toString(16).padStart(6, '0')},1,tin ${i % 40}`,
  );
  await bringList(page, 'many.csv', `name,code,hex,skeins,place\n${many.join('\n')}\n`);
  await expect(page.getByText(/^5,?000 rows: 5,?000 added to your box/)).toBeVisible();
  const rows = page.getByTestId('box-rows');
  const inPage = (): Promise<number> => rows.locator('*').count();
  await rows.hover();
  const atFirst = await inPage();
  for (let i = 0; i < 12; i++) await page.mouse.wheel(0, 9000);
  await expect.poll(inPage).toBeLessThan(2 * atFirst);
  await page.getByLabel('Search the thread box').pressSequentially('tin 17');
  await expect(rows.getByText('tin 17').first()).toBeVisible();
  expect(await inPage()).toBeLessThan(2 * atFirst);
});

test('colours are read off the simulated camera’s photograph and become a card', async ({ bench, page }) => {
  await bench.open('/threads');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByText('Read colours from a photograph…').click();
  await page.getByRole('button', { name: 'Use the simulated camera' }).click();
  const photo = page.getByTestId('photo');
  await expect(photo).toBeVisible();
  // It lies still before it is pressed on.
  await photo.hover();
  const box = (await photo.boundingBox())!;
  const press = (x: number, y: number): Promise<void> =>
    page.mouse.click(box.x + (x / 900) * box.width, box.y + (y / 600) * box.height);
  await press(120, 300);
  await press(330, 170);
  await press(540, 170);
  const colours = page.getByTestId('photo-colours').getByRole('listitem');
  await expect(colours).toHaveCount(2);
  await expect(colours.first()).toContainText('the same to the eye');
  await page.getByRole('button', { name: 'Save as a card with 2 shades' }).click();
  await expect(page.getByRole('complementary')).toContainText('From a photograph');
});
