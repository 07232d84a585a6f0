import { z, type UnitSystem } from '@junctura/core/measure';
import { defineStore } from 'pinia';
import { ref, watch } from 'vue';

const KEY = 'junctura-settings';

const schema = z.object({
  units: z.enum(['metric', 'inch']).catch('metric'),
  theme: z.enum(['light', 'lamp']).catch('light'),
  /** Whether the first visit is over: it opens a piece to look at. */
  welcomed: z.boolean().catch(false),
  /** What a bar of 100 mm measures on this screen, for true size. */
  screenBarMm: z.number().min(40).max(250).catch(100),
  /** How wide the person's thread lies and how long her stitches are, as shares of the usual. */
  own: z
    .object({ width: z.number().min(0.5).max(2), stitch: z.number().min(0.5).max(2) })
    .catch({ width: 1, stitch: 1 }),
});

/** What the person likes, kept in this browser. */
export const useSettings = defineStore('settings', () => {
  const stored = schema.parse(readStored());
  const units = ref<UnitSystem>(stored.units);
  const theme = ref(stored.theme);
  const screenBarMm = ref(stored.screenBarMm);
  const own = ref(stored.own);
  const welcomed = ref(stored.welcomed);
  watch([units, theme, screenBarMm, own, welcomed], () => {
    try {
      localStorage.setItem(
        KEY,
        JSON.stringify({
          units: units.value,
          theme: theme.value,
          screenBarMm: screenBarMm.value,
          own: own.value,
          welcomed: welcomed.value,
        }),
      );
    } catch {
      // Without storage the choice holds until the page is closed.
    }
  });
  watch(theme, (name) => (document.documentElement.dataset['theme'] = name), { immediate: true });
  return { units, theme, screenBarMm, own, welcomed };
});

function readStored(): object {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}');
    return typeof value === 'object' && value !== null ? value : {};
  } catch {
    return {};
  }
}
