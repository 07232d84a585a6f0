import { readFileSync } from 'node:fs';
import { expect, svg, test } from './bench.ts';
import { png, type ColourAt } from './png.ts';

/** What a camera writes after the first two bytes of a JPEG: turn a quarter clockwise to be seen upright (Exif 2.3, 4.6.4). */
const TURNED_A_QUARTER = Buffer.from(
  'ffe10022457869660000' + '4d4d002a00000008' + '000101120003000000010006000000000000',
  'hex',
);
/** A page of two discs and a bar, on cream. */
const drawnPage: ColourAt = (x, y) => {
  if (Math.hypot(x - 200, y - 200) < 110) return Math.hypot(x - 200, y - 200) < 40 ? [230, 180, 60] : [180, 50, 60];
  if (Math.hypot(x - 470, y - 180) < 80) return [50, 90, 150];
  return x > 250 && x < 560 && y > 370 && y < 410 ? [60, 110, 70] : [244, 239, 228];
};
const PAGE = png(640, 480, drawnPage);

test('a photograph becomes parts: squared up, sized by a known length, by colours or by lines', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.bring('page.png', PAGE);
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('4 parts in 4 colours');
  const corner = dialog.getByRole('button', { name: /^Top left corner/ });
  await corner.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await dialog.getByText('A length on it is known').click();
  await dialog.getByLabel('The red line measures').fill('80 mm');
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('4 parts in 4 colours');
  await dialog.getByLabel('Read it').selectOption({ label: 'By its lines: as areas of ink' });
  await expect(dialog.getByRole('status')).toContainText(/parts? in 1 colour/);
  await dialog.getByLabel('Read it').selectOption({ label: 'By its colours: regions to fill' });
  await expect(dialog).toContainText('4 parts in 4 colours');
  // Corners that cross are no page: it is said, and what was found before can't be used.
  await corner.focus();
  for (let i = 0; i < 24; i++) await page.keyboard.press(`Shift+Arrow${i % 2 ? 'Right' : 'Down'}`);
  await expect(dialog.getByRole('alert')).toContainText('The corners cross');
  await expect(dialog.getByRole('button', { name: /^Use/ })).toBeDisabled();
  for (let i = 0; i < 24; i++) await page.keyboard.press(`Shift+Arrow${i % 2 ? 'Left' : 'Up'}`);
  await expect(dialog.getByRole('alert')).toHaveCount(0);
  await expect(dialog).toContainText('4 parts in 4 colours');
  await dialog.getByRole('button', { name: /^Use (this|these)/ }).click();
  await expect(bench.figure('Parts')).toHaveText('4');
  await expect(page.getByLabel('Name of the piece')).toHaveValue('page');
  // The page as it was squared up stays below.
  await expect(page.locator('.overlay image')).toHaveAttribute('opacity', '0.5');
});

test('a photograph is turned as its camera says, and of an animation the first picture is read', async ({
  bench,
  page,
}) => {
  await bench.open();
  const stored = await page.evaluate(
    async (bytes) => {
      const image = await createImageBitmap(new Blob([Uint8Array.from(bytes)]));
      const canvas = new OffscreenCanvas(image.width, image.height);
      canvas.getContext('2d')!.drawImage(image, 0, 0);
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.95 });
      return [...new Uint8Array(await blob.arrayBuffer())];
    },
    [...PAGE],
  );
  const jpeg = Buffer.from(stored);
  await bench.bring('turned.jpg', Buffer.concat([jpeg.subarray(0, 2), TURNED_A_QUARTER, jpeg.subarray(2)]));
  await page.getByRole('button', { name: /^Use (this|these)/ }).click();
  await expect(page.locator('.overlay image')).toHaveAttribute('width', '480');
  await expect(page.locator('.overlay image')).toHaveAttribute('height', '640');
  await bench.open();
  await bench.bring(
    'moving.png',
    png(640, 480, drawnPage, () => [20, 20, 20]),
  );
  await expect(page.getByRole('dialog')).toContainText('4 parts in 4 colours');
});

