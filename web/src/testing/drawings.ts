/** A drawing of one's own, 60 mm square if nothing else is said. */
export function svg(body: string, attributes = 'width="60mm" height="60mm" viewBox="0 0 60 60"'): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
}
