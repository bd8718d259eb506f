<script setup lang="ts">
import { ref } from 'vue'
import { download } from './download'
import { useFigure } from '../state/figure/figure'
import type { PaperSize } from '../api/client'
import { paperSize } from '../state/printer'
import { inWords } from './useAsyncAction'
import PaperSelect from './PaperSelect.vue'
import { within } from '../lang'

/** Something of the figure on paper, as PDF; at true size as SVG, too. */
const show = defineModel<boolean>({ required: true })
const props = defineProps<{
  title: string
  onlyPdf?: boolean
  make: (as: 'pdf' | 'svg', paper: PaperSize) => Promise<Blob>
}>()
const figure = useFigure()
const trouble = ref('')
const busy = ref(false)

async function print(as: 'pdf' | 'svg'): Promise<void> {
  trouble.value = ''
  busy.value = true
  try {
    download(await props.make(as, paperSize.value), `${figure.document?.name}, ${within(props.title)}.${as}`)
  } catch (error) {
    trouble.value = inWords(error)
  }
  busy.value = false
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="title" max-width="480">
    <v-card :title="title">
      <v-card-text class="fields">
        <slot />
        <PaperSelect />
        <p v-if="!onlyPdf" class="quiet">{{ $t('shared.printDialog.printAt100NotFit') }}</p>
        <v-progress-linear
          v-if="busy"
          indeterminate
          color="primary"
          :aria-label="$t('shared.printDialog.layingItOut')"
        />
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.close') }}</v-btn>
        <v-btn v-if="!onlyPdf" variant="tonal" :disabled="busy" @click="print('svg')">{{
          $t('shared.printDialog.asSvg')
        }}</v-btn>
        <v-btn color="primary" variant="flat" :disabled="busy" @click="print('pdf')">{{
          $t('shared.printDialog.asPdf')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.9rem;
}
</style>
