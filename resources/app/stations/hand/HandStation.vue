<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { Hand } from '../../api/types/answers'
import { api } from '../../api/client'
import FigureRows from './FigureRows.vue'
import HandCurves from './HandCurves.vue'
import PracticePane from './PracticePane.vue'
import { inWords } from '../../shared/useAsyncAction'
import { useUnits } from '../../state/units'
import { dates } from '../../lang'
import OnlyFull from '../../shared/OnlyFull.vue'

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
  new Date(ms).toLocaleDateString(dates(), { day: 'numeric', month: 'long', year: 'numeric' })
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
      <h1>{{ $t('hand.handStation.myHand') }}</h1>
      <v-spacer />
      <v-btn v-if="hand?.since" variant="text" @click="take(() => api.handOver(true))">{{
        $t('hand.handStation.takeBackStartedOverOn', { since: when(hand.since) })
      }}</v-btn>
      <v-btn v-if="hand?.observations.length" variant="tonal" @click="asking = true">{{
        $t('hand.handStation.startOver')
      }}</v-btn>
    </header>
    <v-alert v-if="trouble" type="warning" variant="tonal" role="alert" class="mb-3">{{ trouble }}</v-alert>
    <v-progress-linear
      v-if="!hand && !trouble"
      indeterminate
      color="primary"
      :aria-label="$t('hand.handStation.lookingAtYourRecords')"
    />
    <div v-if="hand" class="two">
      <section class="sheet curves">
        <OnlyFull :what="$t('help.what.curves')">
          <HandCurves
            v-for="q in hand.quantities"
            :key="q.quantity"
            :quantity="q"
            :observations="hand.observations"
            :chosen="chosen"
            @choose="chosen = chosen === $event ? '' : $event"
          />
        </OnlyFull>
        <FigureRows v-if="hand.figures.length" :figures="hand.figures" />
      </section>
      <aside class="side">
        <section class="sheet" aria-live="polite">
          <h2>{{ one ? one.what : $t('hand.handStation.aRecord') }}</h2>
          <template v-if="one">
            <p>
              {{
                $t('hand.handStation.whereTheHouseReckons', {
                  found: amount(one, one.found),
                  expected: amount(one, one.expected),
                  group: one.group,
                })
              }}
              <span v-if="one.doubtful" class="wrong">{{ $t('hand.handStation.farFromAllTheOthers') }}</span>
            </p>
            <div class="row">
              <v-btn
                variant="tonal"
                size="small"
                @click="take(() => api.handAside(one!.id, !one!.aside, hand!.revision))"
                >{{ one.aside ? $t('hand.handStation.learnFromItAgain') : $t('hand.handStation.setItAside') }}</v-btn
              >
              <v-btn variant="text" size="small" color="error" @click="take(() => api.handDrop(one!.id))">{{
                $t('hand.handStation.removeItForGood')
              }}</v-btn>
            </div>
          </template>
          <p v-else class="quiet">{{ $t('hand.handStation.pressADotToLook') }}</p>
          <template v-if="(hand.quantities[0]?.shrank.length ?? 0) > 1">
            <h3 class="mt-3">{{ $t('hand.handStation.howTheSpreadShrank') }}</h3>
            <svg
              viewBox="-4 0 308 84"
              role="img"
              :aria-label="$t('hand.handStation.spreadAfterPieces', { records: hand.sheet.records })"
            >
              <line x1="0" x2="300" y1="80" y2="80" class="axis" />
              <polyline :points="shrank.join(' ')" />
            </svg>
            <p class="small quiet">
              {{
                $t('hand.handStation.fourOfFivePiecesLie', {
                  shrank: Math.round((Math.exp(1.2816 * hand.quantities[0]!.shrank[0]!) - 1) * 100),
                  at: Math.round((Math.exp(1.2816 * hand.quantities[0]!.shrank.at(-1)!) - 1) * 100),
                })
              }}
            </p>
          </template>
        </section>
        <section class="sheet">
          <PracticePane :practice="hand.practice" :made="made" @learned="hand = $event" />
        </section>
      </aside>
    </div>
    <v-dialog v-model="asking" :aria-label="$t('hand.handStation.startOver2')"
      ><v-card :title="$t('hand.handStation.startOver2')"
        ><v-card-text>{{ $t('hand.handStation.nothingThatWasWeighedOr') }}</v-card-text
        ><v-card-actions
          ><v-btn @click="asking = false">{{ $t('hand.handStation.keepIt') }}</v-btn
          ><v-btn color="primary" variant="flat" @click="over">{{
            $t('hand.handStation.startOver')
          }}</v-btn></v-card-actions
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
