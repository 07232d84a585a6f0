import type { Page } from '@playwright/test';
import { seededRandom, type Random } from '@junctura/core/measure';
import { KilledBrowser } from './killedBrowser.ts';
import { pick } from './mutate.ts';

const PIECE = 'demo-kite';
/** Between two edits or taps, ms: at once, while one is being saved, after that. */
const PAUSES = [0, 20, 120, 400, 1100] as const;
/** What was tapped is on disk within this, ms. */
const TAP_KEPT_MS = 100;

/**
 * Works in a real browser, kills it in the middle, opens it again, and looks whether everything is there that was shown as kept, as it was then or
 * as it was worked later. By turns it edits at the desk and taps at the hoop.
 */
export class SessionsRun {
  private readonly browser = new KilledBrowser();
  private name = 'Kite';

  /** @returns what was lost, in a sentence; null: nothing */
  kill(seed: number): Promise<string | null> {
    return seed % 2 === 0 ? this.edits(seed) : this.taps(seed);
  }

  close(): Promise<void> {
    return this.browser.end();
  }

  private async edits(seed: number): Promise<string | null> {
    const random = seededRandom(seed);
    const page = await this.desk();
    const before = await nameOf(page);
    if (!before.startsWith(this.name)) {
      await this.browser.shut();
      return `after a kill (${seed}) the name is “${before}”, though “${this.name}” was shown as kept`;
    }
    let kept = before;
    const edits = 1 + Math.floor(random.next() * 8);
    for (let i = 0; i < edits; i++) {
      await edit(page, random, `${this.name.split(' ')[0]} ${seed}.${i}`);
      await page.waitForTimeout(pick(random, PAUSES));
      // In one look, so that both are of the same moment.
      kept = await page.evaluate((was) => {
        const isKept = document.querySelector('.saved')?.textContent?.includes('Saved in this browser');
        return isKept ? (document.querySelector<HTMLInputElement>('input.name')?.value ?? was) : was;
      }, kept);
    }
    await this.browser.kill();
    const found = await nameOf(await this.desk());
    await this.browser.shut();
    // Of this session, which edit; of an earlier one, none.
    const order = (name: string): number => (name.includes(` ${seed}.`) ? Number(name.split('.')[1]) : -1);
    this.name = found;
    if (found === kept || order(found) > order(kept)) return null;
    return `after a kill (${seed}) the name is “${found}”, though “${kept}” was shown as kept`;
  }

  private async taps(seed: number): Promise<string | null> {
    const random = seededRandom(seed);
    const page = await this.browser.open(`/hoop/${PIECE}`);
    await page.locator('[data-test=begin], [data-test=done]').first().waitFor();
    if (await page.locator('[data-test=begin]').isVisible()) await page.locator('[data-test=begin]').click();
    /** Where the work stood, and since when. */
    const seen = [{ step: await stepOf(page), at: Date.now() }];
    const taps = 1 + Math.floor(random.next() * 8);
    for (let i = 0; i < taps; i++) {
      const { step } = seen.at(-1)!;
      // Neither before the first step nor past the last.
      const goesBack = step > 14 || (step > 2 && random.next() < 0.25);
      await page.locator(`[data-test=${goesBack ? 'back' : 'done'}]`).click();
      const next = step + (goesBack ? -1 : 1);
      await page.locator('[data-test=done]').getByText(`${next} of `).waitFor();
      seen.push({ step: next, at: Date.now() });
      await page.waitForTimeout(pick(random, PAUSES));
    }
    const killedAt = Date.now();
    await this.browser.kill();
    const again = await this.browser.open(`/hoop/${PIECE}`);
    const found = await stepOf(again);
    await this.browser.shut();
    const kept = seen.findLastIndex(({ at }) => killedAt - at > TAP_KEPT_MS);
    const possible = seen.slice(Math.max(0, kept)).map(({ step }) => step);
    if (possible.includes(found)) return null;
    return `after a kill (${seed}) the work stands at step ${found}, though ${possible.join(', ')} had been tapped`;
  }

  private async desk(): Promise<Page> {
    const page = await this.browser.open(`/piece/${PIECE}/hoop`);
    await page.locator('.tally dl').waitFor();
    return page;
  }
}

/** The number of the step that is to be worked. */
async function stepOf(page: Page): Promise<number> {
  const text = await page.locator('[data-test=done]').innerText();
  return Number(/(\d+) of \d+/.exec(text)![1]);
}

function nameOf(page: Page): Promise<string> {
  return page.getByLabel('Name of the piece').inputValue();
}

async function edit(page: Page, random: Random, name: string): Promise<void> {
  if (random.next() < 0.3) await page.getByLabel('Height').fill(`${40 + Math.floor(random.next() * 30)} mm`);
  await page.getByLabel('Name of the piece').fill(name);
}
