<script setup lang="ts">
import { computed } from 'vue'
import type { ImpaFlat } from '../../../api/types/flat'
import { useFigure } from '../../../state/figure/figure'

/** The layers as if lifted off each other, seen slanting from above; each by its number, in the order in which it is laid. */
const props = defineProps<{ flat: ImpaFlat; apart: number }>()
const figure = useFigure()

/** The table is seen slanting: depth goes up and to the right, a level goes up by so much of the figure's height. */
const SLANT = { x: 0.18, y: 0.6 }
type Point = [number, number]
const seen = ([x, y]: Point, lift: number): Point => [x + SLANT.x * y, -SLANT.y * y - lift]
const path = (points: Point[]) => `M${points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`

const size = computed(() => {
  const all = props.flat.layers.flatMap((l) => l.outlineMm as Point[])
  const [xs, ys] = [all.map((p) => p[0]), all.map((p) => p[1])]
  const box = { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) }
  return { ...box, wide: box.right - box.left, tall: box.high - box.low }
})
const step = computed(() => props.apart * (6 + 0.28 * size.value.tall))
const levels = computed(() => Math.max(0, ...props.flat.layers.map((l) => l.level)))
const frame = computed(() => {
  const { left, right, low, high } = size.value
  const corners: Point[] = [
    [left, low],
    [right, low],
    [left, high],
    [right, high],
  ]
  const at = corners.map((p) => seen(p, 0))
  const room = 0.05 * size.value.wide + 4
  const x = Math.min(...at.map((p) => p[0])) - room
  const top = Math.min(...at.map((p) => p[1])) - levels.value * step.value - room
  return {
    x,
    y: top,
    w: Math.max(...at.map((p) => p[0])) + room - x,
    h: Math.max(...at.map((p) => p[1])) + room - top,
  }
})
const letter = computed(() => 0.03 * frame.value.w)
const layers = computed(() =>
  props.flat.layers.map((l, i) => {
    const points = l.outlineMm as Point[]
    const lift = l.level * step.value
    const at = middle(points)
    const [x, y] = seen(at, lift)
    // Down to where it lies: the level below, at its own middle.
    const foot = l.level > 0 ? seen(at, lift - step.value)[1] : y
    const badge = seen(beside(points, l.isTwin, l.level), lift)
    return {
      ...l,
      number: i + 1,
      d: l.rimsMm.map((rim) => path((rim as Point[]).map((p) => seen(p, lift)))).join(''),
      x,
      y,
      foot,
      bx: badge[0] + (l.level === 0 ? 0 : l.isTwin ? -1 : 1) * letter.value,
      by: badge[1] + (l.level === 0 ? letter.value : 0),
    }
  }),
)
/** Where its number stands: at its outer side; a ground's below it. */
function beside(points: Point[], isTwin: boolean, level: number): Point {
  const by: (p: Point) => number = level === 0 ? (p) => -p[1] : isTwin ? (p) => -p[0] : (p) => p[0]
  return points.reduce((best, p) => (by(p) > by(best) ? p : best))
}
const middle = (points: Point[]): Point => {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])]
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
}
</script>

<template>
  <svg
    class="apart"
    :viewBox="`${frame.x} ${frame.y} ${frame.w} ${frame.h}`"
    role="group"
    :aria-label="$t('shapes.layersApart.theLayersPulledApart')"
  >
    <g v-for="l in layers" :key="l.name">
      <path
        :d="l.d"
        :fill="figure.colourOf(l.colour)"
        fill-rule="evenodd"
        class="layer"
        :class="{ lit: figure.selectedPart?.key === l.part }"
        role="button"
        tabindex="0"
        :aria-label="`${l.number}. ${l.name}`"
        :aria-pressed="figure.selectedPart?.key === l.part"
        @click="figure.choose(l.part)"
        @keydown.enter.prevent="figure.choose(l.part)"
        @keydown.space.prevent.stop="figure.choose(l.part)"
      >
        <title>{{ l.number }}. {{ l.name }}</title>
      </path>
      <line v-if="apart > 0.05 && l.level > 0" :x1="l.x" :y1="l.y" :x2="l.x" :y2="l.foot" class="thread" />
    </g>
    <g v-for="l in layers" :key="l.name" class="number" aria-hidden="true">
      <circle :cx="l.bx" :cy="l.by" :r="0.72 * letter" />
      <text :x="l.bx" :y="l.by + 0.32 * letter" :font-size="0.9 * letter">{{ l.number }}</text>
    </g>
  </svg>
</template>

<style scoped>
.apart {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.layer {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-opacity: 0.55;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
  cursor: pointer;
  filter: drop-shadow(0 1px 1px rgb(0 0 0 / 0.25));
}
.layer.lit,
.layer:focus-visible {
  stroke: rgb(var(--v-theme-secondary));
  stroke-opacity: 1;
  stroke-width: 3;
  outline: none;
}
.thread {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-opacity: 0.6;
  stroke-dasharray: 3 4;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.number {
  pointer-events: none;
}
.number circle {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-opacity: 0.5;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.number text {
  text-anchor: middle;
  font-weight: 700;
  fill: rgb(var(--v-theme-on-surface));
}
</style>
