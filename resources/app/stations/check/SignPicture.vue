<script setup lang="ts">
import { signPictures } from './signPictures'

/** What a sign of the mend desk looks like. */
defineProps<{ sign: string }>()
</script>

<template>
  <svg viewBox="1 1 47 47" aria-hidden="true">
    <path v-for="([kind, d], i) in signPictures[sign]" :key="i" :class="kind" :d="d" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  flex: none;
}
path {
  fill: none;
  stroke-width: 1.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.wool {
  fill: #d8b78c;
  stroke: #6b4a35;
}
.other {
  fill: rgb(var(--v-theme-primary));
}
.core {
  fill: #ffffff;
  stroke: #6b4a35;
  stroke-width: 0.8;
}
.ghost {
  stroke: #3a2a20;
  stroke-dasharray: 3 2.5;
}
.line {
  stroke: rgb(var(--v-theme-on-surface));
}
.metal {
  stroke: #6e7479;
  stroke-width: 2.2;
}
</style>
