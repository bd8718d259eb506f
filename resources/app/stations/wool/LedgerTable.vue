<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '../../api/types/figure'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import { useUnits } from '../../state/units'
import { materialWord, firmnessWord } from '../../state/trade'
import NestedRings from './NestedRings.vue'
import { within } from '../../lang'
import HowNumber from '../../help/HowNumber.vue'
import TradeText from '../../help/TradeText.vue'
import { money } from '../../state/money'

/** Part by part: the loose clump, the felted part and its inside at true proportion, what each takes, and what is advised. */
const figure = useFigure()
const supply = useSupply()
const units = useUnits()
const rows = computed(() =>
  (figure.board?.plan.parts ?? []).flatMap((plan) => {
    const part = figure.parts.find((x) => x.key === plan.key)
    const advice = supply.insideOf(plan.key)
    const drawing = figure.board?.drawing.parts[plan.key]
    return part && drawing ? [{ plan, part, advice, drawing }] : []
  }),
)
const largestMm = computed(() => Math.max(1, ...rows.value.map((r) => Math.max(r.plan.looseMm.w, r.plan.looseMm.h))))
const hostOf = (part: Part) => {
  const host = figure.parts.find((p) => p.key === part.join?.to)
  return within(host?.name ?? host?.key ?? '')
}
const hexOf = (colour: string) => supply.matchOf(colour)?.hex ?? figure.colourOf(colour)
</script>

<template>
  <p v-if="!rows.length" class="quiet">{{ $t('wool.ledgerTable.noPartsYetAddShapes') }}</p>
  <table v-else>
    <thead>
      <tr>
        <th>
          <span class="offscreen">{{ $t('wool.ledgerTable.rings') }}</span>
        </th>
        <th>{{ $t('common.part') }}</th>
        <th>{{ $t('common.inside') }}</th>
        <th>{{ $t('common.colour') }}</th>
        <th>{{ $t('common.time') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="{ plan: p, part, advice, drawing } in rows"
        :key="p.key"
        :class="{ chosen: figure.selectedPart?.key === p.key }"
        @click="figure.selection = { kind: 'part', key: p.key }"
      >
        <td>
          <NestedRings :part="part" :plan="p" :hex="hexOf(part.colour)" :largest-mm="largestMm" />
        </td>
        <td>
          <b>{{ part.name ?? part.key }}<span v-if="p.count > 1" class="unit">x 2</span></b>
          <small class="quiet"
            >{{ units.box(part.shape.widthMm, part.shape.heightMm, part.shape.depthMm) }},
            {{ firmnessWord(drawing.firmness) }}</small
          >
          <small v-if="p.seat.way === 'onto'" class="quiet">{{
            $t('wool.ledgerTable.liesOnTheWithinIt', {
              part: hostOf(part),
              sharedCm3: units.cm3(advice?.sharedCm3 ?? 0),
            })
          }}</small><small v-else-if="advice && advice.sharedCm3 >= 0.1" class="quiet">{{
            $t('wool.ledgerTable.ofGoIntoThe', {
              sharedCm3: units.cm3(advice.sharedCm3),
              volumeCm3: units.cm3(p.volumeCm3),
              part: hostOf(part),
            })
          }}</small>
        </td>
        <td>
          <template v-if="p.coreG"
            ><HowNumber number="core" :of="p.key"
              >{{ units.mass(p.coreG).value
              }}<span class="unit">{{ units.mass(p.coreG).unit }} {{ materialWord(p.coreMaterial) }}</span></HowNumber
            ></template
          ><span v-else>{{ $t('wool.ledgerTable.solid') }}</span>
          <template v-if="advice">
            <small v-if="advice.advised === p.coreMaterial" class="quiet"><TradeText :text="advice.reason" /></small>
            <small v-else class="advice"
              ><b>{{ $t('wool.ledgerTable.rather', { advised: materialWord(advice.advised) }) }}</b> {{ advice.reason }}
              <button class="plain link" @click.stop="figure.changePart(part.key, (x) => (x.core = advice.advised))">
                {{ $t('common.takeIt') }}
              </button></small
            >
            <details class="ways" @click.stop>
              <summary>{{ $t('wool.ledgerTable.otherWays') }}</summary>
              <ul class="bare">
                <li v-for="w in advice.ways" :key="w.material">
                  <button class="plain link" @click="figure.changePart(part.key, (x) => (x.core = w.material))">
                    {{ w.what }}
                  </button>
                  {{
                    $t('wool.ledgerTable.colourWeighs', {
                      what: w.insideG ? $t('wool.ledgerTable.in', { insideG: units.g(w.insideG) }) : '',
                      coverG: units.g(w.coverG),
                      finishedG: units.g(w.finishedG),
                    })
                  }}<template v-if="w.cost">{{ $t('wool.ledgerTable.costs', { cost: money(w.cost) }) }}</template>
                </li>
              </ul>
            </details>
          </template>
        </td>
        <td>
          <HowNumber number="colour" :of="p.key"
            >{{ units.mass(p.colourG).value
            }}<span class="unit"
              >{{ units.mass(p.colourG).unit }}{{ p.count > 1 ? $t('wool.ledgerTable.each') : '' }}</span
            ></HowNumber
          >
          <small class="quiet"
            ><i class="swatch tiny" :style="{ background: hexOf(p.colour) }" /> {{ figure.colourName(p.colour)
            }}<template v-if="p.coreG">{{
              $t('wool.ledgerTable.cover', { coverMm: units.mm(drawing.coverMm) })
            }}</template></small
          >
          <small v-if="advice?.coverMm" class="advice"
            >{{
              $t('wool.ledgerTable.differsFromItsInsideBy', {
                what: advice.showsThrough
                  ? $t('wool.ledgerTable.itMayShowThrough')
                  : $t('wool.ledgerTable.thinnerWouldDo'),
                coverDifference: advice.coverDifference.toFixed(0),
              })
            }}
            <button
              class="plain link"
              @click.stop="figure.changePart(part.key, (x) => (x.coverMm = advice?.coverMm ?? undefined))"
            >
              {{ $t('wool.ledgerTable.makeIt', { coverMm: units.mm(advice.coverMm) }) }}
            </button></small
          >
        </td>
        <td class="time">
          <HowNumber number="making" :of="p.key">{{ units.minutes(p.minutes) }}</HowNumber>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-size: 0.8rem;
  color: rgb(var(--v-theme-quiet));
  padding: 0.3rem 0.5rem;
}
td {
  padding: 0.25rem 0.5rem;
  vertical-align: middle;
  border-top: 1px solid rgb(var(--v-theme-grid));
  font-weight: 600;
}
td small {
  display: block;
  font-weight: 400;
  font-size: 0.82rem;
  line-height: 1.3;
  max-width: 34ch;
}
.time {
  font-weight: 400;
  white-space: nowrap;
}
tr.chosen td {
  background: rgba(var(--v-theme-secondary), 0.1);
}
.tiny {
  width: 0.8rem;
  height: 0.8rem;
  border-width: 1px;
}
.advice {
  color: rgb(var(--v-theme-warning));
}
.link {
  padding: 0;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
  min-height: 28px;
}
.ways {
  font-weight: 400;
  font-size: 0.82rem;
}
.ways summary {
  cursor: pointer;
  color: rgb(var(--v-theme-secondary));
  min-height: 24px;
}
</style>
