<script setup lang="ts">
import { mdiDeleteOutline, mdiImagePlus, mdiPlus } from '@mdi/js'
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { CardPage } from '../../api/types/answers'
import { api } from '../../api/client'
import type { Figure } from '../../api/types/figure'
import { inWords } from '../../shared/useAsyncAction'
import { begin, end, isToured } from '../../state/tour'
import { useFigure } from '../../state/figure/figure'
import FigureCard from './FigureCard.vue'
import GoOnCard from './GoOnCard.vue'
import { onSeveral } from '../../away/usePlace'
import SetShelf from '../sets/SetShelf.vue'
import TakenApart from '../sets/TakenApart.vue'
import WhatItDoes from './WhatItDoes.vue'
import NewFigureDialog from './NewFigureDialog.vue'
import { t } from '../../lang'

const router = useRouter()
const figure = useFigure()
const shelf = ref<CardPage | null>(null)
const trouble = ref('')
const dropped = ref<File | null>(null)
const over = ref(false)
const picker = ref<HTMLInputElement>()
const thrown = ref<{ id: number; name: string } | null>(null)

async function load(page = 1): Promise<void> {
  try {
    shelf.value = await api.shelf(page)
    trouble.value = ''
  } catch (error) {
    trouble.value = (error as Error).message
  }
}
onMounted(() => load())

async function take(file: File | undefined): Promise<void> {
  over.value = false
  trouble.value = ''
  if (!file) return
  if (!file.name.endsWith('.json')) {
    dropped.value = file
    return
  }
  try {
    const document = JSON.parse(await file.text()) as { format?: string }
    const saved =
      document.format === 'impa-booklet' ? await api.takeBooklet(document) : await api.lay(document as Figure, null)
    await router.push(`/figures/${saved.id}/shapes`)
  } catch (error) {
    const refusal = error as { message: string; errors?: { pointer: string; detail: string }[] }
    trouble.value = [refusal.message, ...(refusal.errors ?? []).map((e) => `${e.pointer}: ${e.detail}`)].join(' ')
  }
}

async function startPlain(): Promise<void> {
  const document: Figure = {
    format: 'impa-figure',
    version: 2,
    name: t('shelf.shelfStation.newFigure'),
    heightMm: 60,
    colours: [
      { key: 'c1', name: t('shelf.shelfStation.undyed'), hex: '#e9dfc8' },
      { key: 'c2', name: t('shelf.shelfStation.dark'), hex: '#2b2320' },
    ],
    parts: [
      {
        key: 'body',
        name: t('shelf.shelfStation.body'),
        shape: { kind: 'ball', widthMm: 60, heightMm: 60, depthMm: 60 },
        at: { xMm: 0, yMm: 30, zMm: 0 },
        colour: 'c1',
      },
    ],
    details: [],
  }
  const saved = await api.lay(document, null)
  await router.push(`/figures/${saved.id}/shapes`)
}

const laying = ref(false)
/** A look around at the example: the one on the shelf, else one of its own. */
async function tryExample(): Promise<void> {
  laying.value = true
  try {
    // Its drawing stays where the demo is.
    const example = { ...(await import('../../../../demo/bobbin.impa.json')).default, picture: undefined }
    const there = shelf.value?.figures.find((card) => card.name === example.name)
    begin(there?.id ?? (await api.lay(example as unknown as Figure, null)).id)
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    laying.value = false
  }
}

/** Another window may have thrown it away meanwhile, or emptied the bin: that is told, and what stands here now is shown. */
async function act(ask: () => Promise<unknown>): Promise<void> {
  const refused = await ask().then(() => '', inWords)
  await load(shelf.value?.page)
  trouble.value ||= refused
}
const throwAway = (card: { id: number; name: string }) =>
  act(async () => {
    await figure.letGo(card.id)
    await api.throwAway(card.id)
    thrown.value = card
  })
function bringBack(): Promise<void> {
  const { id } = thrown.value!
  thrown.value = null
  return act(() => api.restore(id))
}

/** The same file can be chosen again afterwards. */
function pick(event: Event): void {
  const input = event.target as HTMLInputElement
  take(input.files?.[0])
  input.value = ''
}
</script>

