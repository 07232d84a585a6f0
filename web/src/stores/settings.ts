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
  /** What the bars of a printed page measure, 100 mm across and 50 mm down in the file. */
  printer: z
    .object({ acrossMm: z.number().min(50).max(150), downMm: z.number().min(25).max(75) })
    .catch({ acrossMm: 100, downMm: 50 }),
  film: z
    .object({ widthMm: z.number().min(80).max(1000), heightMm: z.number().min(80).max(1000) })
    .catch({ widthMm: 180, heightMm: 260 }),
});

/** What the person likes, kept in this browser. */
export const useSettings = defineStore('settings', () => {
  const stored = schema.parse(readStored());
  const units = ref<UnitSystem>(stored.units);
  const theme = ref(stored.theme);
  const screenBarMm = ref(stored.screenBarMm);
  const own = ref(stored.own);
  const welcomed = ref(stored.welcomed);
  const printer = ref(stored.printer);
  const film = ref(stored.film);
  watch([units, theme, screenBarMm, own, welcomed, printer, film], () => {
    try {
      localStorage.setItem(
        KEY,
        JSON.stringify({
          units: units.value,
          theme: theme.value,
          screenBarMm: screenBarMm.value,
          own: own.value,
          welcomed: welcomed.value,
          printer: printer.value,
          film: film.value,
        }),
      );
    } catch {
      // Without storage the choice holds until the page is closed.
    }
  });
  watch(theme, (name) => (document.documentElement.dataset['theme'] = name), { immediate: true });
  return { units, theme, screenBarMm, own, welcomed, printer, film };
});

function readStored(): object {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}');
    return typeof value === 'object' && value !== null ? value : {};
  } catch {
    return {};
  }
}
