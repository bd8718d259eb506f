<script setup lang="ts">
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { download } from '../../shared/download'
import { useFigure } from '../../state/figure/figure'
import { t } from '../../lang'

/** The figure for other programs, each in an open format. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const { trouble, busy, tell } = useAsyncAction()

const files = [
  {
    title: t('check.filesDialog.modelInTheRound'),
    what: t('check.filesDialog.gltf20BinaryMetres'),
    ending: 'glb',
    make: () => api.model(figure.document!),
  },
  {
    title: t('check.filesDialog.outlinesFromTheFront'),
    what: t('check.filesDialog.svgOfTrueSizeEvery'),
    ending: 'front.svg',
    make: () => api.outlines(figure.document!, 'front'),
  },
  {
    title: t('check.filesDialog.outlinesFromTheSide'),
    what: t('check.filesDialog.theSameFromItsLeft'),
    ending: 'side.svg',
    make: () => api.outlines(figure.document!, 'side'),
  },
  {
    title: t('check.filesDialog.theFigureItself'),
    what: t('check.filesDialog.jsonForAnotherImpaOr'),
    ending: 'impa.json',
    make: () => Promise.resolve(new Blob([JSON.stringify(figure.document, null, 2)], { type: 'application/json' })),
  },
]
const take = (file: (typeof files)[number]) =>
  tell(async () => download(await file.make(), `${figure.document!.name}.${file.ending}`))
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('check.filesDialog.filesForOtherPrograms')" max-width="560">
    <v-card :title="$t('check.filesDialog.filesForOtherPrograms')">
      <v-card-text>
        <ul class="bare">
          <li v-for="f in files" :key="f.ending" class="row stitched">
            <span
              ><b>{{ f.title }}</b
              ><br /><span class="small quiet">{{ f.what }}</span></span
            >
            <v-spacer />
            <v-btn :disabled="busy" :aria-label="$t('check.filesDialog.take', { title: f.title })" @click="take(f)">{{
              $t('common.takeIt')
            }}</v-btn>
          </li>
        </ul>
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.done') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
li {
  padding: 0.7rem 0;
}
</style>
