import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { Profiles } from './profiles.ts';

/** The bench as a person uses it. Every test also fails on errors in the page and on breaches of the content policy. */
export class Bench {
  constructor(readonly page: Page) {}

  async open(path = '/'): Promise<void> {
    await this.page.goto(path);
    // The page is there before what answers on it: its settings are read first.
    await this.page.locator('#app > *').first().waitFor();
  }

  async openKite(step = 'Stitches'): Promise<void> {
    await this.open(`/piece/demo-kite/${step.toLowerCase()}`);
    await expect(this.tally).toContainText('Stitches');
  }

  async openPart(piece: string, part: string): Promise<void> {
    await this.open(`/piece/${piece}/stitches`);
    await expect(this.page.locator('.picture[data-painted]')).toBeVisible();
    await this.pick(part);
  }

  /** Draws a stroke over a part in the hoop, through places given as shares of its box. */
  async drawOver(part: string, places: readonly (readonly [x: number, y: number])[]): Promise<void> {
    const box = (await this.page.locator(`path[data-part="${part}"]`).boundingBox())!;
    const at = ([x, y]: readonly [number, number]): [number, number] => [box.x + x * box.width, box.y + y * box.height];
    await this.page.mouse.move(...at(places[0]!));
    await this.page.mouse.down();
    for (const place of places.slice(1)) await this.page.mouse.move(...at(place), { steps: 6 });
    await this.page.mouse.up();
  }

  async goTo(step: string): Promise<void> {
    const name = new RegExp(`^(\\d+ )?${step}\\b`);
    await this.page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name }).click();
    await expect(this.tally).toContainText('Stitches');
  }

  /** Brings in the text of a file through the file chooser. */
  async bring(name: string, text: string | Buffer): Promise<void> {
    // From the disk, as people do it: a large file is not carried through the test's own connection.
    const folder = await mkdtemp(join(tmpdir(), 'junctura-'));
    const path = join(folder, basename(name));
    await writeFile(path, text);
    const chooser = this.page.waitForEvent('filechooser');
    await this.page.getByRole('button', { name: 'Choose a file' }).click();
    await (await chooser).setFiles(path);
  }

  get tally(): Locator {
    return this.page.getByRole('contentinfo', { name: 'Tally' });
  }

  get card(): Locator {
    return this.page.getByRole('complementary');
  }

  /** A figure of the tally by its name. */
  figure(name: string): Locator {
    return this.tally.locator('dl > div', { hasText: name }).locator('dd');
  }

  /** Picks a part from the list on the card. */
  async pick(name: string): Promise<void> {
    await this.card.getByRole('button', { name }).first().click();
    await expect(this.card.getByRole('heading', { name, level: 2 })).toBeVisible();
  }

  /** Chooses from a list by its label. */
  async choose(list: string, option: string | RegExp): Promise<void> {
    const select = this.card.getByLabel(list, { exact: true });
    const label = await select.locator('option', { hasText: option }).first().textContent();
    await select.selectOption({ label: label!.trim() });
  }

  async saved(): Promise<void> {
    await expect(this.tally).toContainText('Saved in this browser');
  }
}

interface Fixtures {
  bench: Bench;
  isFirstVisit: boolean;
  /** Whether the test is given a browser that was never used: it changes what clearing its data does not bring back. */
  isUnused: boolean;
}

export const test = base.extend<Fixtures, { profiles: Profiles }>({
  isFirstVisit: [false, { option: true }],
  isUnused: [false, { option: true }],
  profiles: [
    async ({ browser }, use, { project }) => {
      const profiles = new Profiles(browser, project.use.baseURL!);
      await use(profiles);
      await profiles.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ profiles, isUnused, viewport, hasTouch, bypassCSP, serviceWorkers, locale }, use) => {
    const profile = await profiles.take({ viewport, hasTouch, bypassCSP, serviceWorkers, locale: locale ?? 'en-US' });
    await use(profile.context);
    await (isUnused ? profile.close() : profile.clear());
  },
  bench: async ({ page, isFirstVisit }, use, testInfo) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(String(error)));
    page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
    await page.addInitScript(() => {
      addEventListener('securitypolicyviolation', (event) => console.error(`policy: ${event.violatedDirective}`));
    });
    if (!isFirstVisit) {
      await page.addInitScript(() => {
        const kept = localStorage.getItem('junctura-settings');
        if (kept === null) localStorage.setItem('junctura-settings', JSON.stringify({ welcomed: true }));
      });
    }
    await use(new Bench(page));
    if (testInfo.status !== testInfo.expectedStatus) console.log(await whereItStood(page));
    expect(faults).toEqual([]);
  },
});

export { expect };
export { svg } from '../web/src/testing/drawings.ts';

/** Where a page stood when its test failed: its address, and what it shows, or that it no longer answers. */
async function whereItStood(page: Page): Promise<string> {
  const shows = page.evaluate(() => document.body.innerText.replaceAll(/\s+/g, ' ').slice(0, 600));
  const silence = new Promise<string>((resolve) => setTimeout(() => resolve('nothing: it does not answer'), 5000));
  const text = await Promise.race([shows.catch((error: unknown) => String(error)), silence]);
  return `${page.url()} shows ${text}`;
}
