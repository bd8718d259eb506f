<script setup lang="ts">
import { mdiHelpCircleOutline, mdiHistory, mdiLampOutline, mdiRedo, mdiUndo, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useTheme } from 'vuetify'
import { useFigure } from '../state/figure/figure'
import { useUnits } from '../state/units'
import { rememberTheme } from '../style/themes'
import LengthField from '../shared/LengthField.vue'
import { showHelp } from '../help/asked'
import { choose, LANGUAGES, spoken, t } from '../lang'

const route = useRoute()
const figure = useFigure()
const units = useUnits()
const theme = useTheme()
/** Looked at now and then: it comes by itself. */
const HistoryDialog = defineAsyncComponent(() => import('./HistoryDialog.vue'))
const history = ref(false)

const atFigure = computed(() => Boolean(route.params.id) && figure.document !== null)
const plan = computed(() => figure.board?.plan)

const language = LANGUAGES.find((l) => l.value === spoken()) ?? LANGUAGES[0]!
const next = LANGUAGES[(LANGUAGES.indexOf(language) + 1) % LANGUAGES.length]!

const counted = (n: number, word: string) => t(`shell.stationThread.${word}`, n)

const stateWords = {
  settled: t('shell.stationThread.settled'),
  'in-work': t('shell.stationThread.inWork'),
  untouched: t('shell.stationThread.untouched'),
}

/** Each station's state and the one line of what it knows. */
const stations = computed(() => {
  const p = plan.value
  const id = String(route.params.id ?? '')
  const pairs = figure.parts.filter((part) => part.mirror).length
  const core = p?.wool.filter((w) => w.colour === null).reduce((sum, w) => sum + w.g, 0) ?? 0
  const colour = p?.wool.filter((w) => w.colour !== null).reduce((sum, w) => sum + w.g, 0) ?? 0
  const soft = p?.details.filter((d) => d.crisp !== 'crisp').length ?? 0
  const doneSteps = p?.steps.filter((s) => figure.done.includes(s.key)).length ?? 0
  const state = (settled: boolean, begun: boolean): keyof typeof stateWords =>
    settled ? 'settled' : begun ? 'in-work' : 'untouched'
  return [
    {
      name: 'shapes',
      title: t('shell.stationThread.shapes'),
      to: `/figures/${id}/shapes`,
      line: `${counted(figure.parts.length, 'parts')}, ${counted(pairs, 'pairs')}`,
      state: state(false, figure.parts.length > 0),
    },
    {
      name: 'wool',
      title: t('common.wool'),
      to: `/figures/${id}/wool`,
      line: t('shell.stationThread.coreColour', { core: units.g(core), colour: units.g(colour) }),
      state: state(doneSteps > 0, colour > 0),
    },
    {
      name: 'face',
      title: t('shell.stationThread.face'),
      to: `/figures/${id}/face`,
      line: p?.details.length
        ? `${counted(p.details.length, 'details')}${soft ? t('shell.stationThread.toLookAt', { soft }) : ''}`
        : t('shell.stationThread.noDetailsYet'),
      state: state(Boolean(p?.details.length) && soft === 0, Boolean(p?.details.length)),
    },
    {
      name: 'build',
      title: t('shell.stationThread.build'),
      to: `/figures/${id}/build`,
      line: t('shell.stationThread.ofSteps', { doneSteps, steps: p?.steps.length ?? 0 }),
      state: state(doneSteps > 0 && doneSteps === p?.steps.length, doneSteps > 0),
    },
    {
      name: 'check',
      title: t('common.check'),
      to: `/figures/${id}/check`,
      line: t('shell.stationThread.asPlanned'),
      state: state(false, false),
    },
  ]
})

const saved = computed(
  () =>
    ({
      saved: t('shell.stationThread.saved'),
      waiting: t('shell.stationThread.savingSoon'),
      saving: t('shell.stationThread.saving'),
      conflict: t('shell.stationThread.changedElsewhere'),
      failed: t('shell.stationThread.notSavedKeptInThis'),
    })[figure.saveState],
)

function switchLight(): void {
  const next = theme.global.name.value === 'day' ? 'lamp' : 'day'
  theme.change(next)
  rememberTheme(next)
}
</script>

