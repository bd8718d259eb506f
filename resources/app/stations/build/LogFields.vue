<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Diary, LogEntry } from '../../api/types/answers'
import { api } from '../../api/client'
import type { WorkStep } from '../../api/types/steps'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import ScalePanel from '../stash/ScalePanel.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** What is noted beside the step: a note, a photo, a weight from the scale against what was wanted, a broken needle. */
const props = defineProps<{ step: WorkStep; diary: Diary | null }>()
/** After a question was answered, the hands go back to the step. */
const emit = defineEmits<{ kept: [diary: Diary]; back: [] }>()
const figure = useFigure()
const units = useUnits()
const note = ref('')
const trouble = ref('')
const shows = ref<'' | 'scale' | 'note' | 'broken'>('')

const last = ref<number | null>(null)
const off = computed(() => (last.value === null ? 0 : last.value - props.step.wantedG))
/** The dial: so far from the target, as a share of it, a half turn at most. */
const dial = computed(() =>
  Math.max(-90, Math.min(90, props.step.wantedG > 0 ? (off.value / props.step.wantedG) * 180 : 0)),
)

async function keep(kind: LogEntry['kind'], more: object = {}): Promise<boolean> {
  trouble.value = ''
  try {
    emit(
      'kept',
      await api.logEntry(figure.id, { uuid: crypto.randomUUID(), kind, step: props.step.key, at: Date.now(), ...more }),
    )
    return true
  } catch (error) {
    trouble.value = inWords(error)
    return false
  }
}
async function keepNote(): Promise<void> {
  if (note.value.trim() && (await keep('note', { text: note.value }))) {
    note.value = ''
    shows.value = ''
  }
}
const camera = ref<HTMLInputElement>()
async function keepPhoto(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  ;(event.target as HTMLInputElement).value = ''
  if (!file) return
  trouble.value = ''
  try {
    const { id } = await api.picture(file)
    await keep('photo', { picture: id })
  } catch (error) {
    trouble.value = inWords(error)
  }
}
/** Needles that broke at this step, and whether a tip of theirs may still be in the piece. */
const here = (kind: LogEntry['kind']) =>
  (props.diary?.sittings ?? []).flatMap((s) => s.entries).filter((e) => e.kind === kind && e.step === props.step.key)
const broken = computed(() => here('broken'))
const tips = computed(() => Math.min(props.diary?.tipsMissing ?? 0, broken.value.length - here('found').length))
const where = ref('')
async function broke(isFound: boolean): Promise<void> {
  const gauge = props.step.needle?.gauge
  const place = where.value.trim()
  const text = t('build.logFields.aBroke', { gauge, what: place ? `: ${place}` : '' })
  if ((await keep('broken', { gauge, text })) && (!isFound || (await keep('found')))) {
    where.value = ''
    shows.value = ''
    emit('back')
  }
}
async function found(): Promise<void> {
  if (await keep('found')) emit('back')
}
/** It did not break after all: what was noted of its tip goes with it. */
async function takeBack(): Promise<void> {
  const last = broken.value.at(-1)
  const tip = here('found').at(-1)
  if (!last) return
  trouble.value = ''
  try {
    if (tip && tip.at >= last.at) await api.dropEntry(figure.id, tip.uuid)
    emit('kept', await api.dropEntry(figure.id, last.uuid))
    emit('back')
  } catch (error) {
    trouble.value = inWords(error)
  }
}
async function weigh(grams: number): Promise<void> {
  last.value = grams
  await keep('weighed', { grams })
}
</script>

