import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { EMPTY_BOX, newEntry, RANGES, type ThreadBox } from '@junctura/core/materials';
import { seededRandom, type Random } from '@junctura/core/measure';
import { emptyPiece, newPart, type Piece, type RecordEntry } from '@junctura/core/piece';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { beforeEach, describe, expect, it } from 'vitest';
import { packBench, unpackBench, type Backup } from './backup.ts';
import { PhotoStore } from './photoStore.ts';
import { PieceStore } from './pieceStore.ts';
import { merging, previewRestore, replacing } from './restore.ts';
import { WholeBench, type BenchContent } from './wholeBench.ts';

const AT = '2026-11-29T10:00:00.000Z';
const bench = (): WholeBench => new WholeBench(() => 5);

beforeEach(() => void (globalThis.indexedDB = new IDBFactory()));

function pieceOf(id: string, width: number): Piece {
  const piece = emptyPiece(id, `Piece ${id}`);
  const part = newPart({ id: 'a', name: 'a', kind: 'line', path: `M0 0L${width} 0`, colour: 'c1' });
  const palette = [{ id: 'c1', role: '', hex: '#aa3333', shade: null, second: null, lot: null }];
  return { ...piece, palette, drawing: { ...piece.drawing, parts: [part] } };
}
const entryOf = (id: number): RecordEntry => ({ id: `e${id}`, at: AT, type: 'sitting-begun', needles: id });

function boxWith(...ids: readonly string[]): ThreadBox {
  const { code, name, hex } = RANGES[0]!.shades[0]!;
  const shade = { range: RANGES[0]!.id, code, name, hex };
  return { ...EMPTY_BOX, entries: ids.map((id) => newEntry({ id, shade, thread: RANGES[0]!.thread, whole: 1 })) };
}

/** A bench of some of a dozen pieces, each in one of three states, with any of thirty entries and some photographs. */
function anyBench(random: Random): BenchContent {
  const some = (most: number, share: number): number[] =>
    Array.from({ length: most }, (_, i) => i).filter(() => random.next() < share);
  return {
    pieces: some(12, 0.4).map((i) => {
      const piece = pieceOf(`p${i}`, 10 + Math.floor(random.next() * 3));
      return { id: piece.id, name: piece.name, savedAt: i, revision: 1 + i, piece };
    }),
    entries: some(30, 0.5).map((i) => ({ pieceId: `p${i % 12}`, id: `e${i}`, entry: entryOf(i) })),
    photographs: some(6, 0.5).map((i) => ({
      id: `f${i}`,
      pieceId: `p${i}`,
      at: AT,
      picture: new Blob([Uint8Array.from({ length: 500 }, (_, k) => (i * 31 + k) % 256)], { type: 'image/jpeg' }),
    })),
    snapshots: [],
    box: random.next() < 0.3 ? null : boxWith(...some(8, 0.5).map((i) => `b${i}`)),
  };
}

/** What a bench holds, whatever the order and the revisions. */
async function summary(content: BenchContent): Promise<unknown> {
  const photographs = await Promise.all(
    content.photographs.map(async ({ picture, ...photograph }) => {
      const bytes = new Uint8Array(await picture.arrayBuffer());
      return { ...photograph, type: picture.type, length: bytes.length, first: bytes[0] };
    }),
  );
  const byId = (list: readonly { readonly id: string }[]): unknown[] =>
    list.toSorted((one, other) => (one.id < other.id ? -1 : 1));
  return {
    pieces: byId(content.pieces.map(({ id, savedAt, piece }) => ({ id, savedAt, piece }))),
    entries: byId(content.entries),
    photographs: byId(photographs),
    box: content.box === null ? null : byId((content.box as ThreadBox).entries),
  };
}

