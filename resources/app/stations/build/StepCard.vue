<script setup lang="ts">
import { computed } from 'vue'
import type { WorkStep } from '../../api/types/steps'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import StepDrawing from './StepDrawing.vue'
import { t } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'
import TradeText from '../../help/TradeText.vue'

/** One step, to be read from a metre: its drawing, what to weigh, how to do it, what goes wrong. When it is done says StepFoot. */
const props = defineProps<{
  step: WorkStep
  number: number
  of: number
  reasons: string[]
  /** Gauges of which one is left. */
  last: number[]
}>()
const figure = useFigure()
const units = useUnits()

const needle = computed(() => {
  const n = props.step.needle
  if (!n) return ''
  const which = `${n.gauge}${n.holder > 1 ? t('build.stepCard.inTheHolder', { holder: n.holder }) : ''}`
  return n.gauge === n.wantedGauge ? which : t('build.stepCard.wouldSuitBetter', { which, wantedGauge: n.wantedGauge })
})
const stab = computed(() => {
  const n = props.step.needle
  if (!n) return ''
  const slant =
    n.angleDeg < 90 ? t('build.stepCard.slanting', { angleDeg: n.angleDeg }) : t('build.stepCard.straightInStraightOut')
  return t('build.stepCard.to', { depthMm: units.mm(n.depthMm), slant })
})
const hundred = (stabs: number) => (stabs < 150 ? Math.round(stabs / 10) * 10 : Math.round(stabs / 100) * 100)
const stabs = computed(() => {
  const s = props.step.needle?.stabs
  return s ? t('build.stepCard.toStabs', { low: hundred(s.low), high: hundred(s.high) }) : ''
})
</script>

<template>
  <header>
    <p class="quiet count">{{ $t('build.stepCard.stepOf', { number, of }) }}</p>
    <h1>{{ step.title }}</h1>
    <p v-for="r in reasons" :key="r" class="why">{{ r }}</p>
  </header>
  <div class="both">
    <StepDrawing :step="step" />
    <div class="words">
      <ul v-if="step.mix" class="bare weigh" :aria-label="step.mix.name">
        <li v-for="w in step.mix.wools" :key="w.name">
          <span
            >{{ $t('build.stepCard.weigh') }} <b>{{ units.g(w.g) }}</b> {{ w.name }}.</span
          >
        </li>
      </ul>
      <ul v-if="step.weigh.length" class="bare weigh">
        <li v-for="(w, i) in step.weigh" :key="i">
          <i class="swatch big" :style="{ background: w.colour ? figure.colourOf(w.colour) : '#efe6d2' }" />
          <span
            >{{ w.isCut ? $t('build.stepCard.cutFromFelt') : $t('build.stepCard.weigh') }}
            <b
              ><HowNumber v-if="w.pieces === 1" :number="w.number" :of="step.detail || w.part">{{
                units.g(w.g)
              }}</HowNumber
              ><template v-else>{{ units.g(w.g * w.pieces) }}</template></b
            >
            {{ w.name }}.
            {{
              w.pieces > 1 && !w.isCut
                ? $t('build.stepCard.splitInEach', {
                    pieces: w.pieces === 2 ? $t('build.stepCard.two') : w.pieces,
                    each: units.g(w.g),
                  })
                : ''
            }}
            <small v-if="w.layersG.length > 1" class="quiet">{{
              $t('build.stepCard.inLayersOf', { layersG: w.layersG.map((g) => units.g(g)).join(', ') })
            }}</small></span
          >
        </li>
      </ul>
      <p class="text"><TradeText :text="step.text" /></p>
      <dl class="facts">
        <template v-if="step.needle"
          ><dt>{{ $t('build.stepCard.needle') }}</dt>
          <dd>
            {{ needle }}
            <span v-if="last.includes(step.needle.gauge)" class="unit">{{
              $t('build.stepCard.yourLastGetASpare')
            }}</span>
          </dd>
          <dt>{{ $t('build.stepCard.stab') }}</dt>
          <dd>
            {{ step.needle.stab }} <span class="unit">{{ stab }}; {{ stabs }}</span>
          </dd></template
        >
        <template v-if="step.pad"
          ><dt>{{ $t('build.stepCard.pad') }}</dt>
          <dd>{{ $t('build.stepCard.theSide', { pad: step.pad }) }}</dd></template
        >
        <dt>{{ $t('common.time') }}</dt>
        <dd>
          <HowNumber number="minutes" :of="step.key">{{
            $t('build.stepCard.about', { step: units.minutes(step.minutes) })
          }}</HowNumber>
          <span class="unit"
            >{{
              $t('build.stepCard.toMin', {
                lowMinutes: Math.max(1, Math.round(step.lowMinutes)),
                highMinutes: Math.max(1, Math.round(step.highMinutes)),
              })
            }}<template v-if="step.waitMinutes">{{
              $t('build.stepCard.thenDrying', { waitMinutes: units.minutes(step.waitMinutes) })
            }}</template
            ><template v-if="!step.canBePutDown">{{ $t('build.stepCard.inOneGo') }}</template></span
          >
        </dd>
      </dl>
    </div>
  </div>
  <p v-if="step.wrong" class="wrongly">
    <span class="quiet">{{ $t('build.stepCard.ifItGoesWrong') }}</span> <b>{{ step.wrong.sign }}</b>{{ ' '
    }}<TradeText :text="step.wrong.cure" />
  </p>
  <p v-if="step.amiss" class="why" role="status">
    {{ step.amiss }}
    <v-btn size="small" variant="tonal" @click="figure.apply('together', { key: step.part })">{{
      $t('common.bringTogether')
    }}</v-btn>
  </p>
  <p v-if="step.tight" class="why">
    {{ $t('build.stepCard.slantTheNeedleOrSew', { tight: step.tight }) }}
    <HowNumber number="reach" :of="step.key">{{ $t('help.ask.howReached') }}</HowNumber>
  </p>
