<script setup lang="ts">
import { FileImage, Flower2, Type } from '@lucide/vue';
import { useRouter } from 'vue-router';
import { useIntake } from '../../session/intake.ts';

/** The three ways to begin a piece, one as large as the other; small ones go without what each is. */
defineProps<{ isSmall?: boolean }>();
const router = useRouter();
const intake = useIntake();
</script>

<template>
  <ul class="doors" :class="{ small: isSmall }" data-test="doors">
    <li>
      <button type="button" class="plain door" @click="router.push({ name: 'begin-name' })">
        <Type :size="30" aria-hidden="true" />
        <strong>A name or a word</strong>
        <span class="small soft about">Typed, laid out in a hoop, with a wreath round it if you like.</span>
      </button>
    </li>
    <li>
      <button type="button" class="plain door" @click="router.push({ name: 'begin-motif' })">
        <Flower2 :size="30" aria-hidden="true" />
        <strong>A design to start from</strong>
        <span class="small soft about">Plants, animals, food, weather: drawn for you, free to use.</span>
      </button>
    </li>
    <li>
      <button type="button" class="plain door" data-test="own-drawing" @click="intake.chooseToBegin">
        <FileImage :size="30" aria-hidden="true" />
        <strong>My own drawing or picture</strong>
        <span class="small soft about">An SVG drawing, a scan or a photograph; or a piece that you saved.</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.doors {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 16px;
}
.door {
  width: 100%;
  height: 100%;
  display: grid;
  justify-items: start;
  align-content: start;
  gap: 6px;
  padding: 20px 22px;
  text-align: left;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-radius: 8px;
}
.doors.small {
  grid-template-columns: 1fr;
  gap: 8px;
}
.doors.small .door {
  grid-template-columns: auto 1fr;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  padding: 8px 14px;
}
.doors.small .about {
  display: none;
}
.doors.small strong {
  font-size: 16px;
}
.door:hover,
.door:focus-visible {
  border-color: var(--madder);
}
.door svg {
  color: var(--madder);
}
strong {
  font-family: var(--serif);
  font-size: 20px;
  font-weight: 600;
}
</style>
