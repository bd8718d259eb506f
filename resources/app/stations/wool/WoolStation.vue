<script setup lang="ts">
import { computed } from 'vue'
import LengthField from '../../shell/LengthField.vue'
import { useFigure } from '../../state/figure'
import { useUnits } from '../../state/units'
import { cores, firmnesses, materialWord } from '../words'
import NestedRings from './NestedRings.vue'
import WoolBar from './WoolBar.vue'

const figure = useFigure()
const units = useUnits()
const plan = computed(() => figure.board?.plan)
const rows = computed(() =>
  (plan.value?.parts ?? []).flatMap((p) => {
    const part = figure.parts.find((x) => x.key === p.key)
    return part ? [{ plan: p, part }] : []
  }),
)
const largestMm = computed(() => Math.max(1, ...rows.value.map((r) => Math.max(r.plan.looseMm.w, r.plan.looseMm.h))))
const scaleG = computed(() => Math.max(1, ...(plan.value?.wool.map((w) => w.highG) ?? [])) * 1.15)
const wisps = computed(() => (plan.value?.details ?? []).filter((d) => d.woolMg > 0))
const detail = (key: string) => figure.details.find((d) => d.key === key)
const totalHigh = computed(() => plan.value?.wool.reduce((sum, w) => sum + w.highG, 0) ?? 0)
const totalLikely = computed(() => plan.value?.wool.reduce((sum, w) => sum + w.g, 0) ?? 0)
</script>

<template>
  <div v-if="figure.document && plan" class="wool-station">
    <section class="sheet ledger" aria-label="Ledger">
      <header class="row">
        <h1>What every part takes</h1>
        <v-spacer />
        <span class="legend quiet"><i class="l loose" />loose clump <i class="l felted" />felted <i class="l core" />core</span>
      </header>
      <p v-if="!rows.length" class="quiet">No parts yet. Add shapes at the Shapes station first.</p>
      <table v-else>
        <thead><tr><th><span class="offscreen">Rings</span></th><th>Part</th><th>Core</th><th>Colour</th><th>Size felted</th><th>Time</th></tr></thead>
        <tbody>
          <tr v-for="{ plan: p, part } in rows" :key="p.key" :class="{ chosen: figure.selectedPart?.key === p.key }" @click="figure.selection = { kind: 'part', key: p.key }">
            <td><NestedRings :part="part" :plan="p" :cover-mm="part.coverMm ?? figure.document.coverMm ?? 3" :hex="figure.colourOf(part.colour)" :largest-mm="largestMm" /></td>
            <td><b>{{ part.name ?? part.key }}</b><small v-if="p.count > 1">Weigh {{ units.massLine(2 * p.coverG) }}{{ p.coreG ? ` and ${units.massLine(2 * p.coreG)}` : '' }}. Split in two.</small><small v-else class="quiet">{{ part.shape.kind }}, {{ part.firmness ?? figure.document.firmness ?? 'springy' }}</small></td>
            <td><template v-if="p.coreG">{{ units.mass(p.coreG).value }}<span class="unit">{{ units.mass(p.coreG).unit }}{{ p.count > 1 ? ' each' : '' }}</span><small class="quiet">{{ materialWord(p.coreMaterial) }}</small></template><span v-else class="quiet">solid</span></td>
            <td>{{ units.mass(p.coverG).value }}<span class="unit">{{ units.mass(p.coverG).unit }}{{ p.count > 1 ? ' each' : '' }}</span><small class="quiet"><i class="swatch tiny" :style="{ background: figure.colourOf(p.colour) }" /> {{ figure.colourName(p.colour) }}</small></td>
            <td>{{ units.length(part.shape.widthMm) }} x {{ units.length(part.shape.heightMm) }} x {{ units.length(part.shape.depthMm) }}<span class="unit">{{ units.lengthUnit.value }}</span></td>
            <td>{{ units.minutes(p.minutes) }}</td>
          </tr>
        </tbody>
      </table>
      <template v-if="wisps.length">
        <h2 class="stitched wisp-title">Wisps for the details</h2>
        <ul class="bare wisps">
          <li v-for="w in wisps" :key="w.key"><i class="swatch tiny" :style="{ background: figure.colourOf(detail(w.key)?.colour ?? '') }" /> {{ detail(w.key)?.name ?? w.key }}<b>{{ units.massLine(w.woolMg / 1000) }}<span v-if="w.count > 1" class="unit">x {{ w.count }}</span></b></li>
        </ul>
      </template>
    </section>
    <aside class="side">
      <section class="sheet block" aria-label="Totals">
        <h2>In all</h2>
        <p class="total"><b>{{ units.massLine(totalLikely) }}</b> <span class="quiet">likely; have {{ units.massLine(totalHigh) }} at hand to be safe</span></p>
        <ul class="bare">
          <WoolBar v-for="t in plan.wool" :key="t.material + t.colour" :total="t" :scale-g="scaleG" :name="t.colour ? figure.colourName(t.colour) : materialWord(t.material)" :hex="t.colour ? figure.colourOf(t.colour) : '#efe6d2'" :stash="figure.board?.stash[t.colour ?? t.material]" />
        </ul>
        <p class="quiet small">Densities are house priors until your own weighings are known; the bar holds the true weight four times in five. The dashed line is what your stash has of the nearest wool.</p>
      </section>
      <section class="sheet block" aria-label="The usual inside">
        <h2>The usual inside</h2>
        <div class="fields">
          <v-select :model-value="figure.document.core ?? 'core-wool'" :items="cores" label="Inside" @update:model-value="figure.change((d) => (d.core = $event))" />
          <v-select :model-value="figure.document.firmness ?? 'springy'" :items="firmnesses" label="Firmness" @update:model-value="figure.change((d) => (d.firmness = $event))" />
          <LengthField :model-value="figure.document.coverMm ?? 3" label="Cover" :min="0" :max="200" @update:model-value="figure.change((d) => (d.coverMm = $event))" />
        </div>
        <p class="quiet small">Core wool is the default: it is cheap, felts fast and takes the cover well. Where the cover would leave nothing inside, the part is solid colour, so that nothing shows through.</p>
      </section>
    </aside>
  </div>
