import { expect, svg, test } from './bench.ts';

test('findings say what is wrong, are mended in one action, or accepted with a word why', async ({ bench, page }) => {
  await bench.open();
  await page.getByRole('button', { name: /^Night tram/ }).click();
  const shown = bench.tally.getByRole('button', { name: /finding/ });
  const count = async (): Promise<number> => Number(/\d+/.exec((await shown.textContent()) ?? '')?.[0]);
  await expect(shown).toBeVisible();
  const before = await count();
  await page.keyboard.press('f');
  await expect(bench.card).toContainText('Chain stitch stands up and can catch');
  await bench.card.getByRole('button', { name: 'Work in back stitch' }).click();
  await expect(bench.tally).toContainText(/findings? fewer/);
  await expect.poll(count).toBeLessThan(before);
  const left = await count();
  await bench.card.getByRole('button', { name: 'It is meant so' }).first().click();
  await bench.card.getByLabel('Why it is all right').fill('it stays on a wall');
  await bench.card.getByRole('button', { name: 'It is meant so', exact: true }).first().click();
  await expect.poll(count).toBe(left - 1);
  await bench.saved();
  await page.reload();
  await expect.poll(count).toBe(left - 1);
});

test('what lies behind is cut away or kept, parts are moved, renamed and removed', async ({ bench, page }) => {
  await bench.open();
  await bench.bring(
    'behind.svg',
    svg(
      '<rect id="back" width="20" height="20" fill="#a33"/><rect id="front" x="10" width="20" height="20" fill="#36a"/>',
    ),
  );
  await expect(bench.card).toContainText('200 mm²');
  await page.getByText('stitch it all the same').click();
  await expect(bench.card).not.toContainText('200 mm²');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await bench.card.getByRole('button', { name: /^back/ }).click();
  await expect(bench.card).toContainText('lies behind other parts');
  await page.getByRole('button', { name: 'Bring forward' }).click();
  await expect(bench.card).not.toContainText('lies behind other parts');
  await page.getByLabel('Name', { exact: true }).fill('Near square');
  await page.getByRole('button', { name: '‹ All parts' }).click();
  await expect(bench.card.getByRole('button', { name: /^Near square/ })).toBeVisible();
  await bench.card.getByRole('button', { name: /^front/ }).click({ modifiers: ['Shift'] });
  await bench.card.getByRole('button', { name: 'Work on it' }).click();
  await bench.card.getByRole('button', { name: 'Remove' }).click();
  await expect(bench.figure('Parts')).toHaveText('1');
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
});

test('a shade of its own is given to one part, and the nearest shades to a whole drawing', async ({ bench, page }) => {
  await bench.open();
  await bench.bring(
    'two.svg',
    svg('<rect width="9" height="9" fill="#b12f44"/><rect x="20" width="9" height="9" fill="#305676"/>'),
  );
  await bench.goTo('Colours');
  await page.getByRole('button', { name: 'Take the nearest shade for 2 colours' }).click();
  await expect(bench.card).toContainText('Wet rosehip (rh-41)');
  await expect(bench.card).toContainText('Wet slate (sl-35)');
  await bench.goTo('Stitches');
  await bench.pick('Area 1');
  await page.getByRole('button', { name: 'Another shade…' }).click();
  await page.getByLabel('Search the shade card').fill('gorse');
  await page.getByRole('button', { name: 'Plain gorse go-55' }).click();
  await expect(bench.tally).toContainText('Work in plain gorse');
  await bench.goTo('Thread');
  await expect(bench.card).toContainText('Plain gorse (go-55)');
});

test('a piece that is taken off the bench can be put back, a changed demo begun again', async ({ bench, page }) => {
  await bench.open();
  await bench.bring('mine.svg', svg('<rect width="9" height="9"/>'));
  await bench.saved();
  await page.getByRole('link', { name: 'Junctura' }).click();
  await expect(page.getByRole('button', { name: /^mine/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('button', { name: /^mine/ })).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: /^mine/ })).toBeVisible();
  await page.getByRole('button', { name: /^Kite/ }).click();
  await bench.goTo('Hoop');
  await page.getByRole('button', { name: 'Mirror' }).click();
  await bench.saved();
  await page.getByRole('link', { name: 'Junctura' }).click();
  await expect(page.getByText('Changed by you')).toBeVisible();
  await page.getByRole('button', { name: 'Start again from the original' }).click();
  await expect(page.getByText('Changed by you')).toBeHidden();
});

test('the stitch book finds stitches by any name and shows how they are worked, step by step', async ({
  bench,
  page,
}) => {
  await bench.openKite();
  await bench.pick('Tail');
  await page.getByRole('link', { name: 'How it is worked' }).click();
  await expect(page.getByRole('heading', { name: 'Stem stitch' })).toBeVisible();
  await page.getByLabel('Search the stitches').fill('soft shading');
  await expect(page.getByRole('navigation', { name: 'Stitches' }).getByRole('link')).toHaveCount(1);
  await page.getByRole('link', { name: 'Long-and-short stitch' }).click();
  await expect(page.getByText('10 cm² takes')).toBeVisible();
  const taken = page.locator('.facts dd').first();
  const one = await taken.textContent();
  await page.getByLabel('Strands', { exact: true }).selectOption('3');
  await expect(taken).not.toHaveText(one!);
  await page.getByLabel('Search the stitches').fill('whatever');
  await expect(page.getByText('No stitch is called that')).toBeVisible();

  await page.goto('/stitches/french');
  await page.getByRole('region', { name: /^Working drawing/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The needle comes up.')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The thread is wound round the needle.')).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Play' })).toBeVisible({ timeout: 15_000 });
  await page.getByLabel('For the').selectOption('left hand');
  await expect(page.locator('.drawing .mirrored')).toHaveCount(2);
});

test('lessons in handling are found by search, for either hand, and linked where one needs them', async ({
  bench,
  page,
}) => {
  await bench.open('/stitches');
  await page.getByLabel('Search the stitches').fill('unpick');
  const found = page.getByTestId('found-lessons').getByRole('link', { name: 'Unpicking' });
  await expect(found).toHaveAttribute('href', /handling#unpicking$/);
  await bench.open('/stitches/handling');
  const lessons = page.getByTestId('lesson');
  await expect(lessons).toHaveCount(16);
  await page.getByLabel('Search the lessons').fill('waste knot');
  await expect(lessons.first()).toContainText('cut the knot off');
  const picture = lessons.first().getByRole('img').first();
  const right = await picture.screenshot();
  await page.getByLabel('For the').selectOption({ label: 'left hand' });
  expect(Buffer.compare(await picture.screenshot(), right)).not.toBe(0);
  await page.getByLabel('Search the lessons').fill('zebra');
  await expect(page.getByRole('status')).toContainText('No lesson is called that');
  await bench.open('/hoop/demo-kite');
  await expect(page.getByTestId('first-lessons').getByRole('link', { name: 'threading' })).toBeVisible();
});
