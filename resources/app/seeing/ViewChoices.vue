<script setup lang="ts">
import type { View } from '../api/client'

/** What each figure of a turnaround sheet shows, in the felter's word. */
defineProps<{ count: number; views: View[]; disabled: boolean }>()
const emit = defineEmits<{ choose: [figure: number, view: View] }>()

const VIEWS: { value: View; title: string }[] = [
  { value: 'front', title: 'Front' },
  { value: 'left', title: 'Looks left' },
  { value: 'right', title: 'Looks right' },
  { value: 'back', title: 'Back' },
  { value: 'none', title: 'Not used' },
]
</script>

<template>
  <div class="views">
    <v-select
      v-for="i in count"
      :key="i"
      :model-value="views[i - 1] ?? null"
      :items="VIEWS"
      :label="`Figure ${i}`"
      placeholder="shows ..."
      density="compact"
      hide-details
      :disabled="disabled"
      @update:model-value="emit('choose', i - 1, $event)"
    />
  </div>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 0.5rem;
  width: 100%;
}
</style>
