<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { Closing } from '../../api/types/answers'
import { api } from '../../api/client'
import BookletDialog from './BookletDialog.vue'
import FilesDialog from './FilesDialog.vue'
import LinksDialog from './LinksDialog.vue'
import { hasAccounts } from '../../state/accounts'
import PrintDialog from '../../shared/PrintDialog.vue'
import { useFigure } from '../../state/figure/figure'
import { useSupply } from '../../state/figure/supply'
import FinishDialog from '../wool/FinishDialog.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** The last look: what is left, what must be warned of, what to change next time, and the card of the finished figure. */
const figure = useFigure()
const closing = ref<Closing | null>(null)
const next = ref('')
const trouble = ref('')
const said = ref('')
const printing = ref(false)
const sharing = ref(false)
const linking = ref(false)
const taking = ref(false)

async function take(ask: () => Promise<Closing>): Promise<boolean> {
  trouble.value = ''
  try {
    closing.value = await ask()
    return true
  } catch (error) {
    trouble.value = inWords(error)
    return false
  }
}
async function load(): Promise<void> {
  if (figure.id && (await take(() => api.closing(figure.id)))) next.value = closing.value?.next ?? ''
}
onMounted(load)
onMounted(() => void supply.open())
watch(() => figure.id, load)
const look = (kind: string, done: boolean) => take(() => api.lookAt(figure.id, kind, done))
async function keep(): Promise<void> {
  if (!(await take(() => api.keepNext(figure.id, next.value, closing.value!.revision)))) return
  // Another window's words, where they were taken.
  next.value = closing.value!.next
  said.value = t('check.finishPane.kept')
}
/** The same question as at the Wool station: what was really used. */
const supply = useSupply()
const isTaken = computed(() => supply.wool?.state === 'used')
const usingWool = ref(false)
async function takeWool(): Promise<void> {
  await supply.open()
  usingWool.value = true
}
</script>

<template>
  <section class="finish">
    <div>
      <h2>{{ $t('check.finishPane.beforeItIsFinished') }}</h2>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <ul v-if="closing" class="bare" :aria-label="$t('check.finishPane.whatIsLeft')">
        <li v-for="l in closing.left" :key="l.kind" class="stitched" :class="{ safety: l.safety && !l.done }">
          <label class="row"
            ><input type="checkbox" :checked="l.done" :disabled="!l.look" @change="look(l.kind, !l.done)" /><span
              :class="{ quiet: l.done }"
              >{{ l.text }}</span
            ></label
          >
        </li>
      </ul>
    </div>
    <div class="side">
      <h2>{{ $t('check.finishPane.nextTime') }}</h2>
      <v-textarea
        v-model="next"
        :label="$t('check.finishPane.whatToChangeNextTime')"
        rows="4"
        auto-grow
        maxlength="2000"
        @change="keep"
      />
      <div class="acts">
        <v-btn color="primary" variant="flat" @click="printing = true">{{
          $t('check.finishPane.cardOfTheFigure')
        }}</v-btn>
        <v-btn variant="tonal" @click="sharing = true">{{ $t('check.finishPane.aBookletToShare') }}</v-btn>
        <v-btn variant="tonal" @click="taking = true">{{ $t('check.finishPane.filesForOtherPrograms') }}</v-btn>
        <v-btn v-if="hasAccounts()" variant="tonal" @click="linking = true">{{
          $t('check.finishPane.shownByALink')
        }}</v-btn>
        <v-btn variant="tonal" :disabled="isTaken" @click="takeWool">{{
          isTaken ? $t('check.finishPane.itsWoolIsTakenFrom') : $t('check.finishPane.takeItsWoolFromThe')
        }}</v-btn>
      </div>
      <p v-if="said" role="status" class="quiet">{{ said }}</p>
    </div>
    <FinishDialog v-model="usingWool" />
    <BookletDialog v-model="sharing" />
    <FilesDialog v-model="taking" />
    <LinksDialog v-if="linking" v-model="linking" />
    <PrintDialog
      v-model="printing"
      :title="$t('check.finishPane.cardOfTheFigure')"
      only-pdf
      :make="(_as, paper) => api.finishedCard(figure.id, paper)"
    >
      <p>{{ $t('check.finishPane.itsLatestPhotoSizesGrams') }}</p>
    </PrintDialog>
  </section>
</template>

<style scoped>
.finish {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 1.6rem;
  padding-top: 0.6rem;
}
.finish li {
  padding: 0.5rem 0;
}
.finish li.safety {
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding-left: 0.6rem;
}
.finish label {
  min-height: 44px;
  flex-wrap: nowrap;
  align-items: center;
}
.finish input[type='checkbox'] {
  width: 20px;
  height: 20px;
  flex: none;
  accent-color: rgb(var(--v-theme-success));
}
.side,
.acts {
  display: grid;
  gap: 0.7rem;
  align-content: start;
}
@media (max-width: 900px) {
  .finish {
    grid-template-columns: 1fr;
  }
}
</style>
