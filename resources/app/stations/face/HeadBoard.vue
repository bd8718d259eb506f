<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FaceGrid, Guide } from '../../api/client'
import type { Detail, Part } from '../../api/figure'
import DetailShape from '../../drawing/DetailShape.vue'
import { bounds, detailLoop, detailMiddle, line, path, round } from '../../drawing/geometry'
import { useFigure } from '../../state/figure'
import { useUnits } from '../../state/units'

/** One part large from the front, its tape grid lying on the curve, its details to be dragged. Millimetres from the part's middle. */
const props = defineProps<{ part: Part; grid: FaceGrid | null; flipped: boolean; upsideDown: boolean; order: string[]; guide?: Guide }>()
const figure = useFigure()
const units = useUnits()
const svg = ref<SVGSVGElement>()
const plane = ref<SVGGElement>()

const loops = computed(() => figure.board?.drawing.parts[props.part.key]?.pieces[0]?.front ?? [])
const box = computed(() => (loops.value.length ? bounds(loops.value) : { left: -10, right: 10, low: -10, high: 10 }))
const view = computed(() => {
  const rim = (box.value.high - box.value.low) * 0.12
  return { x: box.value.left - rim, y: -box.value.high - rim, width: box.value.right - box.value.left + 2 * rim, height: box.value.high - box.value.low + 2 * rim }
})
const flip = computed(() => {
  const [cx, cy] = [view.value.x + view.value.width / 2, view.value.y + view.value.height / 2]
  return `translate(${cx} ${cy}) scale(${props.flipped ? -1 : 1} 1) rotate(${props.upsideDown ? 180 : 0}) translate(${-cx} ${-cy})`
})
const details = computed(() => figure.details.filter((d) => d.on === props.part.key && (d.side ?? 'front') === 'front').sort((a, b) => (a.layer ?? 1) - (b.layer ?? 1)))
const half = computed(() => (box.value.high + box.value.low) / 2)

const drag = ref<{ key: string; side: number; x: number; y: number; dx: number; dy: number } | null>(null)
function at(event: PointerEvent): { x: number; y: number } {
  const matrix = plane.value?.getScreenCTM()
  if (!matrix) return { x: 0, y: 0 }
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return { x: p.x, y: -p.y }
}
function press(event: PointerEvent, detail: Detail, side: number): void {
  figure.selection = { kind: 'detail', key: detail.key }
  svg.value?.setPointerCapture(event.pointerId)
  drag.value = { key: detail.key, side, ...at(event), dx: 0, dy: 0 }
}
function move(event: PointerEvent): void {
  if (!drag.value) return
  const p = at(event)
  drag.value = { ...drag.value, dx: drag.value.side * (p.x - drag.value.x), dy: p.y - drag.value.y }
}
function release(): void {
  const d = drag.value
  drag.value = null
  if (!d || Math.hypot(d.dx, d.dy) < 0.05) return
  figure.changeDetail(d.key, (x) => {
    x.xMm = round((x.xMm ?? 0) + d.dx, 0.1)
    x.yMm = round((x.yMm ?? 0) + d.dy, 0.1)
  })
}
const shift = (key: string, side: number) => (drag.value?.key === key ? `translate(${side * drag.value.dx} ${-drag.value.dy})` : undefined)
const sides = (d: Detail) => (d.mirror ? [1, -1] : [1])
const isChosen = (d: Detail) => figure.selection?.kind === 'detail' && figure.selection.key === d.key
/** Numbered in the order in which they are laid. */
const number = (d: Detail) => props.order.indexOf(d.key) + 1
const text = computed(() => view.value.height / 42)
</script>

