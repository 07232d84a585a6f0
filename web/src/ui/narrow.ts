/** Whether the window is as narrow as a phone's: the desk has no room in it. */
export function isNarrow(): boolean {
  return globalThis.matchMedia?.('(max-width: 640px)').matches ?? false;
}
