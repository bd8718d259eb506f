<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Part } from '../../api/figure'
import { detailLoop, line, path, places, turned, type Point } from '../../drawing/geometry'
import MmPaper from '../../drawing/MmPaper.vue'
import { useFigure } from '../../state/figure'
import type { Frame } from './useFrames'
import { dragged, useShapeDrag, type Grip } from './useShapeDrag'

const props = defineProps<{ showPicture: boolean; filled: boolean; frame: Frame }>()
const emit = defineEmits<{ hold: [on: boolean] }>()
const figure = useFigure()
const svg = ref<SVGSVGElement>()
const { drag, begin, move, end, cancel } = useShapeDrag(figure.changePart)

const drawing = computed(() => figure.board?.drawing)
const picture = computed(() => figure.document?.picture)
const view = computed(() => props.frame)

const pieces = computed(() =>
  figure.parts
    .flatMap((part) => places(part).map((at, i) => ({ part, at, loops: drawing.value?.parts[part.key]?.pieces[i]?.front ?? [] })))
    .sort((a, b) => a.at.z - b.at.z),
)

/** While a part is dragged its last outline is moved, turned and stretched, until PHP has reckoned the new one. */
function transform(part: Part, twin: boolean, x: number, y: number): string | undefined {
  const d = drag.value
  if (d?.key !== part.key) return undefined
  const now = dragged(d)
  const side = twin ? -1 : 1
  const [z0, z1] = [side * (d.part.turnDeg?.z ?? 0), side * (now.turnDeg?.z ?? 0)]
  const [w, h] = [now.shape.widthMm / d.part.shape.widthMm, now.shape.heightMm / d.part.shape.heightMm]
  return `translate(${side * now.at.xMm} ${-now.at.yMm}) rotate(${-z1}) scale(${w} ${h}) rotate(${z0}) translate(${-x} ${y})`
}

function at(event: PointerEvent): Point {
  const matrix = svg.value?.getScreenCTM()
  if (!matrix) return [0, 0]
  const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return [p.x, -p.y]
}

function press(event: PointerEvent, part: Part, twin: boolean, grip: Grip): void {
  figure.selection = { kind: 'part', key: part.key }
  emit('hold', true)
  svg.value?.setPointerCapture(event.pointerId)
  begin(part, twin, grip, at(event))
}

function release(): void {
  end()
  emit('hold', false)
}

const grips = computed(() => {
  const part = drag.value ? dragged(drag.value) : figure.selection?.kind === 'part' ? figure.selectedPart : null
  if (!part) return []
  const { widthMm: w, heightMm: h } = part.shape
  const z = part.turnDeg?.z ?? 0
  const place = (x: number, y: number): Point => {
    const [px, py] = turned([x, y], z)
    return [part.at.xMm + px, part.at.yMm + py]
  }
  return [
    { grip: 'width' as Grip, at: place(w / 2, 0), label: 'width' },
    { grip: 'height' as Grip, at: place(0, h / 2), label: 'height' },
    { grip: 'both' as Grip, at: place(w / 2, h / 2), label: 'size' },
    { grip: 'turn' as Grip, at: place(0, h / 2 + 7), label: 'turn' },
  ].map((g) => ({ ...g, part }))
})
const gripSize = computed(() => view.value.height / 95)
const isSelected = (part: Part) => figure.selectedPart?.key === part.key
const hasDetails = (part: Part) => figure.details.filter((d) => d.on === part.key && (d.side ?? 'front') === 'front').sort((a, b) => (a.layer ?? 1) - (b.layer ?? 1))
</script>

