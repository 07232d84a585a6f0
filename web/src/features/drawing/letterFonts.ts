import { lineFont, outlineFont, type LetterFont } from '@junctura/core/drawing';
import { failure, type Outcome } from '@junctura/core/measure';
import courgette from '@fontsource/courgette/files/courgette-latin-400-normal.woff?url';
import lora from '@fontsource/lora/files/lora-latin-400-normal.woff?url';
import loraBold from '@fontsource/lora/files/lora-latin-700-normal.woff?url';
import allure from './lettering/EMSAllure.svg?url';
import elfin from './lettering/EMSElfin.svg?url';
import readability from './lettering/EMSReadability.svg?url';
import { CHECK_RUNNING } from '../../keeping/words.ts';

/** The alphabets that ship with the application. */
export const ALPHABETS = [
  { id: 'plain', name: 'Plain, one line', url: readability, kind: 'line' },
  { id: 'flowing', name: 'Flowing, one line', url: allure, kind: 'line' },
  { id: 'round', name: 'Round, one line', url: elfin, kind: 'line' },
  { id: 'book', name: 'Book letters, to fill', url: lora, kind: 'area' },
  { id: 'bold', name: 'Bold letters, to fill', url: loraBold, kind: 'area' },
  { id: 'brush', name: 'Brush letters, to fill', url: courgette, kind: 'area' },
] as const;
export type AlphabetId = (typeof ALPHABETS)[number]['id'];

const loaded = new Map<AlphabetId, Promise<Outcome<LetterFont>>>();

/** An alphabet, read once. */
export function loadAlphabet(id: AlphabetId): Promise<Outcome<LetterFont>> {
  const known = loaded.get(id) ?? load(id);
  loaded.set(id, known);
  return known;
}

async function load(id: AlphabetId): Promise<Outcome<LetterFont>> {
  const { url, kind } = ALPHABETS.find((alphabet) => alphabet.id === id)!;
  try {
    const response = await fetch(url);
    return kind === 'line' ? lineFont(await response.text()) : outlineFont(await response.arrayBuffer());
  } catch {
    loaded.delete(id);
    return failure(`The alphabet could not be loaded. ${CHECK_RUNNING}`);
  }
}
