import { fullness, type StoredPhoto } from '../keeping/database.ts';
import { chooseFile, PICTURES } from '../keeping/files.ts';
import { newId } from '../keeping/newId.ts';
import { PhotoStore } from '../keeping/photoStore.ts';
import { asKept } from '../picture/photograph.ts';
import { defineStore } from 'pinia';
import { computed, markRaw, ref, shallowRef, watch } from 'vue';
import { useOpenedPiece } from './openedPiece.ts';
import { useRecord } from './record.ts';

/** From this share of the browser's storage on, no photograph is begun. */
const FULL_SHARE = 0.97;

/** A photograph with an address under which the page shows it. */
export interface Photograph extends StoredPhoto {
  readonly url: string;
}

/** The photographs of the open piece. They stay in this browser. */
export const usePhotographs = defineStore('photographs', () => {
  const opened = useOpenedPiece();
  const record = useRecord();
  const store = markRaw(new PhotoStore());
  const all = shallowRef<readonly Photograph[]>([]);
  const problem = ref<string | null>(null);
  const bytes = computed(() => all.value.reduce((sum, { picture }) => sum + picture.size, 0));

  async function load(): Promise<void> {
    const { id } = opened.piece;
    const found = await store.of(id);
    if (id !== opened.piece.id) return;
    for (const { url } of all.value) URL.revokeObjectURL(url);
    all.value = found.ok ? found.value.map((photo) => ({ ...photo, url: URL.createObjectURL(photo.picture) })) : [];
    problem.value = found.ok ? null : found.problem;
  }

  /** Whether there is room for one more; else it is said before it is taken. */
  async function hasRoom(): Promise<boolean> {
    if (((await fullness()) ?? 0) < FULL_SHARE) return true;
    problem.value = 'This browser’s storage is full: remove some photographs or pieces first.';
    return false;
  }

  /** Keeps a photograph, and notes that it was taken. */
  async function add(file: Blob): Promise<void> {
    const made = await asKept(file);
    problem.value = made.ok ? null : made.problem;
    if (!made.ok) return;
    const photo: StoredPhoto = {
      id: newId(),
      pieceId: opened.piece.id,
      at: new Date().toISOString(),
      picture: made.value,
    };
    const kept = await store.keep(photo);
    if (!kept.ok) {
      problem.value = kept.problem;
      return;
    }
    await record.note({ type: 'photographed', photo: photo.id });
    await load();
  }

  /** Lets the person take or choose a photograph, where there is room for it. */
  async function take(): Promise<void> {
    if (await hasRoom()) chooseFile(PICTURES, (file) => void add(file), 'environment');
  }

  async function remove(id: string): Promise<void> {
    const removed = await store.remove(id);
    problem.value = removed.ok ? null : removed.problem;
    await load();
  }

  watch(() => opened.piece.id, load, { immediate: true });

  return { all, problem, bytes, take, remove };
});
