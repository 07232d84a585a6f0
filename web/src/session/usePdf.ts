import type { Page } from '@junctura/core/paper';
import { ref, type Ref } from 'vue';
import { fileName } from '../keeping/files.ts';
import { savePdf } from '../keeping/savePdf.ts';
import { useOpenedPiece } from './openedPiece.ts';

/** Saves pages of the open piece as a PDF, and says how that went. */
export function usePdf(): {
  readonly isSaving: Ref<boolean>;
  /** What the person should know of the last one; null: all is well. */
  readonly problem: Ref<string | null>;
  /** @param ending what the file is called after the piece, such as `-pattern.pdf` */
  save(pages: readonly Page[], ending: string, pictures?: Readonly<Record<string, Uint8Array>>): Promise<void>;
} {
  const opened = useOpenedPiece();
  const isSaving = ref(false);
  const problem = ref<string | null>(null);
  return {
    isSaving,
    problem,
    async save(pages, ending, pictures) {
      const { name } = opened.piece;
      isSaving.value = true;
      problem.value = await savePdf(pages, name, fileName(name, ending), pictures);
      isSaving.value = false;
    },
  };
}
