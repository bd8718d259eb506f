<script setup lang="ts">
import { computed } from 'vue'
import { askedWord } from './asked'
import { parted } from './words'

/** A sentence in which words of the trade are dotted: a press on one opens its card. */
const props = defineProps<{ text: string }>()
const pieces = computed(() => parted(props.text))
</script>

<template>
  <template v-for="(piece, i) in pieces" :key="i"
    ><button
      v-if="piece.code"
      type="button"
      class="asked word"
      aria-haspopup="dialog"
      @click.stop="askedWord = piece.code"
    >
      {{ piece.text }}</button
    ><template v-else>{{ piece.text }}</template></template
  >
</template>

<style scoped>
.word {
  text-decoration: underline dotted 1.5px rgb(var(--v-theme-primary));
  text-underline-offset: 0.2em;
}
</style>
