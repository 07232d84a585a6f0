import { readPiece, renamePiece, applyEdit, writePiece } from '@junctura/core/piece';
import { DocumentStore } from '../../web/src/keeping/documentStore.ts';
import { PieceStore } from '../../web/src/keeping/pieceStore.ts';
import { median } from './median.ts';

const ROUNDS = 60;
/** Writing takes so little that it is done so often in each round. */
const TIMES = 10;

/** What a save takes, what writing the piece's text takes, and what keeping a single number in the same storage takes, ms. */
export interface SavingTimes {
  readonly savingMs: number;
  readonly writingMs: number;
  readonly leastMs: number;
}

async function savingTimes(text: string): Promise<SavingTimes> {
  const read = readPiece(text);
  if (!read.ok) throw new Error(read.problem);
  const now = (): number => Date.now();
  const [store, number] = [new PieceStore(now), new DocumentStore('number', now)];
  let piece = read.value;
  const times = { saving: [] as number[], writing: [] as number[], least: [] as number[] };
  let letters = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const edited = applyEdit(piece, renamePiece(piece, `Round ${round}`)!);
    if (!edited.ok) throw new Error(edited.problem);
    piece = edited.value;
    times.saving.push(await timed(() => store.save(piece, round)));
    times.least.push(await timed(() => number.save(round, round)));
    times.writing.push(
      (await timed(() => {
        for (let i = 0; i < TIMES; i++) letters += writePiece(piece).length;
      })) / TIMES,
    );
  }
  if (letters === 0) throw new Error('nothing was written');
  const of = (list: readonly number[]): number => median(list.slice(ROUNDS / 2));
  return { savingMs: of(times.saving), writingMs: of(times.writing), leastMs: of(times.least) };
}

async function timed(work: () => unknown): Promise<number> {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

Object.assign(window, { savingTimes });
