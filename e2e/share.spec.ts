import { readFile } from 'node:fs/promises';
import { expect, test } from './bench.ts';

test('a piece is shown to others: cards, the picture alone, and a film that can be cancelled', async ({
  bench,
  page,
}) => {
  await bench.openKite('Stitches');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByText('Share: card, picture, video…').click();
  const dialog = page.getByRole('dialog', { name: 'Share the piece' });
  const painted = dialog.locator('canvas[data-painted=true]');
  const save = async (): Promise<{ name: string; bytes: Buffer }> => {
    await expect(painted).toBeVisible();
    const saved = page.waitForEvent('download');
    await dialog.getByTestId('save-share').click();
    const file = await saved;
    return { name: file.suggestedFilename(), bytes: await readFile(await file.path()) };
  };
  const sizeOf = (png: Buffer): [number, number] => [png.readUInt32BE(16), png.readUInt32BE(20)];
  const upright = await save();
  expect(upright.name).toMatch(/-card-upright\.png$/);
  expect(sizeOf(upright.bytes)).toEqual([1080, 1350]);
  await dialog.getByText('Card, wide').click();
  expect(sizeOf((await save()).bytes)).toEqual([1200, 630]);
  await dialog.getByText('Picture', { exact: true }).click();
  await dialog.getByText(/^Include the cloth/).click();
  const alone = await save();
  // Four channels: what is not stitched is transparent; dots to the metre are told.
  expect(alone.bytes[25]).toBe(6);
  expect(alone.bytes.includes(Buffer.from('pHYs'))).toBe(true);
  await dialog.getByText('Video', { exact: true }).click();
  await expect(painted).toBeVisible();
  await dialog.getByTestId('save-share').click();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog.getByTestId('save-share')).toBeEnabled();
  const film = await save();
  expect(film.name).toMatch(/\.webm$/);
  expect(film.bytes.length).toBeGreaterThan(50_000);
  expect(film.bytes.length).toBeLessThan(10_000_000);
  expect(film.bytes.subarray(0, 4).toString('hex')).toBe('1a45dfa3');
});
