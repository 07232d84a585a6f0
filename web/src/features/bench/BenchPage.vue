<script setup lang="ts">
import { formatDay } from '@junctura/core/measure';
import { newId } from '../../keeping/newId.ts';
import { AIR_MM } from '@junctura/core/materials';
import { finishProgress, mergeRecords } from '@junctura/core/log';
import { checkPiece, emptyPiece, PIECE_EXTENSION, plainHoop, type Piece, type PieceRecord } from '@junctura/core/piece';
import { NButton } from 'naive-ui';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import PieceThumbnail from '../../hoop/PieceThumbnail.vue';
import SettingsMenu from '../../session/SettingsMenu.vue';
import { DEMOS, loadDemo } from '../../keeping/demos.ts';
import { fileName, saveFile } from '../../keeping/files.ts';
import type { RemovedPiece } from '../../keeping/pieceStore.ts';
import type { TakeBack } from '../../session/wholeBench.ts';
import { pieceRoute } from '../../session/pieceRoute.ts';
import { useKeeper } from '../../session/keeper.ts';
import { useIntake } from '../../session/intake.ts';
import * as say from './words.ts';
import { BeginDoors } from '../begin/index.ts';
import { comesLater } from '../../ui/comesLater.ts';

/** What packs and unpacks is loaded when it is asked for. */
const BackupDialog = comesLater(() => import('./BackupDialog.vue'));
const keeper = useKeeper();
const intake = useIntake();

/** A piece with nothing drawn yet, in a usual hoop. */
function beginEmpty(): void {
  const piece = emptyPiece(newId(), 'A new piece');
  void intake.adopt({ piece: { ...piece, hoop: plainHoop(USUAL_HOOP_MM, AIR_MM.usual) }, record: [] });
}
const USUAL_HOOP_MM = 150;
const router = useRouter();
const problem = ref<string | null>(null);

interface Entry {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly piece: Piece | null;
  /** As it is stored; null: a demo as it came. */
  readonly stored: unknown;
  /** Whether it is a demo that was changed, and can be begun again. */
  readonly isChanged: boolean;
  /** Where a picture of it is had ready; null: it is painted. */
  readonly picture: string | null;
  /** Whether its record says that it is finished. */
  readonly isEnded: boolean;
}
const demos = shallowRef<Entry[]>([]);
const own = shallowRef<Entry[]>([]);
/** Where the pieces stand, and at which step each is opened. */
const shelves = computed(() => {
  const all = [...own.value, ...demos.value];
  const isLeft = ({ isEnded }: Entry): boolean => !isEnded;
  return [
    { name: 'On your bench', test: 'own', step: 'stitches', entries: own.value.filter(isLeft) },
    { name: 'Demo pieces to explore', test: 'demos', step: 'stitches', entries: demos.value.filter(isLeft) },
    { name: 'Finished', test: 'finished-shelf', step: 'finish', entries: all.filter(({ isEnded }) => isEnded) },
  ].filter(({ entries }) => entries.length > 0);
});

onMounted(refresh);
watch(() => intake.arrived, refresh);

async function refresh(): Promise<void> {
  await keeper.flush();
  const stored = await keeper.store.list();
  if (!stored.ok) problem.value = stored.problem;
  const kept = stored.ok ? stored.value : [];
  const records = await keeper.store.allRecords();
  const isEnded = (id: string, begun: PieceRecord = []): boolean =>
    finishProgress(mergeRecords(begun, (records.ok && records.value.get(id)) || [])).ended !== null;
  own.value = kept
    .filter(({ id }) => !id.startsWith('demo-'))
    .map(({ id, name, savedAt, piece }) => {
      const checked = checkPiece(piece);
      return {
        id,
        name,
        about: checked.ok ? say.savedOn(formatDay(new Date(savedAt))) : checked.problem,
        piece: checked.ok ? checked.value : null,
        stored: piece,
        isChanged: false,
        picture: null,
        isEnded: isEnded(id),
      };
    });
  demos.value = await Promise.all(
    DEMOS.map(async ({ id, name, about, picture: ready }) => {
      const changed = checkPiece(kept.find((entry) => entry.id === id)?.piece);
      const original = await loadDemo(id);
      const asItCame = original.ok ? original.value.piece : null;
      const piece = changed.ok ? changed.value : asItCame;
      const picture = changed.ok ? null : ready;
      const told = changed.ok ? 'Changed by you' : about;
      const called = changed.ok ? changed.value.name : name;
      const ended = isEnded(id, original.ok ? original.value.record : []);
      return { id, name: called, about: told, piece, stored: null, isChanged: changed.ok, picture, isEnded: ended };
    }),
  );
}

function open(id: string, step: string): void {
  void router.push(pieceRoute(id, step));
}

/** Removed at once, and put back as easily, whether it can be read or not. */
async function remove(entry: Entry): Promise<void> {
  const outcome = await keeper.store.remove(entry.id);
  if (!outcome.ok) problem.value = outcome.problem;
  await refresh();
  if (outcome.ok && outcome.value.stored) removed.value = outcome.value;
}
const removed = shallowRef<RemovedPiece | null>(null);
async function putBack(): Promise<void> {
  if (!removed.value) return;
  const outcome = await keeper.store.putBack(removed.value);
  if (outcome.ok) removed.value = null;
  else problem.value = outcome.problem;
  await refresh();
}