test('a picture made for the press, in four inks, is read in its colours', async ({ bench, page }) => {
  await bench.open();
  await bench.bring('press.jpg', readFileSync(new URL('fixtures/press.jpg', import.meta.url)));
  await expect(page.getByRole('dialog')).toContainText('3 parts in 3 colours');
  await page.getByRole('button', { name: /^Use (this|these)/ }).click();
  await bench.goTo('Colours');
  await expect(bench.card).toContainText(/red/i);
});

test('a shaking hand that draws over a picture is led along its edges', async ({ bench, page }) => {
  await bench.open();
  await bench.bring('page.png', PAGE);
  await page.getByRole('button', { name: /^Use (this|these)/ }).click();
  const below = (await page.locator('.overlay image').boundingBox())!;
  const scale = below.width / 640;
  /** Round the blue disc, which is 160 of the picture's 640 pixels across. */
  const draw = async (): Promise<number> => {
    await bench.card.getByRole('button', { name: 'Area', exact: true }).click();
    for (let i = 0; i < 60; i++) {
      const angle = (i / 59) * 2 * Math.PI;
      const r = (80 + 6 * Math.sin(2 * angle)) * scale;
      const place = [below.x + 470 * scale + r * Math.cos(angle), below.y + 180 * scale + r * Math.sin(angle)] as const;
      await page.mouse.move(...place);
      if (i === 0) await page.mouse.down();
    }
    await page.mouse.up();
    await page.keyboard.press('Escape');
    await expect(bench.figure('Parts')).toHaveText(String(parts++));
    const [, mm] = /([\d.]+) mm at its widest/.exec(await bench.card.innerText())!;
    return Number(mm);
  };
  let parts = 5;
  /** The list is front to back: the width of what was drawn last stands first. The disc is a quarter of the picture across, 37.5 mm. */
  expect(Math.abs((await draw()) - 37.5)).toBeLessThan(1);
  await page.getByText('What I draw keeps to the edges').click();
  expect(await draw()).toBeLessThan(36);
});

test('a picture that is kept below is drawn over, and can be made fainter', async ({ bench, page }) => {
  await bench.open();
  await bench.bring('page.png', PAGE);
  await page.getByRole('button', { name: /^Use (this|these)/ }).click();
  await expect(page.locator('.overlay image')).toHaveAttribute('opacity', '0.5');
  await page.getByLabel('Picture below, strength').fill('20');
  await page.keyboard.press('Enter');
  await expect(page.locator('.overlay image')).toHaveAttribute('opacity', '0.2');
  const drawn = async (name: string, places: [number, number][]): Promise<void> => {
    await bench.card.getByRole('button', { name, exact: true }).click();
    const box = (await page.locator('.hoop-view').boundingBox())!;
    const at = ([x, y]: [number, number]): [number, number] => [box.x + x * box.width, box.y + y * box.height];
    await page.mouse.move(...at(places[0]!));
    await page.mouse.down();
    for (const place of places.slice(1)) await page.mouse.move(...at(place), { steps: 8 });
    await page.mouse.up();
    await page.keyboard.press('Escape');
  };
  await drawn('Area', [
    [0.45, 0.45],
    [0.55, 0.45],
    [0.55, 0.55],
    [0.45, 0.56],
    [0.45, 0.46],
  ]);
  await expect(bench.figure('Parts')).toHaveText('5');
  await drawn('Line', [
    [0.3, 0.8],
    [0.5, 0.85],
    [0.7, 0.8],
  ]);
  await drawn('Dots', [[0.5, 0.75]]);
  await expect(bench.figure('Parts')).toHaveText('7');
  await bench.card.locator('.parts .part').filter({ hasText: 'Area' }).first().click();
  await drawn('Cut in two', [
    [0.4, 0.5],
    [0.6, 0.5],
  ]);
  await expect(bench.figure('Parts')).toHaveText('8');
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(bench.figure('Parts')).toHaveText('4');
});

