import { computed, ref, type Ref } from 'vue';

/** Something that opens below a button, and closes where anything else is pressed. */
export interface Opening {
  readonly isOpen: Ref<boolean>;
  /** Whether it was ever opened. */
  readonly isUsed: Ref<boolean>;
  /** Where it hangs: the foot of the button, px in the window. */
  readonly place: Ref<{ readonly x: number; readonly y: number }>;
  press(event: MouseEvent): void;
  pressedElsewhere(event: Event): void;
}

/** @param side on which side of the button it hangs */
export function useOpening(side: 'left' | 'right'): Opening {
  const button = ref<HTMLElement | null>(null);
  const isOpen = ref(false);
  const place = ref({ x: 0, y: 0 });
  return {
    isOpen,
    isUsed: computed(() => button.value !== null),
    place,
    press(event) {
      button.value = event.currentTarget as HTMLElement;
      const box = button.value.getBoundingClientRect();
      place.value = { x: box[side], y: box.bottom + 4 };
      isOpen.value = !isOpen.value;
    },
    // The button itself closes it by being pressed.
    pressedElsewhere(event) {
      if (!button.value?.contains(event.target as Node)) isOpen.value = false;
    },
  };
}
