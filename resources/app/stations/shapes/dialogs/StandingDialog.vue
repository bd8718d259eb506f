<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import type { BalanceSheet } from '../../../api/types/balance'
import { api } from '../../../api/client'
import { useAnswer } from '../../../api/useAnswer'
import { useFigure } from '../../../state/figure/figure'
import { useUnits } from '../../../state/units'
import { t } from '../../../lang'
import HowNumber from '../../../help/HowNumber.vue'

/** How the figure stands: how far it may lean to each side before it tips, what would make it firmer, and where it hangs straight. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const units = useUnits()

const { answer: sheet, trouble } = useAnswer([show, () => figure.document], () =>
  show.value && figure.document ? api.balance(figure.document) : null,
)

/** The rose as it was before the cure that was tried last. */
const before = shallowRef<BalanceSheet['rose'] | null>(null)
async function cure(kind: string): Promise<void> {
  const was = sheet.value?.rose ?? null
  if (await figure.edit((now) => api.tryCure(now, kind))) before.value = was
}
function takeBack(): void {
  before.value = null
  figure.undo()
}

/** Leans beyond that are drawn at the picture's rim. */
const MOST_DEG = 25
const radius = (deg: number) => (Math.max(0, Math.min(MOST_DEG, deg)) / MOST_DEG) * 90
const sides = [
  { word: t('shapes.standingDialog.front'), x: 0, y: 106 },
  { word: t('shapes.standingDialog.back'), x: 0, y: -99 },
  { word: t('shapes.standingDialog.left'), x: -110, y: 3 },
  { word: t('shapes.standingDialog.right'), x: 110, y: 3 },
]

/** As seen from above by who stands before it: the front is at the bottom. */
const rose = computed(() => petals(sheet.value?.rose ?? []))
const petals = (sides: BalanceSheet['rose']) =>
  sides
    .map(({ towardsDeg, tipDeg }) => {
      const turn = (towardsDeg * Math.PI) / 180
      return `${(radius(tipDeg) * Math.cos(turn)).toFixed(1)},${(radius(tipDeg) * Math.sin(turn)).toFixed(1)}`
    })
    .join(' ')
const state = computed(() => {
  const s = sheet.value
  if (!s) return ''
  if (!s.mustStand) return t('shapes.standingDialog.itIsNotMeantTo')
  if (s.tipDeg < 0) return t('shapes.standingDialog.itFallsAtOnceIts')
  const word = !s.stands
    ? t('shapes.standingDialog.itFalls')
    : s.touchy
      ? t('shapes.standingDialog.itIsTouchy')
      : t('shapes.standingDialog.itStandsFirmly')
  return t('shapes.standingDialog.itTipsAtALean', { word, tipDeg: units.degrees(s.tipDeg) })
})
const place = (mm: number, [less, more]: [string, string]) =>
  Math.abs(mm) < 0.5 ? '' : `, ${units.mm(Math.abs(mm))} ${mm < 0 ? less : more}`
