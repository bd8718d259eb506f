<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { KitTold, Reserve, SetKept } from '../../api/types/answers'
import { api, type KitWish } from '../../api/client'
import type { ImpaSetPlan } from '../../api/types/set-plan'
import { download } from '../../shared/download'
import PaperSelect from '../../shared/PaperSelect.vue'
import { paperSize } from '../../state/printer'
import { trade } from '../../state/trade'
import { useUnits } from '../../state/units'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { t } from '../../lang'
import { money } from '../../state/money'

/** Kits of one of the figures for a workshop: what each bag holds, what is packed and bought, how it runs; labels and sheets. */
const props = defineProps<{ set: SetKept; plan: ImpaSetPlan }>()
const units = useUnits()
const of = ref(0)
const people = ref('12')
const spare = ref('1')
const beginners = ref('80')
const reserve = ref<Reserve>('usual')
const labels = ref('a4-3x7')
const told = ref<KitTold | null>(null)
const { trouble, busy, tell } = useAsyncAction()
const names = computed(() => props.plan.members.map((m, i) => ({ value: i, title: m.name })))
const sizes = [
  { value: 'a4-3x7', title: t('sets.kitPane.a43X7Of', { box: units.box(63.5, 38.1) }) },
  { value: 'a4-2x7', title: t('sets.kitPane.a42X7Of', { box: units.box(99.1, 38.1) }) },
  { value: 'a4-3x8', title: t('sets.kitPane.a43X8Of', { box: units.box(70, 37) }) },
  { value: 'letter-3x10', title: t('sets.kitPane.letter3X10Of', { box: units.box(66.7, 25.4) }) },
  { value: 'plain-a4', title: t('sets.kitPane.plainA4ToBeCut') },
  { value: 'plain-letter', title: t('sets.kitPane.plainLetterToBeCut') },
]
const wish = computed<KitWish>(() => ({
  member: props.set.members[of.value] ?? props.set.members[0]!,
  people: Number(people.value),
  spare: Number(spare.value),
  beginners: Number(beginners.value.replace(',', '.')) / 100,
  reserve: reserve.value,
}))
const reckon = () => tell(async () => void (told.value = await api.kit(wish.value)))
onMounted(reckon)
watch(wish, reckon)
const lacking = computed(() => told.value?.kit.needs.filter((n) => n.lackG > 0) ?? [])
const name = computed(() => told.value?.kit.figure ?? 'kit')
const printLabels = () =>
  tell(async () =>
    download(await api.kitLabels(wish.value, labels.value), t('sets.kitPane.labelsPdf', { name: name.value })),
  )
const printSheet = () =>
  tell(async () =>
    download(await api.kitSheet(wish.value, paperSize.value), t('sets.kitPane.kitsPdf', { name: name.value })),
  )
const clock = (minutes: number) =>
  `${Math.floor(Math.round(minutes) / 60)}:${String(Math.round(minutes) % 60).padStart(2, '0')}`
</script>

