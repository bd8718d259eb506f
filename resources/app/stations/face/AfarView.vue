<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'
import { api } from '../../api/client'
import { useFigure } from '../../state/figure'

/** The face as it will look in wool, from arm's length, across a table and across a room. */
const props = defineProps<{ part: string }>()
const figure = useFigure()
const metres = [0.3, 1, 3]
const seen = ref<Record<number, string>>({})
const trouble = ref('')
let turn = 0

async function look(): Promise<void> {
  const mine = ++turn
  const document = figure.document
  if (!document) return
  try {
    const pictures = await Promise.all(metres.map((m) => api.afar(document, props.part, m)))
    if (mine !== turn) return
    drop()
    seen.value = Object.fromEntries(metres.map((m, i) => [m, URL.createObjectURL(pictures[i]!)]))
    trouble.value = ''
  } catch (error) {
    if (mine === turn) trouble.value = error instanceof Error ? error.message : String(error)
  }
}
function drop(): void {
  Object.values(seen.value).forEach((url) => URL.revokeObjectURL(url))
}
watch([() => props.part, () => figure.document], look, { immediate: true })
onBeforeUnmount(drop)
const words = (m: number) => (m < 1 ? `${m * 100} cm` : `${m} m`)
</script>

<template>
  <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
  <div class="afar">
    <figure v-for="m in metres" :key="m">
      <img v-if="seen[m]" :src="seen[m]" :alt="`From ${words(m)}`">
      <v-progress-linear v-else-if="!trouble" indeterminate color="primary" :aria-label="`Looking from ${words(m)}`" />
      <figcaption>from {{ words(m) }}</figcaption>
    </figure>
  </div>
  <p class="quiet small">Fibres reach over an edge by about 0.3 mm (a house prior), and good eyes part one minute of arc. What is gone here is gone in wool.</p>
</template>

<style scoped>
.afar { display: grid; grid-template-columns: 1fr 1fr; gap: .6rem; }
figure { margin: 0; } figure:first-child { grid-column: 1 / -1; }
img { width: 100%; display: block; border-radius: 12px; }
figcaption { font-size: .84rem; text-align: center; color: rgb(var(--v-theme-quiet)); }
.small { font-size: .84rem; margin-top: .4rem; }
</style>
