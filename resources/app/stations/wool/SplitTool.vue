<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../api/client'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** A weight divided by a ratio that is typed: nose larger than cheeks. */
const units = useUnits()
const grams = ref('7')
const ratio = ref('3 : 2 : 2')
const pieces = ref<number[]>([])
const trouble = ref('')

async function split(): Promise<void> {
  trouble.value = ''
  const shares = ratio.value
    .split(/[:;\s]+/)
    .filter(Boolean)
    .map((s) => Number(s.replace(',', '.')))
  const g = Number(grams.value.replace(',', '.'))
  if (!shares.length || shares.some(Number.isNaN) || Number.isNaN(g)) {
    pieces.value = []
    trouble.value = t('wool.splitTool.writeGramsAndSharesSuch')
    return
  }
  try {
    pieces.value = (await api.split(g, shares)).grams
  } catch (error) {
    pieces.value = []
    trouble.value = inWords(error)
  }
}
</script>

<template>
  <form class="row" @submit.prevent="split">
    <b class="display">{{ $t('wool.splitTool.splitByARatio') }}</b>
    <v-text-field v-model="grams" :label="$t('wool.splitTool.grams')" inputmode="decimal" class="g" />
    <v-text-field v-model="ratio" :label="$t('wool.splitTool.shares')" class="ratio" />
    <v-btn type="submit">{{ $t('wool.splitTool.split') }}</v-btn>
    <span role="status"
      >{{ pieces.map((g) => units.g(g)).join(' + ') }}<span v-if="trouble" class="wrong">{{ trouble }}</span></span
    >
  </form>
</template>

<style scoped>
.g {
  max-width: 100px;
}
.ratio {
  max-width: 160px;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
</style>
