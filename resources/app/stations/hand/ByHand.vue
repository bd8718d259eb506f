<script setup lang="ts">
/** Whose numbers these are: the house's, or those of the felter's own hand. */
defineProps<{ of: string; records: number | undefined }>()
</script>

<template>
  <p class="quiet small">
    <template v-if="records"
      >{{ $t('hand.byHand.by', { of }) }} <router-link to="/hand">{{ $t('hand.byHand.yourOwnHand') }}</router-link>:
      {{ $t('hand.byHand.records', records) }}.</template
    >
    <template v-else
      >{{ $t('hand.byHand.byTheHousesNumbers', { of }) }}
      <router-link to="/hand">{{ $t('hand.byHand.teachImpaYourHand') }}</router-link>.</template
    >
  </p>
</template>

<style scoped>
p {
  margin: 0.2rem 0;
}
</style>
