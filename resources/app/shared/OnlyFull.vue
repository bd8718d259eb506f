<script setup lang="ts">
import { ref } from 'vue'
import { isSimple } from '../state/level'

/** What a felter who wants it simple does not see until she asks for it; nothing else of it changes. */
defineProps<{ what: string }>()
const asked = ref(false)
</script>

<template>
  <slot v-if="!isSimple() || asked" />
  <button v-else type="button" class="plain more" @click="asked = true">
    {{ $t('help.onlyFull.show', { what }) }}
  </button>
</template>

<style scoped>
.more {
  padding: 0;
  min-height: 28px;
  text-align: left;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
}
</style>
