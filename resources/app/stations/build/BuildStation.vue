<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import FlatFigure from '../../drawing/FlatFigure.vue'
import { useFigure } from '../../state/figure'
import { useUnits } from '../../state/units'
import { materialWord, trade } from '../../state/trade'
import { useRest } from './useRest'
import { useHotkeys } from '../../shell/useHotkeys'

const figure = useFigure()
const units = useUnits()
const rest = useRest(trade.rest.afterMinutes)
const school = computed(() => figure.document?.school?.face ?? trade.usual.school)
const list = ref<HTMLElement>()
const wish = ref('')

const steps = computed(() => figure.board?.plan.steps ?? [])
const isDone = (key: string) => figure.done.includes(key)
const next = computed(() => steps.value.find((s) => !isDone(s.key)))
const step = computed(() => steps.value.find((s) => s.key === wish.value) ?? next.value)
const number = computed(() => steps.value.findIndex((s) => s.key === step.value?.key) + 1)
const doneCount = computed(() => steps.value.filter((s) => isDone(s.key)).length)
const minutesLeft = computed(() => steps.value.filter((s) => !isDone(s.key)).reduce((sum, s) => sum + s.minutes, 0))
const title = (key: string) => {
  const s = steps.value.find((x) => x.key === key)
  const part = figure.parts.find((p) => p.key === s?.part)?.name ?? s?.part
  const detail = figure.details.find((d) => d.key === s?.detail)?.name ?? s?.detail
  const words: Record<string, string> = {
    portion: 'Set portions aside',
    core: `Core: ${part}`,
    cover: `Cover: ${part}`,
    felt: `Felt: ${part}`,
    detail: `${detail}`,
    join: `Join: ${part}`,
    hide: `Hide the join: ${part}`,
    inspect: 'Inspect',
  }
  return words[s?.kind ?? ''] ?? key
}
const needsWire = computed(() => figure.details.some((d) => ['bead', 'ready-made', 'pin'].includes(d.method ?? '')))

async function finish(): Promise<void> {
  if (!step.value) return
  rest.start()
  const key = step.value.key
  wish.value = ''
  await figure.mark(key, true)
}

function toggle(key: string): void {
  wish.value = ''
  rest.start()
  void figure.mark(key, !isDone(key))
}

watch(
  () => step.value?.key,
  () => nextTick(() => list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })),
)

useHotkeys({ space: (event) => ((event.target as HTMLElement).closest('button') ? false : void finish()) })
</script>

<template>
  <div v-if="figure.document && figure.board" class="build">
    <aside class="sheet order" aria-label="Order of work">
      <div class="row">
        <h2>Order of work</h2>
        <v-spacer /><span class="quiet">{{ units.minutes(minutesLeft) }} left</span>
      </div>
      <v-progress-linear
        :model-value="steps.length ? (doneCount / steps.length) * 100 : 0"
        color="success"
        bg-color="thread"
        rounded
        height="8"
        class="my-2"
        :aria-label="`${doneCount} of ${steps.length} steps done`"
      />
      <v-select
        :model-value="school"
        :items="trade.schools"
        label="Face or limbs first"
        :hint="trade.schools.find((s) => s.value === school)?.reason"
        persistent-hint
        hide-details="auto"
        class="mb-2"
        @update:model-value="figure.change((d) => (d.school = { ...d.school, face: $event }))"
      />
      <ol ref="list" class="bare steps">
        <li v-for="s in steps" :key="s.key" :aria-current="s.key === step?.key ? 'step' : undefined">
          <input
            type="checkbox"
            :checked="isDone(s.key)"
            :aria-label="`${title(s.key)} is done`"
            @change="toggle(s.key)"
          />
          <button class="plain" :class="{ done: isDone(s.key), here: s.key === step?.key }" @click="wish = s.key">
            {{ title(s.key) }}<small class="quiet">{{ units.minutes(s.minutes) }}</small>
          </button>
        </li>
      </ol>
    </aside>
    <main v-if="step" class="sheet present" aria-live="polite">
      <p class="quiet count">Step {{ number }} of {{ steps.length }}</p>
      <h1>{{ title(step.key) }}</h1>
      <ul v-if="step.weigh.length" class="bare weigh">
        <li v-for="(w, i) in step.weigh" :key="i">
          <i class="swatch big" :style="{ background: w.colour ? figure.colourOf(w.colour) : '#efe6d2' }" />
          <span
            >Weigh <b>{{ units.massLine(w.g * w.pieces) }}</b>
            {{ w.colour ? figure.colourName(w.colour) : materialWord(w.material) }}.<template v-if="w.pieces > 1">
              Split in {{ w.pieces === 2 ? 'two' : w.pieces }}: {{ units.massLine(w.g) }} each.</template
            ></span
          >
        </li>
      </ul>
      <p class="text">{{ step.text }}</p>
      <dl class="facts">
        <template v-if="step.needle"
          ><dt>Needle</dt>
          <dd>
            {{ step.needle.gauge }}{{ step.needle.holder > 1 ? `, ${step.needle.holder} in the holder` : ', one' }}
          </dd>
          <dt>Stab</dt>
          <dd>{{ step.needle.stab }}</dd></template
        >
        <dt>Time</dt>
        <dd>
          about {{ units.minutes(step.minutes)
          }}<span v-if="step.waitMinutes" class="unit">then {{ units.minutes(step.waitMinutes) }} drying</span>
        </dd>
      </dl>
      <v-spacer />
      <div class="row acts">
        <v-btn v-if="isDone(step.key)" size="x-large" @click="toggle(step.key)">Not done after all</v-btn>
        <v-btn v-else color="primary" variant="flat" size="x-large" class="next" @click="finish"
          >Done, next <kbd>space</kbd></v-btn
        >
      </div>
    </main>
    <main v-else class="sheet present">
      <h1>{{ steps.length ? 'It is finished' : 'Nothing to build yet' }}</h1>
      <p class="text">
        {{
          steps.length
            ? 'Every step is done. Count your needles, look for broken tips, and note what it took for the next one.'
            : 'Add shapes at the Shapes station first; the steps follow from them.'
        }}
      </p>
    </main>
    <aside class="beside">
      <div class="sheet lit">
        <FlatFigure
          :figure="figure.document"
          :drawing="figure.board.drawing"
          :lit="step?.part"
          :lit-detail="step?.detail"
        />
      </div>
      <div class="sheet clock" :class="{ due: rest.due.value }" role="status">
        <template v-if="rest.due.value"
          ><b class="display">Rest</b>
          <p>Half an hour of stabbing. Put the needle down, stretch hands and wrists, look into the distance.</p>
          <v-btn color="warning" variant="flat" @click="rest.rested()">I have rested</v-btn></template
        >
        <template v-else
          ><b class="display">{{
            rest.running.value ? `${rest.minutes.value} min at work` : 'The clock starts with your first step'
          }}</b>
          <p class="quiet">A rest is due after 30 minutes.</p>
          <v-btn v-if="rest.running.value" size="small" @click="rest.rested()">Pause</v-btn></template
        >
      </div>
      <p class="quiet caution">
        Eyes on the needle: in and out the same way, never bend or lever. Keep needles away from children and
        pets.<template v-if="needsWire">
          Beads, ready-made eyes and pins are small parts: this figure is decoration, not a toy.</template
        >
      </p>
    </aside>
  </div>
  <v-progress-linear v-else-if="!figure.trouble" indeterminate color="primary" aria-label="Fetching the figure" />