<template>
  <v-app-bar flat height="76" color="background" class="bar">
    <router-link to="/" class="mark display" :aria-current="route.name === 'shelf' ? 'page' : undefined"
      >Impa<span>{{ $t('shell.stationThread.shelf') }}</span></router-link
    >
    <router-link to="/stash" class="drawer" :aria-current="route.name === 'stash' ? 'page' : undefined">{{
      $t('shell.stationThread.stash')
    }}</router-link>
    <router-link
      to="/hand"
      class="drawer"
      :aria-current="route.name === 'hand' ? 'page' : undefined"
      :aria-label="$t('shell.stationThread.myHand')"
      >{{ $t('shell.stationThread.hand') }}</router-link
    >
    <router-link to="/house" class="drawer" :aria-current="route.name === 'house' ? 'page' : undefined">{{
      $t('shell.stationThread.house')
    }}</router-link>
    <nav v-if="atFigure" class="thread" :aria-label="$t('shell.stationThread.stations')">
      <router-link
        v-for="s in stations"
        :key="s.name"
        :to="s.to"
        class="knot"
        :class="[s.state, { here: route.name === s.name }]"
        :aria-current="route.name === s.name ? 'page' : undefined"
      >
        <i aria-hidden="true" />
        <b class="display">{{ s.title }}</b>
        <small
          >{{ s.line }}<span class="offscreen">, {{ stateWords[s.state] }}</span></small
        >
      </router-link>
    </nav>
    <v-spacer />
    <div v-if="atFigure && figure.document" class="tools">
      <LengthField
        :model-value="figure.document.heightMm"
        :label="$t('shell.stationThread.tall')"
        :min="10"
        :max="2000"
        class="height"
        @update:model-value="figure.rescale($event)"
      />
      <span class="saved quiet" role="status">{{ saved }}</span>
      <v-btn
        :icon="mdiHistory"
        variant="text"
        :aria-label="$t('shell.stationThread.history')"
        @click="history = true"
      />
      <HistoryDialog v-if="history" v-model="history" />
      <v-btn
        :icon="mdiUndo"
        variant="text"
        :aria-label="$t('shell.stationThread.undo')"
        :disabled="!figure.past.length"
        @click="figure.undo()"
      />
      <v-btn
        :icon="mdiRedo"
        variant="text"
        :aria-label="$t('shell.stationThread.redo')"
        :disabled="!figure.future.length"
        @click="figure.redo()"
      />
    </div>
    <v-btn
      variant="text"
      class="unit-switch"
      :aria-label="
        $t('shell.stationThread.unitsChange', {
          what:
            units.system.value === 'metric'
              ? $t('shell.stationThread.millimetresAndGrams')
              : $t('shell.stationThread.inchesAndOunces'),
        })
      "
      @click="units.system.value = units.isImperial.value ? 'metric' : 'imperial'"
    >
      {{ units.system.value === 'metric' ? 'mm / g' : 'in / oz' }}
    </v-btn>
    <v-btn
      v-if="!atFigure"
      variant="text"
      class="unit-switch"
      :aria-label="$t('shell.stationThread.language', { title: language.title })"
      :title="$t('shell.stationThread.language', { title: language.title })"
      @click="choose(next.value)"
    >
      {{ language.value.toUpperCase() }}
    </v-btn>
    <v-btn
      :icon="theme.global.name.value === 'day' ? mdiLampOutline : mdiWhiteBalanceSunny"
      variant="text"
      :aria-label="
        theme.global.name.value === 'day' ? $t('shell.stationThread.lampLight') : $t('shell.stationThread.dayLight')
      "
      @click="switchLight"
    />
    <v-btn
      :icon="mdiHelpCircleOutline"
      variant="text"
      :aria-label="$t('help.helpDialog.help')"
      @click="showHelp = true"
    />
  </v-app-bar>
</template>

<style scoped>
.bar {
  border-bottom: 0;
}
.mark {
  font-size: 1.7rem;
  color: rgb(var(--v-theme-primary));
  text-decoration: none;
  padding: 0 0.5rem 0 1.1rem;
  line-height: 1;
  display: flex;
  flex-direction: column;
}
.mark span {
  font:
    600 0.72rem 'Nunito Sans',
    sans-serif;
  color: rgb(var(--v-theme-quiet));
}
.drawer {
  color: rgb(var(--v-theme-quiet));
  font-weight: 700;
  text-decoration: none;
  padding: 0.7rem 0.6rem;
  border-radius: 10px;
  min-height: 44px;
}
.drawer[aria-current] {
  color: rgb(var(--v-theme-primary));
}
.thread {
  display: flex;
  position: relative;
}
.thread::before {
  content: '';
  position: absolute;
  left: 0.9rem;
  right: 4rem;
  top: 15px;
  border-top: var(--stitch);
}
.knot {
  position: relative;
  display: grid;
  padding: 0.35rem 0.55rem 0.3rem;
  align-content: start;
  text-decoration: none;
  color: rgb(var(--v-theme-on-background));
  min-height: 56px;
  border-radius: 12px;
}
.knot i {
  width: 15px;
  height: 15px;
  border-radius: 50%;
  background: rgb(var(--v-theme-background));
  border: 3px solid rgb(var(--v-theme-thread));
  margin: 2px 0 1px;
  z-index: 1;
}
.knot.in-work i {
  border-color: rgb(var(--v-theme-primary));
}
.knot.settled i {
  background: rgb(var(--v-theme-success));
  border-color: rgb(var(--v-theme-success));
}
.knot.here i {
  background: rgb(var(--v-theme-primary));
  border-color: rgb(var(--v-theme-primary));
}
.knot b {
  line-height: 1.15;
  white-space: nowrap;
}
.knot.here b {
  color: rgb(var(--v-theme-primary));
}
.knot small {
  color: rgb(var(--v-theme-quiet));
  font-size: 0.72rem;
  line-height: 1.1;
  /* In two lines, so that everything beside it stays on the page. */
  max-width: 6.6rem;
}
.tools {
  display: flex;
  align-items: center;
  gap: 0.2rem;
}
.height {
  width: 7.4rem;
}
.saved {
  font-size: 0.76rem;
  width: 4.6rem;
  text-align: right;
  line-height: 1.1;
  margin-right: 0.3rem;
}
@media (max-width: 1180px) {
  .knot small,
  .saved {
    display: none;
  }
  .knot {
    padding: 0.35rem 0.55rem;
  }
}
@media (max-width: 900px) {
  .knot {
    padding: 0.35rem 0.3rem;
  }
  .knot b {
    font-size: 0.86rem;
  }
  .drawer {
    padding: 0.7rem 0.3rem;
  }
  .height {
    width: 6.4rem;
  }
  .unit-switch {
    display: none;
  }
}
</style>
