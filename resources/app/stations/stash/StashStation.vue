<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { computed, onMounted, ref } from 'vue'
import type { Wool } from '../../api/types/answers'
import { api, type WoolEntry } from '../../api/client'
import { download } from '../../shared/download'
import { useUnits } from '../../state/units'
import RampTool from './RampTool.vue'
import SheetDialog from './SheetDialog.vue'
import WoolPanel from './WoolPanel.vue'
import WoolTuft from './WoolTuft.vue'
import { inWords } from '../../shared/useAsyncAction'

/** The drawer seen from above: every wool as a tuft of its true colour, as large as what is left. */
const units = useUnits()
const wools = ref<Wool[] | null>(null)
const chosen = ref<number | 'new' | null>(null)
const sought = ref('')
const order = ref<'name' | 'colour' | 'grams'>('colour')
const reading = ref(false)
const trouble = ref('')
const thrown = ref<{ id: number; name: string } | null>(null)
const wool = computed(() => wools.value?.find((w) => w.id === chosen.value) ?? null)
const largestG = computed(() => Math.max(1, ...(wools.value ?? []).map((w) => w.gramsLeft)))
const totalG = computed(() => (wools.value ?? []).reduce((sum, w) => sum + w.gramsLeft, 0))

/** By hue round the circle, greys and undyed wool last. */
function hue(hex: string | null): number {
  const [r, g, b] = [1, 3, 5].map((i) => parseInt((hex ?? '#efe6d2').slice(i, i + 2), 16)) as [number, number, number]
  const [high, low] = [Math.max(r, g, b), Math.min(r, g, b)]
  if (high - low < 22 || !hex) return 1000 + 255 - high
  const h = high === r ? (g - b) / (high - low) : high === g ? 2 + (b - r) / (high - low) : 4 + (r - g) / (high - low)
  return (h * 60 + 360 + 20) % 360
}
const shown = computed(() => {
  const found = (wools.value ?? []).filter((w) =>
    `${w.name} ${w.preparation} ${w.maker}`.toLowerCase().includes(sought.value.trim().toLowerCase()),
  )
  const by = {
    name: (a: Wool, b: Wool) => a.name.localeCompare(b.name),
    colour: (a: Wool, b: Wool) => hue(a.hex) - hue(b.hex),
    grams: (a: Wool, b: Wool) => b.gramsLeft - a.gramsLeft,
  }
  return found.sort(by[order.value])
})

async function tried(how: () => Promise<void>): Promise<void> {
  trouble.value = ''
  try {
    await how()
  } catch (error) {
    trouble.value = inWords(error)
  }
}
const load = () =>
  tried(async () => {
    wools.value = (await api.wools()).wools
  })
onMounted(load)

async function save(entry: Partial<WoolEntry>): Promise<void> {
  const kept = wool.value ? await api.changeWool(wool.value.id, entry, wool.value.revision) : await api.addWool(entry)
  await load()
  chosen.value = kept.id
}
const weigh = (grams: number) =>
  tried(async () => {
    if (!wool.value) return
    await api.weigh(wool.value.id, Math.max(0, Math.round(grams * 100) / 100))
    await load()
  })
const throwAway = () =>
  tried(async () => {
    if (!wool.value) return
    thrown.value = { id: wool.value.id, name: wool.value.name }
    await api.throwWool(wool.value.id)
    chosen.value = null
    await load()
  })
const takeBack = () =>
  tried(async () => {
    if (!thrown.value) return
    await api.restoreWool(thrown.value.id)
    chosen.value = thrown.value.id
    thrown.value = null
    await load()
  })
const give = (as: 'csv' | 'gpl') => tried(async () => download(await api.stashFile(as), `stash.${as}`))
</script>

<template>
  <div class="stash">
    <header class="row">
      <h1>{{ $t('stash.stashStation.theStash') }}</h1>
      <span v-if="wools" class="quiet">{{ $t('stash.stashStation.wools', wools.length) }}, {{ units.g(totalG) }}</span>
      <v-spacer />
      <v-text-field
        v-model="sought"
        :label="$t('stash.stashStation.find')"
        class="find"
        clearable
        @click:clear="sought = ''"
      />
      <v-select
        v-model="order"
        :items="[
          { title: $t('stash.stashStation.byColour'), value: 'colour' },
          { title: $t('stash.stashStation.byName'), value: 'name' },
          { title: $t('stash.stashStation.byWhatIsLeft'), value: 'grams' },
        ]"
        :label="$t('stash.stashStation.order')"
        class="order"
      />
      <v-btn @click="reading = true">{{ $t('stash.stashStation.takeInAFile') }}</v-btn>
      <v-btn variant="text" @click="give('csv')">CSV</v-btn>
      <v-btn variant="text" @click="give('gpl')">{{ $t('stash.stashStation.palette') }}</v-btn>
      <v-btn color="primary" variant="flat" :prepend-icon="mdiPlus" @click="chosen = 'new'">{{
        $t('stash.stashStation.addAWool')
      }}</v-btn>
    </header>
    <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
    <div class="both" :class="{ open: chosen !== null }">
      <section class="sheet drawer" :aria-label="$t('stash.stashStation.theDrawer')">
        <v-progress-linear
          v-if="!wools && !trouble"
          indeterminate
          color="primary"
          :aria-label="$t('stash.stashStation.openingTheDrawer')"
        />
        <p v-else-if="wools && !wools.length" class="quiet empty">
          {{ $t('stash.stashStation.theDrawerIsEmptyPut') }}
        </p>
        <p v-else-if="!shown.length" class="quiet empty">{{ $t('stash.stashStation.nothingInTheDrawerIs') }}</p>
        <WoolTuft
          v-for="w in shown"
          :key="w.id"
          :wool="w"
          :largest-g="largestG"
          :chosen="w.id === chosen"
          @click="chosen = w.id === chosen ? null : w.id"
        />
      </section>
      <WoolPanel
        v-if="chosen !== null"
        :wool="wool"
        :save="save"
        @weigh="weigh"
        @throw="throwAway"
        @close="chosen = null"
      />
    </div>
    <RampTool v-if="wools?.length" :wools="wools" />
    <SheetDialog v-model="reading" @done="load" />
    <v-snackbar
      :model-value="thrown !== null"
      :timeout="12000"
      @update:model-value="
        (open: boolean) => {
          if (!open) thrown = null
        }
      "
      >{{ $t('stash.stashStation.isThrownAway', { name: thrown?.name }) }}
      <template #actions
        ><v-btn variant="text" @click="takeBack">{{ $t('stash.stashStation.takeItBack') }}</v-btn></template
      ></v-snackbar
    >
  </div>
</template>

<style scoped>
.stash {
  max-width: 1500px;
  margin: 0 auto;
  padding: 0.3rem 1rem 1.5rem;
  display: grid;
  gap: 1rem;
}
.find {
  min-width: 8rem;
  max-width: 170px;
}
.order {
  max-width: 170px;
}
.both {
  display: grid;
  gap: 1rem;
  align-items: start;
}
.both.open {
  grid-template-columns: minmax(0, 1fr) 400px;
}
.drawer {
  padding: 0.8rem;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(138px, 1fr));
  gap: 0.3rem;
  min-height: 220px;
}
.empty {
  grid-column: 1 / -1;
  padding: 1rem;
}
@media (max-width: 1000px) {
  .both.open {
    grid-template-columns: minmax(0, 1fr);
  }
  .both.open .panel {
    order: -1;
  }
}
</style>
