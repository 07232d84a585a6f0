import { z, type UnitSystem } from '@junctura/core/measure';
import { USUAL_HAND, type OwnHand } from '@junctura/core/plan';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';

const KEY = 'junctura-settings';

const share = z.number().min(0.5).max(2);

const schema = z.object({
  units: z.enum(['metric', 'inch']).catch('metric'),
  theme: z.enum(['light', 'lamp']).catch('light'),
  /** Whether the first visit is over: it opens a piece to look at. */
  welcomed: z.boolean().catch(false),
  /** What a bar of 100 mm measures on this screen, for true size. */
  screenBarMm: z.number().min(40).max(250).catch(100),
  /** How the person works, as shares of the usual: measured on the practice sampler, learned from her records. */
  own: z
    .object({
      width: share.catch(1),
      stitch: share.catch(1),
      thread: z.record(z.string(), share).catch({}),
      handSpread: z.number().min(0.001).max(1).catch(USUAL_HAND.handSpread),
    })
    .catch(USUAL_HAND),
  /** Records from before this day are no longer learned from: an ISO time; null: all are. */
  learnSince: z.iso.datetime().nullable().catch(null),
  /** What the person asks for an hour, where she sells. */
  rate: z.object({ perHour: z.number().min(0).max(10_000), coin: z.string().max(4) }).catch({ perHour: 0, coin: '€' }),
  /** What the bars of a printed page measure, 100 mm across and 50 mm down in the file. */
  printer: z
    .object({ acrossMm: z.number().min(50).max(150), downMm: z.number().min(25).max(75) })
    .catch({ acrossMm: 100, downMm: 50 }),
  /** Whether a hand that draws over a picture is led along its edges. */
  keepsToEdges: z.boolean().catch(true),
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
  const own = ref<OwnHand>(stored.own);
  /** How the person works, as a plain object that workers can be given. */
  const hand = computed((): OwnHand => ({ ...own.value, thread: { ...own.value.thread } }));
  const learnSince = ref(stored.learnSince);
  const rate = ref(stored.rate);
  const welcomed = ref(stored.welcomed);
  const printer = ref(stored.printer);
  const film = ref(stored.film);
  const keepsToEdges = ref(stored.keepsToEdges);
  watch([units, theme, screenBarMm, own, learnSince, rate, welcomed, printer, film, keepsToEdges], () => {
    try {
      localStorage.setItem(
        KEY,
        JSON.stringify({
          units: units.value,
          theme: theme.value,
          screenBarMm: screenBarMm.value,
          own: own.value,
          learnSince: learnSince.value,
          rate: rate.value,
          welcomed: welcomed.value,
          printer: printer.value,
          film: film.value,
          keepsToEdges: keepsToEdges.value,
        }),
      );
    } catch {
      // Without storage the choice holds until the page is closed.
    }
  });
  watch(theme, (name) => (document.documentElement.dataset['theme'] = name), { immediate: true });
  return { units, theme, screenBarMm, own, hand, learnSince, rate, welcomed, printer, film, keepsToEdges };
});

function readStored(): object {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(KEY) ?? '{}');
    return typeof value === 'object' && value !== null ? value : {};
  } catch {
    return {};
  }
}
