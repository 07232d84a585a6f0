import { readFile } from 'node:fs/promises';
import { expect, test } from './bench.ts';

test.describe('the first visit', () => {
  test.use({ isFirstVisit: true });
  test('opens on Rock Pool, and on the bench from then on', async ({ bench, page }) => {
    await bench.open();
    await expect(page).toHaveURL(/demo-rock-pool\/stitches/);
    await expect(page.locator('.picture[data-painted]')).toBeVisible();
    await expect(bench.figure('Parts')).toHaveText('73');
    const first = page.getByRole('region', { name: 'Three things to try' });
    await expect(first.getByRole('listitem')).toHaveCount(3);
    await bench.goTo('Thread');
    await first.getByRole('button', { name: 'I’ll look around' }).click();
    await expect(first).toBeHidden();
    await page.getByRole('link', { name: 'Junctura' }).click();
    await expect(page.getByRole('heading', { name: 'To try things on' })).toBeVisible();
    await expect(page.getByRole('button', { name: /^Rock Pool/ })).toBeVisible();
  });
});

test('strokes drawn in the hoop turn the stitches, and can be undone', async ({ bench, page }) => {
  await bench.openPart('demo-kite', 'Lower right panel');
  const straight = await bench.figure('Stitches').textContent();
  await bench.choose('Stitches lie', 'along strokes that I draw');
  await expect(page.getByText('Draw strokes along which')).toBeVisible();
  await bench.drawOver('lower-right-panel', [
    [0.2, 0.1],
    [0.45, 0.3],
    [0.4, 0.7],
  ]);
  await expect(bench.tally).toContainText('Draw a direction stroke: ');
  await expect(bench.card).toContainText('1 drawn.');
  await page.getByRole('button', { name: 'Done' }).click();
  const drawn = await bench.figure('Stitches').textContent();
  expect(drawn).not.toBe(straight);
  await bench.choose('Stitches lie', 'from a point');
  await page.getByTestId('pick-centre').click();
  await bench.drawOver('lower-right-panel', [[0.1, 0.1]]);
  await expect(bench.tally).toContainText('Move where the stitches run to');
  await page.getByLabel('Point across').fill('3');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Point across')).toHaveValue('3');
  while (await page.getByRole('button', { name: 'Undo', exact: true }).isEnabled()) {
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
  }
  await expect(bench.figure('Stitches')).toHaveText(straight!);
});

test('a vein can be moved, and is found again', async ({ bench, page }) => {
  await bench.openPart('demo-rock-pool', 'Kelp 1');
  const before = await bench.figure('Thread').textContent();
  await page.getByTestId('move-vein').first().click();
  await bench.drawOver('kelp-1', [
    [0.3, 0.95],
    [0.2, 0.5],
    [0.6, 0.05],
  ]);
  await expect(bench.tally).toContainText('Move the vein');
  await page.keyboard.press('Escape');
  await expect(bench.card.getByRole('heading', { name: 'Kelp 1' })).toBeVisible();
  await bench.card.getByRole('button', { name: 'As it was found' }).click();
  await expect(bench.tally).toContainText('Find the vein again');
  await expect(bench.figure('Thread')).toHaveText(before!);
});

test('layers are added where they are worked, moved, coloured and removed', async ({ bench, page }) => {
  await bench.openPart('demo-kite', 'Top left panel');
  const layers = bench.card.getByRole('list').first().locator('> li');
  await expect(layers).toHaveCount(1);
  for (const layer of ['Padding underneath', 'Firm edge', 'Outline', 'Vein', 'Single highlights']) {
    await page.getByTestId('add-layer').click();
    await page.getByText(layer, { exact: false }).last().click();
    await expect(bench.tally).toContainText(`Add: ${layer.toLowerCase()}`);
  }
  await expect(layers.locator('strong').first()).toHaveText('Highlights');
  await expect(layers).toHaveCount(6);
  const names = await layers.locator('.name strong').allTextContents();
  expect(names).toEqual(['Highlights', 'Vein', 'Outline', 'Filling', 'Firm edge', 'Padding']);

  await page.getByTestId('place-points').click();
  await bench.drawOver('top-left-panel', [[0.7, 0.7]]);
  await expect(bench.card).toContainText('2 placed.');
  await page.getByRole('button', { name: 'Done' }).click();

  await page.getByTestId('layer-outline').click();
  await bench.choose('Colour of this layer', 'Wet slate');
  await expect(bench.tally).toContainText('Change a layer’s colour');
  const thread = await bench.figure('Thread').textContent();
  await layers.nth(5).getByRole('button', { name: 'Remove this layer' }).click();
  await expect(layers).toHaveCount(5);
  await expect(bench.figure('Thread')).not.toHaveText(thread!);
  await layers.nth(1).getByRole('button', { name: 'Work this layer sooner: down' }).click();
  await expect(layers.locator('.name strong').nth(2)).toHaveText('Vein');
  await bench.saved();
  await page.reload();
  await bench.pick('Top left panel');
  await expect(layers).toHaveCount(5);
});

