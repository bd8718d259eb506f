<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { FaceGrid, FaceWork } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAnswer } from '../../api/useAnswer'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import MeasureLine from './board/MeasureLine.vue'
import { t } from '../../lang'

/** Where to prick each detail, by tape from the crown or from any other anchor; whether it reads; how even the whole is. */
const props = defineProps<{ part: string; work: FaceWork; grid: FaceGrid | null }>()
const figure = useFigure()
const units = useUnits()
const from = ref('crown')
/** With the anchor that it was measured from: another one's marks are never shown as this one's. */
async function measure(document: NonNullable<typeof figure.document>, part: string, anchor: string) {
  return { anchor, ...(await api.faceMarks(document, part, anchor)) }
}
const { answer: measured, trouble } = useAnswer(
  [from, () => figure.document, () => props.part],
  () => (figure.document ? measure(figure.document, props.part, from.value) : null),
  true,
)
// Its anchor is gone from the face: measured from the crown again.
watch(trouble, (gone) => {
  if (gone) from.value = 'crown'
})
const words: Record<string, string> = {
  crisp: t('face.marksPane.crisp'),
  soft: t('face.marksPane.soft'),
  lost: t('face.marksPane.lost'),
  'too-small': t('face.marksPane.tooSmall'),
}
const anchors = computed(() => (measured.value?.anchors ?? []).map((a) => ({ title: a.name, value: a.key })))
const detail = (key: string) => figure.details.find((d) => d.key === key)
const marks = computed(() =>
  (figure.board?.plan.details ?? [])
    .filter((d) => detail(d.key)?.on === props.part)
    .sort((a, b) => props.work.order.indexOf(a.key) - props.work.order.indexOf(b.key))
    .map((d) => ({
      ...d,
      marks:
        from.value === 'crown'
          ? d.marks
          : (measured.value?.anchor === from.value && measured.value.marks[d.key]) || null,
    })),
)
const signed = (mm: number) =>
  from.value === 'crown' ? units.length(Math.abs(mm)) : (mm > 0.05 ? '+' : '') + units.length(mm)
</script>

<template>
  <p v-if="!marks.length" class="quiet">
    {{ $t('face.marksPane.nothingOnYetPutEyes', { name: figure.parts.find((p) => p.key === part)?.name ?? part }) }}
  </p>
  <template v-else>
    <v-select
      v-if="anchors.length > 1"
      v-model="from"
      :items="anchors"
      :label="$t('face.marksPane.measuredFrom')"
      class="mb-1"
    />
    <table>
      <thead>
        <tr>
          <th>{{ $t('face.marksPane.no') }}</th>
          <th>{{ $t('face.marksPane.what') }}</th>
          <th>{{ $t('face.marksPane.across') }}</th>
          <th>{{ from === 'crown' ? $t('face.marksPane.down') : $t('face.marksPane.downUp') }}</th>
          <th>{{ $t('face.marksPane.reads') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(m, i) in marks" :key="m.key" :class="{ chosen: figure.chosenDetails.includes(m.key) }">
          <td>{{ i + 1 }}</td>
          <td>
            <button class="plain name" @click="figure.choose(m.key, $event.shiftKey, 'detail')">
              <i class="swatch tiny" :style="{ background: figure.colourOf(detail(m.key)?.colour ?? '') }" />
              {{ detail(m.key)?.name ?? m.key }}<small v-if="m.count > 1" class="quiet"> x {{ m.count }}</small>
            </button>
          </td>
          <td :data-mark="m.key">{{ m.marks ? signed(m.marks.acrossMm) : $t('face.marksPane.off') }}</td>
          <td>{{ m.marks ? signed(m.marks.downMm) : $t('face.marksPane.off') }}</td>
          <td :class="m.crisp">{{ words[m.crisp] }}</td>
        </tr>
      </tbody>
    </table>
    <p class="even" role="status">
      {{
        $t('face.marksPane.levelWithinEvenWithin', {
          levelMm: units.mm(work.evenness.levelMm),
          asideMm: units.mm(work.evenness.asideMm),
        })
      }}
      <template v-if="grid?.girth.mm"
        >{{ $t('face.marksPane.girth', { girth: units.mm(grid.girth.mm) })
        }}<template v-if="grid.girth.downMm !== null">{{
          $t('face.marksPane.atDown', { downMm: units.mm(grid.girth.downMm) })
        }}</template
        >.</template
      >
    </p>
    <p class="quiet small">
      {{
        $t('face.marksPane.inByTapeOnThe', {
          lengthUnit: units.lengthUnit.value,
          what:
            from === 'crown' ? $t('face.marksPane.acrossFromTheMiddleLine') : $t('face.marksPane.firstUpOrDownFrom'),
        })
      }}
    </p>
    <MeasureLine :part="part" />
  </template>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  margin: 0.4rem 0;
}
th {
  text-align: left;
  font-size: 0.8rem;
  color: rgb(var(--v-theme-quiet));
}
td {
  padding: 0.1rem 0.3rem 0.1rem 0;
  font-weight: 600;
  border-top: 1px solid rgb(var(--v-theme-grid));
}
tr.chosen td {
  background: rgba(var(--v-theme-secondary), 0.1);
}
.name {
  min-height: 34px;
  font-weight: 600;
}
.tiny {
  width: 0.8rem;
  height: 0.8rem;
  border-width: 1px;
}
.crisp {
  color: rgb(var(--v-theme-success));
}
.soft {
  color: rgb(var(--v-theme-warning));
}
.lost,
.too-small {
  color: rgb(var(--v-theme-error));
}
.small,
.even {
  font-size: 0.84rem;
}
.even {
  font-weight: 600;
}
</style>
