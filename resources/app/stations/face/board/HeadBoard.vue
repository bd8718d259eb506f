<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FaceGrid, Guide } from '../../../api/types/answers'
import { api } from '../../../api/client'
import type { Detail, Part } from '../../../api/types/figure'
import DetailShape from '../../../drawing/DetailShape.vue'
import { bounds, detailLoop, detailMiddle, line, path, placed, type Point } from '../../../drawing/geometry'
import { usePaper } from '../../../drawing/usePaper'
import { useZoom, type Frames } from '../../../drawing/useZoom'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import TapeGrid from './TapeGrid.vue'
import { pointAfter, useFaceDrag, withoutPoint } from './useFaceDrag'
import { useHotkeys } from '../../../shared/useHotkeys'
import { t } from '../../../lang'

/** One part large from the front, its tape grid lying on the curve, its details to be dragged. Millimetres from the part's middle. `was` shows it as it was before. */
const props = defineProps<{
  part: Part
  grid: FaceGrid | null
  flipped: boolean
  upsideDown: boolean
  order: string[]
  faults: string[]
  lines: string[]
  eyeLine: number | null
  guide?: Guide
  was?: Detail[] | null
}>()
/** The point of the chosen patch or line that is held. */
const point = defineModel<number | null>('point', { default: null })
const figure = useFigure()
const units = useUnits()
const svg = ref<SVGSVGElement>()
const plane = ref<SVGGElement>()

const loops = computed(() => figure.board?.drawing.parts[props.part.key]?.pieces[0]?.front ?? [])
const box = computed(() => (loops.value.length ? bounds(loops.value) : { left: -10, right: 10, low: -10, high: 10 }))
const whole = computed(() => {
  const rim = (box.value.high - box.value.low) * 0.12
  return {
    x: box.value.left - rim,
    y: -box.value.high - rim,
    width: box.value.right - box.value.left + 2 * rim,
    height: box.value.high - box.value.low + 2 * rim,
  }
})
const { zoom, near, zoomBy, look, panBy, all } = useZoom(
  computed<Frames>(() => ({ front: whole.value, side: whole.value, columns: '' })),
)
const view = computed(() => near.value.front)
const flip = computed(() => {
  const [cx, cy] = [whole.value.x + whole.value.width / 2, whole.value.y + whole.value.height / 2]
  return `translate(${cx} ${cy}) scale(${props.flipped ? -1 : 1} 1) rotate(${props.upsideDown ? 180 : 0}) translate(${-cx} ${-cy})`
})
const details = computed(() =>
  (props.was ?? figure.details)
    .filter((d) => d.on === props.part.key && (d.side ?? 'front') === 'front')
    .sort((a, b) => (a.layer ?? 1) - (b.layer ?? 1)),
)
/** Lines and letters keep their size on the screen, however near it is looked at: widths are given for a view of so many mm. */
const USUAL_MM = 57
const text = computed(() => view.value.height / 42)
const isChosen = (d: Detail) => figure.chosenDetails.includes(d.key)
/** What is drawn of each, reckoned once and not at every step of a drag; numbered in the order in which they are laid. */
const shown = computed(() =>
  details.value.map((d) => {
    const sides: (1 | -1)[] = d.mirror ? [1, -1] : [1]
    return {
      d,
      sides,
      middle: detailMiddle(d),
      reach: d.kind === 'line' ? sides.map((s) => line(detailLoop(d, s === -1).points)) : [],
      number: props.order.indexOf(d.key) + 1,
      isFault: props.faults.includes(d.key),
      colour: figure.colourOf(d.colour),
    }
  }),
)