<template>
  <div class="log" role="group" :aria-label="$t('build.logFields.log')">
    <div class="row">
      <v-btn v-if="step.wantedG > 0" size="small" variant="tonal" @click="shows = shows === 'scale' ? '' : 'scale'">{{
        $t('build.logFields.weighIn')
      }}</v-btn>
      <v-btn size="small" variant="tonal" @click="shows = shows === 'note' ? '' : 'note'">{{
        $t('build.logFields.note')
      }}</v-btn>
      <v-btn size="small" variant="tonal" @click="camera?.click()">{{ $t('build.logFields.photo') }}</v-btn>
      <input
        ref="camera"
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        :aria-label="$t('build.logFields.photoOfThisStep')"
        @change="keepPhoto"
      />
      <v-btn
        v-if="step.needle"
        size="small"
        variant="tonal"
        :aria-expanded="shows === 'broken'"
        @click="shows = shows === 'broken' ? '' : 'broken'"
        >{{ $t('build.logFields.needleBroke') }}</v-btn
      >
    </div>
    <template v-if="shows === 'scale'">
      <svg
        v-if="last !== null"
        viewBox="-52 -50 104 58"
        class="dial"
        role="img"
        :aria-label="$t('build.logFields.offBy', { off: units.g(off) })"
      >
        <path d="M-44 0A44 44 0 0 1 44 0" class="arc" />
        <path d="M0 -36V-46" class="target" />
        <path d="M0 0V-38" class="hand" :transform="`rotate(${dial})`" />
      </svg>
      <p class="small">
        {{ $t('build.logFields.wanted') }} <b>{{ units.g(step.wantedG) }}</b><template v-if="last !== null">{{
          $t('build.logFields.onThePan', {
            last: units.g(last),
            what:
              Math.abs(off) <= step.withinG
                ? $t('build.logFields.right')
                : `: ${off > 0 ? $t('build.logFields.take') : $t('build.logFields.add')} ${units.g(Math.abs(off))}${off > 0 ? $t('build.logFields.off') : ''}.`,
          })
        }}</template>
      </p>
      <ScalePanel @take="weigh" />
    </template>
    <form v-if="shows === 'note'" class="row" @submit.prevent="keepNote">
      <v-textarea v-model="note" :label="$t('build.logFields.noteToThisStep')" rows="2" auto-grow maxlength="2000" />
      <v-btn type="submit" color="primary" variant="flat" :disabled="!note.trim()">{{
        $t('build.logFields.keep')
      }}</v-btn>
    </form>
    <form
      v-if="shows === 'broken' && step.needle"
      class="broken"
      :aria-label="$t('build.logFields.needleBroke')"
      @submit.prevent
    >
      <p>
        <b>{{ $t('build.logFields.stopAndLookForThe', { gauge: step.needle.gauge }) }}</b>
        {{ $t('build.logFields.feelForItLookWith') }}
      </p>
      <v-text-field v-model="where" :label="$t('build.logFields.whereItBrokeIfYou')" maxlength="200" hide-details />
      <div class="row">
        <v-btn size="small" color="primary" variant="flat" @click="broke(true)">{{
          $t('build.logFields.iHaveTheTip')
        }}</v-btn>
        <v-btn size="small" variant="tonal" @click="broke(false)">{{ $t('build.logFields.notFoundYet') }}</v-btn>
        <v-btn size="small" variant="text" @click="((shows = ''), emit('back'))">{{
          $t('build.logFields.itDidNotBreak')
        }}</v-btn>
      </div>
    </form>
    <div v-if="broken.length" class="broken" :class="{ wrong: tips > 0 }" role="status">
      <p>
        {{
          broken.length === 1
            ? broken[0]!.text || $t('build.logFields.aNeedleBroke')
            : $t('build.logFields.needlesBrokeHere', { broken: broken.length })
        }}.
        {{ tips > 0 ? $t('build.logFields.aTipMayStillBe') : $t('build.logFields.theTipWasFound') }}
      </p>
      <div class="row">
        <v-btn v-if="tips > 0" size="small" variant="flat" color="warning" @click="found">{{
          $t('build.logFields.tipFound')
        }}</v-btn>
        <v-btn size="small" variant="text" @click="takeBack">{{ $t('build.logFields.takeBack') }}</v-btn>
      </div>
    </div>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.log {
  display: grid;
  gap: 0.5rem;
}
.log p {
  margin: 0;
}
.broken {
  display: grid;
  gap: 0.4rem;
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding-left: 0.6rem;
}
.dial {
  width: 150px;
  justify-self: center;
}
.arc {
  fill: none;
  stroke: rgb(var(--v-theme-thread));
  stroke-width: 3;
}
.target {
  stroke: rgb(var(--v-theme-success));
  stroke-width: 4;
}
.hand {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
  stroke-linecap: round;
}
</style>
