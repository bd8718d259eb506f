<script setup lang="ts">
import { ref } from 'vue'
import { t } from '../lang'

/** The corners of a sheet on a photo, to be dragged onto its own; arrows move the one that has the focus. Lies over the picture. */
export type Corners = [number, number][]
const corners = defineModel<Corners>({ required: true })
const NAMES = [
  t('seeing.sheetCorners.upperLeft'),
  t('seeing.sheetCorners.upperRight'),
  t('seeing.sheetCorners.lowerRight'),
  t('seeing.sheetCorners.lowerLeft'),
]
const sheet = ref<HTMLElement>()
const held = ref(-1)

const share = (v: number) => Math.round(Math.min(1, Math.max(0, v)) * 1e4) / 1e4

function put(i: number, x: number, y: number): void {
  corners.value = corners.value.map((c, n) => (n === i ? [share(x), share(y)] : c))
}

function press(event: PointerEvent, i: number): void {
  held.value = i
  sheet.value!.setPointerCapture?.(event.pointerId)
}

function move(event: PointerEvent): void {
  if (held.value < 0) return
  const box = sheet.value!.getBoundingClientRect()
  put(held.value, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height)
}

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function key(event: KeyboardEvent, i: number): void {
  const way = ARROWS[event.key]
  const corner = corners.value[i]
  if (!way || !corner) return
  const step = event.shiftKey ? 0.001 : 0.01
  put(i, corner[0] + way[0] * step, corner[1] + way[1] * step)
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <div ref="sheet" class="sheet-corners" @pointermove="move" @pointerup="held = -1" @pointercancel="held = -1">
    <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
      <polygon :points="corners.map((c) => c.join(' ')).join(' ')" />
    </svg>
    <button
      v-for="([x, y], i) in corners"
      :key="i"
      class="plain corner"
      :style="{ left: `${x * 100}%`, top: `${y * 100}%` }"
      :aria-label="$t('seeing.sheetCorners.theCornerOfTheSheet', { names: NAMES[i] })"
      @pointerdown.prevent="press($event, i)"
      @keydown="key($event, i)"
    />
  </div>
</template>

<style scoped>
.sheet-corners {
  position: absolute;
  inset: 0;
  touch-action: none;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
polygon {
  fill: rgba(var(--v-theme-secondary), 0.14);
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.corner {
  position: absolute;
  width: 28px;
  height: 28px;
  margin: -14px 0 0 -14px;
  border: 3px solid rgb(var(--v-theme-secondary));
  border-radius: 50%;
  background: rgba(255, 255, 255, 0.5);
  cursor: grab;
}
</style>
