<script setup lang="ts">
import { mdiFlipHorizontal, mdiFlipVertical, mdiPrinterOutline } from '@mdi/js'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { api, type FaceGrid, type FaceWork } from '../../api/client'
import type { Detail } from '../../api/figure'
import { bounds, detailLoop, detailMiddle } from '../../drawing/geometry'
import PrintDialog from '../../shell/PrintDialog.vue'
import { useFigure } from '../../state/figure'
import { useUnits } from '../../state/units'
import AfarView from './AfarView.vue'
import DetailPanel from './DetailPanel.vue'
import HeadBoard from './HeadBoard.vue'
import LayingGuide from './LayingGuide.vue'
import MeasureLine from './MeasureLine.vue'

const figure = useFigure()
const units = useUnits()
const chosen = ref('')
const grid = ref<FaceGrid | null>(null)
const flipped = ref(false)
const upsideDown = ref(false)
const printing = ref(false)
const guideKey = ref('')
const guideItems = [{ title: 'none', value: '' }, { title: 'cute', value: 'cute' }, { title: 'baby', value: 'baby' }, { title: 'grown-up', value: 'grown-up' }, { title: 'gruff', value: 'gruff' }]
const guide = computed(() => grid.value?.guides.find((g) => g.key === guideKey.value))
const sheets = (as: 'pdf' | 'svg', paper: 'a4' | 'letter') => api.faceSheets(figure.document!, partKey.value, as, paper)
const work = ref<FaceWork>({ laying: [], advice: {} })
const pages = [{ key: 'marks', title: 'Marks' }, { key: 'lay', title: 'How to lay' }, { key: 'afar', title: 'From afar' }] as const
const page = ref<(typeof pages)[number]['key']>('marks')

const partKey = computed(() => {
  const wish = chosen.value || figure.board?.plan.face || figure.parts[0]?.key || ''
  return figure.parts.some((p) => p.key === wish) ? wish : (figure.parts[0]?.key ?? '')
})
const part = computed(() => figure.parts.find((p) => p.key === partKey.value))
const order = computed(() => work.value.laying.map((l) => l.key))
const marks = computed(() => (figure.board?.plan.details ?? []).filter((d) => figure.details.find((x) => x.key === d.key)?.on === partKey.value).sort((a, b) => order.value.indexOf(a.key) - order.value.indexOf(b.key)))
const detail = (key: string) => figure.details.find((d) => d.key === key)
const partItems = computed(() => figure.parts.map((p) => ({ title: p.name ?? p.key, value: p.key })))
const words: Record<string, string> = { crisp: 'crisp', soft: 'soft', lost: 'lost', 'too-small': 'too small' }

let asked: AbortController | null = null
watch([partKey, () => JSON.stringify(part.value?.shape) + JSON.stringify(part.value?.turnDeg)], async () => {
  if (!figure.document || !partKey.value) return
  asked?.abort()
  asked = new AbortController()
  try {
    grid.value = await api.face(figure.document, partKey.value, asked.signal)
  } catch {
    // The board says what is wrong with the figure; the head stands without its grid.
    grid.value = null
  }
}, { immediate: true })

let askedWork: AbortController | null = null
watch([partKey, () => figure.document], async () => {
  if (!figure.document || !partKey.value) return
  askedWork?.abort()
  const mine = (askedWork = new AbortController())
  try {
    work.value = await api.laying(figure.document, partKey.value, mine.signal)
  } catch {
    // What is wrong with the figure is told once, by the board.
    if (!mine.signal.aborted) work.value = { laying: [], advice: {} }
  }
}, { immediate: true })

