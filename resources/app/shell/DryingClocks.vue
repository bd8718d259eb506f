<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { useDrying, type DryingClock } from '../state/drying'
import { ring } from '../shared/ring'
import { t } from '../lang'

/** What dries, on every page: how long still; it rings when it is dry. */
const drying = useDrying()
const now = ref(Date.now())
const rung = new Set<string>()
const nameOf = (c: DryingClock) => `${c.figure} ${c.step} ${c.until}`
const timer = window.setInterval(() => {
  now.value = Date.now()
  for (const clock of drying.clocks.value) {
    if (clock.until <= now.value && !rung.has(nameOf(clock))) {
      rung.add(nameOf(clock))
      ring()
    }
  }
}, 1000)
onBeforeUnmount(() => window.clearInterval(timer))

const shown = computed(() =>
  drying.clocks.value.map((c) => {
    const left = Math.ceil((c.until - now.value) / 60_000)
    return {
      ...c,
      isDry: c.until <= now.value,
      words: c.until <= now.value ? t('shell.dryingClocks.isDry') : t('shell.dryingClocks.driesMinMore', { left }),
    }
  }),
)
</script>

<template>
  <ul v-if="shown.length" class="bare drying" :aria-label="$t('shell.dryingClocks.drying')" role="status">
    <li v-for="c in shown" :key="c.figure + c.step" class="sheet" :class="{ dry: c.isDry }">
      <router-link :to="`/figures/${c.figure}/build`"
        ><b>{{ c.title }}</b> <span class="quiet">{{ $t('shell.dryingClocks.of', { name: c.name }) }}</span>
        {{ c.words }}</router-link
      >
      <v-btn size="small" variant="text" @click="drying.drop(c.figure, c.step)">{{
        c.isDry ? $t('shell.dryingClocks.thanks') : $t('shell.dryingClocks.stop')
      }}</v-btn>
    </li>
  </ul>
</template>

<style scoped>
.drying {
  position: fixed;
  right: 1rem;
  bottom: 1rem;
  z-index: 1500;
  display: grid;
  gap: 0.5rem;
}
.drying li {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  padding: 0.3rem 0.4rem 0.3rem 1rem;
  border: 2px solid rgb(var(--v-theme-info));
}
.drying a {
  color: inherit;
  text-decoration: none;
}
.dry {
  border-color: rgb(var(--v-theme-success)) !important;
}
</style>
