<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { api, type Evenings } from '../../api/client'
import type { Schedule } from '../../api/types/schedule'
import type { WorkStep } from '../../api/types/steps'
import { useAnswer } from '../../api/useAnswer'
import { download } from '../../shared/download'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { own } from '../../state/own'
import { dates, t } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'

/** The work as evenings: how long, on which days, ready by when; one bar for each, hands below, what dries above. */
const show = defineModel<boolean>({ required: true })
const props = defineProps<{ steps: WorkStep[] }>()
const emit = defineEmits<{ look: [key: string] }>()
const figure = useFigure()
const units = useUnits()

const KEY = 'evenings'
const usual: Evenings = { sitting: 90, days: ['tue', 'thu'], from: '', by: '', at: '19:00' }
function kept(): Partial<Evenings> {
  try {
    return JSON.parse(own.read(KEY) ?? '{}') as Partial<Evenings>
  } catch {
    return {}
  }
}
const evenings = reactive<Evenings>({ ...usual, ...kept(), from: '', by: '' })
watch(evenings, (now) => own.write(KEY, JSON.stringify(now)))
const DAYS = [
  { value: 'mon', title: t('build.eveningsDialog.mon') },
  { value: 'tue', title: t('build.eveningsDialog.tue') },
  { value: 'wed', title: t('build.eveningsDialog.wed') },
  { value: 'thu', title: t('build.eveningsDialog.thu') },
  { value: 'fri', title: t('build.eveningsDialog.fri') },
  { value: 'sat', title: t('build.eveningsDialog.sat') },
  { value: 'sun', title: t('build.eveningsDialog.sun') },
]
const { answer: schedule, trouble } = useAnswer(
  [show, () => figure.document, () => ({ ...evenings }), () => figure.done.join()],
  () => (show.value && figure.document ? api.schedule(figure.document, evenings, figure.done) : null),
)

const stepOf = (key: string) => props.steps.find((s) => s.key === key)
const title = (key: string) => stepOf(key)?.title ?? key
const day = (time: string) =>
  new Date(time).toLocaleDateString(dates(), { weekday: 'short', day: 'numeric', month: 'short' })
const hour = (time: string) => new Date(time).toLocaleTimeString(dates(), { hour: '2-digit', minute: '2-digit' })
/** How a bout is tinted: by the stage of the work, not by a wool's colour. */
const TINTS: Record<WorkStep['stage'], string> = {
  insides: 'thread',
  colour: 'secondary',
  face: 'warning',
  joining: 'primary',
  last: 'success',
}
const nameOf = (key: string) => TINTS[stepOf(key)?.stage ?? 'insides']
const ink = (key: string) => `rgb(var(--v-theme-on-${nameOf(key) === 'thread' ? 'surface' : nameOf(key)}))`
const tint = (key: string) => `rgb(var(--v-theme-${nameOf(key)}))`
const LEGEND = [
  ['thread', t('build.eveningsDialog.coresPortions')],
  ['secondary', t('build.eveningsDialog.covers')],
  ['warning', t('build.eveningsDialog.faceAndDetails')],
  ['primary', t('build.eveningsDialog.joins')],
  ['success', t('build.eveningsDialog.theLastLook')],
]
/** A bout narrower than this share of the picture has no room for its name; it is told when pointed at. */
const LABELLED = 0.07
const widest = computed(() => Math.max(30, ...(schedule.value?.sittings ?? []).map((s) => s.minutes)))
const dryingOf = (i: number) => (schedule.value?.drying ?? []).filter((d) => d.sitting === i)
const sentence = computed(() => {
  const s = schedule.value
  if (!s) return ''
  const count = s.sittings.length
  if (!count) return t('build.eveningsDialog.everyStepIsDoneThere')
  const range = t('build.eveningsDialog.to', {
    lowMinutes: units.minutes(s.lowMinutes),
    highMinutes: units.minutes(s.highMinutes),
  })
  return t(figure.done.length ? 'build.eveningsDialog.aboutLeft' : 'build.eveningsDialog.about', {
    handsMinutes: units.minutes(s.handsMinutes),
    range,
    sittings: t('build.eveningsDialog.sittings', count),
    elapsedMinutes: units.minutes(s.elapsedMinutes),
    lowerBoundMinutes: units.minutes(s.lowerBoundMinutes),
  })
})
const late = computed(() => {
  const s = schedule.value
  if (!s?.by) return ''
  return s.sittingsMissing
    ? t('build.eveningsDialog.notReadyBySittingToo', {
        by: day(s.by),
        sittings: t('build.eveningsDialog.sittings', s.sittingsMissing),
      })
    : t('build.eveningsDialog.readyBy', { by: day(s.by) })
})
const toggle = (value: string) =>
  (evenings.days = evenings.days.includes(value)
    ? evenings.days.filter((d) => d !== value)
    : DAYS.map((d) => d.value).filter((d) => d === value || evenings.days.includes(d)))

