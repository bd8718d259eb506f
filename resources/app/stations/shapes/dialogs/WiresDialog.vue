<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../../../api/client'
import type { Figure } from '../../../api/types/figure'
import { useAnswer } from '../../../api/useAnswer'
import PrintDialog from '../../../shared/PrintDialog.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'

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
  { value: 'pipe-cleaner', title: 'pipe cleaner' },
  { value: 'paper-covered', title: 'paper-covered' },
  { value: 'steel', title: 'bare steel' },
  { value: 'copper', title: 'bare copper' },
  { value: 'aluminium', title: 'bare aluminium' },
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
  <v-dialog v-model="show" aria-label="Wires" max-width="820">
    <v-card title="Wires">
      <v-card-text class="fields">
        <p class="quiet">
          A limb thinner than an eighth of its length wants a wire; others want one to be posed. Turn ends in and cover
          them; near a wire stab from the side only.
        </p>
        <v-checkbox
          v-if="!sheet?.drawn"
          v-model="all"
          label="For every long limb, to be posed"
          density="compact"
          hide-details
        />
        <v-text-field
          v-model="stock"
          label="Lengths at hand"
          :suffix="units.lengthUnit.value"
          :placeholder="[300, 300, 180].map(units.typed).join(', ')"
          :hint="`Empty: as many of ${units.mm(300)} as it takes`"
          persistent-hint
        />
        <v-alert v-if="trouble" type="warning" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <v-progress-linear v-else-if="!sheet" indeterminate color="primary" aria-label="Reckoning the wires" />
        <p v-else-if="!sheet.wires.length">No limb of this figure needs a wire.</p>
        <template v-else>
          <section v-for="w in sheet.wires" :key="w.key" class="stitched wire">
            <h3>{{ w.name }}{{ w.count > 1 ? ', two' : '' }}</h3>
            <p>
              Cut <b>{{ mm(w.cutMm) }}</b>; it runs {{ mm(w.lengthMm) }} through
              {{ w.through.map((t) => partName(t.part)).join(', ') || 'the air' }}.
              {{ w.text }}
            </p>
            <div v-if="own(w.key)" class="row">
              <v-select
                :model-value="w.material"
                :items="MATERIALS"
                label="Wire"
                @update:model-value="changeWire(w.key, (x) => (x.material = $event))"
              />
              <div>
                <LengthField
                  :model-value="w.gaugeMm"
                  label="Thickness"
                  :min="0.1"
                  :max="10"
                  @update:model-value="changeWire(w.key, (x) => (x.gaugeMm = $event))"
                />
                <small class="quiet">AWG {{ w.awg }}</small>
              </div>
              <v-checkbox
                :model-value="w.doubled"
                label="Doubled"
                hide-details
                @update:model-value="changeWire(w.key, (x) => (x.doubled = Boolean($event)))"
              />
              <v-btn variant="text" @click="bend(w.key)">One more point</v-btn>
              <v-btn variant="text" @click="figure.change((d) => (d.wires = d.wires?.filter((x) => x.key !== w.key)))"
                >Take it out</v-btn
              >
            </div>
          </section>
          <div class="stitched wire">
            <h3>From the stock</h3>
            <ol class="bare cuts">
              <li v-for="(c, i) in sheet.cuts" :key="i">
                <span class="quiet small">{{ mm(c.stockMm) }}</span>
                <span class="bar"
                  ><i v-for="(p, k) in c.pieces" :key="k" :style="{ flex: p }">{{ Math.round(p) }}</i
                  ><i class="waste" :style="{ flex: Math.max(0.001, c.wasteMm) }"
                /></span>
              </li>
            </ol>
            <p class="quiet small">{{ mm(waste) }} are left over.</p>
          </div>
        </template>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">Close</v-btn>
        <v-btn variant="tonal" @click="draw">A wire of my own</v-btn>
        <v-btn variant="tonal" :disabled="!sheet?.wires.length" @click="bending = true">Bending sheet</v-btn>
        <v-btn v-if="!sheet?.drawn" color="primary" variant="flat" :disabled="!sheet?.wires.length" @click="lay"
          >Draw them on the figure</v-btn
        >
      </v-card-actions>
    </v-card>
    <PrintDialog
      v-model="bending"
      title="Bending sheet"
      only-pdf
      :make="(_as, paper) => api.bendingSheet(figure.document!, all, paper)"
    >
      <p>Every wire at true size, to be bent along. Print at 100 %, and measure the ruler first.</p>
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
