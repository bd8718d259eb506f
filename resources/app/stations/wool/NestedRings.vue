<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '../../api/figure'
import type { PartPlan } from '../../api/plan'

/** Loose clump, felted part and core within, at true proportion to each other and to the other rows. */
const props = defineProps<{ part: Part; plan: PartPlan; coverMm: number; hex: string; largestMm: number }>()
const px = computed(() => 84 / props.largestMm)
const rings = computed(() => {
  const { widthMm: w, heightMm: h } = props.part.shape
  const inside = props.plan.insideCm3 > 0
  return {
    loose: [props.plan.looseMm.w / 2, props.plan.looseMm.h / 2],
    felted: [w / 2, h / 2],
    core: inside ? [w / 2 - props.coverMm, h / 2 - props.coverMm] : null,
  }
})
</script>

<template>
  <svg width="88" height="88" viewBox="-44 -44 88 88" role="img" :aria-label="`Loose ${plan.looseMm.w.toFixed(0)} by ${plan.looseMm.h.toFixed(0)} mm, felted ${part.shape.widthMm} by ${part.shape.heightMm} mm`">
    <ellipse :rx="(rings.loose[0] ?? 0) * px" :ry="(rings.loose[1] ?? 0) * px" class="loose" />
    <ellipse :rx="(rings.felted[0] ?? 0) * px" :ry="(rings.felted[1] ?? 0) * px" :fill="hex" class="felted" />
    <ellipse v-if="rings.core" :rx="(rings.core[0] ?? 0) * px" :ry="(rings.core[1] ?? 0) * px" class="core" />
  </svg>
</template>

<style scoped>
.loose { fill: none; stroke: rgb(var(--v-theme-quiet)); stroke-width: 1.3; stroke-dasharray: 3 2.4; }
.felted { stroke: rgba(var(--v-theme-on-surface), 0.45); stroke-width: 1; }
.core { fill: #efe6d2; stroke: rgb(58 42 32 / 35%); stroke-width: .8; }
</style>
