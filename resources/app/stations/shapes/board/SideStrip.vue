<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Part } from '../../../api/types/figure'
import { path, places, round, screenPoint } from '../../../drawing/geometry'
import MmPaper from '../../../drawing/MmPaper.vue'
import { useFigure } from '../../../state/figure/figure'
import WireLines from './WireLines.vue'
import type { Frame } from '../../../drawing/useZoom'

const props = defineProps<{ frame: Frame }>()
const emit = defineEmits<{ hold: [on: boolean] }>()
const figure = useFigure()
const svg = ref<SVGSVGElement>()
/** Seen from the right: the front is at the left, so a piece at z stands at -z. */
const side = computed(() => figure.document?.sidePicture)
const pieces = computed(() =>
  figure.parts
    .filter((part) => !figure.hidden.includes(part.key))
    .flatMap((part) =>
      places(part).map((at, i) => ({ part, at, loops: figure.board?.drawing.parts[part.key]?.pieces[i]?.side ?? [] })),
    )
    .sort((a, b) => a.at.x - b.at.x),
)
const view = computed(() => props.frame)
const letters = computed(() => view.value.height / 34)
const guessed = computed(() => pieces.value.some(({ part }) => part.seen?.depth === 'guessed'))

const drag = ref<{ key: string; grip: 'move' | 'depth'; fromX: number; dx: number } | null>(null)
const x = (event: PointerEvent): number => screenPoint(event, svg.value)[0]
function press(event: PointerEvent, part: Part, grip: 'move' | 'depth'): void {
  if (!figure.chosen.includes(part.key)) figure.choose(part.key)
  if (figure.locked.includes(part.key)) return
  svg.value?.setPointerCapture(event.pointerId)
  emit('hold', true)
  drag.value = { key: part.key, grip, fromX: x(event), dx: 0 }
}
function forget(): void {
  drag.value = null
  emit('hold', false)
}
function release(): void {
  const d = drag.value
  drag.value = null
  emit('hold', false)
  if (!d || Math.abs(d.dx) < 0.05) return
  figure.changePart(d.key, (p) => {
    if (d.grip === 'move') p.at.zMm = round((p.at.zMm ?? 0) - d.dx, 0.1)
    else p.shape.depthMm = Math.max(1, round(p.shape.depthMm - 2 * d.dx, 0.1))
  })
}
const shift = (part: Part) => (drag.value?.key === part.key && drag.value.grip === 'move' ? drag.value.dx : 0)
const depthGrip = computed(() => {
  const part = figure.selection?.kind === 'part' ? figure.selectedPart : null
  return part
    ? { part, x: -(part.at.zMm ?? 0) - part.shape.depthMm / 2 + (drag.value?.dx ?? 0), y: -part.at.yMm }
    : null
})
</script>

<template>
  <svg
    ref="svg"
    class="strip"
    :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`"
    role="group"
    :aria-label="$t('shapes.sideStrip.theFigureFromTheRight')"
    @pointermove="drag && (drag.dx = x($event) - drag.fromX)"
    @pointerup="release"
    @pointercancel="forget"
  >
    <MmPaper
      :x="view.x - 300"
      :y="view.y - 600"
      :width="view.width + 600"
      :height="view.height + 1200"
      pointer-events="none"
    />
    <image
      v-if="side?.hash"
      :href="`/api/pictures/by-hash/${side.hash}`"
      :x="-side.originPx[0] * side.mmPerPx"
      :y="-side.originPx[1] * side.mmPerPx"
      :width="side.widthPx * side.mmPerPx"
      :height="side.heightPx * side.mmPerPx"
      :transform="side.facesLeft ? undefined : 'scale(-1 1)'"
      preserveAspectRatio="none"
      class="drawing"
    />
    <line :x1="view.x - 300" :x2="view.x + view.width + 300" y1="0" y2="0" class="table" />
    <line :x1="view.x" :x2="view.x" :y1="view.y" :y2="view.y + view.height" class="stitch" />
    <path
      v-for="{ part, at, loops } in pieces"
      :key="part.key + at.twin"
      :d="path(loops, -at.z, at.y)"
      :transform="`translate(${shift(part)} 0)`"
      class="part"
      :class="{ selected: figure.selectedPart?.key === part.key, guessed: part.seen?.depth === 'guessed' }"
      :style="{ '--wool': figure.colourOf(part.colour) }"
      @pointerdown.stop="press($event, part, 'move')"
    />
    <g class="sides" :font-size="letters" aria-hidden="true">
      <text :x="view.x + letters / 2" :y="view.y + letters * 1.3">{{ $t('shapes.sideStrip.front') }}</text>
      <text :x="view.x + view.width - letters / 2" :y="view.y + letters * 1.3" text-anchor="end">
        {{ $t('shapes.sideStrip.back') }}
      </text>
      <text v-if="guessed" :x="view.x + letters / 2" :y="view.y + view.height - letters / 2" :font-size="letters * 0.8">
        {{ $t('shapes.sideStrip.dashedIsAGuess') }}
      </text>
    </g>
    <WireLines from="right" :grip="view.height / 130" />
    <rect
      v-if="depthGrip"
      :x="depthGrip.x - view.height / 95"
      :y="depthGrip.y - view.height / 95"
      :width="view.height / 47"
      :height="view.height / 47"
      rx=".5"
      class="knob"
      @pointerdown.stop="press($event, depthGrip.part, 'depth')"
    >
      <title>{{ $t('shapes.sideStrip.depth') }}</title>
    </rect>
  </svg>
</template>

<style scoped>
.strip {
  width: 100%;
  height: 100%;
  touch-action: none;
  min-height: 0;
}
.drawing {
  pointer-events: none;
  opacity: 0.9;
}
.stitch {
  stroke: rgb(var(--v-theme-thread));
  stroke-width: 1.2;
  stroke-dasharray: 2 1.4;
}
.table {
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 0.5;
}
.part {
  fill: var(--wool);
  fill-opacity: 0.3;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.5;
  cursor: ew-resize;
}
.part.guessed {
  stroke-dasharray: 0.9 0.9;
}
.sides {
  fill: rgb(var(--v-theme-quiet));
  pointer-events: none;
}
.part.selected {
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 1;
  stroke-dasharray: 2.2 1.3;
  fill-opacity: 0.5;
}
.knob {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 0.5;
  cursor: ew-resize;
}
</style>
