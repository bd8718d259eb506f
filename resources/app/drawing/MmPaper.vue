<script setup lang="ts">
defineProps<{ x: number; y: number; width: number; height: number }>()
</script>

<template>
  <g aria-hidden="true">
    <defs>
      <pattern id="mm1" width="1" height="1" patternUnits="userSpaceOnUse"
        ><path d="M1 0H0V1" fill="none" class="fine" stroke-width=".06"
      /></pattern>
      <pattern id="mm10" width="10" height="10" patternUnits="userSpaceOnUse"
        ><rect width="10" height="10" fill="url(#mm1)" /><path
          d="M10 0H0V10"
          fill="none"
          class="strong"
          stroke-width=".14"
      /></pattern>
    </defs>
    <rect :x="x" :y="y" :width="width" :height="height" class="paper" />
    <rect :x="x" :y="y" :width="width" :height="height" fill="url(#mm10)" />
  </g>
</template>

<style scoped>
.paper {
  fill: rgb(var(--v-theme-paper));
}
.fine {
  stroke: rgb(var(--v-theme-grid));
}
.strong {
  stroke: rgb(var(--v-theme-grid-strong));
}
</style>
