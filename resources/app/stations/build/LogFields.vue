<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Diary, LogEntry } from '../../api/answers'
import { api } from '../../api/client'
import type { WorkStep } from '../../api/steps'
import { useFigure } from '../../state/figure'
import { useUnits } from '../../state/units'
import ScalePanel from '../stash/ScalePanel.vue'
import { inWords } from '../../api/useTelling'

/** What is noted beside the step: a note, a photo, a weight from the scale against what was wanted, a broken needle. */
const props = defineProps<{ step: WorkStep }>()
const emit = defineEmits<{ kept: [diary: Diary] }>()
const figure = useFigure()
const units = useUnits()
const note = ref('')
const trouble = ref('')
const shows = ref<'' | 'scale' | 'note'>('')

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
async function weigh(grams: number): Promise<void> {
  last.value = grams
  await keep('weighed', { grams })
}
</script>

<template>
  <div class="log" role="group" aria-label="Log">
    <div class="row">
      <v-btn v-if="step.wantedG > 0" size="small" variant="tonal" @click="shows = shows === 'scale' ? '' : 'scale'"
        >Weigh in</v-btn
      >
      <v-btn size="small" variant="tonal" @click="shows = shows === 'note' ? '' : 'note'">Note</v-btn>
      <v-btn size="small" variant="tonal" @click="camera?.click()">Photo</v-btn>
      <input
        ref="camera"
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label="Photo of this step"
        @change="keepPhoto"
      />
      <v-btn
        v-if="step.needle"
        size="small"
        variant="tonal"
        @click="keep('broken', { gauge: step.needle.gauge, text: `A ${step.needle.gauge} broke` })"
        >Needle broke</v-btn
      >
    </div>
    <template v-if="shows === 'scale'">
      <svg
        v-if="last !== null"
        viewBox="-52 -50 104 58"
        class="dial"
        role="img"
        :aria-label="`Off by ${off.toFixed(2)} g`"
      >
        <path d="M-44 0A44 44 0 0 1 44 0" class="arc" />
        <path d="M0 -36V-46" class="target" />
        <path d="M0 0V-38" class="hand" :transform="`rotate(${dial})`" />
      </svg>
      <p class="small">
        Wanted: <b>{{ units.massLine(step.wantedG) }}</b><template v-if="last !== null"
          >; on the pan {{ units.massLine(last)
          }}{{
            Math.abs(off) <= step.withinG
              ? ': right.'
              : `: ${off > 0 ? 'take' : 'add'} ${units.massLine(Math.abs(off))}${off > 0 ? ' off' : ''}.`
          }}</template
        >
      </p>
      <ScalePanel @take="weigh" />
    </template>
    <form v-if="shows === 'note'" class="row" @submit.prevent="keepNote">
      <v-textarea v-model="note" label="Note to this step" rows="2" auto-grow maxlength="2000" />
      <v-btn type="submit" color="primary" variant="flat" :disabled="!note.trim()">Keep</v-btn>
    </form>
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
