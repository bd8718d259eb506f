<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Part } from '../../../api/types/figure'
import DetailShape from '../../../drawing/DetailShape.vue'
import { line, path, places, round, turned, type Point } from '../../../drawing/geometry'
import MmPaper from '../../../drawing/MmPaper.vue'
import { snap, type Snapped } from '../../../drawing/snap'
import { usePaper } from '../../../drawing/usePaper'
import type { Frame } from '../../../drawing/useZoom'
import { useFigure } from '../../../state/figure/figure'
import WireLines from './WireLines.vue'
import type { Compare, Tool } from './tools'
import { dragged, useShapeDrag, type Grip } from './useShapeDrag'
import { t } from '../../../lang'
import { kindWord } from '../../../state/trade'

const props = defineProps<{ compare: Compare; tool: Tool; frame: Frame; match: string }>()
const emit = defineEmits<{
  hold: [on: boolean]
  zoom: [factor: number, x: number, y: number]
  pan: [dx: number, dy: number]
  tool: [tool: Tool]
}>()
const figure = useFigure()
const svg = ref<SVGSVGElement>()
const { drag, begin, move, end, cancel } = useShapeDrag((changes) =>
  figure.change((d) => d.parts.filter((p) => changes.has(p.key)).forEach((p) => changes.get(p.key)?.(p))),
)
const filled = computed(() => props.compare === 'flat')
const outlined = computed(() => props.compare === 'drawing' || props.compare === 'flat')
const slider = ref(0.5)
const guides = ref<Snapped['guides']>({})
const axisMm = ref<number | null>(null)
/** A line or a loop being drawn with the knife or the lasso. */
const drawn = ref<Point[]>([])
const cutting = computed(() => props.tool === 'cut' || props.tool === 'lasso')

const drawing = computed(() => figure.board?.drawing)
const picture = computed(() => figure.document?.picture)
const view = computed(() => props.frame)

const pieces = computed(() =>
  figure.parts
    .filter((part) => !figure.hidden.includes(part.key))
    .flatMap((part) =>
      places(part).map((at, i) => ({ part, at, loops: drawing.value?.parts[part.key]?.pieces[i]?.front ?? [] })),
    )
    .sort((a, b) => a.at.z - b.at.z),
)

/** While a part is dragged its last outline is moved, turned and stretched, until PHP has reckoned the new one. */
function transform(part: Part, twin: boolean, x: number, y: number): string | undefined {
  const d = drag.value
  if (!d) return undefined
  if (d.key !== part.key && d.grip === 'move' && d.along.includes(part.key)) {
    const now = dragged(d)
    return `translate(${(twin ? -1 : 1) * (now.at.xMm - d.part.at.xMm)} ${-(now.at.yMm - d.part.at.yMm)})`
  }
  if (d.key !== part.key) return undefined
  const now = dragged(d)
  const side = twin ? -1 : 1
  const [z0, z1] = [side * (d.part.turnDeg?.z ?? 0), side * (now.turnDeg?.z ?? 0)]
  const [w, h] = [now.shape.widthMm / d.part.shape.widthMm, now.shape.heightMm / d.part.shape.heightMm]
  return `translate(${side * now.at.xMm} ${-now.at.yMm}) rotate(${-z1}) scale(${w} ${h}) rotate(${z0}) translate(${-x} ${y})`
}

const paper = usePaper(svg, () => view.value, {
  zoom: (factor, x, y) => emit('zoom', factor, x, y),
  pan: (dx, dy) => emit('pan', dx, dy),
})
const { at } = paper

function press(event: PointerEvent, part: Part, twin: boolean, grip: Grip): void {
  if (cutting.value || props.tool === 'pick') return pressPaper(event)
  if (figure.locked.includes(part.key)) return
  if (grip === 'move' && event.shiftKey) return figure.choose(part.key, true)
  if (!figure.chosen.includes(part.key)) figure.choose(part.key)
  emit('hold', true)
  svg.value?.setPointerCapture(event.pointerId)
  begin(
    part,
    twin,
    grip,
    at(event),
    figure.chosen.filter((k) => !figure.locked.includes(k)),
  )
}

function pressPaper(event: PointerEvent): void {
  if (props.tool === 'pick') return pick(event)
  if (!cutting.value) return paper.press(event)
  svg.value?.setPointerCapture(event.pointerId)
  drawn.value = [at(event)]
}

