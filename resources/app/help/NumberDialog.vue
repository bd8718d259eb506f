<script setup lang="ts">
import { computed } from 'vue'
import { api } from '../api/client'
import { useAnswer } from '../api/useAnswer'
import { useFigure } from '../state/figure/figure'
import { useSupply } from '../state/figure/supply'
import { askedNumber, type Asked } from './asked'

/** How a number came about: the sum with its values, where each comes from, how far it may be off, what would make it surer. */
const figure = useFigure()
const supply = useSupply()
async function reckoned(asked: Asked): ReturnType<typeof api.number> {
  const id = asked.figure || figure.id
  const document = asked.figure ? (await api.figure(id)).document : figure.document!
  return api.number(document, { number: asked.number, of: asked.of }, id, supply.reserve)
}
const show = computed({ get: () => askedNumber.value !== null, set: (is) => !is && (askedNumber.value = null) })
const { answer: card, trouble } = useAnswer(
  [askedNumber],
  () => (askedNumber.value ? reckoned(askedNumber.value) : null),
  true,
)
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('help.numberDialog.how')" max-width="680" scrollable>
    <v-card :title="$t('help.numberDialog.how')">
      <v-card-text tabindex="0">
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <v-progress-linear
          v-else-if="!card"
          indeterminate
          color="primary"
          :aria-label="$t('help.numberDialog.lookingItUp')"
        />
        <template v-else>
          <p class="head">
            {{ card.title }} <b>{{ card.text }}</b>
          </p>
          <p>{{ card.off }}</p>
          <ol v-if="card.lines.length" class="bare sum">
            <li v-for="(line, i) in card.lines" :key="i">
              <b>{{ line.name }}</b> <span class="quiet">= {{ line.words }}</span>
              <span class="values"
                >{{ line.values }} = <b>{{ line.is }}</b></span
              >
            </li>
          </ol>
          <template v-if="card.from.length">
            <h3>{{ $t('help.numberDialog.where') }}</h3>
            <table>
              <tbody>
                <tr v-for="(f, i) in card.from" :key="i">
                  <td>
                    {{ f.name }}<small class="quiet">{{ f.text }}</small>
                  </td>
                  <td class="value">{{ f.value }}</td>
                  <td>
                    <span class="source" :class="f.source">{{ f.sourceName }}</span>
                  </td>
                </tr>
              </tbody>
            </table>
          </template>
          <h3>{{ $t('help.numberDialog.surer') }}</h3>
          <p>{{ card.surer }}</p>
        </template>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="show = false">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.head {
  font-size: 1.15rem;
}
.head b {
  font-size: 1.5rem;
  margin-left: 0.3rem;
}
.sum {
  display: grid;
  gap: 0.5rem;
  margin: 0.8rem 0;
  padding: 0.8rem 1rem;
  border-radius: 10px;
  background: rgba(var(--v-theme-secondary), 0.08);
}
.sum li:not(:first-child) {
  padding-left: 1rem;
  font-size: 0.94rem;
}
.values {
  display: block;
  font-variant-numeric: tabular-nums;
}
h3 {
  margin-top: 0.9rem;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 0.3rem 0.5rem 0.3rem 0;
  border-top: 1px solid rgb(var(--v-theme-grid));
  vertical-align: top;
}
td small {
  display: block;
}
.value {
  white-space: nowrap;
  font-weight: 600;
}
.source {
  font-size: 0.86rem;
}
.source.own {
  color: rgb(var(--v-theme-success));
  font-weight: 600;
}
.source.house {
  color: rgb(var(--v-theme-warning));
}
</style>
