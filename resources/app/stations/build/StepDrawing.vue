<script setup lang="ts">
import { api } from '../../api/client'
import type { WorkStep } from '../../api/types/steps'
import { useAnswer } from '../../api/useAnswer'
import { useFigure } from '../../state/figure/figure'
import { t } from '../../lang'

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
      mix: t('build.stepDrawing.heapsOfItsWoolsAnd'),
      portion: t('build.stepDrawing.equalHeapsOfWoolSide'),
      compare: t('build.stepDrawing.bothPiecesBetweenTwoLevel'),
      mark: t('build.stepDrawing.whereToPrickWithThe'),
      inspect: t('build.stepDrawing.theFinishedFigureFromFour'),
    }[step.kind as string] ??
    t('build.stepDrawing.thePieceLit', {
      what: NEEDLES.includes(step.kind) ? t('build.stepDrawing.withNeedlesWhereTheyGo') : '',
    })
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
    <v-progress-linear v-else indeterminate color="primary" :aria-label="$t('build.stepDrawing.drawingTheStep')" />
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
