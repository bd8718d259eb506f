<script setup lang="ts">
import { computed } from 'vue'
import type { FaceGrid, Guide } from '../../../api/types/answers'
import { line, type Point } from '../../../drawing/geometry'
import { useUnits } from '../../../state/units'

/** Tape millimetres as they lie on the curve, the lines of the face, and where eyes, nose and mouth usually sit. */
const props = defineProps<{
  grid: FaceGrid
  box: { left: number; right: number; low: number; high: number }
  guide?: Guide
  lines: string[]
  eyeLine: number | null
  text: number
}>()
const units = useUnits()
const mirrored = (points: Point[]) => points.map(([x, y]) => [-x, y] as Point)
const level = (y: number) =>
  line([
    [props.box.left, y],
    [props.box.right, y],
  ])
const share = (down: number) => props.grid.crownMm - down * (props.grid.crownMm - props.grid.footMm)
const eyes = computed(() => props.guide?.bands.find((b) => b.name === 'eyes'))
</script>

<template>
  <g class="grid" pointer-events="none">
    <template v-for="l in grid.across" :key="'a' + l.mm">
      <path :d="line(l.points)" :class="{ ten: l.mm % 10 === 0 }" /><path
        :d="line(mirrored(l.points))"
        :class="{ ten: l.mm % 10 === 0 }"
      />
    </template>
    <path v-for="l in grid.down" :key="'d' + l.mm" :d="line(l.points)" :class="{ ten: l.mm % 10 === 0 }" />
    <path
      v-if="lines.includes('middle')"
      :d="
        line([
          [0, grid.crownMm],
          [0, grid.footMm],
        ])
      "
      class="middle"
    />
    <path v-if="lines.includes('half')" :d="level(share(0.5))" class="half" />
    <path v-if="lines.includes('eyes') && eyeLine !== null" :d="level(eyeLine)" class="eyes" />
    <template v-if="lines.includes('thirds')"
      ><path :d="level(share(1 / 3))" class="third" /><path :d="level(share(2 / 3))" class="third"
    /></template>
    <g v-for="b in guide?.bands" :key="b.name" class="band">
      <rect :x="box.left" :width="box.right - box.left" :y="-b.highMm" :height="b.highMm - b.lowMm" />
      <text
        :x="box.right + text * 0.4"
        :y="-(b.highMm + b.lowMm) / 2 + text * 0.3"
        :font-size="text * 0.8"
        class="scale"
        >{{ b.name }}</text
      >
    </g>
    <g v-if="guide && eyes" class="place">
      <rect
        v-for="way in [1, -1]"
        :key="way"
        :x="way > 0 ? guide.eyes.fromMm : -guide.eyes.toMm"
        :width="guide.eyes.toMm - guide.eyes.fromMm"
        :y="-eyes.highMm"
        :height="eyes.highMm - eyes.lowMm"
      />
    </g>
    <text
      v-for="l in grid.down.filter((x) => x.mm % 10 === 0)"
      :key="'t' + l.mm"
      :x="(l.points[0]?.[0] ?? 0) - text * 0.4"
      :y="-(l.points[0]?.[1] ?? 0) + text * 0.3"
      :font-size="text * 0.8"
      text-anchor="end"
      class="scale"
      >{{ units.length(l.mm) }}</text
    >
  </g>
</template>

<style scoped>
.grid path {
  fill: none;
  stroke: rgb(0 0 0 / 22%);
  stroke-width: calc(0.12px * var(--mm));
}
.grid .ten {
  stroke: rgb(0 0 0 / 42%);
  stroke-width: calc(0.2px * var(--mm));
}
.grid .middle {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: calc(0.35px * var(--mm));
  stroke-dasharray: calc(1.4px * var(--mm)) calc(0.9px * var(--mm));
}
.grid .half {
  stroke: rgb(var(--v-theme-info));
  stroke-width: calc(0.35px * var(--mm));
  stroke-dasharray: calc(1.4px * var(--mm)) calc(0.9px * var(--mm));
}
.grid .eyes {
  stroke: rgb(var(--v-theme-warning));
  stroke-width: calc(0.35px * var(--mm));
  stroke-dasharray: calc(2px * var(--mm)) calc(0.7px * var(--mm));
}
.grid .third {
  stroke: rgb(var(--v-theme-success));
  stroke-width: calc(0.3px * var(--mm));
  stroke-dasharray: calc(0.5px * var(--mm)) calc(0.9px * var(--mm));
  stroke-linecap: round;
}
/* Over dark wool and pale alike. */
.band rect {
  fill: rgba(var(--v-theme-info), 0.16);
  stroke: rgb(var(--v-theme-info));
  stroke-width: calc(0.18px * var(--mm));
  stroke-dasharray: calc(0.8px * var(--mm)) calc(0.6px * var(--mm));
}
.place rect {
  fill: rgba(var(--v-theme-surface), 0.32);
  stroke: rgb(var(--v-theme-info));
  stroke-width: calc(0.3px * var(--mm));
}
.scale {
  fill: rgb(var(--v-theme-quiet));
}
</style>
