<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '../../api/types/figure'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import { useUnits } from '../../state/units'
import { materialWord } from '../../state/trade'
import NestedRings from './NestedRings.vue'

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
  return (host?.name ?? host?.key ?? '').toLowerCase()
}
const hexOf = (colour: string) => supply.matchOf(colour)?.hex ?? figure.colourOf(colour)
</script>

<template>
  <p v-if="!rows.length" class="quiet">No parts yet. Add shapes at the Shapes station first.</p>
  <table v-else>
    <thead>
      <tr>
        <th><span class="offscreen">Rings</span></th>
        <th>Part</th>
        <th>Inside</th>
        <th>Colour</th>
        <th>Time</th>
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
            >{{ units.box(part.shape.widthMm, part.shape.heightMm, part.shape.depthMm) }}, {{ drawing.firmness }}</small
          >
          <small v-if="p.seat.way === 'onto'" class="quiet"
            >Lies on the {{ hostOf(part) }}: {{ units.cm3(advice?.sharedCm3 ?? 0) }} within it are not made.</small
          ><small v-else-if="advice && advice.sharedCm3 >= 0.1" class="quiet"
            >{{ units.cm3(advice.sharedCm3) }} of {{ units.cm3(p.volumeCm3) }} go into the {{ hostOf(part) }}.</small
          >
        </td>
        <td>
          <template v-if="p.coreG"
            >{{ units.mass(p.coreG).value
            }}<span class="unit">{{ units.mass(p.coreG).unit }} {{ materialWord(p.coreMaterial) }}</span></template
          ><span v-else>solid</span>
          <template v-if="advice">
            <small v-if="advice.advised === p.coreMaterial" class="quiet">{{ advice.reason }}</small>
            <small v-else class="advice"
              ><b>Rather {{ materialWord(advice.advised) }}.</b> {{ advice.reason }}
              <button class="plain link" @click.stop="figure.changePart(part.key, (x) => (x.core = advice.advised))">
                Take it
              </button></small
            >
            <details class="ways" @click.stop>
              <summary>Other ways</summary>
              <ul class="bare">
                <li v-for="w in advice.ways" :key="w.material">
                  <button class="plain link" @click="figure.changePart(part.key, (x) => (x.core = w.material))">
                    {{ w.what }}
                  </button>
                  {{ w.insideG ? `${units.g(w.insideG)} in, ` : '' }}{{ units.g(w.coverG) }} colour, weighs
                  {{ units.g(w.finishedG) }}<template v-if="w.cost">, costs {{ w.cost.toFixed(2) }}</template>
                </li>
              </ul>
            </details>
          </template>
        </td>
        <td>
          {{ units.mass(p.colourG).value
          }}<span class="unit">{{ units.mass(p.colourG).unit }}{{ p.count > 1 ? ' each' : '' }}</span>
          <small class="quiet"
            ><i class="swatch tiny" :style="{ background: hexOf(p.colour) }" /> {{ figure.colourName(p.colour)
            }}<template v-if="p.coreG">, cover {{ units.mm(drawing.coverMm) }}</template></small
          >
          <small v-if="advice?.coverMm" class="advice"
            >{{ advice.showsThrough ? 'It may show through' : 'Thinner would do' }}: differs from its inside by
            {{ advice.coverDifference.toFixed(0) }}.
            <button
              class="plain link"
              @click.stop="figure.changePart(part.key, (x) => (x.coverMm = advice?.coverMm ?? undefined))"
            >
              Make it {{ units.mm(advice.coverMm) }}
            </button></small
          >
        </td>
        <td class="time">{{ units.minutes(p.minutes) }}</td>
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
