<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import type { Detail } from '../../../api/types/figure'
import { detailMiddle, type Point } from '../../../drawing/geometry'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { t } from '../../../lang'

/** From one detail to another, by calipers and by a taut tape; a pair is measured from its one to its other as well. */
const props = defineProps<{ part: string }>()
const figure = useFigure()
const units = useUnits()
const from = ref('')
const to = ref('')
const places = computed(() => {
  const list: { title: string; value: string; at: Point }[] = [
    { title: t('face.measureLine.theMiddleOfThePart'), value: 'middle', at: [0, 0] },
  ]
  for (const d of figure.details.filter((x) => x.on === props.part && (x.side ?? 'front') === 'front')) {
    const [x, y] = detailMiddle(d as Detail)
    const name = d.name ?? d.key
    list.push({ title: d.mirror ? t('face.measureLine.right', { name }) : name, value: d.key, at: [x, y] })
    if (d.mirror)
      list.push({
        title: t('face.measureLine.left', { name }),
        value: t('face.measureLine.twin', { d: d.key }),
        at: [-x, y],
      })
  }
  return list
})
const at = (value: string) => places.value.find((p) => p.value === value)?.at
const { answer, trouble, waiting } = useAnswer([from, to, places], () => {
  const [a, b] = [at(from.value), at(to.value)]
  return !a || !b || !figure.document || from.value === to.value
    ? null
    : api.between(figure.document, props.part, [a, b])
})
// Another pair's measure is never shown as this one's.
const said = computed(() =>
  waiting.value
    ? ''
    : answer.value
      ? t('face.measureLine.byCalipersByTape', {
          pinMm: units.mm(answer.value.pinMm),
          tapeMm: units.mm(answer.value.tapeMm),
        })
      : trouble.value,
)
</script>

<template>
  <div class="measure" role="group" :aria-label="$t('face.measureLine.fromMarkToMark')">
    <v-select v-model="from" :items="places" :label="$t('common.from')" /><v-select
      v-model="to"
      :items="places"
      :label="$t('face.measureLine.to')"
    />
    <b role="status">{{ said }}</b>
  </div>
</template>

<style scoped>
.measure {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.5rem;
  margin-top: 0.7rem;
  padding-top: 0.7rem;
  border-top: var(--stitch);
}
.measure b {
  grid-column: 1 / -1;
  min-height: 1.4em;
}
</style>
