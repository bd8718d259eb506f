<script setup lang="ts" generic="K extends string">
/** The pages of a station as tabs; beside a title what is known of it, after them what belongs to the page that is open. */
defineProps<{ pages: readonly { key: K; title: string }[]; label: string; known?: (key: K) => string }>()
const page = defineModel<K>({ required: true })
</script>

<template>
  <div class="tags" role="tablist" :aria-label="label">
    <button
      v-for="p in pages"
      :key="p.key"
      class="plain tag display"
      role="tab"
      :aria-selected="page === p.key"
      @click="page = p.key"
    >
      {{ p.title }}<span v-if="known?.(p.key)" class="count">{{ known(p.key) }}</span>
    </button>
    <slot />
  </div>
</template>

<style scoped>
.count {
  font:
    700 0.78rem 'Nunito Sans',
    sans-serif;
  background: rgb(var(--v-theme-error));
  color: rgb(var(--v-theme-on-error));
  border-radius: 9px;
  padding: 0 0.45rem;
  margin-left: 0.4rem;
}
</style>
