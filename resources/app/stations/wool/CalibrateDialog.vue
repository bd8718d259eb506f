<script setup lang="ts">
import { ref, watch } from 'vue'
import { CARD_MM, measuredPxPerMm, pxPerMm } from '../../state/screen'
import { useUnits } from '../../state/units'

const units = useUnits()
/** Makes millimetres on this screen true: once, with a bank card held against it. */
const show = defineModel<boolean>({ required: true })
const px = ref(pxPerMm())
watch(show, (open) => {
  if (open) px.value = pxPerMm()
})
function keep(): void {
  measuredPxPerMm.value = px.value
  show.value = false
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('wool.calibrateDialog.trueSizeOnThisScreen')" max-width="640">
    <v-card :title="$t('wool.calibrateDialog.trueSizeOnThisScreen')">
      <v-card-text>
        <p>
          {{ $t('wool.calibrateDialog.holdABankCardOr', { width: units.mm(CARD_MM.width) }) }}
        </p>
        <svg class="card" :width="CARD_MM.width * px" :height="CARD_MM.height * px" aria-hidden="true">
          <rect x="1" y="1" :width="CARD_MM.width * px - 2" :height="CARD_MM.height * px - 2" :rx="3.2 * px" />
        </svg>
        <v-slider
          v-model="px"
          :min="2"
          :max="9"
          :step="0.01"
          :label="$t('wool.calibrateDialog.size')"
          :aria-label="$t('wool.calibrateDialog.pixelsForAMillimetre')"
          color="primary"
          hide-details
        />
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.cancel') }}</v-btn
        ><v-btn color="primary" variant="flat" @click="keep">{{
          $t('wool.calibrateDialog.itFits')
        }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.card {
  display: block;
  margin: 1rem auto;
  max-width: 100%;
}
.card rect {
  fill: rgba(var(--v-theme-secondary), 0.1);
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
</style>
