import { expect, it } from 'vitest';
import { Application, CARD, TALLY } from '../../testing/application.ts';
import { svg } from '../../testing/drawings.ts';

const FLOWER = svg(
  '<g fill="#b12f40">' +
    [0, 72, 144, 216, 288]
      .map((turn) => `<ellipse id="petal-${turn}" cx="30" cy="16" rx="4" ry="9" transform="rotate(${turn} 30 30)"/>`)
      .join('') +
    '</g><circle id="heart" cx="30" cy="30" r="1.8" fill="#e9c46a"/><path id="stalk" d="M30 34C28 44 33 50 30 58" fill="none" stroke="#48632f" stroke-width="0.8"/>',
);

/** How many parts of the list say this. */
function saying(app: Application, text: string): number {
  return app.all(`${CARD} li`).filter((one) => one.textContent.includes(text)).length;
}

it('a drawing becomes parts that can be worked, given to a group, and undone', async () => {
  const app = await Application.at('/');
  await app.openDrawing('flower.svg', FLOWER);
  expect(app.figure('Parts')).toBe('7');
  await app.says(CARD, 'one of 5 in a group');
  await app.goTo('Stitches');
  await app.pick('petal-72');
  await app.says(CARD, 'towards the centre of the flower');
  const before = app.figure('Thread');

  await app.choose('Stitch', 'Split stitch filling', CARD);
  await app.says(TALLY, /Use split stitch filling: .*[+−]\d/);
  await app.press(/All parts/, CARD);
  await app.until(() => expect(saying(app, 'Split stitch filling')).toBe(5));

  await app.pick('petal-0');
  await app.click('[data-test=for-all]');
  await app.choose('Strands', '4', CARD);
  await app.type('Stitch length', '2.5', CARD);
  await app.press(/All parts/, CARD);
  await app.until(() => expect(saying(app, 'Split stitch filling, 4 strands')).toBe(1));

  for (let i = 0; i < 3; i++) await app.undo();
  expect(saying(app, 'Satin stitch')).toBe(6);
  expect(app.figure('Thread')).toBe(before);
  expect((await app.find('[aria-label=Undo]')).matches(':disabled')).toBe(true);
  await app.press('Redo');
  await app.until(() => expect(saying(app, 'Split stitch filling')).toBe(5));
});

it('one of a group differs on purpose, and follows again', async () => {
  const app = await Application.at('/piece/demo-rock-pool/stitches');
  await app.pick('Tentacle 3');
  await app.click('[data-test=differs]');
  await app.says(CARD, 'You chose something different for this one');
  await app.press(/All parts/, CARD);
  await app.pick('Tentacle 5');
  await app.choose('Strands', '3', CARD);
  await app.press(/All parts/, CARD);
  await app.until(() => expect(saying(app, 'Bullion knot, 3 strands')).toBe(14));
  expect(saying(app, 'Bullion knot, 2 strands')).toBe(1);
  await app.pick('Tentacle 3');
  await app.click('[data-test=differs]');
  await app.saysNot(CARD, 'something different');
});

it('layers are added where they are worked, moved, coloured and removed, and are there when the piece is opened again', async () => {
  let app = await Application.at('/piece/demo-kite/stitches');
  await app.pick('Top left panel');
  const names = (): string[] => app.all(`${CARD} .name strong`).map((name) => name.textContent);
  expect(names()).toHaveLength(1);
  for (const layer of ['Padding underneath', 'Firm edge', 'Outline', 'Vein', 'Single highlights']) {
    await app.click('[data-test=add-layer]');
    await app.press(new RegExp(`^${layer}`));
    await app.says(TALLY, `Add: ${layer}`);
  }
  await app.until(() => expect(names()).toEqual(['Highlights', 'Vein', 'Outline', 'Filling', 'Firm edge', 'Padding']));

  await app.click('[data-test=layer-outline]');
  await app.choose('Colour of this layer', 'Wet slate', CARD);
  await app.says(TALLY, 'Change a layer’s colour');
  await app.planned();
  const thread = app.figure('Thread');
  const removals = app.all(`${CARD} [aria-label="Remove this layer"]`);
  await app.click(removals[5]!);
  await app.until(() => expect(names()).toHaveLength(5));
  await app.until(() => expect(app.figure('Thread')).not.toBe(thread));
  await app.click(app.all(`${CARD} [aria-label="Work this layer earlier"]`)[1]!);
  await app.until(() => expect(names()[2]).toBe('Vein'));
  await app.kept();
  const order = names();
  app = await app.reload();
  await app.pick('Top left panel');
  expect(names()).toEqual(order);
});

it('an outline runs on one side and is set in from the edge, each by an edit of its own', async () => {
  const app = await Application.at('/');
  await app.openDrawing('disc.svg', svg('<circle id="Disc" cx="20" cy="20" r="18" fill="#a33"/>'), 'Stitches');
  await app.pick('Disc');
  await app.click('[data-test=add-layer]');
  await app.press(/^Outline, over the edge/);
  await app.says(TALLY, 'Add: Outline');
  await app.click('[data-test=layer-outline]');
  await app.planned();
  const count = (): number => Number(app.figure('Stitches').replace(',', ''));
  const whole = count();
  await app.choose('Outline runs', 'on the shaded side', CARD);
  await app.says(TALLY, 'Change where the outline goes');
  await app.until(() => expect(count()).toBeLessThan(whole));
  await app.type('Inset from the edge', '3', CARD);
  await app.says(TALLY, 'Inset the outline');
});

