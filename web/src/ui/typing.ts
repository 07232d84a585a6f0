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
