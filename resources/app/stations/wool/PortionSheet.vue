<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../../api/client'
import { download } from '../../shared/download'
import { useFigure } from '../../state/figure/figure'
import PaperSelect from '../../shared/PaperSelect.vue'
import { paperSize } from '../../state/printer'
import { measuredPxPerMm, pxPerMm } from '../../state/screen'
import { useSupply } from '../../state/figure/supply'
import { useUnits } from '../../state/units'
import CalibrateDialog from './CalibrateDialog.vue'
import NestedRings from './NestedRings.vue'
import SheetLayout from './SheetLayout.vue'
import SplitTool from './SplitTool.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t, within } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'

/** What to weigh and how to divide it, twins first; the clump of the chosen one at true size. */
const figure = useFigure()
const supply = useSupply()
const units = useUnits()
const chosen = ref(0)
const calibrating = ref(false)
const busy = ref(false)
const trouble = ref('')
const portions = computed(() => supply.supply?.portions ?? [])
const portion = computed(() => portions.value[chosen.value] ?? portions.value[0])
const partName = (key: string) => figure.parts.find((p) => p.key === key)?.name ?? key
const detailName = (key: string) => figure.details.find((d) => d.key === key)?.name ?? key
const hexOf = (colour: string) => (colour ? (supply.matchOf(colour)?.hex ?? figure.colourOf(colour)) : '#efe6d2')
const clump = computed(() => {
  const plan = figure.board?.plan.parts.find((p) => p.key === portion.value?.part)
  const part = figure.parts.find((p) => p.key === portion.value?.part)
  if (!plan || !part) return null
  // As wide as the clump across its corners, so that a turned part stays within.
  const mm = Math.hypot(plan.looseMm.w, plan.looseMm.h)
  return { plan, part, mm, px: mm * pxPerMm() }
})

async function print(): Promise<void> {
  if (!figure.document) return
  busy.value = true
  trouble.value = ''
  try {
    download(
      await api.portionsSheet(figure.document, figure.id, paperSize.value),
      t('wool.portionSheet.portionsPdf', { name: figure.document.name }),
    )
  } catch (error) {
    trouble.value = inWords(error)
  }
  busy.value = false
}
</script>

