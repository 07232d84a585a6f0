import { chromium, type Page } from '@playwright/test';
import { writePiece, type Piece } from '@junctura/core/piece';
import { build } from 'esbuild';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { createApp } from '../../server/src/app.ts';
import { median } from './median.ts';

const ROUNDS = 7;
/** Two frames pass before anything that was changed can be seen, ms. */
const FRAMES_MS = 2 * (1000 / 60);
const WANTED = 1.5;

/** From an edit of one part to the repainted picture, against what planning and painting alone take in the same page. Build the application first. */
export async function benchEditing(pieces: readonly { piece: Piece; part: string }[]): Promise<string[]> {
  const bundle = await build({
    entryPoints: ['bench/src/editingInPage.ts'],
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
  });
  const server = createApp({ dist: resolve('web/dist') }).listen(0);
  const { port } = server.address() as AddressInfo;
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const lines: string[] = [];
  for (const { piece, part } of pieces) {
    const context = await browser.newContext({ bypassCSP: true, viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const name = await openPart(page, `http://localhost:${port}/`, piece, part);
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i++) times.push(await editOnce(page, i % 2 === 0 ? '1' : '2'));
    await page.addScriptTag({ content: bundle.outputFiles[0]!.text });
    const { planMs, paintMs } = await page.evaluate(
      ([given, id]) => {
        const { width, height } = document.querySelector<HTMLCanvasElement>('canvas.picture')!;
        type Least = (piece: unknown, part: unknown, size: object) => { planMs: number; paintMs: number };
        return (window as unknown as { leastTimes: Least }).leastTimes(given, id, { width, height });
      },
      [piece, part] as const,
    );
    const took = median(times);
    const ratio = took / (planMs + paintMs + FRAMES_MS);
    lines.push(
      `one edit of ${name} to the repainted picture / planning, painting and two frames (wanted ${WANTED}): ${ratio.toFixed(2)} (${took.toFixed(0)} ms; plan ${planMs.toFixed(0)}, paint ${paintMs.toFixed(0)})`,
    );
    await context.close();
  }
  await browser.close();
  server.close();
  return lines;
}

async function openPart(page: Page, address: string, piece: Piece, part: string): Promise<string> {
  await page.goto(address);
  await page.locator('.picture[data-painted]').waitFor();
  await page.goto(address);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a drawing, picture or piece' }).click();
  const buffer = Buffer.from(writePiece({ ...piece, id: `bench-${piece.id}` }));
  await (await chooser).setFiles({ name: 'piece.junctura.json', mimeType: 'application/json', buffer });
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Stitches' }).click();
  await page.locator('.picture[data-painted]').waitFor();
  const name = piece.drawing.parts.find(({ id }) => id === part)!.name;
  await page.getByRole('complementary').getByRole('button', { name }).first().click();
  await page.getByLabel('Strands', { exact: true }).first().waitFor();
  return piece.name;
}

/** Changes the strands and waits until the picture has been painted anew, ms. */
function editOnce(page: Page, strands: string): Promise<number> {
  return page.evaluate(
    (value) =>
      new Promise<number>((done) => {
        const canvas = document.querySelector<HTMLElement>('.picture[data-painted]')!;
        const label = [...document.querySelectorAll('label')].find(
          (candidate) =>
            candidate.firstChild?.textContent?.trim() === 'Strands' ||
            candidate.textContent?.trim().startsWith('Strands'),
        )!;
        const select = (label.querySelector('select') ??
          document.getElementById(label.getAttribute('for') ?? '')) as HTMLSelectElement;
        const began = performance.now();
        const watch = new MutationObserver(() => {
          watch.disconnect();
          done(performance.now() - began);
        });
        watch.observe(canvas, { attributes: true, attributeFilter: ['data-painted'] });
        const option = [...select.options].find(({ text }) => text.trim() === value)!;
        select.value = option.value;
        select.dispatchEvent(new Event('change', { bubbles: true }));
      }),
    strands,
  );
}
