<script setup lang="ts">
import { ref } from 'vue'
import { useFigure } from '../../state/figure'
import MendPane from './MendPane.vue'
import PhotoPane from './PhotoPane.vue'
import PartsPane from './PartsPane.vue'

/** Is it right? A photo against the plan, finished parts against their cards, and what helps where it is not. */
const figure = useFigure()
const pages = [
  { key: 'photo', title: 'Photo' },
  { key: 'parts', title: 'Parts' },
  { key: 'mend', title: 'Mend' },
] as const
const page = ref<(typeof pages)[number]['key']>('photo')
</script>

<template>
  <div v-if="figure.document" class="check">
    <section class="sheet" aria-label="Check">
      <div class="tags" role="tablist" aria-label="Check">
        <button
          v-for="p in pages"
          :key="p.key"
          class="plain tag display"
          role="tab"
          :aria-selected="page === p.key"
          @click="page = p.key"
        >
          {{ p.title }}
        </button>
      </div>
      <div role="tabpanel">
        <PhotoPane v-if="page === 'photo'" />
        <PartsPane v-else-if="page === 'parts'" />
        <MendPane v-else />
      </div>
    </section>
  </div>
</template>

<style scoped>
.check {
  max-width: 1280px;
  margin: 0 auto;
  padding: 0.3rem 1rem 1rem;
}
.sheet {
  padding: 0.6rem 1.2rem 1.2rem;
}
</style>
