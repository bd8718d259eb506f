<script setup lang="ts">
import { computed } from 'vue'
import type { Placed, Supply } from '../../api/types/answers'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'

const units = useUnits()
/** How the cut pieces lie on the sheet, seen from above. */
const props = defineProps<{ layout: NonNullable<Supply['layout']> }>()
const figure = useFigure()
const box = computed(() => `-2 -2 ${props.layout.widthMm + 4} ${props.layout.lengthMm + 4}`)
const loops = (key: string) => figure.board?.drawing.parts[key]?.pieces[0]?.front ?? []
/** The piece's own outline, moved into its place; on its side where it was laid so. */
function path(p: Placed): string {
  const points = loops(p.key)[0] ?? []
  const own = points.map(([x, y]) => (p.isTurned ? [y, x] : [x, y]) as [number, number])
  const [lowX, lowY] = [Math.min(...own.map((q) => q[0])), Math.min(...own.map((q) => q[1]))]
  return own.length
    ? 'M' +
        own
          .map(
            ([x, y]) => `${(p.xMm + x - lowX).toFixed(1)} ${(props.layout.lengthMm - p.yMm - (y - lowY)).toFixed(1)}`,
          )
          .join('L') +
        'Z'
    : ''
}
</script>

<template>
  <figure>
    <svg
      :viewBox="box"
      role="img"
      :aria-label="
        $t('wool.sheetLayout.piecesOnASheetWide', {
          placed: layout.placed.length,
          widthMm: units.mm(layout.widthMm),
          lengthMm: units.mm(layout.lengthMm),
        })
      "
    >
      <rect :width="layout.widthMm" :height="layout.lengthMm" class="felt" />
      <path v-for="(p, i) in layout.placed" :key="i" :d="path(p)" class="piece" />
    </svg>
    <figcaption class="quiet">
      {{
        $t('wool.sheetLayout.onASheetWideThey', {
          widthMm: units.mm(layout.widthMm),
          lengthMm: units.mm(layout.lengthMm),
          waste: units.share(layout.waste),
        })
      }}
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0.6rem 0 0;
}
svg {
  width: 100%;
  max-height: 260px;
}
.felt {
  fill: rgb(var(--v-theme-table));
  stroke: rgb(var(--v-theme-thread));
  stroke-width: 0.8;
}
.piece {
  fill: rgba(var(--v-theme-secondary), 0.16);
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 0.8;
}
figcaption {
  font-size: 0.84rem;
}
</style>
