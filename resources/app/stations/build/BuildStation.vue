<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue'
import PrintDialog from '../../shared/PrintDialog.vue'
import { useHotkeys } from '../../shared/useHotkeys'
import { useDrying } from '../../state/drying'
import { useFigure } from '../../state/figure/figure'
import { trade } from '../../state/trade'
import { api } from '../../api/client'
import DiaryDialog from './DiaryDialog.vue'
import EveningsDialog from './EveningsDialog.vue'
import LogFields from './LogFields.vue'
import NeedleBox from './NeedleBox.vue'
import OrderList from './OrderList.vue'
import StepCard from './StepCard.vue'
import StepFoot from './StepFoot.vue'
import WorkClocks from './session/WorkClocks.vue'
import { useKeptSteps } from '../../away/useKeptSteps'
import { isAway } from '../../away/network'
import { useAwake } from './session/useAwake'
import { useRest } from './session/useRest'
import { useWishes } from './session/useWishes'
import { useWork } from './session/useWork'
import { useWorkClock } from './session/useWorkClock'
import { dates } from '../../lang'

/** Another device may have gone on: asked so often. */
const FRESHEN_MS = 10_000

const figure = useFigure()
const work = useWork()
const rest = useRest(trade.rest.afterMinutes)
const clock = useWorkClock(() => figure.id)
const drying = useDrying()
const wishes = useWishes()
useAwake(clock.running)
const dialog = ref<'' | 'evenings' | 'diary' | 'paper' | 'needles'>('')
const shows = (name: 'evenings' | 'diary' | 'paper' | 'needles') =>
  computed({ get: () => dialog.value === name, set: (now) => (dialog.value = now ? name : '') })
const [evenings, diary, paper, needles] = [shows('evenings'), shows('diary'), shows('paper'), shows('needles')]

const steps = work.steps
const keptSteps = useKeptSteps(
  () => steps.value,
  () => figure.document,
)
const isDone = (key: string) => figure.done.includes(key)
const next = computed(() => steps.value.find((s) => !isDone(s.key)))
const step = computed(() => steps.value.find((s) => s.key === figure.present) ?? next.value)
const number = computed(() => steps.value.findIndex((s) => s.key === step.value?.key) + 1)
/** Why this step stands where it does: what it waited for, and what waits for it. */
const reasons = computed(() => {
  const here = step.value
  if (!here) return []
  const later = steps.value.flatMap((s) => s.because.filter((b) => b.after === here.key).map((b) => b.text))
  return [...new Set([...later, ...here.because.map((b) => b.text)])].slice(0, 2)
})
/** What must be done before this step, and is not. */
const missing = computed(() => (step.value?.after ?? []).filter((key) => !isDone(key)))
/** The next space or stroke of the foot switch means the step again. */
const goOn = useTemplateRef<{ $el: HTMLElement }>('go')
const backToStep = () => nextTick(() => goOn.value?.$el.focus())
const titleOf = (key: string) => steps.value.find((s) => s.key === key)?.title ?? key

async function finish(): Promise<void> {
  const done = step.value
  if (!done || isDone(done.key)) return
  work.read()
  rest.start()
  if (done.waitMinutes > 0 && figure.document)
    drying.start({
      figure: figure.id,
      name: figure.document.name,
      step: done.key,
      title: done.title,
      until: Date.now() + done.waitMinutes * 60_000,
    })
  const follows = steps.value.find((s) => s.key !== done.key && !isDone(s.key))
  await figure.mark(done.key, true)
  if (figure.present) await figure.show('')
  if (follows) clock.begin(follows.key)
  else clock.pause()
}

function look(key: string): void {
  void figure.show(key)
  if (clock.running.value) clock.begin(key)
}
function beside(by: number): void {
  const other = steps.value[number.value - 1 + by]
  if (other) look(other.key)
}
async function toggle(key: string): Promise<void> {
  rest.start()
  await figure.mark(key, !isDone(key))
  if (figure.present === key) await figure.show('')
}
function begin(): void {
  if (!step.value) return
  rest.start()
  clock.begin(step.value.key)
}
function pause(): void {
  clock.pause()
  rest.rested()
}

const tips = computed(() => clock.diary.value?.tipsMissing ?? 0)
const dries = computed(() => {
  const waits = missing.value.length ? [] : (step.value?.after ?? [])
  const until = Math.max(0, ...waits.map((key) => drying.until(figure.id, key)))
  return until > clock.now.value ? Math.ceil((until - clock.now.value) / 60_000) : 0
})

