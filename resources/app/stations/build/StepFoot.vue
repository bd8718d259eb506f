<script setup lang="ts">
import { computed } from 'vue'
import type { WorkStep } from '../../api/types/steps'
import { useUnits } from '../../state/units'
import TradeText from '../../help/TradeText.vue'

/** What must be seen before a step is ticked: when it is done, and where it can hurt. It stands by the button, never below an edge. */
const props = defineProps<{ step: WorkStep }>()
const units = useUnits()
const measure = computed(() => {
  const m = props.step.measureMm
  return m ? `${units.box(m.w, m.h, m.d)}` : ''
})
</script>

<template>
  <div class="foot">
    <p>
      <span class="quiet">{{ $t('build.stepFoot.doneWhen') }}</span>{{ ' ' }}<TradeText :text="step.look" /><span
        v-if="measure"
        class="unit"
        >{{ measure }}</span
      >
    </p>
    <ul v-if="step.cautions.length" class="bare cautions" :aria-label="$t('build.stepFoot.takeCare')">
      <li v-for="c in step.cautions" :key="c">{{ c }}</li>
    </ul>
  </div>
</template>

<style scoped>
.foot {
  display: grid;
  gap: 0.25rem;
  border-top: var(--stitch);
  padding-top: 0.5rem;
}
.foot p {
  margin: 0;
  line-height: 1.3;
}
.cautions {
  font-size: 0.9rem;
  line-height: 1.3;
}
.cautions li::before {
  content: '! ';
  font-weight: 800;
  color: rgb(var(--v-theme-warning));
}
</style>
