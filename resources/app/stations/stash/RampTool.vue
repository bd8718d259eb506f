<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Wool } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAnswer } from '../../api/useAnswer'

/** A gradient between two wools in steps that look alike: shares of each mix. */
const props = defineProps<{ wools: Wool[] }>()
const coloured = computed(() =>
  props.wools.filter((w) => w.hex && w.material === 'wool').map((w) => ({ title: w.name, value: w.hex ?? '' })),
)
const from = ref('')
const to = ref('')
const steps = ref(5)
const name = (hex: string) => coloured.value.find((c) => c.value === hex)?.title ?? hex
const { answer, trouble, waiting } = useAnswer([from, to, steps], () =>
  from.value && to.value ? api.ramp(from.value, to.value, Number(steps.value)) : null,
)
const ramp = computed(() => (waiting.value ? [] : (answer.value?.steps ?? [])))
</script>

<template>
  <section class="sheet ramp" :aria-label="$t('stash.rampTool.aGradient')">
    <div class="row">
      <h2>{{ $t('stash.rampTool.aGradient') }}</h2>
      <v-select v-model="from" :items="coloured" :label="$t('common.from')" class="end" />
      <v-select v-model="to" :items="coloured" :label="$t('stash.rampTool.to')" class="end" />
      <v-select v-model="steps" :items="[3, 4, 5, 6, 7, 8, 10, 12]" :label="$t('stash.rampTool.steps')" class="steps" />
    </div>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <ol v-if="ramp.length" class="bare" :aria-label="$t('stash.rampTool.fromTo', { from: name(from), to: name(to) })">
      <li v-for="(s, i) in ramp" :key="i">
        <i :style="{ background: s.hex }" /><b>{{ 100 - s.percent }} : {{ s.percent }}</b
        ><small class="unit">{{ s.hex }}</small>
      </li>
    </ol>
    <p v-else class="quiet">{{ $t('stash.rampTool.chooseTwoWoolsTheirMixes') }}</p>
  </section>
</template>

<style scoped>
.ramp {
  padding: 0.8rem 1.2rem 1rem;
}
.end {
  max-width: 200px;
}
.steps {
  max-width: 100px;
}
ol {
  display: flex;
  gap: 0;
  margin-top: 0.7rem;
  flex-wrap: wrap;
}
li {
  flex: 1;
  min-width: 70px;
  text-align: center;
  line-height: 1.2;
}
li i {
  display: block;
  height: 46px;
}
li small {
  display: block;
}
li:first-child i {
  border-radius: 12px 0 0 12px;
}
li:last-child i {
  border-radius: 0 12px 12px 0;
}
</style>
