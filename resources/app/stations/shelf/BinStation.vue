<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { CardPage } from '../../api/answers'
import { api } from '../../api/client'
import FigureCard from './FigureCard.vue'

const bin = ref<CardPage | null>(null)
const asking = ref(false)
const load = async (page = 1) => {
  bin.value = await api.bin(page)
}
onMounted(() => load())

async function restore(id: number): Promise<void> {
  await api.restore(id)
  await load(bin.value?.page)
}
async function empty(): Promise<void> {
  await api.emptyBin()
  asking.value = false
  await load()
}
</script>

<template>
  <div class="bin">
    <header class="row">
      <h1>In the bin</h1>
      <v-spacer /><v-btn to="/">Back to the shelf</v-btn
      ><v-btn v-if="bin?.count" color="error" @click="asking = true">Empty the bin</v-btn>
    </header>
    <p v-if="bin && !bin.count" class="quiet">
      The bin is empty. What you throw away from the shelf lies here until you empty it.
    </p>
    <div v-if="bin" class="cards">
      <FigureCard v-for="card in bin.figures" :key="card.id" :card="card" binned @restore="restore(card.id)" />
    </div>
    <v-pagination v-if="bin && bin.pages > 1" :model-value="bin.page" :length="bin.pages" @update:model-value="load" />
    <v-dialog aria-label="Empty the bin?" v-model="asking"
      ><v-card title="Empty the bin?"
        ><v-card-text>{{ bin?.count }} figures and all their notes are then gone for good.</v-card-text
        ><v-card-actions
          ><v-btn @click="asking = false">Keep them</v-btn
          ><v-btn color="error" variant="flat" @click="empty">Empty the bin</v-btn></v-card-actions
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
