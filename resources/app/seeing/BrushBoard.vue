<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Brush } from '../api/types/figure'

/** A drawing to be brushed over. With no brush in hand it is only looked at. */
const props = defineProps<{ src: string; strokes: Brush[]; as: Brush['as'] | null; width: number; busy?: boolean }>()
const emit = defineEmits<{ stroke: [Brush]; broken: [] }>()

/** Points nearer to each other than this share of the picture are one; PHP takes 500 of a stroke. */
const STEP = 0.004
const MOST_POINTS = 480

const sheet = ref<SVGSVGElement>()
const size = ref<[number, number]>([100, 100])
const drawn = ref<Brush | null>(null)
const cursor = ref<[number, number] | null>(null)
const longer = computed(() => Math.max(...size.value))
const shown = computed(() => (drawn.value ? [...props.strokes, drawn.value] : props.strokes))
const course = (stroke: Brush) =>
  stroke.points
    .concat(stroke.points.length === 1 ? stroke.points : [])
    .map(([x = 0, y = 0]) => `${x * size.value[0]} ${y * size.value[1]}`)
    .join(' ')

function sized(event: Event): void {
  const image = event.target as HTMLImageElement
  size.value = [image.naturalWidth || 100, image.naturalHeight || 100]
}

const share = (px: number, all: number) => Math.round(Math.min(1, Math.max(0, px / Math.max(1, all))) * 1e4) / 1e4

function place(event: PointerEvent): [number, number] {
  const box = sheet.value!.getBoundingClientRect()
  return [share(event.clientX - box.left, box.width), share(event.clientY - box.top, box.height)]
}

function press(event: PointerEvent): void {
  if (!props.as || event.button !== 0) return
  sheet.value!.setPointerCapture?.(event.pointerId)
  drawn.value = { as: props.as, width: props.width, points: [place(event)] }
}

function move(event: PointerEvent): void {
  const now = drawn.value
  const last = now?.points.at(-1)
  const to = (cursor.value = place(event))
  if (!now || !last || now.points.length >= MOST_POINTS) return
  if (Math.hypot(to[0] - last[0], to[1] - last[1]) >= STEP) drawn.value = { ...now, points: [...now.points, to] }
}

function release(): void {
  if (drawn.value) emit('stroke', drawn.value)
  drawn.value = null
}

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
/** Without a pointer: arrows move the brush, the space bar dabs. */
function key(event: KeyboardEvent): void {
  const way = ARROWS[event.key]
  const [x, y] = cursor.value ?? [0.5, 0.5]
  const step = event.shiftKey ? 0.005 : 0.03
  if (way) cursor.value = [share(x + way[0] * step, 1), share(y + way[1] * step, 1)]
  else if ((event.key === ' ' || event.key === 'Enter') && props.as)
    emit('stroke', { as: props.as, width: props.width, points: [[x, y]] })
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <div class="board" :class="{ brushing: as }">
    <img :src="src" :alt="$t('seeing.brushBoard.theDrawing')" draggable="false" @load="sized" @error="emit('broken')" />
    <slot />
    <svg
      ref="sheet"
      :viewBox="`0 0 ${size[0]} ${size[1]}`"
      role="application"
      :tabindex="as ? 0 : -1"
      :aria-label="$t('seeing.brushBoard.brushOverTheDrawingArrows')"
      @pointerdown="press"
      @pointermove="move"
      @pointerup="release"
      @pointercancel="drawn = null"
      @keydown="key"
      @pointerleave="cursor = null"
      @blur="cursor = null"
    >
      <polyline
        v-for="(stroke, i) in shown"
        :key="i"
        :class="stroke.as"
        :points="course(stroke)"
        :stroke-width="stroke.width * longer"
      />
      <circle
        v-if="cursor && as"
        class="cursor"
        :cx="cursor[0] * size[0]"
        :cy="cursor[1] * size[1]"
        :r="(width * longer) / 2"
      />
    </svg>
    <v-progress-circular
      v-if="busy"
      indeterminate
      color="primary"
      class="busy"
      :aria-label="$t('seeing.brushBoard.looking')"
    />
  </div>
</template>

<style scoped>
.board {
  position: relative;
  touch-action: manipulation;
  background: #fff;
  border-radius: 12px;
  overflow: hidden;
  line-height: 0;
}
img {
  display: block;
  max-width: 100%;
  max-height: min(430px, 52vh);
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.brushing svg {
  pointer-events: auto;
  cursor: crosshair;
  touch-action: none;
}
svg:focus {
  outline: none;
}
svg:focus-visible {
  outline: 3px solid rgb(var(--v-theme-secondary));
  outline-offset: -3px;
}
polyline {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
  opacity: 0.55;
}
.paper {
  stroke: rgb(var(--v-theme-warning));
}
.figure {
  stroke: rgb(var(--v-theme-success));
}
.ink {
  stroke: rgb(var(--v-theme-secondary));
}
.cursor {
  fill: none;
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.busy {
  position: absolute;
  right: 10px;
  top: 10px;
}
</style>
