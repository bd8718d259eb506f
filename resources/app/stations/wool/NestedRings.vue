<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '../../api/types/figure'
import type { PartPlan } from '../../api/types/plan'
import { path } from '../../drawing/geometry'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'

const units = useUnits()
/** Loose clump, felted part and inside, at true proportion to each other and to the other rows. */
const props = withDefaults(defineProps<{ part: Part; plan: PartPlan; hex: string; largestMm: number; px?: number }>(), {
  px: 84,
})
const figure = useFigure()
const scale = computed(() => props.px / props.largestMm)
const drawing = computed(() => figure.board?.drawing.parts[props.part.key])
const front = computed(() => path(drawing.value?.pieces[0]?.front ?? []))
const inside = computed(() => path(drawing.value?.inside ?? []))
const loose = computed(() => props.plan.looseMm.w / props.part.shape.widthMm)
const box = computed(() => props.px + 4)
</script>

<template>
  <svg
    :width="box"
    :height="box"
    :viewBox="`${-box / 2} ${-box / 2} ${box} ${box}`"
    role="img"
    :aria-label="
      $t('wool.nestedRings.looseFelted', {
        h: units.box(plan.looseMm.w, plan.looseMm.h),
        heightMm: units.box(part.shape.widthMm, part.shape.heightMm),
      })
    "
  >
    <path :d="front" :transform="`scale(${scale * loose})`" class="loose" />
    <path :d="front" :transform="`scale(${scale})`" :fill="hex" fill-rule="evenodd" class="felted" />
    <path v-if="inside" :d="inside" :transform="`scale(${scale})`" class="core" />
  </svg>
</template>

<style scoped>
path {
  vector-effect: non-scaling-stroke;
}
.loose {
  fill: none;
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 1.3;
  stroke-dasharray: 4 3;
}
.felted {
  stroke: rgba(var(--v-theme-on-surface), 0.45);
  stroke-width: 1;
}
.core {
  fill: #efe6d2;
  stroke: rgb(58 42 32 / 35%);
  stroke-width: 0.8;
}
</style>
