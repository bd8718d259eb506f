<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../api/client'
import { download } from '../../download'
import { useFigure } from '../../state/figure'

/** Size cards: every part at true size on paper, to hold the felt against. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const paper = ref<'a4' | 'letter'>('a4')
const trouble = ref('')
const busy = ref(false)

async function make(as: 'pdf' | 'svg'): Promise<void> {
  if (!figure.document) return
  trouble.value = ''
  busy.value = true
  try {
    download(await api.sizeCards(figure.document, as, paper.value), `${figure.document.name}, size cards.${as}`)
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : String(error)
  }
  busy.value = false
}
</script>

<template>
  <v-dialog aria-label="Size cards" v-model="show" max-width="480">
    <v-card title="Size cards">
      <v-card-text class="fields">
        <p>Every part from the front and from the side at true size, with its weight and colour. Hold the felt against the card until it fits.</p>
        <v-select v-model="paper" :items="[{ title: 'A4', value: 'a4' }, { title: 'Letter', value: 'letter' }]" label="Paper" />
        <p class="quiet">Print at 100 %, not "fit to page". Each page has a ruler: measure it first.</p>
        <v-progress-linear v-if="busy" indeterminate color="primary" aria-label="Laying out the cards" />
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">Close</v-btn>
        <v-btn variant="tonal" :disabled="busy" @click="make('svg')">As SVG</v-btn>
        <v-btn color="primary" variant="flat" :disabled="busy" @click="make('pdf')">As PDF</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields { display: grid; gap: .9rem; }
</style>
