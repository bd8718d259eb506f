<script setup lang="ts">
import { LANGUAGES, choose, spoken, t } from '../../lang'
import { chosenLevel } from '../../state/level'
import { CURRENCIES, currency } from '../../state/money'
import { useUnits } from '../../state/units'

/** How Impa speaks to her, and how much it shows: all of it in one place. */
const units = useUnits()
const systems = [
  { value: 'metric', title: t('house.speaksPane.metric') },
  { value: 'imperial', title: t('house.speaksPane.imperial') },
]
const currencies = [
  { value: '', title: t('house.speaksPane.noCurrency') },
  ...CURRENCIES.map((value) => ({ value, title: value })),
]
const levels = [
  { value: 'simple', title: t('help.level.simple') },
  { value: 'full', title: t('help.level.full') },
]
</script>

<template>
  <section class="sheet pane" :aria-label="$t('house.speaksPane.how')">
    <h2>{{ $t('house.speaksPane.how') }}</h2>
    <div class="fields">
      <v-select
        :model-value="spoken()"
        :items="LANGUAGES"
        :label="$t('house.speaksPane.language')"
        @update:model-value="choose($event)"
      />
      <v-select v-model="units.system.value" :items="systems" :label="$t('house.speaksPane.units')" />
      <v-select v-model="currency" :items="currencies" :label="$t('house.speaksPane.currency')" />
      <v-select
        :model-value="chosenLevel ?? 'full'"
        :items="levels"
        :label="$t('help.level.how')"
        @update:model-value="chosenLevel = $event"
      />
    </div>
    <p class="quiet small">{{ $t('help.level.what') }}</p>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.7rem;
  margin: 0.7rem 0;
}
</style>
