<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { NeedlesAtHand } from '../../../api/types/answers'
import { api } from '../../../api/client'
import { inWords } from '../../../shared/useAsyncAction'
import { t } from '../../../lang'

/** Which needles are at hand: what is crisp hangs on the finest. */
const emit = defineEmits<{ changed: [] }>()
const needles = ref<NeedlesAtHand | null>(null)
const trouble = ref('')
onMounted(() => take(() => api.needles()))

async function take(ask: () => Promise<NeedlesAtHand>): Promise<void> {
  try {
    needles.value = await ask()
    trouble.value = ''
  } catch (error) {
    trouble.value = inWords(error)
  }
}
const has = (gauge: number) => needles.value?.gauges.includes(gauge) ?? false
async function flip(gauge: number): Promise<void> {
  const now = (needles.value?.sold ?? []).filter((g) => (g === gauge ? !has(g) : has(g)))
  if (!now.length) return void (trouble.value = t('face.needleTags.withoutANeedleNothingIs'))
  await take(() => api.keepNeedles(now, needles.value!.revision))
  emit('changed')
}
</script>

<template>
  <div v-if="needles" class="row needles" role="group" :aria-label="$t('face.needleTags.needlesAtHand')">
    <span class="quiet">{{ $t('face.needleTags.needlesAtHand') }}</span>
    <v-btn
      v-for="g in needles.sold"
      :key="g"
      size="small"
      :variant="has(g) ? 'tonal' : 'text'"
      :color="has(g) ? 'secondary' : undefined"
      :aria-pressed="has(g)"
      @click="flip(g)"
      >{{ g }}</v-btn
    >
    <span v-if="trouble" role="alert" class="trouble">{{ trouble }}</span>
  </div>
</template>

<style scoped>
.needles {
  gap: 0.2rem;
  font-size: 0.86rem;
  border-top: var(--stitch);
  padding-top: 0.5rem;
  margin-top: 0.5rem;
}
.needles .v-btn {
  min-width: 40px;
}
.trouble {
  color: rgb(var(--v-theme-error));
  flex-basis: 100%;
}
</style>