const { drag, guides, by, begin, move, end, cancel } = useFaceDrag(figure.moveDetails, figure.changeDetail)
const paper = usePaper(svg, () => view.value, { zoom: zoomBy, pan: panBy })
const at = (event: PointerEvent): Point => paper.at(event, plane.value)
/** Middles that a dragged one snaps to. */
let others: Point[] = []
function press(event: PointerEvent, detail: Detail, side: 1 | -1): void {
  if (props.was) return
  if (event.shiftKey) return figure.choose(detail.key, true, 'detail')
  if (!isChosen(detail)) figure.choose(detail.key, false, 'detail')
  point.value = null
  svg.value?.setPointerCapture(event.pointerId)
  const along = figure.withOthers([...new Set([detail.key, ...figure.chosenDetails])])
  others = shown.value
    .filter((s) => !along.has(s.d.key))
    .flatMap(({ d, middle: [x, y] }): Point[] =>
      d.mirror
        ? [
            [x, y],
            [-x, y],
          ]
        : [[x, y]],
    )
  begin(detail, side, at(event), along)
}
function pressPoint(event: PointerEvent, index: number): void {
  const detail = figure.selectedDetail
  if (!detail) return
  point.value = index
  svg.value?.setPointerCapture(event.pointerId)
  begin(detail, 1, at(event), new Map([[detail.key, 1]]), index)
}
function moved(event: PointerEvent): void {
  if (drag.value) {
    move(at(event), others, event.altKey ? 0 : view.value.height / 120)
    void read()
  } else paper.pull(event)
}
function release(event: PointerEvent): void {
  const isTap = paper.release(event)
  if (drag.value) end()
  else if (isTap) {
    figure.selection = null
    point.value = null
  }
  reading.value = ''
}
function drop(): void {
  cancel()
  paper.forget()
  reading.value = ''
}

/** While it is dragged, PHP says where it lies by tape: one question at a time, always about the latest place, and with a breath between. */
const BREATH_MS = 80
const reading = ref('')
let asking = false
async function read(): Promise<void> {
  const d = drag.value
  if (asking || !d || !figure.document) return
  asking = true
  const [x, y] = detailMiddle(d.detail)
  const place: Point = d.index === null ? [d.side * x + by.value.dx, y + by.value.dy] : d.to
  try {
    const [mark] = (await api.placeMarks(figure.document, props.part.key, [place, place])).at
    if (drag.value)
      reading.value = mark
        ? t('face.headBoard.acrossDown', { acrossMm: units.mm(Math.abs(mark.acrossMm)), downMm: units.mm(mark.downMm) })
        : t('face.headBoard.offThePart')
  } catch {
    reading.value = ''
  }
  await new Promise((resolve) => setTimeout(resolve, BREATH_MS))
  asking = false
  if (drag.value && (drag.value.to[0] !== d.to[0] || drag.value.to[1] !== d.to[1])) void read()
}
const readingAt = computed<Point>(() => {
  const d = drag.value
  if (!d) return [0, 0]
  const [x, y] = d.index === null ? detailMiddle(d.detail) : d.from
  return [(d.index === null ? d.side : 1) * x + by.value.dx, y + by.value.dy]
})

const shift = (d: Detail, side: 1 | -1) => {
  const now = drag.value
  const way = now?.index === null ? now.along.get(d.key) : undefined
  return now && way ? `translate(${way * side * now.side * by.value.dx} ${-by.value.dy})` : undefined
}
/** The chosen patch or line with its points, to be pulled about. */
const handles = computed(() => {
  const d = figure.selectedDetail
  if (props.was || !d?.pointsMm || d.on !== props.part.key || figure.chosenDetails.length > 1 || d.pointsMm.length > 60)
    return null
  const points = (d.pointsMm as Point[]).map((p) => placed(d, p))
  const held = drag.value?.index
  if (held !== undefined && held !== null && drag.value?.detail.key === d.key) points[held] = drag.value.to
  const closed = d.kind !== 'line'
  const between = points.flatMap((p, i): { i: number; at: Point }[] => {
    const q = points[i + 1] ?? (closed ? points[0] : undefined)
    return q && Math.hypot(p[0] - q[0], p[1] - q[1]) > 2.2 * text.value
      ? [{ i, at: [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2] }]
      : []
  })
  return { points, between, closed, dragged: held !== undefined && held !== null }
})
function split(index: number): void {
  const key = figure.selectedDetail?.key
  if (!key) return
  figure.changeDetail(key, (d) => pointAfter(d, index))
  point.value = index + 1
}

