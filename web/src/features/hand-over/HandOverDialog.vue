<script setup lang="ts">
import { NAlert, NButton } from 'naive-ui';
import { onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import TheDialog from '../../ui/TheDialog.vue';
import { handOver, handOverState, type HandedOver, type HandOverState } from '../../keeping/handOver.ts';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import { useRecord } from '../../session/record.ts';
import { savePiece } from '../../session/savePiece.ts';
import * as say from './words.ts';

/** Hands the piece with its record to another device of this home, or to a file. */
const emit = defineEmits<{ close: [] }>();
const opened = useOpenedPiece();
const record = useRecord();
const router = useRouter();
const state = shallowRef<HandOverState | null>(null);
const handed = shallowRef<HandedOver | null>(null);
const picture = ref('');
const problem = ref<string | null>(null);
const isBusy = ref(false);

onMounted(async () => {
  const asked = await handOverState();
  if (asked.ok) state.value = asked.value;
  else problem.value = asked.problem;
});

async function give(): Promise<void> {
  isBusy.value = true;
  const answer = await handOver({ piece: opened.piece, record: record.entries });
  isBusy.value = false;
  problem.value = answer.ok ? null : answer.problem;
  if (!answer.ok) return;
  handed.value = answer.value;
  const { toString: draw } = await import('qrcode');
  const address = state.value!.addresses[0] ?? location.origin;
  const svg = await draw(`${address}/take/${answer.value.code}`, { type: 'svg', margin: 2 });
  picture.value = `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`;
}
const spaced = (code: string): string => `${code.slice(0, 4)} ${code.slice(4)}`;
</script>

<template>
  <TheDialog title="Send to another device" width="460px" @close="emit('close')">
    <div class="stack">
      <p>
        The piece goes to another device, and its record comes back the same way. The records from both are merged:
        nothing is doubled, nothing overwritten.
      </p>
      <NAlert v-if="problem" type="warning" :show-icon="false" role="alert">{{ problem }}</NAlert>
      <template v-if="handed">
        <img :src="picture" alt="QR code with the address of the piece" class="qr" />
        <p class="code figure" data-test="code">{{ spaced(handed.code) }}</p>
        <p class="soft">
          {{ say.howToReceive(state!.addresses[0] ?? null, handed.minutes) }}
        </p>
      </template>
      <template v-else-if="state?.isOn">
        <NButton type="primary" :loading="isBusy" @click="give">Make a code</NButton>
        <p class="small soft">
          Anyone on this network who has the code can collect the piece. Use a network you trust.
        </p>
      </template>
      <p v-else-if="state" class="soft">
        Other devices can’t connect: Junctura was started for this machine only. To send pieces over a network you
        trust, start it with <code>HOST=0.0.0.0 npm start</code>.
      </p>
      <div class="row">
        <NButton @click="router.push({ name: 'take' })">Receive one here by its code</NButton>
        <NButton @click="savePiece">Save it to a file instead</NButton>
      </div>
    </div>
  </TheDialog>
</template>

<style scoped>
.qr {
  width: 220px;
  margin-inline: auto;
  background: #fff;
}
.code {
  font-size: 30px;
  letter-spacing: 0.06em;
  text-align: center;
  margin: 0;
}
</style>
