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
import { decimals, t } from '../../../lang'

defineProps<{ zoom: number; reviewing: boolean; agreement: number | null }>()
const tool = defineModel<Tool>('tool', { required: true })
const compare = defineModel<Compare>('compare', { required: true })
const emit = defineEmits<{ nearer: []; farther: []; all: []; review: []; again: [] }>()
const figure = useFigure()
const hasPicture = computed(() => Boolean(figure.document?.picture && figure.picture))
const open = computed(() => [...figure.parts, ...figure.details].filter((m) => m.seen && !m.seen.taken).length)
const tools = computed(() => [
  { value: 'choose' as const, icon: mdiCursorDefault, label: t('shapes.boardTools.chooseAndMoveV'), off: false },
  { value: 'cut' as const, icon: mdiKnife, label: t('shapes.boardTools.cutAPartAcrossX'), off: !figure.selectedPart },
  { value: 'lasso' as const, icon: mdiLasso, label: t('shapes.boardTools.drawRoundANewPart'), off: false },
  {
    value: 'pick' as const,
    icon: mdiEyedropperVariant,
    label: t('shapes.boardTools.pickAColourFromThe'),
    off: !hasPicture.value || !figure.selection,
  },
])
</script>

<template>
  <div class="row tools">
    <div class="set" role="radiogroup" :aria-label="$t('shapes.boardTools.whatAPressOnThe')">
      <v-btn
        v-for="one in tools"
        :key="one.value"
        :icon="one.icon"
        size="small"
        :variant="tool === one.value ? 'flat' : 'text'"
        :color="tool === one.value ? 'secondary' : undefined"
        :disabled="one.off"
        role="radio"
        :aria-checked="tool === one.value"
        :aria-label="one.label"
        :title="one.label"
        @click="tool = one.value"
      />
    </div>
    <v-btn
      v-if="hasPicture"
      :icon="mdiEyeRefreshOutline"
      size="small"
      variant="text"
      :aria-label="$t('shapes.boardTools.lookAtTheDrawingAgain')"
      :title="$t('shapes.boardTools.lookAtTheDrawingAgain')"
      @click="emit('again')"
    />
    <v-btn
      v-if="open || reviewing"
      :prepend-icon="mdiPlaylistCheck"
      variant="tonal"
      size="small"
      :aria-pressed="reviewing"
      @click="emit('review')"
      >{{ reviewing ? $t('shapes.boardTools.endTheReview') : $t('shapes.boardTools.review', { open }) }}</v-btn
    >
    <span v-if="hints[tool]" class="hint" role="status">{{ hints[tool] }}</span>
    <v-spacer />
    <span
      v-if="agreement !== null && compare !== 'drawing'"
      class="quiet"
      :title="$t('shapes.boardTools.shareOfTheDrawingWhose')"
      >{{ $t('shapes.boardTools.alike', { agreement: decimals(agreement * 100, 1) }) }}</span
    >
    <v-select
      v-model="compare"
      :items="hasPicture ? compares : compares.slice(0, 2)"
      :label="$t('shapes.boardTools.show')"
      class="compare"
      hide-details
    />
    <div class="set">
      <v-btn
        :icon="mdiMagnifyMinusOutline"
        size="small"
        variant="text"
        :aria-label="$t('shapes.boardTools.farther')"
        :title="$t('shapes.boardTools.farther')"
        :disabled="zoom === 1"
        @click="emit('farther')"
      />
      <v-btn
        :icon="mdiFitToPageOutline"
        size="small"
        variant="text"
        :aria-label="$t('shapes.boardTools.allOfIt0')"
        :title="$t('shapes.boardTools.allOfIt0')"
        :disabled="zoom === 1"
        @click="emit('all')"
      />
      <v-btn
        :icon="mdiMagnifyPlusOutline"
        size="small"
        variant="text"
        :aria-label="$t('shapes.boardTools.nearer')"
        :title="$t('shapes.boardTools.nearer')"
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
