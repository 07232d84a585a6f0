<script setup lang="ts">
import type { OwnCard } from '@junctura/core/materials';
import { NButton } from 'naive-ui';
import { useThreadBox } from '../../session/threadBox.ts';
import { shades } from '../../ui/words.ts';

/** The shade cards that a person brought in. */
const emit = defineEmits<{ write: [card: OwnCard] }>();
const threads = useThreadBox();
function remove(card: OwnCard): void {
  const cards = threads.box.cards.filter((other) => other.id !== card.id);
  threads.change('Remove a shade card', { ...threads.box, cards });
}
</script>

<template>
  <section class="stack">
    <h3>Your own shade cards</h3>
    <ul class="cards">
      <li v-for="card in threads.box.cards" :key="card.id">
        <span class="strip"
          ><span v-for="shade in card.shades.slice(0, 24)" :key="shade.code" :style="{ background: shade.hex }"></span
        ></span>
        <span
          >{{ card.name }} <span class="soft small">{{ shades(card.shades.length) }}</span></span
        >
        <span class="row">
          <NButton size="tiny" @click="emit('write', card)">Export as GPL</NButton>
          <NButton size="tiny" quaternary @click="remove(card)">Remove</NButton>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.cards {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 14px;
}
.cards li {
  display: grid;
  gap: 3px;
}
.strip {
  display: flex;
  height: 20px;
  border-radius: 5px;
  overflow: hidden;
}
.strip span {
  flex: 1;
}
</style>
