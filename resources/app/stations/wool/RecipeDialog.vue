<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Match, Recipe } from '../../api/types/answers'
import { api } from '../../api/client'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { decimals, t } from '../../lang'
import { nearnessWord } from './nearness'

/** Mixes of stash wools for one colour, nearest first; and what the last mix really became. */
const show = defineModel<boolean>({ required: true })
const props = defineProps<{ match: Match; grams: number }>()
const figure = useFigure()
const supply = useSupply()
const units = useUnits()
const recipes = ref<Recipe[]>([])
const most = ref(3)
const busy = ref(false)
const trouble = ref('')
const became = ref('')
const told = ref('')
const hex = computed(() => figure.colourOf(props.match.colour))
const isHex = computed(() => /^#[0-9a-f]{6}$/i.test(became.value))
const mixed = computed(() => props.match.shares.length > 1)

async function look(): Promise<void> {
  busy.value = true
  trouble.value = ''
  try {
    recipes.value = (
      await api.recipes(hex.value, Math.max(0, props.grams), most.value, figure.id, {
        document: figure.document!,
        colour: props.match.colour,
      })
    ).recipes
  } catch (error) {
    trouble.value = inWords(error)
  }
  busy.value = false
}
watch(
  [show, most, () => props.match.colour],
  () => {
    if (show.value) {
      told.value = ''
      became.value = ''
      void look()
    }
  },
  { immediate: true },
)

function take(recipe: Recipe): void {
  figure.change((d) => {
    const colour = d.colours.find((c) => c.key === props.match.colour)
    if (colour) colour.mix = recipe.wools.map((w) => ({ wool: w.name, percent: w.percent })) as typeof colour.mix
  })
  show.value = false
}

/** Next time, mixes like this one are reckoned from what it became. */
async function keepSwatch(): Promise<void> {
  try {
    await api.addSwatch(Object.fromEntries(props.match.shares.map((s) => [s.wool, s.percent])), became.value)
    told.value = t('wool.recipeDialog.notedMixesLikeItAre')
    await Promise.all([look(), supply.reckon()])
  } catch (error) {
    trouble.value = inWords(error)
  }
}
</script>

<template>
  <v-dialog
    v-model="show"
    :aria-label="$t('wool.recipeDialog.mixesFor', { colour: figure.colourName(match.colour) })"
    max-width="760"
    scrollable
  >
    <v-card
      :title="$t('wool.recipeDialog.mixesFor2', { colour: figure.colourName(match.colour), grams: units.g(grams) })"
    >
      <v-card-text>
        <div class="row">
          <span class="quiet">{{ $t('wool.recipeDialog.atMost') }}</span><v-btn-toggle
            v-model="most"
            density="compact"
            mandatory
            :aria-label="$t('wool.recipeDialog.woolsInAMix')"
            ><v-btn v-for="n in [1, 2, 3]" :key="n" :value="n" size="small">{{
              $t('wool.recipeDialog.wools', n)
            }}</v-btn></v-btn-toggle
          >
        </div>
        <v-progress-linear
          v-if="busy"
          indeterminate
          color="primary"
          class="mt-3"
          :aria-label="$t('wool.recipeDialog.tryingMixes')"
        />
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert" class="mt-2">{{ trouble }}</v-alert>
        <p v-if="!busy && !recipes.length && !trouble" class="quiet mt-3">
          {{ $t('wool.recipeDialog.theStashHasNoColoured') }}
        </p>
        <ul class="bare cards">
          <li v-for="(r, i) in recipes" :key="i" class="card">
            <svg
              viewBox="0 0 100 54"
              preserveAspectRatio="xMidYMid slice"
              role="img"
              :aria-label="$t('wool.recipeDialog.wantedComesOut', { hex, hex2: r.hex })"
            >
              <rect width="100" height="54" :fill="r.hex" />
              <rect x="34" y="13" width="32" height="28" rx="8" :fill="hex" />
            </svg>
            <div class="bar" aria-hidden="true">
              <i v-for="w in r.wools" :key="w.wool" :style="{ width: `${w.percent}%`, background: w.hex }" />
            </div>
            <p>
              <b :class="r.nearness.split(' ')[0]">{{ nearnessWord(r.nearness) }}</b>{{ ' ' }}
              <span class="unit"
                >{{ decimals(r.difference, 1) }}{{ r.isCorrected ? $t('wool.recipeDialog.byYourOwnSwatch') : '' }}</span
              >
            </p>
            <ul class="bare parts">
              <li v-for="w in r.wools" :key="w.wool">
                <i class="swatch tiny" :style="{ background: w.hex }" /> {{ w.percent }} % {{ w.name
                }}<b>{{ units.g(w.g) }}</b
                ><small v-if="w.g > w.freeG" class="different">{{
                  $t('wool.recipeDialog.onlyFree', { freeG: units.g(w.freeG) })
                }}</small>
              </li>
            </ul>
            <v-btn
              size="small"
              :variant="i === 0 ? 'flat' : 'tonal'"
              :color="i === 0 ? 'primary' : undefined"
              @click="take(r)"
              >{{ $t('wool.recipeDialog.takeThisMix') }}</v-btn
            >
          </li>
        </ul>
        <p v-if="recipes.length" class="quiet small">
          {{ $t('wool.recipeDialog.teaseItUntilNoStreak', { teasing: recipes[0]?.wools[0]?.teasing }) }}
        </p>
        <form v-if="mixed" class="row swatching" @submit.prevent="keepSwatch">
          <span>{{ $t('wool.recipeDialog.whatYourPresentMixBecame') }}</span>
          <input
            type="color"
            :value="isHex ? became : match.hex"
            :aria-label="$t('wool.recipeDialog.theColourItBecame')"
            @input="became = ($event.target as HTMLInputElement).value"
          />
          <v-text-field
            v-model="became"
            :label="$t('wool.recipeDialog.asHex', { hex: '#2f8f86' })"
            class="hex"
            maxlength="7"
          />
          <v-btn size="small" type="submit" :disabled="!isHex">{{ $t('wool.recipeDialog.noteIt') }}</v-btn>
          <span class="quiet" role="status">{{ told }}</span>
        </form>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(205px, 1fr));
  gap: 0.9rem;
  margin-top: 0.9rem;
}
.card {
  border: 1px solid rgb(var(--v-theme-grid-strong));
  border-radius: 14px;
  overflow: hidden;
  padding-bottom: 0.6rem;
  display: flex;
  flex-direction: column;
  gap: 0.25rem;
}
.card > :not(svg, .bar) {
  margin: 0 0.7rem;
}
.card .v-btn {
  margin-top: auto;
}
.card svg {
  display: block;
  width: 100%;
  height: 96px;
}
.bar {
  display: flex;
  height: 9px;
}
.bar i {
  display: block;
  height: 100%;
}
.parts {
  font-size: 0.86rem;
}
.parts li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  align-items: center;
}
.parts b {
  margin-left: auto;
}
.parts small {
  flex-basis: 100%;
}
.tiny {
  width: 0.8rem;
  height: 0.8rem;
  border-width: 1px;
}
.same,
.near {
  color: rgb(var(--v-theme-success));
}
.seen {
  color: rgb(var(--v-theme-warning));
}
.different {
  color: rgb(var(--v-theme-error));
}
.small {
  font-size: 0.86rem;
  margin-top: 0.8rem;
}
.swatching {
  margin-top: 1rem;
  padding-top: 0.8rem;
  border-top: var(--stitch);
}
.hex {
  max-width: 150px;
}
input[type='color'] {
  width: 44px;
  height: 40px;
  border: 0;
  background: none;
}
</style>
