<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { School } from '../../api/types/answers'
import type { WorkStep } from '../../api/types/steps'
import ByHand from '../hand/ByHand.vue'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'

/** Every step in order: tick it, look at it, pull it forward or put it off; where that cannot be, why. */
const props = defineProps<{ steps: WorkStep[]; schools: School[]; here: string; changed: string }>()
const emit = defineEmits<{ look: [key: string]; tick: [key: string]; school: [question: string, value: string] }>()
const figure = useFigure()
const units = useUnits()
const list = ref<HTMLElement>()
const refused = ref('')

const isDone = (key: string) => figure.done.includes(key)
/** The first question is asked most; the others are folded away. */
const more = ref(false)
const shown = computed(() => (more.value ? props.schools : props.schools.slice(0, 1)))
const minutesLeft = computed(() => props.steps.filter((s) => !isDone(s.key)).reduce((sum, s) => sum + s.minutes, 0))
const doneCount = computed(() => props.steps.filter((s) => isDone(s.key)).length)

async function pull(forward: boolean): Promise<void> {
  refused.value = ''
  try {
    await figure.edit((now) => api.pullStep(now, props.here, forward))
  } catch (error) {
    refused.value = inWords(error)
  }
}
const hasPulls = computed(
  () => ((figure.document?.work as { pulled?: unknown[] } | undefined)?.pulled ?? []).length > 0,
)
/** After every move that was asked for before: one that is on its way would else come after it. */
const ownOrder = () =>
  figure.edit((now) => {
    const work = { ...now.work }
    delete work.pulled
    return Promise.resolve({ document: { ...now, work } })
  })

watch(
  () => [props.here, props.steps],
  () =>
    void nextTick(() => {
      const here = list.value?.querySelector<HTMLElement>('[aria-current]')
      // Within what scrolls here alone: on a tablet the list stands below the step, and the page stays at the step.
      const box = [list.value, list.value?.parentElement].find((e) => e && getComputedStyle(e).overflowY === 'auto')
      if (!box || !here || box.scrollHeight <= box.clientHeight) return
      const beyond = here.getBoundingClientRect().top - box.getBoundingClientRect().top
      if (beyond < 0 || beyond > box.clientHeight - here.clientHeight) box.scrollTop += beyond - box.clientHeight / 2
    }),
  { immediate: true },
)
watch(
  () => props.here,
  () => (refused.value = ''),
)
</script>

<template>
  <aside class="sheet order" :aria-label="$t('build.orderList.orderOfWork')">
    <div class="row">
      <h2>{{ $t('build.orderList.orderOfWork') }}</h2>
      <v-spacer /><span class="quiet">{{
        $t('build.orderList.left', { minutesLeft: units.minutes(minutesLeft) })
      }}</span>
    </div>
    <ByHand :of="$t('build.orderList.minutes')" :records="figure.board?.plan.records?.minutes" />
    <v-progress-linear
      :model-value="steps.length ? (doneCount / steps.length) * 100 : 0"
      color="success"
      bg-color="thread"
      rounded
      height="8"
      class="my-2"
      :aria-label="$t('build.orderList.ofStepsDone', { doneCount, steps: steps.length })"
    />
    <div class="schools">
      <v-select
        v-for="q in shown"
        :key="q.question"
        :model-value="q.now || null"
        :items="q.options"
        :label="q.title"
        :hint="q.options.find((o) => o.value === q.now)?.reason ?? $t('build.orderList.eachPartItsOwnWay')"
        persistent-hint
        hide-details="auto"
        @update:model-value="emit('school', q.question, $event as string)"
      />
      <v-btn size="small" variant="text" :aria-expanded="more" @click="more = !more">{{
        more ? $t('build.orderList.fewerWaysOfWorking') : $t('build.orderList.moreWaysOfWorking')
      }}</v-btn>
    </div>
    <p v-if="changed" class="changed small" role="status">{{ changed }}</p>
    <p v-if="refused" class="refused small" role="alert">{{ refused }}</p>
    <ol ref="list" class="bare steps">
      <li v-for="s in steps" :key="s.key" :aria-current="s.key === here ? 'step' : undefined">
        <input
          type="checkbox"
          :checked="isDone(s.key)"
          :aria-label="$t('build.orderList.isDone', { title: s.title })"
          @change="emit('tick', s.key)"
        />
        <button class="plain" :class="{ done: isDone(s.key), here: s.key === here }" @click="emit('look', s.key)">
          {{ s.title }}<small class="quiet">{{ units.minutes(s.minutes) }}</small>
        </button>
        <template v-if="s.key === here">
          <v-btn
            :icon="mdiArrowUp"
            size="small"
            variant="text"
            :aria-label="$t('build.orderList.pullForward')"
            @click="pull(true)"
          />
          <v-btn
            :icon="mdiArrowDown"
            size="small"
            variant="text"
            :aria-label="$t('build.orderList.putOff')"
            @click="pull(false)"
          />
        </template>
      </li>
    </ol>
    <v-btn v-if="hasPulls" size="small" variant="text" @click="ownOrder">{{
      $t('build.orderList.backToImpasOrder')
    }}</v-btn>
  </aside>
</template>

<style scoped>
.order {
  padding: 1rem;
  display: flex;
  flex-direction: column;
  min-height: 0;
  /* Where every way of working is laid open, there is less room than they take. */
  overflow-y: auto;
}
.order > :not(.steps) {
  flex: none;
}
.schools {
  display: grid;
  gap: 0.7rem;
  margin-bottom: 0.4rem;
}
.changed,
.refused {
  border-left: 4px solid rgb(var(--v-theme-info));
  padding-left: 0.6rem;
  margin-bottom: 0.5rem;
}
.refused {
  border-color: rgb(var(--v-theme-warning));
}
.steps {
  overflow: auto;
  flex: 1 0 11rem;
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
.steps button.plain {
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
</style>
