<script setup lang="ts">
import { computed } from 'vue'
import type { Detail } from '../api/types/figure'
import { detailLoop, line, path } from './geometry'

/** One piece of a detail in flat colour, its holes open; or with `bare` only its outline. Millimetres from the part's middle, moved by `x`, `y`. */
const props = defineProps<{ detail: Detail; colour: string; twin?: boolean; x?: number; y?: number; bare?: boolean }>()
const loop = computed(() => detailLoop(props.detail, props.twin))
/** A line of one width is one stroke; else each straight piece has its own. */
const strokes = computed(() => {
  const { points, widths } = loop.value
  if (props.bare || !props.detail.widthsMm) return [{ d: line(points, props.x, props.y), width: widths[0] ?? 1 }]
  return points.slice(1).map((p, i) => ({
    d: line([points[i]!, p], props.x, props.y),
    width: ((widths[i] ?? 1) + (widths[i + 1] ?? 1)) / 2,
  }))
})
</script>

<template>
  <path
    v-if="loop.closed"
    :d="path([loop.points, ...loop.holes], x, y)"
    :fill="bare ? 'none' : colour"
    fill-rule="evenodd"
    class="shape"
  />
  <g v-else fill="none" stroke-linecap="round" stroke-linejoin="round">
    <path
      v-for="(s, i) in strokes"
      :key="i"
      :d="s.d"
      :stroke="bare ? undefined : colour"
      :stroke-width="bare ? undefined : s.width"
      :class="{ shape: bare }"
    />
  </g>
</template>
