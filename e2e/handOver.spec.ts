import { startServer } from './ownServer.ts';
import { Bench, expect, test as base } from './bench.ts';

const test = base.extend<{ home: string }>({
  home: async ({ page: _ }, use) => {
    const server = await startServer({ handsOver: true });
    await use(server.address);
    await server.stop();
  },
});

test('a piece goes to the phone by a code, its record comes back the same way, and nothing is doubled', async ({
  bench,
  page,
  browser,
  home,
}) => {
  await bench.open(`${home}/piece/demo-kite/at-the-hoop`);
  await expect(bench.card.getByTestId('work-done')).toContainText('0 of 13');
  const codeFrom = async ({ page: from }: Bench): Promise<string> => {
    await from.getByTestId('hand-over').click();
    await from.getByRole('button', { name: 'Make a code' }).click();
    const code = await from.getByTestId('code').innerText();
    await expect(from.getByAltText('QR code with the address of the piece')).toBeVisible();
    await from.keyboard.press('Escape');
    return code;
  };
  const code = await codeFrom(bench);
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: 'block',
  });
  const phone = new Bench(await context.newPage());
  await phone.page.goto(`${home}/take/${code.replace(' ', '')}`);
  await phone.page.getByRole('button', { name: 'Receive piece' }).tap();
  await phone.page.getByTestId('begin').tap();
  await phone.page.getByTestId('done').tap();
  await phone.page.getByTestId('done').tap();
  await phone.page.getByTestId('end').tap();
  await phone.page.getByTestId('close-sitting').tap();

  // A code is good once.
  const third = await context.newPage();
  await third.goto(`${home}/take/${code.replace(' ', '')}`);
  await third.getByRole('button', { name: 'Receive piece' }).tap();
  await expect(third.getByRole('alert')).toContainText('There is no piece under this code');
  await third.getByLabel('The code').fill('none');
  await third.getByRole('button', { name: 'Receive piece' }).tap();
  await expect(third.getByRole('alert')).toContainText('eight letters and digits');

  for (let time = 0; time < 2; time++) {
    const back = await codeFrom(phone);
    await page.goto(`${home}/take`);
    await page.getByLabel('The code').fill(back.toLowerCase());
    await page.getByRole('button', { name: 'Receive piece' }).click();
    await expect(bench.card.getByTestId('work-done')).toContainText('2 of 13');
    await expect(page).toHaveURL(/demo-kite/);
  }
  await context.close();
});

test('where other devices are not let in, that is said, and a file does it', async ({ bench, page }) => {
  await bench.open('/piece/demo-kite/at-the-hoop');
  await page.getByTestId('hand-over').click();
  await expect(page.getByRole('dialog')).toContainText('HOST=0.0.0.0 npm start');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it to a file instead' }).click();
  expect((await download).suggestedFilename()).toBe('kite.junctura.json');
});
