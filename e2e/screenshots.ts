import { chromium, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Takes the pictures of the README from the demo data: `npm run screenshots`, after the application is built. */
const PORT = 4181;
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const base = `http://localhost:${PORT}`;

async function settled(page: Page): Promise<void> {
  await page.locator('.picture[data-painted]').waitFor();
  await page.waitForTimeout(900);
}

async function takeAll(page: Page): Promise<void> {
  const shot = (name: string): Promise<Buffer> => page.screenshot({ path: `${folder}${name}.png` });
  await page.goto(base);
  await settled(page);
  await page.waitForTimeout(2500);
  await shot('rock-pool');
  await page.goto(base);
  await page.locator('canvas[data-painted]').first().waitFor();
  await page.waitForTimeout(600);
  await shot('bench');
  await page.goto(`${base}/stitches/chain`);
  await page.getByRole('button', { name: 'All of it' }).click();
  for (let i = 0; i < 14; i++) await page.getByRole('button', { name: 'Back a step' }).click();
  await page.waitForTimeout(500);
  await shot('stitch-book');
  await page.goto(`${base}/stitches/compare`);
  await page.locator('[data-test=compared]').first().waitFor();
  await page.waitForTimeout(600);
  await shot('compare');
  await page.goto(`${base}/stitches/practice`);
  await page.waitForTimeout(400);
  await shot('practice');
  for (const step of ['drawing', 'hoop', 'thread', 'transfer']) {
    await page.goto(`${base}/piece/demo-kite/${step}`);
    await settled(page);
    await shot(step);
  }
  await page.goto(`${base}/piece/demo-kite/colours`);
  await settled(page);
  await page.locator('.colour').first().click();
  await settled(page);
  await shot('colours');
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
    localStorage.setItem('junctura-settings', JSON.stringify({ theme: 'lamp', welcomed: true })),
  );
  await page.reload();
  await settled(page);
  await page.keyboard.press('t');
  await page.waitForTimeout(1500);
  await shot('back-by-lamp-light');
}

mkdirSync(folder, { recursive: true });
const server = spawn('npx', ['tsx', 'server/src/main.ts'], {
  cwd: fileURLToPath(new URL('..', import.meta.url)),
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
  detached: true,
});
await new Promise<void>((ready) => server.stdout.once('data', () => ready()));
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
try {
  await takeAll(await browser.newPage({ viewport: { width: 1280, height: 800 } }));
} finally {
  await browser.close();
  process.kill(-server.pid!);
}
