import { defineAsyncComponent, readonly, ref, type AsyncComponentLoader, type Component } from 'vue';

/** What did not come is asked for again after this, then after twice as long, and so on up to the longest, ms. */
const FIRST_PAUSE_MS = 2000;
const LONGEST_PAUSE_MS = 15_000;

/** What is waited for, by what asks for it again. */
const missing = ref<ReadonlySet<() => void>>(new Set());

/** How many parts of the page could not be loaded: they are asked for again until they come. */
export const missingParts = readonly(missing);

/** Asks at once for all that did not come. */
export function askAgain(): void {
  for (const again of missing.value) again();
}

if (typeof window !== 'undefined') window.addEventListener('online', askAgain);

/**
 * Loads something that is not in the page yet. Where it does not come, as with the network gone, it is asked for again until it does, and
 * {@link missingParts} tells.
 */
export async function loaded<T>(load: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await load();
    } catch {
      await pause(Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** tries));
    }
  }
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => {
    const end = (): void => {
      clearTimeout(timer);
      missing.value = new Set([...missing.value].filter((again) => again !== end));
      resolve();
    };
    const timer = setTimeout(end, ms);
    missing.value = new Set([...missing.value, end]);
  });
}

/** A component that is loaded when it is shown for the first time. */
export function comesLater<T extends Component>(load: AsyncComponentLoader<T>): T {
  return defineAsyncComponent(() => loaded(load));
}
