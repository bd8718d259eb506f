<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Help, HelpFound, HelpNext } from '../api/types/answers'
import { api } from '../api/client'
import { useFigure } from '../state/figure/figure'
import { trade } from '../state/trade'
import { inWords } from '../shared/useAsyncAction'
import KeysList from './KeysList.vue'
import WordCard from './WordCard.vue'
import { showHelp } from './asked'

/** Help where the work is: what to do next here, what the station is for, search over all of it, keys last. */
/** Stations around the figures where there is something to do next. */
const AROUND = ['shelf', 'stash', 'hand', 'set', 'house']
const route = useRoute()
const figure = useFigure()
const pages = shallowRef<Help['pages']>([])
const next = shallowRef<HelpNext['next']>([])
const found = shallowRef<HelpFound | null>(null)
const sought = ref('')
const open = ref<number | null>(null)
const trouble = ref('')

const station = computed(() => String(route.name ?? ''))
const here = computed(() => pages.value.filter((p) => p.stations.includes(station.value)))
const others = computed(() => pages.value.filter((p) => !here.value.includes(p)))
const hits = computed(() => (found.value?.pages ?? []).flatMap((n) => pages.value.filter((p) => p.number === n)))
const words = computed(() => (found.value?.words ?? []).flatMap((code) => trade.words.filter((w) => w.code === code)))
const isNothing = computed(
  () =>
    found.value !== null &&
    hits.value.length + words.value.length + found.value.figures.length + found.value.wools.length === 0,
)
const isOfFigure = computed(() => ['shapes', 'wool', 'face', 'build', 'check'].includes(station.value))

watch(
  showHelp,
  async (is) => {
    if (!is) return
    trouble.value = ''
    sought.value = ''
    found.value = null
    next.value = []
    open.value = null
    try {
      pages.value = (await api.help()).pages
      open.value = here.value[0]?.number ?? null
      if (isOfFigure.value ? figure.document : AROUND.includes(station.value))
        next.value = (
          await api.next(
            isOfFigure.value ? figure.document! : undefined,
            station.value,
            figure.id,
            Number(route.params['set'] ?? 0),
          )
        ).next
    } catch (error) {
      trouble.value = inWords(error)
    }
  },
  { immediate: true },
)
let asked = 0
watch(sought, async (q) => {
  const mine = ++asked
  if (q.trim() === '') return void (found.value = null)
  try {
    const answer = await api.found(q)
    if (mine === asked) found.value = answer
  } catch (error) {
    if (mine === asked) trouble.value = inWords(error)
  }
})
const panel = ref<HTMLElement>()
async function read(page: number): Promise<void> {
  sought.value = ''
  open.value = page
  await nextTick()
  panel.value?.querySelector(`[data-page="${page}"]`)?.scrollIntoView({ block: 'start' })
}
const close = () => (showHelp.value = false)
</script>

<template>
  <v-dialog v-model="showHelp" :aria-label="$t('help.helpDialog.help')" max-width="760" scrollable>
    <v-card :title="$t('help.helpDialog.help')">
      <v-card-text>
        <div ref="panel" class="help">
          <v-text-field
            v-model="sought"
            type="search"
            clearable
            :label="$t('help.helpDialog.search')"
            maxlength="100"
            autofocus
            hide-details
            @click:clear="sought = ''"
          />
          <v-alert v-if="trouble" type="error" variant="tonal" role="alert">{{ trouble }}</v-alert>
          <v-progress-linear
            v-else-if="!pages.length"
            indeterminate
            color="primary"
            :aria-label="$t('help.helpDialog.lookingItUp')"
          />
          <section v-if="found" :aria-label="$t('help.helpDialog.found')" class="found" aria-live="polite">
            <p v-if="isNothing">{{ $t('help.helpDialog.nothing', { sought }) }}</p>
            <ul v-if="hits.length" class="bare">
              <li v-for="p in hits" :key="p.number">
                <button type="button" class="plain link" @click="read(p.number)">{{ p.title }}</button>
              </li>
            </ul>
            <WordCard v-for="w in words" :key="w.code" :word="w" />
            <p v-if="found.figures.length">
              {{ $t('help.helpDialog.figures') }}
              <template v-for="f in found.figures" :key="f.id"
                ><router-link :to="`/figures/${f.id}/shapes`" @click="close">{{ f.name }}</router-link
                >{{ ' ' }}</template
              >
            </p>
            <p v-if="found.wools.length">
              {{ $t('help.helpDialog.wools') }}
              <template v-for="w in found.wools" :key="w.id"
                ><router-link :to="`/stash?wool=${w.id}`" @click="close">{{ w.name }}</router-link
                >{{ ' ' }}</template
              >
            </p>
          </section>
          <template v-else-if="pages.length">
            <section v-if="next.length" class="next" :aria-label="$t('help.helpDialog.next')">
              <h2>{{ $t('help.helpDialog.next') }}</h2>
              <ul>
                <li v-for="n in next" :key="n.code">
                  {{ n.text }}
                  <router-link
                    v-if="n.station !== station"
                    :to="{ name: n.station, params: { id: route.params.id } }"
                    @click="close"
                    >{{ $t('help.helpDialog.goThere') }}</router-link
                  >
                </li>
              </ul>
            </section>
            <details
              v-for="p in [...here, ...others]"
              :key="p.number"
              :data-page="p.number"
              :open="open === p.number"
              class="page"
            >
              <summary>{{ p.title }}</summary>
              <!-- eslint-disable-next-line vue/no-v-html -- our own pages, made into HTML by the server without any HTML of theirs -->
              <div v-html="p.html" />
            </details>
            <details class="page">
              <summary>{{ $t('help.helpDialog.words', { count: trade.words.length }) }}</summary>
              <div class="words"><WordCard v-for="w in trade.words" :key="w.code" :word="w" /></div>
            </details>
            <details class="page">
              <summary>{{ $t('shell.keysDialog.keys') }}</summary>
              <KeysList />
            </details>
          </template>
        </div>
      </v-card-text>
      <v-card-actions
        ><v-btn @click="close">{{ $t('common.close') }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.help {
  display: grid;
  gap: 0.7rem;
  padding-top: 0.5rem;
  min-height: 50vh;
  align-content: start;
}
.next {
  padding: 0.7rem 1rem;
  border-radius: 10px;
  background: rgba(var(--v-theme-secondary), 0.1);
}
.next h2 {
  font-size: 1.05rem;
}
.next ul {
  margin: 0.3rem 0 0;
  padding-left: 1.1rem;
}
.page {
  border-top: 1px solid rgb(var(--v-theme-grid));
  padding-top: 0.5rem;
}
.page summary {
  cursor: pointer;
  font-weight: 600;
  min-height: 32px;
}
.page :deep(ol),
.page :deep(ul) {
  padding-left: 1.3rem;
}
.page :deep(p) {
  margin: 0.4rem 0;
}
.found,
.words {
  display: grid;
  gap: 0.8rem;
}
.link {
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
  padding: 0;
  min-height: 30px;
}
</style>
