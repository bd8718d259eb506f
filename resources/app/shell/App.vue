<script setup lang="ts">
import { defineAsyncComponent, onBeforeUnmount, onMounted, watch } from 'vue'
import { useRoute } from 'vue-router'
import { usePlace } from '../away/usePlace'
import { useFigure } from '../state/figure/figure'
import { useSupply } from '../state/figure/supply'
import { fetchTrade } from '../state/trade'
import { tour } from '../state/tour'
import { useUnits } from '../state/units'
import { askedNumber, askedWord, showHelp } from '../help/asked'
import AwayBar from '../away/AwayBar.vue'
import ConflictDialog from './ConflictDialog.vue'
import DryingClocks from './DryingClocks.vue'
import NowhereStation from './NowhereStation.vue'
import StaleDialog from './StaleDialog.vue'
import StationThread from './StationThread.vue'
import { untold } from './untold'
import { useKeys } from './useKeys'

const HelpDialog = defineAsyncComponent(() => import('../help/HelpDialog.vue'))
const NumberDialog = defineAsyncComponent(() => import('../help/NumberDialog.vue'))
const WordDialog = defineAsyncComponent(() => import('../help/WordDialog.vue'))
const TourBubble = defineAsyncComponent(() => import('./tour/TourBubble.vue'))
const route = useRoute()
const figure = useFigure()
const supply = useSupply()
const units = useUnits()
useKeys()
usePlace()

watch(
  () => route.params.id,
  (id) => {
    if (typeof id === 'string') void figure.open(Number(id))
  },
  { immediate: true },
)

/** Sentences come from the server with their numbers in them: in other units they are asked for again, and so is what a station shows. */
watch(units.system, () => {
  void fetchTrade().catch(() => undefined)
  void figure.session?.reckon()
  if (supply.supply) void supply.reckon()
})

const flush = () => {
  if (figure.saveState === 'waiting') void figure.save(true)
}
onMounted(() => window.addEventListener('pagehide', flush))
onBeforeUnmount(() => window.removeEventListener('pagehide', flush))
</script>

<template>
  <v-app>
    <a class="skip" href="#station">{{ $t('shell.app.toTheWork') }}</a>
    <StationThread v-if="!route.meta.isDoor" />
    <v-main id="station" class="station">
      <v-alert
        v-if="figure.trouble && route.params.id && !figure.missing"
        type="error"
        variant="tonal"
        class="ma-3"
        role="alert"
      >
        {{ figure.trouble }}
        <ul v-if="figure.faults.length">
          <li v-for="f in figure.faults.slice(0, 6)" :key="f.pointer + f.detail">{{ f.pointer }}: {{ f.detail }}</li>
        </ul>
      </v-alert>
      <NowhereStation v-if="route.params.id && figure.missing" />
      <router-view v-else :key="units.system.value" />
    </v-main>
    <DryingClocks />
    <AwayBar />
    <ConflictDialog />
    <StaleDialog />
    <HelpDialog v-if="showHelp" />
    <NumberDialog v-if="askedNumber" />
    <WordDialog v-if="askedWord" />
    <v-snackbar :model-value="untold !== ''" :timeout="12000" role="alert" @update:model-value="untold = ''">
      {{ untold }}
      <template #actions
        ><v-btn variant="text" @click="untold = ''">{{ $t('common.close') }}</v-btn></template
      >
    </v-snackbar>
    <TourBubble v-if="tour" />
  </v-app>
</template>

<style scoped>
.station {
  background: rgb(var(--v-theme-background));
}
.skip {
  position: absolute;
  left: -999px;
  z-index: 3000;
  padding: 0.6rem 1rem;
  background: rgb(var(--v-theme-surface));
}
.skip:focus {
  left: 0.5rem;
  top: 0.5rem;
}
</style>
