<script setup lang="ts">
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { Shown } from '../../api/types/answers'
import { api } from '../../api/client'
import LengthField from '../../shared/LengthField.vue'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** Where the figure is shown: a jar, a hook, a jacket, keys, a dolls' house. What fits, and what helps where it does not. */
const figure = useFigure()
const units = useUnits()
const places = [
  { value: 'jar', title: t('check.showPane.inAJar') },
  { value: 'hook', title: t('check.showPane.onAHook') },
  { value: 'brooch', title: t('check.showPane.asABrooch') },
  { value: 'ring', title: t('check.showPane.onAKeyRing') },
  { value: 'clip', title: t('check.showPane.onAClip') },
  { value: 'pot', title: t('check.showPane.inAPot') },
  { value: 'cushion', title: t('check.showPane.onACushion') },
  { value: 'house', title: t('check.showPane.inADollsHouse') },
] as const
const place = ref<(typeof places)[number]['value']>('jar')
const jar = reactive({ mouthMm: 70, bellyMm: 95, heightMm: 150 })
const loopMm = ref(60)
const potMm = ref(60)
const cushion = reactive({ widthMm: 200, heightMm: 200 })
const scale = ref('12')
const life = ref('')
const told = ref<Shown | null>(null)
const trouble = ref('')
const wish = computed(() => ({
  place: place.value,
  ...(place.value === 'jar' ? jar : {}),
  ...(place.value === 'hook' ? { loopMm: loopMm.value } : {}),
  ...(place.value === 'pot' ? { mouthMm: potMm.value } : {}),
  ...(place.value === 'cushion' ? cushion : {}),
  ...(place.value === 'house'
    ? {
        scale: Number(scale.value.replace(',', '.')),
        ...(life.value.trim()
          ? {
              lifeMm: units.isImperial.value
                ? units.parseLength(life.value)
                : 10 * Number(life.value.replace(',', '.')),
            }
          : {}),
      }
    : {}),
}))
async function ask(): Promise<void> {
  if (!figure.document) return
  trouble.value = ''
  try {
    told.value = await api.show(figure.document, wish.value)
  } catch (error) {
    told.value = null
    trouble.value = inWords(error)
  }
}
/** The height at which it fits, where a figure may be so high. */
const resized = computed(() => {
  const to = told.value?.toMm ?? null
  return to !== null && to >= 10 && to <= 2000 && Math.abs(to - (figure.document?.heightMm ?? 0)) > 0.05 ? to : null
})
onMounted(ask)
watch([wish, () => figure.document], ask, { deep: true })
/** The jar with the figure in it, in mm: a shoulder leads from the mouth to the belly. */
const high = computed(() => told.value?.highMm ?? figure.document?.heightMm ?? 100)
/** A render is square, with a rim of a twenty-fifth all round. */
const picture = computed(() => Math.max(high.value, told.value?.wideMm ?? 0) / 0.92)
const glass = computed(() => {
  const { mouthMm: m, bellyMm: b, heightMm: h } = jar
  const shoulder = Math.min(0.18 * h, Math.abs(b - m) / 2 + 4)
  return `M${-m / 2} ${-h - 6}L${-m / 2} ${-h}Q${-b / 2} ${-h} ${-b / 2} ${-h + shoulder}L${-b / 2} 0L${b / 2} 0L${b / 2} ${-h + shoulder}Q${b / 2} ${-h} ${m / 2} ${-h}L${m / 2} ${-h - 6}`
})
/** A cushion as it lies, its corners drawn out; a pot with the base ball in its mouth, on which the figure stands. */
const pillow = computed(() => {
  const [w, h] = [cushion.widthMm / 2, cushion.heightMm / 2]
  const [x, y] = [0.94 * w, 0.94 * h]
  return `M${-w} ${-h}Q0 ${-y} ${w} ${-h}Q${x} 0 ${w} ${h}Q0 ${y} ${-w} ${h}Q${-x} 0 ${-w} ${-h}Z`
})
const ball = computed(() => told.value?.ballMm ?? potMm.value)
const potShape = computed(() => {
  const m = potMm.value
  return `M${-m / 2} 0L${-0.36 * m} ${0.85 * m}L${0.36 * m} ${0.85 * m}L${m / 2} 0`
})
/** Where the picture's middle is, and what is seen, in mm, y down. */
const scene = computed(() => {
  const side = picture.value
  if (place.value === 'cushion') {
    const [w, h] = [cushion.widthMm + 16, cushion.heightMm + 16]
    return { middle: 0, frame: `${-w / 2} ${-h / 2} ${w} ${h}` }
  }
  if (place.value === 'pot') {
    const top = -0.42 * ball.value
    const w = Math.max(side, ball.value) + 16
    return {
      middle: top - high.value / 2,
      frame: `${-w / 2} ${top - high.value - 12} ${w} ${high.value - top + 0.85 * potMm.value + 20}`,
    }
  }
  return { middle: -high.value / 2, frame: frame.value }
})
const frame = computed(() => {
  const h = Math.max(jar.heightMm + 20, high.value + 10)
  const w = Math.max(jar.bellyMm, jar.mouthMm, told.value?.roundMm ?? 0) + 20
  return `${-w / 2} ${-h} ${w} ${h + 8}`
})
</script>

