<script setup lang="ts">
defineProps<{ title: string; trouble: string; told: string; busy: boolean }>()
const emit = defineEmits<{ send: [] }>()
</script>

<template>
  <form class="door sheet" :aria-label="title" @submit.prevent="emit('send')">
    <p class="mark display" aria-hidden="true">Impa</p>
    <h1>{{ title }}</h1>
    <slot />
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <p v-if="told" role="status">{{ told }}</p>
    <v-progress-linear v-if="busy" indeterminate color="primary" :aria-label="$t('house.doorSheet.asking')" />
  </form>
</template>

<style scoped>
.door {
  max-width: 420px;
  margin: 12vh auto 0;
  padding: 1.6rem 1.8rem 1.8rem;
  display: grid;
  gap: 0.9rem;
  border-top: var(--stitch);
}
.mark {
  color: rgb(var(--v-theme-primary));
  font-size: 2rem;
  line-height: 1;
}
</style>
