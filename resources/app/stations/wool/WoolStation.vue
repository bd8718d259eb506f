<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import PageTabs from '../../shared/PageTabs.vue'
import LengthField from '../../shared/LengthField.vue'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import { trade } from '../../state/trade'
import ColourMixes from './ColourMixes.vue'
import LedgerTable from './LedgerTable.vue'
import NeedsPane from './NeedsPane.vue'
import PortionSheet from './PortionSheet.vue'
import ShoppingPane from './ShoppingPane.vue'
import { t } from '../../lang'

const figure = useFigure()
const supply = useSupply()
const pages = [
  { key: 'ledger', title: t('wool.woolStation.ledger') },
  { key: 'colours', title: t('wool.woolStation.colours') },
  { key: 'portions', title: t('wool.woolStation.portions') },
  { key: 'buy', title: t('common.toBuy') },
] as const
const page = ref<(typeof pages)[number]['key']>('ledger')
const known = (key: string) => (key === 'buy' && supply.lacking.length ? ` ${supply.lacking.length}` : '')

onMounted(() => {
  if (figure.document) void supply.open()
})
watch(
  () => figure.document,
  (now, before) => {
    if (now) void (before ? supply.reckon() : supply.open())
  },
)
</script>

<template>
  <div v-if="figure.document && figure.board" class="wool-station">
    <section class="sheet left" :aria-label="$t('wool.woolStation.woolPartByPart')">
      <PageTabs v-model="page" :pages="pages" :label="$t('common.wool')" :known="known">
        <span class="legend quiet" v-if="page === 'ledger'"
          ><i class="l loose" />{{ $t('wool.woolStation.looseClump') }} <i class="l felted" />{{
            $t('wool.woolStation.felted')
          }}
          <i class="l core" />{{ $t('wool.woolStation.inside') }}</span
        >
      </PageTabs>
      <div role="tabpanel">
        <LedgerTable v-if="page === 'ledger'" />
        <ColourMixes v-else-if="page === 'colours'" />
        <PortionSheet v-else-if="page === 'portions'" />
        <ShoppingPane v-else />
      </div>
    </section>
    <aside class="side">
      <NeedsPane />
      <section class="sheet block" :aria-label="$t('wool.woolStation.theUsualInside')">
        <h2>{{ $t('wool.woolStation.theUsualInside') }}</h2>
        <div class="fields">
          <v-select
            :model-value="figure.document.core ?? trade.usual.core"
            :items="trade.cores"
            :label="$t('common.inside')"
            @update:model-value="figure.change((d) => (d.core = $event))"
          />
          <v-select
            :model-value="figure.document.firmness ?? trade.usual.firmness"
            :items="trade.firmnesses"
            :label="$t('common.firmness')"
            @update:model-value="figure.change((d) => (d.firmness = $event))"
          />
          <LengthField
            :model-value="figure.document.coverMm ?? trade.usual.coverMm"
            :label="$t('wool.woolStation.cover')"
            :min="0"
            :max="200"
            @update:model-value="figure.change((d) => (d.coverMm = $event))"
          />
        </div>
        <p class="quiet small">
          {{ $t('wool.woolStation.coreWoolIsTheDefault') }}
        </p>
      </section>
    </aside>
  </div>
  <v-progress-linear
    v-else-if="!figure.trouble"
    indeterminate
    color="primary"
    :aria-label="$t('common.fetchingTheFigure')"
  />
</template>

<style scoped>
.wool-station {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(390px, 1fr);
  gap: 1rem;
  padding: 0.3rem 1rem 1.5rem;
  max-width: 1500px;
  margin: 0 auto;
  align-items: start;
}
.left {
  padding: 0.6rem 1.2rem 1.2rem;
  overflow-x: auto;
}
.legend {
  margin-left: auto;
  padding-bottom: 0.5rem;
  font-size: 0.84rem;
}
.side {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1rem;
  align-content: start;
}
.block {
  padding: 1rem 1.2rem;
}
.l {
  display: inline-block;
  width: 0.8rem;
  height: 0.8rem;
  border-radius: 50%;
  margin: 0 0.2rem 0 0.8rem;
  vertical-align: -1px;
}
.l.loose {
  border: 1.5px dashed rgb(var(--v-theme-quiet));
}
.l.felted {
  background: rgb(var(--v-theme-thread));
}
.l.core {
  background: #efe6d2;
  border: 1px solid rgb(var(--v-theme-quiet));
}
.fields {
  display: grid;
  gap: 0.7rem;
  margin: 0.7rem 0;
  grid-template-columns: repeat(auto-fit, minmax(8.5rem, 1fr));
}
@media (max-width: 1000px) {
  .wool-station {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
