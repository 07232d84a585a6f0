import 'fake-indexeddb/auto';
import { emptyPiece } from '@junctura/core/piece';
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
      value: { piece: piece('One'), revision: 1 },
    });
    expect(await store.load('other')).toEqual({ ok: true, value: null });
  });

  it('does not let one tab overwrite what another saved', async () => {
    const [one, two] = [new PieceStore(() => time), new PieceStore(() => time)];
    await one.save(piece('One'), 0);
    await two.save(piece('Two'), 1);
    expect(await one.save(piece('One again'), 1)).toEqual({ type: 'conflict' });
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

  it('refuses a stored piece that is damaged, with the path of the fault', async () => {
    const store = new PieceStore(() => time);
    await store.save({ ...piece('One'), cloth: { kind: 'paper', colour: '#ffffff' } }, 0);
    const loaded = await store.load('p1');
    expect(loaded.ok ? '' : loaded.problem).toContain('cloth.kind');
  });

  it('says so in a sentence when storage is refused or full', async () => {
    globalThis.indexedDB = {
      open: () => {
        throw new DOMException('no', 'SecurityError');
      },
    } as unknown as IDBFactory;
    const result = await new PieceStore(() => time).save(piece('One'), 0);
    expect(result.type === 'refused' && result.problem).toContain('Export the piece');
  });
});