function pressAxis(event: PointerEvent): void {
  svg.value?.setPointerCapture(event.pointerId)
  emit('hold', true)
  axisMm.value = 0
}

function moved(event: PointerEvent): void {
  if (axisMm.value !== null) axisMm.value = round(at(event)[0], 0.1)
  else if (drawn.value.length) {
    const p = at(event)
    drawn.value = props.tool === 'cut' ? [drawn.value[0] ?? p, p] : [...drawn.value, p]
  } else if (drag.value) moveShape(event)
  else paper.pull(event)
}

/** While a part is moved it is drawn to the middle line and to the middles of others; Alt lets it go free. */
function moveShape(event: PointerEvent): void {
  const d = drag.value
  if (!d) return
  move(at(event))
  guides.value = {}
  if (d.grip !== 'move' || event.altKey) return
  const now = dragged(drag.value ?? d)
  const others = figure.parts
    .filter((p) => !d.along.includes(p.key) && p.key !== d.key && !figure.hidden.includes(p.key))
    .map((p): Point => [p.at.xMm, p.at.yMm])
  const snapped = snap([now.at.xMm, now.at.yMm], others, view.value.height / 110)
  const [dx, dy] = [snapped.at[0] - now.at.xMm, snapped.at[1] - now.at.yMm]
  const to = at(event)
  move([to[0] + (d.twin ? -dx : dx), to[1] + dy])
  guides.value = snapped.guides
}

/** The browser takes the pointer for something of its own: what was begun with it is no more. */
function forget(): void {
  cancel()
  drawn.value = []
  axisMm.value = null
  paper.forget()
  emit('hold', false)
}

function release(event: PointerEvent): void {
  const isTap = paper.release(event)
  guides.value = {}
  if (axisMm.value !== null) {
    if (axisMm.value) void figure.moveAxis(axisMm.value)
    axisMm.value = null
  } else if (drawn.value.length) void finishLine()
  else if (drag.value) end()
  // A press on the bare paper that went nowhere lets go of what was chosen.
  else if (isTap) figure.selection = null
  emit('hold', false)
}

async function finishLine(): Promise<void> {
  const points = drawn.value.map(([x, y]): Point => [round(x), round(y)])
  drawn.value = []
  if (points.length < 2) return
  const part = figure.selectedPart
  const made =
    props.tool === 'cut'
      ? part && (await figure.apply('split', { key: part.key, line: points }))
      : await figure.apply('lasso', {
          line: points.slice(0, 2000),
          picture: figure.document?.picture ? figure.picture : undefined,
        })
  if (made) emit('tool', 'choose')
}

/** Reads the drawing's own pixel where it was clicked. */
function pick(event: PointerEvent): void {
  const p = picture.value
  if (!p || !figure.picture) return
  const [x, y] = at(event)
  const image = new Image()
  image.onload = () => {
    const canvas = new OffscreenCanvas(1, 1)
    const context = canvas.getContext('2d')
    context?.drawImage(image, -Math.floor(p.originPx[0] + x / p.mmPerPx), -Math.floor(p.originPx[1] - y / p.mmPerPx))
    const [r = 0, g = 0, b = 0, a = 0] = context?.getImageData(0, 0, 1, 1).data ?? []
    if (a > 127)
      figure.paint(
        '#' + [r, g, b].map((v) => v.toString(16).padStart(2, '0')).join(''),
        t('shapes.pictureBoard.picked'),
      )
    emit('tool', 'choose')
  }
  image.src = `/api/pictures/${figure.picture}`
}