<template>
  <svg ref="svg" class="head" :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`" role="group" :aria-label="`${part.name ?? part.key} from the front, with a grid in tape millimetres`" @pointermove="move" @pointerup="release" @pointercancel="drag = null" @pointerdown.self="figure.selection = null">
    <g ref="plane" :transform="flip">
      <path :d="path(loops)" :fill="figure.colourOf(part.colour)" fill-rule="evenodd" class="wool" @pointerdown="figure.selection = null" />
      <g v-if="grid" class="grid" pointer-events="none">
        <template v-for="l in grid.across" :key="'a' + l.mm">
          <path :d="line(l.points)" :class="{ ten: l.mm % 10 === 0 }" /><path :d="line(l.points.map(([x, y]) => [-x, y] as [number, number]))" :class="{ ten: l.mm % 10 === 0 }" />
        </template>
        <path v-for="l in grid.down" :key="'d' + l.mm" :d="line(l.points)" :class="{ ten: l.mm % 10 === 0 }" />
        <path :d="line([[0, grid.crownMm], [0, grid.footMm]])" class="middle" />
        <path :d="line([[box.left, half], [box.right, half]])" class="half" />
        <g v-for="b in guide?.bands" :key="b.name" class="band">
          <rect :x="box.left" :width="box.right - box.left" :y="-b.highMm" :height="b.highMm - b.lowMm" />
          <text :x="box.right + text * .4" :y="-(b.highMm + b.lowMm) / 2 + text * .3" :font-size="text * .8" class="scale">{{ b.name }}</text>
        </g>
        <text v-for="l in grid.down.filter((x) => x.mm % 10 === 0)" :key="'t' + l.mm" :x="(l.points[0]?.[0] ?? 0) - text * .4" :y="-(l.points[0]?.[1] ?? 0) + text * .3" :font-size="text * .8" text-anchor="end" class="scale">{{ units.length(l.mm) }}</text>
      </g>
      <template v-for="d in details" :key="d.key">
        <g
          v-for="s in sides(d)" :key="s" :transform="shift(d.key, s)" class="detail" :class="{ chosen: isChosen(d) }" :tabindex="s === 1 ? 0 : undefined" role="button" :aria-label="`${d.name ?? d.key}${s === -1 ? ', twin' : ''}`" :aria-pressed="isChosen(d)" :data-detail="d.key"
          @pointerdown.stop="press($event, d, s)" @focus="figure.selection = { kind: 'detail', key: d.key }"
        >
          <path v-if="d.kind === 'line'" :d="line(detailLoop(d, s === -1).points)" fill="none" stroke="transparent" :stroke-width="Math.max(4, d.widthMm ?? 1)" />
          <DetailShape :detail="d" :twin="s === -1" :colour="figure.colourOf(d.colour)" />
          <DetailShape v-if="d.kind === 'line' && isChosen(d)" :detail="d" :twin="s === -1" colour="" bare />
        </g>
      </template>
      <g v-for="d in details" :key="'n' + d.key" :transform="shift(d.key, 1)" pointer-events="none" aria-hidden="true">
        <g :transform="`translate(${detailMiddle(d)[0]} ${-detailMiddle(d)[1] - text * 1.9}) scale(${flipped ? -1 : 1} 1) rotate(${upsideDown ? 180 : 0})`" :class="{ gone: !isChosen(d) && (d.layer ?? 1) > 1 }">
          <circle :r="text * .78" class="tag" /><text :font-size="text * .95" text-anchor="middle" :y="text * .34">{{ number(d) || '' }}</text>
        </g>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.head { width: 100%; height: 100%; touch-action: none; min-height: 420px; }
.wool { stroke: rgba(var(--v-theme-on-surface), 0.4); stroke-width: .25; }
.grid path { fill: none; stroke: rgb(0 0 0 / 22%); stroke-width: .12; }
.grid .ten { stroke: rgb(0 0 0 / 42%); stroke-width: .2; }
.grid .middle { stroke: rgb(var(--v-theme-primary)); stroke-width: .35; stroke-dasharray: 1.4 .9; }
.grid .half { stroke: rgb(var(--v-theme-info)); stroke-width: .35; stroke-dasharray: 1.4 .9; }
/* Over dark wool and pale alike. */
.band rect { fill: rgba(var(--v-theme-info), .2); stroke: rgb(var(--v-theme-info)); stroke-width: .18; stroke-dasharray: .8 .6; }
.scale { fill: rgb(var(--v-theme-quiet)); }
.detail { cursor: grab; outline: none !important; }
.detail.chosen :deep(.shape) { stroke: rgb(var(--v-theme-secondary)); stroke-width: .5; stroke-dasharray: 1 .7; paint-order: stroke; }
.tag { fill: rgba(var(--v-theme-surface), 0.88); stroke: rgb(var(--v-theme-thread)); stroke-width: .15; }
.gone { display: none; }
</style>
