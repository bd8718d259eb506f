<script setup lang="ts">
import { computed } from 'vue'
import type { Hand } from '../../api/types/answers'
import { useUnits } from '../../state/units'
import { t } from '../../lang'

const units = useUnits()
/** What was known before and what is known now over one scale; every record a dot on it. */
const props = defineProps<{
  quantity: Hand['quantities'][number]
  observations: Hand['observations']
  chosen: string
}>()
const emit = defineEmits<{ choose: [id: string] }>()
const [WIDE, HIGH, FOOT] = [560, 150, 46]

const titles = {
  density: t('hand.handCurves.howDense'),
  waste: t('hand.handCurves.whatIsLost'),
  pace: t('hand.handCurves.howFast'),
}
const scale = computed(() => {
  const xs = props.quantity.curve.map((p) => Math.log(p[0]!))
  const [low, high] = [Math.min(...xs), Math.max(...xs)]
  return (factor: number) => (Math.max(0, Math.min(1, (Math.log(factor) - low) / (high - low))) * WIDE).toFixed(1)
})
const peak = computed(() => Math.max(...props.quantity.curve.flatMap((p) => p.slice(1))))
const path = (which: 1 | 2) =>
  'M' +
  props.quantity.curve.map((p) => `${scale.value(p[0]!)} ${(HIGH * (1 - p[which]! / peak.value)).toFixed(1)}`).join('L')
const dots = computed(() => props.observations.filter((o) => o.quantity === props.quantity.quantity))
/** Records that lie close to each other stand over each other. */
const placed = computed(() => {
  const rows: number[] = []
  return [...dots.value]
    .sort((a, b) => a.factor - b.factor)
    .map((o) => {
      const x = Number(scale.value(o.factor))
      let row = rows.findIndex((last) => x - last > 14)
      if (row < 0) row = rows.length
      rows[row] = x
      return { ...o, x, y: HIGH + 14 + Math.min(row, 2) * 13 }
    })
})
const ticks = computed(() =>
  [0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5]
    .filter((f) => f > props.quantity.curve[0]![0]! && f < props.quantity.curve.at(-1)![0]!)
    .map((f) => ({
      x: scale.value(f),
      text: props.quantity.usual === null ? units.share(f) : units.gPerCm3(props.quantity.usual * f),
      isUsual: f === 1,
    })),
)
</script>

<template>
  <figure>
    <figcaption>
      <h2>{{ titles[quantity.quantity] }}</h2>
      <p>{{ quantity.text }}</p>
    </figcaption>
    <svg :viewBox="`-12 -6 ${WIDE + 24} ${HIGH + FOOT + 34}`" role="group" :aria-label="titles[quantity.quantity]">
      <path :d="path(1)" class="before" />
      <path :d="path(2)" class="now" />
      <text :x="WIDE - 4" y="12" text-anchor="end" class="quiet">{{ $t('hand.handCurves.dashedBeforeFullNow') }}</text>
      <line x1="0" :x2="WIDE" :y1="HIGH" :y2="HIGH" class="axis" />
      <circle
        v-for="d in placed"
        :key="d.id"
        :cx="d.x"
        :cy="d.y"
        :r="d.id === chosen ? 8 : 6"
        tabindex="0"
        role="button"
        :aria-label="
          $t('hand.handCurves.ofTheHousesNumber', {
            what: d.what,
            factor: Math.round(d.factor * 100),
            what2: d.aside ? $t('hand.handCurves.setAside') : '',
          })
        "
        :class="{ aside: d.aside, doubtful: d.doubtful, chosen: d.id === chosen }"
        @click="emit('choose', d.id)"
        @keydown.enter="emit('choose', d.id)"
      />
      <g v-for="tick in ticks" :key="tick.text">
        <line :x1="tick.x" :x2="tick.x" :y1="HIGH" :y2="HIGH + (tick.isUsual ? 8 : 4)" class="axis" />
        <text :x="tick.x" :y="HIGH + FOOT + 20" text-anchor="middle" :class="{ usual: tick.isUsual }">
          {{ tick.text }}
        </text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
figcaption p {
  margin: 0.1rem 0 0.4rem;
}
svg {
  width: 100%;
  max-height: 270px;
}
path {
  fill: none;
}
.before {
  stroke: rgb(var(--v-theme-thread));
  stroke-width: 2.5;
  stroke-dasharray: 6 4;
}
.now {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
}
.axis {
  stroke: rgb(var(--v-theme-quiet));
}
text {
  font-size: 12px;
  fill: rgb(var(--v-theme-quiet));
}
text.usual {
  font-weight: 700;
  fill: rgb(var(--v-theme-on-surface));
}
circle {
  fill: rgb(var(--v-theme-secondary));
  stroke: rgb(var(--v-theme-surface));
  stroke-width: 1.5;
  cursor: pointer;
}
circle.aside {
  fill: none;
  stroke: rgb(var(--v-theme-quiet));
  stroke-dasharray: 2 2;
}
circle.doubtful {
  fill: rgb(var(--v-theme-warning));
}
circle.chosen,
circle:focus-visible {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
  outline: none;
}
</style>
