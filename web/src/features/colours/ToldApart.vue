<script setup lang="ts">
import { formatList } from '@junctura/core/measure';
import { judgePairs, type JudgedPair } from '@junctura/core/advice';
import { seenAs, SEEING } from '@junctura/core/colour';
import { setShade, colourName } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed, ref } from 'vue';
import { SEEING_WORDS } from './words.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useWorkings } from '../../session/workings.ts';
import { useSelection } from '../../session/selection.ts';
import { useSettings } from '../../session/settings.ts';
import { useThreadBox } from '../../session/threadBox.ts';
import * as say from './words.ts';

/** Every pair of colours that touch, in every way of seeing; what cannot be told apart is mended by moving one shade. */
const opened = useOpenedPiece();
const workings = useWorkings();
const selection = useSelection();
const settings = useSettings();
const threads = useThreadBox();
const showsAll = ref(false);
const unfolded = ref<string | null>(null);

const pairs = computed(() =>
  workings.current ? judgePairs(workings.piece, workings.current.plan, workings.memory) : [],
);
const colours = computed(() => new Map(workings.piece.palette.map((colour) => [colour.id, colourName(colour)])));
const short = computed(() => pairs.value.filter((pair) => pair.short.length > 0));
const shown = computed(() => (showsAll.value ? pairs.value : short.value));

const SHORT_WORDS: Readonly<Record<JudgedPair['short'][number], string>> = {
  colour: 'look like one colour',
  lightness: 'equally light',
  ladder: 'too close to be worth two skeins',
  armsLength: 'look alike from arm’s length',
  lamp: 'look alike by lamplight',
  blind: 'look alike to colour-blind people',
};
function words({ short: missing }: JudgedPair): string {
  return missing.length === 0 ? 'clearly different' : formatList(missing.map((word) => SHORT_WORDS[word]));
}
const keyOf = ({ a, b }: JudgedPair): string => `${a} ${b}`;
/** Shades that are owned come first: of equally good ones the earlier is taken. */
const shades = computed(() => threads.offersIn(workings.kinds).all);
const refused = ref<string | null>(null);
async function mend(pair: JudgedPair): Promise<void> {
  const { piece } = opened;
  const wantsLightness = pair.short.includes('lightness');
  const answer = await workings.planner.ask(
    'mendPair',
    { piece, factors: settings.factors, pair, shades: shades.value, wantsLightness },
    { key: 'mend' },
  );
  if (!answer || opened.piece !== piece) return;
  const change = answer.ok ? answer.value : null;
  refused.value = change ? null : keyOf(pair);
  if (change) opened.edit(setShade(piece, change.colour, change.shade));
}
const partNames = (pair: JudgedPair): string => {
  const [first] = pair.where;
  const [one, two] = first!.map(opened.nameOf);
  return say.whereTouching(one!, two!, pair.where.length - 1);
};
const ROWS = [...SEEING, 'armsLength'] as const;
</script>

<template>
  <section class="apart" aria-label="Colours that touch" data-test="told-apart">
    <div class="head">
      <h3>Can you tell them apart?</h3>
      <button v-if="pairs.length > short.length" type="button" class="plain link small" @click="showsAll = !showsAll">
        {{ showsAll ? 'Show only those to check' : say.allPairs(pairs.length) }}
      </button>
    </div>
    <p v-if="pairs.length === 0" class="small soft">No two colours touch in this piece.</p>
    <p v-else-if="short.length === 0" class="small good">
      {{ say.allDistinct(pairs.length) }}
    </p>
    <ul>
      <li v-for="pair in shown" :key="keyOf(pair)">
        <button
          type="button"
          class="plain both"
          :aria-expanded="unfolded === keyOf(pair)"
          @click="unfolded = unfolded === keyOf(pair) ? null : keyOf(pair)"
        >
          <span class="two">
            <span :style="{ background: colours.get(pair.a)?.hex }"></span>
            <span :style="{ background: colours.get(pair.b)?.hex }"></span>
          </span>
          <span>
            {{ partNames(pair) }}<br /><span class="small" :class="pair.short.length > 0 ? 'warning' : 'soft'">{{
              words(pair)
            }}</span>
          </span>
          <span class="figure small soft">{{ say.difference(pair.separation.daylight) }}</span>
        </button>
        <div v-if="unfolded === keyOf(pair)" class="detail">
          <p class="small soft">
            {{
              say.lightnessApart(
                colours.get(pair.a)?.name ?? '',
                colours.get(pair.b)?.name ?? '',
                pair.separation.lightness,
              )
            }}
          </p>
          <table class="small">
            <tbody>
              <tr v-for="seeing in ROWS" :key="seeing">
                <th scope="row">{{ SEEING_WORDS[seeing] }}</th>
                <td>
                  <span
                    v-for="id in [pair.a, pair.b]"
                    :key="id"
                    class="chip"
                    :style="{
                      background: seeing === 'armsLength' ? colours.get(id)!.hex : seenAs(colours.get(id)!.hex, seeing),
                    }"
                  ></span>
                </td>
                <td class="figure">{{ say.difference(pair.separation[seeing]) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div v-if="pair.short.length > 0" class="row">
          <NButton size="tiny" @click="mend(pair)">Change one shade</NButton>
          <NButton size="tiny" quaternary @click="selection.pick([...new Set(pair.where.flat())])">Show where</NButton>
          <span v-if="refused === keyOf(pair)" class="small warning" role="alert"
            >Changing one shade from your cards is not enough.</span
          >
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.apart {
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
.both {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  width: 100%;
  line-height: 1.3;
}
.two {
  display: flex;
  height: 34px;
  border-radius: 6px;
  overflow: hidden;
}
.two span {
  flex: 1;
}
.row {
  gap: 6px;
  margin: 3px 0 0 64px;
}
.detail {
  margin: 6px 0 4px 64px;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 1px 12px 1px 0;
}
td {
  padding: 1px 10px 1px 0;
}
.chip {
  display: inline-block;
  width: 26px;
  height: 16px;
  vertical-align: middle;
}
</style>