it('an area is worked in several shades of one family, each with a thread of its own', async () => {
  const app = await Application.at('/piece/demo-kite/stitches');
  await app.pick('Top right panel');
  await app.choose('Stitch', 'Long-and-short stitch', CARD);
  const shades = (): string[] =>
    app
      .all(`${CARD} select`)
      .filter((list) =>
        /^Shade \d/.test(list.getAttribute('aria-label') ?? (list as HTMLSelectElement).labels[0]?.textContent ?? ''),
      )
      .map((list) => (list as HTMLSelectElement).selectedOptions[0]!.text);
  for (const count of [2, 3]) {
    await app.click('[data-test=add-shade]');
    await app.until(() => expect(shades()).toHaveLength(count));
  }
  expect(new Set(shades()).size).toBe(3);
  // Each goes on from the last: of one family, no stranger of the piece.
  expect(shades().map((name) => /\((\w+)-\d+\)/.exec(name)?.[1])).toEqual(['sl', 'sl', 'sl']);
  await app.press('Remove shade 3');
  await app.press('Remove shade 2');
  await app.until(() => expect(shades()).toHaveLength(0));
});

it('a line is turned round, or only marked; several parts are worked at once', async () => {
  const app = await Application.at('/piece/demo-kite/stitches');
  await app.press(/^Crossbar/, CARD, { ctrlKey: true });
  await app.press(/^Spar/, CARD, { ctrlKey: true });
  await app.press('Edit them');
  await app.find('h2', CARD, '2 parts');
  await app.choose('Stitch', 'Couching', CARD);
  await app.press(/All parts/, CARD);
  await app.until(() => expect(saying(app, 'Couching')).toBe(2));
  await app.pick('Tail');
  const line = (): string => JSON.stringify(app.opened.piece.drawing.parts.find(({ name }) => name === 'Tail')!);
  const before = line();
  await app.click('[data-test=turn-round]');
  await app.says(TALLY, 'Reverse');
  expect(line()).not.toBe(before);
  const stitches = app.figure('Stitches');
  await app.choose('This line is', 'fold along it', CARD);
  await app.until(() => expect(app.figure('Stitches')).not.toBe(stitches));
  await app.press(/All parts/, CARD);
  await app.says(CARD, 'folding line');
  await app.key('z', { ctrlKey: true });
  await app.until(() => expect(app.figure('Stitches')).toBe(stitches));
});

it('findings say what is wrong, are mended in one action, or accepted with a word why', async () => {
  let app = await Application.at('/piece/demo-bramble/stitches');
  const count = (): number => Number(/\d+/.exec(app.text(`${TALLY} .findings`))![0]);
  const before = count();
  await app.key('f');
  await app.says(CARD, 'so they merge');
  await app.press(/away$/, CARD);
  await app.says(TALLY, /fewer to check/);
  const left = count();
  expect(left).toBeLessThan(before);
  await app.press('Leave it as it is', CARD);
  await app.type('Why it is fine', 'it stays on a wall', CARD);
  await app.press('Leave it as it is', `${CARD} .row:has(input)`);
  await app.until(() => expect(count()).toBe(left - 1));
  await app.kept();
  app = await app.reload();
  expect(count()).toBe(left - 1);
});

it('by keys: what they do, the step, the findings, the back; in inches and by lamp-light', async () => {
  const app = await Application.at('/piece/demo-kite/stitches');
  await app.key('?');
  await app.says('body', 'turn the hoop over');
  await app.press('Close', '[role=dialog]');
  await app.key('5', { altKey: true });
  await app.find('h2', CARD, 'Thread and hours');
  await app.key('f');
  await app.find('h2', CARD, 'Things to check');
  await app.key('t');
  await app.says('body', 'The back, as you see it');
  await app.press('Settings');
  await app.press('inches');
  await app.press('Lamplight');
  await app.until(() => expect(app.figure('Thread')).toMatch(/ yd$/));
  expect(document.documentElement.dataset['theme']).toBe('lamp');
});

it('the light at the hoop is its own: the desk keeps its light, and the hoop finds its own again', async () => {
  const app = await Application.at('/hoop/demo-kite');
  const theme = (): string | undefined => document.documentElement.dataset['theme'];
  await app.find('[data-test=begin-sheet]');
  const [usual, other] = theme() === 'light' ? ['light', 'lamp'] : ['lamp', 'light'];
  await app.press(other === 'lamp' ? 'Lamplight' : 'Daylight');
  expect(theme()).toBe(other);
  await app.go('/piece/demo-kite/stitches');
  await app.settle();
  expect(theme()).toBe('light');
  await app.go('/hoop/demo-kite');
  await app.find('[data-test=begin-sheet]');
  expect(theme()).toBe(other);
  await app.press(usual === 'lamp' ? 'Lamplight' : 'Daylight');
  expect(theme()).toBe(usual);
});