const pictureBox = computed(() =>
  picture.value
    ? {
        x: -picture.value.originPx[0] * picture.value.mmPerPx,
        y: -picture.value.originPx[1] * picture.value.mmPerPx,
        width: picture.value.widthPx * picture.value.mmPerPx,
        height: picture.value.heightPx * picture.value.mmPerPx,
      }
    : null,
)
const grips = computed(() => {
  const part = drag.value
    ? dragged(drag.value)
    : figure.selection?.kind === 'part' && props.tool === 'choose' && outlined.value && figure.chosen.length === 1
      ? figure.selectedPart
      : null
  if (!part || figure.locked.includes(part.key)) return []
  const { widthMm: w, heightMm: h } = part.shape
  const z = part.turnDeg?.z ?? 0
  const place = (x: number, y: number): Point => {
    const [px, py] = turned([x, y], z)
    return [part.at.xMm + px, part.at.yMm + py]
  }
  return [
    { grip: 'width' as Grip, at: place(w / 2, 0), label: t('shapes.pictureBoard.width') },
    { grip: 'height' as Grip, at: place(0, h / 2), label: t('shapes.pictureBoard.height') },
    { grip: 'both' as Grip, at: place(w / 2, h / 2), label: t('shapes.pictureBoard.size') },
    { grip: 'turn' as Grip, at: place(0, h / 2 + 7), label: t('shapes.pictureBoard.turn') },
  ].map((g) => ({ ...g, part }))
})
const gripSize = computed(() => view.value.height / 95)
const isSelected = (part: Part) => figure.selectedPart?.key === part.key || figure.chosen.includes(part.key)
const hasDetails = (part: Part) =>
  figure.details
    .filter((d) => d.on === part.key && (d.side ?? 'front') === 'front')
    .sort((a, b) => (a.layer ?? 1) - (b.layer ?? 1))
</script>

