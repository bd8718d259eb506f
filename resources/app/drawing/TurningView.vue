<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { api } from '../api/client'
import type { Figure } from '../api/types/figure'
import { useAnswer } from '../api/useAnswer'
import type { TurningScene } from './turningScene'
import { useUnits } from '../state/units'
import { t } from '../lang'

const units = useUnits()
/** The figure in the round, lofted from the rings that PHP gives when it is shown. */
const props = defineProps<{
  figure: Figure
  selected?: string
  large?: boolean
  hidden?: string[]
  angle?: number
}>()
const emit = defineEmits<{ select: [key: string] }>()

const holder = ref<HTMLDivElement>()
const trouble = ref('')
const explode = ref(0)
const partColours = ref(false)
const grid = ref(false)
const ways = computed(() => ({
  explode: props.large ? explode.value : 0,
  partColours: partColours.value,
  grid: grid.value,
  hidden: props.hidden ?? [],
}))
const {
  answer: turning,
  trouble: refused,
  waiting,
} = useAnswer([() => props.figure], () => api.turning(props.figure), true)
let scene: TurningScene | null = null
let watcher: ResizeObserver | null = null
let gone = false

onMounted(async () => {
  try {
    // three.js is large and comes by itself, after the station stands.
    const { createTurningScene } = await import('./turningScene')
    if (gone || !holder.value) return
    scene = createTurningScene(holder.value, (key) => emit('select', key))
    show()
    if (props.angle !== undefined) scene.look(props.angle)
    watcher = new ResizeObserver(() => scene?.fit())
    watcher.observe(holder.value)
  } catch {
    trouble.value = t('drawing.turningView.thisBrowserDrawsNo3d')
  }
})
/** What is shown is what was asked for last: a figure with other rings would be drawn wrongly. */
function show(): void {
  if (turning.value && !waiting.value) scene?.show(props.figure, turning.value, props.selected, ways.value)
}
watch([turning, () => props.selected, ways], show)
watch(
  () => props.angle,
  (angle) => angle !== undefined && scene?.look(angle),
)
onBeforeUnmount(() => {
  gone = true
  watcher?.disconnect()
  scene?.dispose()
})
const looks: [string, number][] = [
  [t('drawing.turningView.front'), 0],
  [t('drawing.turningView.side'), Math.PI / 2],
  [t('drawing.turningView.back'), Math.PI],
]
</script>

<template>
  <div class="turning">
    <div
      ref="holder"
      class="holder"
      tabindex="0"
      role="application"
      :aria-label="$t('drawing.turningView.theFigureInTheRound')"
      @keydown.left.prevent.stop="scene?.turn(-0.2, 0)"
      @keydown.right.prevent.stop="scene?.turn(0.2, 0)"
      @keydown.up.prevent.stop="scene?.turn(0, 0.15)"
      @keydown.down.prevent.stop="scene?.turn(0, -0.15)"
    />
    <p v-if="trouble || refused" class="quiet">{{ trouble || refused }}</p>
    <div v-if="large" class="ways">
      <label
        >{{ $t('drawing.turningView.pulledApart') }}
        <input v-model.number="explode" type="range" min="0" max="1" step="0.05"
      /></label>
      <label><input v-model="partColours" type="checkbox" /> {{ $t('drawing.turningView.aColourForEveryPart') }}</label>
      <label
        ><input v-model="grid" type="checkbox" /> {{ $t('drawing.turningView.gridOf', { mm: units.mm(10) }) }}</label
      >
    </div>
    <div v-if="angle === undefined" class="looks">
      <button v-for="[name, to] in looks" :key="name" class="plain" @click="scene?.look(to)">
        {{ name }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.turning {
  position: relative;
  height: 100%;
  min-height: 0;
}
.holder {
  height: 100%;
  touch-action: none;
  cursor: grab;
  border-radius: 14px;
  overflow: hidden;
}
.ways {
  position: absolute;
  top: 8px;
  left: 12px;
  display: flex;
  gap: 1.2rem;
  align-items: center;
  flex-wrap: wrap;
  background: rgba(var(--v-theme-surface), 0.85);
  padding: 0.35rem 0.8rem;
  border-radius: 12px;
}
.ways label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 32px;
}
.ways input {
  accent-color: rgb(var(--v-theme-primary));
}
.looks {
  position: absolute;
  bottom: 2px;
  left: 0;
  right: 0;
  display: flex;
  justify-content: center;
  gap: 0.2rem;
}
.looks button {
  padding: 0.15rem 0.6rem;
  font-size: 0.8rem;
  border-radius: 8px;
  background: rgba(var(--v-theme-surface), 0.8);
  min-height: 28px;
}
</style>
