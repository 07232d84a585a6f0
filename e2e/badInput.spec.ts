import { expect, svg, test } from './bench.ts';

const many = (count: number, text: string): string => text.repeat(count);
const rect = '<rect width="5" height="5"/>';

const BAD: [name: string, file: string, text: string, message: RegExp][] = [
  ['empty', 'a.svg', '', /empty/],
  ['malformed', 'a.svg', svg('<g>'), /Line 1 is not sound XML/],
  ['of 50 MB', 'a.svg', svg(many(1, ' '.repeat(50_000_000))), /too large \(50 MB\)/],
  ['of 200,000 nodes', 'a.svg', svg(many(200_000, '<g/>')), /more than 60000 elements/],
  ['nested 10,000 deep', 'a.svg', svg(many(10_000, '<g>') + many(10_000, '</g>')), /nested more than 200 deep/],
  ['with entities', 'a.svg', `<!DOCTYPE svg [<!ENTITY a "b">]>${svg(rect)}`, /defines entities/],
  ['with a script', 'a.svg', svg('<script>document.title="gone"</script>'), /holds a script/],
  ['with an event', 'a.svg', svg('<rect onload="x()" width="5" height="5"/>'), /event attribute/],
  ['that fetches', 'a.svg', svg('<image href="http://example.invalid/a.png"/>'), /refers outside the file/],
  ['with NaN', 'a.svg', svg('<path d="M0 0LNaN 4L4 4Z"/>'), /not a number/],
  ['with huge coordinates', 'a.svg', svg('<path d="M0 0L1e20 4L4 4Z"/>'), /far out of bounds/],
  ['without a size', 'a.svg', svg(rect, 'viewBox="0 0 0 0"'), /no size/],
  ['cut short', 'a.junctura.json', '{"format": "junctura-piece", "ver', /breaks off at line 1/],
  ['of a later version', 'a.junctura.json', '{"format": "junctura-piece", "version": 99}', /later Junctura/],
  ['with a wrong type', 'a.junctura.json', '{"format": "junctura-piece", "version": 1, "id": 5}', /wrong at id/],
  ['a picture in name only', 'a.png', '\u0089PNG', /the picture is damaged/],
  ['of another kind', 'a.gif', '\u0089PNG', /neither an SVG drawing nor a Junctura piece/],
];

test('a bad file gets one clear sentence, and the open piece is untouched', async ({ bench, page }) => {
  await bench.openKite('Hoop');
  await page.getByLabel('Height').fill('50 mm');
  await page.keyboard.press('Enter');
  await bench.saved();
  await page.getByRole('link', { name: 'Junctura' }).click();
  for (const [name, file, text, message] of BAD) {
    await test.step(name, async () => {
      await bench.bring(file, text);
      await expect(page.getByRole('alert')).toContainText(message);
      await expect(page.getByRole('alert')).toContainText(file);
    });
  }
  await expect(page).toHaveTitle('Junctura');
  await page.getByRole('button', { name: /^Kite/ }).click();
  await expect(bench.figure('Size')).toContainText('50 mm');
});

test('a drawing can be dropped on the window, over an open piece too', async ({ bench, page }) => {
  await bench.openKite();
  const files = await page.evaluateHandle((text) => {
    const transfer = new DataTransfer();
    transfer.items.add(new File([text], 'dropped.svg', { type: 'image/svg+xml' }));
    return transfer;
  }, svg('<rect width="20" height="9"/><text>hello</text>'));
  await page.locator('body').dispatchEvent('drop', { dataTransfer: files });
  await expect(page.getByLabel('Name of the piece')).toHaveValue('dropped');
  await expect(bench.card).toContainText('1 text was left out');
});
