import { hoopAboutAll } from '@junctura/core/drawing';
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import { DEMOS } from '../keeping/demos.ts';
import { ThumbnailStore } from '../keeping/thumbnailStore.ts';
import { hoopInSightMm } from '../picture/ringShape.ts';
import type { ReadyPicture } from '../picture/usePainting.ts';
import { useOpenedPiece } from '../session/openedPiece.ts';

/**
 * The little picture of the open piece that the bench painted last, or that came with a demo: it stands in the hoop until the piece is planned
 * and painted. What was changed since is seen a moment later.
 * @param isWanted whether there is nothing better yet
 */
export function useReadyPicture(isWanted: () => boolean): Readonly<Ref<ReadyPicture | null>> {
  const opened = useOpenedPiece();
  const thumbnails = new ThumbnailStore();
  const ready = shallowRef<ReadyPicture | null>(null);

  async function find(id: string): Promise<void> {
    const kept = await thumbnails.last(id);
    const demo = DEMOS.find((entry) => entry.id === id);
    try {
      const blob = kept?.picture ?? (demo && (await (await fetch(demo.picture)).blob()));
      const hoop = hoopAboutAll(opened.piece);
      const reachMm = kept?.reachMm ?? (hoop ? hoopInSightMm(hoop) : null);
      if (!blob || reachMm === null || id !== opened.piece.id || !isWanted()) return;
      show({ picture: await createImageBitmap(blob), reachMm });
    } catch {
      // Without it the hoop is empty a little longer.
    }
  }

  function show(next: ReadyPicture | null): void {
    ready.value?.picture.close();
    ready.value = next;
  }

  watch(
    () => opened.piece.id,
    (id) => {
      show(null);
      if (isWanted()) void find(id);
    },
    { immediate: true },
  );
  onScopeDispose(() => show(null));
  return ready;
}
