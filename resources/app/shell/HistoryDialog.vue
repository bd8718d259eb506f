<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Revision, Revisions } from '../api/types/answers'
import { api } from '../api/client'
import { useFigure } from '../state/figure/figure'
import { useUnits } from '../state/units'
import { useAsyncAction } from '../shared/useAsyncAction'
import { dates, t } from '../lang'

/** What the figure once was: what changed in words, two of them side by side, a way back, and figures that branch off. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const units = useUnits()
const router = useRouter()
const revisions = ref<Revisions['revisions']>([])
const chosen = ref(0)
const then = ref<(Revision & { picture: string }) | null>(null)
const nowPicture = ref('')
const { trouble, busy, tell } = useAsyncAction()
const branch = ref({ name: '', percent: '120', colours: {} as Record<string, string> })

const when = (ms: number) =>
  new Date(ms).toLocaleString(dates(), { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const totalNow = computed(() => figure.board?.plan.wool.reduce((sum, w) => sum + w.g, 0) ?? 0)
/** A change in grams that a scale tells; else a dash. */
const more = (g: number) => (Math.abs(g) < 0.005 ? '–' : `${g > 0 ? '+' : '−'}${units.g(Math.abs(g))}`)
const picture = async (document: Revision['document']) => URL.createObjectURL(await api.render(document, 360))

onMounted(() => {
  if (!figure.id || !figure.document) return
  branch.value = { name: t('shell.historyDialog.another', { name: figure.document.name }), percent: '120', colours: {} }
  void tell(async () => {
    revisions.value = (await api.revisions(figure.id)).revisions
    nowPicture.value = await picture(figure.document!)
  })
})
const look = (revision: number) =>
  tell(async () => {
    chosen.value = revision
    const answer = await api.revision(figure.id, revision)
    then.value = { ...answer, picture: await picture(answer.document) }
  })
