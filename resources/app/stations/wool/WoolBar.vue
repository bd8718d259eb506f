<script setup lang="ts">
import { computed } from 'vue'
import type { Need } from '../../api/types/answers'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { t, within } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'

/** Low, likely and high as one bar; what is wanted with the reserve as a notch, what the stash has free as a line across. */
const props = defineProps<{ need: Need; scaleG: number }>()
const figure = useFigure()
const units = useUnits()
const x = (g: number) => Math.min(100, (g / props.scaleG) * 100)
/** Grams that are told behind ounces have a line of their own. */
const weight = computed(() => {
  const [oz = '', g = ''] = units.g(props.need.g).split(/ (?=\()/)
  return { oz, g }
})
const into = computed(() => props.need.colours.map((c) => within(figure.colourName(c))).join(', '))
const verdict = computed(() => {
  const n = props.need
  if (n.state === 'none') return { text: t('wool.woolBar.nothingLikeItInThe'), tone: 'short' }
  if (n.state === 'enough') return { text: t('wool.woolBar.enoughFree', { freeG: units.g(n.freeG) }), tone: 'enough' }
  if (n.state === 'tight')
    return { text: t('wool.woolBar.likelyEnoughShortOfSafe', { lackG: units.g(n.lackG) }), tone: 'tight' }
  return { text: t('wool.woolBar.shortByFree', { lackG: units.g(n.lackG), freeG: units.g(n.freeG) }), tone: 'short' }
})
</script>

<template>
  <li class="wool">
    <i class="swatch" :style="{ background: need.hex }" />
    <div class="what">
      <b>{{ need.name }}</b>
      <small :class="verdict.tone"
        >{{ verdict.text
        }}<span v-if="into && into !== within(need.name)" class="quiet">{{
          $t('wool.woolBar.for', { into })
        }}</span></small
      >
    </div>
    <svg class="bar" viewBox="0 0 100 16" preserveAspectRatio="none" aria-hidden="true">
      <rect :x="x(need.lowG)" y="4" :width="x(need.highG) - x(need.lowG)" height="8" rx="2" class="spread" />
      <rect x="0" y="4" :width="x(need.lowG)" height="8" class="sure" />
      <rect :x="x(need.g) - 0.5" y="1.5" width="1" height="13" class="likely" />
      <path :d="`M${x(need.wantG)} 12l-1.6 4h3.2z`" class="want" />
      <line v-if="need.wool !== null" :x1="x(need.freeG)" :x2="x(need.freeG)" y1="0" y2="16" class="stash" />
    </svg>
    <span class="numbers"
      ><HowNumber number="need" :of="need.key"
        ><b>{{ weight.oz }}</b></HowNumber
      ><small v-if="weight.g">{{ weight.g }}</small
      ><small class="quiet">{{ units.massRange(need.lowG, need.highG) }}</small></span
    >
  </li>
</template>

<style scoped>
.wool {
  display: grid;
  grid-template-columns: 22px minmax(120px, 1.2fr) minmax(80px, 1fr) 112px;
  gap: 0.7rem;
  align-items: center;
  padding: 0.45rem 0;
}
.what,
.numbers {
  display: grid;
  line-height: 1.25;
}
.numbers {
  text-align: right;
}
.bar {
  width: 100%;
  height: 22px;
}
.sure {
  fill: rgb(var(--v-theme-thread));
}
.spread {
  fill: rgba(var(--v-theme-thread), 0.45);
}
.likely,
.want {
  fill: rgb(var(--v-theme-on-surface));
}
.stash {
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 2.5;
  vector-effect: non-scaling-stroke;
  stroke-dasharray: 3 2;
}
small {
  font-size: 0.8rem;
}
.enough {
  color: rgb(var(--v-theme-success));
}
.tight {
  color: rgb(var(--v-theme-warning));
}
.short {
  color: rgb(var(--v-theme-error));
}
</style>
