<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Card, SetKept, SetMember } from '../../api/types/answers'
import { api } from '../../api/client'
import type { ImpaSetPlan } from '../../api/types/set-plan'
import LengthField from '../../shared/LengthField.vue'
import { useUnits } from '../../state/units'
import MemberPicture from './MemberPicture.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** The figures of a set in a row: colours, size, how many; and more of them by a rule. */
const props = defineProps<{ set: SetKept; plan: ImpaSetPlan | null; shelf: Card[] }>()
const emit = defineEmits<{ change: [members: SetMember[]] }>()
const units = useUnits()
const told = (i: number) => props.plan?.members[i]
const with_ = (i: number, more: Partial<SetMember>) =>
  emit(
    'change',
    props.set.members.map((m, k) => (k === i ? { ...m, ...more } : m)),
  )
const recolour = (i: number, key: string, hex: string) =>
  with_(i, { colours: { ...props.set.members[i]!.colours, [key]: hex } })

/** More of one figure: in other colours, by a rule or by the stash; in other sizes. */
const of = ref(0)
const by = ref<'hue' | 'swap' | 'stash'>('hue')
const count = ref('7')
const keys = ref<string[]>([])
const sizes = ref('')
const trouble = ref('')
const rules = [
  { value: 'hue', title: t('sets.membersPane.spreadOverTheRainbow') },
  { value: 'swap', title: t('sets.membersPane.coloursChangePlaces') },
  { value: 'stash', title: t('sets.membersPane.whatTheStashHasEnough') },
]
const model = computed(() => told(of.value))
const names = computed(() =>
  props.set.members.map((m, i) => ({
    value: i,
    title: told(i)?.name ?? m.name ?? t('sets.membersPane.figure', { number: i + 1 }),
  })),
)
async function colourways(): Promise<void> {
  trouble.value = ''
  const member = props.set.members[of.value]!
  try {
    const { colourways: ways } = await api.colourways(member.figure, keys.value, by.value, Number(count.value))
    if (!ways.length) {
      trouble.value = t('sets.membersPane.theStashHasNotEnough')
      return
    }
    if (by.value === 'stash' && ways.length < Number(count.value))
      trouble.value = t('sets.membersPane.theStashHasEnoughOf', { ways: ways.length })
    const name = model.value?.name ?? ''
    const more = ways.map((way, n) => ({
      ...member,
      name: `${name} ${n + 1}`,
      count: 1,
      colours: { ...member.colours, ...way },
    }))
    emit(
      'change',
      props.set.members.flatMap((m, k) => (k === of.value ? more : [m])),
    )
  } catch (error) {
    trouble.value = inWords(error)
  }
}
function family(): void {
  const heights = sizes.value
    .split(/[,;\s]+/)
    .filter(Boolean)
    .map((t) => units.parseLength(t))
  if (!heights.length || heights.some((h) => !(h > 0))) {
    trouble.value = t('sets.membersPane.heightsOneAfterTheOther')
    return
  }
  trouble.value = ''
  const member = props.set.members[of.value]!
  const name = model.value?.name ?? ''
  const more = heights.map((heightMm) => ({
    ...member,
    name: `${name}, ${units.mm(heightMm)}`,
    count: 1,
    heightMm,
  }))
  emit(
    'change',
    props.set.members.flatMap((m, k) => (k === of.value ? more : [m])),
  )
}
</script>

