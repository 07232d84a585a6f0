import { newId } from '../keeping/newId.ts';
import { reimport } from '@junctura/core/drawing';
import { type Outcome } from '@junctura/core/measure';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import type { PieceFile } from '@junctura/core/piece';
import { chooseFile, PICTURES } from '../keeping/files.ts';
import { readFile, type ReadFile } from '../keeping/readFile.ts';
import { PlannerClient } from '../workers/plannerClient.ts';
import { pieceRoute } from './pieceRoute.ts';
import { useOpenedPiece } from './openedPiece.ts';
import { useTidying } from './tidying.ts';
import { useKeeper, type Adopted } from './keeper.ts';
import * as say from './words.ts';

/** Reading that takes longer than this shows that it is under way and can be stopped, ms. */
const SHOW_AFTER_MS = 500;

/** No picture that can be worked on is larger. */
const MOST_PICTURE_BYTES = 80_000_000;

function isPicture({ type, name }: File): boolean {
  return /^image\/(png|jpeg|webp)$/.test(type) || /\.(png|jpe?g|webp)$/i.test(name);
}

function isBackup({ name, type }: File): boolean {
  return type === 'application/zip' || /\.zip$/i.test(name);
}

/** What is told of a piece that was there already. */
const TOLD: Readonly<Record<Adopted['became'], string | null>> = {
  new: null,
  merged: 'This piece was already on your bench: the two records are now merged.',
  beside:
    'The two records are now merged. The drawings differ: the one here stays, and the other is saved among its earlier versions (File menu).',
};

/** What can be opened. */
const ACCEPTED = `.svg,.json,.zip,image/svg+xml,application/json,application/zip,${PICTURES}`;

function isTooLarge({ size }: File): boolean {
  return size > MOST_PICTURE_BYTES;
}

function tooLarge({ name, size }: File): string {
  return say.pictureTooLarge(name, size / 1e6);
}

/** Files that are chosen or dropped, wherever in the application: read, and put on the bench or refused in a sentence. */
export const useIntake = defineStore('intake', () => {
  const opened = useOpenedPiece();
  const tidying = useTidying();
  const keeper = useKeeper();
  const router = useRouter();
  const readingName = ref<string | null>(null);
  const problem = ref<string | null>(null);
  /** How many pieces were put on the bench so. */
  const arrived = ref(0);
  /** What was done, for the person to read. */
  const told = ref<string | null>(null);
  /** Pictures that wait to be turned into parts, one after the other. */
  const pictures = shallowRef<readonly File[]>([]);
  const picture = computed(() => pictures.value[0] ?? null);
  /** A backup of a whole bench that waits to be looked into. */
  const backup = shallowRef<File | null>(null);
  let stop: (() => void) | null = null;

  /** Takes files one after the other: a single one is opened, several are put on the bench; each that is not is told, with why. */
  async function take(chosen: readonly File[] | FileList | null): Promise<void> {
    const files = [...(chosen ?? [])];
    if (files.length === 0) return;
    problem.value = told.value = null;
    stop?.();
    const packed = files.find(isBackup);
    if (packed) {
      backup.value = packed;
      if (files.length > 1) problem.value = 'Open a backup by itself, then add the other files.';
      await router.push({ name: 'bench' });
      return;
    }
    const brought = files.filter(isPicture);
    const refused: string[] = brought.filter(isTooLarge).map(tooLarge);
    const texts = files.filter((file) => !isPicture(file));
    const ids: string[] = [];
    for (const file of texts) {
      const read = await readOne(file);
      if (read === null) return;
      if (!read.ok) refused.push(read.problem);
      else {
        const adopted = await keeper.adopt(read.value);
        if (adopted === null) return;
        ids.push(adopted.id);
        if (read.value.isBareDrawing) tidying.expect(adopted.id);
        told.value = TOLD[adopted.became];
        arrived.value++;
      }
    }
    if (refused.length > 0) problem.value = refused.join(' ');
    if (ids.length === 1) await router.push(pieceRoute(ids[0]!, 'drawing'));
    if (ids.length > 1) {
      told.value = say.piecesAdded(ids.length);
      await router.push({ name: 'bench' });
    }
    pictures.value = brought.filter((file) => !isTooLarge(file));
  }

  /** Reads a drawing or a piece; null where the person stopped it. */
  async function readOne(file: File): Promise<Outcome<ReadFile> | null> {
    // A reader of its own: stopping it leaves the open piece's planner alone.
    const reader = new PlannerClient();
    let isStopped = false;
    const stopped = (): void => {
      isStopped = true;
      reader.close();
      readingName.value = null;
    };
    stop = stopped;
    const timer = setTimeout(() => (readingName.value = file.name), SHOW_AFTER_MS);
    const read = await readFile(file, reader, newId);
    clearTimeout(timer);
    if (isStopped) return null;
    stopped();
    return read;
  }

  /** Lets the picture go that is looked at: the next one is shown. */
  function nextPicture(): void {
    pictures.value = pictures.value.slice(1);
  }
  /** Says why a picture is not taken. */
  function refuse(why: string): void {
    nextPicture();
    problem.value = why;
  }

  /** Puts a piece that was read on the bench, and opens it. */
  async function adopt(file: PieceFile, step = 'drawing'): Promise<void> {
    nextPicture();
    const adopted = await keeper.adopt(file);
    if (adopted === null) return;
    told.value = TOLD[adopted.became];
    await router.push(pieceRoute(adopted.id, step));
  }

  /** Begins a piece from a drawing: after its few questions it is planned. */
  async function begin(file: File): Promise<void> {
    problem.value = told.value = null;
    const read = await readOne(file);
    if (read === null) return;
    if (!read.ok) {
      problem.value = read.problem;
      return;
    }
    const adopted = await keeper.adopt(read.value);
    if (adopted === null) return;
    arrived.value++;
    if (read.value.isBareDrawing) tidying.expect(adopted.id);
    // What is saved as a piece was begun before.
    if (read.value.isBareDrawing) await router.push({ name: 'begin', params: { id: adopted.id } });
    else await router.push(pieceRoute(adopted.id, 'drawing'));
  }

  /** Lets the person choose a drawing or picture to begin with; a piece or a backup is opened. */
  function chooseToBegin(): void {
    chooseFile(ACCEPTED, (file) => void (/\.svg$/i.test(file.name) ? begin(file) : take([file])));
  }

  /** Lets the person choose a file. */
  function choose(): void {
    chooseFile(ACCEPTED, (file) => void take([file]));
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
    told.value = say.drawingUpdated(kept, added, removed);
  }

  function cancel(): void {
    stop?.();
  }

  /** Takes what is pasted outside a field: a picture, a file, or the text of a drawing. */
  function paste({ target, clipboardData }: ClipboardEvent): void {
    if (target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]')) return;
    const files = [...(clipboardData?.files ?? [])];
    const text = clipboardData?.getData('text/plain').trim() ?? '';
    if (files.length > 0) return void take(files);
    if (/^(<\?xml[^>]*>\s*)?(<!--[^]*?-->\s*)?<svg[\s>]/.test(text))
      void take([new File([text], 'Pasted drawing.svg')]);
  }

  return {
    readingName,
    problem,
    told,
    arrived,
    picture,
    backup,
    take,
    adopt,
    refuse,
    nextPicture,
    paste,
    begin,
    choose,
    chooseToBegin,
    chooseChanged,
    cancel,
  };
});
