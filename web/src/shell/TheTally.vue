<script setup lang="ts">
import {
  formatDurationRange,
  formatLength,
  formatList,
  formatNumber,
  formatThread,
  plural,
} from '@junctura/core/measure';
import { computed } from 'vue';
import { useKeeper } from '../session/keeper.ts';
import { useRecord } from '../session/record.ts';
import { useWorkings } from '../session/workings.ts';
import { useWorkSoFar } from '../session/workSoFar.ts';
import { useSettings } from '../session/settings.ts';
import { differences } from '../session/tally.ts';
import * as say from './words.ts';

defineProps<{ findingsShown: boolean }>();
defineEmits<{ findings: [] }>();

const keeper = useKeeper();

const workings = useWorkings();
const settings = useSettings();
/** Once work has begun, what was worked and what is left: as the card at the hoop says it. */
const work = useWorkSoFar();
const hours = computed(() => work.hours ?? workings.tally!.hours);
const changes = computed(() => {
  const { lastChange, tally } = workings;
  return lastChange && tally ? differences(lastChange.before, tally, settings.units) : [];
});
/** What was noted at the hoop belongs to the piece: while it is not kept, not all is. */
const record = useRecord();
const saveState = computed(() => (record.unkept > 0 ? 'unsaved' : keeper.saveState));
const SAVED = { saved: 'Saved in this browser', saving: 'Saving…', unsaved: 'Not saved yet' } as const;
</script>

<template>
  <footer class="tally" aria-label="Tally">
    <template v-if="workings.tally">
      <!-- In a narrow window it scrolls: keys must reach it. -->
      <dl tabindex="0" aria-label="Figures" :class="{ stale: workings.isStale }" :aria-busy="workings.isStale">
        <div>
          <dt>Size</dt>
          <dd class="figure">
            {{
              say.size(
                formatLength(workings.tally.widthMm, settings.units),
                formatLength(workings.tally.heightMm, settings.units),
              )
            }}
          </dd>
        </div>
        <div>
          <dt>Parts</dt>
          <dd class="figure">{{ formatNumber(workings.tally.parts) }}</dd>
        </div>
        <div>
          <dt>Stitches</dt>
          <dd class="figure">{{ formatNumber(workings.tally.stitches) }}</dd>
        </div>
        <div>
          <dt>Hours</dt>
          <dd class="figure">{{ formatDurationRange(hours.p10, hours.p90) }}</dd>
        </div>
        <div>
          <dt>Thread</dt>
          <dd class="figure">{{ formatThread(workings.tally.threadMm, settings.units) }}</dd>
        </div>
        <div>
          <dt>To buy</dt>
          <dd class="figure">{{ plural(workings.tally.skeins, 'skein') }}</dd>
        </div>
      </dl>
      <button type="button" class="plain findings" :aria-expanded="findingsShown" @click="$emit('findings')">
        <strong class="figure">{{ formatNumber(workings.tally.findings) }}</strong> to check
      </button>
      <p class="change" aria-live="polite">
        <template v-if="workings.lastChange">
          <span class="soft">{{ workings.lastChange.label }}:</span>
          {{
            workings.isStopped
              ? 'not worked out'
              : workings.isStale
                ? 'being worked out…'
                : changes.length > 0
                  ? formatList(changes)
                  : 'no change in the figures'
          }}
        </template>
      </p>
    </template>
    <p v-else class="soft">Working out the stitches…</p>
    <span class="saved" :class="saveState">{{ SAVED[saveState] }}</span>
  </footer>
</template>

<style scoped>
.tally {
  display: flex;
  align-items: center;
  gap: 8px 22px;
  padding: 8px 18px;
  border-top: 1px solid var(--chalk);
  background: var(--paper);
  min-height: 54px;
}
dl {
  display: flex;
  gap: 22px;
  margin: 0;
}
/* Only what takes long is seen to be out of date: what comes at once does not flicker. */
.stale dd {
  color: var(--ink-faint);
  transition: color 0.2s 0.3s;
}
dt {
  font-size: 12px;
  color: var(--ink-faint);
  line-height: 1.2;
}
dd {
  margin: 0;
  font-size: 17px;
  white-space: nowrap;
  line-height: 1.3;
}
.findings {
  padding: 5px 11px;
  border: 1px solid var(--chalk);
  border-radius: 16px;
  white-space: nowrap;
}
.findings:hover {
  border-color: var(--madder);
}
.change {
  flex: 1;
  min-width: 0;
  font-size: 14px;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
.saved {
  font-size: 13px;
  color: var(--moss);
  white-space: nowrap;
}
.saved.unsaved {
  color: var(--weld);
}
@media (max-width: 1100px) {
  .tally {
    flex-wrap: wrap;
  }
  dl {
    gap: 14px;
  }
}
@media (max-width: 640px) {
  .tally {
    padding: 6px 10px;
  }
  dl {
    flex-basis: 100%;
    overflow-x: auto;
  }
  dd {
    font-size: 15px;
  }
}
</style>