test.describe('pictures that cannot be read are refused in a sentence, and nothing is lost', () => {
  const cases: [string, string, Buffer, RegExp][] = [
    ['a damaged one', 'torn.jpg', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4]), /damaged/],
    ['one pixel', 'dot.png', png(1, 1, () => [200, 20, 20]), /one colour all over/],
    ['text that says it is a picture', 'words.webp', Buffer.from('hello'), /damaged/],
  ];
  for (const [what, name, bytes, expected] of cases) {
    test(what, async ({ bench, page }) => {
      await bench.open();
      await bench.bring(name, bytes);
      await expect(page.getByRole('alert')).toContainText(expected);
      const cancel = page.getByRole('button', { name: 'Cancel' });
      if (await cancel.isVisible()) {
        await expect(page.getByRole('button', { name: /^Use (this|these)/ })).toBeDisabled();
        await cancel.click();
      }
      await expect(page.getByRole('heading', { name: 'To try things on' })).toBeVisible();
    });
  }
});

test('petals and lettering are drawn by rule on empty cloth', async ({ bench, page }) => {
  await bench.open();
  await page.getByRole('button', { name: 'Begin on empty cloth' }).click();
  await expect(bench.figure('Parts')).toHaveText('0');
  await page.getByRole('button', { name: 'Petals, letters, borders…' }).click();
  await page.getByLabel('Petals', { exact: true }).fill('6');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add 9 parts' }).click();
  await expect(bench.figure('Parts')).toHaveText('9');
  await page.getByRole('button', { name: 'All parts' }).click();
  await expect(bench.card).toContainText('one of 6 alike');

  await page.getByRole('button', { name: 'Petals, letters, borders…' }).click();
  await bench.choose('What', 'Lettering');
  await page.getByLabel('Text').fill('Tide ☃');
  await expect(bench.card.getByRole('alert')).toContainText('no “☃”');
  await page.getByLabel('Text').fill('Tide');
  await page.getByLabel('Height of capitals').fill('2.5 mm');
  await page.keyboard.press('Enter');
  await expect(bench.card.getByRole('alert')).toContainText('cannot draw these letters under');
  await page.getByLabel('Height of capitals').fill('12 mm');
  await page.keyboard.press('Enter');
  await bench.choose('Alphabet', 'Brush letters');
  await page.getByLabel('Below the middle').fill('40 mm');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add 4 parts' }).click();
  await expect(bench.figure('Parts')).toHaveText('13');
});