async function backupOf(content: BenchContent, settings: unknown = {}): Promise<Backup> {
  const packed = await packBench(content, settings, AT);
  const read = packed.ok ? await unpackBench(packed.value) : packed;
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

async function stored(): Promise<BenchContent> {
  const read = await bench().read();
  if (!read.ok) throw new Error(read.problem);
  return read.value;
}

describe('a backup of the bench', () => {
  it.each([1, 2, 3, 4, 5])('brings all back in place of what is there (seed %i)', async (seed) => {
    const random = seededRandom(seed);
    const [first, other] = [anyBench(random), anyBench(random)];
    await bench().replace(other);
    const backup = await backupOf(first, { units: 'inch' });
    await bench().replace(replacing(backup, await stored()));
    expect(await summary(await stored())).toEqual(await summary({ ...first, box: first.box ?? other.box }));
    expect([backup.settings, backup.unread]).toEqual([{ units: 'inch' }, []]);
  });

  it.each([1, 2, 3, 4, 5])('is put together with what is there, once and for all (seed %i)', async (seed) => {
    const random = seededRandom(seed);
    const [mine, other] = [anyBench(random), anyBench(random)];
    await bench().replace(mine);
    const backup = await backupOf(other);
    const preview = previewRestore(backup, await stored());
    for (let times = 0; times < 2; times++) await bench().add(merging(backup, await stored()));
    const now = await stored();
    // Every piece that was here is as it was; each other one came.
    const before = new Map(mine.pieces.map(({ id, piece }) => [id, piece]));
    for (const { id, piece } of now.pieces) {
      expect(piece).toEqual(before.get(id) ?? other.pieces.find((own) => own.id === id)!.piece);
    }
    const union = (pick: (of: BenchContent) => readonly { readonly id: string }[]): string[] =>
      [...new Set([...pick(mine), ...pick(other)].map(({ id }) => id))].sort();
    expect(now.pieces.map(({ id }) => id).sort()).toEqual(union(({ pieces }) => pieces));
    expect(now.entries.map(({ id }) => id).sort()).toEqual(union(({ entries }) => entries));
    expect(now.photographs.map(({ id }) => id).sort()).toEqual(union(({ photographs }) => photographs));
    // What differed is among the earlier states, once.
    const differing = preview.pieces.filter(({ stands }) => stands === 'differs').map(({ id }) => id);
    expect(now.snapshots.map(({ pieceId }) => pieceId).sort()).toEqual(differing.sort());
    expect(preview.entries).toBe(now.entries.length - mine.entries.length);
    expect(previewRestore(backup, now)).toMatchObject({ entries: 0, photographs: 0, threads: 0 });
  });

  it('is taken back as it was, earlier states and all', async () => {
    const store = new PieceStore(() => 1);
    await store.save(pieceOf('x', 5), 0);
    await store.keepState(pieceOf('x', 4));
    await new PhotoStore().keep({ id: 'f', pieceId: 'x', at: AT, picture: new Blob(['a'], { type: 'image/jpeg' }) });
    const before = await stored();
    await bench().replace(replacing(await backupOf(anyBench(seededRandom(9))), before));
    await bench().replace(before);
    expect(await summary(await stored())).toEqual(await summary(before));
    expect((await stored()).snapshots.map(({ piece }) => piece)).toEqual([pieceOf('x', 4)]);
  });

  it('lets a tab that has a piece open see that it is another', async () => {
    const store = new PieceStore(() => 1);
    await store.save(pieceOf('x', 5), 0);
    const backup = await backupOf(await stored());
    await store.save(pieceOf('x', 6), 1);
    await bench().replace(replacing(backup, await stored()));
    expect(await store.save(pieceOf('x', 7), 2)).toEqual({ type: 'conflict', isGone: false });
  });

  it('has a piece that cannot be read as it is stored, and says so', async () => {
    const piece = { id: 'x', name: 'Torn', savedAt: 1, revision: 1, piece: { torn: true } };
    const packed = await packBench({ ...anyBench(seededRandom(3)), pieces: [piece] }, {}, AT);
    const files = unzipSync(packed.ok ? packed.value : new Uint8Array());
    const torn = Object.keys(files).find((name) => name.startsWith('unreadable/'))!;
    expect(new TextDecoder().decode(files[torn])).toBe('{"torn":true}');
    const entries = [{ pieceId: 'x', id: 'e1', entry: entryOf(1) }];
    const { unread, records } = await backupOf({ ...anyBench(seededRandom(3)), pieces: [piece], entries });
    expect(records).toEqual([{ piece: 'x', entries: [entryOf(1)] }]);
    expect(unread).toHaveLength(1);
    expect(unread[0]).toContain('torn');
  });

  it('never writes over a thread box that cannot be read', async () => {
    const here = { ...anyBench(seededRandom(2)), box: { of: 'a later version' } };
    const backup = await backupOf({ ...anyBench(seededRandom(4)), box: boxWith('b1') });
    expect(merging(backup, here).box).toBeNull();
  });
});

/** A zip file whose last entry claims to be so large once it is unpacked. Source: APPNOTE.TXT, 4.3.12. */
function claiming(packed: Uint8Array, bytes: number): Uint8Array {
  const view = new DataView(packed.buffer, packed.byteOffset, packed.byteLength);
  let last = 0;
  for (let i = 0; i + 4 < packed.length; i++) if (view.getUint32(i, true) === 0x02014b50) last = i;
  view.setUint32(last + 24, bytes, true);
  return packed;
}

describe('what is no backup', () => {
  const list = (more: object): string =>
    JSON.stringify({
      ...{ format: 'junctura-bench', version: 1, savedAt: AT },
      ...{ pieces: [], records: [], photographs: [], settings: {} },
      ...more,
    });
  const zipped = (files: Record<string, string>): Uint8Array =>
    zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));

  it.each([
    ['no zip file', strToU8('hello'), /not a zip file, or it is damaged/],
    ['another zip file', zipped({ 'a.txt': 'a' }), /not a Junctura backup/],
    ['a later version', zipped({ 'bench.json': list({ version: 2 }) }), /later version of Junctura/],
    ['a damaged list', zipped({ 'bench.json': list({ pieces: [{ id: 5 }] }) }), /its list of pieces can’t be read/],
    ['one that is cut short', zipped({ 'bench.json': list({}) }).slice(0, 60), /not a zip file, or it is damaged/],
    [
      'one that lists a piece twice',
      zipped({
        'bench.json': list({ pieces: [1, 2].map((n) => ({ id: 'x', file: `pieces/${n}.json`, savedAt: n })) }),
      }),
      /its list of pieces can’t be read. Nothing was changed/,
    ],
    ['brackets without end', zipped({ 'bench.json': '['.repeat(24_000_000) }), /not a Junctura backup/],
    [
      'an entry that claims more than it packs',
      claiming(zipped({ 'bench.json': list({}), 'a.jpeg': 'a' }), 1.4e9),
      /more/,
    ],
    [
      'one that would fill the memory',
      zipped({ 'bench.json': list({}), 'a.json': ' '.repeat(61_000_000) }),
      /would unpack to more/,
    ],
  ])('is refused in a sentence: %s', async (_, bytes, problem) => {
    const read = await unpackBench(bytes);
    expect(read.ok ? '' : read.problem).toMatch(problem);
  });

  it.each(['constructor', 'toString', '__proto__'])('names no file by what every object has: %s', async (file) => {
    const pieces = [{ id: 'x', file, savedAt: 1 }];
    const photographs = [{ id: 'f', piece: 'x', at: AT, file, type: 'image/jpeg' }];
    const read = await unpackBench(zipped({ 'bench.json': list({ pieces, photographs }) }));
    expect(read).toMatchObject({ ok: true, value: { pieces: [], photographs: [] } });
    expect(read.ok && read.value.unread).toHaveLength(2);
  });

  it('tells each file that is missing or wrong, and reads the rest', async () => {
    const good = await packBench({ ...anyBench(seededRandom(1)), photographs: [], box: null }, {}, AT);
    const all = unzipSync(good.ok ? good.value : new Uint8Array());
    const [first, second] = Object.keys(all).filter((name) => name.startsWith('pieces/'));
    const files = Object.fromEntries(Object.entries(all).filter(([name]) => name !== first));
    files[second!] = strToU8('{"format": "junctura-piece"');
    files['thread-box.json'] = strToU8('{}');
    const read = await unpackBench(zipSync(files));
    if (!read.ok) throw new Error(read.problem);
    expect(read.value.unread.map((line) => line.slice(0, 12))).toHaveLength(3);
    expect(read.value.pieces).toHaveLength(anyBench(seededRandom(1)).pieces.length - 2);
  });
});
