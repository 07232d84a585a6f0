<script setup lang="ts">
import { localDay, noonOf } from '@junctura/core/measure';
import { hoopAboutAll } from '@junctura/core/drawing';
import { nearestShade, refOf } from '@junctura/core/materials';
import { setCalendar, setLevels, takeShades, withoutLadders } from '@junctura/core/piece';
import { dayFor, doneBy } from '@junctura/core/thread';
import { NButton } from 'naive-ui';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import HoopRing from '../../hoop/HoopRing.vue';
import { hoopInSightMm } from '../../picture/ringShape.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useSettings } from '../../session/settings.ts';
import { useShop } from '../../session/shop.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import { pictures } from '../../workers/workerPool.ts';
import type { ShownVersion } from '../../workers/jobs.ts';
import * as say from './words.ts';

/** A piece stitched as much as each level says, and as the hours allow, side by side: one press uses one. */
const props = defineProps<{ hours: number | null }>();
const emit = defineEmits<{ chosen: [] }>();

const opened = useOpenedPiece();
const settings = useSettings();
const threads = useThreadBox();
const shop = useShop();
void shop.ask();

const PIXELS = 360;
const NAMES: Readonly<Record<ShownVersion['kind'], string>> = {
  simple: 'Simple',
  usual: 'Usual',
  rich: 'Rich',
  within: 'Within your hours',
};
const USE: Readonly<Record<ShownVersion['kind'], string>> = {
  simple: 'Use the simple version',
  usual: 'Use the usual version',
  rich: 'Use the rich version',
  within: 'Use what fits my hours',
};
const ORDER: readonly ShownVersion['kind'][] = ['simple', 'within', 'usual', 'rich'];
const found = shallowRef<ReadonlyMap<ShownVersion['kind'], ShownVersion>>(new Map());
const isBusy = ref(false);
const problem = ref<string | null>(null);
const used = ref<ShownVersion['kind'] | null>(null);
const shown = computed(() => ORDER.flatMap((kind) => found.value.get(kind) ?? []));
/** Levels are what is compared: a piece that takes one of them has the same versions as before. */
const comparedBy = computed(() => [
  opened.piece.id,
  opened.piece.hoop,
  opened.piece.placement,
  opened.piece.use,
  opened.piece.cloth,
  opened.piece.worker.layers,
  withoutLadders(opened.piece.palette, opened.piece.drawing.parts)
    .map(({ id, hex, shade }) => `${id}${hex}${shade?.code ?? ''}`)
    .join(),
  opened.piece.drawing.parts.map(({ id, passes }) => `${id}${passes === null ? '' : '!'}`).join(),
  props.hours === null ? null : Math.round(props.hours * 4),
  threads.box,
]);

const WAIT_MS = 500;
let timer: ReturnType<typeof setTimeout> | undefined;
let gone = new AbortController();
watch(comparedBy, (now, before) => {
  if (now.some((value, i) => value !== before[i])) later();
});
function later(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void compare(), WAIT_MS);
}
async function compare(): Promise<void> {
  gone.abort();
  gone = new AbortController();
  const { signal } = gone;
  isBusy.value = true;
  problem.value = null;
  const fresh = new Map<ShownVersion['kind'], ShownVersion>();
  const answer = await pictures.ask(
    'versions',
    { piece: opened.piece, factors: settings.factors, box: threads.box, hours: props.hours, pixels: PIXELS },
    {
      signal,
      onProgress: (version) => {
        if (signal.aborted) return version.picture.close();
        fresh.set(version.kind, version);
        found.value = new Map(fresh);
      },
    },
  );
  if (signal.aborted) return;
  isBusy.value = false;
  if (answer && !answer.ok) problem.value = answer.problem;
}
later();
onBeforeUnmount(() => {
  clearTimeout(timer);
  gone.abort();
});

