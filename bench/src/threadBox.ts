import { chromium } from '@playwright/test';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { startServer } from '../../e2e/ownServer.ts';

const ENTRIES = 5000;
/** A frame that takes longer than this is felt, ms. */
const FELT_MS = 50;

/** Notes how long every frame takes, in the page. A text: functions with names do not survive the way there. */
const WATCH_FRAMES = `
  window.frames_ = [];
  let last = performance.now();
  requestAnimationFrame(function tick(now) {
    window.frames_.push(now - last);
    last = now;
    requestAnimationFrame(tick);
  });
`;

/** A thread box of five thousand entries in the built application: its slowest frame while it is scrolled and filtered. */
export async function benchThreadBox(): Promise<string[]> {
  const server = await startServer();
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${server.address}/threads`);
    await page.getByRole('button', { name: 'Add examples' }).click();
    const rows = Array.from(
      { length: ENTRIES },
      (_, i) => `Shade ${i},n${i},#${(i * 3343 + 4096).toString(16).padStart(6, '0').slice(-6)},1,tin ${i % 40}`,
    );
    await page.getByRole('button', { name: 'File' }).click();
    const chooser = page.waitForEvent('filechooser');
    await page.getByText('Import a list or shade card').click();
    await (
      await chooser
    ).setFiles({
      name: 'many.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`name,code,hex,skeins,place\n${rows.join('\n')}\n`),
    });
    await page.getByText(/entries added to your box/).waitFor();
    await page.waitForTimeout(1500);
    await page.evaluate(WATCH_FRAMES);
    await page.locator('[data-test=box-rows]').hover();
    for (let i = 0; i < 20; i++) {
      await page.mouse.wheel(0, 4000);
      await page.waitForTimeout(30);
    }
    await page.getByLabel('Search the thread box').pressSequentially('tin 17', { delay: 120 });
    await page.waitForTimeout(300);
    const frames = await page.evaluate<number[]>('window.frames_');
    const slowest = Math.max(...frames);
    return [
      `the slowest frame of a thread box of ${ENTRIES} entries, scrolled and filtered / ${FELT_MS} ms: ${(slowest / FELT_MS).toFixed(2)}`,
    ];
  } finally {
    await browser.close();
    await server.stop();
  }
}
