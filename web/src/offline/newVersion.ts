import { shallowRef, type Ref } from 'vue';

/** A build that waits to be taken. */
const waiting = shallowRef<ServiceWorker | null>(null);

/** Whether a new version of the application is at hand. */
export const newVersion: Readonly<Ref<ServiceWorker | null>> = waiting;

/** After the page stands: what it needs itself comes first, ms. */
const REGISTER_AFTER_MS = 4000;

/** Keeps the application in the browser from now on. Where the browser allows none (not on this machine and without TLS), nothing happens. */
export function keepApplication(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
  setTimeout(() => void register(), REGISTER_AFTER_MS);
}

async function register(): Promise<void> {
  try {
    const registration = await navigator.serviceWorker.register('/sw.js');
    const look = (): void => {
      // The very first is no new version of anything.
      if (registration.waiting && navigator.serviceWorker.controller) waiting.value = registration.waiting;
    };
    look();
    registration.addEventListener('updatefound', () => registration.installing?.addEventListener('statechange', look));
  } catch {
    // A private window, or storage that is full: the application works as long as its server does.
  }
}

/** Takes the new version: the page is opened anew in it. What was changed is kept before. */
export function takeNewVersion(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  waiting.value?.postMessage('take-over');
}
