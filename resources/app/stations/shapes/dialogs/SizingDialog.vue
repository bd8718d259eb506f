<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import LengthField from '../../../shared/LengthField.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { decimals, t } from '../../../lang'

/** Sizes the figure by its height, by one part's width, or so that it goes into an object. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const units = useUnits()
const ways = [
  { title: t('common.finishedHeight'), value: 'height' },
  { title: t('shapes.sizingDialog.onePartIsSoWide'), value: 'part' },
  { title: t('shapes.sizingDialog.itGoesIntoAJar'), value: 'object' },
] as const
const by = ref<'height' | 'part' | 'object'>('part')
const heightMm = ref(110)
const part = ref('')
const widthMm = ref(50)
const acrossMm = ref(80)
const tallMm = ref(0)
const parts = computed(() =>
  figure.parts.map((p) => ({
    title: t('shapes.sizingDialog.now', { name: p.name ?? p.key, widthMm: units.mm(p.shape.widthMm) }),
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
  <v-dialog :aria-label="$t('shapes.sizingDialog.howLarge')" v-model="show" max-width="520">
    <v-card :title="$t('shapes.sizingDialog.howLarge')">
      <v-card-text class="fields">
        <v-select v-model="by" :items="ways" :label="$t('shapes.sizingDialog.sizedBy')" />
        <LengthField
          v-if="by === 'height'"
          v-model="heightMm"
          :label="$t('common.finishedHeight')"
          :min="10"
          :max="2000"
        />
        <template v-else-if="by === 'part'">
          <v-select v-model="part" :items="parts" :label="$t('common.part')" />
          <LengthField v-model="widthMm" :label="$t('shapes.sizingDialog.isToBeSoWide')" />
        </template>
        <template v-else>
          <LengthField v-model="acrossMm" :label="$t('shapes.sizingDialog.openingInside')" />
          <LengthField v-model="tallMm" :label="$t('shapes.sizingDialog.heightInside0Any')" :min="0" />
        </template>
        <p v-if="comes" role="status">
          {{ $t('shapes.sizingDialog.itWillStand') }} <b>{{ units.mm(comes.heightMm) }}</b>
          {{ $t('shapes.sizingDialog.tallAndTakeAbout') }}
          <b>{{ $t('shapes.sizingDialog.times', { woolTimes: decimals(comes.woolTimes, 2) }) }}</b>
          {{ $t('shapes.sizingDialog.theWool') }}
          <span class="quiet">{{ $t('shapes.sizingDialog.everythingGrowsAlikeButThe') }}</span>
        </p>
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.cancel') }}</v-btn>
        <v-btn color="primary" variant="flat" :disabled="!comes || waiting" @click="apply">{{
          $t('shapes.sizingDialog.makeItSo')
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
