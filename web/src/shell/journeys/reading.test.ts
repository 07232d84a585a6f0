import { expect, it } from 'vitest';
import { Application } from '../../testing/application.ts';

it('the first visit opens on Rock Pool with the three doors and three things to try, and on the bench from then on', async () => {
  let app = await Application.at('/', { isFirstVisit: true });
  expect(app.router.currentRoute.value.path).toBe('/piece/demo-rock-pool/stitches');
  await app.settle();
  expect(app.figure('Parts')).toBe('73');
  await app.says('[data-test=doors]', 'A name or a word');
  await app.says('body', 'Three things to try');
  await app.goTo('Thread');
  await app.press('I’ll look around');
  await app.saysNot('body', 'Three things to try');
  await app.go('/');
  app = await app.reload();
  await app.find('h2', 'body', 'Demo pieces to explore');
});

it('the stitch book is opened at the stitch of a part, searched, and says what a stitch takes', async () => {
  const app = await Application.at('/piece/demo-kite/stitches');
  await app.pick('Tail');
  await app.press('How it is worked');
  await app.find('h2', 'body', 'Stem stitch');
  await app.type('Search the stitches', 'soft shading');
  await app.counts('nav[aria-label=Stitches] a', 1);
  await app.press('Long-and-short stitch');
  await app.says('.facts', '10 cm² takes');
  const one = app.all('.facts dd')[0]!.textContent;
  await app.choose('Strands', '3');
  await app.until(() => expect(app.all('.facts dd')[0]!.textContent).not.toBe(one));
  await app.type('Search the stitches', 'whatever');
  await app.says('body', 'No stitch has that name');
  await app.type('Search the stitches', 'long and short');
  await app.says('nav[aria-label=Stitches]', 'Long-and-short stitch');
});

it('lessons in handling are found by search, and linked where one needs them', async () => {
  const app = await Application.at('/stitches');
  await app.type('Search the stitches', 'unpick');
  const found = await app.find('a', '[data-test=found-lessons]', /unpicking/i);
  expect(found.getAttribute('href')).toMatch(/handling#unpicking$/);
  await app.go('/stitches/handling');
  await app.counts('[data-test=lesson]', 16);
  await app.type('Search the lessons', 'waste knot');
  await app.until(() => expect(app.all('[data-test=lesson]')[0]!.textContent).toContain('snip the knot off'));
  await app.type('Search the lessons', 'zebra');
  await app.says('[role=status]', 'No lesson has that name');
  await app.go('/hoop/demo-kite');
  await app.find('a', '[data-test=first-lessons]', 'threading');
});

it('the working drawing goes step by step, says what the needle does, and mirrors for the left hand', async () => {
  const app = await Application.at('/stitches/whipped-back');
  const drawing = '[aria-label^="Stitch drawing"]';
  (await app.find(drawing)).focus();
  const seen = new Set<string>();
  for (let i = 0; i < 60; i++) {
    await app.key('ArrowRight');
    seen.add(app.text(`${drawing} .word`));
  }
  expect(seen).toContain('The needle comes up.');
  expect(seen).toContain('The needle goes down.');
  expect(seen).toContain('The needle slides under a stitch, not through the cloth.');
  const left = async (): Promise<number> => parseFloat((await app.find('.needle', drawing)).style.left);
  const forTheRight = await left();
  await app.choose('For the', 'left hand', drawing);
  expect((await left()) + forTheRight).toBeCloseTo(100, 1);
  await app.press('Knots at true size');
  // One to six strands, under a heading; in one thread or another, each with its needle.
  await app.counts('tr', 7);
  const inCotton = app.all('[data-test=knot-needle]')[0]!.textContent;
  await app.choose('Thread', 'Tapestry wool');
  await app.counts('tr', 2);
  expect(app.all('[data-test=knot-needle]')[0]!.textContent).not.toBe(inCotton);
});

it('a working drawing says what a knot needs, and plays to its end', async () => {
  const app = await Application.at('/stitches/french');
  const drawing = await app.find('[aria-label^="Stitch drawing"]');
  drawing.focus();
  await app.key('ArrowRight');
  await app.says('.drawing', 'The needle comes up.');
  await app.key('ArrowRight');
  await app.says('.drawing', 'The thread is wound round the needle.');
  await app.press('Play');
  await app.find('button', 'body', 'Pause');
  await app.find('button', 'body', 'Play');
});
