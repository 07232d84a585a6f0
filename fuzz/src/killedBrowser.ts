import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../../e2e/chromium.ts';
import { startServer } from '../../e2e/ownServer.ts';

/** A real browser with a profile on disk, opened again after each kill; and the server of the built application. */
export class KilledBrowser {
  private readonly profile = mkdtempSync(join(tmpdir(), 'junctura-fuzz-'));
  private readonly server = startServer();
  private context: BrowserContext | null = null;

  /** Opens the application at a path. */
  async open(path: string): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.profile, CHROMIUM);
    const page = this.context.pages()[0] ?? (await this.context.newPage());
    await page.goto((await this.server).address + path);
    return page;
  }

  /** Kills its processes, with no word to the page. */
  async kill(): Promise<void> {
    const session = await this.context?.browser()?.newBrowserCDPSession();
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
    await this.shut();
  }

  /** Closes it as a person does. */
  async shut(): Promise<void> {
    await this.context?.close().catch(() => undefined);
    this.context = null;
  }

  async end(): Promise<void> {
    await this.shut();
    await (await this.server).stop();
    rmSync(this.profile, { recursive: true, force: true });
  }
}
