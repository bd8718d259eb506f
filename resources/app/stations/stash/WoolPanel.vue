<script setup lang="ts">
import { mdiCamera, mdiDeleteOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { Wool } from '../../api/types/answers'
import { Refusal, type WoolEntry } from '../../api/client'
import { trade } from '../../state/trade'
import { useUnits } from '../../state/units'
import PhotoDialog from './PhotoDialog.vue'
import ScalePanel from './ScalePanel.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** One wool: what it is, what it weighs. What is typed stays until it is saved or put right. */
const props = defineProps<{ wool: Wool | null; save: (entry: Partial<WoolEntry>) => Promise<void> }>()
const emit = defineEmits<{ weigh: [grams: number]; throw: []; close: [] }>()
const units = useUnits()
const materials = [
  { title: t('stash.woolPanel.woolToCoverWith'), value: 'wool' },
  { title: t('stash.woolPanel.coreWool'), value: 'core-wool' },
  { title: t('stash.woolPanel.scrap'), value: 'scrap' },
  { title: t('stash.woolPanel.stuffing'), value: 'stuffing' },
]
const numbers = computed(
  () =>
    [
      [
        'gramsLeft',
        units.isImperial.value ? t('stash.woolPanel.ouncesLeft') : t('stash.woolPanel.gramsLeft'),
        units.massUnit.value,
      ],
      ['micron', t('stash.woolPanel.fibre'), 'micron'],
      [
        'gPerM',
        units.isImperial.value ? t('stash.woolPanel.aYardWeighs') : t('stash.woolPanel.aMetreWeighs'),
        units.massUnit.value,
      ],
      ['price', t('stash.woolPanel.aPackCosts'), ''],
      ['packG', t('stash.woolPanel.aPackHolds'), units.massUnit.value],
    ] as const,
)
/** Grams for one of what is typed: weights in the felter's unit, those of a length for a yard of it. */
const METRES_PER_YARD = 0.9144
const inUnit: Record<string, () => number> = {
  gramsLeft: () => units.parseMass('1'),
  packG: () => units.parseMass('1'),
  gPerM: () => units.parseMass('1') / (units.isImperial.value ? METRES_PER_YARD : 1),
}
const shown = (member: string, value: unknown) =>
  typeof value === 'number' && inUnit[member] && units.isImperial.value
    ? String(Number((value / inUnit[member]()).toPrecision(4)))
    : String(value ?? '')
/** What is no number is sent as it was typed: the server says what is wrong with it. */
function meant(member: string, text: string): string | number {
  const number = Number(text.trim().replace(',', '.'))
  const was = props.wool?.[member as keyof Wool]
  // What was not touched is not rounded.
  if (typeof was === 'number' && text === shown(member, was)) return was
  return inUnit[member] && units.isImperial.value && text.trim() && Number.isFinite(number)
    ? number * inUnit[member]()
    : text
}
const members = [
  'name',
  'hex',
  'material',
  'preparation',
  'gramsLeft',
  'micron',
  'gPerM',
  'price',
  'packG',
  'maker',
] as const
const typed = ref<Record<string, string>>({})
const faults = ref<Record<string, string>>({})
const trouble = ref('')
const saving = ref(false)
const photo = ref(false)

watch(
  () => props.wool,
  (w, before) => {
    if (w && before && w.id === before.id && saving.value) return
    const usual: Partial<WoolEntry> = {
      hex: '#8a5fa0',
      preparation: 'carded batting',
      material: 'wool',
    }
    typed.value = Object.fromEntries(members.map((m) => [m, shown(m, (w ?? usual)[m])]))
    faults.value = {}
    trouble.value = ''
  },
  { immediate: true },
)

async function keep(): Promise<void> {
  saving.value = true
  faults.value = {}
  trouble.value = ''
  try {
    await props.save(
      Object.fromEntries(Object.entries(typed.value).map(([m, text]) => [m, meant(m, text)])) as Partial<WoolEntry>,
    )
  } catch (error) {
    if (error instanceof Refusal && error.errors.length)
      faults.value = Object.fromEntries(error.errors.map((e) => [e.pointer.slice(1), e.detail]))
    else trouble.value = inWords(error)
  }
  saving.value = false
}
/** The material follows the preparation until the felter says otherwise. */
function prepare(preparation: WoolEntry['preparation']): void {
  typed.value.preparation = preparation
  typed.value.material = trade.preparations.find((p) => p.value === preparation)?.material ?? 'wool'
}
const isHex = () => /^#[0-9a-f]{6}$/i.test(typed.value.hex ?? '')
</script>

<template>
  <section class="sheet panel" :aria-label="wool ? wool.name : $t('stash.woolPanel.aNewWool')">
    <div class="row">
      <h2>{{ wool ? wool.name : $t('stash.woolPanel.aNewWool') }}</h2>
      <v-spacer /><v-btn
        v-if="wool"
        :icon="mdiDeleteOutline"
        variant="text"
        size="small"
        color="error"
        :aria-label="$t('stash.woolPanel.throwThisWoolAway')"
        @click="emit('throw')"
      />
    </div>
    <ScalePanel v-if="wool" :key="wool.id" @take="emit('weigh', $event)" />
    <p v-if="wool && wool.asideG > 0.005" class="quiet">
      {{ $t('stash.woolPanel.ofItAreSetAside', { asideG: units.g(wool.asideG), freeG: units.g(wool.freeG) }) }}
    </p>
    <form class="fields" @submit.prevent="keep">
      <v-text-field
        v-model="typed.name"
        :label="$t('common.name')"
        maxlength="120"
        :error-messages="faults.name"
        class="wide"
      />
      <div class="row wide colour">
        <input
          type="color"
          :value="isHex() ? typed.hex : '#efe6d2'"
          :aria-label="$t('stash.woolPanel.pickTheColour')"
          @input="typed.hex = ($event.target as HTMLInputElement).value"
        />
        <v-text-field
          v-model="typed.hex"
          :label="$t('stash.woolPanel.colourEmptyIfUndyed')"
          :error-messages="faults.hex"
        />
        <v-btn
          :icon="mdiCamera"
          size="small"
          variant="tonal"
          :aria-label="$t('stash.woolPanel.takeTheColourFromA')"
          :title="$t('stash.woolPanel.fromAPhoto')"
          @click="photo = true"
        />
      </div>
      <v-select
        :model-value="typed.preparation as WoolEntry['preparation']"
        :items="trade.preparations"
        class="wide"
        :label="$t('stash.woolPanel.preparation')"
        :error-messages="faults.preparation"
        @update:model-value="prepare($event ?? '')"
      />
      <v-select
        v-model="typed.material"
        class="wide"
        :items="materials"
        :label="$t('stash.woolPanel.usedAs')"
        :error-messages="faults.material"
      />
      <v-text-field
        v-for="[key, label, unit] in numbers"
        :key="key"
        v-model="typed[key]"
        :label="label"
        :suffix="unit"
        inputmode="decimal"
        :error-messages="faults[key]"
      />
      <v-text-field
        v-model="typed.maker"
        :label="$t('stash.woolPanel.makerYourOwnWords')"
        maxlength="200"
        class="wide"
      />
      <v-alert v-if="trouble" type="error" variant="tonal" role="alert" class="wide">{{ trouble }}</v-alert>
      <div class="row wide">
        <v-btn type="submit" color="primary" variant="flat" :loading="saving">{{
          wool ? $t('stash.woolPanel.save') : $t('stash.woolPanel.putItInTheDrawer')
        }}</v-btn><v-btn variant="text" @click="emit('close')">{{ $t('common.close') }}</v-btn>
      </div>
    </form>
    <PhotoDialog v-model="photo" @take="typed.hex = $event" />
  </section>
</template>

<style scoped>
.panel {
  padding: 1rem 1.2rem;
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
}
.wide {
  grid-column: 1 / -1;
}
.colour {
  flex-wrap: nowrap;
}
input[type='color'] {
  width: 46px;
  height: 42px;
  border: 0;
  background: none;
  flex: none;
}
</style>
