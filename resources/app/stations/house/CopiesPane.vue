<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { CopiesTold } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'

/** Copies of the store: when the last one was made, how many are kept, and how one is put back. */
const told = ref<CopiesTold | null>(null)
const { trouble, busy, tell } = useAsyncAction()
onMounted(() => tell(async () => void (told.value = await api.copies())))
const copyNow = () => tell(async () => void (told.value = await api.copyNow()))
const last = computed(() => told.value?.copies[0])
const when = (at: string) => new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <section class="sheet pane" aria-label="Copies">
    <h2>Copies</h2>
    <p class="quiet">
      While Impa runs it copies itself once a day, and keeps a week of days, five weeks and a year of months, in
      <code>storage/copies</code>. Carry that folder to another disk now and then.
    </p>
    <p v-if="last">
      The last one is of <b>{{ when(last.at) }}</b>, {{ last.mb.toFixed(1) }} MB;
      {{ told?.copies.length === 1 ? 'one is' : `${told?.copies.length} are` }} kept.
    </p>
    <p v-else-if="told">There is none yet: the first one is made within the hour.</p>
    <v-btn :disabled="busy" @click="copyNow">Copy now</v-btn>
    <details class="small quiet">
      <summary>How one is put back</summary>
      <code>php artisan impa:restore</code> puts the last one in the place of the store, after a copy of what is there
      now; <code>impa:copy --list</code> names them all. <code>impa:doctor</code> says whether the store is well.
    </details>
    <v-progress-linear v-if="busy" indeterminate color="primary" aria-label="Copying" />
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
</style>
