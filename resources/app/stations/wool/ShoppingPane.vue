<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import type { Shopping } from '../../api/types/answers'
import { api, type ShopMood } from '../../api/client'
import { download } from '../../shared/download'
import PaperSelect from '../../shared/PaperSelect.vue'
import { useFigure } from '../../state/figure/figure'
import { paperSize } from '../../state/printer'
import { useSupply } from '../../state/figure/supply'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { decimals, t } from '../../lang'
import { money } from '../../state/money'

/** What is lacking, in the packs of the stand-in for a shop that cost least. */
const figure = useFigure()
const supply = useSupply()
const units = useUnits()
const shop = ref<ShopMood>('open')
const list = ref<Shopping | null>(null)
const busy = ref(false)
const trouble = ref('')
const moods: { title: string; value: ShopMood }[] = [
  { title: t('wool.shoppingPane.open'), value: 'open' },
  { title: t('wool.shoppingPane.slow'), value: 'slow' },
  { title: t('wool.shoppingPane.halfSoldOut'), value: 'sold-out' },
  { title: t('wool.shoppingPane.closed'), value: 'closed' },
]
const packs = (l: Shopping['lines'][number]) => l.packs.map((p) => `${p.count} x ${units.pack(p.packG)}`).join(' and ')

async function tried(how: () => Promise<void>): Promise<void> {
  busy.value = true
  trouble.value = ''
  try {
    await how()
  } catch (error) {
    trouble.value = inWords(error)
  }
  busy.value = false
}
const ask = () =>
  tried(async () => {
    if (figure.document) list.value = await api.shopping(figure.document, figure.id, supply.reserve, shop.value)
  })
const keep = (as: 'pdf' | 'csv') =>
  tried(async () => {
    if (figure.document)
      download(
        await api.shoppingFile(figure.document, figure.id, supply.reserve, shop.value, as, paperSize.value),
        t('wool.shoppingPane.woolToBuy', { name: figure.document.name, as }),
      )
  })
onMounted(ask)
watch([shop, () => supply.supply], ask)
</script>

<template>
  <div class="row">
    <v-select v-model="shop" :items="moods" :label="$t('wool.shoppingPane.sampleShop')" class="shop" />
    <v-spacer />
    <PaperSelect />
    <v-btn :disabled="busy || !list" @click="keep('csv')">{{ $t('wool.shoppingPane.asCsv') }}</v-btn>
    <v-btn color="primary" variant="flat" :disabled="busy || !list" @click="keep('pdf')">{{
      $t('wool.shoppingPane.printTheList')
    }}</v-btn>
  </div>
  <v-progress-linear
    v-if="busy"
    indeterminate
    color="primary"
    class="mt-2"
    :aria-label="$t('wool.shoppingPane.askingTheShop')"
  />
  <v-alert v-if="trouble || list?.closed" type="warning" variant="tonal" role="alert" class="mt-2">{{
    trouble || list?.closed
  }}</v-alert>
  <template v-if="list">
    <p v-if="!list.lines.length && !list.missing.length" class="done">
      {{ $t('wool.shoppingPane.nothingIsLackingTheStash') }}
    </p>
    <ul class="bare list">
      <li v-for="l in list.lines" :key="l.name">
        <i class="swatch" :style="{ background: l.hex ?? '#efe6d2' }" />
        <span
          ><b>{{ l.name }}</b
          ><small class="quiet">{{
            $t('wool.shoppingPane.forLacking', {
              for: l.for.join(', '),
              needG: units.g(l.needG),
              what:
                l.difference > 2 ? $t('wool.shoppingPane.differsBy', { difference: decimals(l.difference, 1) }) : '',
            })
          }}</small></span
        >
        <span
          >{{ packs(l) }}<small class="quiet">{{ $t('wool.shoppingPane.days', { days: l.days }) }}</small></span
        >
        <b class="price">{{ money(l.price) }}</b>
      </li>
      <li v-for="m in list.missing" :key="m.name">
        <i class="swatch none" /><span
          ><b>{{ m.name }}</b
          ><small class="short">{{
            $t('wool.shoppingPane.lacking', { needG: units.g(m.needG), why: m.why })
          }}</small></span
        >
      </li>
      <li v-if="list.price" class="sum">
        <i /><span
          ><b>{{ $t('wool.shoppingPane.together') }}</b
          ><small class="quiet">{{
            $t('wool.shoppingPane.withAllThereInDays', {
              what: list.sending
                ? $t('wool.shoppingPane.forSending', { sending: money(list.sending) })
                : $t('wool.shoppingPane.sendingFree'),
              days: list.days,
            })
          }}</small></span
        ><span /><b class="price">{{ money(list.price + list.sending) }}</b>
      </li>
    </ul>
    <p class="quiet small">
      {{ $t('wool.shoppingPane.wholePacksTheCheapestThat') }}
    </p>
  </template>
</template>

<style scoped>
.shop {
  min-width: 9rem;
  max-width: 190px;
}
.list li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1.4fr) minmax(0, 1fr) 70px;
  gap: 0.8rem;
  align-items: center;
  padding: 0.5rem 0;
}
.list li + li {
  border-top: 1px solid rgb(var(--v-theme-grid));
}
.list span {
  display: grid;
  line-height: 1.3;
}
.list small {
  font-size: 0.84rem;
}
.price {
  text-align: right;
}
.none {
  background: none;
  outline-style: dashed;
}
.short {
  color: rgb(var(--v-theme-error));
}
.sum {
  border-top: var(--stitch) !important;
}
.done {
  color: rgb(var(--v-theme-success));
  margin-top: 0.8rem;
}
.small {
  margin-top: 0.7rem;
}
</style>
