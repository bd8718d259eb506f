<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { CopiesTold } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { dates, decimals } from '../../lang'

/** Copies of the store: when the last one was made, how many are kept, and how one is put back. */
const told = ref<CopiesTold | null>(null)
const { trouble, busy, tell } = useAsyncAction()
onMounted(() => tell(async () => void (told.value = await api.copies())))
const copyNow = () => tell(async () => void (told.value = await api.copyNow()))
const last = computed(() => told.value?.copies[0])
const when = (at: string) => new Date(at).toLocaleString(dates(), { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <section class="sheet pane" :aria-label="$t('house.copiesPane.copies')">
    <h2>{{ $t('house.copiesPane.copies') }}</h2>
    <p class="quiet">
      {{ $t('house.copiesPane.whileImpaRunsItCopies') }}
      <code>storage/copies</code>{{ $t('house.copiesPane.carryThatFolderToAnother') }}
    </p>
    <p v-if="last">
      {{ $t('house.copiesPane.theLastOneIsOf') }} <b>{{ when(last.at) }}</b>{{
        $t('house.copiesPane.mbKept', {
          mb: decimals(last.mb, 1),
          kept: $t('house.copiesPane.kept', told?.copies.length ?? 0),
        })
      }}
    </p>
    <p v-else-if="told">{{ $t('house.copiesPane.thereIsNoneYetThe') }}</p>
    <v-btn :disabled="busy" @click="copyNow">{{ $t('house.copiesPane.copyNow') }}</v-btn>
    <details class="small quiet">
      <summary>{{ $t('house.copiesPane.howOneIsPutBack') }}</summary>
      <code>php artisan impa:restore</code> {{ $t('house.copiesPane.putsTheLastOneIn') }} <code>impa:copy --list</code>
      {{ $t('house.copiesPane.namesThemAll') }} <code>impa:doctor</code>
      {{ $t('house.copiesPane.saysWhetherTheStoreIs') }}
    </details>
    <v-progress-linear v-if="busy" indeterminate color="primary" :aria-label="$t('house.copiesPane.copying')" />
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
