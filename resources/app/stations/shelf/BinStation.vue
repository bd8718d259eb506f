<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { CardPage } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import FigureCard from './FigureCard.vue'

const bin = ref<CardPage | null>(null)
const asking = ref(false)
const { trouble, busy, tell } = useAsyncAction()
const load = async (page = 1) => {
  bin.value = await api.bin(page)
}
onMounted(() => tell(load))

/** Another window may have brought a figure back meanwhile, or let it go: that is told, and what lies there now is shown. */
async function act(ask: () => Promise<unknown>): Promise<void> {
  await tell(async () => void (await ask()))
  asking.value = false
  await load(bin.value?.page).catch(() => {})
}
const restore = (id: number) => act(() => api.restore(id))
const empty = () => act(() => api.emptyBin())
</script>

<template>
  <div class="bin">
    <header class="row">
      <h1>{{ $t('shelf.binStation.inTheBin') }}</h1>
      <v-spacer /><v-btn to="/">{{ $t('shelf.binStation.backToTheShelf') }}</v-btn
      ><v-btn v-if="bin?.count" color="error" @click="asking = true">{{ $t('shelf.binStation.emptyTheBin') }}</v-btn>
    </header>
    <v-alert v-if="trouble" type="error" variant="tonal" density="compact" class="mb-4" role="alert">{{
      trouble
    }}</v-alert>
    <p v-if="bin && !bin.count" class="quiet">
      {{ $t('shelf.binStation.theBinIsEmptyWhat') }}
    </p>
    <div v-if="bin" class="cards">
      <FigureCard v-for="card in bin.figures" :key="card.id" :card="card" binned @restore="restore(card.id)" />
    </div>
    <v-pagination v-if="bin && bin.pages > 1" :model-value="bin.page" :length="bin.pages" @update:model-value="load" />
    <v-dialog :aria-label="$t('shelf.binStation.emptyTheBin2')" v-model="asking"
      ><v-card :title="$t('shelf.binStation.emptyTheBin2')"
        ><v-card-text>{{ $t('shelf.binStation.figuresAndAllTheirNotes', bin?.count ?? 0) }}</v-card-text
        ><v-card-actions
          ><v-btn @click="asking = false">{{ $t('shelf.binStation.keepThem') }}</v-btn
          ><v-btn color="error" variant="flat" :disabled="busy" @click="empty">{{
            $t('shelf.binStation.emptyTheBin')
          }}</v-btn></v-card-actions
        ></v-card
      ></v-dialog
    >
  </div>
</template>

<style scoped>
.bin {
  max-width: 1240px;
  margin: 0 auto;
  padding: 0.6rem 1.5rem 3rem;
}
header {
  padding: 0.4rem 0 1.2rem;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(264px, 1fr));
  gap: 1.3rem;
}
</style>
