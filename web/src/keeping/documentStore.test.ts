import 'fake-indexeddb/auto';
import { emptyPiece } from '@junctura/core/piece';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { DocumentStore } from './documentStore.ts';
import { PieceStore } from './pieceStore.ts';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
});

describe('DocumentStore', () => {
  it('gives back what it was given, each document by itself', async () => {
    const [box, shop] = [new DocumentStore('box', () => 5), new DocumentStore('shop', () => 6)];
    expect(await box.load()).toEqual({ ok: true, value: null });
    expect(await box.save({ entries: [1] }, 0)).toEqual({ type: 'saved', revision: 1 });
    await shop.save('stock', 0);
    expect(await new DocumentStore('box', () => 9).load()).toMatchObject({
      ok: true,
      value: { value: { entries: [1] }, revision: 1, savedAt: 5 },
    });
  });

  it('does not let one tab overwrite what another saved', async () => {
    const [one, two] = [new DocumentStore('box', () => 0), new DocumentStore('box', () => 0)];
    await one.save('first', 0);
    expect(await two.save('second', 1)).toEqual({ type: 'saved', revision: 2 });
    expect(await one.save('third', 1)).toEqual({ type: 'conflict', isGone: false });
    expect(await one.load()).toMatchObject({ value: { value: 'second' } });
  });

  it('comes into a storage of before it, and the pieces stay', async () => {
    const old = await openDB('junctura', 1, {
      upgrade(db) {
        db.createObjectStore('pieces', { keyPath: 'id' });
        db.createObjectStore('snapshots', { keyPath: 'key', autoIncrement: true }).createIndex('pieceId', 'pieceId');
      },
    });
    const piece = emptyPiece('p1', 'Kept');
    await old.put('pieces', { id: 'p1', name: 'Kept', savedAt: 1, revision: 3, piece });
    old.close();
    expect(await new DocumentStore('box', () => 0).save('x', 0)).toEqual({ type: 'saved', revision: 1 });
    expect(await new PieceStore(() => 0).load('p1')).toEqual({
      ok: true,
      value: { piece, record: [], revision: 3 },
    });
  });

  it('answers where storage never does, and works again once it does', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const factory = globalThis.indexedDB;
    globalThis.indexedDB = Object.assign(Object.create(factory) as IDBFactory, { open: () => new IDBOpenDBRequest() });
    const store = new DocumentStore('box', () => 0);
    const saving = store.save('x', 0);
    await vi.advanceTimersByTimeAsync(20_000);
    vi.useRealTimers();
    expect(await saving).toMatchObject({ type: 'refused', problem: expect.stringContaining('does not answer') });
    globalThis.indexedDB = factory;
    expect(await store.save('x', 0)).toEqual({ type: 'saved', revision: 1 });
  });

  it('answers with a sentence where storage is refused', async () => {
    Object.assign(globalThis, {
      indexedDB: {
        open() {
          throw new DOMException('no', 'SecurityError');
        },
      },
    });
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const refused = await new DocumentStore('box', () => 0, 'box').save('x', 0);
    expect(refused).toMatchObject({ type: 'refused' });
    // Nothing is left that would be given up later.
    expect(vi.getTimerCount()).toBe(0);
    vi.useRealTimers();
    expect(JSON.stringify(refused)).toMatch(/box.*export/i);
  });
});
