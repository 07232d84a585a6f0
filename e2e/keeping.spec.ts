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

test('storage that is refused is told, and nothing is lost while the page is open', async ({ bench, page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('refused', 'SecurityError');
    };
  });
  await bench.openKite('Hoop');
  await page.getByLabel('Height').fill('50 mm');
  await page.keyboard.press('Enter');
  await expect(page.getByText('does not let Junctura keep anything')).toBeVisible();
  await expect(bench.figure('Size')).toContainText('50 mm');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save to a file' }).click();
  expect((await download).suggestedFilename()).toBe('kite.junctura.json');
});

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
  await expect(bench.tally).toContainText('Not yet kept');
  await page.getByRole('link', { name: 'Junctura' }).click();
  const asked = page.getByRole('dialog', { name: 'The last changes are not kept' });
  const download = page.waitForEvent('download');
  await asked.getByRole('button', { name: 'Save it to a file' }).click();
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
    await expect(other.getByText('is off the bench')).toBeVisible();
  };
  await takeOff();
  await rename(page, 'Moth again');
  await expect(page.getByText('taken off the bench in another tab')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back as it is here' }).click();
  await bench.saved();
  await takeOff();
  await rename(page, 'Moth once more');
  await page.getByRole('button', { name: 'Let it be gone' }).click();
  await expect(page.getByRole('heading', { name: 'Begin with a drawing' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'On your bench' })).toHaveCount(0);
});

test('storage that the browser cleared, or that a later version wrote, is told in a sentence of its own', async ({
  bench,
  page,
}) => {
  await ownPiece(bench, 'Moth');
  const database = (action: 'delete' | 'later'): Promise<void> =>
    page.evaluate(
      (what) =>
        new Promise<void>((resolve, reject) => {
          const request = what === 'delete' ? indexedDB.deleteDatabase('junctura') : indexedDB.open('junctura', 99);
          request.onerror = () => reject(request.error);
          request.onsuccess = () => {
            if (request.result instanceof IDBDatabase) request.result.close();
            resolve();
          };
        }),
      action,
    );
  await database('delete');
  await rename(page, 'Moth again');
  await expect(page.getByText('the browser cleared its storage')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back as it is here' }).click();
  await bench.saved();
  await page.reload();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('Moth again');
  await database('later');
  await rename(page, 'Moth later');
  await expect(page.getByText('written by a later Junctura')).toBeVisible();
});

test('a piece that cannot be read is saved as it is, removed and put back', async ({ bench, page }) => {
  await ownPiece(bench, 'Moth');
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        indexedDB.open('junctura').onsuccess = (opened) => {
          const database = (opened.target as IDBOpenDBRequest).result;
          const pieces = database.transaction('pieces', 'readwrite').objectStore('pieces');
          pieces.getAll().onsuccess = (found) => {
            const [stored] = (found.target as IDBRequest<{ piece: { use: string } }[]>).result;
            stored!.piece.use = 'flown';
            pieces.put(stored).onsuccess = () => resolve(database.close());
          };
        };
      }),
  );
  await page.goto('/');
  const entry = page.getByRole('region', { name: 'On your bench' }).getByRole('listitem');
  await expect(entry).toContainText('wrong at use');
  const download = page.waitForEvent('download');
  await entry.getByRole('button', { name: 'Save what is stored' }).click();
  expect((await download).suggestedFilename()).toBe('moth.junctura.json');
  await entry.getByRole('button', { name: 'Remove' }).click();
  await expect(entry).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(entry).toContainText('wrong at use');
});

test('five files at once: each is on the bench, or it is said why not', async ({ bench, page }) => {
  await bench.open();
  const files = await page.evaluateHandle(
    (texts) => {
      const transfer = new DataTransfer();
      for (const [name, text] of texts) transfer.items.add(new File([text!], name!));
      return transfer;
    },
    [
      ['moth.svg', svg('<rect x="5" y="5" width="20" height="9"/>')],
      ['snail.svg', svg('<circle cx="20" cy="20" r="9"/>')],
      ['torn.svg', svg('<g>')],
      ['list.txt', 'to do'],
      ['fern.svg', svg('<path d="M5 5L30 40" stroke="#040" fill="none"/>')],
    ],
  );
  await page.locator('body').dispatchEvent('drop', { dataTransfer: files });
  await expect(page.getByText('3 pieces put on the bench')).toBeVisible();
  for (const name of ['moth', 'snail', 'fern'])
    await expect(page.getByRole('button', { name: new RegExp(`^${name}`) })).toBeVisible();
  const alert = page.getByRole('alert');
  await expect(alert).toContainText(/torn.svg: .*not sound XML/);
  await expect(alert).toContainText('list.txt: this is neither an SVG drawing nor a Junctura piece');
});

test('what is set in two tabs is merged', async ({ bench, page, context }) => {
  await bench.open();
  const other = await context.newPage();
  await other.goto('/');
  const kept = (): Promise<Record<string, unknown>> =>
    page.evaluate(() => JSON.parse(localStorage.getItem('junctura-settings') ?? '{}') as Record<string, unknown>);
  for (const [tab, setting] of [
    [page, 'inches'],
    [other, 'Lamp-light'],
  ] as const) {
    await tab.getByRole('button', { name: 'Settings' }).click();
    await tab.getByText(setting, { exact: true }).click();
    await tab.keyboard.press('Escape');
  }
  expect(await kept()).toMatchObject({ units: 'inch', theme: 'lamp' });
});

test('the whole bench goes into one file and comes back: put together, in its place, and undone', async ({
  bench,
  page,
}) => {
  const names = page.getByRole('region', { name: 'On your bench' }).locator('strong');
  await ownPiece(bench, 'moth');
  await ownPiece(bench, 'fern');
  await bench.open();
  const open = (): Promise<void> => page.getByRole('button', { name: 'Back up or restore' }).click();
  await open();
  const download = page.waitForEvent('download');
  await page.getByTestId('save-backup').click();
  const file = await (await download).path();
  await expect(page.getByRole('status')).toContainText('Saved:');
  await page.keyboard.press('Escape');
  // Since then: one is gone, one is another, one is new.
  await page.getByRole('listitem').filter({ hasText: 'moth' }).getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('button', { name: 'fern' }).click();
  await rename(page, 'fern, larger');
  await bench.saved();
  await ownPiece(bench, 'wren');
  await bench.open();
  const restore = async (way: RegExp): Promise<void> => {
    await open();
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Choose a backup…' }).click();
    await (await chooser).setFiles(file);
    const list = page.getByRole('list', { name: 'Pieces in the backup' });
    await expect(list).toContainText('fern differs from here');
    await page.getByText(way).click();
    await page.getByTestId('restore').click();
  };
  await restore(/^Put it together/);
  await expect(page.getByRole('status')).toContainText('put together');
  expect((await names.allTextContents()).sort()).toEqual(['fern, larger', 'moth', 'wren']);
  await restore(/^In place of what is here/);
  await expect(page.getByRole('status')).toContainText('2 pieces');
  expect((await names.allTextContents()).sort()).toEqual(['fern', 'moth']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(names).toHaveCount(3);
  expect((await names.allTextContents()).sort()).toEqual(['fern, larger', 'moth', 'wren']);
  await page.getByRole('button', { name: 'fern, larger' }).click();
  await expect(page.getByLabel('Name of the piece')).toHaveValue('fern, larger');
});

test('a zip file that is no backup is refused in a sentence', async ({ bench, page }) => {
  await bench.open();
  await bench.bring('holiday.zip', Buffer.from('not a zip file'));
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('not a zip file, or it is damaged');
});
