import type { Browser, BrowserContext, BrowserContextOptions, Page } from '@playwright/test';

/**
 * Browsers for one test after the other. What a person would find kept is cleared after each; the program itself, fetched and compiled, stays,
 * and so does the process that it runs in, as a page of its site is always open: starting both anew was most of what tests did.
 */
export class Profiles {
  private readonly free = new Map<string, Profile>();

  constructor(
    private readonly browser: Browser,
    private readonly site: string,
  ) {}

  /** A browser with nothing kept, as these options make it; used by nobody else until it is cleared. */
  async take(options: BrowserContextOptions): Promise<Profile> {
    const key = JSON.stringify(options);
    const known = this.free.get(key);
    this.free.delete(key);
    if (known) return known;
    const context = await this.browser.newContext(options);
    const held = await context.newPage();
    await held.goto(new URL('/healthz', this.site).href);
    return new Profile(context, held, (profile) => this.free.set(key, profile));
  }

  async close(): Promise<void> {
    for (const profile of this.free.values()) await profile.close();
  }
}

class Profile {
  constructor(
    readonly context: BrowserContext,
    /** The page that stays open, in the process that all pages of the site share. */
    private readonly held: Page,
    private readonly giveBack: (profile: Profile) => void,
  ) {}

  /** Closes what the test opened, and clears what it kept. */
  async clear(): Promise<void> {
    const [, ...opened] = this.context.pages();
    const origins = new Set(opened.map((page) => new URL(page.url()).origin));
    for (const page of opened) await page.close();
    const devtools = await this.context.newCDPSession(this.held);
    do {
      await this.settle();
      for (const origin of origins) {
        await devtools.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
      }
      await this.settle();
    } while (await this.held.evaluate(() => localStorage.length > 0));
    await devtools.detach();
    this.giveBack(this);
  }

  /**
   * Waits until the process has done what it was asked before: a page that is closed while it is busy lives on there for a moment, and would
   * answer the clearing of its settings by keeping them anew.
   */
  private async settle(): Promise<void> {
    await this.held.evaluate(() => new Promise((resolve) => setTimeout(resolve)));
  }

  async close(): Promise<void> {
    await this.context.close();
  }
}
