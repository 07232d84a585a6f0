import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { seededRandom, type Random } from '@junctura/core/measure';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { createApp } from '../../server/src/app.ts';
import { pick } from './mutate.ts';

const PIECE = 'demo-kite';
/** Between two edits, ms: at once, while one is being saved, after that. */
const PAUSES = [0, 20, 120, 400, 1100] as const;

/**
 * Edits a piece in a real browser, kills the browser in the middle, opens it again, and looks whether everything is there that was shown as
 * kept, as it was then or as it was edited later.
 */
export class SessionsRun {
  private readonly profile = mkdtempSync(join(tmpdir(), 'junctura-fuzz-'));
  private readonly server = createApp({ dist: resolve('web/dist') }).listen(0);
  private last = 'Kite';

  async kill(seed: number): Promise<string | null> {
    const random = seededRandom(seed);
    const browser = await this.begin();
    const page = await this.open(browser);
    const before = await nameOf(page);
    if (!before.startsWith(this.last)) {
      await browser.close();
      return `after a kill (${seed}) the name is “${before}”, though “${this.last}” was shown as kept`;
    }
    let kept = before;
    const edits = 1 + Math.floor(random.next() * 8);
    for (let i = 0; i < edits; i++) {
      await edit(page, random, `${this.last.split(' ')[0]} ${seed}.${i}`);
      await page.waitForTimeout(pick(random, PAUSES));
      // In one look, so that both are of the same moment.
      kept = await page.evaluate((was) => {
        const isKept = document.querySelector('.saved')?.textContent?.includes('Kept in this browser');
        return isKept ? (document.querySelector<HTMLInputElement>('input.name')?.value ?? was) : was;
      }, kept);
    }
    await killed(browser);
    const again = await this.begin();
    const found = await nameOf(await this.open(again));
    await again.close();
    // Of this session, which edit; of an earlier one, none.
    const order = (name: string): number => (name.includes(` ${seed}.`) ? Number(name.split('.')[1]) : -1);
    this.last = found;
    if (found === kept || order(found) > order(kept)) return null;
    return `after a kill (${seed}) the name is “${found}”, though “${kept}” was shown as kept`;
  }

  async close(): Promise<void> {
    await new Promise((resolve) => this.server.close(resolve));
    rmSync(this.profile, { recursive: true, force: true });
  }

  private begin(): Promise<BrowserContext> {
    return chromium.launchPersistentContext(this.profile, CHROMIUM);
  }

  private async open(context: BrowserContext): Promise<Page> {
    const page = context.pages()[0] ?? (await context.newPage());
    const { port } = this.server.address() as AddressInfo;
    await page.goto(`http://localhost:${port}/piece/${PIECE}/hoop`);
    await page.locator('.tally dl').waitFor();
    return page;
  }
}

function nameOf(page: Page): Promise<string> {
  return page.getByLabel('Name of the piece').inputValue();
}

async function edit(page: Page, random: Random, name: string): Promise<void> {
  if (random.next() < 0.3) await page.getByLabel('Height').fill(`${40 + Math.floor(random.next() * 30)} mm`);
  await page.getByLabel('Name of the piece').fill(name);
}

/** Kills the browser's processes, with no word to the page. */
async function killed(context: BrowserContext): Promise<void> {
  const session = await context.browser()?.newBrowserCDPSession();
  const { processInfo } = ((await session?.send('SystemInfo.getProcessInfo')) ?? { processInfo: [] }) as {
    processInfo: { type: string; id: number }[];
  };
  for (const { id } of processInfo) {
    try {
      process.kill(id, 'SIGKILL');
    } catch {
      // It ended with the one before.
    }
  }
  await context.close().catch(() => undefined);
}
