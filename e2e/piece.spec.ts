import { expect, test } from './bench.ts';
import { paintedDemos, shownDemos } from './paintedDemos.ts';

test('the pictures that come with the demo are what is painted today', async ({ bench: { page } }) => {
  const ready = await shownDemos(page, '/');
  const painted = await paintedDemos(page, '/');
  const apart = await page.evaluate(
    async (pairs) => {
      const pixels = async (text: string): Promise<Uint8ClampedArray> => {
        const image = new Image();
        image.src = `data:image/webp;base64,${text}`;
        await image.decode();
        const brush = new OffscreenCanvas(image.width, image.height).getContext('2d')!;
        brush.drawImage(image, 0, 0);
        return brush.getImageData(0, 0, image.width, image.height).data;
      };
      return Promise.all(
        pairs.map(async (pair) => {
          const [a, b] = await Promise.all(pair.map(pixels));
          return a!.reduce((sum, value, i) => sum + Math.abs(value - b![i]!), 0) / a!.length;
        }),
      );
    },
    ready.map(({ picture }, i) => [picture, painted[i]!.picture].map((bytes) => bytes.toString('base64'))),
  );
  ready.forEach(({ file }, i) => expect(apart[i], file).toBeLessThan(SAME_PICTURE));
});
/** Two pictures of the same, one of them packed twice, differ by this much at most, in steps of 255 on the average. */
const SAME_PICTURE = 6;

test('two tabs do not overwrite each other', async ({ bench, page, context }) => {
  await bench.openKite('Hoop');
  await page.getByLabel('Height').fill('50 mm');
  await page.keyboard.press('Enter');
  await bench.saved();
  const second = await context.newPage();
  await second.goto(page.url());
  await second.getByLabel('Height').fill('40 mm');
  await second.keyboard.press('Enter');
  await expect(second.getByText('Saved in this browser')).toBeVisible();
  await page.getByLabel('Height').fill('60 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('changed in another tab')).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine as a second piece' }).click();
  await bench.saved();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Kite (this tab)');
  await expect(bench.figure('Size')).toContainText('60 mm');
});

test('the pen is led by keys, and what is typed wrongly says so until it is mended', async ({ bench, page }) => {
  await bench.openKite('Drawing');
  const parts = Number(await bench.figure('Parts').textContent());
  await page.getByRole('button', { name: 'Area', exact: true }).click();
  await expect(page.getByLabel(/with the pen out/)).toBeFocused();
  // A square of 10 mm in the middle of the hoop: a place at each corner, and Enter at the last.
  for (const way of ['ArrowRight', 'ArrowDown', 'ArrowLeft']) {
    await page.keyboard.press('Space');
    for (let step = 0; step < 2; step++) await page.keyboard.press(`Shift+${way}`);
  }
  await page.keyboard.press('Enter');
  await expect(bench.figure('Parts')).toHaveText(String(parts + 1));
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^The hoop: arrow/)).toBeFocused();

  await bench.goTo('Hoop');
  const width = bench.card.getByLabel('Width of the design');
  await width.fill('wide');
  await width.press('Enter');
  const message = bench.card.getByRole('alert');
  await expect(message).toContainText('Enter a length such as');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.figure('Parts')).toHaveText(String(parts));
  await expect(message).toBeVisible();
  await width.press('Escape');
  await expect(message).toBeHidden();
});

test('a piece is seen in its hoop before anything of it is planned', async ({ page }) => {
  // Nothing is ever planned: what is seen then was painted before.
  await page.route('**/core.worker*', (route) => route.abort());
  await page.goto('/piece/demo-kite/stitches');
  const isSeen = (): Promise<boolean> =>
    page.locator('.picture').evaluate((element) => {
      const canvas = element as HTMLCanvasElement;
      const { width, height } = canvas;
      const { data } = canvas.getContext('2d')!.getImageData(width >> 2, height >> 2, width >> 1, height >> 1);
      return new Set(new Uint32Array(data.buffer)).size > 200;
    });
  await expect.poll(isSeen).toBe(true);
  await expect(page.locator('.picture[data-painted]')).toHaveCount(0);
});

