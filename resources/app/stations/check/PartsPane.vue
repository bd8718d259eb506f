<script setup lang="ts">
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { MeasuredParts, PartCheck } from '../../api/types/answers'
import { api } from '../../api/client'
import { useFigure } from '../../state/figure/figure'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'

/** Every part against its card: calipers and scale in, what is still to be felted in or added out. */
const figure = useFigure()
const units = useUnits()
const kept = ref<MeasuredParts['parts']>([])
const open = ref('')
const told = ref<PartCheck | null>(null)
const asks = ref('')
const trouble = ref('')
const busy = ref(false)
const fields = reactive({ w: '', h: '', d: '', g: '', weighed: '' })

type Piece = { key: string; part: string; twin: boolean; name: string }
const pieces = computed<Piece[]>(() =>
  figure.parts.flatMap((p) =>
    (p.mirror ? [false, true] : [false]).map((twin) => ({
      key: p.key + (twin ? ' twin' : ''),
      part: p.key,
      twin,
      name: (p.name ?? p.key) + (twin ? t('check.partsPane.theOther') : ''),
    })),
  ),
)
const keptOf = (piece: Piece) => kept.value.find((k) => k.check.part === piece.part && k.twin === piece.twin)
const shapeOf = (piece: Piece) => figure.parts.find((p) => p.key === piece.part)!.shape
const isCored = (part: string) => (figure.board?.plan.parts.find((p) => p.key === part)?.coreG ?? 0) > 0
const signed = (x: number) => `${x > 0 ? '+' : ''}${units.mm(x)}`

async function load(): Promise<void> {
  if (figure.id) kept.value = (await api.measuredParts(figure.id)).parts
}
onMounted(load)
watch(() => figure.id, load)

function take(piece: Piece): void {
  open.value = open.value === piece.key ? '' : piece.key
  told.value = null
  asks.value = trouble.value = ''
  const was = keptOf(piece)?.check
  Object.assign(fields, {
    w: was ? units.typed(was.sizeMm.w) : '',
    h: was ? units.typed(was.sizeMm.h) : '',
    d: was ? units.typed(was.sizeMm.d) : '',
    g: was ? units.typedMass(was.g) : '',
    weighed: '',
  })
}
const measured = () => ({
  widthMm: units.parseLength(fields.w),
  heightMm: units.parseLength(fields.h),
  depthMm: units.parseLength(fields.d),
  grams: units.parseMass(fields.g),
})
async function hold(piece: Piece, keep: boolean, sure = false): Promise<void> {
  asks.value = trouble.value = ''
  const sizes = measured()
  if (Object.values(sizes).some((n) => !(n > 0))) {
    trouble.value = t('check.partsPane.widthHeightDepthAndGrams')
    return
  }
  busy.value = true
  try {
    const said = {
      part: piece.part,
      twin: piece.twin,
      uuid: crypto.randomUUID(),
      ...sizes,
      ...(fields.weighed.trim() ? { weighedG: units.parseMass(fields.weighed) } : {}),
      keep,
      sure,
    }
    const answer = await api.checkPart(figure.id, figure.document!, said, keptOf(piece)?.uuid ?? '')
    asks.value = answer.asks
    told.value = answer.asks ? null : answer.check
    if (keep && !answer.asks) await load()
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    busy.value = false
  }
}
const follow = (piece: Piece) => figure.editAndTell((now) => api.followPart(now, piece.part, measured()))
async function drop(uuid: string): Promise<void> {
  kept.value = (await api.dropPart(figure.id, uuid)).parts
  told.value = null
}
</script>

<template>
  <section class="parts">
    <p class="quiet">
      {{ $t('check.partsPane.measureAFinishedPartBetween') }}
    </p>
    <p v-if="!pieces.length">{{ $t('check.partsPane.thisFigureHasNoParts') }}</p>
    <ul class="bare">
      <li v-for="p in pieces" :key="p.key" class="stitched">
        <div class="row head">
          <div class="grow">
            <b>{{ p.name }}</b>
            <p class="small quiet">
              {{
                $t('check.partsPane.planned', {
                  depthMm: units.box(shapeOf(p).widthMm, shapeOf(p).heightMm, shapeOf(p).depthMm ?? shapeOf(p).widthMm),
                })
              }}
            </p>
            <p v-if="keptOf(p) && open !== p.key" class="small">{{ keptOf(p)!.check.says.slice(0, 2).join(' ') }}</p>
          </div>
          <v-btn size="small" variant="tonal" :aria-expanded="open === p.key" @click="take(p)">{{
            keptOf(p) ? $t('check.partsPane.measured') : $t('check.partsPane.measure')
          }}</v-btn>
        </div>
        <form v-if="open === p.key" class="fields" @submit.prevent="hold(p, true)">
          <v-text-field
            v-model="fields.w"
            :label="$t('common.width')"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields.h"
            :label="$t('common.height')"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields.d"
            :label="$t('common.depth')"
            :suffix="units.lengthUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields.g"
            :label="$t('check.partsPane.finished')"
            :suffix="units.massUnit.value"
            inputmode="decimal"
          />
          <v-text-field
            v-model="fields.weighed"
            :label="$t('check.partsPane.weighedOut')"
            :suffix="units.massUnit.value"
            inputmode="decimal"
          />
          <div class="broad row">
            <v-btn type="submit" color="primary" variant="flat" :loading="busy">{{
              $t('check.partsPane.holdItAgainstItsCard')
            }}</v-btn>
            <v-btn variant="text" @click="hold(p, false)">{{ $t('check.partsPane.onlyLook') }}</v-btn>
            <v-btn v-if="keptOf(p)" variant="text" @click="drop(keptOf(p)!.uuid)">{{
              $t('check.partsPane.takeItOutAgain')
            }}</v-btn>
          </div>
          <p v-if="asks" class="broad row" role="alert">
            {{ asks }}
            <v-btn size="small" variant="tonal" @click="hold(p, true, true)">{{ $t('check.partsPane.yesItIs') }}</v-btn>
          </p>
          <p v-if="trouble" class="wrong broad" role="alert">{{ trouble }}</p>
          <div v-if="told" class="broad told" role="status">
            <ul>
              <li v-for="s in told.says" :key="s">{{ s }}</li>
            </ul>
            <p class="small quiet">
              {{
                $t('check.partsPane.wideHighDeepPlanned', {
                  w: signed(told.offMm.w),
                  h: signed(told.offMm.h),
                  d: signed(told.offMm.d),
                  gPerCm3: units.gPerCm3(told.gPerCm3),
                  plannedGPerCm3: units.gPerCm3(told.plannedGPerCm3),
                })
              }}{{ ' '
              }}<HowNumber v-if="isCored(p.part)" number="core" :of="p.part">{{ $t('help.howNumber.how') }}</HowNumber>
            </p>
            <v-btn size="small" variant="tonal" @click="follow(p)">{{
              $t('check.partsPane.letThePlanFollowIts')
            }}</v-btn>
          </div>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.parts li.stitched {
  padding: 0.7rem 0;
}
.grow {
  flex: 1;
}
.grow p {
  margin: 0.1rem 0 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: 0.6rem;
  margin-top: 0.6rem;
}
.broad {
  grid-column: 1 / -1;
}
.told {
  border-left: 4px solid rgb(var(--v-theme-info));
  padding-left: 0.8rem;
}
.told ul {
  margin: 0;
  padding-left: 1.1rem;
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: repeat(2, 1fr);
  }
}
</style>
