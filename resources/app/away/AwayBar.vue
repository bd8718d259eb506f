<script setup lang="ts">
import { mdiLanDisconnect } from '@mdi/js'
import { onBeforeUnmount, onMounted } from 'vue'
import { handOverNow } from '../api/client'
import { answers, isAway } from './network'
import { count, refusedLater, waiting } from './outbox'
import { t } from '../lang'

/** That the network is gone, how much waits for it, and what could not be handed over. */
const ASK_AGAIN_MS = 5000
let timer = 0
onMounted(() => {
  if (!isAway()) return
  void count().then(() => (waiting.value ? handOverNow() : undefined))
  window.addEventListener('online', handOverNow)
  timer = window.setInterval(() => waiting.value && !window.document.hidden && handOverNow(), ASK_AGAIN_MS)
})
onBeforeUnmount(() => {
  window.removeEventListener('online', handOverNow)
  window.clearInterval(timer)
})
const things = (n: number) => t('away.awayBar.thingsWait', n)
</script>

<template>
  <div v-if="isAway() && (!answers || waiting || refusedLater.length)" class="away sheet" role="status">
    <v-icon :icon="mdiLanDisconnect" aria-hidden="true" />
    <span v-if="!answers"
      >{{ $t('away.awayBar.impaDoesNotAnswerGo') }}<template v-if="waiting">; {{ things(waiting) }}</template
      >.</span
    >
    <span v-else-if="waiting">{{ $t('away.awayBar.handingOver', { waiting: things(waiting) }) }}</span>
    <template v-if="refusedLater.length">
      <span class="wrong">{{ $t('away.awayBar.notTaken', { refusedLater: refusedLater.join(' ') }) }}</span>
      <v-btn size="small" variant="text" @click="refusedLater = []">{{ $t('away.awayBar.read') }}</v-btn>
    </template>
  </div>
</template>

<style scoped>
.away {
  position: fixed;
  z-index: 1500;
  left: 50%;
  bottom: 0.8rem;
  transform: translateX(-50%);
  max-width: min(94vw, 46rem);
  display: flex;
  align-items: center;
  gap: 0.7rem;
  padding: 0.6rem 1.1rem;
  border-top: var(--stitch);
}
</style>
