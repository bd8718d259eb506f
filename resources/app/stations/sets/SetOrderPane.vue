<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import type { SetKept, SetSittings } from '../../api/types/answers'
import { api } from '../../api/client'
import type { ImpaSetPlan } from '../../api/types/set-plan'
import { useUnits } from '../../state/units'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** Like pieces together: all cores, then covers from light to dark, and so on; what that saves; laid into sittings. */
const props = defineProps<{ set: SetKept; plan: ImpaSetPlan }>()
const units = useUnits()
const minutes = ref(90)
const lengths = [45, 60, 90, 120, 180].map((m) => ({ value: m, title: t('sets.setOrderPane.minutes', { m }) }))
const sittings = ref<SetSittings['sittings']>([])
const trouble = ref('')
const who = (members: number[]) =>
  members.length === props.plan.members.length
    ? t('sets.setOrderPane.all')
    : members.map((i) => props.plan.members[i]!.name).join(', ')
async function lay(): Promise<void> {
  trouble.value = ''
  try {
    sittings.value = (
      await api.setSittings({ name: props.set.name, members: props.set.members }, minutes.value)
    ).sittings
  } catch (error) {
    sittings.value = []
    trouble.value = inWords(error)
  }
}
onMounted(lay)
watch([minutes, () => props.plan], lay)
</script>

<template>
  <div class="order">
    <section>
      <p>
        <b>{{ units.minutes(plan.order.minutes) }}</b>
        {{
          $t('sets.setOrderPane.togetherOneFigureAfterThe', {
            oneByOneMinutes: units.minutes(plan.order.oneByOneMinutes),
          })
        }}
        <b>{{ units.minutes(plan.order.savedMinutes) }}</b> {{ $t('sets.setOrderPane.lessLayingReady') }}
      </p>
      <ol class="bare" :aria-label="$t('sets.setOrderPane.orderOfWorkOfThe')">
        <li v-for="(r, i) in plan.order.rows" :key="i">
          <i v-if="r.hex" :style="{ background: r.hex }" /><i v-else class="empty" />
          <b>{{ r.title }}</b>
          <span class="quiet small">{{ r.pieces > 1 ? `× ${r.pieces}` : '' }} {{ who(r.members) }}</span>
          <span class="time">{{ units.minutes(r.minutes) }}</span>
        </li>
      </ol>
    </section>
    <aside>
      <v-select v-model="minutes" :items="lengths" :label="$t('sets.setOrderPane.aSittingLasts')" hide-details />
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <ol :aria-label="$t('sets.setOrderPane.sittings')">
        <li v-for="(s, i) in sittings" :key="i">
          <b>{{ units.minutes(s.minutes) }}&nbsp;</b>
          <span class="small quiet"> {{ [...new Set(s.rows.map((r) => r.title))].join(', ') }}</span>
        </li>
      </ol>
    </aside>
  </div>
</template>

<style scoped>
.order {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 1.5rem;
  padding-top: 0.8rem;
}
.order section li {
  display: flex;
  align-items: baseline;
  gap: 0.6rem;
  padding: 0.3rem 0;
  border-top: 1px dashed rgb(var(--v-theme-thread));
}
.time {
  margin-left: auto;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
i {
  flex: none;
  width: 0.9rem;
  height: 0.9rem;
  border-radius: 50%;
  border: 1px solid rgb(var(--v-theme-thread));
  align-self: center;
}
i.empty {
  border-color: transparent;
}
aside ol {
  padding-left: 1.4rem;
}
aside li {
  padding: 0.25rem 0;
}
@media (max-width: 900px) {
  .order {
    grid-template-columns: 1fr;
  }
}
</style>
