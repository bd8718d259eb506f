<script setup lang="ts">
import { mdiUndo } from '@mdi/js'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Card, Reserve, SetKept, SetMember } from '../../api/types/answers'
import { api } from '../../api/client'
import type { ImpaSetPlan } from '../../api/types/set-plan'
import PageTabs from '../../shared/PageTabs.vue'
import { useHotkeys } from '../../shared/useHotkeys'
import KitPane from './KitPane.vue'
import { takenApart } from './apart'
import MembersPane from './MembersPane.vue'
import SetOrderPane from './SetOrderPane.vue'
import SetWoolPane from './SetWoolPane.vue'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { useUnits } from '../../state/units'
import { t } from '../../lang'

/** Several figures planned as one: who is in it, what it takes, in what order it is made. */
const units = useUnits()
const route = useRoute()
const router = useRouter()
const set = ref<SetKept | null>(null)
const plan = ref<ImpaSetPlan | null>(null)
const shelf = ref<Card[]>([])
const reserve = ref<Reserve>('usual')
const { trouble, busy, tell } = useAsyncAction()
const before = ref<string[]>([])
const pages = [
  { key: 'members', title: t('sets.setStation.figures') },
  { key: 'wool', title: t('common.wool') },
  { key: 'order', title: t('sets.setStation.order') },
  { key: 'kit', title: t('sets.setStation.kits') },
] as const
const page = ref<(typeof pages)[number]['key']>('members')
const pieces = computed(() => set.value?.members.reduce((sum, m) => sum + (m.count ?? 1), 0) ?? 0)

const reckon = () =>
  tell(async () => {
    if (set.value) plan.value = await api.planSet(set.value, reserve.value)
  })
onMounted(async () => {
  await tell(async () => {
    set.value = await api.set(Number(route.params.set))
    shelf.value = (await api.shelf(1)).figures
  })
  await reckon()
})
/** Keeps it as it is now; one after the other, so that none overtakes another. */
let keeping: Promise<void> = Promise.resolve()
function change(members: SetMember[], name = set.value?.name ?? ''): void {
  if (!set.value) return
  before.value = [...before.value.slice(-49), JSON.stringify([set.value.name, set.value.members])]
  put(members, name)
}
function put(members: SetMember[], name: string): void {
  set.value = { ...set.value!, name, members }
  if (!members.length) {
    plan.value = null
    trouble.value = t('sets.setStation.theSetIsEmptyAdd')
    return
  }
  const now = set.value
  keeping = keeping.then(() =>
    tell(async () => {
      const kept = await api.keepSet({ ...now, revision: set.value!.revision })
      set.value = { ...set.value!, revision: kept.revision }
      if (set.value.members === now.members) plan.value = await api.planSet(now, reserve.value)
    }),
  )
}
function undo(): void {
  const last = before.value.at(-1)
  if (!last) return
  before.value = before.value.slice(0, -1)
  const [name, members] = JSON.parse(last) as [string, SetMember[]]
  put(members, name)
}
watch(reserve, reckon)
useHotkeys({ 'ctrl+z': undo }, 'station')
const asking = ref(false)
async function drop(): Promise<void> {
  asking.value = false
  await tell(async () => {
    await api.dropSet(set.value!.id)
    takenApart.value = set.value
    await router.push('/')
  })
}
</script>

<template>
  <div class="set">
    <header class="row">
      <v-text-field
        v-if="set"
        :model-value="set.name"
        :label="$t('sets.setStation.theSet')"
        maxlength="120"
        class="name"
        @change="change(set.members, ($event.target as HTMLInputElement).value)"
      />
      <b v-if="set">{{ $t('sets.setStation.pieces', pieces) }}</b>
      <v-spacer />
      <v-btn
        :icon="mdiUndo"
        variant="text"
        :aria-label="$t('sets.setStation.undo')"
        :disabled="!before.length"
        @click="undo"
      />
      <v-btn variant="text" color="error" @click="asking = true">{{ $t('sets.setStation.takeTheSetApart') }}</v-btn>
    </header>
    <p v-if="plan" class="enough">{{ plan.enough.text }}</p>
    <v-alert v-if="trouble" type="warning" variant="tonal" role="alert" class="mb-3">{{ trouble }}</v-alert>
    <section v-if="set" class="sheet">
      <PageTabs v-model="page" :pages="pages" :label="$t('sets.setStation.theSet')" />
      <v-progress-linear v-if="busy" indeterminate color="primary" :aria-label="$t('sets.setStation.planningTheSet')" />
      <div role="tabpanel">
        <MembersPane v-if="page === 'members'" :set="set" :plan="plan" :shelf="shelf" @change="change" />
        <template v-else-if="plan">
          <SetWoolPane
            v-if="page === 'wool'"
            v-model:reserve="reserve"
            :set="set"
            :plan="plan"
            @kept="set = { ...set, asideG: $event.asideG }"
          />
          <SetOrderPane v-else-if="page === 'order'" :set="set" :plan="plan" />
          <KitPane v-else :set="set" :plan="plan" />
        </template>
      </div>
    </section>
    <v-progress-linear
      v-else-if="!trouble"
      indeterminate
      color="primary"
      :aria-label="$t('sets.setStation.fetchingTheSet')"
    />
    <v-dialog v-model="asking" :aria-label="$t('sets.setStation.takeTheSetApart2')" max-width="460">
      <v-card :title="$t('sets.setStation.takeTheSetApart2')">
        <v-card-text>
          <p>
            {{ $t('sets.setStation.itsOnTheShelfAs', pieces) }}
            <template v-if="set?.asideG">{{
              $t('sets.setStation.theOfWoolSetAside', { asideG: units.g(set.asideG) })
            }}</template>
            {{ $t('sets.setStation.onTheShelfItCan') }}
          </p>
        </v-card-text>
        <v-card-actions
          ><v-btn @click="asking = false">{{ $t('sets.setStation.keepIt') }}</v-btn
          ><v-btn color="error" variant="flat" @click="drop">{{
            $t('sets.setStation.takeItApart')
          }}</v-btn></v-card-actions
        >
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.set {
  max-width: 1280px;
  margin: 0 auto;
  padding: 0.4rem 1rem 2rem;
}
header {
  padding-bottom: 0.3rem;
}
.enough {
  margin: 0 0 0.6rem;
}
.name {
  flex: 0 0 300px;
}
.sheet {
  padding: 0.6rem 1.2rem 1.2rem;
}
</style>
