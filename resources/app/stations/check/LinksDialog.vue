<script setup lang="ts">
import { mdiContentCopy } from '@mdi/js'
import { onMounted, ref } from 'vue'
import type { SharedLinks } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { useFigure } from '../../state/figure/figure'
import { dates } from '../../lang'

/** Links by which the figure is shown to whoever has one, until it is ended. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const links = ref<SharedLinks | null>(null)
const copied = ref(false)
const { trouble, busy, tell } = useAsyncAction()
onMounted(() => tell(async () => void (links.value = await api.links(figure.id))))
const make = () =>
  tell(async () => {
    links.value = await api.shareByLink(figure.id)
    copied.value = false
  })
const end = (id: number) => tell(async () => void (links.value = await api.endLink(figure.id, id)))
const copy = () =>
  tell(async () => {
    await navigator.clipboard.writeText(links.value?.address ?? '')
    copied.value = true
  })
const when = (at: string) => new Date(at).toLocaleString(dates(), { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('check.linksDialog.shownByALink')" max-width="560">
    <v-card :title="$t('check.linksDialog.shownByALink')">
      <v-card-text class="fields">
        <p>
          {{ $t('check.linksDialog.whoeverHasTheLinkSees') }}
        </p>
        <div v-if="links?.address" class="row">
          <v-text-field :model-value="links.address" :label="$t('check.linksDialog.theLinkCopyItNow')" readonly />
          <v-btn :icon="mdiContentCopy" :aria-label="$t('check.linksDialog.copyTheLink')" @click="copy" />
          <span v-if="copied" class="small quiet" role="status">{{ $t('check.linksDialog.copied') }}</span>
        </div>
        <ul v-if="links?.links.length" class="links">
          <li v-for="link in links.links" :key="link.id" class="row">
            <span
              >{{ $t('check.linksDialog.made', { at: when(link.at) })
              }}<span class="quiet"
                >,
                {{
                  link.seenAt
                    ? $t('check.linksDialog.lastSeen', { seenAt: when(link.seenAt) })
                    : $t('check.linksDialog.notSeenYet')
                }}</span
              ></span
            >
            <v-spacer />
            <v-btn size="small" :disabled="busy" @click="end(link.id)">{{ $t('check.linksDialog.endIt') }}</v-btn>
          </li>
        </ul>
        <p v-else-if="links" class="quiet">{{ $t('check.linksDialog.nobodySeesThisFigureBy') }}</p>
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        <v-progress-linear v-if="busy" indeterminate color="primary" :aria-label="$t('check.linksDialog.asking')" />
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.done') }}</v-btn>
        <v-btn color="primary" variant="flat" :disabled="busy" @click="make">{{
          $t('check.linksDialog.aNewLink')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 0.7rem;
}
.links {
  list-style: none;
  padding: 0;
}
</style>
