<script setup lang="ts">
import { mdiArrowCollapse, mdiArrowExpand, mdiPlus } from '@mdi/js'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { api } from '../../api/client'
import TurningView from '../../drawing/TurningView.vue'
import { useFigure } from '../../state/figure/figure'
import BoardTools from './board/BoardTools.vue'
import CatalogueDialog from './dialogs/CatalogueDialog.vue'
import LookAgainDialog from './dialogs/LookAgainDialog.vue'
import PartPanel from './PartPanel.vue'
import PartTree from './PartTree.vue'
import PictureBoard from './board/PictureBoard.vue'
import LayersView from './layers/LayersView.vue'
import ReviewCard from './ReviewCard.vue'
import SideStrip from './board/SideStrip.vue'
import type { Compare, Tool } from './board/tools'
import { useZoom, type Frames } from '../../drawing/useZoom'
import { useFrames } from './board/useFrames'
import PageTabs from '../../shared/PageTabs.vue'
import { useHotkeys } from '../../shared/useHotkeys'
import { t } from '../../lang'

const figure = useFigure()
const adding = ref(false)
const round = ref(false)
const tool = ref<Tool>('choose')
const compare = ref<Compare>('drawing')
const reviewing = ref(false)
const again = ref(false)
/** A figure of layers is looked at pulled apart first. */
const board = ref<'drawing' | 'apart' | 'sheets'>('apart')
const boardPages = computed(() => [
  { key: 'apart' as const, title: t('shapes.shapesStation.layers') },
  ...(figure.document?.flat?.way === 'sheet'
    ? [{ key: 'sheets' as const, title: t('shapes.shapesStation.onTheSheets') }]
    : []),
  { key: 'drawing' as const, title: t('shapes.shapesStation.drawing') },
])
const layers = computed(() => {
  if (!figure.document?.flat || board.value === 'drawing') return null
  return figure.document.flat.way === 'sheet' ? board.value : 'apart'
})
const boards = ref<HTMLElement>()
const { near, zoom, zoomBy, panBy, all } = useZoom(useFrames(boards))
// While something is dragged the paper keeps still.
const held = ref<Frames | null>(null)
const frames = computed(() => held.value ?? near.value)

/** The render in the drawing's own pixels, and how well it agrees, while they are compared. */
const match = ref('')
const agreement = ref<number | null>(null)
watch([compare, () => figure.board], async () => {
  if (compare.value === 'drawing' || !figure.document?.picture || !figure.picture) return
  const sent = figure.document
  try {
    const [blob, alike] = await Promise.all([api.match(sent), api.agreement(sent, figure.picture)])
    if (figure.document !== sent) return
    if (match.value) URL.revokeObjectURL(match.value)
    match.value = URL.createObjectURL(blob)
    agreement.value = alike.share
  } catch (error) {
    figure.tell(error)
  }
})

useHotkeys({
  v: () => (tool.value = 'choose'),
  x: (event) => {
    const part = figure.selectedPart
    if (part && event.shiftKey)
      void figure.apply('split', {
        key: part.key,
        line: [
          [part.at.xMm - 2000, part.at.yMm],
          [part.at.xMm + 2000, part.at.yMm],
        ],
      })
    else if (part) tool.value = 'cut'
  },
  l: () => (tool.value = 'lasso'),
  p: () => {
    if (figure.selection && figure.picture) tool.value = 'pick'
  },
  a: () => (again.value = figure.picture !== null),
  r: () => (reviewing.value = !reviewing.value),
  t: () => (board.value = board.value === 'drawing' ? 'apart' : 'drawing'),
  '+': () => zoomBy(1.4),
  '=': () => zoomBy(1.4),
  '-': () => zoomBy(1 / 1.4),
  '0': () => all(),
  // The app lets go of what is chosen as well.
  escape: () => {
    tool.value = 'choose'
    return false
  },
})
onBeforeUnmount(() => {
  if (match.value) URL.revokeObjectURL(match.value)
})
</script>

