<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Match } from '../../api/types/answers'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import RecipeDialog from './RecipeDialog.vue'
import { decimals, t, within } from '../../lang'
import { nearnessWord } from './nearness'

/** Each colour of the drawing beside what it will be felted from. */
const figure = useFigure()
const supply = useSupply()
const mixing = ref<Match | null>(null)
const open = ref(false)
const colours = computed(() => supply.supply?.matches ?? [])
const toldNear = (m: Match) =>
  m.difference === null
    ? t('wool.colourMixes.inTheStash', { nearness: nearnessWord(m.nearness) })
    : `${nearnessWord(m.nearness)} (${decimals(m.difference, 1)})`
const shadesOf = (colour: string) => figure.document?.colours.find((c) => c.key === colour)?.shades ?? []
const gramsOf = (colour: string) =>
  supply.supply?.needs.filter((n) => n.colours.includes(colour)).reduce((sum, n) => sum + n.g, 0) ?? 0

function mix(match: Match): void {
  mixing.value = match
  open.value = true
}
const nearest = (key: string) =>
  figure.change((d) => {
    const c = d.colours.find((x) => x.key === key)
    if (c) delete c.mix
  })
</script>

<template>
  <ul class="bare colours">
    <li v-for="m in colours" :key="m.colour">
      <svg
        class="pair"
        viewBox="0 0 60 40"
        role="img"
        :aria-label="
          $t('wool.colourMixes.drawnFelted', {
            colour: figure.colourOf(m.colour),
            what: m.shares.length ? m.hex : $t('wool.colourMixes.fromNothingYet'),
          })
        "
      >
        <path d="M30 2 A18 18 0 0 0 30 38Z" :fill="figure.colourOf(m.colour)" class="rim" />
        <path
          d="M30 2 A18 18 0 0 1 30 38Z"
          :fill="m.shares.length ? m.hex : 'none'"
          class="rim"
          :class="{ none: !m.shares.length }"
        />
      </svg>
      <div class="what">
        <b>{{ figure.colourName(m.colour) }}</b><span class="unit">{{ figure.colourOf(m.colour) }}</span>
        <p v-if="m.shares.length">
          {{ m.shares.map((s) => (m.shares.length > 1 ? `${s.percent.toFixed(0)} % ${s.name}` : s.name)).join(', ') }}:
          <span :class="m.nearness.split(' ')[0]">{{ toldNear(m) }}</span>
        </p>
        <p v-else class="different">
          {{
            $t('wool.colourMixes.mixItOrBuyIt', {
              what: m.gone.length ? $t('wool.colourMixes.isNotInTheStash', { gone: m.gone.join(', ') }) : toldNear(m),
            })
          }}
        </p>
        <p v-if="shadesOf(m.colour).length" class="quiet">
          {{ $t('wool.colourMixes.shaded') }}
          <span v-for="s in shadesOf(m.colour)" :key="s.hex" class="shade">
            <i aria-hidden="true" :style="{ background: s.hex }" />{{
              $t('wool.colourMixes.on', { name: within(s.name), s: (100 * s.share).toFixed(0) })
            }}
          </span>
        </p>
      </div>
      <div class="row acts">
        <v-btn size="small" variant="tonal" @click="mix(m)">{{ $t('wool.colourMixes.mixIt') }}</v-btn>
        <v-btn v-if="m.isChosen" size="small" variant="text" @click="nearest(m.colour)">{{
          $t('wool.colourMixes.nearestWoolAgain')
        }}</v-btn>
      </div>
    </li>
  </ul>
  <v-alert
    v-for="c in supply.supply?.conflicts"
    :key="c.colours.join()"
    type="warning"
    variant="tonal"
    density="compact"
    class="mt-2"
    >{{ c.text }}</v-alert
  >
  <p class="quiet small">
    {{ $t('wool.colourMixes.differencesAreCiede20001Is') }}
  </p>
  <RecipeDialog v-if="mixing" v-model="open" :match="mixing" :grams="gramsOf(mixing.colour)" />
</template>

<style scoped>
.colours li {
  display: grid;
  grid-template-columns: 72px minmax(0, 1fr) auto;
  gap: 0.9rem;
  align-items: center;
  padding: 0.5rem 0;
  border-top: 1px solid rgb(var(--v-theme-grid));
}
.pair {
  width: 72px;
  height: 48px;
}
.rim {
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 0.8;
}
.none {
  stroke-dasharray: 3 2;
}
.what p {
  font-size: 0.92rem;
}
.shade {
  margin-right: 0.7em;
  white-space: nowrap;
}
.shade i {
  display: inline-block;
  width: 0.9em;
  height: 0.9em;
  margin-right: 0.3em;
  border-radius: 50%;
  vertical-align: -0.1em;
}
.same,
.near {
  color: rgb(var(--v-theme-success));
}
.seen {
  color: rgb(var(--v-theme-warning));
}
.different {
  color: rgb(var(--v-theme-error));
}
.small {
  margin-top: 0.8rem;
}
</style>
