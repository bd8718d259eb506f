<script setup lang="ts">
import type { PaperSize } from '../api/client'
import { paperSize } from '../state/printer'

const sizes: { title: string; value: PaperSize }[] = [
  { title: 'A4', value: 'a4' },
  { title: 'Letter', value: 'letter' },
]
</script>

<template>
  <v-select v-model="paperSize" :items="sizes" label="Paper" hide-details class="paper-size" />
</template>

<style scoped>
.row > .paper-size {
  flex: none;
  width: 110px;
}
</style>
