import { chromium, type Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { CHROMIUM } from './chromium.ts';
import { startServer } from './ownServer.ts';

/** Takes the pictures of the README from the demo data: `npm run screenshots`, after the application is built. */
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const server = await startServer();
const base = server.address;

async function settled(page: Page): Promise<void> {
  await page.locator('.picture[data-painted]').waitFor();
  await page.waitForTimeout(900);
}

async function takeAll(page: Page): Promise<void> {
  const shot = (name: string): Promise<Buffer> => page.screenshot({ path: `${folder}${name}.png` });
  // The first visit opens the demo.
  await page.goto(base);
  await settled(page);
  await page.waitForTimeout(2500);
  await takeHead(page);
  await page.goto(base);
  await page.waitForFunction(() => document.querySelectorAll('canvas[data-painted]').length >= 12);
  await shot('bench');
  await page.goto(`${base}/stitches/chain`);
  for (let i = 0; i < 14; i++) await page.getByRole('button', { name: 'Back one step' }).click();
  await page.waitForTimeout(500);
  await shot('stitch-book');
  await takeIntake(page, shot);
  for (const step of ['drawing', 'transfer']) {
    await page.goto(`${base}/piece/demo-kite/${step}`);
    await settled(page);
    await shot(step);
  }
  await takeThreads(page, shot);
  await takeFinish(page, shot);
  await page.goto(`${base}/piece/demo-rock-pool/order`);
  await page.locator('canvas[data-place]').waitFor();
  await page.getByRole('button', { name: /^27 / }).first().click();
  await page.locator('canvas[data-place="26"]').waitFor();
  await shot('order');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.clock.setFixedTime(new Date('2026-11-01T15:00:00'));
  await page.goto(`${base}/hoop/demo-rock-pool`);
  await page.locator('[data-test=begin]').click();
  // The demo is a third worked already.
  const canvas = page.locator('canvas[data-place]');
  await canvas.waitFor();
  const worked = Number(await canvas.getAttribute('data-place'));
  for (let i = 0; i < 3; i++) {
    const before = await page.locator('[data-test=done]').innerText();
    await page.locator('[data-test=done]').click();
    await page.waitForFunction(
      (was) => document.querySelector<HTMLElement>('[data-test=done]')?.innerText !== was,
      before,
    );
  }
  await page.locator(`canvas[data-place="${worked + 3}"]`).waitFor();
  await shot('at-the-hoop');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${base}/piece/demo-rock-pool/stitches`);
  await settled(page);
  await page.getByRole('complementary').getByRole('button', { name: 'Star arm 1' }).click();
  await settled(page);
  await shot('stitches');
  await page.keyboard.press('Escape');
  await page.mouse.move(600, 320);
  for (let i = 0; i < 4; i++) await page.mouse.wheel(0, -400);
  await page.waitForTimeout(1800);
  await shot('stitches-close');
  await page.evaluate(() =>
    localStorage.setItem('junctura-settings', JSON.stringify({ theme: 'lamp', welcomed: true, changes: 1000 })),
  );
  await page.reload();
  await settled(page);
  await page.keyboard.press('t');
  await page.waitForTimeout(1500);
  await shot('back-by-lamp-light');
}

/** Front, back and close to, side by side, for the head of the README. */
async function takeHead(page: Page): Promise<void> {
  await page.goto(`${base}/piece/demo-rock-pool/stitches`);
  await settled(page);
  await page.addStyleTag({ content: '.tools, .scale, .side-note, .first { display: none !important; }' });
  const view = (await page.locator('.hoop-view').boundingBox())!;
  const side = Math.min(view.width, view.height);
  const clip = { x: view.x + (view.width - side) / 2, y: view.y + (view.height - side) / 2, width: side, height: side };
  const take = async (): Promise<string> => (await page.screenshot({ clip })).toString('base64');
  const front = await take();
  await page.keyboard.press('t');
  await page.waitForTimeout(2500);
  const back = await take();
  await page.keyboard.press('t');
  await page.mouse.move(clip.x + side * 0.42, clip.y + side * 0.42);
  for (let i = 0; i < 3; i++) await page.mouse.wheel(0, -400);
  await page.waitForTimeout(2500);
  const close = await take();
  const whole = await browser.newPage({ viewport: { width: 1500, height: 500 } });
  const images = [front, back, close].map((image) => `<img src="data:image/png;base64,${image}" alt="">`).join('');
  await whole.setContent(
    `<style>body{margin:0;display:grid;grid-template-columns:repeat(3,500px);background:#eae2d2}img{width:500px;height:500px}</style>${images}`,
  );
  await whole.waitForTimeout(400);
  await whole.screenshot({ path: `${folder}rock-pool.png` });
  await whole.close();
}

/** Pictures of the finished thing. */
async function takeFinish(page: Page, shot: (name: string) => Promise<Buffer>): Promise<void> {
  for (const [piece, name] of [
    ['demo-tram', 'finish-patch'],
    ['demo-seed-head', 'finish-cloth'],
  ] as const) {
    await page.goto(`${base}/piece/${piece}/finish`);
    await page.locator('.picture[data-show=finished][data-painted]').waitFor();
    await page.locator('[data-test=finish-materials]').waitFor();
    await page.waitForTimeout(1200);
    await shot(name);
  }
}

/** Pictures of colours, thread and the thread box. */
async function takeThreads(page: Page, shot: (name: string) => Promise<Buffer>): Promise<void> {
  await page.goto(`${base}/threads`);
  await page.getByRole('button', { name: 'Add examples' }).click();
  await page.locator('[data-test=box-row]').nth(3).waitFor();
  await page.waitForTimeout(1500);
  await page.goto(`${base}/piece/demo-rock-pool/colours`);
  await settled(page);
  await page.locator('.colour').nth(8).click();
  await settled(page);
  await page
    .locator('.colour')
    .nth(8)
    .evaluate((row) => row.scrollIntoView());
  await page.waitForTimeout(500);
  await shot('colours');
  await page.goto(`${base}/piece/demo-rock-pool/thread`);
  await settled(page);
  await page.getByRole('button', { name: 'Will it be enough?' }).click();
  const amber = page.locator('[data-test=reach] > li', { hasText: 'Pale amber' });
  await amber.getByRole('button', { name: 'What helps' }).click();
  await page.locator('[data-test=savings] .offer').first().waitFor();
  await shot('thread');
  await page.goto(`${base}/threads`);
  await page.locator('[data-test=box-row]').nth(3).click();
  await page.waitForTimeout(600);
  await shot('thread-box');
}

/** Pictures of the ways in, of hoops and of transfer. */
async function takeIntake(page: Page, shot: (name: string) => Promise<Buffer>): Promise<void> {
  await page.goto(`${base}/begin/motif`);
  await page.getByRole('button', { name: 'Robin' }).click();
  await page.getByRole('heading', { name: 'Four questions' }).waitFor();
  await page.locator('[data-test=your-box]').getByRole('button', { name: 'Red', exact: true }).click();
  await page.getByLabel('Ready by').fill(new Date(Date.now() + 8 * 86_400_000).toISOString().slice(0, 10));
  await page.locator('[data-test=version-within]').waitFor();
  await page.locator('[data-test=version-rich]').waitFor({ timeout: 60_000 });
  await page.locator('[data-test=versions]').evaluate((section) => section.scrollIntoView());
  await page.waitForTimeout(1500);
  await shot('begin');
  await page.locator('[data-test=your-box]').getByRole('button', { name: 'Red', exact: true }).click();
  await page.waitForTimeout(1500);
  await page.goto(base);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: /^Choose a file/ }).click();
  await (await chooser).setFiles(await photograph(page));
  await page.getByRole('button', { name: /^Use (this|these)/, disabled: false }).waitFor();
  await page.getByText(/parts in \d+ colours/).waitFor();
  await page.waitForTimeout(800);
  await shot('picture');
  await page.goto(`${base}/piece/demo-cat/stitches`);
  await settled(page);
  await page.getByRole('complementary').getByRole('button', { name: 'Cat', exact: false }).first().click();
  await page.locator('[data-test=paint]').click();
  await page.getByRole('list', { name: 'Its shades' }).waitFor();
  await page.getByText('Saved in this browser').waitFor();
  await page.getByText('Half', { exact: true }).click();
  await page.waitForTimeout(6000);
  await settled(page);
  await shot('harbour-cat');
  await page.goto(`${base}/light-table/demo-rock-pool`);
  await page.locator('[data-part]').first().waitFor();
  await page.waitForTimeout(600);
  await shot('light-table');
}

