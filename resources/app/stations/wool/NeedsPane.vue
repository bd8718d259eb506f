<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Reserve } from '../../api/types/answers'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import { trade } from '../../state/trade'
import { useUnits } from '../../state/units'
import ByHand from '../hand/ByHand.vue'
import FinishDialog from './FinishDialog.vue'
import WoolBar from './WoolBar.vue'
import HowNumber from '../../help/HowNumber.vue'
import OnlyFull from '../../shared/OnlyFull.vue'
import { money } from '../../state/money'

/** All the wool the figure takes, and what becomes of it in the stash. */
const figure = useFigure()
const supply = useSupply()
const units = useUnits()
const finishing = ref(false)
const needs = computed(() => supply.supply?.needs ?? [])
const scaleG = computed(() => Math.max(1, ...needs.value.map((n) => n.wantG)) * 1.15)
const likely = computed(() => needs.value.reduce((sum, n) => sum + n.g, 0))
const wanted = computed(() => needs.value.reduce((sum, n) => sum + n.wantG, 0))
/** Where not all that should be there could be set aside. */
const short = computed(() =>
  needs.value.flatMap((n) => {
    const got = supply.wool?.aside.find((a) => a.wool === n.wool)
    const g = got ? n.wantG - got.g : 0
    return g > 0.05 ? [{ name: n.name, g }] : []
  }),
)
const busy = ref(false)

async function act(how: () => Promise<void>): Promise<void> {
  busy.value = true
  await how()
  busy.value = false
}
function choose(reserve: Reserve): void {
  supply.reserve = reserve
  void supply.reckon()
}
</script>

<template>
  <section class="sheet block" :aria-label="$t('wool.needsPane.totals')">
    <h2>{{ $t('wool.needsPane.inAll') }}</h2>
    <p class="total">
      <span class="quiet">{{ $t('wool.needsPane.youNeedAbout') + ' ' }}</span><b
        ><HowNumber number="total">{{ units.g(likely) }}</HowNumber></b
      ><span class="quiet"
        ><HowNumber number="reserve">{{ $t('wool.needsPane.getReady', { wanted: units.g(wanted) }) }}</HowNumber
        ><template v-if="supply.supply?.cost">{{
          $t('wool.needsPane.itCostsAbout', { cost: money(supply.supply.cost) })
        }}</template></span
      >
    </p>
    <ul class="bare">
      <WoolBar v-for="n in needs" :key="`${n.wool}${n.name}`" :need="n" :scale-g="scaleG" />
    </ul>
    <OnlyFull :what="$t('help.what.odds')">
      <v-select
        :model-value="supply.reserve"
        :items="trade.reserves"
        :label="$t('wool.needsPane.ifItRunsOut')"
        class="mt-3"
        @update:model-value="choose($event)"
      >
        <template #item="{ props: item, item: r }"><v-list-item v-bind="item" :subtitle="r.why" /></template>
      </v-select>
      <p class="quiet small">
        {{ $t('wool.needsPane.theRealWeightIsWithin') }}
      </p>
    </OnlyFull>
    <ByHand :of="$t('wool.needsPane.weights')" :records="figure.board?.plan.records?.weights" />
    <div class="row acts" role="group" :aria-label="$t('wool.needsPane.theFiguresWool')">
      <template v-if="supply.wool?.state === 'used'"
        ><span class="settled">{{ $t('wool.needsPane.finishedItsWoolIsTaken') }}</span></template
      >
      <template v-else>
        <v-btn
          :color="supply.wool?.state === 'aside' ? undefined : 'primary'"
          :variant="supply.wool?.state === 'aside' ? 'tonal' : 'flat'"
          :disabled="busy"
          @click="act(supply.setAside)"
          >{{
            supply.wool?.state === 'aside' ? $t('wool.needsPane.setAsideAnew') : $t('wool.needsPane.setTheWoolAside')
          }}</v-btn
        >
        <v-btn v-if="supply.wool?.state === 'aside'" :disabled="busy" @click="act(supply.release)">{{
          $t('wool.needsPane.giveItBack')
        }}</v-btn>
        <v-btn variant="text" :disabled="busy" @click="finishing = true">{{
          $t('wool.needsPane.figureFinished')
        }}</v-btn>
      </template>
    </div>
    <p v-if="supply.wool?.state === 'aside'" class="settled small">
      {{
        $t('wool.needsPane.setAsideOtherFiguresDo', {
          a: supply.wool.aside.map((a) => `${units.g(a.g)} ${a.name}`).join(', '),
        })
      }}
    </p>
    <ul
      v-if="supply.wool?.state === 'aside' && (short.length || supply.wool.elsewhere.length)"
      class="bare small"
      role="status"
    >
      <li v-for="s in short" :key="s.name">
        {{ $t('wool.needsPane.lessThanItShouldBe', { s: units.g(s.g), name: s.name }) }}
      </li>
      <li v-for="e in supply.wool.elsewhere" :key="`${e.figure} ${e.wool}`">
        {{
          $t('wool.needsPane.whichIsInWorkNeeds', {
            name: e.name,
            e: units.g(e.g),
            wool: e.wool,
            freeG: units.g(e.freeG),
          })
        }}
      </li>
    </ul>
    <table v-if="supply.wool?.state === 'used'" class="used">
      <thead>
        <tr>
          <th>{{ $t('common.wool') }}</th>
          <th>{{ $t('wool.needsPane.planned') }}</th>
          <th>{{ $t('wool.needsPane.used') }}</th>
          <th>{{ $t('wool.needsPane.leftOver') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="u in supply.wool.used" :key="u.wool">
          <td>{{ u.name }}</td>
          <td>{{ units.g(u.plannedG) }}</td>
          <td>{{ units.g(u.usedG) }}</td>
          <td>
            {{ u.sparedG >= 0 ? units.g(u.sparedG) : $t('wool.needsPane.more', { sparedG: units.g(-u.sparedG) }) }}
          </td>
        </tr>
      </tbody>
    </table>
    <v-alert v-if="supply.trouble" type="error" variant="tonal" role="alert" class="mt-2">{{ supply.trouble }}</v-alert>
    <FinishDialog v-if="figure.document" v-model="finishing" />
  </section>
</template>

<style scoped>
.block {
  padding: 1rem 1.2rem;
}
.total {
  margin: 0.2rem 0 0.5rem;
}
.total b {
  font-size: 1.4rem;
}
.small {
  margin-top: 0.5rem;
}
.acts {
  margin-top: 0.8rem;
}
.settled {
  color: rgb(var(--v-theme-success));
}
.used {
  width: 100%;
  border-collapse: collapse;
  margin-top: 0.7rem;
  font-size: 0.9rem;
}
.used th {
  text-align: left;
  font-size: 0.8rem;
  color: rgb(var(--v-theme-quiet));
}
.used td {
  border-top: 1px solid rgb(var(--v-theme-grid));
  padding: 0.2rem 0;
}
</style>
