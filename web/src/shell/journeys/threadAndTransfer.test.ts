import { PDFDocument } from 'pdf-lib';
import { describe, expect, it } from 'vitest';
import { Application, CARD, TALLY } from '../../testing/application.ts';

/** The application with the examples of a thread box laid in. */
async function withBox(path: string): Promise<Application> {
  const app = await Application.at('/threads');
  await app.press('Add examples');
  await app.until(async () => expect(await app.revisionOf('thread-box')).toBeGreaterThan(0));
  await app.go(path);
  return app;
}

describe('the thread box', () => {
  it('is begun with examples, searched, changed and undone, and is there after a reload', async () => {
    let app = await Application.at('/');
    await app.press('Thread box');
    await app.find('h2', 'body', 'Your thread box is empty');
    app = await withBox('/threads');
    const row = '[data-test=box-row]';
    await app.type('Search the thread box', 'am-77 d58');
    await app.counts(row, 1);
    await app.click(await app.find('button', row));
    await app.type('Left of the opened one', '2', CARD);
    await app.says(row, '2 m');
    // At once: what is not yet stored is there all the same.
    app = await app.reload();
    await app.type('Search the thread box', 'am-77 d58');
    await app.says(row, '2 m');
  });

  it('takes lists and cards in and gives them out; what makes no sense is told', async () => {
    const app = await withBox('/threads');
    const bring = (name: string, text: string): Promise<void> =>
      app.hand(new File([text], name, { type: 'text/csv' }), () => app.menu('Import a list or shade card (CSV, GPL)…'));
    await bring(
      'mine.csv',
      'name;code;hex;skeins;metres;lot\nSea glass;sg1;#7fb5a8;2;3,5;K4\nOdd;sg1;#000000;1;;K4\nBad;x;plum?;1;;\n',
    );
    // Of three rows one is new, one is put to it, and one has no colour: said before anything is added.
    await app.says('[data-test=import]', '3 rows: 1 new, 1 more of a thread that is there, and 1 left out.');
    await app.says('[data-test=import]', /Line 4.*without a colour that can be read/);
    await app.click('[data-test=add-list]');
    await app.says('body', '3 rows: 1 added to your box, 1 joined to what was there, and 1 left out.');
    await app.type('Search the thread box', 'sea glass');
    await app.says('[data-test=box-row]', '3 skeins, 3.5 m');
    await bring('harbour.csv', 'code,hex\nh1,#27496d\nh2,#c9d6df\n');
    await app.type('Search the thread box', '');
    await app.says(CARD, 'harbour');
    await bring('hers.csv', 'code,hex,Qty,Bought at\nq1,#7fb5a8,2 1/2,The fair\n');
    await app.choose('“Qty” is', 'Skeins', '[data-test=import]');
    await app.choose('“Bought at” is', 'Note', '[data-test=import]');
    await app.says('[data-test=import]', '1 row: 1 new.');
    await app.click('[data-test=add-list]');
    await app.type('Search the thread box', 'q1');
    await app.says('[data-test=box-row]', '2 skeins, 4 m');
    await app.type('Search the thread box', '');
    await bring('photo.csv', 'just words');
    await app.says('body', /photo\.csv: there are no rows/);
    expect((await app.savedBy(() => app.menu('Export as CSV'))).name).toBe('thread-box.csv');
  });
});

it('what lies in the workbasket is not asked for: its hoop is yours', async () => {
  const app = await Application.at('/threads');
  await app.press('Workbasket');
  await app.find('h2', 'body', 'Your workbasket is empty');
  await app.type('Size', '100 mm', CARD);
  await app.click('[data-test=put-in]');
  await app.says('[data-test=basket]', '10 cm, round');
  await app.until(async () => expect(await app.revisionOf('thread-box')).toBeGreaterThan(0));
  await app.go('/piece/demo-kite/thread');
  await app.press(/^Shopping list/);
  await app.says('[data-test=shopping]', 'Needles');
  expect(app.text('[data-test=shopping]')).not.toContain('Hoop');
  await app.press('Close', '[role=dialog]');
  await app.goTo('Hoop');
  expect(((await app.field('Hoop', CARD)) as unknown as HTMLSelectElement).options[1]!.text).toMatch(
    /10 cm \(you own this\)/,
  );
});

