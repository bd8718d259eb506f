<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { api, type PaperSize } from '../../../api/client'
import type { Figure } from '../../../api/types/figure'
import { useAnswer } from '../../../api/useAnswer'
import LengthField from '../../../shared/LengthField.vue'
import PrintDialog from '../../../shared/PrintDialog.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import LayersApart from './LayersApart.vue'
import OnSheets from './OnSheets.vue'
import { useFelt } from './useFelt'
import { t } from '../../../lang'

type Flat = NonNullable<Figure['flat']>

/** A figure of layers: pulled apart, and on the sheets; what it is made of, its stitches, its ribbon. */
defineProps<{ page: 'apart' | 'sheets' }>()
const figure = useFigure()
const units = useUnits()
const apart = ref(0.8)
const printing = ref(false)
const mirrored = ref(false)
const sheet = useFelt()

const { answer: flat, trouble } = useAnswer(
  [() => figure.document, () => ({ ...sheet })],
  () => (figure.document?.flat ? api.flat(figure.document, sheet) : null),
  true,
)
const way = computed(() => figure.document?.flat)
const isSheet = computed(() => way.value?.way === 'sheet')
const set = (how: (flat: Flat) => void) => figure.change((d) => d.flat && how(d.flat))
/** Each draws in by its own: what was said of the one does not hold for the other. */
const setWay = (way: Flat['way']) =>
  set((f) => {
    f.way = way
    delete f.shrink
    delete f.measured
  })
/** What she measured takes the place of what was assumed. */
function measure(said: { laidMm?: number; cameMm?: number }): void {
  set((f) => {
    f.measured = { laidMm: 100, cameMm: Math.round(100 * (1 - (flat.value?.shrink ?? 0))), ...f.measured, ...said }
  })
}
const STITCHES = [
  { value: 'none', title: t('shapes.layersView.noneStabbed') },
  { value: 'running', title: t('shapes.layersView.runningStitch') },
  { value: 'back', title: t('shapes.layersView.backStitch') },
  { value: 'whip', title: t('shapes.layersView.whipStitch') },
  { value: 'blanket', title: t('shapes.layersView.blanketStitch') },
] as const
const RIBBONS: { value: 'none' | 'ties' | 'top'; title: string }[] = [
  { value: 'none', title: t('shapes.layersView.none') },
  { value: 'ties', title: t('shapes.layersView.tiesAtBothSides') },
  { value: 'top', title: t('shapes.layersView.oneAtTheTop') },
]
const ribbon = computed((): 'none' | 'ties' | 'top' => {
  const holes = way.value?.ribbon?.holesMm.length ?? 0
  return holes === 0 ? 'none' : holes === 1 ? 'top' : 'ties'
})
function setRibbon(to: 'none' | 'ties' | 'top'): void {
  const at = to === 'none' ? [] : (flat.value?.ribbon.suggested[to] ?? [])
  set((f) => {
    if (at.length === 0) delete f.ribbon
    else
      f.ribbon = {
        widthMm: f.ribbon?.widthMm ?? 8,
        lengthMm: f.ribbon?.lengthMm ?? (to === 'ties' ? 400 : 150),
        holesMm: at as NonNullable<Flat['ribbon']>['holesMm'],
      }
  })
}
const openings = computed(() => way.value?.openings ?? [])
const close = (key: string) =>
  set((f) => {
    f.openings = f.openings?.filter((o) => o.key !== key)
  })
const addEyes = () =>
  set((f) => {
    f.openings = flat.value?.eyeHoles as Flat['openings']
  })
/** Width and height. */
function size(points: [number, number][]): string {
  const across = (axis: 0 | 1) => Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]))
  return `${units.box(across(0), across(1))}`
}
const long = units.mm
const templates = (as: 'pdf' | 'svg', paper: PaperSize) =>
  api.flatTemplates(figure.document!, sheet, mirrored.value, as, paper)
</script>

