import type { TidiedDrawing } from '@junctura/core/drawing';
import type { Piece } from '@junctura/core/piece';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';

interface LastTidied extends TidiedDrawing {
  readonly asDrawn: Piece;
}

/** Drawings that have just come in, and how the one that was tidied last was drawn. */
export const useTidying = defineStore('tidying', () => {
  const expected = ref<ReadonlySet<string>>(new Set());
  /** The piece as it was drawn, and what tidying it left: once that is changed, rules are no longer taken back one by one. */
  const last = shallowRef<LastTidied | null>(null);

  /** A drawing from elsewhere came in: it is tidied when it is looked at first. */
  function expect(id: string): void {
    expected.value = new Set([...expected.value, id]);
  }

  /** Whether a piece is to be tidied now; asked once. */
  function isDue(id: string): boolean {
    const isExpected = expected.value.has(id);
    expected.value = new Set([...expected.value].filter((other) => other !== id));
    return isExpected;
  }

  return { last, expect, isDue };
});