/** A photographed page, painted in the browser: a jug of flowers on cream paper. */
async function photograph(page: Page): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const address = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 680];
    const brush = canvas.getContext('2d')!;
    for (const [colour, path] of [
      ['#efe7d6', 'M0 0H900V680H0Z'],
      ['#6d8f8a', 'M360 400C330 480 340 600 390 620H520C570 600 580 480 545 400Z'],
      ['#54736f', 'M545 440C630 430 630 560 552 560L556 530C595 530 595 465 545 468Z'],
      [
        '#4c6a3c',
        'M440 410C420 300 360 260 300 250L300 262C350 275 405 320 424 410ZM470 410C480 300 500 240 560 190L568 200C515 250 495 320 486 410Z',
      ],
      [
        '#7f9a54',
        'M395 330C330 340 290 320 270 280C330 270 380 290 395 330ZM500 300C560 320 610 310 640 275C590 250 530 260 500 300Z',
      ],
    ] as const) {
      brush.fillStyle = colour;
      brush.fill(new Path2D(path));
    }
    for (const [x, y, r, petal, heart] of [
      [285, 200, 62, '#b8443f', '#e2b23f'],
      [590, 150, 70, '#d98a3a', '#7a3b2a'],
      [450, 250, 54, '#8d5a86', '#e8d9a0'],
    ] as const) {
      for (let i = 0; i < 7; i++) {
        brush.save();
        brush.translate(x, y);
        brush.rotate((i * 2 * Math.PI) / 7);
        brush.fillStyle = petal;
        brush.fill(
          new Path2D(
            `M0 0C${-r * 0.5} ${-r * 0.4} ${-r * 0.4} ${-r} 0 ${-r}C${r * 0.4} ${-r} ${r * 0.5} ${-r * 0.4} 0 0Z`,
          ),
        );
        brush.restore();
      }
      brush.fillStyle = heart;
      brush.beginPath();
      brush.arc(x, y, r * 0.26, 0, 7);
      brush.fill();
    }
    return canvas.toDataURL('image/jpeg', 0.9);
  });
  return { name: 'jug-of-flowers.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(address.split(',')[1]!, 'base64') };
}

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(CHROMIUM);
try {
  await takeAll(await browser.newPage({ viewport: { width: 1280, height: 800 } }));
} finally {
  await browser.close();
  await server.stop();
}