/** A held point goes before the detail does. */
function takePointAway(): unknown {
  if (point.value === null || !figure.selectedDetail) return false
  const index = point.value
  figure.changeDetail(figure.selectedDetail.key, (d) => void withoutPoint(d, index))
  point.value = null
}
useHotkeys(
  {
    '+': () => zoomBy(1.4),
    '=': () => zoomBy(1.4),
    '-': () => zoomBy(1 / 1.4),
    '0': () => all(),
    z: () => nearer(),
    delete: takePointAway,
    backspace: takePointAway,
  },
  'board',
)
/** Near to the chosen detail, or back to all of it. */
function nearer(): void {
  const d = figure.selectedDetail
  if (zoom.value > 1 || !d) return all()
  const b = bounds([detailLoop(d).points])
  const [x, y] = detailMiddle(d)
  look(
    props.flipped ? whole.value.x * 2 + whole.value.width - x : x,
    props.upsideDown ? whole.value.y * 2 + whole.value.height + y : -y,
    Math.max(8, 3 * (b.right - b.left)),
  )
}
defineExpose({ nearer, zoom })
</script>

<template>
  <svg
    ref="svg"
    class="head"
    :style="{ '--mm': view.height / USUAL_MM }"
    :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`"
    role="group"
    :aria-label="$t('face.headBoard.fromTheFrontWithA', { name: part.name ?? part.key })"
    @pointermove="moved"
    @pointerup="release"
    @pointercancel="drop"
    @pointerdown="paper.press"
    @wheel.prevent="paper.wheel"
  >
    <g ref="plane" :transform="flip">
      <path :d="path(loops)" :fill="figure.colourOf(part.colour)" fill-rule="evenodd" class="wool" />
      <TapeGrid v-if="grid" :grid="grid" :box="box" :guide="guide" :lines="lines" :eye-line="eyeLine" :text="text" />
      <g
        v-for="{ d, sides, reach, isFault, colour } in shown"
        :key="d.key"
        v-memo="[d, isFault, colour, isChosen(d), shift(d, 1), view]"
      >
        <g
          v-for="(s, i) in sides"
          :key="s"
          :transform="shift(d, s)"
          class="detail"
          :class="{ chosen: isChosen(d), fault: isFault }"
          :tabindex="s === 1 ? 0 : undefined"
          role="button"
          :aria-label="`${d.name ?? d.key}${s === -1 ? $t('face.headBoard.twin') : ''}`"
          :aria-pressed="isChosen(d)"
          :data-detail="d.key"
          @pointerdown.stop="press($event, d, s)"
          @focus="isChosen(d) || figure.choose(d.key, false, 'detail')"
        >
          <path
            v-if="reach[i]"
            :d="reach[i]"
            fill="none"
            stroke="transparent"
            :stroke-width="Math.max(view.height / 30, d.widthMm ?? 1)"
          />
          <DetailShape :detail="d" :twin="s === -1" :colour="colour" />
          <DetailShape v-if="isChosen(d) || isFault" :detail="d" :twin="s === -1" colour="" bare class="ring" />
        </g>
      </g>
      <g
        v-for="{ d, middle, number, isFault } in shown"
        :key="'n' + d.key"
        v-memo="[d, number, isFault, isChosen(d), shift(d, 1), text, flipped, upsideDown]"
        :transform="shift(d, 1)"
        pointer-events="none"
        aria-hidden="true"
      >
        <g
          :transform="`translate(${middle[0]} ${-middle[1] - text * 1.9}) scale(${flipped ? -1 : 1} 1) rotate(${upsideDown ? 180 : 0})`"
          :class="{ gone: !isChosen(d) && (d.layer ?? 1) > 1 && !isFault }"
        >
          <circle :r="text * 0.78" class="tag" :class="{ fault: isFault }" />
          <text :font-size="text * 0.95" text-anchor="middle" :y="text * 0.34">{{ isFault ? '!' : number || '' }}</text>
        </g>
      </g>
      <path
        v-if="guides.x !== undefined"
        :d="
          line([
            [guides.x, box.low],
            [guides.x, box.high],
          ])
        "
        class="snap"
      />
      <path
        v-if="guides.y !== undefined"
        :d="
          line([
            [box.left, guides.y],
            [box.right, guides.y],
          ])
        "
        class="snap"
      />
      <g v-if="handles" class="handles">
        <path v-if="handles.dragged" :d="line(handles.points) + (handles.closed ? 'Z' : '')" class="pulled" />
        <g
          v-for="b in handles.between"
          :key="'b' + b.i"
          class="between"
          role="button"
          tabindex="0"
          :aria-label="$t('face.headBoard.anotherPointHere')"
          @pointerdown.stop
          @click.stop="split(b.i)"
          @keydown.enter.stop="split(b.i)"
        >
          <circle :cx="b.at[0]" :cy="-b.at[1]" :r="text * 0.9" class="wide" />
          <circle :cx="b.at[0]" :cy="-b.at[1]" :r="text * 0.26" />
        </g>
        <g
          v-for="(p, i) in handles.points"
          :key="'p' + i"
          class="point"
          :class="{ held: point === i }"
          @pointerdown.stop="pressPoint($event, i)"
        >
          <circle :cx="p[0]" :cy="-p[1]" :r="text * 1.1" class="wide" />
          <circle :cx="p[0]" :cy="-p[1]" :r="text * 0.42" />
        </g>
      </g>
      <g
        v-if="reading"
        :transform="`translate(${readingAt[0]} ${-readingAt[1] - text * 3}) scale(${flipped ? -1 : 1} 1) rotate(${upsideDown ? 180 : 0})`"
        class="reading"
        pointer-events="none"
      >
        <rect :x="-text * 5.6" :y="-text * 1.15" :width="text * 11.2" :height="text * 1.6" :rx="text * 0.5" />
        <text text-anchor="middle" :font-size="text" role="status">{{ reading }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.head {
  width: 100%;
  height: 100%;
  touch-action: none;
  min-height: 420px;
}
.wool {
  stroke: rgba(var(--v-theme-on-surface), 0.4);
  stroke-width: calc(0.25px * var(--mm));
}
.detail {
  cursor: grab;
  outline: none !important;
}
.detail :deep(.ring.shape),
.ring :deep(.shape) {
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: calc(0.5px * var(--mm));
  stroke-dasharray: calc(1px * var(--mm)) calc(0.7px * var(--mm));
}
.fault :deep(.ring.shape),
.fault .ring :deep(.shape) {
  stroke: rgb(var(--v-theme-error));
  stroke-width: calc(0.7px * var(--mm));
  stroke-dasharray: none;
}
.tag {
  fill: rgba(var(--v-theme-surface), 0.88);
  stroke: rgb(var(--v-theme-thread));
  stroke-width: calc(0.15px * var(--mm));
}
.tag.fault {
  stroke: rgb(var(--v-theme-error));
  stroke-width: calc(0.5px * var(--mm));
}
.gone {
  display: none;
}
.snap {
  stroke: rgb(var(--v-theme-info));
  stroke-width: calc(0.3px * var(--mm));
  stroke-dasharray: calc(1px * var(--mm)) calc(0.6px * var(--mm));
  fill: none;
  pointer-events: none;
}
.handles circle {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: calc(0.25px * var(--mm));
}
.handles .wide {
  fill: transparent;
  stroke: none;
}
.point {
  cursor: move;
}
.between {
  cursor: copy;
}
.held circle:last-child {
  fill: rgb(var(--v-theme-secondary));
}
.pulled {
  fill: none;
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: calc(0.25px * var(--mm));
  stroke-dasharray: calc(0.8px * var(--mm)) calc(0.5px * var(--mm));
}
.reading rect {
  fill: rgba(var(--v-theme-surface), 0.94);
  stroke: rgb(var(--v-theme-thread));
  stroke-width: calc(0.15px * var(--mm));
}
</style>