const pieces: { name: string; make: () => Partial<Detail> }[] = [
  { name: 'Eyes', make: () => ({ name: 'Eye', kind: 'disc', widthMm: 5, heightMm: 6, xMm: 8, yMm: -3, mirror: true }) },
  { name: 'Spot', make: () => ({ name: 'Spot', kind: 'disc', widthMm: 5, heightMm: 4, xMm: 0, yMm: -6 }) },
  { name: 'Line', make: () => ({ name: 'Line', kind: 'line', widthMm: 1.2, pointsMm: [[-4, -9], [0, -11], [4, -9]] }) },
  { name: 'Beads', make: () => ({ name: 'Bead', kind: 'bead', method: 'bead', widthMm: 3, heightMm: 3, xMm: 8, yMm: -3, mirror: true }) },
  { name: 'Ready eyes', make: () => ({ name: 'Ready eye', kind: 'eye', method: 'ready-made', widthMm: 5, heightMm: 5, xMm: 8, yMm: -3, mirror: true }) },
]

/** The colour that stands out most by lightness from the part's own. */
function standsOut(): string {
  const light = (hex: string) => [1, 3, 5].reduce((sum, i) => sum + parseInt(hex.slice(i, i + 2), 16), 0)
  const ground = light(figure.colourOf(part.value?.colour ?? ''))
  return [...(figure.document?.colours ?? [])].sort((a, b) => Math.abs(light(b.hex) - ground) - Math.abs(light(a.hex) - ground))[0]?.key ?? ''
}

/** One above the topmost detail that lies where the new one is put. */
function layerAt(made: Detail): number {
  const [x, y] = detailMiddle(made)
  const under = figure.details.filter((d) => {
    const b = bounds([detailLoop(d).points])
    return d.on === partKey.value && x >= b.left && x <= b.right && y >= b.low && y <= b.high
  })
  return 1 + Math.max(0, ...under.map((d) => d.layer ?? 1))
}

function add(piece: (typeof pieces)[number]): void {
  const made = piece.make()
  const key = figure.freeKey(figure.details, (made.name ?? 'detail').toLowerCase().replace(/\s/g, '-'))
  figure.change((d) => {
    d.details = [...(d.details ?? []), { key, on: partKey.value, colour: standsOut(), method: 'felt', ...made, layer: layerAt(made as Detail) } as Detail]
  })
  figure.selection = { kind: 'detail', key }
}