const canRead = typeof speechSynthesis !== 'undefined'
function read(): void {
  if (!canRead || !step.value) return
  speechSynthesis.cancel()
  const said = new SpeechSynthesisUtterance(`${step.value.title}. ${step.value.text}`)
  // By a voice of its language.
  said.lang = dates()
  speechSynthesis.speak(said)
}
watch(
  () => step.value?.key,
  (key) => {
    if (wishes.readsAloud) read()
    // Whatever brought another step here, a school or another device: the clock is at what is shown.
    if (key && clock.running.value) clock.begin(key)
  },
)
watch(
  () => (step.value && clock.running.value ? clock.minutesAt(step.value.key) : 0),
  (minutes) => {
    if (
      wishes.goesOn &&
      step.value &&
      !rest.due.value &&
      minutes >= step.value.minutes &&
      clock.step.value === step.value.key
    )
      void finish()
  },
)

/** Gauges of which one is left: where it breaks, the work stops. */
const lastNeedles = ref<number[]>([])
const countNeedles = async () => (lastNeedles.value = (await api.needles().catch(() => null))?.last ?? [])
function counted(): void {
  work.again()
  void countNeedles()
}

let timer = 0
onMounted(() => {
  void countNeedles()
  timer = window.setInterval(() => window.document.hidden || void figure.freshen(), FRESHEN_MS)
})
onBeforeUnmount(() => {
  window.clearInterval(timer)
  if (canRead) speechSynthesis.cancel()
})

const isOn = (event: KeyboardEvent, what: string) => Boolean((event.target as HTMLElement).closest(what))
useHotkeys({
  space: (event) => (isOn(event, 'button, input') ? false : void finish()),
  // A foot switch is a keyboard that sends one of these.
  enter: (event) => (isOn(event, 'button, input, a') ? false : void finish()),
  pagedown: () => beside(1),
  pageup: () => beside(-1),
  o: () => (wishes.showsOrder = !wishes.showsOrder),
})
</script>

<template>
  <div v-if="figure.document && work.isThere.value" class="build" :class="{ wide: !wishes.showsOrder }">
    <OrderList
      v-if="wishes.showsOrder"
      :steps="steps"
      :here="step?.key ?? ''"
      :schools="work.schools.value"
      :changed="work.changed.value"
      @look="look"
      @tick="toggle"
      @school="work.changeSchool"
    />
    <main v-if="step" class="sheet present" aria-live="polite">
      <StepCard :step="step" :number="number" :of="steps.length" :reasons="reasons" :last="lastNeedles" />
      <v-alert v-if="missing.length && !isDone(step.key)" type="info" variant="tonal" density="compact">
        {{ $t('build.buildStation.first', { titleOf: missing.map(titleOf).join(', ') }) }}
      </v-alert>
      <v-alert v-else-if="dries" type="info" variant="tonal" density="compact">
        {{ $t('build.buildStation.whatItNeedsDriesMin', { dries }) }}
      </v-alert>
      <div class="acts">
        <StepFoot :step="step" />
        <div class="row">
          <v-btn v-if="isDone(step.key)" size="x-large" @click="toggle(step.key)">{{
            $t('build.buildStation.notDoneAfterAll')
          }}</v-btn>
          <v-btn v-else ref="go" color="primary" variant="flat" size="x-large" class="next" @click="finish"
            >{{ $t('build.buildStation.doneNext') }} <kbd>{{ $t('build.buildStation.space') }}</kbd></v-btn
          >
          <v-btn v-if="canRead" variant="text" @click="read">{{ $t('build.buildStation.readAloud') }}</v-btn>
        </div>
      </div>
    </main>
    <main v-else class="sheet present">
      <h1>{{ steps.length ? $t('build.buildStation.itIsFinished') : $t('build.buildStation.nothingToBuildYet') }}</h1>
      <p class="text">
        {{
          steps.length ? $t('build.buildStation.everyStepIsDoneCount') : $t('build.buildStation.addShapesAtTheShapes')
        }}
      </p>
      <v-alert v-if="tips" type="warning" variant="tonal" role="alert" class="start">
        {{ $t('build.buildStation.notSafeYetANeedle') }}
      </v-alert>
      <v-btn v-if="steps.length" class="start" variant="tonal" @click="dialog = 'diary'">{{
        $t('build.buildStation.whatItTook')
      }}</v-btn>
    </main>
    <aside class="beside">
      <WorkClocks
        :running="clock.running.value"
        :step-minutes="step ? clock.minutesAt(step.key) : 0"
        :planned="step?.minutes ?? 0"
        :worked-minutes="rest.minutes.value"
        :rest-after="trade.rest.afterMinutes"
        :due="rest.due.value"
        :why="clock.why.value"
        @begin="begin"
        @pause="pause"
        @rested="pause"
      />
      <div v-if="step" class="sheet side">
        <LogFields
          :key="step.key"
          :step="step"
          :diary="clock.diary.value"
          @kept="((clock.diary.value = $event), counted())"
          @back="backToStep"
        />
      </div>
      <div class="sheet side">
        <v-btn variant="tonal" @click="dialog = 'evenings'">{{ $t('build.buildStation.evenings') }}</v-btn>
        <v-btn variant="tonal" @click="dialog = 'diary'">{{ $t('build.buildStation.diary') }}</v-btn>
        <v-btn variant="tonal" @click="dialog = 'paper'">{{ $t('build.buildStation.onPaper') }}</v-btn>
        <v-btn variant="tonal" @click="dialog = 'needles'">{{ $t('build.buildStation.needles') }}</v-btn>
        <v-btn variant="text" size="small" @click="wishes.showsOrder = !wishes.showsOrder"
          >{{ wishes.showsOrder ? $t('build.buildStation.foldTheOrderAway') : $t('build.buildStation.showTheOrder') }}
          <kbd>O</kbd></v-btn
        >
        <p v-if="isAway()" class="small quiet" role="status">
          {{
            keptSteps.here.value < steps.length
              ? $t('build.buildStation.ofDrawingsAreKeptOn', { here: keptSteps.here.value, steps: steps.length })
              : $t('build.buildStation.everyStepIsKeptOn')
          }}
        </p>
        <v-checkbox
          v-model="wishes.goesOn"
          :label="$t('build.buildStation.goOnWhenTheSteps')"
          density="compact"
          hide-details
        />
        <v-checkbox
          v-if="canRead"
          v-model="wishes.readsAloud"
          :label="$t('build.buildStation.readEachStepAloud')"
          density="compact"
          hide-details
        />
      </div>
    </aside>
    <EveningsDialog v-model="evenings" :steps="steps" @look="look" />
    <DiaryDialog v-model="diary" :diary="clock.diary.value" @changed="clock.diary.value = $event" />
    <NeedleBox v-model="needles" @changed="counted()" />
    <PrintDialog
      v-model="paper"
      :title="$t('build.buildStation.workSheet')"
      only-pdf
      :make="(_as, size) => api.workSheet(figure.document!, size)"
    >
      <p>{{ $t('build.buildStation.everyStepWithItsDrawing') }}</p>
    </PrintDialog>
  </div>
  <v-alert v-else-if="work.trouble.value" type="error" variant="tonal" class="ma-3" role="alert">{{
    work.trouble.value
  }}</v-alert>
  <v-progress-linear
    v-else-if="!figure.trouble"
    indeterminate
    color="primary"
    :aria-label="$t('common.fetchingTheFigure')"
  />