<template>
  <div class="layers">
    <div class="row head">
      <label v-if="page === 'apart'" class="row slide"
        >{{ $t('shapes.layersView.apart') }}
        <input
          v-model.number="apart"
          type="range"
          min="0"
          max="1"
          step="0.05"
          :aria-label="$t('shapes.layersView.howFarApart')"
      /></label>
      <v-spacer />
      <v-btn size="small" variant="tonal" @click="printing = true">{{ $t('shapes.layersView.printTemplates') }}</v-btn>
    </div>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <div v-if="flat" class="both">
      <div class="sight mm-paper sheet">
        <LayersApart v-if="page === 'apart'" :flat="flat" :apart="apart" />
        <OnSheets v-else :flat="flat" />
      </div>
      <div class="told">
        <div class="fields">
          <v-select
            :model-value="way?.way"
            :items="[
              { value: 'sheet', title: $t('shapes.layersView.feltSheetCut') },
              { value: 'batting', title: $t('shapes.layersView.battingLaid') },
            ]"
            :label="$t('shapes.layersView.layersOf')"
            hide-details
            @update:model-value="setWay($event)"
          />
          <template v-if="isSheet && page === 'sheets'">
            <LengthField v-model="sheet.widthMm" :label="$t('shapes.layersView.sheetWide')" :min="20" :max="3000" />
            <LengthField v-model="sheet.heightMm" :label="$t('shapes.layersView.sheetLong')" :min="20" :max="3000" />
            <v-checkbox
              v-model="sheet.hasGrain"
              :label="$t('shapes.layersView.allOneWayGrain')"
              density="compact"
              hide-details
            />
          </template>
          <template v-else>
            <v-select
              :model-value="way?.stitch ?? 'none'"
              :items="STITCHES"
              :label="$t('shapes.layersView.rimsAreHeldBy')"
              hide-details
              @update:model-value="set((f) => (f.stitch = $event))"
            />
            <LengthField
              v-if="(way?.stitch ?? 'none') !== 'none'"
              :model-value="way?.stitchMm ?? 3"
              :label="$t('shapes.layersView.fromStitchToStitch')"
              :min="1"
              :max="50"
              @update:model-value="set((f) => (f.stitchMm = $event))"
            />
            <LengthField
              :model-value="Math.round(1000 * flat.shrink) / 10"
              :label="$t('shapes.layersView.drawsInBy')"
              suffix="%"
              :min="0"
              :max="50"
              @update:model-value="set((f) => (delete f.measured, (f.shrink = $event / 100)))"
            />
            <div v-if="!isSheet" class="pair">
              <LengthField
                :model-value="way?.measured?.laidMm ?? 100"
                :label="$t('shapes.layersView.aPieceLaid')"
                @update:model-value="measure({ laidMm: $event })"
              />
              <LengthField
                :model-value="way?.measured?.cameMm ?? Math.round(100 * (1 - flat.shrink))"
                :label="$t('shapes.layersView.cameOut')"
                @update:model-value="measure({ cameMm: $event })"
              />
            </div>
            <v-select
              :model-value="ribbon"
              :items="RIBBONS"
              :label="$t('shapes.layersView.ribbon')"
              hide-details
              @update:model-value="setRibbon($event)"
            />
            <LengthField
              v-if="way?.ribbon"
              :model-value="way.ribbon.lengthMm"
              :label="$t('shapes.layersView.eachEndLong')"
              :min="10"
              :max="5000"
              @update:model-value="set((f) => f.ribbon && (f.ribbon.lengthMm = $event))"
            />
          </template>
        </div>
        <ol class="bare order" :aria-label="$t('shapes.layersView.fromTheGroundUp')">
          <li v-for="(l, i) in flat.layers" :key="l.name" :class="{ lit: figure.selectedPart?.key === l.part }">
            <button class="plain" @click="figure.choose(l.part)">
              <i :style="{ background: figure.colourOf(l.colour) }" /><span
                ><b>{{ i + 1 }}. {{ l.name }}</b
                ><span class="quiet"
                  >{{ units.box(l.laidMm[0]!, l.laidMm[1]!)
                  }}<template v-if="l.stitches">{{
                    $t('shapes.layersView.stitches', { stitches: l.stitches })
                  }}</template></span
                ></span
              >
            </button>
          </li>
        </ol>
        <section v-if="page === 'apart'" :aria-label="$t('shapes.layersView.openings')">
          <h3>{{ $t('shapes.layersView.openings') }}</h3>
          <ul v-if="openings.length" class="bare">
            <li v-for="(o, i) in openings" :key="o.key" class="opening">
              {{ o.name ?? $t('shapes.layersView.opening', { number: i + 1 }) }}
              <span class="quiet">{{ size(o.pointsMm) }}</span><v-spacer />
              <v-btn
                :icon="mdiClose"
                size="small"
                variant="text"
                :aria-label="
                  $t('shapes.layersView.close', { name: o.name ?? $t('shapes.layersView.opening2', { number: i + 1 }) })
                "
                @click="close(o.key)"
              />
            </li>
          </ul>
          <v-btn v-else-if="flat.eyeHoles.length" variant="tonal" size="small" @click="addEyes">{{
            $t('shapes.layersView.addEyeHoles')
          }}</v-btn>
          <p v-else class="quiet">{{ $t('shapes.layersView.noneTheGroundIsToo') }}</p>
        </section>
        <dl class="sums stitched">
          <template v-if="flat.thread.stitches"
            ><dt>{{ $t('shapes.layersView.thread') }}</dt>
            <dd data-fact="thread">
              {{ long(flat.thread.threadMm)
              }}<span class="unit">{{
                $t('shapes.layersView.inNeedlefuls', { needlefuls: flat.thread.needlefuls })
              }}</span>
            </dd></template
          >
          <template v-if="flat.ribbon.totalMm"
            ><dt>{{ $t('shapes.layersView.ribbon') }}</dt>
            <dd>
              {{ long(flat.ribbon.totalMm)
              }}<span class="unit">{{ $t('shapes.layersView.holes', { holeMm: units.mm(flat.ribbon.holeMm) }) }}</span>
            </dd></template
          >
          <template v-for="c in flat.cords" :key="c.detail"
            ><dt>{{ c.name }}</dt>
            <dd>
              {{ long(c.lengthMm) }}<span class="unit">{{ units.g(c.mg / 1000) }}</span>
            </dd></template
          >
        </dl>
        <ul v-if="flat.notes.length" class="bare notes" :aria-label="$t('shapes.layersView.mindThis')">
          <li v-for="n in flat.notes" :key="n.text" class="sheet">{{ n.text }}</li>
        </ul>
      </div>
    </div>
    <v-progress-linear
      v-else-if="!trouble"
      indeterminate
      color="primary"
      :aria-label="$t('shapes.layersView.layingTheLayers')"
    />
    <PrintDialog v-model="printing" :title="$t('shapes.layersView.templates')" :make="templates">
      <p>
        {{ $t('shapes.layersView.everyLayerAsItIs') }}
      </p>
      <v-checkbox
        v-model="mirrored"
        :label="$t('shapes.layersView.mirroredToDrawOnThe')"
        density="compact"
        hide-details
      />
    </PrintDialog>
  </div>
