<script setup lang="ts">
import { api } from '../../api/client'
import type { WorkStep } from '../../api/types/steps'
import { useAnswer } from '../../api/useAnswer'
import { useFigure } from '../../state/figure/figure'

/** The drawing of a step, as PHP draws it: the figure as far as it has got, the present piece lit, needles where they go in. */
const props = defineProps<{ step: WorkStep }>()
const figure = useFigure()
const { answer, trouble, waiting } = useAnswer(
  [() => props.step.key, () => figure.document],
  () => (figure.document ? api.stepPicture(figure.document, props.step.key) : null),
  true,
)
const NEEDLES = ['core', 'felt', 'cover', 'covering', 'detail', 'join', 'hide', 'loop', 'trim']
const words = (step: WorkStep) =>
  `${step.title}: ${
    {
      mix: 'heaps of its wools, and the one heap they become',
      portion: 'equal heaps of wool, side by side',
      compare: 'both pieces between two level lines',
      mark: 'where to prick, with the level line and the middle line',
      inspect: 'the finished figure from four sides',
    }[step.kind as string] ?? `the piece, lit${NEEDLES.includes(step.kind) ? ', with needles where they go in' : ''}`
  }`
</script>

<template>
  <div class="drawing">
    <img
      v-if="answer"
      :src="`data:image/svg+xml;utf8,${encodeURIComponent(answer.svg)}`"
      :alt="words(step)"
      :class="{ old: waiting }"
    />
    <p v-else-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <v-progress-linear v-else indeterminate color="primary" aria-label="Drawing the step" />
  </div>
</template>

<style scoped>
/* Drawn in the colours of paper, by day and by lamp. */
.drawing {
  background: #fffdf7;
  border-radius: 14px;
  min-height: 240px;
  display: grid;
  place-items: center;
  overflow: hidden;
  position: relative;
}
.drawing img {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.old {
  opacity: 0.5;
}
</style>
