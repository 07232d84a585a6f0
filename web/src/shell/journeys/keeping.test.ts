import { openDB } from 'idb';
import { describe, expect, it } from 'vitest';
import { Application, CARD } from '../../testing/application.ts';
import { svg } from '../../testing/drawings.ts';

const BENCH = '[aria-label="On your bench"]';

/** The application with a piece of one's own that is open and kept. */
async function withPiece(name: string): Promise<Application> {
  const app = await Application.at('/');
  await addPiece(app, name);
  return app;
}

async function addPiece(app: Application, name: string): Promise<void> {
  await app.go('/');
  await app.openDrawing(`${name}.svg`, svg('<rect x="5" y="5" width="20" height="9"/>'));
  await app.kept();
}

async function onBench(app: Application, ...expected: string[]): Promise<void> {
  await app.until(() =>
    expect(
      app
        .all(`${BENCH} strong`)
        .map(({ textContent }) => textContent.trim())
        .sort(),
    ).toEqual(expected),
  );
}

it.each(['/piece/demo-kite/hoop', '/hoop/demo-kite', '/light-table/demo-kite'])(
  'until a piece is read, no other is shown under its address: %s',
  async (path) => {
    const app = await withPiece('moth');
    await app.router.push(path);
    expect(app.text()).toContain('Opening the piece…');
    expect(app.text()).not.toContain('moth');
    expect(app.all('[aria-label="Name of the piece"]')).toHaveLength(0);
    await app.until(() => expect(app.opened.piece.name).toBe('Kite'));
    await app.saysNot('body', 'Opening the piece…');
  },
);

it('a piece that is not there is said to be so, with the way back', async () => {
  const app = await Application.at('/');
  await app.router.push('/hoop/gone');
  await app.says('h1', 'This piece can’t be opened');
  await app.press('Back to the bench');
  await app.says('h1', 'Junctura');
});

describe('storage that does not do its part is told in a sentence of its own, and nothing is lost', () => {
  it('where it is refused, while the page is open', async () => {
    let app = await Application.at('/piece/demo-kite/hoop');
    indexedDB.open = () => {
      throw new DOMException('refused', 'SecurityError');
    };
    app = await app.reload();
    await app.type('Height', '50 mm');
    await app.says('body', 'doesn’t let Junctura save anything');
    await app.until(() => expect(app.figure('Size')).toContain('50 mm'));
    const saved = await app.savedBy(() => app.press('Save to a file'));
    expect(saved.name).toBe('kite.junctura.json');
  });

  it('where a later version wrote it', async () => {
    const app = await withPiece('moth');
    (await openDB('junctura', 99)).close();
    await app.type('Name of the piece', 'moth later');
    await app.says('body', 'saved by a later version of Junctura');
  });
});

it('a piece that cannot be read is saved as it is, removed and put back', async () => {
  const app = await withPiece('moth');
  // Nobody has it open any more who could save it as it was.
  await app.go('/stitches');
  const database = await openDB('junctura');
  const [stored] = (await database.getAll('pieces')) as { piece: { use: string } }[];
  stored!.piece.use = 'flown';
  await database.put('pieces', stored);
  database.close();
  await app.go('/');
  await app.says(BENCH, 'what it is for');
  const saved = await app.savedBy(() => app.press('Save the stored data to a file', BENCH));
  expect(saved.name).toBe('moth.junctura.json');
  expect(await saved.content.text()).toContain('flown');
  await app.press(/^Remove/, BENCH);
  await app.counts(`${BENCH} li`, 0);
  await app.press('Restore it');
  await app.says(BENCH, 'what it is for');
});

it('the whole bench goes into one file and comes back: put together, in its place, and undone', async () => {
  const app = await withPiece('moth');
  await addPiece(app, 'fern');
  await app.go('/');
  await app.press(/^Back up or restore/);
  const saved = await app.savedBy(async () => app.click('[data-test=save-backup]'));
  await app.says('[role=status]', 'Saved:');
  await app.press('Close', '[role=dialog]');
  // Since then: one is gone, one is another, one is new.
  await app.press(/^Remove/, await app.find('li', BENCH, /moth/));
  await app.press(/^fern/, BENCH);
  await app.settle();
  await app.type('Name of the piece', 'fern, larger');
  await app.kept();
  await addPiece(app, 'wren');
  await app.go('/');
  const restore = async (way: RegExp): Promise<void> => {
    await app.press(/^Back up or restore/);
    await app.hand(new File([saved.content], saved.name), () => app.press('Choose a backup…'));
    await app.says('[aria-label="Pieces in the backup"]', 'fern different here');
    await app.press(way, '[role=dialog]');
    await app.click('[data-test=restore]');
  };
  await restore(/^Merge it/);
  await app.says('[role=status]', 'was merged');
  await onBench(app, 'fern, larger', 'moth', 'wren');
  await restore(/^Replace what is here/);
  await app.says('[role=status]', '2 pieces');
  await onBench(app, 'fern', 'moth');
  await app.press('Undo');
  await onBench(app, 'fern, larger', 'moth', 'wren');
  await app.press(/^fern, larger/, BENCH);
  await app.settle();
  expect((await app.field('Name of the piece')).value).toBe('fern, larger');
});

it('a zip file that is no backup is refused in a sentence', async () => {
  const app = await Application.at('/');
  await app.bring('holiday.zip', 'not a zip file');
  await app.says('[role=dialog] [role=alert]', 'not a zip file, or it is damaged');
});

it('a piece goes into a file and comes back as it was, its name as it was typed last', async () => {
  const app = await Application.at('/piece/demo-kite/stitches');
  await app.pick('Top right panel');
  await app.choose('Stitch', 'Seed stitch', CARD);
  await app.type('Name of the piece', 'My kite');
  await app.planned();
  const stitches = app.figure('Stitches');
  const { name, content } = await app.savedBy(() => app.menu('Save to a file'));
  expect(name).toBe('my-kite.junctura.json');
  const other = await Application.at('/');
  await other.openDrawing(name, await content.text());
  expect((await other.field('Name of the piece')).value).toBe('My kite');
  expect(other.figure('Stitches')).toBe(stitches);
});
