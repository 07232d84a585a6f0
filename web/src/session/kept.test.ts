import { seededRandom, success } from '@junctura/core/measure';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, type EffectScope } from 'vue';
import type { SaveResult } from '../keeping/pieceStore.ts';
import { Unkept } from '../keeping/unsaved.ts';
import { MemoryStorage } from '../testing/page.ts';
import { useKept, type Kept } from './kept.ts';

/** What is kept here: the numbers of the changes that were made, one after the other. */
interface Changes {
  readonly made: readonly number[];
}

/** One place where a document is kept, shared by all tabs; it can be slow, and it can be full. */
class Disk {
  value: Changes = { made: [] };
  revision = 0;
  isFull = false;
  delayMs = 0;

  async save(value: Changes, basedOn: number): Promise<SaveResult> {
    await new Promise((resolve) => setTimeout(resolve, this.delayMs));
    if (this.isFull) return { type: 'refused', problem: 'There is no room.' };
    if (basedOn !== this.revision) return { type: 'conflict', isGone: false };
    this.value = value;
    return { type: 'saved', revision: ++this.revision };
  }
}

const unkept = (): Unkept<Changes> => new Unkept<Changes>('unsaved-', (value) => success(value as Changes));

/** All that lies aside, whichever page put it there. */
function lyingAside(): number[] {
  const texts = Array.from({ length: localStorage.length }, (_, i) => localStorage.getItem(localStorage.key(i)!)!);
  return texts.flatMap((text) => (JSON.parse(text) as { value: Changes }).value.made);
}

/** One page that shows the document, changes it and may be closed at any time. */
class Tab {
  readonly window = Object.assign(new EventTarget(), { document: new EventTarget() });
  private readonly scope: EffectScope = effectScope();
  private shown: Changes;
  private isClosed = false;
  readonly kept: Kept<Changes>;

  constructor(
    private readonly disk: Disk,
    aside = unkept(),
  ) {
    vi.stubGlobal('window', this.window);
    this.shown = disk.value;
    this.kept = this.scope.run(() =>
      useKept<Changes>({
        current: () => this.shown,
        save: async (value, basedOn) => {
          const answer = await disk.save(value, basedOn);
          // A page that is gone hears nothing any more, though what it wrote may be there.
          return this.isClosed ? new Promise(() => undefined) : answer;
        },
        aside,
        nameOf: () => 'changes',
      }),
    )!;
    this.kept.take(this.shown, disk.revision);
    const unsaved = aside.take('changes');
    if (!unsaved) return;
    // What lies aside was made of something older: the person is asked.
    this.kept.takeUnsaved(unsaved.basedOn);
    this.shown = unsaved.value;
    if (unsaved.basedOn === disk.revision) void this.kept.save();
    else this.kept.conflict.value = 'changed';
  }

  get made(): readonly number[] {
    return this.shown.made;
  }

  change(number: number): void {
    this.shown = { made: [...this.shown.made, number] };
    this.kept.changed();
  }

  /** After a conflict: this tab's document over the other, or the other. @returns what is given up for good, as the person said */
  settle(keepMine: boolean): readonly number[] {
    const [mine, theirs] = [this.shown, this.disk.value];
    if (keepMine) {
      this.kept.takeUnsaved(this.disk.revision);
      void this.kept.save();
      return theirs.made.filter((number) => !mine.made.includes(number));
    }
    this.shown = theirs;
    this.kept.take(theirs, this.disk.revision);
    return mine.made.filter((number) => !theirs.made.includes(number));
  }

  /** @returns whether the browser asks whether the page may go */
  asksToStay(): boolean {
    const event = new Event('beforeunload', { cancelable: true });
    this.window.dispatchEvent(event);
    return event.defaultPrevented;
  }

  close(): void {
    this.window.dispatchEvent(new Event('pagehide'));
    this.scope.stop();
    this.isClosed = true;
  }
}

