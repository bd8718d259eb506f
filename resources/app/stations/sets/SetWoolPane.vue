<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { Reserve, SetKept, Shopping } from '../../api/types/answers'
import { api } from '../../api/client'
import type { ImpaSetPlan } from '../../api/types/set-plan'
import { download } from '../../shared/download'
import PaperSelect from '../../shared/PaperSelect.vue'
import { trade } from '../../state/trade'
import { paperSize } from '../../state/printer'
import { useUnits } from '../../state/units'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { t } from '../../lang'
import { money } from '../../state/money'

/** One ledger of wool over the whole set: what is likely, what to have, what the stash has free, what to buy. */
const props = defineProps<{ set: SetKept; plan: ImpaSetPlan }>()
const reserve = defineModel<Reserve>('reserve', { required: true })
const emit = defineEmits<{ kept: [set: SetKept] }>()
const units = useUnits()
const most = computed(() => Math.max(1, ...props.plan.wool.map((w) => w.highG)))
const shopping = ref<Shopping | null>(null)
const { trouble, tell } = useAsyncAction()
const sent = () => ({ name: props.set.name, members: props.set.members })
const shop = () => tell(async () => void (shopping.value = await api.shopForSet(sent(), reserve.value)))
onMounted(shop)
watch(() => props.plan, shop)
const aside = (keep: boolean) =>
  tell(async () =>
    emit(
      'kept',
      await (keep
        ? api.setAsideForSet(props.set.id, reserve.value, props.set.asideRevision)
        : api.giveBackForSet(props.set.id)),
    ),
  )
const print = () =>
  tell(async () =>
    download(
      await api.setShoppingFile(sent(), reserve.value, paperSize.value),
      t('sets.setWoolPane.woolToBuyPdf', { name: props.set.name }),
    ),
  )
const states = {
  none: t('sets.setWoolPane.noneLikeIt'),
  enough: t('sets.setWoolPane.enough'),
  tight: t('sets.setWoolPane.enoughIfAllGoesWell'),
  short: t('sets.setWoolPane.short'),
}
</script>

<template>
  <div class="wool">
    <p class="total">
      <b>{{ units.g(plan.totalG) }}</b> {{ $t('sets.setWoolPane.inAll') }}
    </p>
    <div class="row">
      <v-select
        v-model="reserve"
        :items="trade.reserves"
        :label="$t('sets.setWoolPane.ifItRunsOut')"
        class="reserve"
        hide-details
      />
      <v-btn variant="tonal" @click="aside(true)">{{
        set.asideG ? $t('sets.setWoolPane.setAsideAnew') : $t('sets.setWoolPane.setTheWoolAside')
      }}</v-btn>
      <template v-if="set.asideG">
        <v-btn variant="text" @click="aside(false)">{{ $t('sets.setWoolPane.giveItBack') }}</v-btn>
        <span class="quiet">{{ $t('sets.setWoolPane.lieAsideForItNo', { asideG: units.g(set.asideG) }) }}</span>
      </template>
    </div>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ $t('common.wool') }}</th>
          <th scope="col"></th>
          <th scope="col">{{ $t('sets.setWoolPane.likely') }}</th>
          <th scope="col">{{ $t('sets.setWoolPane.toHave') }}</th>
          <th scope="col">{{ $t('sets.setWoolPane.free') }}</th>
          <th scope="col">{{ $t('sets.setWoolPane.toBuy') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="w in plan.wool" :key="`${w.wool}${w.name}${w.hex}`" :class="w.state">
          <th scope="row"><i :style="{ background: w.hex ?? '#e9dfc8' }" />{{ w.name }}</th>
          <td class="bar">
            <svg viewBox="0 0 200 14" preserveAspectRatio="none" aria-hidden="true">
              <rect x="0" y="3" :width="(200 * w.lowG) / most" height="8" class="sure" />
              <rect
                :x="(200 * w.lowG) / most"
                y="3"
                :width="(200 * (w.highG - w.lowG)) / most"
                height="8"
                class="spread"
              />
              <line v-if="w.freeG <= most" :x1="(200 * w.freeG) / most" :x2="(200 * w.freeG) / most" y1="0" y2="14" />
            </svg>
          </td>
          <td>
            {{ units.g(w.g) }} <small class="quiet">{{ units.massRange(w.lowG, w.highG) }}</small>
          </td>
          <td>{{ units.g(w.wantG) }}</td>
          <td>{{ units.g(w.freeG) }}</td>
          <td>
            <b v-if="w.lackG > 0">{{ units.g(w.lackG) }}</b><span v-else class="quiet">{{ states[w.state] }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <section v-if="shopping && (shopping.lines.length || shopping.missing.length)" :aria-label="$t('common.toBuy')">
      <div class="row">
        <h2>{{ $t('common.toBuy') }}</h2>
        <span class="quiet">{{ $t('sets.setWoolPane.fromTheSampleShop') }}</span><v-spacer /><PaperSelect /><v-btn
          variant="tonal"
          @click="print"
          >{{ $t('sets.setWoolPane.printTheList') }}</v-btn
        >
      </div>
      <ul class="bare">
        <li v-for="l in shopping.lines" :key="l.name">
          {{ l.packs.map((p) => `${p.count} x ${units.pack(p.packG)}`).join($t('sets.setWoolPane.and')) }}
          <b>{{ l.name }}</b>,
          {{ money(l.price) }}
        </li>
        <li v-for="m in shopping.missing" :key="m.name">{{ m.name }}: {{ m.why }}</li>
      </ul>
      <p>{{ $t('sets.setWoolPane.inAllWithSending', { sending: money(shopping.price + shopping.sending) }) }}</p>
    </section>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <p class="quiet small">
      {{ $t('sets.setWoolPane.theRealWeightIsWithin') }}
    </p>
  </div>
</template>

<style scoped>
.wool {
  display: grid;
  gap: 0.8rem;
  padding-top: 0.8rem;
}
.reserve {
  max-width: 300px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 0.35rem 0.6rem;
  text-align: right;
  font-variant-numeric: tabular-nums;
}
/* A number and its unit are one word. */
td {
  white-space: nowrap;
}
tbody tr {
  border-top: 1px dashed rgb(var(--v-theme-thread));
}
th:first-child {
  text-align: left;
  font-weight: 600;
}
.bar {
  width: 28%;
}
svg {
  width: 100%;
  height: 14px;
}
.sure {
  fill: rgb(var(--v-theme-secondary));
}
.spread {
  fill: rgb(var(--v-theme-secondary));
  opacity: 0.4;
}
line {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
i {
  display: inline-block;
  width: 1rem;
  height: 1rem;
  margin-right: 0.5rem;
  border-radius: 50%;
  border: 1px solid rgb(var(--v-theme-thread));
  vertical-align: -3px;
}
.short td b,
.none td b {
  color: rgb(var(--v-theme-error));
}
</style>
