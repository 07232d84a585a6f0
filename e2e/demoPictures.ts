import { chromium } from '@playwright/test';
import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { CHROMIUM } from './chromium.ts';
import { paintedDemos } from './paintedDemos.ts';
import { paintMotifs } from './motifPictures.ts';
import { startServer } from './ownServer.ts';

/** The little pictures of the demo pieces, painted by the application itself: `npm run demo-pictures`, after it is built. */
const folder = fileURLToPath(new URL('../demo/pictures/', import.meta.url));
mkdirSync(folder, { recursive: true });
const server = await startServer();
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, deviceScaleFactor: 2 });
  await page.goto(`${server.address}/manifest.webmanifest`);
  await page.evaluate(() => localStorage.setItem('junctura-settings', JSON.stringify({ welcomed: true })));
  for (const { file, picture } of await paintedDemos(page, server.address)) writeFileSync(folder + file, picture);
} finally {
  await browser.close();
  await server.stop();
}
await paintMotifs();
