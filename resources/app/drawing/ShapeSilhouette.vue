<script setup lang="ts">
import { computed } from 'vue'
import type { Loop } from '../api/types/answers'
import { bounds, path } from './geometry'

const props = defineProps<{ loops: Loop[]; hex?: string; size?: number }>()
const box = computed(() => {
  if (!props.loops.length) return '0 0 1 1'
  const b = bounds(props.loops)
  const side = Math.max(b.right - b.left, b.high - b.low) * 1.12
  return `${(b.left + b.right - side) / 2} ${-(b.high + b.low + side) / 2} ${side} ${side}`
})
</script>

<template>
  <svg :viewBox="box" :width="size ?? 30" :height="size ?? 30" aria-hidden="true" class="silhouette">
    <path :d="path(loops)" :fill="hex ?? 'currentColor'" fill-rule="evenodd" />
  </svg>
</template>

<style scoped>
.silhouette {
  flex: none;
}
.silhouette path {
  stroke: rgba(var(--v-theme-on-surface), 0.45);
  vector-effect: non-scaling-stroke;
  stroke-width: 1;
}
</style>
