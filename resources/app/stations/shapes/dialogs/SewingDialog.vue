<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { api, type PaperSize } from '../../../api/client'
import type { Part } from '../../../api/types/figure'
import { useAnswer } from '../../../api/useAnswer'
import LengthField from '../../../shared/LengthField.vue'
import PrintDialog from '../../../shared/PrintDialog.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { t } from '../../../lang'

/** A part cut from felt and sewn instead of felted: its pieces, seams, thread and stuffing. */
const show = defineModel<boolean>({ required: true })
const props = defineProps<{ part: Part }>()
const figure = useFigure()
const units = useUnits()
const how = reactive({ seamMm: 3, stitch: 'back' as const, stitchMm: 3, feltMm: 1.5, hollow: false })
const wish = computed(() => ({ part: props.part.key, ...how }))
const printing = ref(false)
const STITCHES = [
  { value: 'back', title: t('shapes.sewingDialog.backStitch') },
  { value: 'running', title: t('shapes.sewingDialog.runningStitch') },
  { value: 'whip', title: t('shapes.sewingDialog.whipStitch') },
  { value: 'blanket', title: t('shapes.sewingDialog.blanketStitch') },
] as const

const { answer: pattern, trouble } = useAnswer([show, () => figure.document, wish], () =>
  show.value && figure.document ? api.pattern(figure.document, wish.value) : null,
)
const path = (points: number[][]) => `M${points.map(([x, y]) => `${x!.toFixed(2)} ${(-y!).toFixed(2)}`).join('L')}Z`
/** All pieces in one scale, side by side. */
const drawn = computed(() => {
  const pieces = (pattern.value?.pieces ?? []).map((p) => {
    const [xs, ys] = [p.cutMm.map((c) => c[0]!), p.cutMm.map((c) => c[1]!)]
    return {
      ...p,
      left: Math.min(...xs),
      wide: Math.max(...xs) - Math.min(...xs),
      top: -Math.max(...ys),
      low: -Math.min(...ys),
    }
  })
  const gap = 0.03 * pieces.reduce((sum, p) => sum + p.wide, 20)
  let x = gap
  const placed = pieces.map((p) => {
    const at = { ...p, x: x - p.left, y: gap - p.top }
    x += p.wide + gap
    return at
  })
  return { placed, wide: x, tall: Math.max(10, ...pieces.map((p) => p.low - p.top)) + 2 * gap }
})
const length = units.mm
const sheet = (as: 'pdf' | 'svg', paper: PaperSize) => api.patternSheet(figure.document!, wish.value, as, paper)
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('shapes.sewingDialog.cutAndSew')" max-width="760" scrollable>
    <v-card :title="$t('shapes.sewingDialog.cutAndSew2', { name: part.name ?? part.key })">
      <v-card-text class="sewing">
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        <figure v-if="pattern" class="pieces mm-paper sheet">
          <svg
            :viewBox="`0 0 ${drawn.wide} ${drawn.tall}`"
            role="img"
            :aria-label="pattern.pieces.map((p) => p.name).join(', ')"
          >
            <g v-for="p in drawn.placed" :key="p.name" :transform="`translate(${p.x} ${p.y})`">
              <path :d="path(p.cutMm)" class="cut" />
              <path v-if="p.of === 'felt' && how.seamMm > 0" :d="path(p.outlineMm)" class="sewn" />
            </g>
          </svg>
          <figcaption class="quiet">{{ $t('shapes.sewingDialog.cutAlongTheFullLine') }}</figcaption>
        </figure>
        <div class="fields">
          <v-select v-model="how.stitch" :items="STITCHES" :label="$t('shapes.sewingDialog.seamsBy')" hide-details />
          <LengthField
            v-model="how.stitchMm"
            :label="$t('shapes.sewingDialog.fromStitchToStitch')"
            :min="1"
            :max="20"
          />
          <LengthField v-model="how.seamMm" :label="$t('shapes.sewingDialog.seamAllowance')" :min="0" :max="20" />
          <LengthField v-model="how.feltMm" :label="$t('shapes.sewingDialog.feltThick')" :min="0.3" :max="10" />
          <v-checkbox
            v-model="how.hollow"
            :label="$t('shapes.sewingDialog.itStaysOpenAsA')"
            density="compact"
            hide-details
          />
        </div>
        <div v-if="pattern" class="told">
          <ul class="bare" :aria-label="$t('shapes.sewingDialog.pieces')">
            <li v-for="p in pattern.pieces" :key="p.name">
              <b>{{ p.count * pattern.parts }} × {{ p.name }}</b
              >, {{ p.of
              }}<span class="quiet">{{ $t('shapes.sewingDialog.each', { cutCm2: units.cm2(p.cutCm2) }) }}</span>
            </li>
          </ul>
          <ul class="bare" :aria-label="$t('shapes.sewingDialog.seams')">
            <li v-for="s in pattern.seams" :key="s.name">
              {{ s.name }}: {{ length(s.lengthMm)
              }}<span class="quiet">{{ $t('shapes.sewingDialog.stitches', { stitches: s.stitches }) }}</span>
            </li>
          </ul>
          <dl class="sums stitched">
            <template v-if="pattern.threadMm"
              ><dt>{{ $t('shapes.sewingDialog.thread') }}</dt>
              <dd>{{ length(pattern.threadMm * pattern.parts) }}</dd></template
            >
            <template v-if="pattern.stuffingG"
              ><dt>{{ $t('shapes.sewingDialog.stuffing') }}</dt>
              <dd>{{ units.g(pattern.stuffingG * pattern.parts) }}</dd></template
            >
          </dl>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.close') }}</v-btn>
        <v-btn color="primary" variant="flat" :disabled="!pattern" @click="printing = true">{{
          $t('shapes.sewingDialog.printThePattern')
        }}</v-btn>
      </v-card-actions>
      <PrintDialog v-model="printing" :title="$t('shapes.sewingDialog.pattern')" :make="sheet" />
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sewing {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 220px;
  gap: 1rem;
}
.pieces,
.wrong {
  grid-column: 1 / -1;
}
.pieces {
  margin: 0;
  padding: 0.6rem;
}
.pieces svg {
  width: 100%;
  height: 240px;
}
.cut {
  fill: rgb(var(--v-theme-surface), 0.85);
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
.sewn {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
  vector-effect: non-scaling-stroke;
}
.fields {
  display: grid;
  gap: 0.6rem;
  align-content: start;
  order: 2;
}
.told {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
@media (max-width: 700px) {
  .sewing {
    grid-template-columns: 1fr;
  }
}
</style>