test('parts are left out, locked and put in order; a drawing goes out and comes back', async ({ bench, page }) => {
  await bench.openKite('Drawing');
  const stitches = await bench.figure('Stitches').textContent();
  await bench.card.getByRole('button', { name: /^Top left panel/ }).click();
  await page.getByRole('button', { name: 'Leave out' }).click();
  await expect(bench.figure('Stitches')).not.toHaveText(stitches!);
  await page.getByRole('button', { name: 'Show again' }).click();
  await expect(bench.figure('Stitches')).toHaveText(stitches!);
  await page.getByRole('button', { name: 'Lock', exact: true }).click();
  await expect(bench.card).toContainText('It is locked');
  // A name that is emptied stays; one that is typed is taken when the field is left.
  await page.getByLabel('Name', { exact: true }).fill('');
  await page.keyboard.press('Enter');
  await page.getByLabel('Name', { exact: true }).blur();
  await page.getByRole('button', { name: '‹ All parts' }).click();
  await expect(bench.card.getByRole('button', { name: /^Top left panel.*locked/ })).toBeVisible();
  await bench.card.getByRole('button', { name: /^Top left panel/ }).click();
  await page.getByRole('button', { name: '‹ All parts' }).click();
  const first = bench.card.locator('.parts li').first();
  const name = await first.locator('.name').textContent();
  await first.locator('button.part').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(bench.card.locator('.parts li').nth(1).locator('.name')).toHaveText(name!);

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByText('Drawing as SVG').click();
  const path = await (await download).path();
  await page.getByRole('link', { name: 'Junctura' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a drawing, picture or piece' }).click();
  await (
    await chooser
  ).setFiles({
    name: 'kite.svg',
    mimeType: 'image/svg+xml',
    buffer: await (await import('node:fs/promises')).readFile(path),
  });
  await expect(bench.figure('Stitches')).toHaveText(stitches!);
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Kite');
});

test('a drawing that was changed elsewhere keeps what was chosen', async ({ bench, page }) => {
  const flower = (more: string): string =>
    svg(
      `<circle id="heart" cx="30" cy="30" r="9" fill="#b12f40"/><path id="stalk" d="M30 39V58" stroke="#48632f"/>${more}`,
    );
  await bench.open();
  await bench.bring('flower.svg', flower(''));
  await bench.goTo('Stitches');
  await bench.pick('heart');
  await bench.choose('Stitch', 'Split stitch filling');
  await expect(bench.tally).toContainText('Work in split stitch filling');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByText('changed elsewhere').click();
  const file = {
    name: 'flower.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(flower('<circle id="bud" cx="50" cy="10" r="4"/>')),
  };
  await (await chooser).setFiles(file);
  await expect(page.getByText('2 parts kept what was chosen')).toBeVisible();
  await expect(bench.figure('Parts')).toHaveText('3');
  await expect(bench.card.getByText('Split stitch filling').first()).toBeVisible();
});

test('the page answers while a large photograph is read, and reading can be stopped', async ({ bench, page }) => {
  const noisy = png(3000, 2200, (x, y) => [
    (x * 7 + y * 3) % 256,
    (x * y) % 200,
    Math.floor(128 + 100 * Math.sin(x / 90 + y / 70)),
  ]);
  await bench.open();
  await bench.bring('large.png', noisy);
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  const worst = await page.evaluate(async () => {
    let [worst, last] = [0, performance.now()];
    for (let i = 0; i < 60; i++) {
      await new Promise((done) => setTimeout(done, 16));
      worst = Math.max(worst, performance.now() - last - 16);
      last = performance.now();
    }
    return worst;
  });
  console.log(`worst wait for the page while a picture is read: ${Math.round(worst)} ms`);
  const stop = page.getByRole('button', { name: 'Stop' });
  if (await stop.isVisible()) await stop.click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('heading', { name: 'To try things on' })).toBeVisible();
});

test('a drawing that is pasted opens, several pictures come one after the other, and searching minds no hyphen', async ({
  bench,
  page,
}) => {
  await bench.open();
  await page.evaluate((text) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', text);
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
  }, svg('<circle cx="30" cy="30" r="12" fill="#a33"/>'));
  await expect(page).toHaveURL(/\/piece\/.*\/drawing/);
  // It says its millimetres: 24 of them, in the smallest hoop.
  await expect(bench.figure('Size')).toContainText('24 mm × 24 mm');
  await bench.goTo('Hoop');
  await expect(page.getByTestId('keep-size')).toHaveText('Keep this size');
  await expect(bench.card.getByLabel('Hoop', { exact: true })).toHaveValue('100');
  const drawn = await page.evaluate(async () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 60, height: 60 });
    const brush = canvas.getContext('2d')!;
    brush.fillStyle = '#fff';
    brush.fillRect(0, 0, 60, 60);
    brush.fillStyle = '#a33';
    brush.fillRect(15, 15, 30, 30);
    const blob = await new Promise<Blob>((done) => canvas.toBlob((made) => done(made!), 'image/png'));
    const clipboardData = new DataTransfer();
    for (const name of ['one.png', 'two.png']) clipboardData.items.add(new File([blob], name, { type: 'image/png' }));
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }));
    return blob.size;
  });
  expect(drawn).toBeGreaterThan(0);
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: /^Use this part/ }).click();
  await expect(
    bench.card
      .getByLabel('Name', { exact: true })
      .or(bench.card.getByText('one', { exact: false }))
      .first(),
  ).toBeVisible();
  await expect(dialog.getByRole('button', { name: /^Use this part/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog).toHaveCount(0);
  await bench.open('/stitches');
  await page.getByLabel('Search the stitches').fill('long and short');
  await expect(page.getByRole('link', { name: 'Long-and-short stitch' })).toBeVisible();
});
