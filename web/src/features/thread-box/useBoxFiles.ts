import { newId } from '../../keeping/newId.ts';
import {
  readCsv,
  readGpl,
  writeCsv,
  writeGpl,
  type BoxEntry,
  type OwnCard,
  type ReadCard,
} from '@junctura/core/materials';
import { shortened, type Outcome } from '@junctura/core/measure';
import { ref } from 'vue';
import { chooseFile, fileName, saveFile } from '../../keeping/files.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import * as say from './words.ts';

/** No list of threads is larger. */
const MOST_BYTES = 12_000_000;

/** Lists and cards in and out of the thread box. What is brought in is one change, and can be undone. */
export function useBoxFiles(chosen: () => readonly BoxEntry[]) {
  const threads = useThreadBox();
  const problem = ref<string | null>(null);
  const told = ref<string | null>(null);

  async function take(file: File): Promise<void> {
    problem.value = null;
    told.value = null;
    if (file.size > MOST_BYTES) {
      problem.value = say.listTooLarge(file.name, file.size / 1e6);
      return;
    }
    const name = file.name.replace(/\.[a-z]+$/i, '');
    const read = readAny(await file.text(), name);
    if (!read.ok) problem.value = say.fileProblem(file.name, read.problem);
    else put(read.value, name);
  }

  function readAny(text: string, name: string): Outcome<ReadCard> {
    return /^\uFEFF?\s*GIMP Palette/.test(text) ? readGpl(text, name) : readCsv(text, name);
  }

  /** A list with amounts goes into the box; shades alone become a card to choose from. */
  function put({ entries, hasAmounts, notes }: ReadCard, name: string): void {
    if (hasAmounts) {
      threads.addEntries(
        say.importEntries(entries.length),
        entries.map((entry) => ({ ...entry, id: newId() })),
      );
    } else {
      const card: OwnCard = {
        id: newId('own-'),
        name: shortened(name, 80) || 'A shade card',
        thread: entries[0]!.thread,
        shades: entries.map(({ shade }) => shade),
      };
      const whole = { ...card, shades: card.shades.map((shade) => ({ ...shade, range: card.id })) };
      threads.change(say.importCard(card.name), { ...threads.box, cards: [...threads.box.cards, whole] });
    }
    const done = hasAmounts ? say.entriesAdded(entries.length) : say.shadesAdded(entries.length, name);
    told.value = [done, ...notes].join(' ');
  }

  function choose(): void {
    chooseFile('.csv,.tsv,.txt,.gpl,text/csv', (file) => void take(file));
  }

  function exportCsv(): void {
    saveFile('thread-box.csv', writeCsv(chosen()), 'text/csv');
  }
  function exportGpl(): void {
    const shades = chosen().map(({ shade }) => shade);
    saveFile('thread-box.gpl', writeGpl('Thread box', shades), 'text/plain');
  }
  function exportCard(card: OwnCard): void {
    saveFile(fileName(card.name, '.gpl'), writeGpl(card.name, card.shades), 'text/plain');
  }

  return { problem, told, choose, exportCsv, exportGpl, exportCard };
}