async function calendar(): Promise<void> {
  if (figure.document)
    download(await api.calendar(figure.document, evenings, figure.done), `${figure.document.name}.ics`)
}
const gained = (help: Schedule['helps'][number]) =>
  help.gainMinutes ? t('build.eveningsDialog.less', { gainMinutes: units.minutes(help.gainMinutes) }) : ''
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('build.eveningsDialog.evenings')" max-width="980">
    <v-card :title="$t('build.eveningsDialog.evenings')">
      <v-card-text class="fields">
        <div class="row wishes">
          <v-text-field
            v-model.number="evenings.sitting"
            type="number"
            min="15"
            max="720"
            step="5"
            :label="$t('build.eveningsDialog.aSitting')"
            :suffix="$t('build.eveningsDialog.min')"
          />
          <div class="days" role="group" :aria-label="$t('build.eveningsDialog.days')">
            <v-btn
              v-for="d in DAYS"
              :key="d.value"
              size="small"
              :variant="evenings.days.includes(d.value) ? 'flat' : 'outlined'"
              :color="evenings.days.includes(d.value) ? 'secondary' : undefined"
              :aria-pressed="evenings.days.includes(d.value)"
              @click="toggle(d.value)"
              >{{ d.title }}</v-btn
            >
          </div>
          <v-text-field v-model="evenings.at" type="time" :label="$t('common.from')" />
          <v-text-field v-model="evenings.from" type="date" :label="$t('build.eveningsDialog.firstDay')" />
          <v-text-field v-model="evenings.by" type="date" :label="$t('build.eveningsDialog.readyBy2')" />
        </div>
        <v-alert v-if="trouble" type="warning" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <v-progress-linear
          v-else-if="!schedule"
          indeterminate
          color="primary"
          :aria-label="$t('build.eveningsDialog.layingItIntoEvenings')"
        />
        <template v-else>
          <p>
            {{ sentence }}{{ ' '
            }}<HowNumber v-if="schedule.sittings.length && !figure.done.length" number="hands">{{
              $t('help.howNumber.how')
            }}</HowNumber>
          </p>
          <template v-if="late"
            ><p>
              <b>{{ late }}</b>
            </p>
            <ul v-if="schedule.helps.length" class="helps">
              <li v-for="h in schedule.helps" :key="h.kind">{{ h.text }}{{ gained(h) }}</li>
            </ul></template
          >
          <p class="row small legend">
            <span v-for="[name, words] in LEGEND" :key="name"
              ><i :style="{ background: `rgb(var(--v-theme-${name}))` }" />{{ words }}</span
            ><span><i class="rest" />{{ $t('build.eveningsDialog.rest') }}</span
            ><span><i class="dries" />{{ $t('build.eveningsDialog.drying') }}</span>
          </p>
          <ol class="bare sittings">
            <li v-for="(s, i) in schedule.sittings" :key="s.start">
              <p class="when">
                <b>{{ day(s.start) }}</b>
                <span class="quiet small">{{
                  $t('build.eveningsDialog.to2', { start: hour(s.start), end: hour(s.end) })
                }}</span>
              </p>
              <div class="bar">
                <span
                  v-for="d in dryingOf(i)"
                  :key="d.key"
                  class="dries"
                  :title="$t('build.eveningsDialog.dries', { d: title(d.key) })"
                  :style="{
                    left: `${(d.startMinute / widest) * 100}%`,
                    width: `${((Math.min(d.endMinute, widest) - d.startMinute) / widest) * 100}%`,
                  }"
                />
                <button
                  v-for="b in s.steps"
                  :key="b.key + b.startMinute"
                  class="bout"
                  :title="`${title(b.key)}, ${units.minutes(b.endMinute - b.startMinute)}`"
                  :aria-label="`${title(b.key)}, ${units.minutes(b.endMinute - b.startMinute)}`"
                  :style="{
                    left: `${(b.startMinute / widest) * 100}%`,
                    width: `${((b.endMinute - b.startMinute) / widest) * 100}%`,
                    background: tint(b.key),
                    color: ink(b.key),
                  }"
                  @click="(emit('look', b.key), (show = false))"
                >
                  <template v-if="b.endMinute - b.startMinute > LABELLED * widest">{{ title(b.key) }}</template>
                </button>
                <span
                  v-for="r in s.rests"
                  :key="r.startMinute"
                  class="rest"
                  :style="{
                    left: `${(r.startMinute / widest) * 100}%`,
                    width: `${((r.endMinute - r.startMinute) / widest) * 100}%`,
                  }"
                />
              </div>
            </li>
          </ol>
        </template>
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.close') }}</v-btn>
        <v-btn color="primary" variant="flat" :disabled="!schedule?.sittings.length" @click="calendar">{{
          $t('build.eveningsDialog.intoTheCalendar')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.8rem;
}
.wishes > * {
  flex: 1 1 120px;
}
.days {
  display: flex;
  flex: 2 1 330px;
  gap: 0.2rem;
}
.days .v-btn {
  min-width: 44px;
  padding: 0 0.4rem;
}
.helps {
  padding-left: 1.2rem;
}
.legend span {
  display: inline-flex;
  align-items: center;
  gap: 0.35rem;
}
.legend i {
  width: 1.1rem;
  height: 0.8rem;
  border-radius: 3px;
  position: static !important;
}
.sittings {
  display: grid;
  gap: 0.5rem;
}
.sittings li {
  display: grid;
  grid-template-columns: 170px 1fr;
  align-items: center;
}
.when {
  display: grid;
}
.bar {
  position: relative;
  height: 46px;
  border-bottom: var(--stitch);
}
.bar > * {
  position: absolute;
}
.bout {
  bottom: 0;
  height: 30px;
  border: 1px solid rgb(var(--v-theme-surface));
  border-radius: 4px;
  cursor: pointer;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: clip;
  font-size: 0.72rem;
  padding: 0 3px;
  text-align: left;
}
.bout:focus-visible {
  outline: 3px solid rgb(var(--v-theme-on-surface));
}
.rest {
  bottom: 0;
  height: 30px;
  background: repeating-linear-gradient(45deg, transparent 0 4px, rgba(var(--v-theme-on-surface), 0.28) 4px 6px);
  border-radius: 4px;
}
.dries {
  top: 0;
  height: 10px;
  border-radius: 5px;
  background: rgb(var(--v-theme-info));
}
@media (max-width: 700px) {
  .sittings li {
    grid-template-columns: 1fr;
  }
}
</style>
