<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import LengthField from '../../../shared/LengthField.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { inWords } from '../../../shared/useAsyncAction'

/** What the figure holds, wears or has beside it: each a small figure of its own. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const units = useUnits()
const said = ref('')
const length = units.mm
const nameOf = (key: string) => figure.parts.find((p) => p.key === key)?.name ?? key

const { answer: found } = useAnswer([show, () => figure.document], () =>
  show.value && figure.document ? api.things(figure.document) : null,
)
const { answer: shelf } = useAnswer([show], () => (show.value ? api.shelf(1) : null))
const others = computed(() =>
  (shelf.value?.figures ?? []).filter((f) => f.id !== figure.id).map((f) => ({ value: f.id, title: f.name })),
)
const holders = computed(() => figure.parts.map((p) => ({ value: p.key, title: p.name ?? p.key })))
const loose = computed(() => [{ value: '', title: 'nothing: it is loose' }, ...holders.value])

const bring = reactive({ from: 0, how: 'held', holder: '', heightMm: 30 })
const HOW = [
  { value: 'held', title: 'held by' },
  { value: 'worn', title: 'worn on' },
  { value: 'beside', title: 'beside it' },
]
watch(show, (open) => {
  said.value = ''
  if (!open) return
  bring.holder = figure.selectedPart?.key ?? figure.parts[0]?.key ?? ''
  bring.heightMm = Math.round(0.25 * (figure.document?.heightMm ?? 120))
})
async function put(): Promise<void> {
  const name = others.value.find((o) => o.value === bring.from)?.title ?? ''
  if (await figure.apply('put', { ...bring, name })) said.value = `${name} is in. Undo takes it out again.`
}
const gathering = ref('')
async function gather(): Promise<void> {
  if (await figure.apply('gather', { keys: figure.chosen, name: gathering.value })) gathering.value = ''
}
/** It stays where it is, and lies on the shelf as well. */
async function keep(thing: string): Promise<void> {
  try {
    const { document } = await api.takenThing(figure.document!, thing)
    const kept = await api.lay(document, null)
    said.value = `${kept.document.name} lies on the shelf as a figure of its own.`
  } catch (error) {
    said.value = inWords(error)
  }
}
</script>

<template>
  <v-dialog v-model="show" aria-label="Things it has with it" max-width="640" scrollable>
    <v-card title="Things it has with it">
      <v-card-text class="things">
        <p v-if="found && !found.things.length" class="quiet">
          Nothing yet. Bring in a figure from the shelf, or choose parts on the board (with Shift several) and make them
          one thing.
        </p>
        <ul v-if="found?.things.length" class="bare list" aria-label="Things">
          <li v-for="t in found.things" :key="t.name" class="sheet">
            <b>{{ t.name }}</b>
            <span class="quiet"
              >{{ length(t.widthMm) }} × {{ length(t.heightMm)
              }}<template v-if="t.holder"
                >, {{ t.times.toFixed(1) }} times as large as {{ nameOf(t.holder).toLowerCase() }} is thick</template
              ></span
            >
            <p v-if="t.isLost" class="mind">No larger than what holds it: it is lost there. Make it larger.</p>
            <div class="row acts">
              <v-select
                :model-value="t.holder"
                :items="loose.filter((h) => !t.parts.includes(h.value))"
                label="Joined to"
                hide-details
                @update:model-value="figure.apply('fasten', { thing: t.name, holder: $event })"
              />
              <LengthField
                :model-value="t.heightMm"
                label="High"
                :min="1"
                :max="2000"
                @update:model-value="figure.apply('resize', { thing: t.name, times: $event / t.heightMm })"
              />
              <v-btn variant="tonal" @click="keep(t.name)">Keep for another</v-btn>
            </div>
          </li>
        </ul>
        <h3>Bring in a figure</h3>
        <div class="two">
          <v-select v-model="bring.from" :items="others" label="From the shelf" hide-details />
          <LengthField v-model="bring.heightMm" label="So high" :min="1" :max="2000" />
          <v-select v-model="bring.how" :items="HOW" label="It is" hide-details />
          <v-select v-if="bring.how !== 'beside'" v-model="bring.holder" :items="holders" label="Part" hide-details />
        </div>
        <div>
          <v-btn color="primary" variant="flat" :disabled="!bring.from" @click="put">Bring it in</v-btn>
        </div>
        <template v-if="figure.chosen.length">
          <h3>
            Make {{ figure.chosen.length === 1 ? 'the chosen part' : `the ${figure.chosen.length} chosen parts` }} a
            thing
          </h3>
          <div class="row acts">
            <v-text-field v-model="gathering" label="Called" placeholder="lamp" maxlength="56" hide-details />
            <v-btn variant="tonal" :disabled="!gathering.trim()" @click="gather">Make it a thing</v-btn>
          </div>
        </template>
        <p v-if="said" role="status">{{ said }}</p>
        <p v-if="figure.trouble" class="wrong" role="alert">{{ figure.trouble }}</p>
      </v-card-text>
      <v-card-actions><v-btn @click="show = false">Close</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.things {
  display: grid;
  gap: 0.8rem;
}
.list {
  display: grid;
  gap: 0.7rem;
}
.list li {
  padding: 0.7rem 0.9rem;
  display: grid;
  gap: 0.3rem;
}
.acts {
  gap: 0.7rem;
  align-items: flex-start;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.7rem;
}
.mind {
  border-left: 5px solid rgb(var(--v-theme-warning));
  padding-left: 0.5rem;
}
</style>
