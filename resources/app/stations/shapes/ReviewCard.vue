<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { computed, onMounted, ref, watch } from 'vue'
import type { Detail, Part } from '../../api/types/figure'
import { useFigure } from '../../state/figure/figure'
import { useHotkeys } from '../../shared/useHotkeys'
import { trade } from '../../state/trade'
import { useUnits } from '../../state/units'
import { kindWord } from '../../state/trade'
import OnlyFull from '../../shared/OnlyFull.vue'

const units = useUnits()
/** What the break-down saw, one after the other: take it, leave it out, or put it right. */
const emit = defineEmits<{ close: []; cut: [] }>()
const figure = useFigure()
type Seen = { kind: 'part'; of: Part } | { kind: 'detail'; of: Detail }
// In the order that PHP advises; what is newer than its answer comes last until it is told.
const advised = computed(() => new Map((figure.board?.review.order ?? []).map((s, i) => [`${s.kind} ${s.key}`, i])))
const place = (s: Seen) => advised.value.get(`${s.kind} ${s.of.key}`) ?? Infinity
const all = computed<Seen[]>(() =>
  [
    ...figure.parts.map((of) => ({ kind: 'part' as const, of })),
    ...figure.details.map((of) => ({ kind: 'detail' as const, of })),
  ]
    .filter((s) => s.of.seen)
    .sort((a, b) => (place(a) === place(b) ? 0 : place(a) - place(b))),
)
const open = computed(() => all.value.filter((s) => !s.of.seen?.taken))
const key = ref(open.value[0]?.of.key ?? all.value[0]?.of.key ?? '')
const at = computed(() =>
  Math.max(
    0,
    all.value.findIndex((s) => s.of.key === key.value),
  ),
)
const now = computed(() => all.value[at.value])
const percent = computed(() => Math.round((now.value?.of.seen?.confidence ?? 0) * 100))
const leftOut = computed(() => figure.document?.picture?.leftOut ?? [])

watch(
  now,
  (s) => {
    if (s) figure.selection = { kind: s.kind, key: s.of.key }
  },
  { immediate: true },
)
// A cut or a merge chooses what it made: the review goes on from there.
watch(
  () => figure.selection,
  (chosen) => {
    if (chosen && all.value.some((s) => s.of.key === chosen.key)) key.value = chosen.key
  },
)

function go(by: number): void {
  const next = all.value[(at.value + by + all.value.length) % all.value.length]
  if (next) key.value = next.of.key
}

function next(): void {
  const later = all.value.slice(at.value + 1).find((s) => !s.of.seen?.taken) ?? open.value[0]
  if (later) key.value = later.of.key
}

function take(): void {
  const s = now.value
  if (!s) return
  const mark = (m: Part | Detail) => {
    if (m.seen) m.seen.taken = true
  }
  if (s.kind === 'part') figure.changePart(s.of.key, mark)
  else figure.changeDetail(s.of.key, mark)
  if (open.value.length) next()
}

/** Taken in one go is what is so sure, per cent. */
const SURER = [95, 80, 60]
const surer = ref(80)
const those = computed(() => open.value.filter((s) => (s.of.seen?.confidence ?? 0) >= surer.value / 100).length)
async function takeSurer(): Promise<void> {
  await figure.apply('take-surer', { least: surer.value / 100 })
  if (open.value.length) next()
}

/** What an unsure one may be instead. */
const other = computed(() => (now.value?.of.seen?.taken ? '' : (now.value?.of.seen?.else ?? '')))
const otherKind = computed(() => {
  const is = now.value?.kind === 'part' ? now.value.of.shape.kind : ''
  return trade.kinds.find((k) => k.value === other.value && k.value !== is)?.value
})
function beIt(kind: Part['shape']['kind']): void {
  if (now.value) figure.changePart(now.value.of.key, (p) => (p.shape.kind = kind))
}

async function leave(): Promise<void> {
  const after = all.value[at.value + 1] ?? all.value[at.value - 1]
  await figure.removeSelected()
  if (after) key.value = after.of.key
}

/** Ink round eyes and beaks: kept as thread lines, or left out of the whole figure. */
const rims = computed(() => figure.details.filter((d) => d.role === 'rim').map((d) => d.key))
const isRim = computed(() => now.value?.kind === 'detail' && now.value.of.role === 'rim')
async function leaveRims(): Promise<void> {
  const isLeft = (key: string) => !rims.value.includes(key)
  const after = [...all.value.slice(at.value), ...all.value.slice(0, at.value).reverse()].find((s) => isLeft(s.of.key))
  await figure.apply('remove', { kind: 'detail', keys: rims.value })
  if (after) key.value = after.of.key
}

/** From a field as well, but not from a list that is open: Escape closes that. */
function escape(event: KeyboardEvent): void {
  if (!(event.target as HTMLElement).closest('[aria-expanded="true"]')) emit('close')
}
useHotkeys(
  {
    enter: (event) => ((event.target as HTMLElement).closest('button') ? false : take()),
    escape: () => emit('close'),
  },
  'board',
)
const card = ref<HTMLElement>()
onMounted(() => {
  // Enter is to take what is shown, not to press the button that opened the review again.
  card.value?.focus()
})
</script>

