import type { Locator, Page } from '@playwright/test';
import { seededRandom, type Random } from '@junctura/core/measure';
import { KilledBrowser } from './killedBrowser.ts';
import { pick } from './mutate.ts';

const PIECE = 'demo-kite';
/** What was changed elsewhere than at the hoop is kept within this, ms. */
const SHOWN_KEPT_MS = 1000;

/** Something that is changed on a page, and how it is read there. */
interface Shown {
  readonly name: string;
  readonly path: string;
  readonly change: (page: Page, random: Random) => Promise<void>;
  readonly read: (page: Page) => Promise<string>;
}

const bar = async (page: Page): Promise<Locator> => {
  const field = page.getByLabel('This bar measures, against a ruler');
  if (!(await field.isVisible())) await page.getByRole('button', { name: 'Settings' }).click();
  return field;
};
const SETTINGS: Shown = {
  name: 'the settings',
  path: '/threads',
  change: async (page, random) => {
    await (await bar(page)).fill(`${80 + Math.floor(random.next() * 60)}`);
    await (await bar(page)).press('Enter');
  },
  read: async (page) => (await bar(page)).inputValue(),
};

/** The boxes of the steps of finishing, once they are there. */
async function ticks(page: Page): Promise<Locator> {
  await page.locator('aside').getByRole('button', { name: 'Steps', exact: true }).click();
  const all = page.locator('[data-test=finish-steps] [role=checkbox]');
  await all.first().waitFor();
  return all;
}

const FINISH: Shown = {
  name: 'the steps of finishing',
  path: '/piece/demo-bramble/finish',
  change: async (page, random) => {
    const steps = await ticks(page);
    await steps.nth(Math.floor(random.next() * (await steps.count()))).click();
  },
  read: async (page) => {
    const checked = await ticks(page);
    return (await checked.evaluateAll((all) => all.map((one) => one.getAttribute('aria-checked')))).join();
  },
};

const BOX: Shown = {
  name: 'the threads of the box',
  path: '/threads',
  change: async (page, random) => {
    await page.getByRole('button', { name: 'Add thread' }).first().click();
    const shades = page.locator('.shades button');
    await shades.first().waitFor();
    await shades.nth(Math.floor(random.next() * 30)).click();
  },
  read: async (page) => {
    await page.locator('[data-test=box-row]').first().waitFor();
    return (await page.locator('[data-test=box-row]').allInnerTexts())
      .map((text) => text.replace(/\s+/g, ' '))
      .join('; ');
  },
};
/** Between two edits or taps, ms: at once, while one is being saved, after that. */
const PAUSES = [0, 20, 120, 400, 1100] as const;
/** What was tapped is on disk within this, ms. */
const TAP_KEPT_MS = 100;

/**
 * Works in a real browser, kills it in the middle, opens it again, and looks whether everything is there that was shown as kept, as it was then or
 * as it was worked later. By turns it edits at the desk, taps at the hoop, changes settings, ticks off what is finished, and puts thread into the box.
 */
export class SessionsRun {
  private readonly browser = new KilledBrowser();
  private name = 'Kite';

  /** @returns what was lost, in a sentence; null: nothing */
  kill(seed: number): Promise<string | null> {
    const kinds = [
      () => this.edits(seed),
      () => this.taps(seed),
      () => this.shown(seed, SETTINGS),
      () => this.shown(seed, FINISH),
      () => this.shown(seed, BOX),
    ];
    return kinds[seed % kinds.length]!();
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

  /** Changes something once or more, and kills the browser a second after it was shown. */
  private async shown(seed: number, { name, path, change, read }: Shown): Promise<string | null> {
    const random = seededRandom(seed);
    const page = await this.browser.open(path);
    const changes = 1 + Math.floor(random.next() * 4);
    for (let i = 0; i < changes; i++) {
      await change(page, random);
      await page.waitForTimeout(pick(random, PAUSES));
    }
    const was = await read(page);
    await page.waitForTimeout(SHOWN_KEPT_MS);
    await this.browser.kill();
    const found = await read(await this.browser.open(path));
    await this.browser.shut();
    return found === was
      ? null
      : `after a kill (${seed}) ${name} are “${found}”, though “${was}” was shown a second before`;
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
