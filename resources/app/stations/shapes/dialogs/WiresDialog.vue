<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../../../api/client'
import type { Figure } from '../../../api/types/figure'
import { useAnswer } from '../../../api/useAnswer'
import PrintDialog from '../../../shared/PrintDialog.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { t } from '../../../lang'

/** The wires of the figure: those that are proposed or its own, what to cut of which, whether they hold, and how to cut them from the stock. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const units = useUnits()
const all = ref(false)
const stock = ref('')
const bending = ref(false)

const lengths = computed(() =>
  stock.value
    .split(/[,;\s]+/)
    .map(units.parseLength)
    .filter((mm) => mm > 0),
)
const { answer: sheet, trouble } = useAnswer([show, all, lengths, () => figure.document], () =>
  show.value && figure.document
    ? api.armature(figure.document, all.value, lengths.value.length ? lengths.value : undefined)
    : null,
)
const MATERIALS = [
  { value: 'pipe-cleaner', title: t('shapes.wiresDialog.pipeCleaner') },
  { value: 'paper-covered', title: t('shapes.wiresDialog.paperCovered') },
  { value: 'steel', title: t('shapes.wiresDialog.bareSteel') },
  { value: 'copper', title: t('shapes.wiresDialog.bareCopper') },
  { value: 'aluminium', title: t('shapes.wiresDialog.bareAluminium') },
]
type Wire = NonNullable<Figure['wires']>[number]
const changeWire = (key: string, how: (wire: Wire) => void) =>
  figure.change((d) => d.wires?.filter((w) => w.key === key).forEach(how))
const own = (key: string) => figure.document?.wires?.find((w) => w.key === key)
const partName = (key: string) => figure.parts.find((p) => p.key === key)?.name ?? key
const mm = units.mm
const draw = () => figure.edit((now) => api.drawWire(now))
/** One more point in the middle of the longest stretch. */
const bend = (key: string) => figure.editAndTell((now) => api.edit(now, 'wire-point', { key }))
const lay = () => figure.edit((now) => api.layWires(now, all.value))
const waste = computed(() => sheet.value?.cuts.reduce((sum, c) => sum + c.wasteMm, 0) ?? 0)
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('common.wires')" max-width="820">
    <v-card :title="$t('common.wires')">
      <v-card-text class="fields">
        <p class="quiet">
          {{ $t('shapes.wiresDialog.aLimbThinnerThanAn') }}
        </p>
        <v-checkbox
          v-if="!sheet?.drawn"
          v-model="all"
          :label="$t('shapes.wiresDialog.forEveryLongLimbTo')"
          density="compact"
          hide-details
        />
        <v-text-field
          v-model="stock"
          :label="$t('shapes.wiresDialog.lengthsAtHand')"
          :suffix="units.lengthUnit.value"
          :placeholder="[300, 300, 180].map(units.typed).join(', ')"
          :hint="$t('shapes.wiresDialog.emptyAsManyOfAs', { mm: units.mm(300) })"
          persistent-hint
        />
        <v-alert v-if="trouble" type="warning" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <v-progress-linear
          v-else-if="!sheet"
          indeterminate
          color="primary"
          :aria-label="$t('shapes.wiresDialog.reckoningTheWires')"
        />
        <p v-else-if="!sheet.wires.length">{{ $t('shapes.wiresDialog.noLimbOfThisFigure') }}</p>
        <template v-else>
          <section v-for="w in sheet.wires" :key="w.key" class="stitched wire">
            <h3>{{ w.name }}{{ w.count > 1 ? $t('shapes.wiresDialog.two') : '' }}</h3>
            <p>
              {{ $t('shapes.wiresDialog.cut') }} <b>{{ mm(w.cutMm) }}</b>{{
                $t('shapes.wiresDialog.itRunsThrough', {
                  lengthMm: mm(w.lengthMm),
                  part: w.through.map((t) => partName(t.part)).join(', ') || $t('shapes.wiresDialog.theAir'),
                  text: w.text,
                })
              }}
            </p>
            <div v-if="own(w.key)" class="row">
              <v-select
                :model-value="w.material"
                :items="MATERIALS"
                :label="$t('shapes.wiresDialog.wire')"
                @update:model-value="changeWire(w.key, (x) => (x.material = $event))"
              />
              <div>
                <LengthField
                  :model-value="w.gaugeMm"
                  :label="$t('shapes.wiresDialog.thickness')"
                  :min="0.1"
                  :max="10"
                  @update:model-value="changeWire(w.key, (x) => (x.gaugeMm = $event))"
                />
                <small class="quiet">AWG {{ w.awg }}</small>
              </div>
              <v-checkbox
                :model-value="w.doubled"
                :label="$t('shapes.wiresDialog.doubled')"
                hide-details
                @update:model-value="changeWire(w.key, (x) => (x.doubled = Boolean($event)))"
              />
              <v-btn variant="text" @click="bend(w.key)">{{ $t('shapes.wiresDialog.oneMorePoint') }}</v-btn>
              <v-btn
                variant="text"
                @click="figure.change((d) => (d.wires = d.wires?.filter((x) => x.key !== w.key)))"
                >{{ $t('shapes.wiresDialog.takeItOut') }}</v-btn
              >
            </div>
          </section>
          <div class="stitched wire">
            <h3>{{ $t('shapes.wiresDialog.fromTheStock') }}</h3>
            <ol class="bare cuts">
              <li v-for="(c, i) in sheet.cuts" :key="i">
                <span class="quiet small">{{ mm(c.stockMm) }}</span>
                <span class="bar"
                  ><i v-for="(p, k) in c.pieces" :key="k" :style="{ flex: p }">{{ Math.round(p) }}</i
                  ><i class="waste" :style="{ flex: Math.max(0.001, c.wasteMm) }"
                /></span>
              </li>
            </ol>
            <p class="quiet small">{{ $t('shapes.wiresDialog.areLeftOver', { waste: mm(waste) }) }}</p>
          </div>
        </template>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.close') }}</v-btn>
        <v-btn variant="tonal" @click="draw">{{ $t('shapes.wiresDialog.aWireOfMyOwn') }}</v-btn>
        <v-btn variant="tonal" :disabled="!sheet?.wires.length" @click="bending = true">{{
          $t('shapes.wiresDialog.bendingSheet')
        }}</v-btn>
        <v-btn v-if="!sheet?.drawn" color="primary" variant="flat" :disabled="!sheet?.wires.length" @click="lay">{{
          $t('shapes.wiresDialog.drawThemOnTheFigure')
        }}</v-btn>
      </v-card-actions>
    </v-card>
    <PrintDialog
      v-model="bending"
      :title="$t('shapes.wiresDialog.bendingSheet')"
      only-pdf
      :make="(_as, paper) => api.bendingSheet(figure.document!, all, paper)"
    >
      <p>{{ $t('shapes.wiresDialog.everyWireAtTrueSize') }}</p>
    </PrintDialog>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.8rem;
}
.wire {
  padding-top: 0.6rem;
  display: grid;
  gap: 0.4rem;
}
.row > * {
  flex: 1 1 130px;
}
.cuts {
  display: grid;
  gap: 0.3rem;
}
.cuts li {
  display: grid;
  grid-template-columns: 90px 1fr;
  align-items: center;
}
.bar {
  display: flex;
  gap: 2px;
}
.bar i {
  font-style: normal;
  font-size: 0.78rem;
  text-align: center;
  background: rgb(var(--v-theme-secondary));
  color: rgb(var(--v-theme-on-secondary));
  border-radius: 4px;
  padding: 0.15rem 0;
  min-width: 0;
  overflow: hidden;
}
.bar .waste {
  background: rgb(var(--v-theme-grid));
}
</style>