test.describe('with fingers', () => {
  test.use({ hasTouch: true });

  test('two fingers enlarge the hoop about where they are, and one then moves it; nothing is picked by that', async ({
    bench,
    page,
  }) => {
    await bench.openKite('Stitches');
    await expect(page.locator('.picture[data-painted]')).toBeVisible();
    const hoop = page.getByLabel(/^The hoop/);
    await hoop.hover();
    const box = (await hoop.boundingBox())!;
    const [x, y] = [box.x + box.width * 0.5, box.y + box.height * 0.5];
    const session = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...places: [number, number][]) =>
      session.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: places.map(([px, py], id) => ({ x: px, y: py, id })),
      });
    const view = async (): Promise<number[]> =>
      (await page.locator('svg.overlay').getAttribute('viewBox'))!.split(' ').map(Number);
    const [, , width] = await view();
    const middle = async (): Promise<number> => (await view())[0]! + (await view())[2]! / 2;
    const before = await middle();
    await touch('touchStart', [x - 60, y]);
    await touch('touchStart', [x - 60, y], [x + 60, y]);
    for (let k = 1; k <= 6; k++) await touch('touchMove', [x - 60 - 10 * k, y], [x + 60 + 10 * k, y]);
    await touch('touchEnd');
    await expect.poll(async () => (await view())[2]! / width!).toBeCloseTo(0.5, 1);
    expect(await middle()).toBeCloseTo(before, 0);
    await touch('touchStart', [x, y]);
    for (let k = 1; k <= 4; k++) await touch('touchMove', [x + 10 * k, y]);
    await touch('touchEnd');
    await expect.poll(middle).toBeLessThan(before - 1);
    await expect(page).not.toHaveURL(/picked/);
  });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('the card is a sheet, drawn up and down by its handle or by keys', async ({ bench, page }) => {
    await bench.open('/piece/demo-kite/stitches');
    await expect(page.locator('.picture[data-painted]')).toBeVisible();
    const height = async (): Promise<number> => (await bench.card.boundingBox())!.height;
    const half = await height();
    const handle = page.getByRole('button', { name: 'Resize the card' });
    await handle.press('ArrowUp');
    await expect.poll(height).toBeGreaterThan(1.4 * half);
    const box = (await handle.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, 800, { steps: 4 });
    await page.mouse.up();
    await expect.poll(height).toBeLessThan(0.4 * half);
    await expect(page.getByRole('button', { name: 'Whole hoop' })).toBeInViewport();
  });
});

test('the hoop is moved and enlarged by pointer and keys, and parts are picked in it', async ({ bench, page }) => {
  await bench.openKite();
  const canvas = page.locator('.picture');
  const overlay = page.locator('.overlay');
  const box = (): Promise<string | null> => overlay.getAttribute('viewBox');
  const whole = await box();
  await page.mouse.move(500, 260);
  await page.mouse.wheel(0, -600);
  await expect.poll(box).not.toBe(whole);
  await page.getByRole('button', { name: 'Whole hoop' }).click();
  await expect.poll(box).toBe(whole);
  await page.mouse.move(500, 260);
  await page.mouse.down();
  await page.mouse.move(560, 300, { steps: 4 });
  await page.mouse.up();
  await expect.poll(box).not.toBe(whole);
  await expect(bench.card.getByRole('heading', { name: 'Stitches' })).toBeVisible();
  await page.getByRole('region', { name: /^The hoop/ }).focus();
  await page.keyboard.press('0');
  await expect.poll(box).toBe(whole);
  await page.keyboard.press('1');
  const [, , width] = (await box())!.split(' ').map(Number);
  const pixels = (await canvas.evaluate((element) => (element as HTMLCanvasElement).clientWidth))!;
  expect(pixels / width!).toBeCloseTo(96 / 25.4, 2);
  await page.keyboard.press('0');
  await page.locator('[data-part="lower-right-panel"]').click();
  await expect(bench.card.getByRole('heading', { name: 'Lower right panel' })).toBeVisible();
  const paintings = async (): Promise<number> => Number(await canvas.getAttribute('data-painted'));
  const before = await paintings();
  await page.getByRole('button', { name: 'Turn over' }).click();
  await expect(page.getByText('The back, as you see it')).toBeVisible();
  await expect.poll(paintings).toBeGreaterThan(before);
});

test('Back lets go of the part that is picked, then leaves the piece; a name that is being typed is kept', async ({
  bench,
  page,
}) => {
  await bench.open();
  const kite = page.getByRole('button', { name: /^Kite/ });
  await kite.click();
  await bench.pick('Sail');
  await expect(page).toHaveURL(/picked/);
  await page.goBack();
  await expect(page).not.toHaveURL(/picked/);
  await expect(page).toHaveURL(/piece\/demo-kite\/stitches/);
  await bench.pick('Sail');
  await page.keyboard.press('Escape');
  await expect(page).not.toHaveURL(/picked/);
  const name = page.getByLabel('Name of the piece');
  await name.fill('Kite for Back');
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'Junctura' })).toBeVisible();
  await kite.click();
  await expect(name).toHaveValue('Kite for Back');
  await name.fill('Kite reloaded');
  await page.reload();
  await expect(name).toHaveValue('Kite reloaded');
});

test.describe('in Germany', () => {
  test.use({ locale: 'de-DE' });

  test('figures and days are written as there, the words stay English, and a comma can be typed', async ({
    bench,
    page,
  }) => {
    await bench.openKite('Hoop');
    await expect(bench.figure('Thread')).toHaveText(/^\d+,\d m$/);
    const height = page.getByLabel('Height');
    await height.fill('50,5 mm');
    await page.keyboard.press('Enter');
    await expect(height).toHaveValue(/^50,5/);
    await bench.goTo('At the hoop');
    await expect(bench.card).toContainText(/about \d{1,2} (Dec|Jan) 20\d\d/);
  });
});
