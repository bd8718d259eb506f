<script setup lang="ts">
import { mdiArrowCollapse, mdiArrowExpand, mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import TurningView from '../../drawing/TurningView.vue'
import { useFigure } from '../../state/figure'
import CatalogueDialog from './CatalogueDialog.vue'
import PartPanel from './PartPanel.vue'
import PartTree from './PartTree.vue'
import PictureBoard from './PictureBoard.vue'
import SideStrip from './SideStrip.vue'
import { useFrames, type Frames } from './useFrames'

const figure = useFigure()
const adding = ref(false)
const round = ref(false)
const showPicture = ref(true)
const filled = ref(false)
const boards = ref<HTMLElement>()
const fitted = useFrames(boards)
// While something is dragged the paper keeps still.
const held = ref<Frames | null>(null)
const frames = computed(() => held.value ?? fitted.value)
const select = (key: string) => { figure.selection = { kind: 'part', key } }
</script>

<template>
  <div v-if="figure.document && figure.board" class="shapes">
    <aside class="sheet left" aria-label="Parts">
      <div class="row"><h2>Parts</h2><v-spacer /><v-btn color="primary" variant="flat" :prepend-icon="mdiPlus" @click="adding = true">Add a shape</v-btn></div>
      <PartTree class="tree" />
      <div class="corner" :class="{ large: round }">
        <TurningView :figure="figure.document" :drawing="figure.board.drawing" :selected="figure.selectedPart?.key" @select="select" />
        <v-btn class="grow" size="small" variant="text" :icon="round ? mdiArrowCollapse : mdiArrowExpand" :aria-label="round ? 'Put the round view back in its corner' : 'Let the round view take over the board'" @click="round = !round" />
      </div>
    </aside>
    <section class="middle" aria-label="Board">
      <div class="row tools">
        <v-switch v-model="showPicture" label="Drawing" :disabled="!figure.document.picture" />
        <v-switch v-model="filled" label="Flat colours" />
        <v-spacer />
        <span class="quiet">Front, and from the right</span>
      </div>
      <div ref="boards" class="boards sheet mm-paper" :style="{ gridTemplateColumns: frames.columns }">
        <PictureBoard :show-picture="showPicture" :filled="filled" :frame="frames.front" @hold="held = $event ? frames : null" />
        <SideStrip :frame="frames.side" @hold="held = $event ? frames : null" />
      </div>
      <ul v-if="figure.board.plan.notes.length" class="bare notes" aria-label="Worth knowing">
        <li v-for="n in figure.board.plan.notes" :key="n.code + n.at" class="sheet">{{ n.text }}</li>
      </ul>
    </section>
    <PartPanel class="sheet right" />
    <CatalogueDialog v-model="adding" @added="select" />
  </div>
  <v-progress-linear v-else-if="!figure.trouble" indeterminate color="primary" aria-label="Fetching the figure" />
</template>

<style scoped>
.shapes { display: grid; grid-template-columns: 252px minmax(0, 1fr) 264px; gap: .9rem; padding: .3rem 1rem 1rem; height: calc(100vh - 78px); min-height: 600px; position: relative; }
.left, .right { padding: .8rem; min-height: 0; overflow: auto; }
.left { display: flex; flex-direction: column; }
.tree { flex: 1; overflow: auto; min-height: 0; margin: .4rem -.3rem; }
.corner { position: relative; height: 232px; background: rgb(var(--v-theme-table)); border-radius: 14px; }
.corner.large { position: absolute; inset: .3rem 292px 1rem 280px; height: auto; z-index: 5; }
.grow { position: absolute; top: 2px; right: 2px; }
.middle { display: flex; flex-direction: column; min-height: 0; min-width: 0; }
.tools { padding: 0 .4rem; min-height: 40px; }
.boards { flex: 1; min-height: 0; display: grid; overflow: hidden; }
.notes { display: flex; gap: .6rem; overflow-x: auto; padding: .6rem .1rem 0; }
.notes li { padding: .45rem .8rem; font-size: .86rem; border-left: 5px solid rgb(var(--v-theme-warning)); flex: 1 0 240px; max-width: 420px; }
@media (max-width: 1000px) { .shapes { grid-template-columns: 1fr; height: auto; } .boards { min-height: 60vh; } .corner.large { inset: 60px 1rem auto; height: 60vh; } }
</style>
