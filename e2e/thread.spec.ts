import { expect, test } from './bench.ts';
import type { Page } from '@playwright/test';

async function bringList(page: Page, name: string, text: string): Promise<void> {
  await page.getByRole('button', { name: 'File' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByText('Bring in a list or card').click();
  await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}

test('the thread box is found, changed, weighed, undone, and still there after a reload', async ({ bench, page }) => {
  await bench.open();
  await page.getByRole('link', { name: 'Thread box' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing in the box yet' })).toBeVisible();
  await bench.openBox();
  const rows = page.getByTestId('box-row');
  await expect.poll(() => rows.count()).toBeGreaterThan(10);
  await page.getByLabel('Search the thread box').fill('am-77 d58');
  await expect(rows).toHaveCount(1);
  await rows.first().getByRole('button').click();
  const card = page.getByRole('complementary');
  await card.getByLabel('Begun, left').fill('2');
  await expect(rows.first()).toContainText('2 m');
  const weigh = card.getByTestId('weigh');
  await weigh.getByRole('button', { name: 'Simulated scale' }).click();
  await expect(weigh).toContainText('Simulated kitchen scale: 3.9 g');
  await weigh.getByLabel('Bobbin alone').fill('4.2');
  await expect(weigh.getByRole('alert')).toContainText('less than the bobbin alone');
  await weigh.getByLabel('Bobbin alone').fill('3');
  await expect(weigh).toContainText('5 m, right to 39 cm either way');
  await weigh.getByRole('button', { name: 'Take it as what is left' }).click();
  await expect(rows.first()).toContainText('5 m ± 39 cm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rows.first()).toContainText('2 m');
  // At once: what is not yet stored is there all the same.
  await page.reload();
  await page.getByLabel('Search the thread box').fill('am-77 d58');
  await expect(rows.first()).toContainText('2 m');
});

test('lists and cards are brought in and taken out; what makes no sense is told', async ({ bench, page }) => {
  await bench.openBox();
  await bringList(
    page,
    'mine.csv',
    'name;code;hex;skeins;metres;lot\nSea glass;sg1;#7fb5a8;2;3,5;K4\nOdd;sg1;#000000;1;;K4\nBad;x;plum?;1;;\n',
  );
  await expect(page.getByText('1 entries are in your box')).toContainText('the code stands there twice');
  await page.getByLabel('Search the thread box').fill('sea glass');
  await expect(page.getByTestId('box-row')).toContainText('2 skeins, 3.5 m');
  await bringList(page, 'harbour.csv', 'code,hex\nh1,#27496d\nh2,#c9d6df\n');
  await page.getByLabel('Search the thread box').fill('');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary')).toContainText('harbour');
  await bringList(page, 'photo.csv', 'just words');
  await expect(page.getByText(/photo\.csv: there is no row/)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByText('Export as CSV').click();
  expect((await download).suggestedFilename()).toBe('thread-box.csv');
});

test('of five thousand entries only those in view are in the page, wherever one scrolls and whatever one seeks', async ({
  bench,
  page,
}) => {
  await bench.open('/threads');
  const many = Array.from(
    { length: 5000 },
    (_, i) => `Shade ${i},n${i},#${((i * 3343) % 16777215).toString(16).padStart(6, '0')},1,tin ${i % 40}`,
  );
  await bringList(page, 'many.csv', `name,code,hex,skeins,place\n${many.join('\n')}\n`);
  await expect(page.getByText(/^5,?000 entries are in your box/)).toBeVisible();
  const rows = page.getByTestId('box-rows');
  const inPage = (): Promise<number> => rows.locator('*').count();
  await rows.hover();
  const atFirst = await inPage();
  for (let i = 0; i < 12; i++) await page.mouse.wheel(0, 9000);
  await expect.poll(inPage).toBeLessThan(2 * atFirst);
  await page.getByLabel('Search the thread box').pressSequentially('tin 17');
  await expect(rows.getByText('tin 17').first()).toBeVisible();
  expect(await inPage()).toBeLessThan(2 * atFirst);
});

test('the workbasket is filled and taken out of; the shopping list asks for nothing that lies in it', async ({
  bench,
  page,
}) => {
  await bench.open('/threads');
  await page.getByRole('button', { name: 'Workbasket' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing in the basket yet' })).toBeVisible();
  await bench.card.getByLabel('Size').fill('100 mm');
  await bench.card.getByLabel('Size').press('Enter');
  await page.getByTestId('put-in').click();
  await expect(page.getByTestId('basket')).toContainText('10 cm, round');
  await expect.poll(() => bench.revisionOf('thread-box')).toBeGreaterThan(0);
  await bench.open('/piece/demo-kite/thread');
  await page.getByRole('button', { name: 'Shopping list' }).click();
  const rows = page.getByTestId('shopping').getByRole('row');
  await expect(rows.filter({ hasText: 'Needles' }).first()).toBeVisible();
  await expect(rows.filter({ hasText: 'Hoop' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await bench.goTo('Hoop');
  await expect(bench.card.getByLabel('Hoop', { exact: true }).locator('option').nth(1)).toHaveText(/10 cm, yours/);
  await bench.openBox();
  await page.getByTestId('examples').getByRole('button', { name: 'Take them out' }).click();
  await expect(page.getByTestId('examples')).toHaveCount(0);
  await page.getByRole('button', { name: 'Workbasket' }).click();
  await expect(page.getByTestId('basket').getByRole('listitem')).toHaveCount(1);
});

test('colours are read off the simulated camera’s photograph and become a card', async ({ bench, page }) => {
  await bench.open('/threads');
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByText('Read colours off a photograph…').click();
  await page.getByRole('button', { name: 'Take one with the simulated camera' }).click();
  const photo = page.getByTestId('photo');
  await expect(photo).toBeVisible();
  // It lies still before it is pressed on.
  await photo.hover();
  const box = (await photo.boundingBox())!;
  const press = (x: number, y: number): Promise<void> =>
    page.mouse.click(box.x + (x / 900) * box.width, box.y + (y / 600) * box.height);
  await press(120, 300);
  await press(330, 170);
  await press(540, 170);
  const colours = page.getByTestId('photo-colours').getByRole('listitem');
  await expect(colours).toHaveCount(2);
  await expect(colours.first()).toContainText('the same to the eye');
  await page.getByRole('button', { name: 'Keep as a card of 2' }).click();
  await expect(page.getByRole('complementary')).toContainText('From a photograph');
});

test('a shade that will not reach: what helps, with its effect; lots are not mixed by mistake', async ({
  bench,
  page,
}) => {
  await bench.openBox();
  await bench.open('/piece/demo-rock-pool/thread');
  await page.getByRole('button', { name: 'Will it reach?' }).click();
  const amber = page.getByTestId('reach').locator('> li', { hasText: 'Pale amber' });
  await expect(amber).toContainText('80 cm of lot B21, 70 cm of lot D58');
  await amber.getByRole('button', { name: 'What helps' }).click();
  const offers = page.getByTestId('savings');
  await expect(offers).toContainText('A strand fewer');
  await expect(offers).toContainText(/from the other lot; the first then reaches in \d+ of 100/);
  await offers.locator('.offer', { hasText: 'Another lot' }).getByRole('button', { name: 'Do it' }).click();
  await expect(bench.tally).toContainText('Another lot from');
  await expect(page.getByTestId('reach').locator('> li', { hasText: 'Pale amber' })).toHaveCount(2);
  await page.getByRole('button', { name: 'Reserve it for this piece' }).click();
  await expect(bench.card).toContainText('reserved');
});
