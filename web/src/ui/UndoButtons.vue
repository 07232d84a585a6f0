<script setup lang="ts">
import { Redo2, Undo2 } from '@lucide/vue';
import { NButton } from 'naive-ui';
import * as say from './words.ts';

/** Undo and redo, each told by what it would do. */
defineProps<{
  readonly of: {
    readonly undoLabel: string | null;
    readonly redoLabel: string | null;
    undo(): void;
    redo(): void;
  };
}>();
</script>

<template>
  <NButton
    quaternary
    size="small"
    :disabled="!of.undoLabel"
    :title="of.undoLabel ? say.undo(of.undoLabel) : 'Nothing to undo'"
    aria-label="Undo"
    @click="of.undo()"
    ><Undo2 :size="19"
  /></NButton>
  <NButton
    quaternary
    size="small"
    :disabled="!of.redoLabel"
    :title="of.redoLabel ? say.redo(of.redoLabel) : 'Nothing to redo'"
    aria-label="Redo"
    @click="of.redo()"
    ><Redo2 :size="19"
  /></NButton>
</template>
