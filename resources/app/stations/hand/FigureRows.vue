<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Hand } from '../../api/types/answers'
import { useUnits } from '../../state/units'
import { t } from '../../lang'

const units = useUnits()
/** Plan against done, figure by figure: the bar is what was foretold then, the dot what came out; both to the same scale, plan = 1. */
const props = defineProps<{ figures: Hand['figures'] }>()
const [LEFT, WIDE, ROW] = [150, 330, 30]
const quantity = ref<'density' | 'pace'>('density')
const titles = { density: t('hand.figureRows.weight'), pace: t('hand.figureRows.time') }
const rows = computed(() => props.figures.filter((f) => f.quantity === quantity.value))
const kinds = computed(() => (['density', 'pace'] as const).filter((q) => props.figures.some((f) => f.quantity === q)))
/** Logarithmic, from half to twice the plan, or farther where something lies there. */
const far = computed(() =>
  Math.max(
    Math.LN2,
    ...rows.value.flatMap((r) => [r.low, r.high, r.done].map((v) => Math.abs(Math.log(v / r.planned)))),
  ),
)
const x = (ratio: number) => LEFT + (WIDE / 2) * (1 + Math.log(ratio) / far.value)
const amount = (value: number) => (quantity.value === 'density' ? units.g(value) : units.minutes(value))
const says = (r: Hand['figures'][number]) =>
  t('hand.figureRows.plannedToDoneRecords', {
    r: r.figure,
    planned: amount(r.planned),
    low: amount(r.low),
    high: amount(r.high),
    done: amount(r.done),
    records: t('hand.byHand.records', r.records),
  })
</script>

<template>
  <section :aria-label="$t('hand.figureRows.planAgainstDone')">
    <div class="row">
      <h2>{{ $t('hand.figureRows.planAgainstDone') }}</h2>
      <v-spacer />
      <button v-for="k in kinds" :key="k" class="plain tag" :aria-pressed="quantity === k" @click="quantity = k">
        {{ titles[k] }}
      </button>
    </div>
    <p class="quiet small">
      {{ $t('hand.figureRows.theBarIsWhatWas') }}
    </p>
    <svg :viewBox="`0 0 ${LEFT + WIDE + 70} ${ROW * rows.length + 26}`" role="list">
      <line :x1="x(1)" :x2="x(1)" y1="0" :y2="ROW * rows.length" class="plan" />
      <g v-for="(r, i) in rows" :key="r.figure" role="listitem" :aria-label="says(r)">
        <title>{{ says(r) }}</title>
        <text x="0" :y="ROW * i + 20">{{ r.figure.length > 20 ? `${r.figure.slice(0, 19)}…` : r.figure }}</text>
        <rect
          :x="x(r.low / r.planned)"
          :y="ROW * i + 9"
          :width="x(r.high / r.planned) - x(r.low / r.planned)"
          height="12"
          rx="6"
        />
        <circle
          :cx="x(r.done / r.planned)"
          :cy="ROW * i + 15"
          r="6"
          :class="{ out: r.done < r.low || r.done > r.high }"
        />
        <text :x="LEFT + WIDE + 8" :y="ROW * i + 20" class="quiet">{{ amount(r.done) }}</text>
      </g>
      <text :x="x(1)" :y="ROW * rows.length + 18" text-anchor="middle" class="quiet">
        {{ $t('hand.figureRows.asPlanned') }}
      </text>
    </svg>
  </section>
</template>

<style scoped>
svg {
  width: 100%;
}
text {
  font-size: 13px;
  fill: rgb(var(--v-theme-on-surface));
}
text.quiet {
  fill: rgb(var(--v-theme-quiet));
}
rect {
  fill: rgb(var(--v-theme-thread));
  opacity: 0.6;
}
.plan {
  stroke: rgb(var(--v-theme-quiet));
  stroke-dasharray: 4 3;
}
circle {
  fill: rgb(var(--v-theme-success));
}
circle.out {
  fill: rgb(var(--v-theme-warning));
}
.tag {
  min-height: 44px;
  padding: 0 0.8rem;
  border-radius: 10px;
}
.tag[aria-pressed='true'] {
  background: rgba(var(--v-theme-primary), 0.12);
  font-weight: 700;
}
</style>
