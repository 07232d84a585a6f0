import { expect, test } from './bench.ts';

test.use({ viewport: { width: 390, height: 844 } });

test('one tap notes a step; it is there after the page is gone, and can be taken back', async ({ bench, page }) => {
  await bench.open('/hoop/demo-kite');
  await expect(page.getByTestId('begin-sheet')).toContainText('Needles:');
  await page.getByRole('button', { name: 'One more' }).click();
  await page.getByTestId('begin').click();
  const present = page.getByTestId('present');
  const done = page.getByTestId('done');
  await expect(done).toContainText('1 of 13');
  const first = await present.innerText();
  await done.click();
  await expect(done).toContainText('2 of 13');
  // Keys and pedals do the same.
  await page.keyboard.press('PageDown');
  await expect(done).toContainText('3 of 13');
  await page.keyboard.press('PageUp');
  await expect(done).toContainText('2 of 13');
  // As soon as it is shown it is kept: a page that goes at once loses nothing.
  await done.click();
  await expect(done).toContainText('3 of 13');
  await page.waitForTimeout(100);
  await bench.open('/stitches/satin');
  await bench.open('/hoop/demo-kite');
  await expect(done).toContainText('3 of 13');
  await page.getByTestId('back').click();
  await page.getByTestId('back').click();
  await expect(done).toContainText('1 of 13');
  await expect(present).toHaveText(first);
});

test('two tabs on one sitting see each other', async ({ bench, page, context }) => {
  await bench.open('/hoop/demo-kite');
  await page.getByTestId('begin').click();
  const other = await context.newPage();
  await other.goto('/hoop/demo-kite');
  const [here, there] = [page.getByTestId('done'), other.getByTestId('done')];
  await expect(there).toContainText('1 of 13');
  await here.click();
  await expect(there).toContainText('2 of 13');
  await there.click();
  await expect(here).toContainText('3 of 13');
  // Each tab takes back what it noted itself: the first step is to be done again.
  await page.getByTestId('back').click();
  await expect(there).toContainText('Step 1 of 13');
});

test('what storage refuses is told at the hoop, can be saved, and is kept as soon as it can be', async ({
  bench,
  page,
}) => {
  await page.addInitScript(() => {
    const { open } = IDBFactory.prototype;
    IDBFactory.prototype.open = function (this: IDBFactory, ...given) {
      if (document.title.startsWith('full')) throw new DOMException('refused', 'QuotaExceededError');
      return open.apply(this, given);
    };
    const { put } = IDBObjectStore.prototype;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given) {
      if (document.title.startsWith('full')) throw new DOMException('refused', 'QuotaExceededError');
      return put.apply(this, given);
    };
  });
  await bench.open('/hoop/demo-kite');
  await page.getByTestId('begin').click();
  await page.evaluate(() => (document.title = 'full'));
  await page.getByTestId('done').click();
  await expect(page.getByRole('alert')).toContainText('storage is full');
  await expect(page.getByTestId('present')).toBeInViewport();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save to a file' }).click();
  expect((await download).suggestedFilename()).toBe('kite.junctura.json');
  await page.evaluate(() => (document.title = 'room'));
  // With no further tap.
  await expect(page.getByRole('alert')).toHaveCount(0);
  await bench.open('/hoop/demo-kite');
  await expect(page.getByTestId('done')).toContainText('2 of 13');
});

test.describe('on a phone that lies on its side', () => {
  test.use({ viewport: { width: 844, height: 390 }, hasTouch: true });

  test('everything is in reach of a thumb, and a tap is a tap', async ({ bench, page }) => {
    await bench.open('/hoop/demo-kite');
    await page.getByTestId('begin').tap();
    const done = page.getByTestId('done');
    for (let step = 2; step <= 4; step++) {
      await done.tap();
      await expect(done).toContainText(`Step ${step} of 13`);
    }
    // A thumb that rests on it is no tap: it asks what else there is to say.
    const { x, y, width, height } = (await done.boundingBox())!;
    // A third of the side on which it lies.
    expect(height).toBeGreaterThan(390 / 3);
    expect(width).toBeGreaterThan(300);
    for (const control of [done, page.getByTestId('back'), page.getByTestId('how'), page.getByTestId('end')]) {
      await expect(control).toBeInViewport({ ratio: 1 });
    }
    const glass = await page.context().newCDPSession(page);
    const thumb = [{ x: x + width / 2, y: y + height / 2 }];
    await glass.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: thumb });
    await expect(page.getByRole('dialog')).toContainText('Part of it is done');
    await glass.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await page.keyboard.press('Escape');
    await expect(done).toContainText('Step 4 of 13');
  });
});

test.describe('with two fingers', () => {
  test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });

  test('the picture is turned at the hoop, and the design in its hoop', async ({ bench, page }) => {
    const glass = await page.context().newCDPSession(page);
    /** The second finger goes a quarter round the first. */
    const turnAt = async (x: number, y: number): Promise<void> => {
      const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', ...places: [number, number][]): Promise<unknown> =>
        glass.send('Input.dispatchTouchEvent', {
          type,
          touchPoints: places.map(([px, py], id) => ({ x: px, y: py, id })),
        });
      await touch('touchStart', [x, y]);
      await touch('touchStart', [x, y], [x + 120, y]);
      for (let step = 1; step <= 9; step++) {
        const angle = (step * Math.PI) / 18;
        await touch('touchMove', [x, y], [x + 120 * Math.cos(angle), y + 120 * Math.sin(angle)]);
      }
      await touch('touchEnd');
    };
    await bench.open('/hoop/demo-kite');
    await page.getByTestId('begin').click();
    const turned = page.locator('.turned');
    await expect(turned).toHaveCSS('transform', /matrix\(1, 0/);
    const box = (await turned.boundingBox())!;
    await turnAt(box.x + box.width / 2 - 60, box.y + box.height / 2);
    await expect(turned).toHaveCSS('transform', /matrix\((-?0\.0\d+|-?[\d.]+e-\d+|0), 1, -1/);
    await bench.open('/piece/demo-kite/hoop');
    await expect(page.locator('.picture[data-painted]')).toBeVisible();
    const hoop = (await page.locator('.hoop-view').boundingBox())!;
    await turnAt(hoop.x + hoop.width / 2 - 60, hoop.y + hoop.height / 2);
    await expect(bench.tally).toContainText('Turn the design');
    await expect(page.getByLabel('Rotation', { exact: false }).first()).toHaveValue(/^-(89|9[01])/);
  });
});