</template>

<style scoped>
.layers {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 0.5rem;
}
.slide input {
  accent-color: rgb(var(--v-theme-primary));
}
.both {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 236px;
  gap: 0.8rem;
}
.sight {
  min-height: 0;
  overflow: hidden;
  display: flex;
}
.told {
  min-height: 0;
  overflow: auto;
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
.fields {
  display: grid;
  gap: 0.6rem;
  padding-top: 0.3rem;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
.order li button {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  width: 100%;
  min-height: 40px;
  text-align: left;
  padding: 0.15rem 0.3rem;
  border-radius: 10px;
}
.order li.lit button {
  background: rgb(var(--v-theme-secondary), 0.14);
}
.order i {
  width: 18px;
  height: 18px;
  border-radius: 6px;
  flex: none;
  border: 1px solid rgb(var(--v-theme-on-surface), 0.4);
}
.order span span {
  display: block;
  font-size: 0.82rem;
}
.opening {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
.opening .quiet {
  display: block;
  font-size: 0.82rem;
}
.notes {
  display: grid;
  gap: 0.5rem;
}
.notes li {
  padding: 0.45rem 0.7rem;
  font-size: 0.86rem;
  border-left: 5px solid rgb(var(--v-theme-warning));
}
@media (max-width: 1000px) {
  .both {
    grid-template-columns: 1fr;
  }
  .sight {
    height: 50vh;
  }
}
</style>
