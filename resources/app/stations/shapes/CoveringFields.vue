<script setup lang="ts">
import { computed } from 'vue'
import type { CoveringField, CoveringSaid } from '../../api/types/answers'
import type { Part } from '../../api/types/figure'
import LengthField from '../../shared/LengthField.vue'
import { useFigure } from '../../state/figure/figure'
import { trade } from '../../state/trade'

/** What covers a part where that is not plain felt, with the numbers of that way; PHP says the usual ones. */
const props = defineProps<{ part: Part }>()
const figure = useFigure()
const said = computed(() => figure.board?.drawing.parts[props.part.key]?.covering)
const way = computed(() => said.value?.way ?? 'felt')
const fields = computed(() => trade.coverings.find((c) => c.value === way.value)?.fields ?? [])
// What is no length has its own unit, the same in inches.
const suffix = (f: CoveringField) => (f.unit === 'mm' ? undefined : f.unit)
function choose(next: CoveringSaid['way']): void {
  figure.changePart(props.part.key, (p) => {
    if (next === 'felt' && p.finish !== 'loops' && p.finish !== 'tufts') delete p.covering
    else p.covering = { way: next }
  })
}
const set = (name: CoveringField['name'], value: number) =>
  figure.changePart(props.part.key, (p) => {
    p.covering = { ...p.covering, way: way.value, [name]: value }
  })
</script>

<template>
  <div>
    <v-select
      :model-value="way"
      :items="trade.coverings"
      :label="$t('shapes.coveringFields.coveredWith')"
      @update:model-value="choose($event)"
    />
    <div v-if="fields.length" class="two mt-3">
      <LengthField
        v-for="f in fields"
        :key="f.name"
        :model-value="said?.[f.name] ?? 1"
        :label="f.label"
        :suffix="suffix(f)"
        :min="f.least"
        :max="f.most"
        @update:model-value="set(f.name, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
</style>
