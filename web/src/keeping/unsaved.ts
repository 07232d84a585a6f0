import type { Outcome } from '@junctura/core/measure';
import type { AsideStore } from './asideStore.ts';
import { newId } from './newId.ts';

/** What a page could not save before it was closed or reloaded, and the revision that it builds on. */
export interface Unsaved<T> {
  readonly value: T;
  readonly basedOn: number;
}

/** Between the name of a thing and the page that put it aside. */
const OF_PAGE = '#';

/**
 * Where a page puts what it can't save any more before it is closed or reloaded: the browser's database answers too late for that, while
 * `localStorage` takes it at once. What could not be saved while the page stays lies in the database as well, where that has room for it: a browser that
 * is killed has not written its `localStorage` yet. It is taken up again when the same is opened next. Each page has a place of its own: none takes
 * what another put there for its own, or forgets it.
 */
export class Unkept<T> {
  private readonly page = newId();
  /** Where what this page took up lies until it is kept. */
  private readonly taken = new Map<string, string>();
  /** What this page put aside: where it put nothing, there is nothing to forget. */
  private readonly putHere = new Set<string>();
  /** What lies in the database, by its place, once it was looked for. */
  private readonly brought = new Map<string, unknown>();

  /**
   * @param prefix of the keys under which it lies
   * @param check whether what lies there can still be read
   * @param store where it lies in the database
   */
  constructor(
    private readonly prefix: string,
    private readonly check: (value: unknown) => Outcome<T>,
    private readonly store: AsideStore | null = null,
  ) {}

  /** Brings what lies in the database within reach of {@link take}. */
  async bring(id: string): Promise<void> {
    for (const [place, value] of (await this.store?.all(this.prefix + id + OF_PAGE)) ?? []) {
      this.brought.set(place, value);
    }
  }

  /** Puts a state aside. Answers whether there was room for it. */
  put(id: string, { value, basedOn }: Unsaved<T>): boolean {
    this.putHere.add(id);
    void this.store?.put(this.placeOf(id), { value, basedOn });
    try {
      localStorage.setItem(this.placeOf(id), JSON.stringify({ value, basedOn }));
      return true;
    } catch {
      return false;
    }
  }

  /** What other pages put aside, of several the first; null where nothing was, or it can't be read. It lies there until it is forgotten. */
  take(id: string): Unsaved<T> | null {
    for (const place of this.placesOf(id)) {
      const unsaved = this.read(place);
      if (!unsaved) continue;
      this.taken.set(id, place);
      return unsaved;
    }
    return null;
  }

  /** What this page put aside or took up is kept now, or given up. */
  forget(id: string): void {
    const taken = this.taken.get(id);
    const own = this.putHere.has(id) ? [this.placeOf(id)] : [];
    this.taken.delete(id);
    this.putHere.delete(id);
    for (const place of [...own, ...(taken === undefined ? [] : [taken])]) {
      this.brought.delete(place);
      void this.store?.remove(place);
      try {
        localStorage.removeItem(place);
      } catch {
        // Without storage nothing was put aside there.
      }
    }
  }

  private placeOf(id: string): string {
    return this.prefix + id + OF_PAGE + this.page;
  }

  private placesOf(id: string): string[] {
    // Before each page had its own place, there was one for all. What this page put aside itself it still has.
    const isOf = (place: string): boolean =>
      place === this.prefix + id || (place.startsWith(this.prefix + id + OF_PAGE) && place !== this.placeOf(id));
    return [...new Set([...localPlaces(), ...this.brought.keys()])].filter(isOf).sort();
  }

  private read(place: string): Unsaved<T> | null {
    try {
      const { value, basedOn } = (
        this.brought.has(place) ? this.brought.get(place) : JSON.parse(localStorage.getItem(place) ?? 'null')
      ) as Unsaved<unknown>;
      const checked = this.check(value);
      return checked.ok && Number.isInteger(basedOn) ? { value: checked.value, basedOn } : null;
    } catch {
      return null;
    }
  }
}

function localPlaces(): string[] {
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '');
  } catch {
    return [];
  }
}
