<script setup lang="ts">
/** Whose numbers these are: the house's, or those of the felter's own hand. */
defineProps<{ of: string; records: number | undefined }>()
</script>

<template>
  <p class="quiet small">
    <template v-if="records"
      >{{ of }} by <router-link to="/hand">your own hand</router-link>: {{ records }}
      {{ records === 1 ? 'record' : 'records' }}.</template
    >
    <template v-else
      >{{ of }} by the house's numbers; <router-link to="/hand">teach Impa your hand</router-link>.</template
    >
  </p>
</template>

<style scoped>
p {
  margin: 0.2rem 0;
}
</style>