<template>
  <div class="kit">
    <form class="wishes" :aria-label="$t('sets.kitPane.theWorkshop')" @submit.prevent>
      <v-select v-model="of" :items="names" :label="$t('sets.kitPane.everyoneMakes')" hide-details />
      <v-text-field v-model="people" :label="$t('sets.kitPane.people')" type="number" min="1" max="200" hide-details />
      <v-text-field v-model="spare" :label="$t('sets.kitPane.spareBags')" type="number" min="0" max="50" hide-details />
      <v-text-field
        v-model="beginners"
        :label="$t('sets.kitPane.beginners')"
        suffix="%"
        inputmode="decimal"
        hide-details
      />
      <v-select v-model="reserve" :items="trade.reserves" :label="$t('sets.kitPane.ifABagRunsOut')" hide-details />
    </form>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <v-progress-linear v-if="busy" indeterminate color="primary" :aria-label="$t('sets.kitPane.reckoningTheKits')" />
    <div v-if="told" class="two">
      <section>
        <h2>{{ $t('sets.kitPane.inEachBag') }}</h2>
        <p class="quiet small">
          {{ $t('sets.kitPane.moreThanThePlansLikely', { factor: Math.round((told.kit.factor - 1) * 100) }) }}
        </p>
        <table>
          <thead>
            <tr>
              <th scope="col">{{ $t('common.wool') }}</th>
              <th scope="col">{{ $t('sets.kitPane.eachAsALooseBall') }}</th>
              <th scope="col">{{ $t('sets.kitPane.inAll') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="b in told.kit.bag" :key="b.name">
              <th scope="row">
                <i :style="{ background: b.hex ?? '#e9dfc8' }" />{{ b.name
                }}<small v-if="b.wools.length" class="quiet">{{
                  b.wools.map((w) => `${units.g(w.g)} ${w.name}`).join(', ')
                }}</small>
              </th>
              <td>
                {{ units.g(b.eachG) }}
                <small class="quiet">{{ $t('sets.kitPane.ballOf', { clumpMm: units.mm(b.clumpMm) }) }}</small>
              </td>
              <td>{{ units.g(b.eachG * told.kit.bags) }}</td>
            </tr>
          </tbody>
        </table>
        <p>{{ $t('sets.kitPane.n1NeedleOfGaugeIn', { needle: told.kit.needle, needles: told.kit.needles }) }}</p>
        <p v-for="m in told.kit.mixes" :key="m.colour">{{ m.text }}</p>
        <h2>{{ $t('common.toBuy') }}</h2>
        <p v-if="!lacking.length">{{ $t('sets.kitPane.theStashHasItAll') }}</p>
        <ul class="bare">
          <li v-for="n in lacking" :key="n.name">
            {{ $t('sets.kitPane.lacking', { name: n.name, lackG: units.g(n.lackG) }) }}
          </li>
          <li v-for="l in told.shopping.lines" :key="l.name">
            {{ l.packs.map((p) => `${p.count} x ${units.pack(p.packG)}`).join($t('sets.kitPane.and')) }} {{ l.name }},
            <span class="quiet">{{ $t('sets.kitPane.leftOver', { needG: units.g(l.g - l.needG) }) }}</span>
          </li>
          <li v-for="m in told.shopping.missing" :key="m.name" class="wrong">{{ m.name }}: {{ m.why }}</li>
        </ul>
        <p v-if="told.shopping.price">
          {{
            $t('sets.kitPane.inAllWithSendingAbout', {
              sending: money(told.shopping.price + told.shopping.sending),
              bags: money((told.shopping.price + told.shopping.sending) / told.kit.bags),
            })
          }}
        </p>
      </section>
      <section>
        <h2>{{ $t('sets.kitPane.howItRuns', { kit: clock(told.kit.minutes) }) }}</h2>
        <p class="note">{{ told.kit.note }}</p>
        <ol class="bare run" :aria-label="$t('sets.kitPane.howItRuns2')">
          <li v-for="r in told.kit.run" :key="r.from">
            <span class="at">{{ clock(r.from) }}</span><span
              ><b>{{ r.what }}</b
              ><small v-if="r.note" class="quiet">{{ r.note }}</small></span
            >
          </li>
        </ol>
      </section>
      <aside>
        <h2>{{ $t('sets.kitPane.pack') }}</h2>
        <ul class="bare pack">
          <li v-for="p in told.kit.packing" :key="p.what">
            <b>{{ p.count }}</b> {{ p.what }}<small class="quiet">{{ p.note }}</small>
          </li>
        </ul>
        <v-select v-model="labels" :items="sizes" :label="$t('sets.kitPane.labels')" hide-details />
        <v-btn variant="tonal" :disabled="busy" @click="printLabels">{{ $t('sets.kitPane.printTheLabels') }}</v-btn>
        <PaperSelect />
        <v-btn color="primary" variant="flat" :disabled="busy" @click="printSheet">{{
          $t('sets.kitPane.printListAndRun')
        }}</v-btn>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.kit {
  display: grid;
  gap: 0.8rem;
  padding-top: 0.8rem;
}
.wishes {
  display: grid;
  grid-template-columns: 2fr repeat(3, 1fr) 1.6fr;
  gap: 0.7rem;
}
.two {
  display: grid;
  grid-template-columns: 1.1fr 1fr 300px;
  gap: 1.4rem;
}
.two aside {
  display: grid;
  gap: 0.7rem;
  align-content: start;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  padding: 0.25rem 0.4rem;
  text-align: right;
  font-variant-numeric: tabular-nums;
}
/* A number and its unit are one word. */
td {
  white-space: nowrap;
}
td small {
  display: block;
}
th:first-child {
  text-align: left;
  font-weight: 600;
}
tbody tr {
  border-top: 1px dashed rgb(var(--v-theme-thread));
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
.note {
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding-left: 0.6rem;
}
.run li,
.pack li {
  padding: 0.2rem 0;
}
.run li {
  display: grid;
  grid-template-columns: 3rem 1fr;
}
.at {
  font-variant-numeric: tabular-nums;
}
small {
  display: block;
}
@media (max-width: 1000px) {
  .wishes,
  .two {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