<template>
  <div class="show">
    <section>
      <v-select v-model="place" :items="places" :label="$t('check.showPane.itIsShown')" hide-details />
      <div v-if="place === 'jar'" class="fields">
        <LengthField v-model="jar.mouthMm" :label="$t('check.showPane.mouth')" :min="5" :max="1000" />
        <LengthField v-model="jar.bellyMm" :label="$t('check.showPane.belly')" :min="5" :max="1000" />
        <LengthField v-model="jar.heightMm" :label="$t('check.showPane.underTheLid')" :min="5" :max="1000" />
      </div>
      <LengthField
        v-else-if="place === 'hook'"
        v-model="loopMm"
        :label="$t('check.showPane.theLoopHangs')"
        :min="5"
        :max="500"
      />
      <LengthField
        v-else-if="place === 'pot'"
        v-model="potMm"
        :label="$t('check.showPane.mouth')"
        :min="15"
        :max="500"
      />
      <div v-else-if="place === 'cushion'" class="fields">
        <LengthField v-model="cushion.widthMm" :label="$t('check.showPane.wide')" :min="40" :max="1000" />
        <LengthField v-model="cushion.heightMm" :label="$t('common.high')" :min="40" :max="1000" />
      </div>
      <div v-else-if="place === 'house'" class="fields">
        <v-text-field v-model="scale" :label="$t('check.showPane.built1To')" inputmode="decimal" hide-details />
        <v-text-field
          v-model="life"
          :label="$t('check.showPane.inLifeSoTall')"
          :suffix="units.isImperial.value ? 'in' : 'cm'"
          inputmode="decimal"
          hide-details
        />
      </div>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <div v-if="told" aria-live="polite">
        <p v-if="told.fits !== undefined" class="verdict" :class="{ no: !told.fits }">
          {{ told.fits ? $t('check.showPane.itFits') : $t('check.showPane.itDoesNotFit') }}
        </p>
        <ul>
          <li v-for="s in told.says" :key="s">{{ s }}</li>
        </ul>
        <template v-if="told.cures.length">
          <h3>{{ $t('check.showPane.whatHelps') }}</h3>
          <ul>
            <li v-for="c in told.cures" :key="c">{{ c }}</li>
          </ul>
        </template>
        <v-btn v-if="resized" variant="tonal" class="mt-2" @click="figure.rescale(resized)">{{
          $t('check.showPane.makeItHigh', { resized: units.mm(resized) })
        }}</v-btn>
        <p v-if="told.discMm" class="quiet">
          {{ $t('check.showPane.aDiscOfFeltFor', { discMm: units.mm(told.discMm) }) }}
        </p>
      </div>
    </section>
    <svg
      v-if="place === 'jar' || place === 'pot' || place === 'cushion'"
      :viewBox="scene.frame"
      role="img"
      :aria-label="`${figure.document?.name}: ${places.find((p) => p.value === place)?.title}`"
    >
      <path v-if="place === 'cushion'" :d="pillow" class="cloth" />
      <template v-if="place === 'pot'">
        <ellipse :rx="ball / 2" :ry="0.42 * ball" class="cloth" />
        <path :d="potShape" class="clay" />
        <ellipse :rx="0.35 * ball" :ry="0.1 * ball" class="wire" />
      </template>
      <image
        :href="`/api/figures/${figure.id}/render?px=480&revision=${figure.revision}`"
        :x="-picture / 2"
        :y="scene.middle - picture / 2"
        :width="picture"
        :height="picture"
      />
      <path v-if="place === 'jar'" :d="glass" class="glass" />
      <line
        v-if="place === 'jar' && told?.roundMm"
        :x1="-told.roundMm / 2"
        :x2="told.roundMm / 2"
        y1="4"
        y2="4"
        :class="{ no: told.roundMm > jar.bellyMm }"
      />
    </svg>
  </div>
</template>

<style scoped>
.show {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1.6rem;
  padding-top: 0.8rem;
}
section {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.6rem;
}
.verdict {
  font-size: 1.2rem;
  font-weight: 700;
  color: rgb(var(--v-theme-success));
}
.verdict.no {
  color: rgb(var(--v-theme-error));
}
svg {
  width: 100%;
  max-height: 62vh;
}
.glass {
  fill: rgba(130, 190, 210, 0.14);
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 1.5;
}
.cloth {
  fill: rgb(var(--v-theme-table));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-opacity: 0.5;
}
.clay {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.5;
}
.wire {
  fill: none;
  stroke: rgb(var(--v-theme-secondary));
  stroke-width: 1.5;
  stroke-dasharray: 4 3;
}
line {
  stroke: rgb(var(--v-theme-success));
  stroke-width: 2;
}
line.no {
  stroke: rgb(var(--v-theme-error));
}
@media (max-width: 900px) {
  .show {
    grid-template-columns: 1fr;
  }
}
</style>
