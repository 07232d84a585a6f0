/** An id that nothing has yet, for what is made in this browser: pieces, entries, cards, colourways. */
export function newId(prefix = ''): string {
  return prefix + crypto.randomUUID();
}