const backsUp = ref(false);
function closeBackup(): void {
  backsUp.value = false;
  intake.backup = null;
}
/** What a backup made of the bench, and how it is taken back. */
const restored = shallowRef<{ readonly told: string; readonly takeBack: TakeBack } | null>(null);
async function afterRestoring(told: string, takeBack: TakeBack): Promise<void> {
  closeBackup();
  restored.value = { told, takeBack };
  await refresh();
}
async function undoRestoring(): Promise<void> {
  const back = await restored.value?.takeBack();
  if (back?.ok) restored.value = null;
  else if (back) problem.value = back.problem;
  await refresh();
}

/** What is stored of a piece that can't be opened, to be kept elsewhere. */
function saveUnreadable({ name, stored }: Entry): void {
  saveFile(fileName(name, PIECE_EXTENSION), JSON.stringify(stored, null, 1), 'application/json');
}
</script>

<template>
  <main class="bench">
    <header>
      <h1>Junctura</h1>
      <p class="soft">Your drawing, in thread: which stitch, how much of it, how long it takes.</p>
      <nav class="book" aria-label="More">
        <RouterLink :to="{ name: 'threads' }">Thread box</RouterLink>
        <RouterLink :to="{ name: 'book' }">Stitch book</RouterLink>
      </nav>
      <SettingsMenu />
    </header>

    <section class="intake" aria-label="Begin a piece">
      <h2>Begin a piece</h2>
      <BeginDoors />
      <p class="small soft">
        A file can also be dropped anywhere on this window: a drawing (SVG), a picture (PNG, JPEG, WebP) or a piece that
        you saved.
        <button type="button" class="plain link" @click="intake.choose">Choose a file</button> ·
        <button type="button" class="plain link" @click="beginEmpty">Start on empty cloth</button>
      </p>
    </section>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="removed" class="problem" role="status">
      {{ say.pieceRemoved(removed.stored?.name ?? '') }} <NButton size="small" @click="putBack">Restore it</NButton>
    </p>

    <p v-if="restored" class="problem" role="status">
      {{ restored.told }} <NButton size="small" @click="undoRestoring">Undo</NButton>
    </p>
    <BackupDialog
      v-if="backsUp || intake.backup"
      :file="intake.backup"
      @close="closeBackup"
      @restored="afterRestoring"
    />

    <section v-for="shelf in shelves" :key="shelf.name" :aria-label="shelf.name">
      <h2>{{ shelf.name }}</h2>
      <ul class="pieces" :data-test="shelf.test">
        <li v-for="entry in shelf.entries" :key="entry.id">
          <button type="button" class="plain piece" :disabled="!entry.piece" @click="open(entry.id, shelf.step)">
            <PieceThumbnail v-if="entry.piece" :piece="entry.piece" :ready="entry.picture" />
            <strong>{{ entry.name }}</strong>
            <span class="small soft">{{ entry.about }}</span>
          </button>
          <button
            v-if="entry.stored && !entry.piece"
            type="button"
            class="plain small soft remove"
            @click="saveUnreadable(entry)"
          >
            Save the stored data to a file
          </button>
          <button
            v-if="entry.isChanged || own.includes(entry)"
            type="button"
            class="plain small soft remove"
            @click="remove(entry)"
          >
            {{ entry.isChanged ? 'Reset to the original' : 'Remove' }}
          </button>
        </li>
      </ul>
    </section>
    <p class="small soft foot">
      Everything stays in this browser and in the files you export.
      <button type="button" class="plain back-up" @click="backsUp = true">Back up or restore everything…</button>
    </p>
  </main>
</template>

<style scoped>
.bench {
  min-height: 100%;
  max-width: 1120px;
  margin: 0 auto;
  padding: 40px 34px 60px;
  display: grid;
  gap: 34px;
  align-content: start;
}
header {
  display: flex;
  align-items: baseline;
  gap: 20px;
}
h1 {
  font-size: 42px;
  letter-spacing: -0.01em;
  color: var(--madder);
}
.book {
  margin-left: auto;
  display: flex;
  gap: 22px;
}
.book a {
  color: var(--ink);
  text-underline-offset: 3px;
}
.intake {
  display: grid;
  gap: 14px;
  padding: 22px 0;
  border-block: 1px solid var(--chalk);
}
.begin {
  display: grid;
  gap: 8px;
}
.intake p {
  max-width: 60ch;
}
.pieces {
  list-style: none;
  padding: 0;
  margin: 14px 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 26px;
}
.piece {
  display: grid;
  gap: 2px;
  width: 100%;
  padding: 10px;
  border-radius: 12px;
}
.piece:hover {
  background: var(--linen-deep);
}
.piece strong {
  min-width: 0;
  overflow-wrap: anywhere;
  font-family: var(--serif);
  font-size: 19px;
  font-weight: 560;
}
.remove {
  margin-left: 10px;
  text-decoration: underline;
  text-underline-offset: 2px;
}
.back-up {
  text-decoration: underline;
  text-underline-offset: 2px;
}
.problem {
  padding: 12px 16px;
  border-left: 4px solid var(--madder);
  background: var(--paper);
}
@media (max-width: 700px) {
  .bench {
    padding: 22px 16px 40px;
    gap: 22px;
  }
  header,
  .intake {
    flex-wrap: wrap;
    gap: 10px 16px;
  }
  .book {
    gap: 14px;
  }
  .pieces {
    grid-template-columns: repeat(auto-fill, minmax(min(200px, 100%), 1fr));
    gap: 14px;
  }
}
</style>
