<script setup lang="ts">
import { reactive, ref } from 'vue'
import type { Hand } from '../../api/types/answers'
import { api } from '../../api/client'
import { trade } from '../../state/trade'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** Three small balls and a sausage, and pieces that were made before: weigh, measure, and Impa knows the hand better. */
const props = defineProps<{ practice: Hand['practice']; made: string[] }>()
const emit = defineEmits<{ learned: [hand: Hand] }>()
const units = useUnits()
type Fields = {
  w: string
  h: string
  d: string
  g: string
  weighed: string
  minutes: string
  firmness: string
  what: string
}
const empty = (): Fields => ({ w: '', h: '', d: '', g: '', weighed: '', minutes: '', firmness: 'springy', what: '' })
const fields = reactive<Record<string, Fields>>({})
const open = ref('')
const asks = ref('')
const trouble = ref('')
const busy = ref(false)

function take(key: string): void {
  open.value = open.value === key ? '' : key
  asks.value = trouble.value = ''
  fields[key] ??= empty()
}
const number = (text: string) => Number(text.trim().replace(',', '.'))
async function keep(key: string, sure: boolean): Promise<void> {
  const f = fields[key]!
  const piece = props.practice.find((p) => p.key === key)
  trouble.value = asks.value = ''
  const [w, h, d] = [units.parseLength(f.w), units.parseLength(f.h), units.parseLength(f.d)]
  if ([w, h, d, units.parseMass(f.g)].some((n) => !(n > 0))) {
    trouble.value = t('hand.practicePane.widthHeightDepthAndGrams')
    return
  }
  busy.value = true
  try {
    const answer = await api.handPiece({
      uuid: crypto.randomUUID(),
      kind: piece?.kind ?? 'ball',
      firmness: piece?.firmness ?? f.firmness,
      what: piece?.name ?? f.what,
      widthMm: w,
      heightMm: h,
      depthMm: d,
      grams: units.parseMass(f.g),
      ...(f.weighed.trim() ? { weighedG: units.parseMass(f.weighed) } : {}),
      ...(f.minutes.trim() ? { minutes: number(f.minutes) } : {}),
      sure,
    })
    asks.value = answer.asks ?? ''
    if (answer.kept) {
      fields[key] = empty()
      open.value = ''
      emit('learned', answer)
    }
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="practice">
    <h2>{{ $t('hand.practicePane.practicePieces') }}</h2>
    <p class="quiet">
      {{
        $t('hand.practicePane.threeSmallBallsAndA', {
          p: units.minutes(practice.reduce((sum, p) => sum + p.minutes, 0)),
        })
      }}
    </p>
    <ul class="bare">
      <li v-for="p in [...practice, null]" :key="p?.key ?? 'old'" class="stitched">
        <div class="row">
          <div class="grow">
            <b>{{ p ? p.name : $t('hand.practicePane.aPieceMadeBefore') }}</b>
            <span v-if="p && made.includes(p.name)" class="done">{{ ' ' + $t('hand.practicePane.made') }}</span>
            <p v-if="p" class="small">
              {{
                $t('hand.practicePane.weighFeltItTo', {
                  weighG: units.g(p.weighG),
                  heightMm: units.box(p.widthMm, p.heightMm),
                  text: p.text,
                })
              }}
            </p>
            <p v-else class="small">{{ $t('hand.practicePane.whatItWeighsAndMeasures') }}</p>
          </div>
          <v-btn
            size="small"
            variant="tonal"
            :aria-expanded="open === (p?.key ?? 'old')"
            @click="take(p?.key ?? 'old')"
            >{{ p ? $t('hand.practicePane.itIsDone') : $t('hand.practicePane.typeItIn') }}</v-btn
          >
        </div>
        <form v-if="open === (p?.key ?? 'old')" class="fields" @submit.prevent="keep(p?.key ?? 'old', false)">
          <template v-if="!p">
            <v-text-field
              v-model="fields.old!.what"
              :label="$t('hand.practicePane.whatItIs')"
              class="broad"
              maxlength="120"
            />
            <v-select
              v-model="fields.old!.firmness"
              :items="trade.firmnesses"
              :label="$t('common.firmness')"
              class="broad"
            />
          </template>
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.w"
            :label="$t('common.width')"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.h"
            :label="$t('common.height')"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.d"
            :label="$t('common.depth')"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.g"
            :label="$t('hand.practicePane.finished')"
            :suffix="units.massUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.weighed"
            :label="$t('hand.practicePane.weighedOut')"
            :suffix="units.massUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.minutes"
            :label="$t('hand.practicePane.itTook')"
            :suffix="$t('hand.practicePane.min')"
            inputmode="decimal"
          />
          <div class="broad row">
            <v-btn type="submit" color="primary" variant="flat" :loading="busy">{{
              $t('hand.practicePane.learnFromIt')
            }}</v-btn>
            <template v-if="asks">
              <span role="alert">{{ asks }}</span>
              <v-btn size="small" variant="tonal" @click="keep(p?.key ?? 'old', true)">{{
                $t('hand.practicePane.yesItIs')
              }}</v-btn>
            </template>
          </div>
          <p v-if="trouble" class="wrong broad" role="alert">{{ trouble }}</p>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.practice li {
  padding: 0.7rem 0;
}
.grow {
  flex: 1;
}
.grow p {
  margin: 0.15rem 0 0;
}
.done {
  color: rgb(var(--v-theme-success));
  font-weight: 700;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.6rem;
  margin-top: 0.6rem;
}
.broad {
  grid-column: 1 / -1;
}
</style>
