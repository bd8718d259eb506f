<script setup lang="ts">
import { ref } from 'vue'
import PageTabs from '../../shared/PageTabs.vue'
import { useInAddress } from '../../shared/useInAddress'
import { useFigure } from '../../state/figure/figure'
import FinishPane from './FinishPane.vue'
import MendPane, { type MendStart } from './MendPane.vue'
import PhotoPane from './PhotoPane.vue'
import PartsPane from './PartsPane.vue'
import ShowPane from './ShowPane.vue'
import { t } from '../../lang'

/** Is it right? A photo against the plan, finished parts against their cards, and what helps where it is not. */
const figure = useFigure()
const pages = [
  { key: 'photo', title: t('check.checkStation.photo') },
  { key: 'parts', title: t('check.checkStation.parts') },
  { key: 'mend', title: t('check.checkStation.mend') },
  { key: 'finish', title: t('check.checkStation.finish') },
  { key: 'show', title: t('check.checkStation.show') },
] as const
const page = useInAddress<(typeof pages)[number]['key']>('tab', 'photo', (k) => pages.some((p) => p.key === k))
/** What is to be mended, as a photo told it; gone once another page was turned to. */
const start = ref<MendStart | null>(null)
function turn(to: (typeof pages)[number]['key']): void {
  page.value = to
  start.value = null
}
function mend(with_: MendStart): void {
  page.value = 'mend'
  start.value = with_
}
</script>

<template>
  <div v-if="figure.document" class="check">
    <section class="sheet" :aria-label="$t('common.check')">
      <PageTabs :model-value="page" :pages="pages" :label="$t('common.check')" @update:model-value="turn" />
      <div role="tabpanel">
        <PhotoPane v-if="page === 'photo'" @mend="mend" />
        <PartsPane v-else-if="page === 'parts'" />
        <MendPane v-else-if="page === 'mend'" :start="start" />
        <FinishPane v-else-if="page === 'finish'" />
        <ShowPane v-else />
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
