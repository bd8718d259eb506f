<script setup lang="ts">
import { computed } from 'vue'
import { api } from '../api/client'
import type { Figure } from '../api/types/figure'
import { useAnswer } from '../api/useAnswer'
import { path, places } from '../drawing/geometry'

/** What was seen in a drawing, drawn over it: parts as outlines, back to front. Lies over the picture as it is shown. */
const props = defineProps<{ figure: Figure }>()
const { answer: board } = useAnswer([() => props.figure], () => api.board(props.figure), true)
const picture = computed(() => props.figure.picture)
const pieces = computed(() =>
  props.figure.parts
    .flatMap((part) =>
      places(part).map((at, i) => ({
        key: part.key + i,
        z: at.z,
        d: path(board.value?.drawing.parts[part.key]?.pieces[i]?.front ?? [], at.x, at.y),
      })),
    )
    .sort((a, b) => a.z - b.z),
)
</script>

<template>
  <svg
    v-if="picture && board"
    class="seen"
    :viewBox="`0 0 ${picture.widthPx} ${picture.heightPx}`"
    role="img"
    :aria-label="$t('seeing.seenOverlay.partsSeenInTheDrawing', { parts: figure.parts.length })"
  >
    <g :transform="`translate(${picture.originPx.join(' ')}) scale(${1 / picture.mmPerPx})`">
      <path v-for="p in pieces" :key="p.key" :d="p.d" fill-rule="evenodd" />
    </g>
  </svg>
</template>

<style scoped>
.seen {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
path {
  fill: rgba(var(--v-theme-secondary), 0.14);
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}
</style>
