<script setup lang="ts">
import type { PaperSize } from '../api/client'
import { paperSize } from '../state/printer'
import { t } from '../lang'

const sizes: { title: string; value: PaperSize }[] = [
  { title: 'A4', value: 'a4' },
  { title: t('shared.paperSelect.letter'), value: 'letter' },
]
</script>

<template>
  <v-select
    v-model="paperSize"
    :items="sizes"
    :label="$t('shared.paperSelect.paper')"
    hide-details
    class="paper-size"
  />
</template>

<style scoped>
.row > .paper-size {
  flex: none;
  width: 110px;
}
</style>
