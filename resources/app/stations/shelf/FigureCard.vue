<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import type { Card } from '../../api/types/answers'
import { useUnits } from '../../state/units'
import HowNumber from '../../help/HowNumber.vue'

defineProps<{ card: Card; binned?: boolean }>()
defineEmits<{ throwAway: []; restore: [] }>()
const units = useUnits()
</script>

<template>
  <article class="sheet card">
    <component
      :is="binned ? 'div' : 'router-link'"
      :to="binned ? undefined : `/figures/${card.id}/shapes`"
      class="face"
    >
      <span class="stage"
        ><img
          :src="`/api/figures/${card.id}/render?px=320&revision=${card.revision}`"
          :alt="$t('shelf.figureCard.fromTheFront', { name: card.name })"
          width="220"
          height="220"
          loading="lazy"
      /></span>
      <h2>{{ card.name }}</h2>
    </component>
    <p class="facts">
      <component :is="binned ? 'span' : HowNumber" v-bind="binned ? {} : { number: 'total', figure: card.id }"
        >{{ units.mass(card.totalG).value }}<span class="unit">{{ units.mass(card.totalG).unit }}</span></component
      >
      <component :is="binned ? 'span' : HowNumber" v-bind="binned ? {} : { number: 'hands', figure: card.id }">{{
        units.minutes(card.handsMinutes)
      }}</component>
      <span class="quiet">{{
        card.done
          ? $t('shelf.figureCard.ofSteps', { done: card.done, steps: card.steps })
          : $t('shelf.figureCard.notBegun')
      }}</span>
    </p>
    <div class="foot">
      <v-progress-linear
        :model-value="card.steps ? (card.done / card.steps) * 100 : 0"
        color="success"
        bg-color="thread"
        rounded
        height="6"
        :aria-label="$t('shelf.figureCard.ofStepsDone', { done: card.done, steps: card.steps })"
      />
      <v-btn v-if="binned" @click="$emit('restore')">{{ $t('shelf.figureCard.bringBack') }}</v-btn>
      <v-btn
        v-else
        :icon="mdiDeleteOutline"
        variant="text"
        size="small"
        :aria-label="$t('shelf.figureCard.throwIntoTheBin', { name: card.name })"
        @click="$emit('throwAway')"
      />
    </div>
  </article>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  overflow: hidden;
}
.face {
  flex: 1;
}
.face {
  color: inherit;
  text-decoration: none;
  display: block;
}
.stage {
  display: grid;
  place-items: center;
  padding: 1rem;
  background: rgb(var(--v-theme-table));
  border-radius: 16px 16px 50% 50% / 16px 16px 22px 22px;
}
.stage img {
  filter: drop-shadow(0 5px 4px rgb(58 42 32 / 22%));
  max-width: 100%;
  height: auto;
}
h2 {
  padding: 0.8rem 1.1rem 0;
}
.facts {
  display: flex;
  gap: 1rem;
  padding: 0.2rem 1.1rem;
  font-weight: 600;
}
.foot {
  display: flex;
  align-items: center;
  gap: 0.8rem;
  padding: 0.1rem 0.7rem 0.6rem 1.1rem;
  min-height: 48px;
}
</style>
