import { newId } from '../../keeping/newId.ts';
import {
  DEFAULT_THREAD,
  joinList,
  readCsv,
  readGpl,
  writeCsv,
  writeGpl,
  type BoxEntry,
  type Joining,
  type JoiningWays,
  type MatchedColumns,
  type OwnCard,
  type ReadList,
  type ThreadId,
} from '@junctura/core/materials';
import { shortened, type Outcome } from '@junctura/core/measure';
import { computed, markRaw, ref, shallowRef } from 'vue';
import { chooseFile, fileName, saveFile } from '../../keeping/files.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import * as say from './words.ts';

/** No list of threads is larger. */
const MOST_BYTES = 12_000_000;

/** A list as it was chosen. */
interface OpenedList {
  readonly name: string;
  readonly text: string;
}

const isAdded = ({ became }: Joining['rows'][number]): boolean => became === 'added';

/** How many rows of a list became what. */
export function countRows({ rows }: Joining, leftOut: number): say.RowCounts {
  const count = (kind: string): number => rows.filter(({ became }) => became === kind).length;
  return { rows: rows.length + leftOut, added: count('added'), joined: count('joined'), same: count('same'), leftOut };
}

/** Lists and cards in and out of the thread box. What is brought in is one change, and can be undone. */
export function useBoxFiles(chosen: () => readonly BoxEntry[]) {
  const threads = useThreadBox();
  const problem = ref<string | null>(null);
  const told = ref<string | null>(null);
  /** A list that is looked at before it is added, and what was said of it. */
  const list = shallowRef<OpenedList | null>(null);
  const matched = shallowRef<MatchedColumns>({});
  const ways = ref<JoiningWays>({ owned: 'add', doubtful: 'skeins' });

  async function take(file: File): Promise<void> {
    problem.value = null;
    told.value = null;
    if (file.size > MOST_BYTES) {
      problem.value = say.listTooLarge(file.name, file.size / 1e6);
      return;
    }
    const name = file.name.replace(/\.[a-z]+$/i, '');
    const text = await file.text();
    if (/^\uFEFF?\s*GIMP Palette/.test(text)) {
      const read = readGpl(text, name);
      if (!read.ok) problem.value = say.fileProblem(file.name, read.problem);
      else {
        putCard(name, read.value.shades, DEFAULT_THREAD);
        told.value = [say.shadesAdded(read.value.shades.length, name), ...read.value.notes].join(' ');
      }
      return;
    }
    matched.value = {};
    list.value = markRaw({ name, text });
    if (read.value?.ok === false) {
      problem.value = say.fileProblem(file.name, read.value.problem);
      list.value = null;
    } else if (read.value && isPlain(read.value.value)) put();
  }

  const readList = ({ name, text }: OpenedList): Outcome<ReadList> =>
    readCsv(text, { name, ranges: threads.ranges, matched: matched.value });

  /** Whether there is nothing to ask or tell: every row is a new thread, or a shade of a card. */
  function isPlain({ rows, leftOut, unknown }: ReadList): boolean {
    if (leftOut.length > 0 || unknown.length > 0) return false;
    if (rows.some(({ notes, doubt }) => notes.length > 0 || doubt !== null)) return false;
    return joining.value === null || joining.value.rows.every(isAdded);
  }

  /** What stands in the list that is looked at, as its columns are matched; null: none is looked at. */
  const read = computed((): Outcome<ReadList> | null => list.value && readList(list.value));
  const joining = computed((): Joining | null =>
    read.value?.ok && read.value.value.hasAmounts
      ? joinList(threads.box.entries, read.value.value.rows, ways.value, newId)
      : null,
  );

  /** A list with amounts goes into the box; shades alone become a card to choose from. */
  function put(): void {
    const name = list.value?.name ?? '';
    const [found, joined] = [read.value, joining.value];
    list.value = null;
    if (!found?.ok) return;
    const { rows, leftOut } = found.value;
    if (joined) {
      threads.change(say.importEntries(rows.length), { ...threads.box, entries: joined.entries });
      told.value = say.listAdded(countRows(joined, leftOut.length));
    } else {
      putCard(
        name,
        rows.map(({ entry }) => entry.shade),
        rows[0]!.entry.thread,
      );
      told.value = [say.shadesAdded(rows.length, name), ...leftOut.slice(0, 3).map(say.rowLeftOut)].join(' ');
    }
  }

  function putCard(name: string, shades: OwnCard['shades'], thread: ThreadId): void {
    const card = { id: newId('own-'), name: shortened(name, 80) || 'A shade card', thread };
    const whole: OwnCard = { ...card, shades: shades.map((shade) => ({ ...shade, range: card.id })) };
    threads.change(say.importCard(card.name), { ...threads.box, cards: [...threads.box.cards, whole] });
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

  return { problem, told, list, read, joining, matched, ways, put, choose, exportCsv, exportGpl, exportCard };
}
