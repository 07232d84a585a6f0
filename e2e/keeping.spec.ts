import { expect, svg, test, type Bench } from './bench.ts';
import type { Page } from '@playwright/test';

test.use({ isUnused: true });

async function rename(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name of the piece').fill(name);
}

/** A piece of one's own with a name. */
async function ownPiece(bench: Bench, name: string): Promise<void> {
  await bench.open();
  await bench.bring(`${name}.svg`, svg('<rect x="5" y="5" width="20" height="9"/>'));
  await expect(bench.page.getByLabel('Name of the piece')).toHaveValue(name);
  await bench.saved();
}

test('a full disk is told, whoever leaves is held, and it is kept when there is room', async ({
  bench,
  page,
  context,
  baseURL,
}) => {
  const devtools = await context.newCDPSession(page);
  const origin = baseURL!;
  // Before anything is stored: the browser remembers for a while that there was room.
  await devtools.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 1 });
  await bench.open();
  await bench.bring('moth.svg', svg('<rect x="5" y="5" width="20" height="9"/>'));
  await rename(page, 'Moth by lamp');
  await expect(page.getByText('storage is full')).toBeVisible();
  await expect(bench.tally).toContainText('Not saved yet');
  await page.getByRole('link', { name: 'Junctura' }).click();
  const asked = page.getByRole('dialog', { name: 'Your last changes are not saved' });
  const download = page.waitForEvent('download');
  await asked.getByRole('button', { name: 'Save to a file' }).click();
  expect((await download).suggestedFilename()).toBe('moth-by-lamp.junctura.json');
  await asked.getByRole('button', { name: 'Stay here' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Moth by lamp');
  await devtools.send('Storage.overrideQuotaForOrigin', { origin });
  await page.getByRole('button', { name: 'Try again' }).click();
  await bench.saved();
  await expect(page.getByText('storage is full')).toHaveCount(0);
  await page.getByRole('link', { name: 'Junctura' }).click();
  await expect(page.getByRole('button', { name: 'Moth by lamp' })).toBeVisible();
});

test('a piece that another tab took off the bench is put back, or let be gone', async ({ bench, page, context }) => {
  await ownPiece(bench, 'Moth');
  const other = await context.newPage();
  const takeOff = async (): Promise<void> => {
    await other.goto('/');
    await other.getByRole('listitem').filter({ hasText: 'Moth' }).getByRole('button', { name: 'Remove' }).click();
    await expect(other.getByText('was removed.')).toBeVisible();
  };
  await takeOff();
  await rename(page, 'Moth again');
  await expect(page.getByText('removed in another tab')).toBeVisible();
  await page.getByRole('button', { name: 'Restore it from this tab' }).click();
  await bench.saved();
  await takeOff();
  await rename(page, 'Moth once more');
  await page.getByRole('button', { name: 'Let it go' }).click();
  await expect(page.getByRole('heading', { name: 'Begin a piece' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'On your bench' })).toHaveCount(0);
});

test('storage that the browser cleared is told in a sentence of its own, and filled again', async ({ bench, page }) => {
  await ownPiece(bench, 'Moth');
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.deleteDatabase('junctura');
        request.onerror = () => reject(request.error);
        request.onsuccess = () => resolve();
      }),
  );
  await rename(page, 'Moth again');
  await expect(page.getByText('the browser cleared its storage')).toBeVisible();
  await page.getByRole('button', { name: 'Restore it from this tab' }).click();
  await bench.saved();
  await page.reload();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Moth again');
});

test('what is set in two tabs is merged', async ({ bench, page, context }) => {
  await bench.open();
  const other = await context.newPage();
  await other.goto('/');
  const kept = (): Promise<Record<string, unknown>> =>
    page.evaluate(() => JSON.parse(localStorage.getItem('junctura-settings') ?? '{}') as Record<string, unknown>);
  for (const [tab, setting] of [
    [page, 'inches'],
    [other, 'Lamplight'],
  ] as const) {
    await tab.getByRole('button', { name: 'Settings' }).click();
    await tab.getByText(setting, { exact: true }).click();
    await tab.keyboard.press('Escape');
  }
  expect(await kept()).toMatchObject({ units: 'inch', theme: 'lamp' });
});
