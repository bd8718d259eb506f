<script setup lang="ts">
import { computed } from 'vue'
import type { ImpaFlat } from '../../../api/types/flat'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { t } from '../../../lang'

/** How the layers of each colour lie on the sheets at hand. */
const props = defineProps<{ flat: ImpaFlat }>()
const figure = useFigure()
const units = useUnits()
const path = (points: number[][]) => `M${points.map(([x, y]) => `${x!.toFixed(1)} ${(-y!).toFixed(1)}`).join('L')}Z`
/** One drawing for each sheet that is cut. */
const sheets = computed(() =>
  props.flat.sheets.flatMap((s) =>
    Array.from({ length: s.sheets }, (_, k) => ({
      colour: s.colour,
      key: `${s.colour} ${k}`,
      name:
        figure.colourName(s.colour) +
        (s.sheets > 1 ? t('shapes.onSheets.of', { number: k + 1, sheets: s.sheets }) : ''),
      isLast: k === s.sheets - 1,
      lengthMm: k === s.sheets - 1 ? s.lengthMm : props.flat.sheet.heightMm,
      placed: s.placed
        .filter((p) => p.sheet === k)
        .map((p) => ({ name: p.name, d: path(p.outlineMm), cuts: p.cutsMm.map(path).join('') })),
    })),
  ),
)
</script>

<template>
  <ul class="bare sheets" :aria-label="$t('shapes.onSheets.onTheSheets')">
    <li v-for="s in sheets" :key="s.key">
      <svg
        :viewBox="`-2 ${-flat.sheet.heightMm - 2} ${flat.sheet.widthMm + 4} ${flat.sheet.heightMm + 4}`"
        role="img"
        :aria-label="`${s.name}: ${s.placed.map((p) => p.name).join(', ')}`"
      >
        <rect :width="flat.sheet.widthMm" :height="flat.sheet.heightMm" :y="-flat.sheet.heightMm" class="felt" />
        <path v-for="p in s.placed" :key="p.name" :d="p.d" :fill="figure.colourOf(s.colour)" class="piece">
          <title>{{ p.name }}</title>
        </path>
        <!-- Cut once the layers lie: here it is seen where. -->
        <template v-for="(p, n) in s.placed" :key="p.name">
          <clipPath :id="`on-${s.key}-${n}`.replace(/[^\w-]/g, '-')"><path :d="p.d" /></clipPath>
          <path
            v-if="p.cuts"
            :d="p.cuts"
            class="opening"
            :clip-path="`url(#${`on-${s.key}-${n}`.replace(/[^\w-]/g, '-')})`"
          />
        </template>
        <line :x2="flat.sheet.widthMm" :y1="-s.lengthMm" :y2="-s.lengthMm" class="used" />
      </svg>
      <b>{{ s.name }}</b>
      <span class="quiet">{{
        $t('shapes.onSheets.stayWhole', {
          pieces: $t('shapes.onSheets.pieces', s.placed.length),
          lengthMm: units.mm(Math.max(0, flat.sheet.heightMm - s.lengthMm)),
        })
      }}</span>
    </li>
  </ul>
</template>

<style scoped>
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
  align-content: flex-start;
  overflow: auto;
  height: 100%;
  padding: 0.8rem;
}
.sheets li {
  display: grid;
  width: 150px;
  gap: 0.1rem;
  font-size: 0.86rem;
  align-content: start;
}
.sheets svg {
  width: 100%;
  height: 200px;
}
.felt {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-opacity: 0.4;
  vector-effect: non-scaling-stroke;
}
.piece {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-opacity: 0.6;
  vector-effect: non-scaling-stroke;
}
.opening {
  fill: rgb(var(--v-theme-surface));
  fill-opacity: 0.75;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-dasharray: 3 3;
  vector-effect: non-scaling-stroke;
}
.used {
  stroke: rgb(var(--v-theme-primary));
  stroke-dasharray: 6 5;
  vector-effect: non-scaling-stroke;
}
</style>