</template>

<style scoped>
.build {
  display: grid;
  grid-template-columns: 284px minmax(0, 1fr) 216px;
  gap: 1rem;
  padding: 0.3rem 1rem 1rem;
  height: var(--station);
  min-height: 560px;
}
.build.wide {
  grid-template-columns: minmax(0, 1fr) 216px;
}
.present {
  padding: 1.2rem 1.6rem;
  display: flex;
  flex-direction: column;
  gap: 0.6rem;
  overflow: auto;
  container: present / inline-size;
}
.present > :deep(*) {
  flex-shrink: 0;
}
.acts {
  margin-top: auto;
  position: sticky;
  bottom: -1.2rem;
  background: rgb(var(--v-theme-surface));
  padding: 0.2rem 0 0.6rem;
  display: grid;
  gap: 0.5rem;
}
.text {
  font-size: 1.3rem;
  line-height: 1.55;
  max-width: 46ch;
}
.start {
  align-self: start;
}
.next {
  min-width: 260px;
  min-height: 56px;
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
  overflow: auto;
}
.side {
  padding: 0.8rem 1rem;
  display: grid;
  align-content: start;
  gap: 0.5rem;
}
@media (max-width: 1180px) {
  .build {
    grid-template-columns: 254px minmax(0, 1fr) 190px;
    gap: 0.7rem;
  }
  .build.wide {
    grid-template-columns: minmax(0, 1fr) 190px;
  }
  .present {
    padding: 0.9rem 1.1rem;
  }
  .acts {
    bottom: -0.9rem;
  }
}
@media (max-width: 1000px) {
  .build,
  .build.wide {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .present {
    order: -1;
  }
  /* Beside the mat the clocks are looked at oftener than the list. */
  .build :deep(.order) {
    order: 2;
  }
  .beside {
    flex-direction: row;
    flex-wrap: wrap;
  }
  .beside > * {
    flex: 1 1 240px;
  }
}
</style>
