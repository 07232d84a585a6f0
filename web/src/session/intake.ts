import { newId } from '../keeping/newId.ts';
import { reimport } from '@junctura/core/drawing';
import { plural } from '@junctura/core/measure';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import type { PieceFile } from '@junctura/core/piece';
import { chooseFile, PICTURES } from '../keeping/files.ts';
import { readFile } from '../keeping/readFile.ts';
import { PlannerClient } from '../workers/plannerClient.ts';
import { useOpenedPiece } from './openedPiece.ts';
import { useKeeper } from './keeper.ts';

/** Reading that takes longer than this shows that it is under way and can be stopped, ms. */
const SHOW_AFTER_MS = 500;

/** No picture that can be worked on is larger. */
const MOST_PICTURE_BYTES = 80_000_000;

function isPicture({ type, name }: File): boolean {
  return /^image\/(png|jpeg|webp)$/.test(type) || /\.(png|jpe?g|webp)$/i.test(name);
}

/** Files that are chosen or dropped, wherever in the application: read, and put on the bench or refused in a sentence. */
export const useIntake = defineStore('intake', () => {
  const opened = useOpenedPiece();
  const keeper = useKeeper();
  const router = useRouter();
  const readingName = ref<string | null>(null);
  const problem = ref<string | null>(null);
  /** What was done, for the person to read. */
  const told = ref<string | null>(null);
  /** A picture that waits to be turned into parts. */
  const picture = shallowRef<File | null>(null);
  let stop: (() => void) | null = null;

  async function take(files: readonly File[] | FileList | null): Promise<void> {
    const file = files?.[0];
    if (!file) return;
    problem.value = null;
    stop?.();
    if (isPicture(file)) {
      if (file.size > MOST_PICTURE_BYTES) {
        problem.value = `${file.name}: the picture is too large (${Math.round(file.size / 1e6)} MB); up to 80 MB are read.`;
      } else picture.value = file;
      return;
    }
    // A reader of its own: stopping it leaves the open piece's planner alone.
    const reader = new PlannerClient();
    let isStopped = false;
    stop = () => {
      isStopped = true;
      reader.close();
      readingName.value = null;
    };
    const timer = setTimeout(() => (readingName.value = file.name), SHOW_AFTER_MS);
    const stopped = stop;
    const read = await readFile(file, reader, newId);
    clearTimeout(timer);
    if (isStopped) return;
    stopped();
    if (!read.ok) {
      problem.value = read.problem;
      return;
    }
    await adopt(read.value);
  }

  /** Says why a picture is not taken. */
  function refuse(why: string): void {
    picture.value = null;
    problem.value = why;
  }

  /** Puts a piece that was read on the bench, and opens it. */
  async function adopt(file: PieceFile): Promise<void> {
    picture.value = null;
    const id = await keeper.adopt(file);
    await router.push({ name: 'piece', params: { id, step: 'drawing' } });
  }

  /** Lets the person choose a file. */
  function choose(): void {
    chooseFile(`.svg,.json,image/svg+xml,application/json,${PICTURES}`, (file) => void take([file]));
  }

  /** Lets the person choose the drawing of the open piece as it was changed elsewhere. */
  function chooseChanged(): void {
    chooseFile('.svg,image/svg+xml', (file) => void takeChanged(file));
  }

  async function takeChanged(file: File): Promise<void> {
    problem.value = null;
    const reader = new PlannerClient();
    const read = await readFile(file, reader, newId);
    reader.close();
    if (!read.ok) {
      problem.value = read.problem;
      return;
    }
    const { edit, kept, added, removed } = reimport(opened.piece, read.value.piece);
    opened.edit(edit);
    told.value = `${plural(kept, 'part')} kept what was chosen, ${added} new, ${removed} gone. Undo brings the old drawing back.`;
  }

  function cancel(): void {
    stop?.();
  }

  return { readingName, problem, told, picture, take, adopt, refuse, choose, chooseChanged, cancel };
});