</template>

<style scoped>
h1 {
  font-size: 2.1rem;
  line-height: 1.1;
}
.count {
  margin: 0;
}
.why {
  font-size: 1.05rem;
  border-left: 4px solid rgb(var(--v-theme-info));
  padding-left: 0.7rem;
  margin-top: 0.4rem;
}
/* The drawing is the largest thing after the title. */
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 1.2rem;
  flex: 1 1 auto;
  min-height: 320px;
}
.words {
  display: grid;
  gap: 0.7rem;
  align-content: center;
}
.weigh {
  display: grid;
  gap: 0.4rem;
  font-size: 1.25rem;
  line-height: 1.25;
}
.weigh li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
}
.weigh b {
  font-size: 1.6rem;
}
.weigh small {
  font-size: 1rem;
}
.big {
  width: 2rem;
  height: 2rem;
  flex: none;
}
.text {
  font-size: 1.25rem;
  line-height: 1.4;
}
.facts {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0.2rem 1rem;
  font-size: 1.05rem;
  border-top: var(--stitch);
  padding-top: 0.6rem;
}
.facts dt {
  color: rgb(var(--v-theme-quiet));
}
.facts dd {
  margin: 0;
  font-weight: 600;
}
.wrongly {
  margin: 0;
}
/* Narrow, as on a small screen beside the order of work. */
@container present (max-width: 560px) {
  h1 {
    font-size: 1.6rem;
  }
  .both {
    gap: 0.8rem;
    min-height: 260px;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.35fr);
  }
  .weigh,
  .text {
    font-size: 1.05rem;
  }
  .weigh b {
    font-size: 1.3rem;
  }
  .facts {
    font-size: 0.95rem;
    gap: 0.1rem 0.6rem;
  }
}
@media (max-width: 700px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
