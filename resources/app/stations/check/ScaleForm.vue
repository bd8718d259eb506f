<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PhotoOf } from '../../api/client'
import LengthField from '../../shared/LengthField.vue'
import { useFigure } from '../../state/figure/figure'
import { t } from '../../lang'

/** What tells the scale of a photo without marker sheet: two places on a ruler, or a part between the calipers. */
const props = defineProps<{ ends: number[][]; busy: boolean }>()
const emit = defineEmits<{ measure: [scale: Partial<PhotoOf>]; leave: [] }>()

/** The numbers along a ruler most often end there. */
const RULER_MM = 100
const figure = useFigure()
const part = ref('')
const mm = ref(RULER_MM)
const known = computed(() => [
  { value: '', title: t('check.scaleForm.twoPlacesOnARuler') },
  ...figure.parts.map((p) => ({ value: p.key, title: t('check.scaleForm.theWidthOf', { name: p.name ?? p.key }) })),
])
watch(part, (key) => (mm.value = figure.parts.find((p) => p.key === key)?.shape.widthMm ?? RULER_MM))
const measure = () =>
  emit('measure', part.value ? { knownPart: part.value, knownMm: mm.value } : { ruler: props.ends, knownMm: mm.value })
</script>

<template>
  <form :aria-label="$t('check.scaleForm.whatTellsTheScale')" @submit.prevent="measure">
    <v-select v-model="part" :items="known" :label="$t('check.scaleForm.known')" hide-details />
    <p v-if="part" class="small">{{ $t('check.scaleForm.itsWidthBetweenTheCalipers') }}</p>
    <p v-else class="small">
      {{ $t('check.scaleForm.layARulerBesideThe', { ends: ends.length }) }}
    </p>
    <LengthField v-model="mm" :label="$t('check.scaleForm.thatIs')" :min="1" :max="1000" />
    <div class="row">
      <v-btn type="submit" color="primary" variant="flat" :disabled="busy || (!part && ends.length < 2)">{{
        $t('check.scaleForm.measure')
      }}</v-btn>
      <v-btn variant="text" @click="emit('leave')">{{ $t('common.cancel') }}</v-btn>
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
