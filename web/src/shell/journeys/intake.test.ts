import { expect, it } from 'vitest';
import { Application, CARD, TALLY } from '../../testing/application.ts';
import { svg } from '../../testing/drawings.ts';

const many = (count: number, text: string): string => text.repeat(count);
const rect = '<rect width="5" height="5"/>';

const BAD: [name: string, file: string, text: string, message: RegExp][] = [
  ['empty', 'a.svg', '', /empty/],
  ['malformed', 'a.svg', svg('<g>'), /Line 1 is not valid XML/],
  ['of 50 MB', 'a.svg', svg(many(1, ' '.repeat(50_000_000))), /too large \(50 MB\)/],
  ['of 200,000 nodes', 'a.svg', svg(many(200_000, '<g/>')), /more than 60,000 elements/],
  ['nested 10,000 deep', 'a.svg', svg(many(10_000, '<g>') + many(10_000, '</g>')), /nested more than 200 deep/],
  ['with entities', 'a.svg', `<!DOCTYPE svg [<!ENTITY a "b">]>${svg(rect)}`, /defines entities/],
  ['with a script', 'a.svg', svg('<script>document.title="gone"</script>'), /contains a script/],
  ['with an event', 'a.svg', svg('<rect onload="x()" width="5" height="5"/>'), /event attribute/],
  [
    'that fetches',
    'a.svg',
    svg('<image href="http://example.invalid/a.png"/>'),
    /refers to something outside the file/,
  ],
  ['with NaN', 'a.svg', svg('<path d="M0 0LNaN 4L4 4Z"/>'), /not a number/],
  ['with huge coordinates', 'a.svg', svg('<path d="M0 0L1e20 4L4 4Z"/>'), /more than a kilometre away/],
  ['without a size', 'a.svg', svg(rect, 'viewBox="0 0 0 0"'), /no size/],
  ['cut short', 'a.junctura.json', '{"format": "junctura-piece", "ver', /stops at line 1/],
  ['of a later version', 'a.junctura.json', '{"format": "junctura-piece", "version": 99}', /later version of Junctura/],
  [
    'with a wrong type',
    'a.junctura.json',
    '{"format": "junctura-piece", "version": 1, "id": 5}',
    /damaged, so it was not opened/,
  ],
  ['of another kind', 'a.gif', '\u0089PNG', /neither an SVG drawing nor a Junctura piece/],
];

it('a bad file gets one clear sentence, and the open piece is untouched', async () => {
  const app = await Application.at('/');
  await app.openDrawing('mine.svg', svg(rect), 'Hoop');
  await app.type('Height', '50 mm');
  await app.kept();
  await app.press('Junctura');
  for (const [name, file, text, message] of BAD) {
    await app.bring(file, text);
    await app.says('[role=alert]', message);
    expect(app.text('[role=alert]'), name).toContain(file);
    await app.press('Close this message');
  }
  expect(document.title).not.toBe('gone');
  await app.press(/^mine/);
  await app.until(() => expect(app.figure('Size')).toContain('50 mm'));
});

it('five files at once: each is on the bench, or it is said why not', async () => {
  const app = await Application.at('/');
  await app.drop([
    new File([svg('<rect x="5" y="5" width="20" height="9"/>')], 'moth.svg'),
    new File([svg('<circle cx="20" cy="20" r="9"/>')], 'snail.svg'),
    new File([svg('<g>')], 'torn.svg'),
    new File(['to do'], 'list.txt'),
    new File([svg('<path d="M5 5L30 40" stroke="#040" fill="none"/>')], 'fern.svg'),
  ]);
  await app.says('[role=status]', '3 pieces added to your bench');
  for (const name of ['moth', 'snail', 'fern']) await app.says('[aria-label="On your bench"]', name);
  const alert = app.text('[role=alert]');
  expect(alert).toMatch(/torn.svg: .*not valid XML/);
  expect(alert).toContain('list.txt: this is neither an SVG drawing nor a Junctura piece');
});

it('a drawing that is pasted opens at its own size, in the smallest hoop that holds it', async () => {
  const app = await Application.at('/');
  const pasted = new DataTransfer();
  pasted.setData('text/plain', svg('<circle cx="30" cy="30" r="12" fill="#a33"/>'));
  document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: pasted }));
  await app.until(() => expect(app.router.currentRoute.value.fullPath).toMatch(/^\/piece\/.*\/drawing/));
  await app.settle();
  expect(app.figure('Size')).toContain('24 mm × 24 mm');
  await app.goTo('Hoop');
  expect((await app.find('[data-test=keep-size]')).textContent).toContain('Keep this size');
  expect((await app.field('Hoop', CARD)).value).toBe('100');
});

it('a drawing that was changed elsewhere keeps what was chosen', async () => {
  const flower = (more: string): string =>
    svg(
      `<circle id="heart" cx="30" cy="30" r="9" fill="#b12f40"/><path id="stalk" d="M30 39V58" stroke="#48632f"/>${more}`,
    );
  const app = await Application.at('/');
  await app.openDrawing('flower.svg', flower(''), 'Stitches');
  await app.pick('heart');
  await app.choose('Stitch', 'Split stitch filling', CARD);
  await app.says(TALLY, 'Use split stitch filling');
  const changed = new File([flower('<circle id="bud" cx="50" cy="10" r="4"/>')], 'flower.svg');
  await app.hand(changed, () => app.menu('Update the drawing from a changed file…'));
  await app.says('body', '2 parts kept their stitches');
  await app.until(() => expect(app.figure('Parts')).toBe('3'));
  await app.says(CARD, 'Split stitch filling');
});

