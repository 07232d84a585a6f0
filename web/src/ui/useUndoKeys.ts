import { useEventListener } from '@vueuse/core';
import { isTextField } from './typing.ts';

/** Whether a key is meant for what has the focus: a field that is typed into, or a list that letters and arrows choose from. */
export function isTyping({ target }: KeyboardEvent): boolean {
  return isTextField(target) || (target instanceof HTMLElement && target.closest('select, [contenteditable]') !== null);
}

/** Control or Command with Z undoes; with Shift, or with Y, it is done again. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || isTextField(event.target)) return;
    const letter = event.key.toLowerCase();
    if (letter !== 'z' && letter !== 'y') return;
    event.preventDefault();
    if (letter === 'y' || event.shiftKey) redo();
    else undo();
  });
}