<template>
  <div v-if="figure.document && figure.board" class="shapes">
    <aside class="sheet left" :aria-label="$t('shapes.shapesStation.parts')">
      <div class="row">
        <h2>{{ $t('shapes.shapesStation.parts') }}</h2>
        <v-spacer /><v-btn color="primary" variant="flat" :prepend-icon="mdiPlus" @click="adding = true">{{
          $t('shapes.shapesStation.addAShape')
        }}</v-btn>
      </div>
      <PartTree class="tree" />
      <div v-if="figure.chosen.length > 1" class="row several">
        <span>{{ $t('shapes.shapesStation.chosen', { chosen: figure.chosen.length }) }}</span><v-spacer />
        <v-btn size="small" variant="tonal" @click="figure.apply('merge', { keys: figure.chosen })">{{
          $t('shapes.shapesStation.makeThemOne')
        }}</v-btn>
      </div>
      <div class="corner" :class="{ large: round }">
        <TurningView
          :figure="figure.document"
          :selected="figure.selectedPart?.key"
          :large="round"
          :hidden="figure.hidden"
          @select="figure.choose"
        />
        <v-btn
          class="grow"
          size="small"
          variant="text"
          :icon="round ? mdiArrowCollapse : mdiArrowExpand"
          :aria-label="
            round ? $t('shapes.shapesStation.putTheRoundViewBack') : $t('shapes.shapesStation.letTheRoundViewTake')
          "
          @click="round = !round"
        />
      </div>
    </aside>
    <section class="middle" :aria-label="$t('shapes.shapesStation.board')">
      <PageTabs
        v-if="figure.document.flat"
        v-model="board"
        :label="$t('shapes.shapesStation.whatLiesOnTheBoard')"
        :pages="boardPages"
      />
      <LayersView v-if="layers" :page="layers" />
      <BoardTools
        v-if="!layers"
        v-model:tool="tool"
        v-model:compare="compare"
        :zoom="zoom"
        :reviewing="reviewing"
        :agreement="agreement"
        @nearer="zoomBy(1.4)"
        @farther="zoomBy(1 / 1.4)"
        @all="all"
        @review="reviewing = !reviewing"
        @again="again = true"
      />
      <div v-show="!layers" ref="boards" class="boards sheet mm-paper" :style="{ gridTemplateColumns: frames.columns }">
        <PictureBoard
          :compare="compare"
          :tool="tool"
          :frame="frames.front"
          :match="match"
          @hold="held = $event ? frames : null"
          @zoom="zoomBy"
          @pan="panBy"
          @tool="tool = $event"
        />
        <SideStrip :frame="frames.side" @hold="held = $event ? frames : null" />
      </div>
      <ReviewCard v-if="reviewing && !layers" @close="reviewing = false" @cut="tool = 'cut'" />
      <ul
        v-else-if="figure.board.plan.notes.length && !layers"
        class="bare notes"
        tabindex="0"
        :aria-label="$t('shapes.shapesStation.worthKnowing')"
      >
        <li v-for="n in figure.board.plan.notes" :key="n.code + n.at" class="sheet">{{ n.text }}</li>
      </ul>
    </section>
    <PartPanel class="sheet right" />
    <CatalogueDialog v-model="adding" />
    <LookAgainDialog v-model="again" />
  </div>
  <v-progress-linear
    v-else-if="!figure.trouble"
    indeterminate
    color="primary"
    :aria-label="$t('common.fetchingTheFigure')"
  />
</template>

<style scoped>
.shapes {
  display: grid;
  grid-template-columns: 252px minmax(0, 1fr) 264px;
  gap: 0.9rem;
  padding: 0.3rem 1rem 1rem;
  height: var(--station);
  min-height: 600px;
  position: relative;
}
.left,
.right {
  padding: 0.8rem;
  min-height: 0;
  overflow: auto;
}
.left {
  display: flex;
  flex-direction: column;
}
.tree {
  flex: 1;
  overflow: auto;
  min-height: 0;
  margin: 0.4rem -0.3rem;
}
.several {
  padding: 0.2rem 0.2rem 0.5rem;
}
.corner {
  position: relative;
  height: 232px;
  background: rgb(var(--v-theme-table));
  border-radius: 14px;
  flex: none;
}
.corner.large {
  position: absolute;
  inset: 0.3rem 292px 1rem 280px;
  height: auto;
  z-index: 5;
}
.grow {
  position: absolute;
  top: 2px;
  right: 2px;
}
.middle {
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
}
.boards {
  flex: 1;
  min-height: 0;
  display: grid;
  overflow: hidden;
}
.notes {
  display: flex;
  gap: 0.6rem;
  overflow-x: auto;
  padding: 0.6rem 0.1rem 0;
  flex: none;
}
.notes li {
  padding: 0.45rem 0.8rem;
  font-size: 0.86rem;
  border-left: 5px solid rgb(var(--v-theme-warning));
  flex: 1 0 240px;
  max-width: 420px;
}
@media (max-width: 1000px) {
  .shapes {
    grid-template-columns: 1fr;
    height: auto;
  }
  /* On a tablet the board is what is looked at first. */
  .middle {
    order: -1;
  }
  .boards {
    min-height: 60vh;
  }
  .corner.large {
    inset: 60px 1rem auto;
    height: 60vh;
  }
}
</style>
