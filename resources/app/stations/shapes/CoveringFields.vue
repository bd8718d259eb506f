<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '../../api/figure'
import LengthField from '../../shell/LengthField.vue'
import { useFigure } from '../../state/figure'
import { coveringFields, coverings, type CoveringWay } from '../words'

/** What covers a part where that is not plain felt, with the numbers of that way; PHP says the usual ones. */
const props = defineProps<{ part: Part }>()
const figure = useFigure()
const said = computed(() => figure.board?.drawing.parts[props.part.key]?.covering)
const way = computed(() => said.value?.way ?? 'felt')
const fields = computed(() => coveringFields[way.value])
const labels = { lengthMm: 'Length', perCm2: 'On a cm²', mgEach: 'Each weighs', ribbonMm: 'Ribbon', overlap: 'Overlap' } as const
const limits = { perCm2: ['', 0.1, 200], mgEach: ['mg', 0.1, 5000], overlap: ['', 0, 0.9] } as const
const limit = (name: string) => limits[name as keyof typeof limits] ?? [undefined, 0.3, 2000]
function choose(next: CoveringWay): void {
  figure.changePart(props.part.key, (p) => {
    if (next === 'felt' && p.finish !== 'loops' && p.finish !== 'tufts') delete p.covering
    else p.covering = { way: next }
  })
}
const set = (name: (typeof fields.value)[number], value: number) => figure.changePart(props.part.key, (p) => { p.covering = { ...p.covering, way: way.value, [name]: value } })
</script>

<template>
  <div>
    <v-select :model-value="way" :items="coverings" label="Covered with" @update:model-value="choose($event)" />
    <div v-if="fields.length" class="two mt-3">
      <LengthField v-for="name in fields" :key="name" :model-value="said?.[name] ?? 1" :label="labels[name]" :suffix="limit(name)[0]" :min="limit(name)[1]" :max="limit(name)[2]" @update:model-value="set(name, $event)" />
    </div>
  </div>
</template>

<style scoped>
.two { display: grid; grid-template-columns: 1fr 1fr; gap: .6rem; }
</style>
