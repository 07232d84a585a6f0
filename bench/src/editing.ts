import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writePiece, type Piece } from '@junctura/core/piece';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { startServer } from '../../e2e/ownServer.ts';
import type { EditParts } from './editingInPage.ts';
import { scriptOf } from './inPage.ts';
import { median } from './median.ts';

const EDITS = 9;
/** A picture that does not change for so long is the last one of an edit, ms. */
const QUIET_MS = 1200;

/** Lines for the bench: one edit, from its event until the picture is painted anew, against its parts alone in the same page. The application is built first. */
export async function benchEditing(pieces: readonly Piece[]): Promise<string[]> {
  const server = await startServer();
  const browser = await chromium.launch(CHROMIUM);
  const lines: string[] = [];
  for (const piece of pieces) {
    const part = piece.drawing.parts.find(({ kind, passes }) => kind === 'area' && passes !== null)!;
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      reducedMotion: 'reduce',
      bypassCSP: true,
    });
    const page = await context.newPage();
    await open(page, server.address, piece, part.name);
    const editMs = await edits(page);
    await page.addScriptTag({ content: await scriptOf('editingInPage.ts') });
    const { planMs, paintMs, frameMs } = await page.evaluate(
      ([given, id]) =>
        (window as unknown as { editParts(piece: Piece, id: string): Promise<EditParts> }).editParts(given, id),
      [piece, part.id] as const,
    );
    await context.close();
    const parts = planMs + paintMs + 2 * frameMs;
    lines.push(
      `an edit of ${piece.name} to its picture painted anew / planning it again, painting it and two frames: ${(editMs / parts).toFixed(2)} (${editMs.toFixed(0)} and ${planMs.toFixed(0)} + ${paintMs.toFixed(0)} + ${(2 * frameMs).toFixed(0)} ms)`,
    );
  }
  await browser.close();
  await server.stop();
  return lines;
}

async function open(page: Page, address: string, piece: Piece, part: string): Promise<void> {
  const path = join(await mkdtemp(join(tmpdir(), 'junctura-bench-')), 'piece.junctura.json');
  await writeFile(path, writePiece(piece));
  await page.addInitScript(() => localStorage.setItem('junctura-settings', JSON.stringify({ welcomed: true })));
  await page.goto(address);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  await (await chooser).setFiles(path);
  await page
    .getByRole('navigation', { name: 'Steps' })
    .getByRole('link', { name: /Stitches/ })
    .click();
  await page.locator('.picture[data-painted]').waitFor();
  await page.getByRole('complementary').getByRole('button', { name: part, exact: false }).first().click();
  await page.getByLabel('Strands', { exact: true }).first().waitFor();
}

/** From the change of a control to the last picture that it brings, ms, in the middle. */
async function edits(page: Page): Promise<number> {
  const times = await page.evaluate(
    async ([count, quietMs]) => {
      const picture = document.querySelector('canvas.picture')!;
      let last = 0;
      new MutationObserver(() => (last = performance.now())).observe(picture, { attributeFilter: ['data-painted'] });
      const wait = (ms: number): Promise<unknown> => new Promise((next) => setTimeout(next, ms));
      const quiet = async (begun: number): Promise<void> => {
        while (last < begun || performance.now() - last < quietMs!) await wait(50);
      };
      const all: number[] = [];
      for (let i = 0; i < count!; i++) {
        const select = [...document.querySelectorAll('label')].find((label) => label.innerText.trim() === 'Strands')!
          .control as HTMLSelectElement;
        const others = [...select.options].filter(({ index }) => index < 3 && index !== select.selectedIndex);
        const begun = performance.now();
        select.selectedIndex = others[i % others.length]!.index;
        select.dispatchEvent(new Event('change', { bubbles: true }));
        await quiet(begun);
        all.push(last - begun);
      }
      return all;
    },
    [EDITS, QUIET_MS],
  );
  return median(times);
}
