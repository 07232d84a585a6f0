/** Nothing that is kept here is nested deeper. */
const MOST_DEPTH = 100;
const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [34, 92, 91, 93, 123, 125] as const;

/**
 * Parses JSON that comes from outside. What is nested deeper than anything here ever is, is refused before it is parsed, which would take seconds.
 * @throws {SyntaxError} as `JSON.parse` does
 */
export function parseJson(text: string): unknown {
  let [depth, isText] = [0, false];
  for (let i = 0; i < text.length; i++) {
    const sign = text.charCodeAt(i);
    if (isText) {
      if (sign === BACKSLASH) i++;
      else if (sign === QUOTE) isText = false;
    } else if (sign === QUOTE) isText = true;
    else if (sign === OPEN_LIST || sign === OPEN_OBJECT) {
      if (++depth > MOST_DEPTH) throw new SyntaxError('It is nested too deeply.');
    } else if (sign === CLOSE_LIST || sign === CLOSE_OBJECT) depth--;
  }
  return JSON.parse(text) as unknown;
}