<template>
  <div class="row tools">
    <p class="quiet lead">
      {{ $t('wool.portionSheet.divideEverythingBeforeTheFirst') }}
    </p>
    <PaperSelect />
    <v-btn color="primary" variant="flat" :loading="busy" @click="print">{{
      $t('wool.portionSheet.printTheSheet')
    }}</v-btn>
  </div>
  <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
  <ul v-if="supply.supply?.mixes.length" class="bare" :aria-label="$t('wool.portionSheet.mixFirst')">
    <li v-for="m in supply.supply.mixes" :key="m.colour" class="mix">
      <i class="swatch" :style="{ background: hexOf(m.colour) }" />
      <span
        ><b
          >{{ m.name }} <span class="unit">{{ units.g(m.g) }}</span></b
        ><small>{{ m.text }}</small></span
      >
    </li>
  </ul>
  <div class="both">
    <ol class="bare" :aria-label="$t('wool.portionSheet.portions')">
      <li v-for="(p, i) in portions" :key="p.part + p.purpose">
        <button
          class="plain portion"
          :class="{ here: portion === p }"
          :aria-pressed="portion === p"
          @click="chosen = i"
        >
          <i class="swatch" :style="{ background: hexOf(p.colour) }" />
          <span
            ><b
              >{{ partName(p.part) }}<span v-if="p.pieces > 1" class="unit">x {{ p.pieces }}</span></b
            ><small>{{ p.text }}</small></span
          >
        </button>
      </li>
    </ol>
    <figure v-if="clump" class="mat">
      <NestedRings
        :part="clump.part"
        :plan="clump.plan"
        :hex="hexOf(clump.part.colour)"
        :largest-mm="clump.mm"
        :px="clump.px"
      />
      <figcaption class="quiet">
        {{
          $t('wool.portionSheet.looseFeltedWithin', {
            part: partName(portion?.part ?? ''),
            h: units.box(clump.plan.looseMm.w, clump.plan.looseMm.h),
            what: measuredPxPerMm
              ? $t('wool.portionSheet.atTrueSizeOnThis')
              : $t('wool.portionSheet.aboutTrueSizeHoldA'),
          })
        }}
        <button class="plain link" @click="calibrating = true">
          {{ measuredPxPerMm ? $t('wool.portionSheet.measureAgain') : $t('wool.portionSheet.measureThisScreen') }}
        </button>
      </figcaption>
    </figure>
  </div>
  <template v-if="supply.supply?.sets.length || supply.supply?.wisps.length">
    <h2 class="stitched title">{{ $t('wool.portionSheet.wisps') }}</h2>
    <ul class="bare wisps">
      <li v-for="w in supply.supply.wisps" :key="w.detail">
        <i class="swatch tiny" :style="{ background: hexOf(w.colour) }" /><span
          ><b
            >{{ detailName(w.detail) }}<span v-if="w.count > 1" class="unit">x {{ w.count }}</span
            >{{ ' ' }}<HowNumber number="wisp" :of="w.detail">{{ units.g(w.mg / 1000) }}</HowNumber></b
          ><small class="quiet">{{ w.text }}</small></span
        >
      </li>
    </ul>
    <p v-for="s in supply.supply.sets" :key="s.on + s.colour" class="small">
      {{
        $t('wool.portionSheet.togetherOnSplitFor', {
          on: partName(s.on),
          mg: units.g(s.mg / 1000),
          colour: within(figure.colourName(s.colour)),
          ratio: s.ratio.join(' : '),
          detailName: within(s.details.map(detailName).join(', ')),
        })
      }}
    </p>
  </template>
  <template v-if="supply.supply?.coverings.length">
    <h2 class="stitched title">{{ $t('wool.portionSheet.notPlainFelt') }}</h2>
    <ul class="bare">
      <li v-for="c in supply.supply.coverings" :key="c.part" class="covering">
        <b
          >{{ partName(c.part) }}<span v-if="c.count > 1" class="unit">x {{ c.count }}</span></b
        >{{ ' ' }}
        <span class="unit"
          >{{ units.g(c.g) }}{{ c.metres ? `, ${units.mm(1000 * c.metres)}` : ''
          }}{{ c.areaCm2 ? `, ${units.cm2(c.areaCm2)}` : ''
          }}{{ c.filmG ? $t('wool.portionSheet.filmFibres', { filmG: units.g(c.filmG) }) : '' }}</span
        ><small>{{ c.text }}</small>
      </li>
    </ul>
    <SheetLayout v-if="supply.supply.layout" :layout="supply.supply.layout" />
  </template>
  <SplitTool class="stitched title" />
  <CalibrateDialog v-model="calibrating" />
</template>

<style scoped>
.tools {
  margin-bottom: 0.4rem;
}
.lead {
  flex: 1 1 20ch;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(220px, 1fr);
  gap: 1.2rem;
  align-items: start;
}
.mix,
.portion {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  width: 100%;
  padding: 0.4rem 0.5rem;
  border-radius: 10px;
  min-height: 44px;
  border-top: 1px solid rgb(var(--v-theme-grid));
}
.portion.here {
  background: rgba(var(--v-theme-secondary), 0.12);
}
.mix span,
.portion span {
  display: grid;
  line-height: 1.3;
}
.mix span b .unit,
.portion span b .unit {
  display: inline;
}
.mat {
  margin: 0;
  text-align: center;
  background: rgb(var(--v-theme-table));
  border-radius: 14px;
  padding: 0.9rem;
  position: sticky;
  top: 90px;
  overflow: auto;
}
.mat figcaption {
  font-size: 0.84rem;
  margin-top: 0.5rem;
}
.title {
  padding-top: 0.7rem;
  margin-top: 0.9rem;
}
.wisps {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0.4rem 1.2rem;
  padding-top: 0.4rem;
}
.wisps li {
  display: flex;
  gap: 0.5rem;
  align-items: baseline;
}
.wisps span {
  display: grid;
  line-height: 1.25;
}
.wisps b .unit {
  display: inline;
}
small {
  font-size: 0.84rem;
}
.covering small {
  display: block;
}
.small {
  font-size: 0.88rem;
  margin-top: 0.4rem;
}
.tiny {
  width: 0.8rem;
  height: 0.8rem;
  border-width: 1px;
}
.link {
  padding: 0;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
}
@media (max-width: 1000px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