test('an outline runs on one side, from place to place, and is set in from the edge', async ({ bench, page }) => {
  await bench.open();
  await bench.bring(
    'disc.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" viewBox="0 0 40 40"><circle id="Disc" cx="20" cy="20" r="18" fill="#a33"/></svg>',
  );
  await bench.goTo('Stitches');
  await bench.pick('Disc');
  const disc = (await page.locator('path[data-part]').first().getAttribute('data-part'))!;
  await page.getByTestId('add-layer').click();
  await page.getByText('Outline, over the edge').last().click();
  const count = async (): Promise<number> => Number((await bench.figure('Stitches').innerText()).replace(',', ''));
  await expect(bench.tally).toContainText('Add: outline');
  await page.getByTestId('layer-outline').click();
  const whole = await count();
  await bench.choose('It goes', 'on the side in the shade');
  await expect(bench.tally).toContainText('Change where the outline goes');
  await expect.poll(count).toBeLessThan(whole);
  await page.getByLabel('Set in from the edge').fill('3');
  await page.getByLabel('Set in from the edge').press('Enter');
  await expect(bench.tally).toContainText('Set the outline in');
  await bench.choose('It goes', 'from one place to another');
  await page.getByTestId('outline-ends').click();
  await bench.drawOver(disc, [[0.95, 0.5]]);
  await bench.drawOver(disc, [[0.5, 0.05]]);
  await expect(bench.tally).toContainText('Set where the outline goes');
  await expect(page.getByTestId('outline-ends')).toHaveText('Set its ends anew');
});

test('one of a group differs on purpose, and follows again', async ({ bench, page }) => {
  await bench.openPart('demo-rock-pool', 'Tentacle 3');
  await page.getByTestId('differs').click();
  await expect(bench.card).toContainText('Differs from its group on purpose');
  await page.getByRole('button', { name: '‹ All parts' }).click();
  await bench.pick('Tentacle 5');
  await bench.choose('Strands', '3');
  await page.getByRole('button', { name: '‹ All parts' }).click();
  await expect(bench.card.getByText('Bullion knot, 3 strands')).toHaveCount(14);
  await expect(bench.card.getByText('Bullion knot, 2 strands')).toHaveCount(1);
  await bench.pick('Tentacle 3');
  await page.getByTestId('differs').click();
  await expect(bench.card).not.toContainText('on purpose');
});

test('an area is worked in several shades, each with a thread of its own', async ({ bench, page }) => {
  await bench.openPart('demo-kite', 'Top right panel');
  await bench.choose('Stitch', 'Long-and-short stitch');
  const colours = page.getByLabel(/^Shade \d/);
  await page.getByTestId('add-shade').click();
  await expect(colours).toHaveCount(2);
  await page.getByTestId('add-shade').click();
  await expect(colours).toHaveCount(3);
  // Each goes on from the last: of one family, no stranger of the piece.
  const names = await colours.evaluateAll((lists) =>
    lists.map((list) => (list as HTMLSelectElement).selectedOptions[0]!.text),
  );
  expect(new Set(names).size).toBe(3);
  expect(names.map((name) => /\((\w+)-\d+\)/.exec(name)?.[1])).toEqual(['sl', 'sl', 'sl']);
  await page.getByRole('button', { name: 'Draw the borders' }).click();
  await bench.drawOver('top-right-panel', [
    [-0.1, 0.5],
    [1.1, 0.5],
  ]);
  await expect(bench.tally).toContainText('Draw a border of shades');
  await page.getByRole('button', { name: 'Remove shade 3' }).click();
  await page.getByRole('button', { name: 'Remove shade 2' }).click();
  await expect(colours).toHaveCount(0);
});