it('what lies behind is cut away or kept; parts are moved, renamed and removed', async () => {
  const app = await Application.at('/');
  await app.openDrawing(
    'behind.svg',
    svg(
      '<rect id="back" width="20" height="20" fill="#a33"/><rect id="front" x="10" width="20" height="20" fill="#36a"/>',
    ),
  );
  await app.says(CARD, '200 mm²');
  await app.press('Stitch hidden areas too');
  await app.saysNot(CARD, '200 mm²');
  await app.undo();
  await app.press(/^back/, CARD);
  await app.says(CARD, 'lies behind other parts');
  await app.press('Bring forward');
  await app.saysNot(CARD, 'lies behind other parts');
  await app.type('Name', 'Near square', CARD);
  await app.press(/All parts/, CARD);
  await app.says(CARD, 'Near square');
  await app.press(/^front/, CARD, { shiftKey: true });
  await app.press('Edit it', CARD);
  await app.press('Remove', CARD);
  await app.until(() => expect(app.figure('Parts')).toBe('1'));
});

it('petals and lettering are drawn by rule on empty cloth', async () => {
  const app = await Application.at('/');
  await app.press('Start on empty cloth');
  await app.until(() => expect(app.figure('Parts')).toBe('0'));
  await app.press('Petals, letters, borders…');
  await app.type('Petals', '6');
  await app.press('Add 9 parts');
  await app.until(() => expect(app.figure('Parts')).toBe('9'));
  await app.press(/All parts/, CARD);
  await app.says(CARD, 'one of 6 in a group');

  await app.press('Petals, letters, borders…');
  await app.choose('Shape', 'Lettering', CARD);
  await app.type('Text', 'Tide ☃');
  await app.says(`${CARD} [role=alert]`, 'no “☃”');
  await app.type('Text', 'Tide');
  await app.type('Height of capitals', '2.5 mm');
  await app.says(`${CARD} [role=alert]`, 'these letters need to be');
  await app.type('Height of capitals', '12 mm');
  await app.choose('Alphabet', 'Brush letters', CARD);
  await app.type('From centre, down', '40 mm');
  await app.press('Add 4 parts');
  await app.until(() => expect(app.figure('Parts')).toBe('13'));
});

it('parts are left out, locked and put in order; a drawing goes out and comes back', async () => {
  const app = await Application.at('/piece/demo-kite/drawing');
  const stitches = app.figure('Stitches');
  await app.press(/^Top left panel/, CARD);
  await app.press('Leave out');
  await app.until(() => expect(app.figure('Stitches')).not.toBe(stitches));
  await app.press('Show again');
  await app.until(() => expect(app.figure('Stitches')).toBe(stitches));
  await app.press('Lock');
  await app.says(CARD, 'It is locked');
  // A name that is emptied stays.
  await app.type('Name', '', CARD);
  await app.press(/All parts/, CARD);
  await app.says(CARD, /Top left panel.*locked/);

  const drawing = await app.savedBy(() => app.menu('Drawing as SVG, with its parts and stitches'));
  expect(drawing.name).toBe('kite.svg');
  await app.press('Junctura');
  await app.openDrawing('kite.svg', await drawing.content.text());
  expect(app.figure('Stitches')).toBe(stitches);
  expect((await app.field('Name of the piece')).value).toBe('Kite');
});

it('a piece that is taken off the bench can be put back, a changed demo begun again', async () => {
  const app = await Application.at('/');
  await app.openDrawing('mine.svg', svg(rect));
  await app.kept();
  await app.press('Junctura');
  const bench = '[aria-label="On your bench"]';
  await app.says(bench, 'mine');
  await app.press(/^Remove/, bench);
  await app.saysNot('body', /mine.svg|On your bench/);
  await app.press('Restore it');
  await app.says(bench, 'mine');
  await app.press(/^Kite/);
  await app.settle();
  await app.goTo('Hoop');
  await app.press('Mirror');
  await app.kept();
  await app.press('Junctura');
  await app.says('body', 'Changed by you');
  await app.press('Reset to the original');
  await app.saysNot('body', 'Changed by you');
});

it('a drawing that comes in is tidied, each rule is taken back alone, and all of it is undone by one press', async () => {
  const app = await Application.at('/');
  const untidy =
    '<path d="M5 5H25V25H5Z" fill="#c33" stroke="#c33" stroke-width="2"/><path d="M30 5H40V15H30Z M45 5H55V15H45Z" fill="#239"/>';
  await app.bring('untidy.svg', svg(untidy));
  await app.says(
    '[data-test=tidy]',
    'Tidied: 1 path split into islands · 1 stroke joined to the area of its own colour.',
  );
  await app.until(() => expect(app.opened.piece.drawing.parts).toHaveLength(3));
  await app.press('See each');
  await app.press('1 path split into islands');
  await app.until(() => expect(app.opened.piece.drawing.parts).toHaveLength(2));
  await app.says('[data-test=tidy]', 'Tidied: 1 stroke joined to the area of its own colour.');
  await app.press(/^Undo/);
  await app.until(() => expect(app.opened.piece.drawing.parts).toHaveLength(3));
  await app.says('[data-test=tidy]', 'can be tidied');
  expect(app.opened.piece.drawing.parts.map(({ kind }) => kind)).toEqual(['area', 'line', 'area']);
  await app.press('Tidy the drawing');
  await app.says('[data-test=tidy]', 'Tidied:');
});
