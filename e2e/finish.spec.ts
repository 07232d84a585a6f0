import { expect, test } from './bench.ts';

test('the piece is painted as what it ends as, and anew when that changes', async ({ bench, page }) => {
  await bench.open('/piece/demo-tram/finish');
  const picture = page.locator('.picture[data-show=finished]');
  await expect(picture).toHaveAttribute('data-painted', /\d/);
  const patch = await picture.screenshot();
  await bench.card.getByTestId('end-ornament').click();
  await expect(bench.card.getByTestId('finish-cost')).toContainText('Stuffed ornament');
  await expect.poll(async () => Buffer.compare(await picture.screenshot(), patch)).not.toBe(0);
});