function onKey(event: KeyboardEvent): void {
  if ((event.target as HTMLElement).closest('input, textarea, [role=combobox], .v-overlay') || event.ctrlKey || event.metaKey) return
  if (event.key === 'f') flipped.value = !flipped.value
  if (event.key === 'u') upsideDown.value = !upsideDown.value
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <div v-if="figure.document && figure.board && part" class="face">
    <section class="board">
      <div class="row tools">
        <v-select :model-value="partKey" :items="partItems" label="Face of" class="which" @update:model-value="chosen = $event" />
        <v-btn v-for="p in pieces" :key="p.name" @click="add(p)">{{ p.name }}</v-btn>
        <v-spacer />
        <v-select v-model="guideKey" :items="guideItems" label="Guide" class="guide-choice" />
        <v-btn :icon="mdiFlipHorizontal" size="small" variant="tonal" aria-label="Mirror" title="In a mirror (F)" :aria-pressed="flipped" :color="flipped ? 'secondary' : undefined" @click="flipped = !flipped" />
        <v-btn :icon="mdiFlipVertical" size="small" variant="tonal" aria-label="Upside down" title="Upside down (U)" :aria-pressed="upsideDown" :color="upsideDown ? 'secondary' : undefined" @click="upsideDown = !upsideDown" />
        <v-btn :icon="mdiPrinterOutline" size="small" variant="tonal" aria-label="The face on paper" title="The face on paper" @click="printing = true" />
        <PrintDialog v-model="printing" title="The face on paper" :make="sheets">
          <p>Flat from the front; folded over its middle line, to judge it even; as paper tapes with the marks; and laid out by tape, to be cut in and wrapped round the head.</p>
        </PrintDialog>
      </div>
      <p v-if="guide" class="quiet small why" role="status">{{ guide.why }}</p>
      <HeadBoard :order="order" :guide="guide" :part="part" :grid="grid" :flipped="flipped" :upside-down="upsideDown" class="sheet" />
    </section>
    <aside class="side">
      <section class="sheet block" aria-label="Marks">
        <div class="tags" role="tablist" aria-label="The face">
          <button v-for="p in pages" :key="p.key" class="plain tag display" role="tab" :aria-selected="page === p.key" @click="page = p.key">{{ p.title }}</button>
        </div>
        <LayingGuide v-if="page === 'lay'" :laying="work.laying" />
        <AfarView v-else-if="page === 'afar'" :part="partKey" />
        <template v-else>
        <p v-if="!marks.length" class="quiet">Nothing on {{ part.name ?? part.key }} yet. Put eyes on it first: the lower half looks young, and a little too small is better than too big.</p>
        <table v-else>
          <thead><tr><th>No.</th><th>What</th><th>Across</th><th>Down</th><th>Reads</th></tr></thead>
          <tbody>
            <tr v-for="(m, i) in marks" :key="m.key" :class="{ chosen: figure.selection?.key === m.key }">
              <td>{{ i + 1 }}</td>
              <td><button class="plain name" @click="figure.selection = { kind: 'detail', key: m.key }"><i class="swatch tiny" :style="{ background: figure.colourOf(detail(m.key)?.colour ?? '') }" /> {{ detail(m.key)?.name ?? m.key }}<small v-if="m.count > 1" class="quiet"> x {{ m.count }}</small></button></td>
              <td :data-mark="m.key">{{ m.marks ? units.length(Math.abs(m.marks.acrossMm)) : 'off' }}</td>
              <td>{{ m.marks ? units.length(m.marks.downMm) : 'off' }}</td>
              <td :class="m.crisp">{{ words[m.crisp] }}</td>
            </tr>
          </tbody>
        </table>
        <p class="quiet small">In {{ units.lengthUnit.value }} by tape on the curved wool: across from the middle line, down from the crown. Pairs are pricked the same way on both sides.</p>
        <MeasureLine v-if="marks.length" :part="partKey" />
        </template>
      </section>
      <DetailPanel class="sheet block" :advice="work.advice" />
    </aside>
  </div>
  <p v-else-if="figure.document && !figure.parts.length" class="pa-6">There is no part to put a face on. Add shapes at the Shapes station first.</p>
  <v-progress-linear v-else-if="!figure.trouble" indeterminate color="primary" aria-label="Fetching the figure" />
</template>

<style scoped>
.face { display: grid; grid-template-columns: minmax(0, 1fr) 372px; gap: 1rem; padding: .3rem 1rem 1rem; min-height: calc(100vh - 78px); }
.board { display: flex; flex-direction: column; min-height: 0; }
.board > svg { flex: 1; max-height: calc(100vh - 150px); }
.board:has(.why) > svg { max-height: calc(100vh - 180px); }
.tools { padding: 0 0 .6rem; gap: .4rem; }
.which { max-width: 150px; min-width: 110px; } .guide-choice { max-width: 120px; min-width: 104px; }
.side { display: grid; gap: 1rem; align-content: start; }
.block { padding: 1rem 1.1rem; }
table { width: 100%; border-collapse: collapse; margin: .4rem 0; }
th { text-align: left; font-size: .8rem; color: rgb(var(--v-theme-quiet)); }
td { padding: .1rem .3rem .1rem 0; font-weight: 600; border-top: 1px solid rgb(var(--v-theme-grid)); }
tr.chosen td { background: rgba(var(--v-theme-secondary), 0.1); }
.name { min-height: 40px; font-weight: 600; }
.tiny { width: .8rem; height: .8rem; border-width: 1px; }
.crisp { color: rgb(var(--v-theme-success)); } .soft { color: rgb(var(--v-theme-warning)); } .lost, .too-small { color: rgb(var(--v-theme-error)); }
.small { font-size: .84rem; }
@media (max-width: 1000px) { .face { grid-template-columns: minmax(0, 1fr); } .board > svg { min-height: 56vh; } }
</style>
