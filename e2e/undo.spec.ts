import { expect, svg, test } from './bench.ts';

const TWO = svg(
  '<rect id="first" width="24" height="24" fill="#b12f44"/><path id="second" d="M30 30h24v24h-24z" fill="#305676"/>',
);

/** Every step, and the views that it has beside its first. */
const VIEWS: readonly (readonly [step: string, views: readonly string[]])[] = [
  ['Drawing', []],
  ['Hoop', []],
  ['Stitches', []],
  ['Colours', []],
  ['Thread', ['Will it reach?', 'How you work']],
  ['Transfer', []],
  ['Order', ['Ways to work', 'Days', 'Guide']],
  ['At the hoop', ['On the needle', 'What was used', 'What was noted']],
  ['Finish', ['Steps', 'Price and label']],
];

test('on every step a part and a shade go and come back at once, while the plan of before is still shown', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.bring('two.svg', TWO);
  await bench.goTo('Stitches');
  await bench.pick('First');
  await page.getByRole('button', { name: 'Another shade…' }).click();
  await page.getByLabel('Search the shade card').fill('gorse');
  await page.getByRole('button', { name: 'Plain gorse go-55' }).click();
  await expect(bench.tally).toContainText('Work in plain gorse');
  await bench.card.getByRole('button', { name: 'All parts' }).click();
  await bench.goTo('Drawing');
  await bench.card.getByRole('button', { name: 'Second' }).first().click();
  await bench.card.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(bench.figure('Parts')).toHaveText('1');
  const [undo, redo] = ['Undo', 'Do again'].map((name) => page.getByRole('button', { name, exact: true }));
  const goAndComeBack = async (): Promise<void> => {
    for (const [button, parts] of [
      [undo, 2],
      [redo, 1],
    ] as const) {
      // Both at once: the second is undone before the first is planned.
      await button!.click();
      await button!.click();
      await expect(bench.figure('Parts')).toHaveText(String(parts));
    }
  };
  for (const [step, views] of VIEWS) {
    await bench.goTo(step);
    await goAndComeBack();
    for (const view of views) {
      await bench.card.getByRole('button', { name: view, exact: true }).click();
      await goAndComeBack();
    }
  }
});
