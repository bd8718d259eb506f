<script setup lang="ts">
import { computed } from 'vue'
import type { StashWool } from '../../api/client'
import type { WoolTotal } from '../../api/plan'
import { useUnits } from '../../state/units'

/** Low, likely and high as one bar; what the stash has as a line across it. */
const props = defineProps<{ total: WoolTotal; name: string; hex: string; stash?: StashWool; scaleG: number }>()
const units = useUnits()
const x = (g: number) => Math.min(100, (g / props.scaleG) * 100)
const verdict = computed(() => {
  if (!props.stash) return { text: 'nothing like it in the stash', tone: 'short' }
  const left = props.stash.gramsLeft
  if (left >= props.total.highG) return { text: `${props.stash.name}: enough`, tone: 'enough' }
  if (left >= props.total.g) return { text: `${props.stash.name}: likely enough`, tone: 'tight' }
  return { text: `${props.stash.name}: short by ${units.massLine(props.total.highG - left)} to be safe`, tone: 'short' }
})
</script>

<template>
  <li class="wool">
    <i class="swatch" :style="{ background: hex }" />
    <div class="what">
      <b>{{ name }}</b>
      <small :class="verdict.tone">{{ verdict.text }}<span v-if="stash" class="quiet">, {{ units.massLine(stash.gramsLeft) }} left</span></small>
    </div>
    <svg class="bar" viewBox="0 0 100 16" preserveAspectRatio="none" aria-hidden="true">
      <rect :x="x(total.lowG)" y="4" :width="x(total.highG) - x(total.lowG)" height="8" rx="2" class="spread" />
      <rect x="0" y="4" :width="x(total.lowG)" height="8" class="sure" />
      <rect :x="x(total.g) - .5" y="1.5" width="1" height="13" class="likely" />
      <line v-if="stash" :x1="x(stash.gramsLeft)" :x2="x(stash.gramsLeft)" y1="0" y2="16" class="stash" />
    </svg>
    <span class="numbers"><b>{{ units.massLine(total.g) }}</b><small class="quiet">{{ units.massRange(total.lowG, total.highG) }}</small></span>
  </li>
</template>

<style scoped>
.wool { display: grid; grid-template-columns: 22px minmax(120px, 1.1fr) minmax(90px, 1fr) 118px; gap: .7rem; align-items: center; padding: .45rem 0; }
.what, .numbers { display: grid; line-height: 1.25; }
.numbers { text-align: right; }
.bar { width: 100%; height: 22px; }
.sure { fill: rgb(var(--v-theme-thread)); }
.spread { fill: rgba(var(--v-theme-thread), 0.45); }
.likely { fill: rgb(var(--v-theme-on-surface)); }
.stash { stroke: rgb(var(--v-theme-secondary)); stroke-width: 2.5; vector-effect: non-scaling-stroke; stroke-dasharray: 3 2; }
small { font-size: .8rem; }
.enough { color: rgb(var(--v-theme-success)); }
.tight { color: rgb(var(--v-theme-warning)); }
.short { color: rgb(var(--v-theme-error)); }
</style>
