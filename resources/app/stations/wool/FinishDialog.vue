<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useSupply } from '../../state/figure/supply'
import { useUnits } from '../../state/units'
import { t } from '../../lang'

const units = useUnits()
/** The figure is finished: what was really used, where the felter weighed it, else what was planned. */
const show = defineModel<boolean>({ required: true })
const supply = useSupply()
const typed = ref<Record<number, string>>({})
const needs = computed(() =>
  (supply.supply?.needs ?? []).flatMap((n) => (n.wool === null ? [] : [{ id: n.wool, name: n.name, g: n.g }])),
)
watch(show, (open) => {
  if (open) typed.value = Object.fromEntries(needs.value.map((n) => [n.id, units.typedMass(n.g)]))
})
const used = computed(() =>
  Object.fromEntries(Object.entries(typed.value).map(([id, text]) => [id, units.parseMass(text)])),
)
const wrong = (id: number) =>
  Number.isFinite(used.value[id]) && (used.value[id] ?? -1) >= 0 ? undefined : t('wool.finishDialog.aWeight0OrMore')

async function finish(): Promise<void> {
  await supply.finish(used.value)
  if (!supply.trouble) show.value = false
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('wool.finishDialog.figureFinished')" max-width="460">
    <v-card :title="$t('wool.finishDialog.figureFinished')">
      <v-card-text class="fields">
        <p>{{ $t('wool.finishDialog.thisWoolLeavesTheStash') }}</p>
        <v-text-field
          v-for="n in needs"
          :key="n.id"
          v-model="typed[n.id]"
          :label="$t('wool.finishDialog.used', { name: n.name })"
          :suffix="units.massUnit.value"
          inputmode="decimal"
          :error-messages="wrong(n.id)"
        />
        <p v-if="!needs.length" class="quiet">{{ $t('wool.finishDialog.nothingOfItComesFrom') }}</p>
        <v-alert v-if="supply.trouble" type="error" variant="tonal" role="alert">{{ supply.trouble }}</v-alert>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('wool.finishDialog.notYet') }}</v-btn
        ><v-btn
          color="primary"
          variant="flat"
          :disabled="!needs.length || needs.some((n) => wrong(n.id))"
          @click="finish"
          >{{ $t('wool.finishDialog.takeItOutOfThe') }}</v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.8rem;
}
</style>