</template>

<style scoped>
.build {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr) 280px;
  gap: 1rem;
  padding: 0.3rem 1rem 1rem;
  height: var(--station);
  min-height: 560px;
}
.order {
  padding: 1rem;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.order > :not(.steps) {
  flex: none;
}
.steps {
  overflow: auto;
  flex: 1;
  min-height: 0;
}
.steps li {
  display: flex;
  align-items: center;
  gap: 0.3rem;
  border-radius: 10px;
}
.steps li[aria-current] {
  background: rgba(var(--v-theme-primary), 0.12);
}
.steps input {
  width: 20px;
  height: 20px;
  margin: 0 0.35rem;
  accent-color: rgb(var(--v-theme-success));
  flex: none;
}
.steps button {
  flex: 1;
  min-height: 44px;
  display: grid;
  line-height: 1.2;
  align-content: center;
}
.steps .done {
  text-decoration: line-through;
  opacity: 0.75;
}
.steps .here {
  font-weight: 700;
}
.present {
  padding: 1.6rem 2rem;
  display: flex;
  flex-direction: column;
  gap: 0.9rem;
  overflow: auto;
}
.present h1 {
  font-size: 2.3rem;
  line-height: 1.15;
}
.count {
  margin: 0;
}
.weigh {
  display: grid;
  gap: 0.6rem;
  font-size: 1.45rem;
}
.weigh li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
}
.weigh b {
  font-size: 1.7rem;
}
.big {
  width: 2rem;
  height: 2rem;
}
.text {
  font-size: 1.3rem;
  line-height: 1.55;
  max-width: 46ch;
}
.facts {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0.3rem 1.4rem;
  font-size: 1.15rem;
  border-top: var(--stitch);
  padding-top: 0.9rem;
}
.facts dt {
  color: rgb(var(--v-theme-quiet));
}
.facts dd {
  margin: 0;
  font-weight: 600;
}
.next {
  min-width: 260px;
  min-height: 64px;
  font-size: 1.2rem;
}
kbd {
  font:
    600 0.8rem 'Nunito Sans',
    sans-serif;
  opacity: 0.85;
  margin-left: 0.8rem;
  border: 1px solid currentcolor;
  border-radius: 6px;
  padding: 0 0.4rem;
}
.beside {
  display: flex;
  flex-direction: column;
  gap: 1rem;
  min-height: 0;
}
.lit {
  padding: 1rem;
  flex: 1;
  min-height: 180px;
  display: grid;
}
.lit svg {
  width: 100%;
  height: 100%;
  min-height: 0;
}
.clock {
  padding: 0.9rem 1.1rem;
  display: grid;
  gap: 0.3rem;
  align-content: start;
}
.clock p {
  margin: 0;
  font-size: 0.9rem;
}
.clock.due {
  border: 3px solid rgb(var(--v-theme-warning));
}
.caution {
  font-size: 0.82rem;
}
@media (max-width: 1000px) {
  .build {
    grid-template-columns: 250px minmax(0, 1fr);
    height: auto;
  }
  .beside {
    grid-column: 1 / -1;
    flex-direction: row;
    flex-wrap: wrap;
  }
  .lit {
    height: 300px;
  }
  .order {
    max-height: 70vh;
  }
}
</style>
