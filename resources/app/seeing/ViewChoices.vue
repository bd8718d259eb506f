<script setup lang="ts">
import type { View } from '../api/client'
import { t } from '../lang'

/** What each figure of a turnaround sheet shows, in the felter's word. */
defineProps<{ count: number; views: View[]; disabled: boolean }>()
const emit = defineEmits<{ choose: [figure: number, view: View] }>()

const VIEWS: { value: View; title: string }[] = [
  { value: 'front', title: t('seeing.viewChoices.front') },
  { value: 'left', title: t('seeing.viewChoices.looksLeft') },
  { value: 'right', title: t('seeing.viewChoices.looksRight') },
  { value: 'back', title: t('seeing.viewChoices.back') },
  { value: 'none', title: t('seeing.viewChoices.notUsed') },
]
</script>

<template>
  <div class="views">
    <v-select
      v-for="i in count"
      :key="i"
      :model-value="views[i - 1] ?? null"
      :items="VIEWS"
      :label="$t('seeing.viewChoices.figure', { number: i })"
      :placeholder="$t('seeing.viewChoices.shows')"
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
