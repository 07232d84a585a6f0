import type { Seeing } from '@junctura/core/colour';
import { usesColour } from '@junctura/core/work';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { useOpenedPiece } from './openedPiece.ts';
import { useWorkings } from './workings.ts';

/** What a stroke or press on the hoop means while the pen is out. */
export interface Pen {
  readonly draws: 'guides' | 'eye' | 'vein' | 'borders' | 'points' | 'centre' | 'area' | 'line' | 'spot' | 'knife';
  /** Empty where what is drawn is to be a part itself. */
  readonly part: string;
  /** The pass that points belong to, by its place in the part. */
  readonly pass: number;
}

/** What of the open piece is looked at and worked on: parts, a colour, the pen, the way of seeing. Nothing of it is stored. */
export const useSelection = defineStore('selection', () => {
  const opened = useOpenedPiece();
  const workings = useWorkings();
  const picked = ref<string[]>([]);
  /** Whether parts are still being picked in a list, one after the other: it stays open. */
  const isListing = ref(false);
  /** Whether a press picks one more: for hands that have no keys. */
  const picksSeveral = ref(false);
  /** The colour whose thread alone is looked at. */
  const colourPicked = ref<string | null>(null);
  /** What was left on the needle when thread was noted last. */
  const onNeedle = shallowRef<{ colour: string; strands: number; leftMm: number } | null>(null);
  /** The way in which the hoop is seen: by day, by a lamp, without colour … */
  const seeing = ref<Seeing | 'armsLength'>('daylight');
  /** What is looked at where a part is painted from the picture: its stitches, the picture, one beside the other, or how they differ. */
  const looking = ref<'stitches' | 'half' | 'picture' | 'difference'>('stitches');
  /** The lie of what the picture shows, as short lines `x0, y0, x1, y1, …`, mm on the cloth; null: not looked at. */
  const lie = shallowRef<Float32Array | null>(null);
  /** What is being drawn on the hoop for a part, in place of picking. */
  const pen = ref<Pen | null>(null);
  /** How far the work is shown, where it is shown growing: whole steps of the order and a share of the next. */
  const place = ref(Infinity);
  const pickedPart = computed(() => opened.partOf(picked.value[0]) ?? null);

  function pick(ids: string[]): void {
    colourPicked.value = null;
    picked.value = ids;
    if (ids.length === 0) isListing.value = false;
    pen.value = null;
  }

  /** Picks a part more, or lets it go where it is picked. */
  function toggle(id: string): void {
    pick(picked.value.includes(id) ? picked.value.filter((other) => other !== id) : [...picked.value, id]);
  }

  /** Picks every part in which a colour is worked; the hoop can then show its thread alone. */
  function pickColour(id: string | null): void {
    const using = workings.current?.plan.parts.filter((planned) => id !== null && usesColour(planned, id)) ?? [];
    pick(using.map(({ part }) => part.id));
    colourPicked.value = id;
  }

  watch(
    () => opened.piece,
    (piece, before) => {
      if (piece.id !== before.id) {
        pick([]);
        picksSeveral.value = false;
        onNeedle.value = null;
        place.value = Infinity;
        looking.value = 'stitches';
        lie.value = null;
        return;
      }
      const there = new Set(piece.drawing.parts.map(({ id }) => id));
      if (!picked.value.every((id) => there.has(id))) picked.value = picked.value.filter((id) => there.has(id));
    },
    { flush: 'sync' },
  );

  return {
    place,
    looking,
    lie,
    picked,
    isListing,
    picksSeveral,
    pickedPart,
    pen,
    colourPicked,
    onNeedle,
    seeing,
    pick,
    toggle,
    pickColour,
  };
});
