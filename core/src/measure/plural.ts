/** A count with its noun in the right form: `1 part`, `3 parts`, `1,204 stitches`. */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
}
