<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { Detail } from '../../api/figure'
import { detailMiddle, type Point } from '../../drawing/geometry'
import { useFigure } from '../../state/figure'
import { useUnits } from '../../state/units'

/** From one detail to another, by calipers and by a taut tape; a pair is measured from its one to its other as well. */
const props = defineProps<{ part: string }>()
const figure = useFigure()
const units = useUnits()
const from = ref('')
const to = ref('')
const said = ref('')
const places = computed(() => {
  const list: { title: string; value: string; at: Point }[] = [{ title: 'the middle of the part', value: 'middle', at: [0, 0] }]
  for (const d of figure.details.filter((x) => x.on === props.part && (x.side ?? 'front') === 'front')) {
    const [x, y] = detailMiddle(d as Detail)
    const name = d.name ?? d.key
    list.push({ title: d.mirror ? `${name}, right` : name, value: d.key, at: [x, y] })
    if (d.mirror) list.push({ title: `${name}, left`, value: `${d.key} twin`, at: [-x, y] })
  }
  return list
})
const at = (value: string) => places.value.find((p) => p.value === value)?.at
watch([from, to, places], async () => {
  const [a, b] = [at(from.value), at(to.value)]
  said.value = ''
  if (!a || !b || !figure.document || from.value === to.value) return
  try {
    const found = await api.between(figure.document, props.part, [a, b])
    said.value = `${units.length(found.pinMm)} ${units.lengthUnit.value} by calipers, ${units.length(found.tapeMm)} by tape`
  } catch (error) {
    said.value = error instanceof Error ? error.message : String(error)
  }
})
</script>

<template>
  <div class="measure" role="group" aria-label="From mark to mark">
    <v-select v-model="from" :items="places" label="From" /><v-select v-model="to" :items="places" label="To" />
    <b role="status">{{ said }}</b>
  </div>
</template>

<style scoped>
.measure { display: grid; grid-template-columns: 1fr 1fr; gap: .5rem; margin-top: .7rem; padding-top: .7rem; border-top: var(--stitch); }
.measure b { grid-column: 1 / -1; min-height: 1.4em; }
</style>
