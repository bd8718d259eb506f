<script setup lang="ts">
import { computed, ref } from 'vue'
import { round } from '../../../drawing/geometry'
import { useFigure } from '../../../state/figure/figure'

/** The figure's wires, seen from the front or from the right; each of their points can be dragged there. */
const props = defineProps<{ from: 'front' | 'right'; grip: number }>()
const figure = useFigure()
const group = ref<SVGGElement>()

type Point = [number, number, number]
const seen = ([x, y, z]: Point): [number, number] => [props.from === 'front' ? x : -z, -y]
const drag = ref<{ wire: string; at: number; to: [number, number] } | null>(null)

const wires = computed(() =>
  (figure.document?.wires ?? []).map((w) => {
    const points = (w.pointsMm as Point[]).map((p, i) =>
      drag.value?.wire === w.key && drag.value.at === i ? drag.value.to : seen(p),
    )
    const twin = w.mirror && props.from === 'front' ? points.map(([x, y]) => [-x, y] as [number, number]) : []
    return { key: w.key, name: w.name ?? w.key, points, courses: twin.length ? [points, twin] : [points] }
  }),
)
const course = (points: [number, number][]) => 'M' + points.map(([x, y]) => `${x} ${y}`).join('L')

function place(event: PointerEvent): [number, number] {
  const svg = group.value?.ownerSVGElement
  const to = svg?.getScreenCTM()?.inverse()
  const at = to ? new DOMPoint(event.clientX, event.clientY).matrixTransform(to) : { x: 0, y: 0 }
  return [at.x, at.y]
}
function press(event: PointerEvent, wire: string, at: number): void {
  ;(event.target as Element).setPointerCapture?.(event.pointerId)
  drag.value = { wire, at, to: place(event) }
}
function move(event: PointerEvent): void {
  if (drag.value) drag.value = { ...drag.value, to: place(event) }
}
function release(): void {
  const moved = drag.value
  drag.value = null
  if (!moved) return
  figure.change((d) => {
    const point = d.wires?.find((w) => w.key === moved.wire)?.pointsMm[moved.at] as Point | undefined
    if (!point) return
    if (props.from === 'front') point[0] = round(moved.to[0])
    // JSON would keep the minus of -0.
    else point[2] = round(-moved.to[0]) + 0
    point[1] = round(-moved.to[1]) + 0
  })
}
</script>

<template>
  <g v-if="wires.length" ref="group" class="wires" :aria-label="$t('common.wires')">
    <g v-for="w in wires" :key="w.key">
      <path v-for="(c, i) in w.courses" :key="i" :d="course(c)" class="wire" pointer-events="none" />
      <circle
        v-for="([x, y], i) in w.points"
        :key="i"
        :cx="x"
        :cy="y"
        :r="grip"
        class="point"
        :data-wire="w.key"
        @pointerdown.stop="press($event, w.key, i)"
        @pointermove.stop="move"
        @pointerup.stop="release"
        @pointercancel="drag = null"
      >
        <title>{{ $t('shapes.wireLines.dragThisPoint', { name: w.name }) }}</title>
      </circle>
    </g>
  </g>
</template>

<style scoped>
.wire {
  fill: none;
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  stroke-dasharray: 6 3;
}
.point {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
  cursor: move;
}
</style>