let disk: Disk;
beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('localStorage', new MemoryStorage());
  vi.stubGlobal('document', { visibilityState: 'visible' });
  setActivePinia(createPinia());
  disk = new Disk();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what is kept', () => {
  it('on a slow disk two quick changes are saved one after the other, and stand in nobody’s way', async () => {
    disk.delayMs = 2000;
    const tab = new Tab(disk);
    tab.change(1);
    await vi.advanceTimersByTimeAsync(900);
    tab.change(2);
    await vi.advanceTimersByTimeAsync(6000);
    expect(tab.kept.conflict.value).toBeNull();
    expect([disk.value.made, disk.revision, tab.kept.state.value]).toEqual([[1, 2], 2, 'saved']);
  });

  it('refused, is said and tried again with growing pauses, until there is room', async () => {
    disk.isFull = true;
    const save = vi.spyOn(disk, 'save');
    const tab = new Tab(disk);
    tab.change(1);
    await vi.advanceTimersByTimeAsync(10_000);
    expect(tab.kept.problem.value).toBe('There is no room.');
    expect(save.mock.calls.length).toBeGreaterThan(2);
    expect(save.mock.calls.length).toBeLessThan(6);
    expect(tab.asksToStay()).toBe(true);
    disk.isFull = false;
    await vi.advanceTimersByTimeAsync(30_000);
    expect([disk.value.made, tab.kept.problem.value, tab.kept.state.value]).toEqual([[1], null, 'saved']);
    expect(tab.asksToStay()).toBe(false);
  });

  it('given up, is neither saved nor found again', async () => {
    disk.isFull = true;
    const tab = new Tab(disk);
    tab.change(1);
    await vi.advanceTimersByTimeAsync(1000);
    tab.kept.giveUp();
    disk.isFull = false;
    await vi.advanceTimersByTimeAsync(60_000);
    tab.close();
    expect([disk.value.made, new Tab(disk).made]).toEqual([[], []]);
  });

  it('is never lost: whatever two tabs, a slow or full disk and pages that go do, each change is stored, shown, aside or given up', async () => {
    let [conflicts, refused, reopened] = [0, 0, 0];
    for (let seed = 1; seed <= 120; seed++) {
      vi.stubGlobal('localStorage', new MemoryStorage());
      const random = seededRandom(seed);
      disk = new Disk();
      let tabs = [new Tab(disk)];
      const given = new Set<number>();
      let number = 0;
      const isFound = (one: number): boolean =>
        given.has(one) ||
        disk.value.made.includes(one) ||
        tabs.some(({ made }) => made.includes(one)) ||
        lyingAside().includes(one);
      for (let step = 0; step < 40; step++) {
        const at = Math.floor(random.next() * tabs.length);
        const tab = tabs[at]!;
        const act = random.next();
        if (act < 0.4) tab.change(++number);
        else if (act < 0.7) await vi.advanceTimersByTimeAsync(random.next() * 2500);
        else if (act < 0.78) disk.delayMs = random.next() < 0.5 ? 0 : random.next() * 3000;
        else if (act < 0.84) disk.isFull = !disk.isFull;
        else if (act < 0.9 && tabs.length < 2) tabs.push(new Tab(disk));
        // A page in which something is asked stays: the browser says so.
        else if (act < 0.96 && !tab.asksToStay()) {
          tab.close();
          tabs = tabs.filter((other) => other !== tab);
          if (tabs.length === 0) {
            reopened++;
            tabs = [new Tab(disk)];
          }
        }
        if (tab.kept.conflict.value !== null) {
          conflicts++;
          for (const lost of tab.settle(random.next() < 0.5)) given.add(lost);
        }
        if (tab.kept.problem.value !== null) refused++;
        for (const { made, kept } of tabs) {
          if (kept.state.value !== 'saved' || kept.conflict.value !== null) continue;
          // What is said to be kept is, or another tab that had it saved something newer.
          const missing = made.filter((one) => !disk.value.made.includes(one) && !given.has(one));
          expect(missing, `seed ${seed}, step ${step}`).toEqual([]);
        }
        for (let one = 1; one <= number; one++) expect(isFound(one), `seed ${seed}, step ${step}: ${one}`).toBe(true);
      }
      for (const tab of tabs) tab.close();
      vi.clearAllTimers();
    }
    expect(conflicts).toBeGreaterThan(30);
    expect(refused).toBeGreaterThan(100);
    expect(reopened).toBeGreaterThan(30);
  });
});