test('the working drawing goes step by step, says what the needle does, and mirrors for the left hand', async ({
  bench,
  page,
}) => {
  await bench.open('/stitches/whipped-back');
  const drawing = page.getByLabel(/^Working drawing/);
  await drawing.focus();
  const seen = new Set<string>();
  for (let i = 0; i < 60; i++) {
    await page.keyboard.press('ArrowRight');
    seen.add((await drawing.locator('.word').textContent())!.trim());
  }
  expect(seen).toContain('The needle comes up.');
  expect(seen).toContain('The needle goes down.');
  expect(seen).toContain('The needle slides under a stitch, not through the cloth.');
  const needle = drawing.locator('.needle');
  const right = await needle.evaluate((element) => parseFloat((element as HTMLElement).style.left));
  await drawing.getByLabel('For the').selectOption({ label: 'left hand' });
  const left = await needle.evaluate((element) => parseFloat((element as HTMLElement).style.left));
  expect(left + right).toBeCloseTo(100, 1);
  await expect(page.getByRole('heading', { name: 'One to six strands' })).toBeVisible();
  await page.getByRole('navigation', { name: 'Chapters' }).getByRole('link', { name: 'Knots' }).click();
  // One to six strands, under a heading; in one thread or another, each with its needle.
  await expect(page.getByRole('row')).toHaveCount(7);
  const wound = page.getByTestId('knot-needle').first();
  const inCotton = await wound.textContent();
  await page.getByLabel('Thread').selectOption({ label: 'Tapestry wool' });
  await expect(page.getByRole('row')).toHaveCount(2);
  await expect(wound).not.toHaveText(inCotton!);
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

test('parts are picked in the list as lists are everywhere, and worked at once; a line is turned round, or only marked', async ({
  bench,
  page,
}) => {
  await bench.openPart('demo-kite', 'Bow 1 left');
  await page.keyboard.press('Escape');
  const row = (name: string) => bench.card.getByRole('button', { name });
  const picked = bench.card.locator('[aria-pressed=true]');
  await row('Spar').click({ modifiers: ['ControlOrMeta'] });
  await row('Top left panel').click({ modifiers: ['Shift'] });
  await expect(picked).toHaveCount(5);
  await row('Lower left panel').click({ modifiers: ['ControlOrMeta'] });
  await expect(page.getByTestId('picked-bar')).toContainText('4 parts picked');
  await page.keyboard.press('ControlOrMeta+a');
  await expect(picked).toHaveCount(20);
  await page.getByRole('button', { name: 'Let go' }).click();
  await row('Crossbar').click({ modifiers: ['ControlOrMeta'] });
  await row('Spar').click({ modifiers: ['ControlOrMeta'] });
  await page.getByRole('button', { name: 'Work on them' }).click();
  await expect(bench.card.getByRole('heading', { level: 2 })).toHaveText('2 parts');
  await bench.choose('Stitch', 'Couching');
  await page.getByRole('button', { name: '‹ All parts' }).click();
  await expect(row('Crossbar')).toContainText('Couching');
  await expect(row('Spar')).toContainText('Couching');
  await row('Tail').click();
  const runs = page.getByTestId('runs').first();
  const before = await runs.getAttribute('transform');
  await page.getByTestId('turn-round').click();
  await expect(runs).not.toHaveAttribute('transform', before!);
  const stitches = await bench.figure('Stitches').textContent();
  await bench.choose('This line is', 'fold along it');
  await expect(bench.figure('Stitches')).not.toHaveText(stitches!);
  await page.getByRole('button', { name: '‹ All parts' }).click();
  await expect(row('Tail')).toContainText('folded along');
  await page.keyboard.press('ControlOrMeta+z');
  await expect(bench.figure('Stitches')).toHaveText(stitches!);
});
