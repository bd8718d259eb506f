<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import LengthField from '../../../shared/LengthField.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'

/** Sizes the figure by its height, by one part's width, or so that it goes into an object. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const units = useUnits()
const ways = [
  { title: 'Finished height', value: 'height' },
  { title: 'One part is so wide', value: 'part' },
  { title: 'It goes into a jar or pot', value: 'object' },
] as const
const by = ref<'height' | 'part' | 'object'>('part')
const heightMm = ref(110)
const part = ref('')
const widthMm = ref(50)
const acrossMm = ref(80)
const tallMm = ref(0)
const parts = computed(() =>
  figure.parts.map((p) => ({
    title: `${p.name ?? p.key}, now ${units.mm(p.shape.widthMm)}`,
    value: p.key,
  })),
)

watch(show, (open) => {
  if (!open) return
  heightMm.value = figure.document?.heightMm ?? 110
  part.value = figure.selectedPart?.key ?? figure.parts[0]?.key ?? ''
  widthMm.value = figure.parts.find((p) => p.key === part.value)?.shape.widthMm ?? 50
})
const {
  answer: comes,
  trouble,
  waiting,
} = useAnswer([show, by, heightMm, part, widthMm, acrossMm, tallMm], () =>
  !show.value || !figure.document
    ? null
    : api.sizing(figure.document, {
        by: by.value,
        heightMm: heightMm.value,
        part: part.value,
        widthMm: widthMm.value,
        acrossMm: acrossMm.value,
        tallMm: tallMm.value,
      }),
)

async function apply(): Promise<void> {
  if (!comes.value) return
  await figure.rescale(Math.round(comes.value.heightMm * 100) / 100)
  show.value = false
}
</script>

<template>
  <v-dialog aria-label="How large" v-model="show" max-width="520">
    <v-card title="How large">
      <v-card-text class="fields">
        <v-select v-model="by" :items="ways" label="Sized by" />
        <LengthField v-if="by === 'height'" v-model="heightMm" label="Finished height" :min="10" :max="2000" />
        <template v-else-if="by === 'part'">
          <v-select v-model="part" :items="parts" label="Part" />
          <LengthField v-model="widthMm" label="is to be so wide" />
        </template>
        <template v-else>
          <LengthField v-model="acrossMm" label="Opening, inside" />
          <LengthField v-model="tallMm" label="Height inside (0: any)" :min="0" />
        </template>
        <p v-if="comes" role="status">
          It will stand <b>{{ units.mm(comes.heightMm) }}</b> tall and take about
          <b>{{ comes.woolTimes.toFixed(2) }} times</b> the wool.
          <span class="quiet">Everything grows alike but the covers, which stay as thick as they are.</span>
        </p>
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">Leave it</v-btn>
        <v-btn color="primary" variant="flat" :disabled="!comes || waiting" @click="apply">Make it so</v-btn>
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
