<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import { computed } from 'vue'
import type { CrispAdvice, Mend } from '../../api/client'
import type { Detail } from '../../api/figure'
import ColourPicker from '../../shell/ColourPicker.vue'
import LengthField from '../../shell/LengthField.vue'
import { useFigure } from '../../state/figure'
import { methods } from '../words'

const props = withDefaults(defineProps<{ advice?: Record<string, CrispAdvice[]> }>(), { advice: () => ({}) })
const figure = useFigure()
const mine = computed(() => props.advice[detail.value?.key ?? ''] ?? [])
const detail = computed(() => figure.selectedDetail)
const notes = computed(() => {
  const index = figure.details.findIndex((d) => d.key === detail.value?.key)
  return figure.board?.plan.notes.filter((n) => n.at === `/details/${index}`) ?? []
})
/** A mend as PHP proposed it: what to set, and what to lay under it; one step of undo. */
function mend(m: Mend): void {
  const key = detail.value?.key
  figure.change((d) => {
    d.details?.filter((x) => x.key === key).forEach((x) => Object.assign(x, m.set))
    if (m.under) d.details?.push({ key: figure.freeKey(d.details, `${key}-rim`), ...m.under } as Detail)
  })
}
const set = (how: (d: Detail) => void) => detail.value && figure.changeDetail(detail.value.key, how)
</script>

<template>
  <section aria-label="The selected detail">
    <template v-if="detail">
      <div class="top">
        <v-text-field :model-value="detail.name" label="Name" maxlength="120" @change="set((d) => (d.name = ($event.target as HTMLInputElement).value))" />
        <v-btn :icon="mdiDeleteOutline" variant="text" size="small" color="error" aria-label="Take this detail away" @click="figure.removeSelected()" />
      </div>
      <div class="three mt-3">
        <LengthField v-if="detail.kind !== 'patch'" :model-value="detail.widthMm ?? 1" label="Width" @update:model-value="set((d) => (d.widthMm = $event))" />
        <LengthField v-if="!detail.pointsMm" :model-value="detail.heightMm ?? detail.widthMm ?? 1" label="Height" @update:model-value="set((d) => (d.heightMm = $event))" />
        <LengthField :model-value="detail.turnDeg ?? 0" label="Turn" suffix="°" :min="-360" :max="360" @update:model-value="set((d) => (d.turnDeg = $event))" />
        <LengthField :model-value="detail.xMm ?? 0" label="Right" :min="-4000" :max="4000" @update:model-value="set((d) => (d.xMm = $event))" />
        <LengthField :model-value="detail.yMm ?? 0" label="Up" :min="-4000" :max="4000" @update:model-value="set((d) => (d.yMm = $event))" />
        <v-select :model-value="detail.layer ?? 1" :items="[1, 2, 3, 4, 5]" label="Layer" @update:model-value="set((d) => (d.layer = $event))" />
      </div>
      <div class="pair mt-3">
        <v-switch :model-value="detail.mirror ?? false" label="A pair" @update:model-value="set((d) => (d.mirror = Boolean($event)))" />
        <v-select :model-value="detail.method ?? 'felt'" :items="methods" label="Made by" @update:model-value="set((d) => (d.method = $event))" />
      </div>
      <ColourPicker class="mt-2" :model-value="detail.colour" @update:model-value="set((d) => (d.colour = $event))" />
      <div v-for="a in mine" :key="a.why" class="advice" role="note">
        <b>{{ a.why.charAt(0).toUpperCase() + a.why.slice(1) }}.</b>
        <div class="row"><v-btn v-for="m in a.mends" :key="m.text" size="small" variant="tonal" @click="mend(m)">{{ m.text.charAt(0).toUpperCase() + m.text.slice(1) }}</v-btn></div>
      </div>
      <v-alert v-for="n in notes.filter((x) => !mine.length || x.code === 'off-part')" :key="n.code" type="warning" variant="tonal" density="compact" class="mt-2">{{ n.text }}</v-alert>
    </template>
    <p v-else class="quiet">Choose a detail to size, colour or move it. Drag it on the head, or nudge it with the arrow keys; a pair moves alike on both sides.</p>
  </section>
</template>

<style scoped>
.top { display: flex; align-items: center; }
.top .v-btn { flex: none; }
.pair { display: grid; grid-template-columns: max-content 1fr; gap: 1rem; }
.advice { border-left: 5px solid rgb(var(--v-theme-warning)); background: rgba(var(--v-theme-warning), .1); border-radius: 10px; padding: .5rem .8rem; margin-top: .6rem; display: grid; gap: .4rem; font-size: .92rem; }
.three { display: grid; grid-template-columns: repeat(3, 1fr); gap: .6rem; }
</style>
