<script setup lang="ts">
import { computed } from 'vue'
import type { Diary } from '../../api/types/answers'
import { api } from '../../api/client'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { dates, t } from '../../lang'

/** The log of the figure, sitting by sitting, and what was planned beside what it took. */
const show = defineModel<boolean>({ required: true })
const props = defineProps<{ diary: Diary | null }>()
const emit = defineEmits<{ changed: [diary: Diary] }>()
const figure = useFigure()
const units = useUnits()

const titleOf = (key: string) => props.diary?.steps.find((s) => s.key === key)?.title ?? key
const day = (ms: number) => new Date(ms).toLocaleDateString(dates(), { weekday: 'long', day: 'numeric', month: 'long' })
const hour = (ms: number) => new Date(ms).toLocaleTimeString(dates(), { hour: '2-digit', minute: '2-digit' })
const worked = computed(() => (props.diary?.steps ?? []).filter((s) => s.done > 0.01))
const most = computed(() => Math.max(1, ...worked.value.map((s) => Math.max(s.planned, s.done))))
const tookWords = {
  longer: t('build.diaryDialog.longerThan'),
  shorter: t('build.diaryDialog.shorterThan'),
  'as planned': t('build.diaryDialog.aboutAsLongAs'),
}
const sentence = computed(() => {
  const diary = props.diary
  if (!diary || diary.took === 'nothing')
    return t('build.diaryDialog.isLoggedYetTheClock', {
      what: diary?.sittings.length ? t('build.diaryDialog.noTime') : t('build.diaryDialog.nothing'),
    })
  const planned = worked.value.reduce((sum, s) => sum + s.planned, 0)
  return t('build.diaryDialog.soFarPlannedForThese', {
    diary: units.minutes(diary.minutes),
    took: tookWords[diary.took],
    planned: units.minutes(planned),
  })
})
const wordOf: Record<string, string> = {
  note: '',
  photo: '',
  weighed: t('build.diaryDialog.weighed'),
  broken: t('build.diaryDialog.needleBroke'),
  found: t('build.diaryDialog.tipFound'),
  mended: t('build.diaryDialog.mended'),
}
async function drop(uuid: string): Promise<void> {
  emit('changed', await api.dropEntry(figure.id, uuid))
}
async function found(): Promise<void> {
  emit(
    'changed',
    await api.logEntry(figure.id, { uuid: crypto.randomUUID(), kind: 'found', text: '', step: '', at: Date.now() }),
  )
}
const missing = computed(() => props.diary?.tipsMissing ?? 0)
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('build.diaryDialog.diary')" max-width="760">
    <v-card :title="$t('build.diaryDialog.diary')">
      <v-card-text class="pages">
        <p>
          <b>{{ sentence }}</b>
        </p>
        <v-alert v-if="missing > 0" type="warning" variant="tonal" role="alert">
          {{
            $t('build.diaryDialog.mayStillBeInThe', {
              what:
                missing === 1
                  ? $t('build.diaryDialog.aNeedleBrokeAndIts')
                  : $t('build.diaryDialog.needlesBrokeAndTheirTips', { missing }),
            })
          }}
          <template #append
            ><v-btn size="small" variant="flat" @click="found">{{ $t('build.diaryDialog.tipFound') }}</v-btn></template
          >
        </v-alert>
        <table v-if="worked.length">
          <caption class="quiet small">
            {{
              $t('build.diaryDialog.palePlannedDarkWhatIt')
            }}
          </caption>
          <tbody>
            <tr v-for="s in worked" :key="s.key">
              <th scope="row">{{ s.title }}</th>
              <td class="bars">
                <i class="planned" :style="{ width: `${(s.planned / most) * 100}%` }" />
                <i class="done" :style="{ width: `${(s.done / most) * 100}%` }" />
              </td>
              <td class="quiet small">{{ units.minutes(s.planned) }}, {{ units.minutes(s.done) }}</td>
            </tr>
          </tbody>
        </table>
        <section v-for="s in [...(diary?.sittings ?? [])].reverse()" :key="s.from" class="sitting">
          <h3>{{ $t('build.diaryDialog.to', { from: day(s.from), from2: hour(s.from), to: hour(s.to) }) }}</h3>
          <p v-if="s.steps.length">
            {{ s.steps.map((x) => `${titleOf(x.key)} (${units.minutes(x.minutes)})`).join(', ') }}.
          </p>
          <p v-if="s.changed.length" class="quiet">{{ s.changed.join(', ') }}.</p>
          <ul v-if="s.entries.length" class="bare">
            <li v-for="e in s.entries" :key="e.uuid" class="row">
              <span
                ><span class="quiet small">{{ hour(e.at) }}{{ e.step ? `, ${titleOf(e.step)}` : '' }}</span>
                {{
                  [wordOf[e.kind], e.grams === null ? '' : units.g(e.grams), e.text].filter(Boolean).join(': ')
                }}</span
              >
              <a v-if="e.picture" :href="`/api/pictures/${e.picture}`" target="_blank" class="photo"
                ><img :src="`/api/pictures/${e.picture}`" :alt="`Photo, ${titleOf(e.step)}`" loading="lazy"
              /></a>
              <v-btn size="x-small" variant="text" @click="drop(e.uuid)">{{ $t('build.diaryDialog.takeOut') }}</v-btn>
            </li>
          </ul>
        </section>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.pages {
  display: grid;
  gap: 0.9rem;
}
table {
  border-collapse: collapse;
  width: 100%;
}
caption {
  text-align: left;
}
th {
  text-align: left;
  font-weight: 600;
  padding: 0.25rem 0.8rem 0.25rem 0;
}
.bars {
  width: 50%;
}
.bars i {
  display: block;
  height: 9px;
  border-radius: 5px;
}
.planned {
  background: rgb(var(--v-theme-thread));
}
.done {
  background: rgb(var(--v-theme-primary));
  margin-top: 2px;
}
.sitting {
  border-top: var(--stitch);
  padding-top: 0.6rem;
  display: grid;
  gap: 0.3rem;
}
.photo img {
  height: 84px;
  border-radius: 8px;
  display: block;
}
.sitting li > :last-child {
  margin-left: auto;
}
</style>
