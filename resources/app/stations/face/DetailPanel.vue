<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import { computed } from 'vue'
import type { Advice, Mend } from '../../api/types/answers'
import { api } from '../../api/client'
import type { Detail } from '../../api/types/figure'
import ColourPicker from '../../shared/ColourPicker.vue'
import LengthField from '../../shared/LengthField.vue'
import { useFigure } from '../../state/figure/figure'
import { trade } from '../../state/trade'
import { arranged, arrangements } from './board/arrange'
import { wholeWidth, widthAt } from './board/reshape'
import { within } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'

const props = withDefaults(defineProps<{ advice?: Record<string, Advice[]>; point?: number | null }>(), {
  advice: () => ({}),
  point: null,
})
const figure = useFigure()
const detail = computed(() => figure.selectedDetail)
const mine = computed(() => props.advice[detail.value?.key ?? ''] ?? [])
/** Where no advice was asked for, the plan's notes say it. */
const notes = computed(() =>
  mine.value.length
    ? []
    : (figure.board?.plan.notes.filter(
        (n) => n.at === `/details/${figure.details.findIndex((d) => d.key === detail.value?.key)}`,
      ) ?? []),
)
const several = computed(() =>
  figure.details
    .filter((d) => figure.chosenDetails.includes(d.key))
    .sort((a, b) => figure.chosenDetails.indexOf(a.key) - figure.chosenDetails.indexOf(b.key)),
)

/** A mend as PHP proposed it: what to set on the detail, what comes with it, what goes; one step of undo. */
async function mend(m: Mend): Promise<void> {
  const key = detail.value?.key
  if (!key || !figure.document) return
  let set = m.set
  try {
    if (m.keep) set = (await api.keep(figure.document, key, m.keep)).set
  } catch (error) {
    return figure.tell(error)
  }
  await figure.apply('mend', { key, set, add: m.add, remove: m.remove })
}
/** What slides round the edge is asked what to keep: that says what is meant. */
const canBeMeant = (a: Advice) => !a.isFault && a.code !== 'slides'
/** A pair made two that can be moved by themselves. */
const part = () => detail.value && figure.partPair(detail.value.key)
const moveBy = (dx: number, dy: number) => detail.value && figure.moveDetails(new Map([[detail.value.key, { dx, dy }]]))
/** What makes one thing with it, by name. */
const others = computed(() =>
  Object.keys(figure.board?.together?.[detail.value?.key ?? ''] ?? {}).map(
    (key) => figure.details.find((d) => d.key === key)?.name ?? key,
  ),
)
function arrange(way: (typeof arrangements)[number]): void {
  figure.moveDetails(arranged(several.value, way.move))
}
const widthHere = computed(() =>
  detail.value?.kind === 'line' && props.point !== null
    ? (detail.value.widthsMm?.[props.point] ?? detail.value.widthMm ?? 1)
    : null,
)
function setWidthHere(mm: number): void {
  if (props.point !== null) set((d) => widthAt(d, props.point ?? 0, mm))
}
const set = (how: (d: Detail) => void) => detail.value && figure.changeDetail(detail.value.key, how)
</script>