const hangs = computed(() => {
  const [x, y, z] = sheet.value?.hang.atMm ?? [0, 0, 0]
  const at = t('shapes.standingDialog.up', {
    y: units.mm(y),
    x: place(x, [t('shapes.standingDialog.toTheLeft'), t('shapes.standingDialog.toTheRight')]),
    z: place(z, [t('shapes.standingDialog.behindTheMiddle'), t('shapes.standingDialog.beforeTheMiddle')]),
  })
  const askew = sheet.value?.hang.askewDeg ?? 0
  return t('shapes.standingDialog.hungUpItHangsStraight', {
    at,
    what:
      askew < 1
        ? t('shapes.standingDialog.hardlyAskew')
        : t('shapes.standingDialog.askew', { askew: units.degrees(askew) }),
  })
})
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('shapes.standingDialog.howItStands')" max-width="720">
    <v-card :title="$t('shapes.standingDialog.howItStands')">
      <v-card-text>
        <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
        <v-progress-linear
          v-else-if="!sheet"
          indeterminate
          color="primary"
          :aria-label="$t('shapes.standingDialog.reckoningHowItStands')"
        />
        <div v-else class="both">
          <svg viewBox="-130 -112 260 228" role="img" :aria-label="state" class="rose">
            <circle r="90" class="rim" />
            <circle :r="radius(sheet.limitsDeg.touchy)" class="touchy" />
            <circle :r="radius(sheet.limitsDeg.falls)" class="falls" />
            <polygon v-if="before" :points="petals(before)" class="before" />
            <polygon :points="rose" class="leans" />
            <circle r="2.4" class="middle" />
            <text v-for="s in sides" :key="s.word" :x="s.x" :y="s.y">{{ s.word }}</text>
          </svg>
          <div>
            <p>
              <b>{{ state }}</b>{{ ' '
              }}<HowNumber v-if="sheet.mustStand" number="lean">{{ $t('help.howNumber.how') }}</HowNumber>
            </p>
            <p v-if="before" class="quiet" role="status">{{ $t('shapes.standingDialog.theDashedLineIsHow') }}</p>
            <p class="quiet">
              {{ $t('shapes.standingDialog.theFartherTheLineIs', { mostDeg: MOST_DEG }) }}
            </p>
            <template v-if="sheet.cures.length">
              <p>{{ $t('shapes.standingDialog.toStandFirmlyOneOf') }}</p>
              <ul class="cures">
                <li v-for="c in sheet.cures" :key="c.kind">
                  {{ c.text }}
                  <span class="quiet">{{
                    $t('shapes.standingDialog.tipsAtThen', { tipDeg: units.degrees(c.tipDeg) })
                  }}</span>
                  <v-btn
                    size="small"
                    variant="tonal"
                    :aria-label="$t('shapes.standingDialog.tryIt', { text: c.text })"
                    @click="cure(c.kind)"
                    >{{ $t('shapes.standingDialog.tryIt2') }}</v-btn
                  >
                </li>
              </ul>
            </template>
            <p v-else-if="sheet.noCure">{{ sheet.noCure }}</p>
            <p v-if="sheet.tipDeg > 0">
              {{
                $t('shapes.standingDialog.itStandsAPushSideways', {
                  shakeG: units.share(sheet.shakeG),
                  shelfMm: units.mm(sheet.shelfMm),
                })
              }}
            </p>
            <p>{{ hangs }}</p>
          </div>
        </div>
      </v-card-text>
      <v-card-actions>
        <v-btn v-if="before" variant="tonal" @click="takeBack">{{ $t('shapes.standingDialog.asItWas') }}</v-btn>
        <v-btn @click="show = false">{{ $t('common.close') }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) minmax(0, 1.2fr);
  gap: 1.2rem;
  align-items: start;
}
.both p {
  margin-bottom: 0.7rem;
}
.cures {
  margin: 0 0 0.7rem 1.1rem;
}
.rose text {
  font-size: 9px;
  text-anchor: middle;
  fill: rgb(var(--v-theme-on-surface));
}
.rim {
  fill: rgb(var(--v-theme-table));
  stroke: rgb(var(--v-theme-grid));
}
.touchy {
  fill: rgb(var(--v-theme-warning));
  fill-opacity: 0.22;
}
.falls {
  fill: rgb(var(--v-theme-error));
  fill-opacity: 0.4;
}
.leans {
  fill: rgb(var(--v-theme-info));
  fill-opacity: 0.18;
  stroke: rgb(var(--v-theme-info));
  stroke-width: 2;
}
.before {
  fill: none;
  stroke: rgb(var(--v-theme-quiet));
  stroke-dasharray: 4 3;
}
.middle {
  fill: rgb(var(--v-theme-on-surface));
}
@media (max-width: 640px) {
  .both {
    grid-template-columns: 1fr;
  }
}
</style>
