/** Whether an element is typed into. */
export function isTextField(element: EventTarget | null | undefined): element is HTMLElement {
  const { tagName, type } = (element ?? {}) as { tagName?: string; type?: string };
  return tagName === 'TEXTAREA' || (tagName === 'INPUT' && type !== 'checkbox' && type !== 'radio');
}

/** Takes what is being typed: a field says what it holds when it loses the focus. */
export function finishTyping(): void {
  const field = globalThis.document?.activeElement;
  if (isTextField(field)) field.blur();
}

/** A number as people type it, with a point or a comma, with its unit or without: “117”, “1,5 mm”, “60°”; NaN where it is none. */
export function numberTyped(text: string, unit: string): number {
  const bare = text.trim();
  const number = unit !== '' && bare.endsWith(unit) ? bare.slice(0, -unit.length).trim() : bare;
  return number === '' ? NaN : Number(number.replace(',', '.'));
}
