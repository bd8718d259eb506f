<script setup lang="ts">
/** The two places on a ruler that were tapped on a photo, in its pixels; arrow keys move them. */
const ends = defineModel<number[][]>({ required: true })
const props = defineProps<{ size: { w: number; h: number } }>()

const ways: Record<string, number[]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
/** By a hundredth of the picture, with Shift by less. */
function nudge(at: number, event: KeyboardEvent): void {
  const way = ways[event.key]
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  const step = (event.shiftKey ? 0.001 : 0.01) * props.size.h
  ends.value = ends.value.map((p, i) => (i === at ? [p[0]! + way[0]! * step, p[1]! + way[1]! * step] : p))
}
</script>

<template>
  <g>
    <polyline v-if="ends.length === 2" :points="ends.map((p) => p.join(',')).join(' ')" />
    <circle
      v-for="(p, i) in ends"
      :key="i"
      :cx="p[0]"
      :cy="p[1]"
      :r="size.h * 0.008"
      tabindex="0"
      role="button"
      :aria-label="
        $t('check.rulerEnds.placeOnTheRulerArrow', {
          what: i ? $t('check.rulerEnds.second') : $t('check.rulerEnds.first'),
        })
      "
      @keydown="nudge(i, $event)"
    />
  </g>
</template>

<style scoped>
polyline {
  fill: none;
  stroke: rgb(var(--v-theme-warning));
  stroke-width: 0.4%;
}
circle {
  fill: rgb(var(--v-theme-warning));
  stroke: #ffffff;
  stroke-width: 0.25%;
}
</style>
