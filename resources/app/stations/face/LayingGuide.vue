<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { Laying } from '../../api/types/answers'
import { api } from '../../api/client'
import { useFigure } from '../../state/figure/figure'
import { useInAddress } from '../../shared/useInAddress'
import NeedleTags from './board/NeedleTags.vue'
import NeedleView from './board/NeedleView.vue'
import TradeText from '../../help/TradeText.vue'

/** One detail at a time, in large type, to be read while the hands are full: what to take, where to prick, how to stab. */
const props = defineProps<{ part: string }>()
const emit = defineEmits<{ needles: [] }>()
const figure = useFigure()
const laying = ref<Laying[]>([])
/** The one that lies open, from 1. */
const open = useInAddress<string>('lay', '1', (n) => /^\d{1,3}$/.test(n))
const at = computed({ get: () => Math.max(0, Number(open.value) - 1), set: (now) => (open.value = String(now + 1)) })
const now = computed(() => laying.value[Math.min(at.value, laying.value.length - 1)])
const detail = computed(() => figure.details.find((d) => d.key === now.value?.key))

let asked = 0
async function ask(): Promise<void> {
  const mine = ++asked
  if (!figure.document) return
  try {
    const found = (await api.laying(figure.document, props.part)).laying
    if (mine === asked) laying.value = found
    follow()
  } catch {
    // What is wrong with the figure is told once, by the board.
    if (mine === asked) laying.value = []
  }
}
function follow(): void {
  const chosen = figure.selection
  const found = chosen?.kind === 'detail' ? laying.value.findIndex((l) => l.key === chosen.key) : -1
  if (found >= 0) at.value = found
}
watch([() => props.part, () => figure.document], ask, { immediate: true })
watch(() => figure.selection, follow)
function needles(): void {
  void ask()
  emit('needles')
}
function go(by: number): void {
  at.value = (at.value + by + laying.value.length) % laying.value.length
  if (now.value) figure.selection = { kind: 'detail', key: now.value.key }
}
</script>

<template>
  <p v-if="!now" class="quiet">{{ $t('face.layingGuide.nothingToLayYet') }}</p>
  <div v-else class="guide" aria-live="polite">
    <div class="row head">
      <v-btn :icon="mdiChevronLeft" variant="text" :aria-label="$t('face.layingGuide.theOneBefore')" @click="go(-1)" />
      <span class="quiet">{{ $t('face.layingGuide.of', { number: at + 1, laying: laying.length }) }}</span>
      <v-spacer />
      <v-btn
        :icon="mdiChevronRight"
        variant="tonal"
        color="primary"
        :aria-label="$t('face.layingGuide.theNextOne')"
        @click="go(1)"
      />
    </div>
    <h2>
      <i class="swatch big" :style="{ background: figure.colourOf(detail?.colour ?? '') }" />
      {{ detail?.name ?? now.key }}<small v-if="detail?.mirror" class="unit">x 2</small>
    </h2>
    <p v-if="now.wool" class="wool"><TradeText :text="now.wool" /></p>
    <ol class="bare marks">
      <li v-for="m in now.marks" :key="m">{{ m }}</li>
    </ol>
    <NeedleView :detail="now.key" />
    <ol class="stabs">
      <li v-for="s in now.stabs" :key="s"><TradeText :text="s" /></li>
    </ol>
    <p v-if="now.needle" class="quiet">{{ $t('face.layingGuide.needle', { needle: now.needle }) }}</p>
    <p>{{ now.check }}</p>
    <details>
      <summary>{{ $t('face.layingGuide.ifItGoesWrong') }}</summary>
      <p><TradeText :text="now.undo" /></p>
    </details>
  </div>
  <NeedleTags @changed="needles" />
</template>

<style scoped>
.guide {
  display: grid;
  gap: 0.6rem;
}
h2 {
  font-size: 1.7rem;
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
.big {
  width: 1.7rem;
  height: 1.7rem;
}
.wool {
  font-size: 1.05rem;
}
.marks {
  font-size: 1.2rem;
  font-weight: 700;
  border-block: var(--stitch);
  padding: 0.4rem 0;
  line-height: 1.5;
}
.stabs {
  font-size: 1.12rem;
  padding-left: 1.5rem;
  line-height: 1.5;
}
summary {
  cursor: pointer;
  color: rgb(var(--v-theme-secondary));
  min-height: 30px;
}
</style>
