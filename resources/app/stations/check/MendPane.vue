<script lang="ts">
/** What another page of the station knows already: the sign, what it is about, what would be asked. */
export type MendStart = { sign: string; about: string; answers: Record<string, number> }
</script>

<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { Remedies, Signs } from '../../api/types/answers'
import { api } from '../../api/client'
import SignPicture from './SignPicture.vue'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { t, within } from '../../lang'
import TradeText from '../../help/TradeText.vue'

/** The mend desk: what is seen, a question or two, and what helps with its amounts. */
const props = defineProps<{ start?: MendStart | null }>()
const figure = useFigure()
const units = useUnits()
const signs = ref<Signs['signs']>([])
const sign = ref('')
const about = ref('')
const answers = ref<Record<string, string>>({})
const remedies = ref<Remedies['remedies']>([])
const trouble = ref('')
const done = ref<Record<number, string>>({})

const chosen = computed(() => signs.value.find((s) => s.sign === sign.value))
const places = computed(() => {
  const list = chosen.value?.about === 'detail' ? (figure.document?.details ?? []) : figure.parts
  return list.map((m) => ({ value: m.key, title: m.name ?? m.key }))
})
const groups = computed(() =>
  (['part', 'detail', 'figure'] as const).map((of) => ({
    of,
    title: {
      part: t('check.mendPane.onAPart'),
      detail: t('check.mendPane.onAFaceOrA'),
      figure: t('check.mendPane.asAWhole'),
    }[of],
    signs: signs.value.filter((s) => s.about === of),
  })),
)
onMounted(async () => {
  try {
    signs.value = (await api.signs()).signs
    const { start } = props
    if (start) {
      about.value = start.about
      take(start.sign)
      for (const [name, value] of Object.entries(start.answers)) answers.value[name] = typed(name, value)
    }
  } catch (error) {
    trouble.value = inWords(error)
  }
})
/** Lengths and weights are asked for in her unit; core has them in mm and g. */
const unitOf = (name: string) => chosen.value?.asks.find((a) => a.name === name)?.unit
const typed = (name: string, value: number) => (unitOf(name) === 'g' ? units.typedMass(value) : units.typed(value))
function take(key: string): void {
  sign.value = key
  remedies.value = []
  done.value = {}
  answers.value = Object.fromEntries((chosen.value?.asks ?? []).map((a) => [a.name, typed(a.name, a.usual)]))
  const places_ = places.value
  if (!places_.some((p) => p.value === about.value)) about.value = places_[0]?.value ?? ''
}
async function ask(): Promise<void> {
  if (!chosen.value || !figure.document) return
  trouble.value = ''
  const told = Object.fromEntries(
    Object.entries(answers.value).map(([name, text]) => [
      name,
      unitOf(name) === 'g' ? units.parseMass(text) : units.parseLength(text),
    ]),
  )
  if (Object.values(told).some((n) => Number.isNaN(n))) {
    trouble.value = t('check.mendPane.aNumberPlease')
    return
  }
  try {
    remedies.value = (await api.remedies(figure.document, sign.value, about.value, told)).remedies
    done.value = {}
  } catch (error) {
    remedies.value = []
    trouble.value = inWords(error)
  }
}
watch([sign, about, answers], () => void ask(), { deep: true })
const name = computed(() => places.value.find((p) => p.value === about.value)?.title ?? '')
async function made(i: number): Promise<void> {
  const remedy = remedies.value[i]!
  try {
    const answer = await api.mended(figure.id, {
      uuid: crypto.randomUUID(),
      text: `${chosen.value!.title}${chosen.value!.about === 'figure' ? '' : `, ${name.value}`}: ${within(remedy.way)}`,
      mg: remedy.mg,
      colour: remedy.colour,
    })
    done.value = {
      ...done.value,
      [i]: answer.takenFromStash ? t('check.mendPane.notedAndItsWoolTaken') : t('check.mendPane.notedInTheDiary'),
    }
  } catch (error) {
    trouble.value = inWords(error)
  }
}
</script>

