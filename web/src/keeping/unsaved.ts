import type { Outcome } from '@junctura/core/measure';

/** What a page could not save before it was closed or reloaded, and the revision that it builds on. */
export interface Unsaved<T> {
  readonly value: T;
  readonly basedOn: number;
}

/**
 * Where a page puts what it can't save any more before it is closed or reloaded: the browser's database answers too late for that, while
 * `localStorage` takes it at once. It is taken up again when the same is opened next.
 */
export class Unkept<T> {
  /**
   * @param prefix of the keys under which it lies
   * @param check whether what lies there can still be read
   */
  constructor(
    private readonly prefix: string,
    private readonly check: (value: unknown) => Outcome<T>,
  ) {}

  /** Puts a state aside. Answers whether there was room for it. */
  put(id: string, { value, basedOn }: Unsaved<T>): boolean {
    try {
      localStorage.setItem(this.prefix + id, JSON.stringify({ value, basedOn }));
      return true;
    } catch {
      return false;
    }
  }

  /** What was put aside; null where nothing was, or it can't be read. */
  take(id: string): Unsaved<T> | null {
    try {
      const { value, basedOn } = JSON.parse(localStorage.getItem(this.prefix + id) ?? 'null') as Unsaved<unknown>;
      const checked = this.check(value);
      return checked.ok && Number.isInteger(basedOn) ? { value: checked.value, basedOn } : null;
    } catch {
      return null;
    }
  }

  forget(id: string): void {
    try {
      localStorage.removeItem(this.prefix + id);
    } catch {
      // Without storage nothing was put aside.
    }
  }
}
