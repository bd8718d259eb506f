<script setup lang="ts">
import { ref, watch } from 'vue'
import type { CatalogueShape } from '../../../api/types/answers'
import { api } from '../../../api/client'
import Silhouette from '../../../drawing/ShapeSilhouette.vue'
import { useFigure } from '../../../state/figure/figure'
import { kindWord } from '../../../state/trade'

const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const shapes = ref<CatalogueShape[]>([])
watch(show, async (open) => {
  if (open && !shapes.value.length) shapes.value = (await api.catalogue()).shapes
})

async function add(choice: CatalogueShape): Promise<void> {
  show.value = false
  await figure.apply('add', { shape: choice.kind, on: figure.selectedPart?.key ?? '' })
}
</script>

<template>
  <v-dialog :aria-label="$t('shapes.catalogueDialog.whichShape')" v-model="show" max-width="720">
    <v-card :title="$t('shapes.catalogueDialog.whichShape')">
      <v-card-text>
        <div class="shapes">
          <button v-for="s in shapes" :key="s.kind" class="plain choice" @click="add(s)">
            <Silhouette :loops="s.front" :size="64" />{{ kindWord(s.kind) }}
          </button>
        </div>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('shapes.catalogueDialog.none') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.shapes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 0.5rem;
}
.choice {
  display: grid;
  justify-items: center;
  gap: 0.3rem;
  padding: 0.7rem 0.3rem;
  border-radius: 12px;
  color: rgb(var(--v-theme-quiet));
}
.choice:hover,
.choice:focus-visible {
  background: rgb(var(--v-theme-table));
  color: rgb(var(--v-theme-primary));
}
</style>
