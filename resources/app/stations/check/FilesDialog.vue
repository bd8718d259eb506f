<script setup lang="ts">
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { download } from '../../shared/download'
import { useFigure } from '../../state/figure/figure'

/** The figure for other programs, each in an open format. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const { trouble, busy, tell } = useAsyncAction()

const files = [
  {
    title: 'Model in the round',
    what: 'glTF 2.0, binary: metres, every piece by name, flat colours.',
    ending: 'glb',
    make: () => api.model(figure.document!),
  },
  {
    title: 'Outlines from the front',
    what: 'SVG of true size, every outline by name, where it lies.',
    ending: 'front.svg',
    make: () => api.outlines(figure.document!, 'front'),
  },
  {
    title: 'Outlines from the side',
    what: 'The same from its left.',
    ending: 'side.svg',
    make: () => api.outlines(figure.document!, 'side'),
  },
  {
    title: 'The figure itself',
    what: 'JSON, for another Impa, or for what you write yourself.',
    ending: 'impa.json',
    make: () => Promise.resolve(new Blob([JSON.stringify(figure.document, null, 2)], { type: 'application/json' })),
  },
]
const take = (file: (typeof files)[number]) =>
  tell(async () => download(await file.make(), `${figure.document!.name}.${file.ending}`))
</script>

<template>
  <v-dialog v-model="show" aria-label="Files for other programs" max-width="560">
    <v-card title="Files for other programs">
      <v-card-text>
        <ul class="bare">
          <li v-for="f in files" :key="f.ending" class="row stitched">
            <span
              ><b>{{ f.title }}</b
              ><br /><span class="small quiet">{{ f.what }}</span></span
            >
            <v-spacer />
            <v-btn :disabled="busy" :aria-label="`Take ${f.title}`" @click="take(f)">Take it</v-btn>
          </li>
        </ul>
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      </v-card-text>
      <v-card-actions><v-btn @click="show = false">Done</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
li {
  padding: 0.7rem 0;
}
</style>
