import { expect, test } from './bench.ts';

test('a design larger than its hoop gets positions, moved by dragging and by numbers', async ({ bench, page }) => {
  await bench.openKite('Hoop');
  await page.getByLabel('Height').fill('150 mm');
  await page.keyboard.press('Enter');
  await expect(bench.figure('Size')).toContainText('15 cm');
  await page.getByRole('button', { name: 'Find hoop positions' }).click();
  const rows = bench.card.locator('.positions li');
  await expect.poll(() => rows.count()).toBeGreaterThan(2);
  const right = rows.first().getByLabel('From centre, right');
  const before = await right.inputValue();
  const grip = (await page.locator('[data-position="0"]').boundingBox())!;
  await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
  await page.mouse.down();
  await page.mouse.move(grip.x + grip.width / 2 + 40, grip.y + grip.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(right).not.toHaveValue(before);
  await right.fill('0 mm');
  await page.keyboard.press('Enter');
  await expect(right).toHaveValue('0 mm');
  await page.getByRole('button', { name: 'Use one position' }).click();
  await expect(rows).toHaveCount(0);
});

test('the light table shows true size, is nudged and turned by keys, and unlocks only by a long press', async ({
  bench,
  page,
}) => {
  await bench.openKite('Transfer');
  await page.getByRole('link', { name: 'Open the light table' }).click();
  const table = page.getByTestId('light-table');
  await expect(table.locator('[data-part]')).toHaveCount(20);
  const sizeOf = async (): Promise<number> => (await table.locator('circle').boundingBox())!.width;
  const before = await sizeOf();
  await page.getByRole('button', { name: 'Measure the screen' }).click();
  await page.getByLabel(/^Hold a bank card/).fill('50');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'They match' }).click();
  expect((await sizeOf()) / before).toBeCloseTo(2, 1);
  const turn = table.locator('g').first();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press(']');
  await expect(turn).toHaveAttribute('transform', /translate\(0\.5 0\) rotate\(1\)/);
  await page.getByRole('button', { name: 'Lock' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(turn).toHaveAttribute('transform', /translate\(0\.5 0\)/);
  const unlock = page.getByRole('button', { name: 'Press and hold here to unlock' });
  await unlock.click();
  await expect(unlock).toBeVisible();
  await unlock.hover();
  await page.mouse.down();
  await expect(unlock).toBeHidden();
  await page.mouse.up();
});

test.describe('on a tablet', () => {
  test.use({ hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('fingers move and turn the pattern until it is locked; a resting hand does not unlock it', async ({
    bench,
    page,
  }) => {
    await bench.openKite('Transfer');
    await page.getByRole('link', { name: 'Open the light table' }).click();
    const pattern = page.getByTestId('light-table').locator('g').first();
    await expect(pattern.locator('[data-part]')).toHaveCount(20);
    const pxPerMm = Number(await page.getByTestId('light-table').getAttribute('data-px-per-mm'));
    const glass = await page.context().newCDPSession(page);
    const touch = (
      type: 'touchStart' | 'touchMove' | 'touchEnd',
      ...places: [x: number, y: number][]
    ): Promise<unknown> =>
      glass.send('Input.dispatchTouchEvent', { type, touchPoints: places.map(([x, y], id) => ({ x, y, id })) });
    const lies = async (): Promise<number[]> =>
      [...(await pattern.getAttribute('transform'))!.matchAll(/-?[\d.]+(?:e-\d+)?/g)].slice(0, 3).map(Number);

    await touch('touchStart', [300, 500]);
    await touch('touchMove', [300 + 10 * pxPerMm, 500]);
    await touch('touchEnd');
    const moved = await lies();
    expect(moved[0]).toBeCloseTo(10, 1);
    expect(moved[1]).toBeCloseTo(0, 1);

    // The second finger goes a quarter round the first, which holds still at the middle of the screen.
    await touch('touchStart', [410, 590]);
    await touch('touchStart', [410, 590], [610, 590]);
    for (let step = 1; step <= 9; step++) {
      const angle = (step * Math.PI) / 18;
      await touch('touchMove', [410, 590], [410 + 200 * Math.cos(angle), 590 + 200 * Math.sin(angle)]);
    }
    await touch('touchEnd');
    const [x, y, turn] = await lies();
    expect(turn).toBeCloseTo(90, 0);
    expect(x).toBeCloseTo(0, 1);
    expect(y).toBeCloseTo(10, 1);

    await page.getByRole('button', { name: 'Lock' }).click();
    const unlock = page.getByRole('button', { name: 'Press and hold here to unlock' });
    await expect(unlock).toBeVisible();
    await touch('touchStart', [500, 700]);
    await touch('touchMove', [550, 700]);
    await page.waitForTimeout(1500);
    await touch('touchEnd');
    expect(await lies()).toEqual([x, y, turn]);
    const box = (await unlock.boundingBox())!;
    await touch('touchStart', [box.x + box.width / 2, box.y + box.height / 2]);
    await expect(unlock).toBeHidden();
    await touch('touchEnd');
  });
});
