import { readFile } from 'node:fs/promises';
import { expect, svg, test } from './bench.ts';

test('what the piece ends as is chosen and changed; figures, picture and templates follow, and all is undone', async ({
  bench,
  page,
}) => {
  await bench.open('/piece/demo-tram/finish');
  const cost = bench.card.getByTestId('finish-cost');
  await expect(cost).toContainText('Patch · 9 steps');
  const picture = page.locator('.picture[data-show=finished]');
  await expect(picture).toHaveAttribute('data-painted', /\d/);
  const wide = await cost.innerText();
  await bench.card.getByLabel('Border').fill('3 mm');
  await bench.card.getByLabel('Border').press('Enter');
  await expect(cost).not.toHaveText(wide);
  // Half as deep an edge takes little more than half the thread.
  const metres = (text: string): number => Number(/([\d.]+) m of thread/.exec(text)![1]);
  expect(metres(await cost.innerText())).toBeLessThan(0.75 * metres(wide));
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(cost).toHaveText(wide);

  await bench.card.getByTestId('end-ornament').click();
  await expect(cost).toContainText('Stuffed ornament');
  await bench.choose('Shape', 'Heart');
  await expect(bench.card.getByTestId('finish-materials')).toContainText(/Filling\s*\d+(\.\d)? g/);
  await bench.card.getByRole('button', { name: 'Templates' }).click();
  await expect(bench.card.getByRole('listitem').filter({ hasText: 'whole: cut, dashes: sew' })).toBeVisible();
  const download = page.waitForEvent('download');
  await bench.card.getByRole('button', { name: 'Save as PDF' }).click();
  const saved = await download;
  expect(saved.suggestedFilename()).toBe('night-tram-templates.pdf');
  expect((await readFile(await saved.path())).subarray(0, 5).toString()).toBe('%PDF-');
});

test('islands are asked about, then bridged; a card that is too small is refused with a way out', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.bring('two.svg', svg('<circle cx="8" cy="30" r="6"/><circle cx="52" cy="30" r="6"/>'));
  await bench.goTo('Finish');
  await bench.card.getByTestId('end-patch').click();
  const problems = bench.card.getByTestId('finish-problems');
  await expect(problems).toContainText('lies in 2 islands');
  await problems.getByRole('button', { name: 'Join by a bridge' }).click();
  await expect(problems).toHaveCount(0);
  await bench.card.getByTestId('end-card').click();
  await bench.card.getByLabel('Card, folded, across').fill('40 mm');
  await bench.card.getByLabel('Card, folded, across').press('Enter');
  await expect(problems).toContainText('smaller than the design');
  await problems.getByRole('button', { name: 'Let the size be found' }).click();
  await expect(problems).toHaveCount(0);
  await bench.card.getByTestId('end-framed').click();
  await expect(bench.card.getByTestId('finish-cost')).toContainText('Framed in its hoop');
  await expect(page.locator('.picture[data-show=finished]')).toHaveAttribute('data-painted', /\d/);
});

test('steps are ticked at the hoop and seen at the desk; the piece is ended, priced and put on the finished shelf', async ({
  bench,
  page,
}) => {
  await bench.open('/hoop/demo-boat');
  const first = page.getByTestId('finish-steps').getByRole('checkbox').first();
  await first.click();
  await expect(first).toBeChecked();
  await page.getByRole('link', { name: 'Back to the desk' }).click();
  await bench.goTo('Finish');
  await bench.card.getByRole('button', { name: 'Steps', exact: true }).click();
  await expect(bench.card.getByTestId('finish-progress')).toContainText(/^1 of \d+ steps done/);
  await bench.card.getByLabel('A note to yourself').fill('Blue next time');
  await bench.card.getByTestId('end-piece').click();
  await expect(bench.card.getByTestId('ended')).toContainText('Finished on');
  await expect(bench.card.getByTestId('ended-figures')).toContainText('At the hoop');
  await expect(bench.card).toContainText('Blue next time');

  await bench.card.getByRole('button', { name: 'Price and label' }).click();
  const hour = bench.card.getByLabel('An hour');
  await hour.fill('12');
  await hour.press('Enter');
  await bench.card.getByLabel('A price you would name').fill('90');
  await bench.card.getByLabel('A price you would name').press('Enter');
  await expect(bench.card.getByTestId('earned')).toContainText('At 90.00');

  await page.getByRole('link', { name: 'Junctura' }).click();
  const shelf = page.getByTestId('finished-shelf');
  await expect(shelf.getByRole('button', { name: /^Paper boat/ })).toBeVisible();
  await shelf.getByRole('button', { name: /^Paper boat/ }).click();
  await bench.card.getByRole('button', { name: 'Steps', exact: true }).click();
  await bench.card.getByRole('button', { name: 'It is not finished' }).click();
  await expect(bench.card.getByTestId('end-piece')).toBeVisible();
});

test('an area becomes a scrap of cloth: worked down by its edge, cut by its template, bought; printed, it takes no thread', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.bring('leaf.svg', svg('<rect x="10" y="10" width="40" height="30" fill="#7a9a5a"/>'));
  await bench.goTo('Stitches');
  await bench.card.getByRole('button', { name: /^Area/ }).first().click();
  await bench.choose('Filled with', 'A scrap of cloth');
  await expect(bench.card.getByTestId('scrap')).toBeVisible();
  await expect(bench.card).toContainText('Whipped down over its turned edge');
  await bench.choose('Pattern', 'Checks');
  await bench.choose('Edge', /^Raw/);
  await expect(bench.card).toContainText('2 mm inside its raw edge');
  await bench.goTo('Finish');
  await expect(bench.card.getByTestId('finish-materials')).toContainText(/Quilting cotton for .*40 × 30 mm/);
  await bench.card.getByRole('button', { name: 'Templates' }).click();
  await expect(bench.card.getByRole('listitem').filter({ hasText: 'Scrap:' })).toBeVisible();
  await bench.goTo('Stitches');
  await bench.choose('Filled with', /^Printed/);
  await expect(bench.figure('Stitches')).toHaveText('0');
  await page.keyboard.press('Control+z');
  await expect(bench.figure('Stitches')).not.toHaveText('0');
});
