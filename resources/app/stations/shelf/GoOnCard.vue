<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { Place } from '../../api/types/answers'
import { api } from '../../api/client'
import { t } from '../../lang'

/** Where the felter was last, on whatever device. */
const place = ref<Place | null>(null)
onMounted(async () => (place.value = await api.place().catch(() => null)))
const WORDS: Record<string, string> = {
  shapes: t('shelf.goOnCard.shapes'),
  wool: t('common.wool'),
  face: t('shelf.goOnCard.face'),
  build: t('shelf.goOnCard.build'),
  check: t('common.check'),
}
const station = (page: string) => WORDS[/\/(\w+)(\?|$)/.exec(page)?.[1] ?? ''] ?? ''
</script>

<template>
  <p v-if="place?.page" class="go sheet row">
    <span class="quiet">{{ $t('shelf.goOnCard.youWereAt') }}</span>
    <b>{{ place.name }}, {{ station(place.page) }}</b>
    <v-spacer />
    <v-btn :to="place.page" color="primary" variant="flat">{{ $t('shelf.goOnCard.goOnThere') }}</v-btn>
  </p>
</template>

<style scoped>
.go {
  padding: 0.6rem 1rem;
  margin-bottom: 1rem;
}
</style>
