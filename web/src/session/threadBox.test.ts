import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { newEntry, RANGES, type BoxEntry } from '@junctura/core/materials';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { AsideStore } from '../keeping/asideStore.ts';
import { DocumentStore } from '../keeping/documentStore.ts';
import { BOX_KEY } from '../keeping/wholeBench.ts';
import { MemoryStorage, openPage } from '../testing/page.ts';
import { useThreadBox } from './threadBox.ts';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  vi.stubGlobal('localStorage', new MemoryStorage());
  // Its demo is not to be had: the box is empty.
  vi.stubGlobal('fetch', () => Promise.reject(new Error('offline')));
});
afterEach(() => void vi.unstubAllGlobals());

function entryOf(id: string): BoxEntry {
  const [range] = RANGES;
  const { code, name, hex } = range!.shades[0]!;
  return newEntry({ id, shade: { range: range!.id, code, name, hex }, thread: range!.thread, whole: 1 });
}
const idsOf = (threads: ReturnType<typeof useThreadBox>): string[] => threads.box.entries.map(({ id }) => id);

async function openedBox(): Promise<{ threads: ReturnType<typeof useThreadBox>; window: EventTarget }> {
  const { window } = openPage();
  const threads = useThreadBox();
  await threads.load();
  return { threads, window };
}

describe('the thread box of a page that goes', () => {
  it('is put aside where a save was still under way, and taken up again', async () => {
    const { threads, window } = await openedBox();
    const save = vi.spyOn(DocumentStore.prototype, 'save').mockReturnValue(new Promise(() => undefined));
    threads.addEntries('Add', [entryOf('a')]);
    await vi.waitFor(() => expect(save).toHaveBeenCalled());
    window.dispatchEvent(new Event('pagehide'));
    save.mockRestore();
    const { threads: again } = await openedBox();
    expect(idsOf(again)).toEqual(['a']);
  });

  it('is not put aside once all of it is kept', async () => {
    const { threads, window } = await openedBox();
    threads.addEntries('Add', [entryOf('a')]);
    await threads.flush();
    window.dispatchEvent(new Event('pagehide'));
    // Another device's box, restored meanwhile, stands.
    await new DocumentStore(BOX_KEY, () => 1).save({ ...threads.box, entries: [entryOf('b')] }, 1);
    const { threads: again } = await openedBox();
    expect(idsOf(again)).toEqual(['b']);
  });

  it('is put together where two tabs changed it, and what then does not stand comes back with Undo', async () => {
    const { threads } = await openedBox();
    threads.addEntries('Add', [entryOf('a'), entryOf('b'), entryOf('c')]);
    await threads.flush();
    const { entries } = threads.box;
    // The other tab adds one, uses one up and puts one away elsewhere.
    const theirs = [entryOf('d'), ...entries.filter(({ id }) => id !== 'b')].map((entry) =>
      entry.id === 'c' ? { ...entry, place: 'tin' } : entry,
    );
    const conflicting = async (): Promise<void> => {
      await new DocumentStore(BOX_KEY, () => 1).change(() => ({ ...threads.box, entries: theirs }));
      threads.changeEntries('Take', new Set(['a']), (entry) => ({ ...entry, whole: entry.whole + 1 }));
      threads.addEntries('Add', [entryOf('e')]);
      await threads.flush();
      expect(threads.conflict).toBe('changed');
    };
    await conflicting();
    await threads.settleConflict('both');
    const byId = new Map(threads.box.entries.map((entry) => [entry.id, entry]));
    expect([...byId.keys()].sort()).toEqual(['a', 'c', 'd', 'e']);
    expect([byId.get('a')?.whole, byId.get('c')?.place]).toEqual([2, 'tin']);
    threads.undo();
    expect(idsOf(threads)).toEqual(['d', 'a', 'c']);
    threads.redo();
    await threads.flush();
    expect(idsOf((await openedBox()).threads).sort()).toEqual(['a', 'c', 'd', 'e']);
  });

  it('keeps this tab’s or the other’s where that is asked for, the one that does not stand a press away', async () => {
    for (const [way, stands, back] of [
      ['mine', 'mine', 'theirs'],
      ['theirs', 'theirs', 'mine'],
    ] as const) {
      globalThis.indexedDB = new IDBFactory();
      const { threads } = await openedBox();
      threads.addEntries('Add', [entryOf('start')]);
      await threads.flush();
      await new DocumentStore(BOX_KEY, () => 1).change(() => ({ ...threads.box, entries: [entryOf('theirs')] }));
      threads.change('Set', { ...threads.box, entries: [entryOf('mine')] });
      await threads.flush();
      await threads.settleConflict(way);
      expect([idsOf(threads), threads.conflict]).toEqual([[stands], null]);
      const again = (await openedBox()).threads;
      expect(idsOf(again)).toEqual([stands]);
      threads.undo();
      expect(idsOf(threads)).toEqual([back]);
    }
  });

  it('shows what another tab kept when it is looked at again, and is written again where the storage was cleared', async () => {
    const { threads, window } = await openedBox();
    threads.addEntries('Add', [entryOf('a')]);
    await threads.flush();
    await new DocumentStore(BOX_KEY, () => 1).change(() => ({ ...threads.box, entries: [entryOf('b')] }));
    window.dispatchEvent(new Event('focus'));
    await vi.waitFor(() => expect(idsOf(threads)).toEqual(['b']));
    await new AsideStore().remove(BOX_KEY);
    window.dispatchEvent(new Event('focus'));
    await vi.waitFor(async () => expect(idsOf((await openedBox()).threads)).toEqual(['b']));
  });

  it('says what it could not keep to the next page also where the browser was killed', async () => {
    const { threads } = await openedBox();
    threads.addEntries('Add', [entryOf('a')]);
    await threads.flush();
    const save = vi.spyOn(DocumentStore.prototype, 'save').mockResolvedValue({ type: 'refused', problem: 'Full.' });
    threads.addEntries('Add', [entryOf('b')]);
    await threads.flush();
    await vi.waitFor(async () => expect((await new AsideStore().all('junctura-unsaved-')).size).toBe(1));
    save.mockRestore();
    // Killed: no event told the page, and its small storage was not written yet.
    vi.stubGlobal('localStorage', new MemoryStorage());
    const { threads: again } = await openedBox();
    expect(idsOf(again)).toEqual(['b', 'a']);
    await vi.waitFor(async () => expect((await new AsideStore().all('junctura-unsaved-')).size).toBe(0));
  });

  it('is read anew where what is kept was changed under it', async () => {
    const { threads } = await openedBox();
    threads.addEntries('Add', [entryOf('a')]);
    await threads.flush();
    await new DocumentStore(BOX_KEY, () => 1).save({ ...threads.box, entries: [entryOf('b')] }, 1);
    await threads.reload();
    expect([idsOf(threads), threads.undoLabel]).toEqual([['b'], null]);
    threads.addEntries('Add', [entryOf('c')]);
    await threads.flush();
    expect([threads.conflict, idsOf((await openedBox()).threads)]).toEqual([null, ['c', 'b']]);
  });
});
