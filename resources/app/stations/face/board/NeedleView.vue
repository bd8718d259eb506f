<script setup lang="ts">
import { computed } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import { line, path } from '../../../drawing/geometry'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'

const units = useUnits()
/** A detail as the needle sees it, straight down on the wool, the stabs numbered in their order. */
const props = defineProps<{ detail: string }>()
const figure = useFigure()
// What is off the part is told by its own line.
const { answer: seen } = useAnswer(
  [() => props.detail, () => figure.document],
  () => (figure.document ? api.needlesEye(figure.document, props.detail) : null),
  true,
)
const half = computed(() => seen.value?.reachMm ?? 5)
const skin = computed(() =>
  figure.colourOf(
    figure.parts.find((p) => p.key === figure.details.find((d) => d.key === props.detail)?.on)?.colour ?? '',
  ),
)
const ticks = computed(() =>
  Array.from({ length: 2 * Math.floor(half.value) + 1 }, (_, i) => i - Math.floor(half.value)),
)
</script>

<template>
  <figure v-if="seen" class="eye">
    <svg
      :viewBox="`${-half} ${-half} ${2 * half} ${2 * half}`"
      role="img"
      :aria-label="$t('face.needleView.straightDownOnItAcross', { half: units.mm(2 * half), stabs: seen.stabs.length })"
    >
      <clipPath id="needle-round"><circle :r="half" /></clipPath>
      <g clip-path="url(#needle-round)">
        <rect :x="-half" :y="-half" :width="2 * half" :height="2 * half" :fill="skin" />
        <path v-for="t in ticks" :key="t" :d="`M${t} ${-half}V${half}M${-half} ${t}H${half}`" class="tick" />
        <template v-for="(o, i) in seen.outlines" :key="i">
          <path v-if="o.isLater && o.loops[0]?.length" :d="path([o.loops[0]])" class="later" />
          <path
            v-else-if="o.isLine && o.loops[0]?.length"
            :d="line(o.loops[0])"
            fill="none"
            :stroke="figure.colourOf(o.colour)"
            :stroke-width="o.widthMm"
            stroke-linecap="round"
            stroke-linejoin="round"
          />
          <path
            v-else-if="o.loops[0]?.length"
            :d="path(o.loops.filter((l) => l.length))"
            fill-rule="evenodd"
            :fill="figure.colourOf(o.colour)"
          />
        </template>
        <g v-for="s in seen.stabs" :key="s.n" :transform="`translate(${s.xMm} ${-s.yMm})`">
          <circle :r="half * 0.065" class="stab" />
          <text :font-size="half * 0.1" :y="half * 0.036" text-anchor="middle">{{ s.n }}</text>
        </g>
      </g>
      <circle :r="half - 0.05" class="rim" />
    </svg>
    <figcaption class="quiet">
      {{ $t('face.needleView.asTheNeedleSeesIt', { mm: units.mm(1) })
      }}<template v-if="seen.slantDeg > 8">{{
        $t('face.needleView.tiltTheHeadByTo', { slantDeg: seen.slantDeg })
      }}</template
      >.
    </figcaption>
  </figure>
</template>

<style scoped>
.eye {
  margin: 0;
  display: grid;
  justify-items: center;
  gap: 0.2rem;
}
svg {
  width: min(210px, 100%);
}
.tick {
  stroke: rgb(0 0 0 / 14%);
  stroke-width: 0.04;
}
.later {
  fill: none;
  stroke: rgb(0 0 0 / 45%);
  stroke-width: 0.12;
  stroke-dasharray: 0.5 0.4;
}
.rim {
  fill: none;
  stroke: rgb(var(--v-theme-thread));
  stroke-width: 0.1;
}
.stab {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.08;
}
figcaption {
  font-size: 0.8rem;
  text-align: center;
}
</style>
