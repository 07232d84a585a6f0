import { expect, it } from 'vitest';
import { Application, CARD, TALLY } from '../../testing/application.ts';
import { svg } from '../../testing/drawings.ts';

const TWO = svg(
  '<rect id="first" width="24" height="24" fill="#b12f44"/><path id="second" d="M30 30h24v24h-24z" fill="#305676"/>',
);

/** Every step, and the views that it has beside its first. */
const VIEWS: readonly (readonly [step: string, views: readonly string[]])[] = [
  ['Drawing', []],
  ['Hoop', []],
  ['Stitches', []],
  ['Colours', []],
  ['Thread', ['Will it be enough?', 'How you work']],
  ['Transfer', []],
  ['Order', ['Ways of working', 'Days', 'Guide']],
  ['At the hoop', ['On the needle', 'Thread used', 'Record']],
  ['Finish', ['Steps', 'Price and label']],
];

it('on every step a part and a shade go and come back at once, while the plan of before is still shown', async () => {
  const app = await Application.at('/');
  await app.openDrawing('two.svg', TWO, 'Stitches');
  await app.pick('First');
  await app.press('Another shade…');
  await app.type('Search the shade card', 'gorse');
  await app.press('Plain gorse go-55');
  await app.says(TALLY, 'Use Plain gorse');
  await app.press(/All parts/, CARD);
  await app.goTo('Drawing');
  await app.press(/^second/, CARD);
  await app.press('Remove', CARD);
  await app.until(() => expect(app.figure('Parts')).toBe('1'));
  const goAndComeBack = async (): Promise<void> => {
    for (const [button, parts] of [
      ['Undo', '2'],
      ['Redo', '1'],
    ] as const) {
      // Both at once: the second is undone before the first is planned.
      const pressed = await app.find(`[aria-label="${button}"]`);
      pressed.click();
      pressed.click();
      await app.until(() => expect(app.figure('Parts')).toBe(parts));
    }
  };
  for (const [step, views] of VIEWS) {
    await app.goTo(step);
    await goAndComeBack();
    for (const view of views) {
      await app.press(view, CARD);
      await goAndComeBack();
    }
  }
  expect(app.warnings).toEqual([]);
});