<template>
  <div class="mend">
    <nav class="signs" :aria-label="$t('check.mendPane.whatHasGoneWrong')">
      <template v-for="g in groups" :key="g.of">
        <h3 v-if="g.signs.length">{{ g.title }}</h3>
        <button v-for="s in g.signs" :key="s.sign" class="plain" :aria-pressed="s.sign === sign" @click="take(s.sign)">
          <SignPicture :sign="s.sign" />{{ s.title }}
        </button>
      </template>
    </nav>
    <section class="help" aria-live="polite">
      <p v-if="!chosen" class="quiet">
        {{ $t('check.mendPane.whatDoYouSeeChoose') }}
      </p>
      <template v-else>
        <header class="row">
          <SignPicture :sign="chosen.sign" class="large" />
          <h2>{{ chosen.title }}</h2>
        </header>
        <div class="asks">
          <v-select
            v-if="chosen.about !== 'figure'"
            v-model="about"
            :items="places"
            :label="$t('check.mendPane.where')"
          />
          <v-text-field
            v-for="a in chosen.asks"
            :key="a.name"
            v-model="answers[a.name]"
            :label="a.label"
            :suffix="a.unit === 'g' ? units.massUnit.value : units.lengthUnit.value"
            inputmode="decimal"
          />
        </div>
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        <article v-for="(r, i) in remedies" :key="r.way" class="stitched">
          <h3>{{ r.way }}</h3>
          <p class="small quiet">
            <template v-if="r.mg"
              ><i class="swatch" :style="{ background: figure.colourOf(r.colour) }" /> {{ units.g(r.mg / 1000) }}
              {{ figure.colourName(r.colour) }}; </template
            ><template v-if="r.needle"
              >{{ $t('check.mendPane.needle', { gauge: r.needle.gauge, stabs: r.needle.stabs }) }} </template
            >{{ $t('check.mendPane.about', { r: units.minutes(r.minutes) }) }}
          </p>
          <ol>
            <li v-for="s in r.steps" :key="s"><TradeText :text="s" /></li>
          </ol>
          <p class="dont">{{ r.dont }}</p>
          <v-btn v-if="!done[i]" size="small" variant="tonal" @click="made(i)">{{
            $t('check.mendPane.iDidThis')
          }}</v-btn>
          <p v-else role="status" class="done">{{ done[i] }}</p>
        </article>
      </template>
    </section>
  </div>
</template>

<style scoped>
.mend {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 1.5rem;
  padding-top: 0.6rem;
}
.signs {
  display: grid;
  align-content: start;
}
.signs h3 {
  margin-top: 0.5rem;
}
.signs button {
  display: flex;
  align-items: center;
  gap: 0.7rem;
  min-height: 44px;
  text-align: left;
  padding: 0.2rem 0.8rem;
  border-radius: 10px;
}
.signs [aria-pressed='true'] {
  background: rgba(var(--v-theme-primary), 0.12);
  font-weight: 700;
}
.signs svg {
  width: 42px;
  height: 42px;
}
.large {
  width: 64px;
  height: 64px;
}
.asks {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 0.7rem;
  margin: 0.5rem 0;
}
article {
  padding: 0.8rem 0;
}
ol {
  margin: 0.3rem 0;
  padding-left: 1.3rem;
}
.dont {
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding-left: 0.6rem;
}
.swatch {
  display: inline-block;
  width: 0.9rem;
  height: 0.9rem;
  border-radius: 50%;
  vertical-align: -2px;
  border: 1px solid rgb(var(--v-theme-thread));
}
.done {
  color: rgb(var(--v-theme-success));
  font-weight: 700;
}
@media (max-width: 900px) {
  .mend {
    grid-template-columns: 1fr;
  }
}
</style>
