<script setup lang="ts">
import { WORKING_LENGTH } from '@junctura/core/materials';
import { setWorker, type Piece } from '@junctura/core/piece';
import { useOpenedPiece } from '../../session/openedPiece.ts';
import ChoiceField from '../../ui/ChoiceField.vue';
import NumberField from '../../ui/NumberField.vue';
import * as say from './words.ts';

/** How the person works: schools that decide working lengths, stitches and strands. */
const opened = useOpenedPiece();
const STARTS: { value: Piece['worker']['start']; label: string }[] = [
  { value: 'waste-knot', label: 'Waste knot' },
  { value: 'knot', label: 'Knot on the back' },
  { value: 'tiny-stitches', label: 'Tiny stitches' },
];
const CUTS = [
  { value: WORKING_LENGTH.cutMm, label: 'Half a metre' },
  { value: WORKING_LENGTH.armsLengthMm, label: 'Arm’s length, 70 cm' },
];
const SATIN: { value: Piece['worker']['satinFrom']; label: string }[] = [
  { value: 'middle', label: 'From the middle, either way' },
  { value: 'edge', label: 'From edge to edge' },
];
const KNOTS: { value: Piece['worker']['knots']; label: string }[] = [
  { value: 'french', label: 'French knots' },
  { value: 'colonial', label: 'Colonial knots' },
];
const STRANDS: { value: Piece['worker']['strands']; label: string }[] = [
  { value: 'fine', label: 'Fine: one' },
  { value: 'usual', label: 'Usual: two or three' },
  { value: 'bold', label: 'Bold: up to six' },
];
const LAYERS: { value: Piece['worker']['layers']; label: string }[] = [
  { value: 'plain', label: 'Plain: the stitches alone' },
  { value: 'usual', label: 'Usual: firm edges and veins' },
  { value: 'rich', label: 'Rich: padding as well' },
];
const HANDS: { value: Piece['worker']['hand']; label: string }[] = [
  { value: 'right', label: 'Right-handed' },
  { value: 'left', label: 'Left-handed' },
];
</script>

<template>
  <h3>How you work</h3>
  <div class="pair">
    <ChoiceField
      label="Length of thread"
      :value="opened.piece.worker.cutMm"
      :options="CUTS"
      @change="(cutMm: number) => opened.edit(setWorker(opened.piece, { cutMm }))"
    />
    <ChoiceField
      label="Thread started with"
      :value="opened.piece.worker.start"
      :options="STARTS"
      @change="(start) => opened.edit(setWorker(opened.piece, { start }))"
    />
    <ChoiceField
      label="Satin worked"
      :value="opened.piece.worker.satinFrom"
      :options="SATIN"
      @change="(satinFrom) => opened.edit(setWorker(opened.piece, { satinFrom }))"
    />
    <ChoiceField
      label="Round knots"
      :value="opened.piece.worker.knots"
      :options="KNOTS"
      @change="(knots) => opened.edit(setWorker(opened.piece, { knots }))"
    />
    <ChoiceField
      label="Strands to suggest"
      :value="opened.piece.worker.strands"
      :options="STRANDS"
      @change="(strands) => opened.edit(setWorker(opened.piece, { strands }))"
    />
    <ChoiceField
      label="Layers to suggest"
      :value="opened.piece.worker.layers"
      :options="LAYERS"
      @change="(layers) => opened.edit(setWorker(opened.piece, { layers }))"
    />
    <ChoiceField
      label="Your hand"
      :value="opened.piece.worker.hand"
      :options="HANDS"
      @change="(hand) => opened.edit(setWorker(opened.piece, { hand }))"
    />
    <NumberField
      label="Slack of your stitching"
      :value="Math.round(opened.piece.worker.slack * 100)"
      :min="0"
      :max="30"
      unit="%"
      @change="(percent) => opened.edit(setWorker(opened.piece, { slack: percent / 100 }))"
    />
  </div>
  <p class="small soft">
    {{
      say.lostOfEach(
        WORKING_LENGTH.startMm[opened.piece.worker.start],
        WORKING_LENGTH.stopMm,
        WORKING_LENGTH.stopForKnotsMm,
        WORKING_LENGTH.unpicked,
      )
    }}
  </p>
</template>
