<script setup lang="ts">
import {
  mdiCursorDefault,
  mdiEyeRefreshOutline,
  mdiEyedropperVariant,
  mdiFitToPageOutline,
  mdiKnife,
  mdiLasso,
  mdiMagnifyMinusOutline,
  mdiMagnifyPlusOutline,
  mdiPlaylistCheck,
} from '@mdi/js'
import { computed } from 'vue'
import { useFigure } from '../../../state/figure/figure'
import { compares, hints, type Compare, type Tool } from './tools'

defineProps<{ zoom: number; reviewing: boolean; agreement: number | null }>()
const tool = defineModel<Tool>('tool', { required: true })
const compare = defineModel<Compare>('compare', { required: true })
const emit = defineEmits<{ nearer: []; farther: []; all: []; review: []; again: [] }>()
const figure = useFigure()
const hasPicture = computed(() => Boolean(figure.document?.picture && figure.picture))
const open = computed(() => [...figure.parts, ...figure.details].filter((m) => m.seen && !m.seen.taken).length)
const tools = computed(() => [
  { value: 'choose' as const, icon: mdiCursorDefault, label: 'Choose and move (V)', off: false },
  { value: 'cut' as const, icon: mdiKnife, label: 'Cut a part across (X)', off: !figure.selectedPart },
  { value: 'lasso' as const, icon: mdiLasso, label: 'Draw round a new part (L)', off: false },
  {
    value: 'pick' as const,
    icon: mdiEyedropperVariant,
    label: 'Pick a colour from the drawing (P)',
    off: !hasPicture.value || !figure.selection,
  },
])
</script>

<template>
  <div class="row tools">
    <div class="set" role="radiogroup" aria-label="What a press on the board does">
      <v-btn
        v-for="t in tools"
        :key="t.value"
        :icon="t.icon"
        size="small"
        :variant="tool === t.value ? 'flat' : 'text'"
        :color="tool === t.value ? 'secondary' : undefined"
        :disabled="t.off"
        role="radio"
        :aria-checked="tool === t.value"
        :aria-label="t.label"
        :title="t.label"
        @click="tool = t.value"
      />
    </div>
    <v-btn
      v-if="hasPicture"
      :icon="mdiEyeRefreshOutline"
      size="small"
      variant="text"
      aria-label="Look at the drawing again (A)"
      title="Look at the drawing again (A)"
      @click="emit('again')"
    />
    <v-btn
      v-if="open || reviewing"
      :prepend-icon="mdiPlaylistCheck"
      variant="tonal"
      size="small"
      :aria-pressed="reviewing"
      @click="emit('review')"
      >{{ reviewing ? 'End the review' : `Review ${open}` }}</v-btn
    >
    <span v-if="hints[tool]" class="hint" role="status">{{ hints[tool] }}</span>
    <v-spacer />
    <span
      v-if="agreement !== null && compare !== 'drawing'"
      class="quiet"
      title="Share of the drawing whose colour the figure shows in the same place"
      >{{ (agreement * 100).toFixed(1) }} % alike</span
    >
    <v-select
      v-model="compare"
      :items="hasPicture ? compares : compares.slice(0, 2)"
      label="Show"
      class="compare"
      hide-details
    />
    <div class="set">
      <v-btn
        :icon="mdiMagnifyMinusOutline"
        size="small"
        variant="text"
        aria-label="Farther (-)"
        title="Farther (-)"
        :disabled="zoom === 1"
        @click="emit('farther')"
      />
      <v-btn
        :icon="mdiFitToPageOutline"
        size="small"
        variant="text"
        aria-label="All of it (0)"
        title="All of it (0)"
        :disabled="zoom === 1"
        @click="emit('all')"
      />
      <v-btn
        :icon="mdiMagnifyPlusOutline"
        size="small"
        variant="text"
        aria-label="Nearer (+)"
        title="Nearer (+)"
        @click="emit('nearer')"
      />
    </div>
  </div>
</template>

<style scoped>
.tools {
  padding: 0.4rem 0.2rem 0.4rem;
  min-height: 48px;
  flex-wrap: nowrap;
}
.set {
  display: flex;
  flex: none;
}
.compare {
  max-width: 160px;
  min-width: 130px;
}
.quiet {
  white-space: nowrap;
  font-size: 0.88rem;
}
.hint {
  font-size: 0.84rem;
  line-height: 1.2;
}
</style>