<template>
  <section :aria-label="$t('face.detailPanel.theSelectedDetail')">
    <template v-if="several.length > 1">
      <h3>{{ $t('face.detailPanel.chosen', { several: several.length }) }}</h3>
      <p class="quiet small">
        {{ $t('face.detailPanel.theFirstOneChosenStays', { name: several[0]?.name ?? several[0]?.key }) }}
      </p>
      <div class="row">
        <v-btn
          v-for="a in arrangements.filter((x) => several.length >= x.least)"
          :key="a.key"
          size="small"
          variant="tonal"
          @click="arrange(a)"
          >{{ a.name }}</v-btn
        >
      </div>
      <ColourPicker
        class="mt-2"
        :model-value="detail?.colour ?? ''"
        @update:model-value="
          figure.change((d) =>
            d.details?.filter((x) => figure.chosenDetails.includes(x.key)).forEach((x) => (x.colour = $event)),
          )
        "
      />
    </template>
    <template v-else-if="detail">
      <div class="top">
        <v-text-field
          :model-value="detail.name"
          :label="$t('common.name')"
          maxlength="120"
          @change="set((d) => (d.name = ($event.target as HTMLInputElement).value))"
        />
        <v-btn
          :icon="mdiDeleteOutline"
          variant="text"
          size="small"
          color="error"
          :aria-label="$t('face.detailPanel.takeThisDetailAway')"
          @click="figure.removeSelected()"
        />
      </div>
      <div v-for="a in mine" :key="a.why" class="advice" :class="{ fault: a.isFault }" role="note">
        <b>{{ a.why.charAt(0).toUpperCase() + a.why.slice(1) }}.</b>
        <div class="row">
          <v-btn v-for="m in a.mends" :key="m.text" size="small" variant="tonal" class="mend" @click="mend(m)">{{
            m.text.charAt(0).toUpperCase() + m.text.slice(1)
          }}</v-btn>
          <v-btn
            v-if="canBeMeant(a)"
            size="small"
            variant="text"
            class="mend"
            @click="set((d) => (d.meant = [...new Set([...(d.meant ?? []), a.code])]))"
            >{{ $t('face.detailPanel.keepItLikeThis') }}</v-btn
          >
        </div>
      </div>
      <v-checkbox
        v-if="others.length"
        v-model="figure.byItself"
        density="compact"
        hide-details
        :label="$t('face.detailPanel.byItselfWithout', { others: within(others.join(', ')) })"
      />
      <v-alert v-for="n in notes" :key="n.code" type="warning" variant="tonal" density="compact" class="mt-2">{{
        n.text
      }}</v-alert>
      <div class="three mt-3">
        <LengthField
          v-if="detail.kind !== 'patch'"
          :model-value="detail.widthMm ?? 1"
          :label="$t('common.width')"
          @update:model-value="set((d) => wholeWidth(d, $event))"
        />
        <LengthField
          v-if="widthHere !== null"
          :model-value="widthHere"
          :label="$t('face.detailPanel.widthHere')"
          @update:model-value="setWidthHere"
        />
        <LengthField
          v-if="!detail.pointsMm"
          :model-value="detail.heightMm ?? detail.widthMm ?? 1"
          :label="$t('common.height')"
          @update:model-value="set((d) => (d.heightMm = $event))"
        />
        <LengthField
          :model-value="detail.turnDeg ?? 0"
          :label="$t('face.detailPanel.turn')"
          suffix="°"
          :min="-360"
          :max="360"
          @update:model-value="set((d) => (d.turnDeg = $event))"
        />
        <LengthField
          :model-value="detail.xMm ?? 0"
          :label="$t('face.detailPanel.right')"
          :min="-4000"
          :max="4000"
          @update:model-value="moveBy($event - (detail.xMm ?? 0), 0)"
        />
        <LengthField
          :model-value="detail.yMm ?? 0"
          :label="$t('face.detailPanel.up')"
          :min="-4000"
          :max="4000"
          @update:model-value="moveBy(0, $event - (detail.yMm ?? 0))"
        />
        <v-select
          :model-value="detail.layer ?? 1"
          :items="[1, 2, 3, 4, 5, 6]"
          :label="$t('face.detailPanel.layer')"
          @update:model-value="set((d) => (d.layer = $event))"
        />
      </div>
      <HowNumber v-if="(detail.method ?? 'felt') === 'felt'" number="crisp" :of="detail.key" class="mt-2">{{
        $t('help.ask.howSmall')
      }}</HowNumber>
      <div class="row mt-2 switches">
        <v-switch
          :model-value="detail.mirror ?? false"
          :label="$t('face.detailPanel.aPair')"
          @update:model-value="figure.pairDetail(detail.key, Boolean($event))"
        />
        <v-btn v-if="detail.mirror" size="small" variant="text" @click="part">{{
          $t('face.detailPanel.editTheTwoSidesSeparately')
        }}</v-btn>
        <v-switch
          v-if="detail.pointsMm"
          :model-value="detail.smooth ?? false"
          :label="$t('face.detailPanel.curved')"
          @update:model-value="set((d) => (d.smooth = Boolean($event)))"
        />
        <v-select
          class="by"
          :model-value="detail.method ?? 'felt'"
          :items="trade.methods"
          :label="$t('face.detailPanel.madeBy')"
          @update:model-value="set((d) => (d.method = $event))"
        />
        <v-select
          class="by"
          :model-value="detail.role"
          :items="trade.roles"
          :label="$t('face.detailPanel.itIs')"
          @update:model-value="set((d) => (d.role = $event as Detail['role']))"
        />
      </div>
      <p v-if="detail.keep" class="quiet small">
        {{
          $t('face.detailPanel.kept', {
            what: detail.keep === 'size' ? $t('face.detailPanel.inSizeOnTheWool') : $t('face.detailPanel.asDrawn'),
          })
        }}
        <button
          class="plain link"
          @click="
            set((d) => {
              delete d.keep
            })
          "
        >
          {{ $t('face.detailPanel.askAgain') }}
        </button>
      </p>
      <p v-if="detail.meant?.length" class="quiet small">
        {{ $t('face.detailPanel.meantSo', { code: detail.meant.map((code) => trade.meant[code] ?? code).join(', ') }) }}
        <button
          class="plain link"
          @click="
            set((d) => {
              delete d.meant
            })
          "
        >
          {{ $t('face.detailPanel.adviseAgain') }}
        </button>
      </p>
      <p v-if="detail.pointsMm && detail.pointsMm.length <= 60" class="quiet small">
        {{ $t('face.detailPanel.pullItsPointsOnThe') }}
      </p>
      <ColourPicker class="mt-2" :model-value="detail.colour" @update:model-value="set((d) => (d.colour = $event))" />
    </template>
    <p v-else class="quiet">
      {{ $t('face.detailPanel.chooseADetailToSize') }}
    </p>
  </section>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
}
.top .v-btn {
  flex: none;
}
.switches {
  gap: 0.2rem 0.8rem;
}
.switches > * {
  flex: none;
}
.by {
  flex: 1 1 120px !important;
  min-width: 120px;
}
.advice {
  border-left: 5px solid rgb(var(--v-theme-warning));
  background: rgba(var(--v-theme-warning), 0.1);
  border-radius: 10px;
  padding: 0.5rem 0.8rem;
  margin-top: 0.6rem;
  display: grid;
  gap: 0.4rem;
  font-size: 0.92rem;
}
.advice.fault {
  border-color: rgb(var(--v-theme-error));
  background: rgba(var(--v-theme-error), 0.09);
}
.mend {
  height: auto !important;
  min-height: 30px;
  white-space: normal;
  text-align: left;
  padding-block: 0.2rem;
}
.mend :deep(.v-btn__content) {
  white-space: normal;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.6rem;
}
.link {
  text-decoration: underline;
  color: rgb(var(--v-theme-secondary));
}
</style>
