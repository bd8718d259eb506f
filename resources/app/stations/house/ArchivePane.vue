<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ArchivePreview } from '../../api/types/answers'
import { api, type ArchiveConflict } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** Everything out as one file, and in again with a look at it first. */
const { trouble, busy, tell } = useAsyncAction()
const picker = ref<HTMLInputElement>()
const archive = ref<File | null>(null)
const preview = ref<ArchivePreview | null>(null)
const conflict = ref<ArchiveConflict>('keep')
const each = ref<Record<string, ArchiveConflict>>({})
const doing = ref('')
const share = ref(0)
const told = ref('')

const choices = [
  { value: 'keep', title: t('house.archivePane.keepWhatIsHere') },
  { value: 'replace', title: t('house.archivePane.takeTheArchives') },
  { value: 'both', title: t('house.archivePane.keepBoth') },
]
const counted = (n: number, word: string) => t(`house.archivePane.${word}`, n)
const of = (state: string) => preview.value?.figures.filter((f) => f.state === state) ?? []
const conflicts = computed(() => of('conflict'))
const refused = computed(() => of('refused'))
const summary = computed(() => {
  const p = preview.value
  if (!p) return ''
  const others = p.wools.conflict + p.sets.conflict
  return [
    t('house.archivePane.newTheSame', { counted: counted(of('new').length, 'figures'), length: of('same').length }),
    t('house.archivePane.andNew', { new: counted(p.wools.new, 'wools'), new2: counted(p.sets.new, 'sets') }),
    `${counted(p.pictures, 'pictures')}, ${counted(p.pieces, 'pieces')}`,
    ...(others ? [t('house.archivePane.otherwiseThanHere', { others: counted(others, 'others') })] : []),
  ].join('; ')
})

function look(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0] ?? null
  // The same file can be chosen again afterwards.
  input.value = ''
  preview.value = null
  told.value = ''
  each.value = {}
  return tell(async () => {
    if (!file) return
    archive.value = file
    preview.value = await api.lookInto(file)
  })
}
const takeIn = () =>
  tell(async () => {
    if (!archive.value) return
    const taken = await api
      .takeIn(
        archive.value,
        conflict.value,
        each.value,
        (what, how) => ([doing.value, share.value] = [what, how]),
        new AbortController().signal,
      )
      .finally(() => (doing.value = ''))
    told.value = t('house.archivePane.takenInTheSameKept', {
      taken: counted(taken.taken, 'figures'),
      same: taken.same,
      kept: taken.kept,
    })
    preview.value = null
  })
</script>

<template>
  <section class="sheet pane" :aria-label="$t('house.archivePane.everythingOutAndIn')">
    <h2>{{ $t('house.archivePane.everythingOutEverythingIn') }}</h2>
    <p class="quiet">
      {{ $t('house.archivePane.figuresWithTheirHistoryAnd') }}
    </p>
    <div class="row">
      <v-btn color="primary" variant="flat" href="/api/archive" download>{{
        $t('house.archivePane.takeEverythingOut')
      }}</v-btn>
      <v-btn variant="tonal" :disabled="busy" @click="picker?.click()">{{
        $t('house.archivePane.takeAnArchiveIn')
      }}</v-btn>
      <input
        ref="picker"
        class="offscreen"
        type="file"
        accept=".zip,application/zip"
        :aria-label="$t('house.archivePane.anArchiveOfImpa')"
        tabindex="-1"
        @change="look"
      />
    </div>
    <template v-if="preview">
      <p>
        <b>{{ archive?.name }}</b>: {{ summary }}.
      </p>
      <ul v-if="refused.length" class="bare small">
        <li v-for="f in refused" :key="f.uuid" class="wrong">
          {{ $t('house.archivePane.staysOut', { name: f.name, why: f.why }) }}
        </li>
      </ul>
      <template v-if="conflicts.length || preview.wools.conflict || preview.sets.conflict">
        <v-select v-model="conflict" :items="choices" :label="$t('house.archivePane.whatIsHereAlreadyAnd')" />
        <ul v-if="conflicts.length" class="bare" :aria-label="$t('house.archivePane.figuresThatAreOtherwiseHere')">
          <li v-for="f in conflicts" :key="f.uuid" class="row stitched">
            <span class="name">{{ f.name }}</span>
            <v-select
              :model-value="each[f.uuid] ?? conflict"
              :items="choices"
              :aria-label="$t('house.archivePane.whatIsDone', { name: f.name })"
              class="choice"
              @update:model-value="each[f.uuid] = $event"
            />
          </li>
        </ul>
      </template>
      <v-btn color="primary" variant="flat" :disabled="busy" @click="takeIn">{{
        $t('house.archivePane.takeItIn')
      }}</v-btn>
    </template>
    <v-progress-linear
      v-if="busy"
      :model-value="100 * share"
      :indeterminate="!doing"
      color="primary"
      height="8"
      rounded
      :aria-label="doing || $t('house.archivePane.lookingIntoIt')"
    />
    <p v-if="doing" class="small quiet" role="status">{{ doing }}</p>
    <p v-if="told" role="status">{{ told }}</p>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.8rem;
  align-content: start;
}
.name {
  flex: 1 1 8rem;
}
.choice {
  flex: 0 1 13rem;
}
</style>
