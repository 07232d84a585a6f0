import { createPinia, setActivePinia } from 'pinia';
import { vi } from 'vitest';

/** What the browser keeps from page to page. */
export class MemoryStorage {
  private kept = new Map<string, string>();
  get length(): number {
    return this.kept.size;
  }
  key = (at: number): string | null => [...this.kept.keys()][at] ?? null;
  getItem = (key: string): string | null => this.kept.get(key) ?? null;
  setItem = (key: string, value: string): void => void this.kept.set(key, value);
  removeItem = (key: string): void => void this.kept.delete(key);
}

/** A page is opened: stores are new, what the browser keeps is as it was. */
export function openPage(): { window: EventTarget } {
  const window = Object.assign(new EventTarget(), { document: new EventTarget(), localStorage });
  vi.stubGlobal('window', window);
  setActivePinia(createPinia());
  return { window };
}
