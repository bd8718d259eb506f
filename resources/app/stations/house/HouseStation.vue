<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { Session } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import AccountPane from './AccountPane.vue'
import ArchivePane from './ArchivePane.vue'
import CopiesPane from './CopiesPane.vue'
import DevicesPane from './DevicesPane.vue'
import SpeaksPane from './SpeaksPane.vue'

/** What is about all of Impa: who is in it, what else may look in, everything out and in. */
const session = ref<Session | null>(null)
const { trouble, tell } = useAsyncAction()
onMounted(() => tell(async () => void (session.value = await api.session())))
</script>

<template>
  <div class="house">
    <h1>{{ $t('house.houseStation.house') }}</h1>
    <v-alert v-if="trouble" type="warning" variant="tonal" role="alert">{{ trouble }}</v-alert>
    <v-progress-linear
      v-if="!session && !trouble"
      indeterminate
      color="primary"
      :aria-label="$t('house.houseStation.lookingRound')"
    />
    <div v-if="session" class="panes">
      <AccountPane v-if="session.felter" :felter="session.felter" />
      <DevicesPane v-else />
      <SpeaksPane />
      <ArchivePane />
      <CopiesPane v-if="!session.accounts" />
    </div>
  </div>
</template>

<style scoped>
.house {
  max-width: 1280px;
  margin: 0 auto;
  padding: 0.4rem 1rem 2rem;
  display: grid;
  gap: 1rem;
}
.panes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 24rem), 1fr));
  gap: 1rem;
  align-items: start;
}
.panes > :deep(.sheet) {
  padding: 1rem 1.2rem 1.2rem;
}
</style>