function back(): void {
  const document = then.value?.document
  if (document) void figure.editAndTell(() => Promise.resolve({ document }))
  show.value = false
}
const off = () =>
  tell(async () => {
    const { id } = await api.branch(figure.id, {
      name: branch.value.name,
      percent: Number(branch.value.percent.replace(',', '.')),
      colours: branch.value.colours,
      ...(chosen.value ? { revision: chosen.value } : {}),
    })
    show.value = false
    await router.push(`/figures/${id}/shapes`)
  })
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('shell.historyDialog.history')" max-width="980">
    <v-card :title="$t('shell.historyDialog.history')">
      <v-card-text class="history">
        <ol class="bare list" :aria-label="$t('shell.historyDialog.revisions')">
          <li v-for="r in revisions" :key="r.revision">
            <button class="plain" :aria-pressed="r.revision === chosen" @click="look(r.revision)">
              <span class="quiet small">{{ when(r.at) }}</span>
              {{ r.changes.length ? r.changes.slice(0, 4).join('; ') : $t('shell.historyDialog.asItWasLaidOn') }}
              <span v-if="r.changes.length > 4" class="quiet small">{{
                $t('shell.historyDialog.andMore', { changes: r.changes.length - 4 })
              }}</span>
            </button>
          </li>
        </ol>
        <div class="pages">
          <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
          <v-progress-linear
            v-if="busy"
            indeterminate
            color="primary"
            :aria-label="$t('shell.historyDialog.lookingItUp')"
          />
          <div class="two">
            <figure>
              <img v-if="then" :src="then.picture" :alt="$t('shell.historyDialog.theFigureAsItWas')" />
              <figcaption>
                {{ then ? `then: ${units.g(then.totalG)}` : $t('shell.historyDialog.chooseOneAtTheLeft') }}
              </figcaption>
            </figure>
            <figure>
              <img v-if="nowPicture" :src="nowPicture" :alt="$t('shell.historyDialog.theFigureAsItIs')" />
              <figcaption>{{ $t('shell.historyDialog.now', { totalNow: units.g(totalNow) }) }}</figcaption>
            </figure>
          </div>
          <table v-if="then" class="wool">
            <caption class="small quiet">
              {{
                $t('shell.historyDialog.woolByWool')
              }}
            </caption>
            <thead>
              <tr>
                <th></th>
                <th scope="col">{{ $t('shell.historyDialog.then') }}</th>
                <th scope="col">{{ $t('shell.historyDialog.now2') }}</th>
                <th scope="col">{{ $t('shell.historyDialog.more') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="w in then.wool" :key="w.name + w.hex">
                <th scope="row"><i class="swatch" :style="{ background: w.hex ?? 'transparent' }" />{{ w.name }}</th>
                <td>{{ units.g(w.wasG) }}</td>
                <td>{{ units.g(w.isG) }}</td>
                <td>{{ more(w.isG - w.wasG) }}</td>
              </tr>
            </tbody>
          </table>
          <v-btn v-if="then" variant="tonal" @click="back">{{ $t('shell.historyDialog.goBackToThisIt') }}</v-btn>
          <form class="branch stitched" @submit.prevent="off">
            <h3>
              {{
                $t('shell.historyDialog.aFigureOfItsOwn', {
                  what: then ? $t('shell.historyDialog.thatOne') : $t('shell.historyDialog.thisOne'),
                })
              }}
            </h3>
            <div class="fields">
              <v-text-field v-model="branch.name" :label="$t('shell.historyDialog.itsName')" maxlength="120" />
              <v-text-field
                v-model="branch.percent"
                :label="$t('shell.historyDialog.asLarge')"
                suffix="%"
                inputmode="decimal"
              />
            </div>
            <div class="row colours">
              <label v-for="c in figure.document?.colours" :key="c.key"
                ><input
                  type="color"
                  :value="branch.colours[c.key] ?? c.hex"
                  :aria-label="$t('shell.historyDialog.becomes', { name: c.name ?? c.key })"
                  @change="branch.colours[c.key] = ($event.target as HTMLInputElement).value"
                /><span class="small">{{ c.name ?? c.key }}</span></label
              >
            </div>
            <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !branch.name.trim()">{{
              $t('shell.historyDialog.makeACopyFromHere')
            }}</v-btn>
          </form>
        </div>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.wool {
  border-collapse: collapse;
}
.wool th,
.wool td {
  padding: 0.2rem 0.5rem;
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.wool tbody th {
  text-align: left;
  font-weight: 400;
}
.swatch {
  display: inline-block;
  width: 0.9rem;
  height: 0.9rem;
  margin-right: 0.4rem;
  border-radius: 50%;
  border: 1px solid rgb(var(--v-theme-thread));
  vertical-align: -2px;
}
.history {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr);
  gap: 1.2rem;
}
.list {
  max-height: 60vh;
  overflow: auto;
}
.list button {
  width: 100%;
  text-align: left;
  padding: 0.4rem 0.6rem;
  min-height: 44px;
  border-radius: 10px;
}
.list button span {
  display: block;
}
.list [aria-pressed='true'] {
  background: rgba(var(--v-theme-primary), 0.12);
}
.pages,
.branch {
  display: grid;
  gap: 0.7rem;
  align-content: start;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
.two figure {
  margin: 0;
  background: rgb(var(--v-theme-table));
  border-radius: 14px;
  padding: 0.6rem;
  text-align: center;
  min-height: 120px;
}
.two img {
  max-width: 100%;
  max-height: 240px;
}
.fields {
  display: grid;
  grid-template-columns: 2fr 1fr;
  gap: 0.7rem;
}
.colours {
  flex-wrap: wrap;
  gap: 0.8rem;
}
.colours label {
  display: grid;
  justify-items: center;
}
.colours input {
  width: 44px;
  height: 44px;
  border: 0;
  background: none;
  padding: 0;
}
@media (max-width: 900px) {
  .history {
    grid-template-columns: 1fr;
  }
}
</style>