<template>
  <div class="members">
    <ul class="bare row-of" :aria-label="$t('sets.membersPane.figuresOfTheSet')">
      <li v-for="(m, i) in set.members" :key="i" :class="{ short: told(i) && told(i)!.enoughFor < told(i)!.count }">
        <MemberPicture :member="m" :name="told(i)?.name ?? ''" />
        <input
          class="title"
          :value="told(i)?.name ?? m.name"
          :aria-label="$t('sets.membersPane.nameOfFigure', { number: i + 1 })"
          maxlength="120"
          @change="with_(i, { name: ($event.target as HTMLInputElement).value })"
        />
        <span class="row colours"
          ><input
            v-for="c in told(i)?.colours"
            :key="c.key"
            type="color"
            :value="c.hex"
            :title="c.name"
            :aria-label="$t('sets.membersPane.becomes', { name: told(i)!.name, name2: c.name })"
            @change="recolour(i, c.key, ($event.target as HTMLInputElement).value)"
        /></span>
        <span class="row facts">
          <LengthField
            :model-value="told(i)?.heightMm ?? 100"
            :label="$t('common.high')"
            :min="10"
            :max="1500"
            @update:model-value="with_(i, { heightMm: $event })"
          />
          <v-text-field
            :model-value="m.count ?? 1"
            type="number"
            min="1"
            max="1000"
            :label="$t('sets.membersPane.copies')"
            @change="with_(i, { count: Math.round(Number(($event.target as HTMLInputElement).value)) || 1 })"
          />
        </span>
        <small v-if="told(i)" class="quiet"
          >{{ $t('sets.membersPane.each', { told: units.g(told(i)!.g) })
          }}<template v-if="told(i)!.enoughFor < told(i)!.count">{{
            $t('sets.membersPane.theStashIsShort')
          }}</template></small
        >
        <v-btn
          :icon="mdiClose"
          size="small"
          variant="text"
          class="out"
          :aria-label="$t('sets.membersPane.takeOutOfTheSet', { name: told(i)?.name ?? 'it' })"
          @click="
            emit(
              'change',
              set.members.filter((_, k) => k !== i),
            )
          "
        />
      </li>
    </ul>
    <ul v-if="plan?.notes.length" class="notes" :aria-label="$t('sets.membersPane.whatIsOdd')">
      <li v-for="n in plan.notes" :key="n">{{ n }}</li>
    </ul>
    <aside class="more">
      <h2>{{ $t('sets.membersPane.moreOfOne') }}</h2>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <v-select v-model="of" :items="names" :label="$t('sets.membersPane.of')" hide-details />
      <fieldset v-if="model">
        <legend class="small quiet">{{ $t('sets.membersPane.coloursThatChange') }}</legend>
        <label v-for="c in model.colours" :key="c.key" class="row"
          ><input v-model="keys" type="checkbox" :value="c.key" /><i :style="{ background: c.hex }" />{{
            c.name
          }}</label
        >
      </fieldset>
      <v-select v-model="by" :items="rules" :label="$t('sets.membersPane.by')" hide-details />
      <div class="fields">
        <v-text-field
          v-if="by !== 'swap'"
          v-model="count"
          :label="$t('sets.membersPane.howMany')"
          type="number"
          min="1"
          max="24"
          hide-details
        />
        <v-btn variant="tonal" :disabled="!keys.length" @click="colourways">{{
          $t('sets.membersPane.makeColourwaysOfIt')
        }}</v-btn>
      </div>
      <v-text-field
        v-model="sizes"
        :label="$t('sets.membersPane.orAFamilyInSizes')"
        placeholder="60, 90, 120"
        hide-details
      />
      <v-btn variant="tonal" :disabled="!sizes.trim()" @click="family">{{
        $t('sets.membersPane.makeAFamilyOfIt')
      }}</v-btn>
      <v-select
        :model-value="null"
        :items="shelf.map((c) => ({ value: c.id, title: c.name }))"
        :label="$t('sets.membersPane.layAnotherFigureIntoIt')"
        hide-details
        @update:model-value="emit('change', [...set.members, { figure: Number($event), count: 1 }])"
      />
    </aside>
  </div>
</template>

<style scoped>
.members {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 1.2rem;
  padding-top: 0.8rem;
}
.row-of {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(212px, 1fr));
  gap: 0.9rem;
  align-content: start;
}
.row-of li {
  position: relative;
  display: grid;
  gap: 0.4rem;
  justify-items: stretch;
  padding: 0.6rem;
  border: 1px solid rgb(var(--v-theme-thread));
  border-radius: 14px;
}
.row-of li.short {
  border-left: 4px solid rgb(var(--v-theme-warning));
}
.out {
  position: absolute;
  top: 0.1rem;
  right: 0.1rem;
}
.title {
  border: 0;
  border-bottom: 1px dashed rgb(var(--v-theme-thread));
  background: none;
  color: inherit;
  font-family: inherit;
  width: 100%;
  min-height: 36px;
  font-weight: 700;
  text-align: center;
}
.colours {
  justify-content: center;
  gap: 0.2rem;
}
.colours input {
  width: 24px;
  height: 24px;
  padding: 0;
  border: 0;
  background: none;
}
.facts {
  display: grid;
  grid-template-columns: 1.35fr 1fr;
  gap: 0.4rem;
}
.more {
  grid-row: 1 / span 2;
  grid-column: 2;
  display: grid;
  gap: 0.7rem;
  align-content: start;
}
fieldset {
  border: 0;
}
fieldset label {
  min-height: 32px;
  gap: 0.5rem;
}
fieldset i {
  width: 1rem;
  height: 1rem;
  border-radius: 50%;
  border: 1px solid rgb(var(--v-theme-thread));
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1.7fr;
  gap: 0.5rem;
}
@media (max-width: 900px) {
  .members {
    grid-template-columns: 1fr;
  }
  .more {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
