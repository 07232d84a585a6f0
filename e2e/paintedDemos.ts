import type { Page } from '@playwright/test';

/** The demo pieces as the bench shows them, each by the name of its file; `pixels` is their side. */
export interface DemoPicture {
  readonly file: string;
  readonly picture: Buffer;
}

/** How well the pictures are kept, 0–1. */
const QUALITY = 0.86;

/** All little pictures of a bench that has nothing but the demo, as they stand there. */
export async function shownDemos(page: Page, address: string): Promise<DemoPicture[]> {
  await page.goto(address);
  await page.waitForFunction(() => document.querySelectorAll('canvas[data-painted]').length >= 12);
  const shown = await page.locator('.piece').evaluateAll(
    (pieces, quality) =>
      pieces.map((piece) => ({
        name: piece.querySelector('strong')!.textContent!,
        url: piece.querySelector('canvas')!.toDataURL('image/webp', quality),
      })),
    QUALITY,
  );
  return shown.map(({ name, url }) => ({
    file: `${name.toLowerCase().replaceAll(' ', '-')}.webp`,
    picture: Buffer.from(url.split(',')[1]!, 'base64'),
  }));
}

/** The same, planned and painted anew: the pictures that came with the demo are not to be had. */
export async function paintedDemos(page: Page, address: string): Promise<DemoPicture[]> {
  await page.route('**/*.webp', (route) => route.fulfill({ body: '', contentType: 'image/webp' }));
  return shownDemos(page, address);
}
