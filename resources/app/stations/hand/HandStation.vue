<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { Hand } from '../../api/types/answers'
import { api } from '../../api/client'
import FigureRows from './FigureRows.vue'
import HandCurves from './HandCurves.vue'
import PracticePane from './PracticePane.vue'
import { inWords } from '../../shared/useAsyncAction'
import { useUnits } from '../../state/units'

const units = useUnits()
/** The felter's own hand: what was known before and now, every record a dot that can be taken out. */
const hand = ref<Hand | null>(null)
const chosen = ref('')
const trouble = ref('')
const asking = ref(false)
const one = computed(() => hand.value?.observations.find((o) => o.id === chosen.value))
const made = computed(() => (hand.value?.observations ?? []).map((o) => o.what))

async function take(ask: () => Promise<Hand>): Promise<void> {
  trouble.value = ''
  try {
    hand.value = await ask()
  } catch (error) {
    trouble.value = inWords(error)
  }
}
onMounted(() => take(() => api.hand()))
const amount = (o: Hand['observations'][number], value: number) =>
  o.quantity === 'pace' ? units.minutes(value) : units.g(value)
const when = (ms: number) =>
  new Date(ms).toLocaleDateString(undefined, { day: 'numeric', month: 'long', year: 'numeric' })
/** How the spread of the next piece shrank, as a polyline. */
const shrank = computed(() => {
  const list = hand.value?.quantities[0]?.shrank ?? []
  const most = list[0] ?? 1
  return list.map(
    (s, i) =>
      `${(list.length < 2 ? 0 : (i / (list.length - 1)) * 300).toFixed(1)},${(80 - (s / most) * 74).toFixed(1)}`,
  )
})
async function over(): Promise<void> {
  asking.value = false
  chosen.value = ''
  await take(() => api.handOver(false))
}
</script>

<template>
  <div class="hand">
    <header class="row">
      <h1>My hand</h1>
      <v-spacer />
      <v-btn v-if="hand?.since" variant="text" @click="take(() => api.handOver(true))"
        >Take back: started over on {{ when(hand.since) }}</v-btn
      >
      <v-btn v-if="hand?.observations.length" variant="tonal" @click="asking = true">Start over</v-btn>
    </header>
    <v-alert v-if="trouble" type="warning" variant="tonal" role="alert" class="mb-3">{{ trouble }}</v-alert>
    <v-progress-linear v-if="!hand && !trouble" indeterminate color="primary" aria-label="Looking at your records" />
    <div v-if="hand" class="two">
      <section class="sheet curves">
        <HandCurves
          v-for="q in hand.quantities"
          :key="q.quantity"
          :quantity="q"
          :observations="hand.observations"
          :chosen="chosen"
          @choose="chosen = chosen === $event ? '' : $event"
        />
        <FigureRows v-if="hand.figures.length" :figures="hand.figures" />
      </section>
      <aside class="side">
        <section class="sheet" aria-live="polite">
          <h2>{{ one ? one.what : 'A record' }}</h2>
          <template v-if="one">
            <p>
              {{ amount(one, one.found) }}, where the house reckons {{ amount(one, one.expected) }}: {{ one.group }}.
              <span v-if="one.doubtful" class="wrong">Far from all the others. Typo?</span>
            </p>
            <div class="row">
              <v-btn
                variant="tonal"
                size="small"
                @click="take(() => api.handAside(one!.id, !one!.aside, hand!.revision))"
                >{{ one.aside ? 'Learn from it again' : 'Set it aside' }}</v-btn
              >
              <v-btn variant="text" size="small" color="error" @click="take(() => api.handDrop(one!.id))"
                >Remove it for good</v-btn
              >
            </div>
          </template>
          <p v-else class="quiet">Press a dot to look into it, set it aside, or remove it.</p>
          <template v-if="(hand.quantities[0]?.shrank.length ?? 0) > 1">
            <h3 class="mt-3">How the spread shrank</h3>
            <svg viewBox="-4 0 308 84" role="img" :aria-label="`Spread after ${hand.sheet.records} pieces`">
              <line x1="0" x2="300" y1="80" y2="80" class="axis" />
              <polyline :points="shrank.join(' ')" />
            </svg>
            <p class="small quiet">
              Four of five pieces lie within
              {{ Math.round((Math.exp(1.2816 * hand.quantities[0]!.shrank[0]!) - 1) * 100) }} % at first, within
              {{ Math.round((Math.exp(1.2816 * hand.quantities[0]!.shrank.at(-1)!) - 1) * 100) }} % now.
            </p>
          </template>
        </section>
        <section class="sheet">
          <PracticePane :practice="hand.practice" :made="made" @learned="hand = $event" />
        </section>
      </aside>
    </div>
    <v-dialog v-model="asking" aria-label="Start over?"
      ><v-card title="Start over?"
        ><v-card-text
          >Nothing that was weighed or timed until now is learned from any more. It can be taken back.</v-card-text
        ><v-card-actions
          ><v-btn @click="asking = false">Keep it</v-btn
          ><v-btn color="primary" variant="flat" @click="over">Start over</v-btn></v-card-actions
        ></v-card
      ></v-dialog
    >
  </div>
</template>

<style scoped>
.hand {
  max-width: 1280px;
  margin: 0 auto;
  padding: 0.4rem 1rem 2rem;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 1rem;
  align-items: start;
}
.sheet {
  padding: 1rem 1.2rem;
}
.side,
.curves {
  display: grid;
  gap: 1rem;
}
.axis {
  stroke: rgb(var(--v-theme-quiet));
}
polyline {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