</template>

<style scoped>
.wool-station { display: grid; grid-template-columns: minmax(0, 1.6fr) minmax(380px, 1fr); gap: 1rem; padding: .3rem 1rem 1.5rem; max-width: 1500px; margin: 0 auto; }
.ledger { padding: 1rem 1.2rem; overflow-x: auto; }
.side { display: grid; gap: 1rem; align-content: start; }
.block { padding: 1rem 1.2rem; }
table { width: 100%; border-collapse: collapse; }
th { text-align: left; font-size: .8rem; color: rgb(var(--v-theme-quiet)); padding: .3rem .5rem; }
td { padding: .15rem .5rem; vertical-align: middle; border-top: 1px solid rgb(var(--v-theme-grid)); font-weight: 600; }
td small { display: block; font-weight: 400; font-size: .82rem; }
td:nth-child(5), td:nth-child(6) { font-weight: 400; white-space: nowrap; }
tr.chosen td { background: rgba(var(--v-theme-secondary), 0.1); }
.tiny { width: .8rem; height: .8rem; border-width: 1px; }
.l { display: inline-block; width: .8rem; height: .8rem; border-radius: 50%; margin: 0 .2rem 0 .8rem; vertical-align: -1px; }
.l.loose { border: 1.5px dashed rgb(var(--v-theme-quiet)); } .l.felted { background: rgb(var(--v-theme-thread)); } .l.core { background: #efe6d2; border: 1px solid rgb(var(--v-theme-quiet)); }
.wisp-title { padding-top: .7rem; margin-top: .5rem; }
.wisps { display: grid; grid-template-columns: repeat(auto-fill, minmax(180px, 1fr)); gap: .2rem 1.4rem; padding-top: .4rem; }
.wisps li { display: flex; gap: .5rem; align-items: center; } .wisps b { margin-left: auto; }
.total { margin: .2rem 0 .5rem; } .total b { font-size: 1.4rem; }
.fields { display: grid; gap: .7rem; margin: .7rem 0; grid-template-columns: 1fr 1fr 1fr; }
.small { font-size: .84rem; }
@media (max-width: 1000px) { .wool-station { grid-template-columns: minmax(0, 1fr); } }
</style>
