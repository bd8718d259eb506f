<script setup lang="ts">
import { mdiContentCopy, mdiFlipHorizontal, mdiFlipVertical, mdiHistory, mdiMagnify, mdiPrinterOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { api, type PaperSize } from '../../api/client'
import type { Detail } from '../../api/types/figure'
import TurningView from '../../drawing/TurningView.vue'
import PageTabs from '../../shared/PageTabs.vue'
import { useInAddress } from '../../shared/useInAddress'
import PrintDialog from '../../shared/PrintDialog.vue'
import { useFigure } from '../../state/figure/figure'
import AfarView from './AfarView.vue'
import CopyDialog from './CopyDialog.vue'
import DetailPanel from './DetailPanel.vue'
import HeadBoard from './board/HeadBoard.vue'
import LayingGuide from './LayingGuide.vue'
import MarksPane from './MarksPane.vue'
import PiecesPane from './PiecesPane.vue'
import { useFaceWork } from './useFaceWork'
import { useHotkeys } from '../../shared/useHotkeys'
import { t } from '../../lang'

const figure = useFigure()
const wish = ref('')
const partKey = computed(() => {
  const key = wish.value || figure.board?.plan.face || figure.parts[0]?.key || ''
  return figure.parts.some((p) => p.key === key) ? key : (figure.parts[0]?.key ?? '')
})
const part = computed(() => figure.parts.find((p) => p.key === partKey.value))
const partItems = computed(() => figure.parts.map((p) => ({ title: p.name ?? p.key, value: p.key })))
const { grid, work, ask } = useFaceWork(partKey)
const faults = computed(() =>
  Object.entries(work.value.advice)
    .filter(([, list]) => list.some((a) => a.isFault))
    .map(([key]) => key),
)
const board = ref<InstanceType<typeof HeadBoard>>()
const point = ref<number | null>(null)

const pages = [
  { key: 'marks', title: t('face.faceStation.marks') },
  { key: 'lay', title: t('face.faceStation.howToLay') },
  { key: 'pieces', title: t('face.faceStation.addToTheFace') },
  { key: 'afar', title: t('face.faceStation.fromAfar') },
] as const
const page = useInAddress<(typeof pages)[number]['key']>('tab', 'marks', (k) => pages.some((p) => p.key === k))
const guideKey = ref('')
const guideItems = [
  { title: t('face.faceStation.none'), value: '' },
  { title: t('face.faceStation.cute'), value: 'cute' },
  { title: t('face.faceStation.baby'), value: 'baby' },
  { title: t('face.faceStation.grownUp'), value: 'grown-up' },
  { title: t('face.faceStation.gruff'), value: 'gruff' },
]
const guide = computed(() => grid.value?.guides.find((g) => g.key === guideKey.value))
const lineItems = [
  { title: t('face.faceStation.middleLine'), value: 'middle' },
  { title: t('face.faceStation.halfLine'), value: 'half' },
  { title: t('face.faceStation.thirds'), value: 'thirds' },
  { title: t('face.faceStation.eyeLine'), value: 'eyes' },
]
const lines = ref(['middle', 'half'])

const flipped = ref(false)
const upsideDown = ref(false)
const views = [
  { key: 'front', title: t('face.faceStation.front'), angle: 0 },
  { key: 'quarter', title: t('face.faceStation.threeQuarter'), angle: Math.PI / 4 },
  { key: 'side', title: t('face.faceStation.side'), angle: Math.PI / 2 },
] as const
const view = ref<(typeof views)[number]['key']>('front')
const alone = computed(
  () =>
    figure.document &&
    part.value && {
      ...figure.document,
      parts: [{ ...part.value, mirror: false }],
      details: figure.details.filter((d) => d.on === partKey.value),
    },
)
/** As it was before everything that was done since the figure was opened. */
const showBefore = ref(false)
const before = computed<Detail[] | null>(() =>
  showBefore.value && figure.past[0] ? ((JSON.parse(figure.past[0]) as { details?: Detail[] }).details ?? []) : null,
)

const printing = ref(false)
const copying = ref(false)
const sheets = (as: 'pdf' | 'svg', paper: PaperSize) => api.faceSheets(figure.document!, partKey.value, as, paper)

useHotkeys(
  {
    f: () => (flipped.value = !flipped.value),
    u: () => (upsideDown.value = !upsideDown.value),
    v: () => (view.value = views[(views.findIndex((x) => x.key === view.value) + 1) % views.length]!.key),
    b: () => (showBefore.value = true),
  },
  'station',
  { b: () => (showBefore.value = false) },
)
</script>

<template>
  <div v-if="figure.document && figure.board && part" class="face">
    <section class="board">
      <div class="row tools">
        <v-select
          :model-value="partKey"
          :items="partItems"
          :label="$t('face.faceStation.faceOf')"
          class="which"
          @update:model-value="wish = $event"
        />
        <v-select v-model="guideKey" :items="guideItems" :label="$t('face.faceStation.guide')" class="guide-choice" />
        <v-select v-model="lines" :items="lineItems" :label="$t('face.faceStation.lines')" multiple class="line-choice"
          ><template #selection="{ index }"
            ><span v-if="index === 0">{{ $t('face.faceStation.of4', { lines: lines.length }) }}</span></template
          ></v-select
        >
        <v-spacer />
        <div class="row looks" role="group" :aria-label="$t('face.faceStation.seenFrom')">
          <v-btn
            v-for="v in views"
            :key="v.key"
            size="small"
            :variant="view === v.key ? 'tonal' : 'text'"
            :color="view === v.key ? 'secondary' : undefined"
            :aria-pressed="view === v.key"
            @click="view = v.key"
            >{{ v.title }}</v-btn
          >
        </div>
        <v-btn
          :icon="mdiMagnify"
          size="small"
          variant="tonal"
          :aria-label="$t('face.faceStation.nearToTheChosenOne')"
          :title="$t('face.faceStation.nearToTheChosenOne2')"
          :color="(board?.zoom ?? 1) > 1 ? 'secondary' : undefined"
          @click="board?.nearer()"
        />
        <v-btn
          :icon="mdiFlipHorizontal"
          size="small"
          variant="tonal"
          :aria-label="$t('face.faceStation.mirror')"
          :title="$t('face.faceStation.inAMirrorF')"
          :aria-pressed="flipped"
          :color="flipped ? 'secondary' : undefined"
          @click="flipped = !flipped"
        />
        <v-btn
          :icon="mdiFlipVertical"
          size="small"
          variant="tonal"
          :aria-label="$t('face.faceStation.upsideDown')"
          :title="$t('face.faceStation.upsideDownU')"
          :aria-pressed="upsideDown"
          :color="upsideDown ? 'secondary' : undefined"
          @click="upsideDown = !upsideDown"
        />
        <v-btn
          :icon="mdiHistory"
          size="small"
          variant="tonal"
          :aria-label="$t('face.faceStation.asItWasBefore')"
          :title="$t('face.faceStation.asItWasWhenYou')"
          :disabled="!figure.past.length"
          :aria-pressed="showBefore"
          :color="showBefore ? 'secondary' : undefined"
          @click="showBefore = !showBefore"
        />
        <v-btn
          :icon="mdiContentCopy"
          size="small"
          variant="tonal"
          :aria-label="$t('face.faceStation.copyAFace')"
          :title="$t('face.faceStation.copyAFaceFromAnother')"
          @click="copying = true"
        />
        <v-btn
          :icon="mdiPrinterOutline"
          size="small"
          variant="tonal"
          :aria-label="$t('face.faceStation.theFaceOnPaper')"
          :title="$t('face.faceStation.theFaceOnPaper')"
          @click="printing = true"
        />
        <PrintDialog v-model="printing" :title="$t('face.faceStation.theFaceOnPaper')" :make="sheets">
          <p>
            {{ $t('face.faceStation.flatFromTheFrontFolded') }}
          </p>
        </PrintDialog>
        <CopyDialog v-model="copying" :part="partKey" />
      </div>
      <p v-if="showBefore" class="quiet small why" role="status">{{ $t('face.faceStation.asItWasWhenYou2') }}</p>
      <p v-else-if="guide" class="quiet small why" role="status">{{ guide.why }} {{ guide.whyApart }}</p>
      <HeadBoard
        v-if="view === 'front'"
        ref="board"
        v-model:point="point"
        :order="work.order"
        :faults="faults"
        :lines="lines"
        :eye-line="work.evenness.eyeLineMm"
        :guide="guide"
        :part="part"
        :grid="grid"
        :flipped="flipped"
        :upside-down="upsideDown"
        :was="before"
        class="sheet"
      />
      <div v-else-if="alone" class="sheet round">
        <TurningView :figure="alone" :angle="views.find((v) => v.key === view)?.angle" />
      </div>
    </section>
    <aside class="side">
      <section class="sheet block" :aria-label="$t('face.faceStation.marks')">
        <PageTabs v-model="page" :pages="pages" :label="$t('face.faceStation.theFace')" />
        <LayingGuide v-if="page === 'lay'" :part="partKey" @needles="ask" />
        <PiecesPane v-else-if="page === 'pieces'" :part="partKey" />
        <AfarView v-else-if="page === 'afar'" :part="partKey" />
        <MarksPane v-else :part="partKey" :work="work" :grid="grid" />
      </section>
      <DetailPanel
        v-if="page === 'marks' || page === 'pieces'"
        class="sheet block"
        :advice="work.advice"
        :point="point"
      />
    </aside>
  </div>
  <p v-else-if="figure.document && !figure.parts.length" class="pa-6">
    {{ $t('face.faceStation.thereIsNoPartTo') }}
  </p>
  <v-progress-linear
    v-else-if="!figure.trouble"
    indeterminate
    color="primary"
    :aria-label="$t('common.fetchingTheFigure')"
  />
</template>

<style scoped>
.face {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 388px;
  gap: 1rem;
  padding: 0.3rem 1rem 1rem;
  min-height: var(--station);
}
.board {
  display: flex;
  flex-direction: column;
  min-height: 0;
  position: sticky;
  top: 0;
  align-self: start;
  height: calc(var(--station) - 8px);
}
.board > svg,
.round {
  flex: 1;
  min-height: 0;
}
.tools {
  padding: 0 0 0.6rem;
  gap: 0.3rem;
}
.which {
  max-width: 120px;
  min-width: 96px;
}
.guide-choice {
  max-width: 108px;
  min-width: 96px;
}
.line-choice {
  max-width: 108px;
  min-width: 96px;
}
.looks {
  gap: 0;
  flex-wrap: nowrap;
}
.looks .v-btn {
  padding: 0 0.5rem;
  min-width: 0;
}
.side {
  display: flex;
  flex-direction: column;
  gap: 0.8rem;
  position: sticky;
  top: 0;
  height: calc(var(--station) - 8px);
  align-self: start;
}
.block {
  padding: 0.8rem 1.1rem 1rem;
  overflow: auto;
}
.block:first-child {
  flex: 1 1 0;
  min-height: 160px;
}
.block + .block {
  flex: none;
  max-height: 54%;
}
.block :deep(.tag) {
  padding-inline: 0.6rem;
}
.why {
  padding-bottom: 0.4rem;
}
@media (max-width: 1000px) {
  .face {
    grid-template-columns: minmax(0, 1fr);
  }
  .board,
  .side {
    position: static;
    height: auto;
  }
  .block:first-child {
    flex: none;
  }
  .block + .block {
    max-height: none;
  }
  .which,
  .guide-choice,
  .line-choice {
    max-width: 96px;
  }
  .board > svg,
  .round {
    min-height: 56vh;
  }
}
</style>
