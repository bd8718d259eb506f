<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import LengthField from '../../../shared/LengthField.vue'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { inWords } from '../../../shared/useAsyncAction'
import { decimals, t, within } from '../../../lang'

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
const loose = computed(() => [{ value: '', title: t('shapes.thingsDialog.nothingItIsLoose') }, ...holders.value])

const bring = reactive({ from: 0, how: 'held', holder: '', heightMm: 30 })
const HOW = [
  { value: 'held', title: t('shapes.thingsDialog.heldBy') },
  { value: 'worn', title: t('shapes.thingsDialog.wornOn') },
  { value: 'beside', title: t('shapes.thingsDialog.besideIt') },
]
watch(show, (open) => {
  said.value = ''
  if (!open) return
  bring.holder = figure.selectedPart?.key ?? figure.parts[0]?.key ?? ''
  bring.heightMm = Math.round(0.25 * (figure.document?.heightMm ?? 120))
})
async function put(): Promise<void> {
  const name = others.value.find((o) => o.value === bring.from)?.title ?? ''
  if (await figure.apply('put', { ...bring, name })) said.value = t('shapes.thingsDialog.isInUndoTakesIt', { name })
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
    said.value = t('shapes.thingsDialog.liesOnTheShelfAs', { name: kept.document.name })
  } catch (error) {
    said.value = inWords(error)
  }
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('shapes.thingsDialog.thingsItHasWithIt')" max-width="640" scrollable>
    <v-card :title="$t('shapes.thingsDialog.thingsItHasWithIt')">
      <v-card-text class="things">
        <p v-if="found && !found.things.length" class="quiet">
          {{ $t('shapes.thingsDialog.nothingYetBringInA') }}
        </p>
        <ul v-if="found?.things.length" class="bare list" :aria-label="$t('shapes.thingsDialog.things')">
          <li v-for="thing in found.things" :key="thing.name" class="sheet">
            <b>{{ thing.name }}</b>
            <span class="quiet"
              >{{ length(thing.widthMm) }} × {{ length(thing.heightMm)
              }}<template v-if="thing.holder">{{
                $t('shapes.thingsDialog.timesAsLargeAsIs', {
                  times: decimals(thing.times, 1),
                  holder: within(nameOf(thing.holder)),
                })
              }}</template></span
            >
            <p v-if="thing.isLost" class="mind">{{ $t('shapes.thingsDialog.noLargerThanWhatHolds') }}</p>
            <div class="row acts">
              <v-select
                :model-value="thing.holder"
                :items="loose.filter((h) => !thing.parts.includes(h.value))"
                :label="$t('shapes.thingsDialog.joinedTo')"
                hide-details
                @update:model-value="figure.apply('fasten', { thing: thing.name, holder: $event })"
              />
              <LengthField
                :model-value="thing.heightMm"
                :label="$t('common.high')"
                :min="1"
                :max="2000"
                @update:model-value="figure.apply('resize', { thing: thing.name, times: $event / thing.heightMm })"
              />
              <v-btn variant="tonal" @click="keep(thing.name)">{{ $t('shapes.thingsDialog.keepForAnother') }}</v-btn>
            </div>
          </li>
        </ul>
        <h3>{{ $t('shapes.thingsDialog.bringInAFigure') }}</h3>
        <div class="two">
          <v-select v-model="bring.from" :items="others" :label="$t('shapes.thingsDialog.fromTheShelf')" hide-details />
          <LengthField v-model="bring.heightMm" :label="$t('shapes.thingsDialog.soHigh')" :min="1" :max="2000" />
          <v-select v-model="bring.how" :items="HOW" :label="$t('shapes.thingsDialog.itIs')" hide-details />
          <v-select
            v-if="bring.how !== 'beside'"
            v-model="bring.holder"
            :items="holders"
            :label="$t('common.part')"
            hide-details
          />
        </div>
        <div>
          <v-btn color="primary" variant="flat" :disabled="!bring.from" @click="put">{{
            $t('shapes.thingsDialog.bringItIn')
          }}</v-btn>
        </div>
        <template v-if="figure.chosen.length">
          <h3>
            {{
              $t('shapes.thingsDialog.makeAThing', {
                what:
                  figure.chosen.length === 1
                    ? $t('shapes.thingsDialog.theChosenPart')
                    : $t('shapes.thingsDialog.theChosenParts', { chosen: figure.chosen.length }),
              })
            }}
          </h3>
          <div class="row acts">
            <v-text-field
              v-model="gathering"
              :label="$t('shapes.thingsDialog.called')"
              :placeholder="$t('shapes.thingsDialog.lamp')"
              maxlength="56"
              hide-details
            />
            <v-btn variant="tonal" :disabled="!gathering.trim()" @click="gather">{{
              $t('shapes.thingsDialog.makeItAThing')
            }}</v-btn>
          </div>
        </template>
        <p v-if="said" role="status">{{ said }}</p>
        <p v-if="figure.trouble" class="wrong" role="alert">{{ figure.trouble }}</p>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
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
