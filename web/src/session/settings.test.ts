import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import { DocumentStore } from '../keeping/documentStore.ts';
import { useSettings } from './settings.ts';

/** A page with what an earlier visit left in storage. */
function settingsWith(stored: string | null): { settings: ReturnType<typeof useSettings>; kept: () => string | null } {
  const storage = new Map<string, string>(stored === null ? [] : [['junctura-settings', stored]]);
  const localStorage = {
    getItem: (key: string) => storage.get(key) ?? null,
    setItem: (key: string, value: string) => void storage.set(key, value),
    removeItem: (key: string) => void storage.delete(key),
  };
  globalThis.indexedDB = new IDBFactory();
  vi.stubGlobal('localStorage', localStorage);
  vi.stubGlobal('window', Object.assign(new EventTarget(), { document: new EventTarget(), localStorage }));
  setActivePinia(createPinia());
  return { settings: useSettings(), kept: () => storage.get('junctura-settings') ?? null };
}
afterEach(() => void vi.unstubAllGlobals());

describe('settings', () => {
  it.each([null, '', '{', '[]', 'null', '"x"', '{"units": 7, "screenBarMm": "wide"}'])(
    'stored as %s are as usual',
    (stored) => {
      const { settings } = settingsWith(stored);
      expect([settings.units, settings.theme, settings.screenBarMm, settings.welcomed]).toEqual([
        'metric',
        'light',
        100,
        false,
      ]);
      expect(settings.factors).toMatchObject({ width: 1, stitch: 1, thread: {} });
    },
  );

  it('keep what makes sense beside what does not', () => {
    const { settings } = settingsWith(
      '{"units": "inch", "own": {"width": 9, "stitch": 1.2, "thread": {"satin": 1.3}}}',
    );
    expect([settings.units, settings.factors.width, settings.factors.stitch, settings.factors.thread]).toEqual([
      'inch',
      1,
      1.2,
      { satin: 1.3 },
    ]);
  });

  it('are stored when they change, and the factors are another object only when a figure is another', async () => {
    const { settings, kept } = settingsWith(null);
    const before = settings.factors;
    settings.units = 'inch';
    settings.setLearned({}, before.handSpread);
    await nextTick();
    expect(settings.factors).toBe(before);
    expect(JSON.parse(kept()!)).toMatchObject({ units: 'inch' });
    settings.setLearned({ stem: 1.1 }, 0.05);
    expect(settings.factors).toMatchObject({ thread: { stem: 1.1 }, handSpread: 0.05 });
  });

  it('of two tabs are merged field by field, also those that one of them has not heard of yet', () => {
    const { settings } = settingsWith(null);
    settings.units = 'inch';
    localStorage.setItem('junctura-settings', JSON.stringify({ units: 'inch', welcomed: true, screenBarMm: 96 }));
    settings.keepsToEdges = false;
    expect(JSON.parse(localStorage.getItem('junctura-settings')!)).toMatchObject({
      units: 'inch',
      welcomed: true,
      screenBarMm: 96,
      keepsToEdges: false,
    });
  });

  it('survive a browser that is killed before it has written its small storage', async () => {
    const { settings } = settingsWith(null);
    settings.maker = 'Hazel';
    settings.printer = { acrossMm: 98, downMm: 49 };
    const durable = new DocumentStore('settings', () => 0);
    await vi.waitFor(async () => {
      const stored = await durable.load();
      expect(stored.ok && stored.value?.value).toMatchObject({ printer: { acrossMm: 98 } });
    });
    // What the small storage had before either was set.
    localStorage.removeItem('junctura-settings');
    setActivePinia(createPinia());
    const again = useSettings();
    await again.load();
    expect([again.maker, again.printer.acrossMm, again.units]).toEqual(['Hazel', 98, 'metric']);
    // Set since, without a database: that counts, and reaches the database when it is there again.
    localStorage.setItem('junctura-settings', JSON.stringify({ ...again.all, changes: 9, maker: 'Rowan' }));
    setActivePinia(createPinia());
    const newest = useSettings();
    await newest.load();
    expect(newest.maker).toBe('Rowan');
    await vi.waitFor(async () => {
      const stored = await durable.load();
      expect(stored.ok && stored.value?.value).toMatchObject({ maker: 'Rowan' });
    });
  });

  it('that are cleared away under an open page are written again', async () => {
    const { settings, kept } = settingsWith(null);
    settings.maker = 'Hazel';
    await new Promise((resolve) => setTimeout(resolve, 20));
    globalThis.indexedDB = new IDBFactory();
    localStorage.removeItem('junctura-settings');
    window.dispatchEvent(Object.assign(new Event('storage'), { key: null, newValue: null }));
    expect(JSON.parse(kept()!)).toMatchObject({ maker: 'Hazel' });
    expect(settings.maker).toBe('Hazel');
  });

  it('that can’t be stored hold until the page is closed', () => {
    const { settings } = settingsWith(null);
    localStorage.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    settings.units = 'inch';
    settings.keepsToEdges = false;
    expect([settings.units, settings.keepsToEdges]).toEqual(['inch', false]);
  });
});
