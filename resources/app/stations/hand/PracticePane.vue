<script setup lang="ts">
import { reactive, ref } from 'vue'
import type { Hand } from '../../api/types/answers'
import { api } from '../../api/client'
import { trade } from '../../state/trade'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'

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
    trouble.value = 'Width, height, depth and grams are needed: measure between the calipers, weigh it alone.'
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
    <h2>Practice pieces</h2>
    <p class="quiet">
      Three small balls and a sausage, about {{ units.minutes(practice.reduce((sum, p) => sum + p.minutes, 0)) }} in
      all. After each Impa knows your hand better.
    </p>
    <ul class="bare">
      <li v-for="p in [...practice, null]" :key="p?.key ?? 'old'" class="stitched">
        <div class="row">
          <div class="grow">
            <b>{{ p ? p.name : 'A piece made before' }}</b>
            <span v-if="p && made.includes(p.name)" class="done"> made</span>
            <p v-if="p" class="small">
              Weigh {{ units.g(p.weighG) }}, felt it to {{ units.box(p.widthMm, p.heightMm) }}. {{ p.text }}
            </p>
            <p v-else class="small">What it weighs and measures tells as much as a practice piece.</p>
          </div>
          <v-btn
            size="small"
            variant="tonal"
            :aria-expanded="open === (p?.key ?? 'old')"
            @click="take(p?.key ?? 'old')"
            >{{ p ? 'It is done' : 'Type it in' }}</v-btn
          >
        </div>
        <form v-if="open === (p?.key ?? 'old')" class="fields" @submit.prevent="keep(p?.key ?? 'old', false)">
          <template v-if="!p">
            <v-text-field v-model="fields.old!.what" label="What it is" class="broad" maxlength="120" />
            <v-select v-model="fields.old!.firmness" :items="trade.firmnesses" label="Firmness" class="broad" />
          </template>
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.w"
            label="Width"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.h"
            label="Height"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.d"
            label="Depth"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.g"
            label="Finished"
            :suffix="units.massUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields[p?.key ?? 'old']!.weighed"
            label="Weighed out"
            :suffix="units.massUnit.value"
            inputmode="decimal"
          />
          <v-text-field v-model="fields[p?.key ?? 'old']!.minutes" label="It took" suffix="min" inputmode="decimal" />
          <div class="broad row">
            <v-btn type="submit" color="primary" variant="flat" :loading="busy">Learn from it</v-btn>
            <template v-if="asks">
              <span role="alert">{{ asks }}</span>
              <v-btn size="small" variant="tonal" @click="keep(p?.key ?? 'old', true)">Yes, it is</v-btn>
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
