import { readFile } from 'node:fs/promises';
import { expect, test } from './bench.ts';

test('strokes drawn in the hoop turn the stitches, and can be undone', async ({ bench, page }) => {
  await bench.openPart('demo-kite', 'Lower right panel');
  const straight = await bench.figure('Stitches').textContent();
  await bench.choose('Stitches run', 'along strokes I draw');
  await expect(page.getByText('Draw strokes in the direction')).toBeVisible();
  await bench.drawOver('lower-right-panel', [
    [0.2, 0.1],
    [0.45, 0.3],
    [0.4, 0.7],
  ]);
  await expect(bench.tally).toContainText('Draw a direction stroke: ');
  await expect(bench.card).toContainText('One stroke drawn.');
  await page.getByRole('button', { name: 'Done' }).click();
  const drawn = await bench.figure('Stitches').textContent();
  expect(drawn).not.toBe(straight);
  await bench.choose('Stitches run', 'from a point');
  await page.getByTestId('pick-centre').click();
  await bench.drawOver('lower-right-panel', [[0.1, 0.1]]);
  await expect(bench.tally).toContainText('Move the centre point');
  await page.getByLabel('Point from centre, right').fill('3');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Point from centre, right')).toHaveValue('3');
  while (await page.getByRole('button', { name: 'Undo', exact: true }).isEnabled()) {
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
  }
  await expect(bench.figure('Stitches')).toHaveText(straight!);
});

test('a vein, a border of shades, the ends of an outline and single places are drawn over a part', async ({
  bench,
  page,
}) => {
  await bench.openPart('demo-kite', 'Top right panel');
  const draw = (...places: [number, number][]): Promise<void> => bench.drawOver('top-right-panel', places);
  const add = async (layer: string): Promise<void> => {
    await page.getByTestId('add-layer').click();
    await page.getByText(layer, { exact: false }).last().click();
    await expect(bench.tally).toContainText(`Add: ${layer}`);
  };
  await bench.choose('Stitch', 'Long-and-short stitch');
  await page.getByTestId('add-shade').click();
  await expect(page.getByLabel(/^Shade \d/)).toHaveCount(2);
  await page.getByRole('button', { name: 'Draw the borders' }).click();
  await draw([-0.1, 0.5], [1.1, 0.5]);
  await expect(bench.tally).toContainText('Draw a border of shades');
  await page.getByRole('button', { name: 'Done' }).click();

  await add('Outline');
  await page.getByTestId('layer-outline').click();
  await bench.choose('Outline runs', 'between two points');
  await page.getByTestId('outline-ends').click();
  await draw([0.95, 0.5]);
  await draw([0.5, 0.05]);
  await expect(bench.tally).toContainText('Set where the outline goes');
  await expect(page.getByTestId('outline-ends')).toHaveText('Set its ends again');

  await add('Vein');
  await page.getByTestId('move-vein').first().click();
  await draw([0.3, 0.9], [0.2, 0.5], [0.6, 0.1]);
  await expect(bench.tally).toContainText('Move the vein');
  await page.keyboard.press('Escape');
  await bench.card.getByRole('button', { name: 'Back to the suggested line' }).click();
  await expect(bench.tally).toContainText('Use the suggested vein');

  await add('Single highlights');
  await page.getByTestId('place-points').click();
  await draw([0.3, 0.3]);
  await expect(bench.card).toContainText('2 placed.');
});

test('the picture is saved as PNG at 300 dpi and true size, and as SVG', async ({ bench, page }) => {
  await bench.open('/piece/demo-kite/stitches');
  await expect(page.locator('.picture[data-painted]')).toBeVisible();
  const save = async (item: string): Promise<Buffer> => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'File' }).click();
    await page.getByText(item, { exact: true }).click();
    return readFile(await (await download).path());
  };
  const png = await save('Picture as PNG, 300 dpi at true size');
  const width = png.readUInt32BE(16);
  const density = png.indexOf('pHYs');
  const perMm = png.readUInt32BE(density + 4) / 1000;
  expect(perMm).toBeCloseTo(300 / 25.4, 1);
  expect(width / perMm).toBeCloseTo(94, 0);
  const picture = (await save('Picture as SVG')).toString();
  expect(picture).toContain('data-part="spar"');
  expect(picture).toContain('data-stitch="satin"');
});