<template>
  <section
    v-if="now"
    ref="card"
    tabindex="-1"
    class="sheet review"
    :aria-label="$t('shapes.reviewCard.reviewOfWhatWasSeen')"
    @keydown.escape.stop="escape"
  >
    <div class="row head">
      <v-btn
        :icon="mdiChevronLeft"
        size="small"
        variant="text"
        :aria-label="$t('shapes.reviewCard.theOneBefore')"
        @click="go(-1)"
      />
      <b class="name">{{ now.of.name ?? now.of.key }}</b>
      <span class="quiet"
        >{{
          $t('shapes.reviewCard.ofOpen', {
            what:
              now.kind === 'part'
                ? kindWord(now.of.shape.kind)
                : $t('shapes.reviewCard.colour', { kind: $t(`shapes.detailKind.${now.of.kind}`) }),
            number: at + 1,
            all: all.length,
            open: open.length,
          })
        }}<template v-if="figure.board?.review.hard">{{ $t('shapes.reviewCard.unsureFirst') }}</template></span
      >
      <v-spacer />
      <OnlyFull :what="$t('help.what.sureness')">
        <span class="sure" :title="$t('shapes.reviewCard.sure', { percent })"
          ><i :style="{ width: `${percent}%` }" /></span
        ><span class="quiet">{{ $t('shapes.reviewCard.sure', { percent }) }}</span>
      </OnlyFull>
      <v-btn
        :icon="mdiChevronRight"
        size="small"
        variant="text"
        :aria-label="$t('shapes.reviewCard.theNextOne')"
        @click="go(1)"
      />
    </div>
    <p class="why">{{ now.of.seen?.why }}</p>
    <div class="row acts">
      <v-btn color="primary" variant="flat" size="small" :disabled="now.of.seen?.taken" @click="take">{{
        now.of.seen?.taken ? $t('shapes.reviewCard.taken') : $t('common.takeIt')
      }}</v-btn>
      <v-btn variant="tonal" size="small" @click="leave">{{ $t('shapes.reviewCard.leaveItOut') }}</v-btn>
      <v-btn v-if="isRim && rims.length > 1" variant="tonal" size="small" @click="leaveRims">{{
        $t('shapes.reviewCard.leaveAllRimsOut')
      }}</v-btn>
      <template v-if="now.kind === 'part'">
        <v-select
          :model-value="now.of.shape.kind"
          :items="trade.kinds"
          :label="$t('shapes.reviewCard.changeShapeTo')"
          class="kind"
          hide-details
          @update:model-value="beIt"
        />
        <v-btn v-if="otherKind" variant="tonal" color="secondary" size="small" @click="beIt(otherKind)">{{
          $t('shapes.reviewCard.rather', { kind: kindWord(otherKind) })
        }}</v-btn>
        <v-btn variant="text" size="small" @click="emit('cut')">{{ $t('shapes.reviewCard.cutInTwo') }}</v-btn>
        <v-btn
          :variant="other === 'detail' ? 'tonal' : 'text'"
          :color="other === 'detail' ? 'secondary' : undefined"
          size="small"
          @click="figure.apply('to-detail', { key: now.of.key })"
          >{{ $t('shapes.reviewCard.justAPatchOnThe') }}</v-btn
        >
      </template>
      <v-btn
        v-else
        :variant="other === 'part' ? 'tonal' : 'text'"
        :color="other === 'part' ? 'secondary' : undefined"
        size="small"
        @click="figure.apply('to-part', { key: now.of.key })"
        >{{ $t('shapes.reviewCard.aPartOfItsOwn') }}</v-btn
      >
      <v-spacer />
      <details v-if="leftOut.length" class="quiet">
        <summary>
          {{ $t('shapes.reviewCard.tinyLeftOut', leftOut.length) }}
        </summary>
        <ul>
          <li v-for="(s, i) in leftOut.slice(0, 12)" :key="i">
            {{
              $t('shapes.reviewCard.atRightUp', {
                colour: s.colour,
                widthMm: units.mm(s.widthMm ?? 0),
                xMm: units.mm(s.xMm ?? 0),
                yMm: units.mm(s.yMm ?? 0),
              })
            }}
          </li>
        </ul>
      </details>
      <v-btn variant="text" size="small" @click="emit('close')">{{ $t('common.done') }}</v-btn>
    </div>
    <div v-if="open.length > 1" class="row rest">
      <v-btn variant="tonal" size="small" :disabled="!those" @click="takeSurer">{{
        $t('shapes.reviewCard.takeTheRest', { n: those })
      }}</v-btn>
      <span class="quiet">{{ $t('shapes.reviewCard.surerThan') }}</span>
      <v-btn-toggle
        v-model="surer"
        mandatory
        density="compact"
        variant="text"
        :aria-label="$t('shapes.reviewCard.surerThan')"
      >
        <v-btn v-for="percents in SURER" :key="percents" :value="percents" size="small">{{
          $t('shapes.reviewCard.percent', { percents })
        }}</v-btn>
      </v-btn-toggle>
    </div>
  </section>
</template>

<style scoped>
.review:focus {
  outline: none !important;
}
.review {
  padding: 0.5rem 0.8rem 0.6rem;
  margin-top: 0.5rem;
  border-left: 5px solid rgb(var(--v-theme-secondary));
}
.head {
  flex-wrap: nowrap;
}
.name {
  font-family: 'Fredoka', sans-serif;
  font-weight: 500;
  font-size: 1.1rem;
}
.why {
  font-size: 0.92rem;
  margin: 0.1rem 0 0.4rem;
}
.rest {
  margin-top: 0.35rem;
}
.kind {
  max-width: 150px;
  min-width: 120px;
}
.sure {
  width: 70px;
  height: 8px;
  border-radius: 4px;
  background: rgb(var(--v-theme-table));
  overflow: hidden;
}
.sure i {
  display: block;
  height: 100%;
  background: rgb(var(--v-theme-success));
}
details ul {
  position: absolute;
  background: rgb(var(--v-theme-surface));
  padding: 0.6rem 1.4rem;
  border-radius: 12px;
  z-index: 6;
  box-shadow: 0 2px 12px rgb(58 42 32 / 25%);
}
</style>
