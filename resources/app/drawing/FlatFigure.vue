<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '../api/types/answers'
import type { Figure, Part } from '../api/types/figure'
import DetailShape from './DetailShape.vue'
import { path, places } from './geometry'

/** The figure from the front in flat colours; with `lit`, all else is pale. */
const props = defineProps<{ figure: Figure; drawing: Drawing; lit?: string; litDetail?: string }>()

const hex = (key: string) => props.figure.colours.find((c) => c.key === key)?.hex ?? '#999999'
const pieces = computed(() =>
  props.figure.parts
    .flatMap((part) =>
      places(part).map((at, i) => ({ part, at, loops: props.drawing.parts[part.key]?.pieces[i]?.front ?? [] })),
    )
    .sort((a, b) => a.at.z - b.at.z),
)
const box = computed(() => {
  const xs = pieces.value.flatMap((p) => p.loops.flat().map(([x]) => x + p.at.x))
  const ys = pieces.value.flatMap((p) => p.loops.flat().map(([, y]) => -(y + p.at.y)))
  const [left, top] = [Math.min(0, ...xs) - 3, Math.min(0, ...ys) - 3]
  return `${left} ${top} ${Math.max(1, ...xs) + 3 - left} ${Math.max(1, ...ys) + 3 - top}`
})
const on = (part: Part) =>
  (props.figure.details ?? [])
    .filter((d) => d.on === part.key && (d.side ?? 'front') === 'front')
    .sort((a, b) => (a.layer ?? 1) - (b.layer ?? 1))
const pale = (key: string) => props.lit !== undefined && props.lit !== '' && key !== props.lit
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="$t('drawing.flatFigure.fromTheFront', { name: figure.name })">
    <g v-for="piece in pieces" :key="piece.part.key + piece.at.twin" :class="{ pale: pale(piece.part.key) }">
      <path
        :d="path(piece.loops, piece.at.x, piece.at.y)"
        :fill="hex(piece.part.colour)"
        fill-rule="evenodd"
        class="rim"
      />
      <template v-for="detail in on(piece.part)" :key="detail.key">
        <g :class="{ pale: litDetail && detail.key !== litDetail }">
          <DetailShape
            v-for="twin in detail.mirror ? [piece.at.twin, !piece.at.twin] : [piece.at.twin]"
            :key="String(twin)"
            :detail="detail"
            :twin="twin"
            :colour="hex(detail.colour)"
            :x="piece.at.x"
            :y="piece.at.y"
          />
        </g>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.rim {
  stroke: rgba(var(--v-theme-on-surface), 0.25);
  stroke-width: 0.25;
}
.pale {
  opacity: 0.16;
}
</style>
