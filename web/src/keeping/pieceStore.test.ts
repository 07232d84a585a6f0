import 'fake-indexeddb/auto';
import { emptyPiece, type RecordEntry } from '@junctura/core/piece';
import { openDB } from 'idb';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { IDBFactory } from 'fake-indexeddb';
import { PieceStore } from './pieceStore.ts';

let time = 0;
const piece = (name: string): ReturnType<typeof emptyPiece> => emptyPiece('p1', name);
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  time = 0;
});

describe('PieceStore', () => {
  it('gives back what it was given', async () => {
    const store = new PieceStore(() => time);
    expect(await store.save(piece('One'), 0)).toEqual({ type: 'saved', revision: 1 });
    expect(await new PieceStore(() => time).load('p1')).toEqual({
      ok: true,
      value: { piece: piece('One'), record: [], revision: 1 },
    });
    expect(await store.load('other')).toEqual({ ok: true, value: null });
  });

  it('does not let one tab overwrite what another saved', async () => {
    const [one, two] = [new PieceStore(() => time), new PieceStore(() => time)];
    await one.save(piece('One'), 0);
    await two.save(piece('Two'), 1);
    expect(await one.save(piece('One again'), 1)).toEqual({ type: 'conflict', isGone: false });
    const stored = await one.load('p1');
    expect(stored.ok && stored.value?.piece.name).toBe('Two');
  });

  it('keeps an earlier state every five minutes, the last twenty', async () => {
    const store = new PieceStore(() => time);
    for (let i = 0; i < 60; i++) {
      time += 150_000;
      await store.save(piece(`State ${i}`), i);
    }
    const kept = await store.snapshots('p1');
    if (!kept.ok) throw new Error(kept.problem);
    expect(kept.value).toHaveLength(20);
    const times = kept.value.map(({ at }) => at);
    expect(times).toEqual([...times].sort((a, b) => b - a));
    await store.remove('p1');
    expect(await store.snapshots('p1')).toEqual({ ok: true, value: [] });
  });

  it('keeps entries of a record by themselves: a save leaves them, the same entry twice is one, removing takes them along', async () => {
    const store = new PieceStore(() => time);
    const entry = (n: number): RecordEntry => ({
      type: 'part-done',
      id: `e${n}`,
      at: `2026-05-0${n}T19:00:00.000Z`,
      part: 'p',
    });
    await store.save(piece('One'), 0);
    await store.addEntries('p1', [entry(2), entry(1)]);
    await store.addEntries('p1', [entry(2), entry(3)]);
    await store.addEntries('p2', [entry(1)]);
    await store.save(piece('Two'), 1);
    const loaded = await store.load('p1');
    expect(loaded.ok && loaded.value?.record).toEqual([entry(1), entry(2), entry(3)]);
    const all = await store.allRecords();
    expect(all.ok && [...all.value].map(([id, record]) => [id, record.length])).toEqual([
      ['p1', 3],
      ['p2', 1],
    ]);
    await store.remove('p1');
    const left = await store.allRecords();
    expect(left.ok && [...left.value.keys()]).toEqual(['p2']);
  });

  it('brings a record over that lay in the piece, before a save leaves it out', async () => {
    const text = readFileSync(
      new URL('../../../core/src/piece/fixtures/version-4-worked.junctura.json', import.meta.url),
      'utf8',
    );
    const old = await openDB('junctura', 3, {
      upgrade(db) {
        db.createObjectStore('pieces', { keyPath: 'id' });
        db.createObjectStore('snapshots', { keyPath: 'key', autoIncrement: true }).createIndex('pieceId', 'pieceId');
        db.createObjectStore('documents', { keyPath: 'key' });
        db.createObjectStore('entries', { keyPath: ['pieceId', 'id'] }).createIndex('pieceId', 'pieceId');
      },
    });
    const data = JSON.parse(text) as { id: string };
    await old.put('pieces', { id: data.id, name: 'x', savedAt: 1, revision: 1, piece: data });
    old.close();
    const store = new PieceStore(() => time);
    const first = await store.load(data.id);
    if (!first.ok || !first.value) throw new Error('not loaded');
    expect(first.value.record.length).toBeGreaterThan(3);
    await store.save(first.value.piece, 1);
    const again = await store.load(data.id);
    expect(again.ok && again.value?.record).toEqual(first.value.record);
  });

  it('refuses a stored piece that is damaged, with the place of the fault', async () => {
    const store = new PieceStore(() => time);
    await store.save({ ...piece('One'), cloth: { kind: 'paper' as 'felt', colour: '#ffffff' } }, 0);
    const loaded = await store.load('p1');
    expect(loaded.ok ? '' : loaded.problem).toContain('its cloth');
  });

  it.each([
    ['SecurityError', /private window/],
    ['QuotaExceededError', /is full/],
    ['VersionError', /later version of Junctura/],
    ['UnknownError', /has a fault/],
  ])('says in a sentence of its own that storage answers with a %s', async (name, sentence) => {
    globalThis.indexedDB = {
      open: () => {
        throw new DOMException('no', name);
      },
    } as unknown as IDBFactory;
    const result = await new PieceStore(() => time).save(piece('One'), 0);
    expect(result.type === 'refused' && result.problem).toMatch(sentence);
  });

  it('says that a later version was here, that another tab holds an earlier one, and goes on when that is closed', async () => {
    const later = await openDB('junctura', 99);
    later.close();
    const refused = await new PieceStore(() => time).save(piece('One'), 0);
    expect(refused.type === 'refused' && refused.problem).toContain('later version of Junctura');
    globalThis.indexedDB = new IDBFactory();
    const earlier = await openDB('junctura', 1, {
      upgrade: (db) => void db.createObjectStore('pieces', { keyPath: 'id' }),
    });
    const store = new PieceStore(() => time);
    const held = await store.save(piece('One'), 0);
    expect(held.type === 'refused' && held.problem).toContain('Another tab with an earlier version');
    earlier.close();
  });

  it('saves at the first try after another tab made the storage newer, or the browser closed it', async () => {
    const store = new PieceStore(() => time);
    await store.save(piece('One'), 0);
    const { database } = store as unknown as { database: { opened: Promise<IDBDatabase> } };
    (await database.opened).close();
    expect(await store.save(piece('Two'), 1)).toEqual({ type: 'saved', revision: 2 });
  });

  it('gives back what it removed, just as it was, also what no one can read', async () => {
    const store = new PieceStore(() => time);
    await store.save({ ...piece('One'), cloth: { kind: 'paper' as 'felt', colour: '#ffffff' } }, 0);
    await store.addEntries('p1', [{ type: 'part-done', id: 'e', at: '2026-02-01T10:00:00.000Z', part: 'a' }]);
    time += 10 * 60_000;
    await store.save({ ...piece('Two'), cloth: { kind: 'paper' as 'felt', colour: '#ffffff' } }, 1);
    const before = await store.list();
    const removed = await store.remove('p1');
    expect(await store.list()).toEqual({ ok: true, value: [] });
    if (removed.ok) await store.putBack(removed.value);
    expect(await store.list()).toEqual(before);
    const [earlier, records] = [await store.snapshots('p1'), await store.allRecords()];
    expect(earlier.ok && earlier.value).toHaveLength(1);
    expect(records.ok && records.value.get('p1')).toHaveLength(1);
  });

  it('keeps earlier states also after the clock was set back', async () => {
    const store = new PieceStore(() => time);
    time = 1e12;
    await store.save(piece('One'), 0);
    time -= 3 * 86_400_000;
    await store.save(piece('Two'), 1);
    time += 6 * 60_000;
    await store.save(piece('Three'), 2);
    const earlier = await store.snapshots('p1');
    expect(earlier.ok && earlier.value.map((snapshot) => (snapshot.piece as { name: string }).name)).toEqual([
      'Two',
      'One',
    ]);
  });
});
