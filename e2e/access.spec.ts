import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { expect, test } from './bench.ts';

interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly nodes: readonly { readonly target: unknown; readonly failureSummary: string }[];
  }[];
}

const axeSource = readFile(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

// The checker is run inside the page, which the content policy would forbid.
test.use({ bypassCSP: true });

for (const theme of ['light', 'lamp'] as const) {
  test(`every step meets WCAG 2.2 AA as far as a checker can tell, by ${theme}`, async ({ bench, page }) => {
    await page.addInitScript(
      (name) => localStorage.setItem('junctura-settings', JSON.stringify({ theme: name, welcomed: true })),
      theme,
    );
    const check = async (where: string): Promise<void> => {
      await page.evaluate(await axeSource);
      const { violations } = await page.evaluate(() =>
        (window as unknown as { axe: { run(options: object): Promise<AxeResult> } }).axe.run({
          runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
        }),
      );
      const found = violations.flatMap(({ id, nodes }) =>
        nodes.map(({ target, failureSummary }) => `${id} ${String(target)} ${failureSummary.split('\n')[1]}`),
      );
      expect(found, where).toEqual([]);
    };
    await bench.open();
    await expect(page.locator('canvas[data-painted]')).toHaveCount(4);
    await check('bench');
    await page.goto('/stitches/couching');
    await expect(page.getByRole('heading', { name: 'Couching' })).toBeVisible();
    await check('the stitch book');
    for (const chapter of ['compare', 'knots', 'practice']) {
      await page.goto(`/stitches/${chapter}`);
      await page.waitForTimeout(400);
      await check(chapter);
    }
    await page.goto('/');
    await page.getByRole('button', { name: /^Night tram/ }).click();
    for (const step of ['Drawing', 'Hoop', 'Stitches', 'Colours', 'Thread', 'Transfer']) {
      await bench.goTo(step);
      await page.waitForTimeout(300);
      await check(step);
    }
    await bench.goTo('Stitches');
    await bench.pick('Moon');
    await page.getByRole('button', { name: 'Another shade…' }).click();
    await check('a part');
    await page.keyboard.press('Escape');
    await page.keyboard.press('f');
    await expect(bench.card.getByRole('heading', { name: 'Findings' })).toBeVisible();
    await check('findings');
    await bench.openPart('demo-rock-pool', 'Star arm 1');
    await page.getByTestId('move-vein').first().click();
    await check('a part in layers, with the pen out');
  });
}
