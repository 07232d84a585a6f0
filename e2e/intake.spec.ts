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
  await dialog.getByText('I know a length on it').click();
  await dialog.getByLabel('Length of the red line').fill('80 mm');
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('4 parts in 4 colours');
  await dialog.getByLabel('Read the picture').selectOption({ label: 'By its lines: as areas of ink' });
  await expect(dialog.getByRole('status')).toContainText(/parts? in 1 colour/);
  await dialog.getByLabel('Read the picture').selectOption({ label: 'By its colours: areas to fill' });
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

test('a picture that is kept below is drawn over: led along its edges or not, and it can be made fainter', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.bring('page.png', PAGE);
  await page.getByRole('button', { name: /^Use (this|these)/ }).click();
  const picture = page.locator('.overlay image');
  const below = (await picture.boundingBox())!;
  const scale = below.width / 640;
  let parts = 4;
  const draw = async (tool: string, places: readonly (readonly [number, number])[]): Promise<void> => {
    await bench.card.getByRole('button', { name: tool, exact: true }).click();
    await page.mouse.move(...places[0]!);
    await page.mouse.down();
    for (const place of places.slice(1)) await page.mouse.move(...place);
    await page.mouse.up();
    await page.keyboard.press('Escape');
    await expect(bench.figure('Parts')).toHaveText(String(++parts));
  };
  /** Round the blue disc, which is 160 of the picture's 640 pixels across, by a hand that shakes; how wide the area is then, mm. */
  const drawDisc = async (): Promise<number> => {
    const round = Array.from({ length: 60 }, (_, i) => {
      const angle = (i / 59) * 2 * Math.PI;
      const r = (80 + 6 * Math.sin(2 * angle)) * scale;
      return [below.x + 470 * scale + r * Math.cos(angle), below.y + 180 * scale + r * Math.sin(angle)] as const;
    });
    await draw('Area', round);
    const [, mm] = /([\d.]+) mm at its widest/.exec(await bench.card.innerText())!;
    return Number(mm);
  };
  /** The list is front to back: the width of what was drawn last stands first. The disc is a quarter of the picture across, 37.5 mm. */
  expect(Math.abs((await drawDisc()) - 37.5)).toBeLessThan(1);
  await page.getByText('Snap my strokes to edges').click();
  expect(await drawDisc()).toBeLessThan(36);

  await expect(picture).toHaveAttribute('opacity', '0.5');
  await page.getByLabel('Picture below, strength').fill('20');
  await page.keyboard.press('Enter');
  await expect(picture).toHaveAttribute('opacity', '0.2');
  const at = (x: number, y: number): [number, number] => [below.x + x * below.width, below.y + y * below.height];
  await draw('Line', [at(0.1, 0.95), at(0.5, 0.92), at(0.9, 0.95)]);
  await draw('Dots', [at(0.5, 0.05)]);
  await bench.card.locator('.parts .part').filter({ hasText: 'Area' }).first().click();
  await draw('Cut in two', [at(0.55, 0.375), at(0.92, 0.375)]);
  // Five parts were drawn, and the picture made fainter.
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(bench.figure('Parts')).toHaveText('4');
});

test('pictures that cannot be read are refused in a sentence, and nothing is lost', async ({ bench, page }) => {
  const cases: [name: string, bytes: Buffer, said: RegExp][] = [
    ['torn.jpg', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4]), /damaged/],
    ['dot.png', png(1, 1, () => [200, 20, 20]), /a single colour/],
    ['words.webp', Buffer.from('hello'), /damaged/],
  ];
  await bench.open();
  for (const [name, bytes, said] of cases) {
    await bench.bring(name, bytes);
    await expect(page.getByRole('alert')).toContainText(said);
    const cancel = page.getByRole('button', { name: 'Cancel' });
    if (await cancel.isVisible()) {
      await expect(page.getByRole('button', { name: /^Use (this|these)/ })).toBeDisabled();
      await cancel.click();
    }
    await expect(page.getByRole('heading', { name: 'Demo pieces to explore' })).toBeVisible();
  }
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
  await expect(page.getByRole('heading', { name: 'Demo pieces to explore' })).toBeVisible();
});

test('several pictures that are pasted come one after the other', async ({ bench, page }) => {
  await bench.open();
  await page.evaluate(async () => {
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
  });
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: /^Use this part/ }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('one');
  await expect(dialog.getByRole('button', { name: /^Use this part/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog).toHaveCount(0);
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
  await expect(bench.card).toContainText('One text was left out');
});