it('a shade that will not reach: what helps, with its effect; lots are not mixed by mistake', async () => {
  const app = await withBox('/piece/demo-rock-pool/thread');
  await app.press('Will it be enough?');
  const ambers = (): HTMLElement[] =>
    app.all('[data-test=reach] > li').filter(({ textContent }) => textContent.includes('Pale amber'));
  await app.says('[data-test=reach]', '80 cm of dye lot B21, 70 cm of dye lot D58');
  await app.press(/What helps/, ambers()[0]);
  await app.says('[data-test=savings]', /from the other dye lot; then the first is enough \d+ times out of 100/);
  await app.press('Apply', await app.find('.offer', '[data-test=savings]', /another dye lot/));
  await app.says(TALLY, 'Use another dye lot');
  await app.until(() => expect(ambers()).toHaveLength(2));
  await app.press('Reserve it for this piece');
  await app.says(CARD, 'reserved');
});

it('a hoop may be oval: its cloth, and by how much the warp bends a design that lies near its end', async () => {
  const app = await Application.at('/piece/demo-kite/hoop');
  await app.says('[data-test=cloth-cut]', '20.8 cm × 20.8 cm');
  await app.choose('Hoop', 'Oval, 20', CARD);
  await app.says('[data-test=cloth-cut]', '30.8 cm × 23.8 cm');
  await app.press('Fit to the hoop');
  await app.says(CARD, '10 mm free');
  await app.type('Up and down', '52 mm', CARD);
  await app.says('[data-test=warp]', '4% out of round');
  await app.says('[data-test=warp]', 'at the top and bottom');
  await app.choose('Hoop', 'Round, 15 cm', CARD);
  await app.press('Fit to the hoop');
  const right = async (): Promise<string> => (await app.field('From centre, right', CARD)).value;
  await app.until(async () => expect(await right()).toBe('0 mm'));
  (await app.find('.hoop-view')).focus();
  for (let i = 0; i < 2; i++) await app.key('ArrowRight', { shiftKey: true });
  await app.until(async () => expect(await right()).toBe('2 mm'));
});

it('what merges at this size is marked on the drawing, and mended in one action', async () => {
  const app = await Application.at('/piece/demo-bramble/drawing');
  const marks = '[data-test=detail-marks] > g';
  // Five petals, each nearly touching the next.
  await app.counts(marks, 5);
  await app.key('f');
  await app.says(CARD, 'so they merge');
  await app.press('Leave it out', CARD);
  await app.counts(marks, 3);
});

it('ways of marking come with reasons; what fades is drawn anew; film is tacked; marks come out in order', async () => {
  const app = await Application.at('/piece/demo-rock-pool/transfer');
  await app.says(CARD, 'light enough to trace through');
  await app.press('Show all transfer methods');
  await app.press(/^Water-erasable pen/, CARD);
  await app.says('[data-test=removal]', 'Do this before anything hot');
  await app.type('Sittings in a week', '1', CARD);
  await app.until(() => expect(app.all('[data-test=redraws] li').length).toBeGreaterThan(3));
  await app.press(/^Water-soluble film/, CARD);
  await app.says('[data-test=tacks]', /\d+ tacks: one in the middle/);
  expect(app.all('.tacks path').length).toBeGreaterThan(0);
  await app.press(/^Transfer pen and iron/, CARD);
  await app.says(CARD, 'Mirrored, as this method needs it');
});

it('the pattern is saved as a PDF at true size, tiled when it is larger than a page', async () => {
  const app = await Application.at('/piece/demo-kite/transfer');
  const save = async (): Promise<PDFDocument> => {
    const { content } = await app.savedBy(() => app.press('Save as PDF'));
    return PDFDocument.load(await content.arrayBuffer());
  };
  const one = await save();
  expect(one.getPageCount()).toBe(1);
  expect(one.getPage(0).getWidth()).toBeCloseTo((210 / 25.4) * 72, 1);

  await app.goTo('Hoop');
  await app.type('Height', '60 cm');
  await app.goTo('Transfer');
  await app.choose('Paper', 'Letter', CARD);
  await app.press(/^Mirrored, for tracing from the back/);
  await app.says(CARD, 'pages, joined at their crosses');
  const many = await save();
  expect(many.getPageCount()).toBeGreaterThan(3);
  expect(many.getPage(0).getHeight()).toBeCloseTo(11 * 72, 1);
});
