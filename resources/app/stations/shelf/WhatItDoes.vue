<script setup lang="ts">
import { chosenLevel } from '../../state/level'
import { useUnits } from '../../state/units'

/** What Impa does, in one line and three pictures: a drawing, its shapes with grams, the felted figure beside its photo. */
defineProps<{ busy: boolean; canHide: boolean }>()
const units = useUnits()
const emit = defineEmits<{ example: []; hide: [] }>()
/** Fibres that stand off a felted ball, as lines from its rim. */
const fibres = (cx: number, cy: number, r: number, count: number) =>
  Array.from({ length: count }, (_, i) => {
    const [turn, far] = [(2 * Math.PI * i) / count, r + 2 + ((i * 5) % 3) / 1.6]
    const bent = turn + 0.16
    return `M${cx + r * Math.cos(turn)} ${cy + r * Math.sin(turn)}L${cx + far * Math.cos(bent)} ${cy + far * Math.sin(bent)}`
  }).join('')
</script>

<template>
  <section class="sheet what" :aria-label="$t('shelf.whatItDoes.whatImpaDoes')">
    <p class="line">{{ $t('shelf.whatItDoes.fromADrawing') }}</p>
    <ol class="bare">
      <li>
        <svg viewBox="0 0 150 110" aria-hidden="true">
          <rect x="35" y="4" width="80" height="102" rx="3" class="paper" transform="rotate(-3 75 55)" />
          <g class="pencil">
            <ellipse cx="75" cy="40" rx="24" ry="20" />
            <ellipse cx="75" cy="78" rx="17" ry="19" />
            <path d="M58 72Q48 80 52 88M92 72Q102 80 98 88M69 97V104M81 97V104" />
            <path d="M66 45Q75 52 84 45" />
            <circle cx="67" cy="37" r="2.4" />
            <circle cx="83" cy="37" r="2.4" />
            <path d="M75 20V12" />
            <circle cx="75" cy="9" r="3.4" />
          </g>
        </svg>
        <span>{{ $t('shelf.whatItDoes.drawing') }}</span>
      </li>
      <li>
        <svg viewBox="0 0 150 110" aria-hidden="true">
          <g class="shape">
            <ellipse cx="62" cy="40" rx="24" ry="20" />
            <ellipse cx="62" cy="78" rx="17" ry="19" />
            <ellipse cx="40" cy="80" rx="5" ry="11" transform="rotate(18 40 80)" />
            <ellipse cx="84" cy="80" rx="5" ry="11" transform="rotate(-18 84 80)" />
            <circle cx="62" cy="12" r="6" class="amber" />
          </g>
          <path d="M86 38H104M79 78H104" class="lead" />
          <g class="grams">
            <text x="108" y="42">{{ units.g(6.2) }}</text>
            <text x="108" y="82">{{ units.g(3.8) }}</text>
          </g>
        </svg>
        <span>{{ $t('shelf.whatItDoes.shapes') }}</span>
      </li>
      <li>
        <svg viewBox="0 0 150 110" aria-hidden="true">
          <rect x="92" y="20" width="52" height="66" rx="3" class="paper" transform="rotate(4 118 53)" />
          <rect x="97" y="26" width="42" height="42" class="ground" transform="rotate(4 118 53)" />
          <circle cx="118" cy="42" r="11" class="wool" />
          <circle cx="117" cy="58" r="8" class="wool" />
          <circle cx="50" cy="42" r="24" class="wool" />
          <circle cx="50" cy="82" r="18" class="wool" />
          <circle cx="50" cy="13" r="6" class="amber" />
          <path :d="fibres(50, 42, 24, 34) + fibres(50, 82, 18, 26) + fibres(50, 13, 6, 12)" class="fibres" />
          <circle cx="41" cy="39" r="5" class="white" />
          <circle cx="59" cy="39" r="5" class="white" />
          <circle cx="42" cy="40" r="2.6" class="dark" />
          <circle cx="58" cy="40" r="2.6" class="dark" />
          <path d="M43 50Q50 55 57 50" class="mouth" />
        </svg>
        <span>{{ $t('shelf.whatItDoes.felted') }}</span>
      </li>
    </ol>
    <div class="row" role="radiogroup" :aria-label="$t('help.level.how')">
      <span>{{ $t('help.level.how') }}</span>
      <v-btn-toggle v-model="chosenLevel" density="compact" variant="outlined" divided>
        <v-btn value="simple" size="small">{{ $t('help.level.simple') }}</v-btn>
        <v-btn value="full" size="small">{{ $t('help.level.full') }}</v-btn>
      </v-btn-toggle>
    </div>
    <div class="row">
      <v-btn color="primary" variant="tonal" :loading="busy" @click="emit('example')">{{
        $t('shelf.whatItDoes.tryIt')
      }}</v-btn>
      <v-btn v-if="canHide" variant="text" @click="emit('hide')">{{ $t('shelf.whatItDoes.hide') }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.what {
  padding: 1rem 1.4rem 1.1rem;
  margin-bottom: 1.3rem;
  display: grid;
  gap: 0.7rem;
  justify-items: center;
  text-align: center;
}
.line {
  font-size: 1.1rem;
  max-width: 44rem;
}
ol {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.4rem 2.4rem;
}
li {
  width: 13rem;
}
li svg {
  width: 100%;
  height: 6.6rem;
}
li span {
  display: block;
  color: rgb(var(--v-theme-quiet));
}
.paper {
  fill: #fffdf7;
  stroke: rgb(var(--v-theme-thread));
}
.ground {
  fill: #dfe6ea;
}
.pencil {
  fill: none;
  stroke: #4a3a52;
  stroke-width: 1.5;
  stroke-linecap: round;
}
.shape {
  fill: #8a5f9f;
  fill-opacity: 0.55;
  stroke: #4a2f5a;
  stroke-width: 1.3;
}
.amber {
  fill: #e5a63a;
}
.wool {
  fill: #8a5f9f;
}
.lead {
  stroke: rgb(var(--v-theme-quiet));
  stroke-dasharray: 2 2;
}
.grams {
  font:
    600 11px 'Nunito Sans',
    sans-serif;
  fill: rgb(var(--v-theme-on-surface));
}
.fibres {
  stroke: #9d78b0;
  stroke-width: 0.8;
  fill: none;
}
.white {
  fill: #fff;
}
.dark {
  fill: #231d2c;
}
.mouth {
  fill: none;
  stroke: #231d2c;
  stroke-width: 2;
  stroke-linecap: round;
}
</style>