<template>
  <div class="sight">
    <svg
      ref="svg"
      class="board"
      :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`"
      preserveAspectRatio="xMidYMid meet"
      role="group"
      :aria-label="$t('shapes.pictureBoard.theFigureFromTheFront')"
      :class="tool"
      @pointermove="moved"
      @pointerup="release"
      @pointercancel="forget"
      @pointerdown="pressPaper"
      @wheel.prevent="paper.wheel"
    >
      <MmPaper
        :x="view.x - 600"
        :y="view.y - 600"
        :width="view.width + 1200"
        :height="view.height + 1200"
        pointer-events="none"
      />
      <line :x1="view.x - 600" :x2="view.x + view.width + 600" y1="0" y2="0" class="table" />
      <line :x1="axisMm ?? 0" :x2="axisMm ?? 0" :y1="view.y - 600" :y2="view.y + view.height + 600" class="middle" />
      <image
        v-if="pictureBox && figure.picture"
        :href="`/api/pictures/${figure.picture}`"
        v-bind="pictureBox"
        preserveAspectRatio="none"
        class="drawing"
        :class="{ faint: filled, whole: !outlined }"
      />
      <template v-if="pictureBox && match && (compare === 'slider' || compare === 'difference')">
        <clipPath id="slid">
          <rect :x="pictureBox.x" :y="pictureBox.y" :width="pictureBox.width * slider" :height="pictureBox.height" />
        </clipPath>
        <g :class="compare" :clip-path="compare === 'slider' ? 'url(#slid)' : undefined">
          <rect v-if="compare === 'slider'" v-bind="pictureBox" class="paper" />
          <image :href="match" v-bind="pictureBox" preserveAspectRatio="none" />
        </g>
      </template>
      <template v-if="outlined">
        <g
          v-for="{ part, at: place, loops } in pieces"
          :key="part.key + place.twin"
          :transform="transform(part, place.twin, place.x, place.y)"
        >
          <path
            :d="path(loops, place.x, place.y)"
            fill-rule="evenodd"
            class="part"
            :class="{ selected: isSelected(part), filled, locked: figure.locked.includes(part.key) }"
            :style="{ '--wool': figure.colourOf(part.colour) }"
            :tabindex="place.twin ? undefined : 0"
            role="button"
            :aria-label="`${part.name ?? part.key}, ${kindWord(part.shape.kind)}${place.twin ? $t('shapes.pictureBoard.twin') : ''}`"
            :aria-pressed="isSelected(part)"
            :data-part="part.key"
            @pointerdown.stop="press($event, part, place.twin, 'move')"
            @focus="tool !== 'choose' || figure.chosen.includes(part.key) || figure.choose(part.key)"
          />
          <g v-for="d in hasDetails(part)" :key="d.key" pointer-events="none" :class="{ ghost: !filled }">
            <DetailShape
              v-for="twin in d.mirror ? [place.twin, !place.twin] : [place.twin]"
              :key="String(twin)"
              :detail="d"
              :twin="twin"
              :colour="figure.colourOf(d.colour)"
              :x="place.x"
              :y="place.y"
              :bare="!filled"
            />
          </g>
        </g>
      </template>
      <WireLines v-if="outlined" from="front" :grip="gripSize * 0.8" />
      <line
        v-if="guides.x !== undefined"
        :x1="guides.x"
        :x2="guides.x"
        :y1="view.y"
        :y2="view.y + view.height"
        class="guide"
      />
      <line
        v-if="guides.y !== undefined"
        :x1="view.x"
        :x2="view.x + view.width"
        :y1="-guides.y"
        :y2="-guides.y"
        class="guide"
      />
      <path v-if="drawn.length" :d="line(drawn) + (tool === 'lasso' ? 'Z' : '')" class="drawn" />
      <g class="axis" @pointerdown.stop="pressAxis">
        <circle :cx="axisMm ?? 0" :cy="view.y + gripSize * 2.6" :r="gripSize * 2.2" fill="transparent" />
        <path
          :d="`M${axisMm ?? 0} ${view.y + gripSize * 1.2}l${gripSize} ${gripSize * 1.4}l${-gripSize} ${gripSize * 1.4}l${-gripSize} ${-gripSize * 1.4}z`"
          class="knob"
        />
        <title>{{ $t('shapes.pictureBoard.theMiddleLineDragIt') }}</title>
      </g>
      <g
        v-for="g in grips"
        :key="g.grip"
        class="grip"
        :class="g.grip"
        @pointerdown.stop="press($event, g.part, false, g.grip)"
      >
        <circle :cx="g.at[0]" :cy="-g.at[1]" :r="gripSize * 2.4" fill="transparent" />
        <circle v-if="g.grip === 'turn'" :cx="g.at[0]" :cy="-g.at[1]" :r="gripSize" class="knob" />
        <rect
          v-else
          :x="g.at[0] - gripSize"
          :y="-g.at[1] - gripSize"
          :width="2 * gripSize"
          :height="2 * gripSize"
          rx=".5"
          class="knob"
        />
        <title>{{ g.label }}</title>
      </g>
    </svg>
    <input
      v-if="compare === 'slider' && pictureBox"
      v-model.number="slider"
      type="range"
      min="0"
      max="1"
      step="0.005"
      class="slide"
      :aria-label="$t('shapes.pictureBoard.fromTheDrawingToThe')"
    />
  </div>
</template>

<style scoped>
.sight {
  position: relative;
  min-height: 0;
  min-width: 0;
}
.board {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
  min-height: 0;
}
.drawing {
  opacity: 0.95;
  pointer-events: none;
}
.drawing.faint {
  opacity: 0.25;
}
.drawing.whole {
  opacity: 1;
}
.table {
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 0.5;
  pointer-events: none;
}
.middle {
  stroke: rgb(var(--v-theme-thread));
  stroke-width: 0.4;
  stroke-dasharray: 2.4 1.6;
  pointer-events: none;
}
.part {
  fill: var(--wool);
  fill-opacity: 0.16;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.55;
  cursor: move;
  outline: none !important;
}
.part.filled {
  fill-opacity: 1;
  stroke-opacity: 0.3;
}
.part:hover {
  fill-opacity: 0.4;
}
.part.selected {
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 1.1;
  fill-opacity: 0.42;
  stroke-dasharray: 2.2 1.3;
  stroke-linecap: round;
}
.part.selected.filled {
  fill-opacity: 1;
  stroke-opacity: 1;
}
.ghost :deep(.shape) {
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 0.35;
}
.part.locked {
  cursor: not-allowed;
  stroke-dasharray: 0.8 1;
}
.cut,
.lasso,
.pick,
.cut .part,
.lasso .part,
.pick .part {
  cursor: crosshair;
}
.guide {
  stroke: rgb(var(--v-theme-info));
  stroke-width: 0.35;
  stroke-dasharray: 1.6 1;
  pointer-events: none;
}
.drawn {
  fill: rgba(var(--v-theme-primary), 0.12);
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.8;
  stroke-dasharray: 2 1.2;
  pointer-events: none;
}
.axis {
  cursor: ew-resize;
}
.paper {
  fill: rgb(var(--v-theme-paper));
}
.difference {
  mix-blend-mode: difference;
}
.slider,
.difference {
  pointer-events: none;
}
.slide {
  position: absolute;
  left: 10%;
  width: 80%;
  bottom: 8px;
  accent-color: rgb(var(--v-theme-primary));
}
.grip {
  cursor: nwse-resize;
}
.grip.width {
  cursor: ew-resize;
}
.grip.height {
  cursor: ns-resize;
}
.grip.turn {
  cursor: grab;
}
.knob {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 0.5;
}
</style>