function use(version: ShownVersion): void {
  const { level, of, shaded } = version.choice;
  const mergeKey = `version ${opened.piece.id}`;
  const levels = setLevels(opened.piece, level, of, shaded);
  opened.edit(levels && { ...levels, mergeKey });
  // What is bought has a shade: those that were only drawn take their nearest, in the same action.
  const open = opened.piece.palette.filter(({ shade }) => shade === null);
  const nearest = new Map(open.map(({ id, hex }) => [id, { shade: refOf(nearestShade(hex).item), second: null }]));
  const shades = open.length > 0 ? takeShades(opened.piece, nearest, levels?.label ?? 'Choose shades') : null;
  opened.edit(shades && { ...shades, mergeKey });
  used.value = version.kind;
  emit('chosen');
}
/** What is to buy costs; null where the shop does not say of each. */
function priceOf({ toBuy }: ShownVersion): number | null {
  const prices = toBuy.map(({ shade, skeins }) => {
    const price = shop.threadOf(shade)?.price;
    return price === undefined ? null : price * skeins;
  });
  return prices.includes(null) ? null : prices.reduce<number>((sum, price) => sum + price!, 0);
}
const coin = computed(() => shop.stock?.coin ?? settings.rate.coin);
const today = localDay(new Date());
function oddsOf({ hours }: ShownVersion): number | null {
  const day = opened.piece.calendar.doneBy;
  const done = day === null ? null : doneBy(day, today, hours.p50, opened.piece.worker);
  return done?.type === 'ahead' ? done.odds : null;
}
const hoop = computed(() => hoopAboutAll(opened.piece));
const reachMm = computed(() => (hoop.value ? hoopInSightMm(hoop.value) : 60));
const ringBox = computed(() => `${-reachMm.value} ${-reachMm.value} ${2 * reachMm.value} ${2 * reachMm.value}`);
const skeinsOf = ({ toBuy }: ShownVersion): number => toBuy.reduce((sum, { skeins }) => sum + skeins, 0);

function draw(element: unknown, { picture }: ShownVersion): void {
  if (!(element instanceof HTMLCanvasElement) || picture.width === 0) return;
  element.width = element.height = PIXELS;
  element.getContext('2d')?.drawImage(picture, 0, 0);
}
/** The hours that were asked for, where even the simplest version takes more. */
const isTooShort = computed(() => {
  const simple = found.value.get('simple');
  return props.hours !== null && simple !== undefined && simple.hours.p50 > props.hours ? simple.hours.p50 : null;
});
/** The day by which the simplest version is to be had. */
const reachable = computed(() =>
  isTooShort.value === null ? null : dayFor(isTooShort.value, today, opened.piece.worker),
);
function planFor(doneBy: string): void {
  opened.edit(setCalendar(opened.piece, { doneBy }));
}
</script>

<template>
  <section aria-labelledby="versions" data-test="versions">
    <h2 id="versions">How much of it will you stitch?</h2>
    <p v-if="isTooShort !== null && hours !== null" role="status" class="short">
      {{ say.tooShort(hours, isTooShort) }}
      <NButton size="small" data-test="reachable" @click="planFor(reachable!)">{{
        say.readyBy(noonOf(reachable!))
      }}</NButton>
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul class="versions">
      <li
        v-for="version in shown"
        :key="version.kind"
        :class="{ used: used === version.kind }"
        :data-test="`version-${version.kind}`"
      >
        <div class="picture">
          <canvas :ref="(element) => draw(element, version)" aria-hidden="true"></canvas>
          <svg v-if="hoop" :viewBox="ringBox" aria-hidden="true">
            <HoopRing :hoop="hoop" :reach-mm="reachMm" />
          </svg>
        </div>
        <h3>
          {{
            version.kind === 'within' && version.within ? say.withinTitle(version.within.hours) : NAMES[version.kind]
          }}
        </h3>
        <p class="hours figure">{{ say.versionHours(version.hours) }}</p>
        <p v-if="oddsOf(version) !== null" class="small">{{ say.ready(oddsOf(version)!) }}</p>
        <p class="small">{{ say.whatToBuy(skeinsOf(version), priceOf(version), coin) }}</p>
        <p class="small soft">{{ say.inColours(version.colours) }} · {{ say.stitchesToKnow(version.stitches) }}</p>
        <template v-if="version.within">
          <p v-if="version.within.less.length > 0" class="small soft">{{ say.stitchedLess(version.within.less) }}</p>
          <p v-if="version.within.nextHour.length > 0" class="small soft">
            {{ say.nextHour(version.within.nextHour) }}
          </p>
        </template>
        <NButton
          :type="used === version.kind ? 'primary' : 'default'"
          :data-test="`use-${version.kind}`"
          @click="use(version)"
          >{{ used === version.kind ? 'In use' : USE[version.kind] }}</NButton
        >
      </li>
      <li v-if="isBusy" class="busy soft" role="status">Working out the versions…</li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 12px;
}
h2,
h3 {
  margin: 0;
}
.versions {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(216px, 1fr));
  gap: 16px;
}
li {
  display: grid;
  align-content: start;
  gap: 6px;
  padding: 14px;
  border: 1px solid var(--chalk);
  border-radius: 8px;
  background: var(--paper);
}
li.used {
  border-color: var(--madder);
}
li.busy {
  place-content: center;
  min-height: 200px;
}
.picture {
  position: relative;
  aspect-ratio: 1;
  --linen-deep: var(--paper);
}
canvas,
.picture svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
canvas {
  border-radius: 50%;
}
h3 {
  font-family: var(--serif);
  font-size: 20px;
}
.hours {
  font-size: 18px;
}
.short {
  padding: 8px 12px;
  background: var(--weld-ground);
  border-radius: 5px;
}
</style>
