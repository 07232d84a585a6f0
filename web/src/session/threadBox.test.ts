import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { newEntry, RANGES, type BoxEntry } from '@junctura/core/materials';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
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
