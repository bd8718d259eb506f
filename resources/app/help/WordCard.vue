<script setup lang="ts">
import type { Trade } from '../api/types/answers'
import pictures from './words.svg?url&no-inline'

/** A word of the trade with its drawing. */
defineProps<{ word: Trade['words'][number] }>()
</script>

<template>
  <div class="card">
    <svg viewBox="0 0 96 64" role="img" :aria-label="word.is"><use :href="`${pictures}#${word.code}`" /></svg>
    <div>
      <b>{{ word.is }}</b>
      <p>{{ word.means }}</p>
    </div>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: 144px 1fr;
  gap: 1rem;
  align-items: center;
}
svg {
  width: 144px;
  height: 96px;
  border-radius: 10px;
  background: #fffdf7;
}
b {
  font-size: 1.1rem;
}
p {
  margin: 0.2rem 0 0;
}
</style>
