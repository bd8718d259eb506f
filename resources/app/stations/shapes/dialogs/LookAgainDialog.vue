<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import type { Seen } from '../../../api/types/answers'
import SeeingDialog from '../../../seeing/SeeingDialog.vue'
import type { Source } from '../../../seeing/useSeeing'
import { useFigure } from '../../../state/figure/figure'

/** The figure's own drawing once more, with other wishes: what was made of the figure meanwhile stays. One step of undo. */
const open = defineModel<boolean>({ required: true })
const figure = useFigure()
const source = shallowRef<Source | null>(null)
watch(open, (isOpen) => {
  const { document, picture } = figure
  source.value =
    isOpen && document && picture !== null ? { picture, document, name: document.picture?.file || document.name } : null
})

async function take(seen: Seen): Promise<void> {
  await figure.edit(() => Promise.resolve({ document: seen.document }))
  open.value = false
}
</script>

<template>
  <SeeingDialog
    :title="$t('shapes.lookAgainDialog.lookAtTheDrawingAgain')"
    :source="source"
    :onwards="$t('shapes.lookAgainDialog.takeTheseShapes')"
    :take="take"
    @close="open = false"
  />
</template>