<template>
  <div
    class="shelf"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="take($event.dataTransfer?.files[0])"
  >
    <header class="row">
      <h1>{{ $t('shelf.shelfStation.onTheShelf') }}</h1>
      <v-spacer />
      <v-btn to="/bin" variant="text" :prepend-icon="mdiDeleteOutline">{{ $t('shelf.shelfStation.bin') }}</v-btn>
      <v-btn variant="text" :prepend-icon="mdiPlus" @click="startPlain">{{
        $t('shelf.shelfStation.startWithABall')
      }}</v-btn>
      <v-btn color="primary" variant="flat" class="tall" :prepend-icon="mdiImagePlus" @click="picker?.click()">{{
        $t('shelf.shelfStation.newFromAPicture')
      }}</v-btn>
      <input
        ref="picker"
        class="offscreen"
        type="file"
        accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml,.json"
        :aria-label="$t('shelf.shelfStation.pictureOrFigureFile')"
        tabindex="-1"
        @change="pick"
      />
    </header>
    <v-alert v-if="trouble" type="error" variant="tonal" role="alert" class="mb-4">{{ trouble }}</v-alert>
    <TakenApart />
    <GoOnCard v-if="onSeveral()" />
    <v-progress-linear
      v-if="!shelf && !trouble"
      indeterminate
      color="primary"
      :aria-label="$t('shelf.shelfStation.fetchingTheShelf')"
    />
    <WhatItDoes
      v-if="shelf && (!shelf.figures.length || !isToured)"
      :busy="laying"
      :can-hide="shelf.figures.length > 0"
      @example="tryExample"
      @hide="end"
    />
    <div v-if="shelf" class="cards" :class="{ empty: !shelf.figures.length }">
      <FigureCard v-for="card in shelf.figures" :key="card.id" :card="card" @throw-away="throwAway(card)" />
      <button class="drop plain" @click="picker?.click()">
        <b class="display">{{ $t('shelf.shelfStation.dropADrawingHere') }}</b>
        <span>{{ $t('shelf.shelfStation.aPngJpegWebpGif') }}</span>
      </button>
    </div>
    <SetShelf v-if="shelf?.figures.length" :cards="shelf.figures" />
    <v-pagination
      v-if="shelf && shelf.pages > 1"
      :model-value="shelf.page"
      :length="shelf.pages"
      class="mt-6"
      @update:model-value="load"
    />
    <NewFigureDialog :file="dropped" @close="dropped = null" />
    <v-snackbar :model-value="thrown !== null" :timeout="8000" @update:model-value="thrown = null">
      {{ $t('shelf.shelfStation.liesInTheBin', { name: thrown?.name }) }}
      <template #actions
        ><v-btn variant="text" @click="bringBack">{{ $t('shelf.shelfStation.bringBack') }}</v-btn></template
      >
    </v-snackbar>
  </div>
</template>

<style scoped>
.shelf {
  max-width: 1240px;
  margin: 0 auto;
  padding: 0.6rem 1.5rem 3rem;
  min-height: var(--station);
  border-radius: 24px;
}
.shelf.over {
  box-shadow: inset 0 0 0 4px rgb(var(--v-theme-secondary));
}
header {
  padding: 0.4rem 0 1.2rem;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(264px, 1fr));
  gap: 1.3rem;
}
/* An empty shelf is one large place to drop a drawing. */
.cards.empty {
  grid-template-columns: minmax(0, 1fr);
}
.cards.empty .drop {
  min-height: 40vh;
}
.drop {
  border: 2px dashed rgb(var(--v-theme-thread));
  border-radius: 18px;
  padding: 2rem 1.5rem;
  display: grid;
  align-content: center;
  gap: 0.6rem;
  min-height: 300px;
  overflow-wrap: anywhere;
  color: rgb(var(--v-theme-quiet));
}
.drop b {
  color: rgb(var(--v-theme-on-background));
  font-size: 1.2rem;
}
.drop:hover {
  border-color: rgb(var(--v-theme-primary));
}
</style>
