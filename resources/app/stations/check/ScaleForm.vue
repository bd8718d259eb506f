<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PhotoOf } from '../../api/client'
import LengthField from '../../shared/LengthField.vue'
import { useFigure } from '../../state/figure/figure'

/** What tells the scale of a photo without marker sheet: two places on a ruler, or a part between the calipers. */
const props = defineProps<{ ends: number[][]; busy: boolean }>()
const emit = defineEmits<{ measure: [scale: Partial<PhotoOf>]; leave: [] }>()

/** The numbers along a ruler most often end there. */
const RULER_MM = 100
const figure = useFigure()
const part = ref('')
const mm = ref(RULER_MM)
const known = computed(() => [
  { value: '', title: 'two places on a ruler' },
  ...figure.parts.map((p) => ({ value: p.key, title: `the width of ${p.name ?? p.key}` })),
])
watch(part, (key) => (mm.value = figure.parts.find((p) => p.key === key)?.shape.widthMm ?? RULER_MM))
const measure = () =>
  emit('measure', part.value ? { knownPart: part.value, knownMm: mm.value } : { ruler: props.ends, knownMm: mm.value })
</script>

<template>
  <form aria-label="What tells the scale" @submit.prevent="measure">
    <v-select v-model="part" :items="known" label="Known" hide-details />
    <p v-if="part" class="small">Its width between the calipers; what stands here is the plan's.</p>
    <p v-else class="small">
      Lay a ruler beside the figure, and tap two places on it, far apart: {{ ends.length }} of 2. Arrow keys move them.
    </p>
    <LengthField v-model="mm" label="That is" :min="1" :max="1000" />
    <div class="row">
      <v-btn type="submit" color="primary" variant="flat" :disabled="busy || (!part && ends.length < 2)">Measure</v-btn>
      <v-btn variant="text" @click="emit('leave')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 0.8rem;
}
form p {
  margin: 0;
}
</style>