<template>
  <svg
    ref="svg" class="board" :viewBox="`${view.x} ${view.y} ${view.width} ${view.height}`" preserveAspectRatio="xMidYMid meet" role="group" aria-label="The figure from the front, on millimetre paper"
    @pointermove="drag && move(at($event))" @pointerup="release" @pointercancel="cancel(); emit('hold', false)" @pointerdown.self="figure.selection = null"
  >
    <MmPaper :x="view.x - 600" :y="view.y - 600" :width="view.width + 1200" :height="view.height + 1200" pointer-events="none" />
    <line :x1="view.x - 600" :x2="view.x + view.width + 600" y1="0" y2="0" class="table" />
    <line x1="0" x2="0" :y1="view.y - 600" :y2="view.y + view.height + 600" class="middle" />
    <image
      v-if="showPicture && picture && figure.picture" :href="`/api/pictures/${figure.picture}`" :x="-picture.originPx[0] * picture.mmPerPx" :y="-picture.originPx[1] * picture.mmPerPx"
      :width="picture.widthPx * picture.mmPerPx" :height="picture.heightPx * picture.mmPerPx" preserveAspectRatio="none" class="drawing" :class="{ faint: filled }"
    />
    <g v-for="{ part, at: place, loops } in pieces" :key="part.key + place.twin" :transform="transform(part, place.twin, place.x, place.y)">
      <path
        :d="path(loops, place.x, place.y)" fill-rule="evenodd" class="part" :class="{ selected: isSelected(part), filled }" :style="{ '--wool': figure.colourOf(part.colour) }"
        :tabindex="place.twin ? undefined : 0" role="button" :aria-label="`${part.name ?? part.key}, ${part.shape.kind}${place.twin ? ', twin' : ''}`" :aria-pressed="isSelected(part)" :data-part="part.key"
        @pointerdown.stop="press($event, part, place.twin, 'move')" @focus="figure.selection = { kind: 'part', key: part.key }"
      />
      <g v-for="d in hasDetails(part)" :key="d.key" pointer-events="none" :class="{ ghost: !filled }">
        <template v-for="(loop, i) in d.mirror ? [detailLoop(d, place.twin), detailLoop(d, !place.twin)] : [detailLoop(d, place.twin)]" :key="i">
          <path v-if="loop.closed" :d="path([loop.points], place.x, place.y)" :fill="filled ? figure.colourOf(d.colour) : 'none'" class="detail" />
          <path v-else :d="line(loop.points, place.x, place.y)" fill="none" :stroke="filled ? figure.colourOf(d.colour) : undefined" :stroke-width="filled ? d.widthMm : undefined" class="detail" stroke-linecap="round" />
        </template>
      </g>
    </g>
    <g v-for="g in grips" :key="g.grip" class="grip" :class="g.grip" @pointerdown.stop="press($event, g.part, false, g.grip)">
      <circle :cx="g.at[0]" :cy="-g.at[1]" :r="gripSize * 2.4" fill="transparent" />
      <circle v-if="g.grip === 'turn'" :cx="g.at[0]" :cy="-g.at[1]" :r="gripSize" class="knob" />
      <rect v-else :x="g.at[0] - gripSize" :y="-g.at[1] - gripSize" :width="2 * gripSize" :height="2 * gripSize" rx=".5" class="knob" />
      <title>{{ g.label }}</title>
    </g>
  </svg>
</template>

<style scoped>
.board { width: 100%; height: 100%; display: block; touch-action: none; min-height: 0; }
.drawing { opacity: .95; pointer-events: none; }
.drawing.faint { opacity: .25; }
.table { stroke: rgb(var(--v-theme-quiet)); stroke-width: .5; pointer-events: none; }
.middle { stroke: rgb(var(--v-theme-thread)); stroke-width: .4; stroke-dasharray: 2.4 1.6; pointer-events: none; }
.part { fill: var(--wool); fill-opacity: .16; stroke: rgb(var(--v-theme-on-surface)); stroke-width: .55; cursor: move; outline: none !important; }
.part.filled { fill-opacity: 1; stroke-opacity: .3; }
.part:hover { fill-opacity: .4; }
.part.selected { stroke: rgb(var(--v-theme-secondary)); stroke-width: 1.1; fill-opacity: .42; stroke-dasharray: 2.2 1.3; stroke-linecap: round; }
.part.selected.filled { fill-opacity: 1; stroke-opacity: 1; }
.detail { stroke-linejoin: round; }
.ghost .detail { stroke: rgb(var(--v-theme-quiet)); stroke-width: .35; }
.grip { cursor: nwse-resize; }
.grip.width { cursor: ew-resize; } .grip.height { cursor: ns-resize; } .grip.turn { cursor: grab; }
.knob { fill: rgb(var(--v-theme-surface)); stroke: rgb(var(--v-theme-secondary)); stroke-width: .5; }
</style>
