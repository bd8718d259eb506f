<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, type CatalogueShape } from '../../api/client'
import Silhouette from '../../drawing/ShapeSilhouette.vue'
import { useFigure } from '../../state/figure'

const show = defineModel<boolean>({ required: true })
const emit = defineEmits<{ added: [key: string] }>()
const figure = useFigure()
const shapes = ref<CatalogueShape[]>([])
watch(show, async (open) => {
  if (open && !shapes.value.length) shapes.value = (await api.catalogue()).shapes
})

function add(choice: CatalogueShape): void {
  const key = figure.freeKey(figure.parts, choice.kind)
  figure.change((d) => {
    const on = figure.selectedPart ?? d.parts[0]
    d.parts.push({
      key,
      name: choice.kind[0]?.toUpperCase() + choice.kind.slice(1),
      shape: { ...choice.shape },
      core: choice.core,
      at: { xMm: on ? on.at.xMm : 0, yMm: on ? Math.round(on.at.yMm + on.shape.heightMm / 2) : choice.shape.heightMm / 2, zMm: on?.at.zMm ?? 0 },
      colour: on?.colour ?? d.colours[0]?.key ?? '',
      ...(on ? { join: { to: on.key, by: 'fluff' as const } } : {}),
    })
  })
  show.value = false
  emit('added', key)
}
</script>

<template>
  <v-dialog aria-label="Which shape?" v-model="show" max-width="720">
    <v-card title="Which shape?">
      <v-card-text>
        <div class="shapes">
          <button v-for="s in shapes" :key="s.kind" class="plain choice" @click="add(s)"><Silhouette :loops="s.front" :size="64" />{{ s.kind }}</button>
        </div>
      </v-card-text>
      <v-card-actions><v-btn @click="show = false">None</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.shapes { display: grid; grid-template-columns: repeat(auto-fill, minmax(104px, 1fr)); gap: .5rem; }
.choice { display: grid; justify-items: center; gap: .3rem; padding: .7rem .3rem; border-radius: 12px; color: rgb(var(--v-theme-quiet)); }
.choice:hover, .choice:focus-visible { background: rgb(var(--v-theme-table)); color: rgb(var(--v-theme-primary)); }
</style>
