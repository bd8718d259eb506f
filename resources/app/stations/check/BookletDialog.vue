<script setup lang="ts">
import { ref } from 'vue'
import { api, type BookletWish } from '../../api/client'
import { download } from '../../shared/download'
import { useFigure } from '../../state/figure/figure'
import { paperSize } from '../../state/printer'
import PaperSelect from '../../shared/PaperSelect.vue'
import { inWords } from '../../shared/useAsyncAction'

/** The figure as a pattern to share: whose it is comes first; the drawing stays out unless it is asked for. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const wish = ref<Omit<BookletWish, 'as' | 'paper'>>({ whose: '', credit: '', licence: '', drawing: false })
const trouble = ref('')
const busy = ref(false)
const whose = [
  { value: 'mine', title: 'I drew and designed it' },
  { value: 'allowed', title: 'another did, and has said yes' },
]
async function share(as: 'pdf' | 'file'): Promise<void> {
  trouble.value = ''
  busy.value = true
  try {
    const booklet = await api.booklet(figure.id, figure.document!, { ...wish.value, as, paper: paperSize.value })
    download(booklet, `${figure.document!.name}, booklet.${as === 'pdf' ? 'pdf' : 'impa.json'}`)
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <v-dialog v-model="show" aria-label="A booklet to share" max-width="520">
    <v-card title="A booklet to share">
      <v-card-text class="fields">
        <p>
          Cover, materials, sizes, steps with their drawings, and at true size the cards, the face and the wires. What
          another drew is hers to share: ask her first.
        </p>
        <v-select v-model="wish.whose" :items="whose" label="Whose is the design?" />
        <p v-if="!wish.whose" class="quiet small">Say first whose design it is: without that nothing is shared.</p>
        <v-text-field v-model="wish.credit" label="Made by" maxlength="200" />
        <v-text-field
          v-model="wish.licence"
          label="What others may do with it"
          placeholder="For yourself and for friends, not for sale"
          maxlength="200"
        />
        <v-checkbox v-model="wish.drawing" label="Put the drawing in" density="compact" hide-details />
        <PaperSelect />
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        <v-progress-linear v-if="busy" indeterminate color="primary" aria-label="Making the booklet" />
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">Leave it</v-btn>
        <v-btn variant="tonal" :disabled="busy || !wish.whose" @click="share('file')">As a file for Impa</v-btn>
        <v-btn color="primary" variant="flat" :disabled="busy || !wish.whose" @click="share('pdf')">As PDF</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.7rem;
}
</style>
