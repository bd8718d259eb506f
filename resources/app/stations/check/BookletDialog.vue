<script setup lang="ts">
import { ref } from 'vue'
import { api, type BookletWish } from '../../api/client'
import { download } from '../../shared/download'
import { useFigure } from '../../state/figure/figure'
import { paperSize } from '../../state/printer'
import PaperSelect from '../../shared/PaperSelect.vue'
import { inWords } from '../../shared/useAsyncAction'
import { t } from '../../lang'

/** The figure as a pattern to share: whose it is comes first; the drawing stays out unless it is asked for. */
const show = defineModel<boolean>({ required: true })
const figure = useFigure()
const wish = ref<Omit<BookletWish, 'as' | 'paper'>>({ whose: '', credit: '', licence: '', drawing: false })
const trouble = ref('')
const busy = ref(false)
const whose = [
  { value: 'mine', title: t('check.bookletDialog.iDrewAndDesignedIt') },
  { value: 'allowed', title: t('check.bookletDialog.anotherDidAndHasSaid') },
]
async function share(as: 'pdf' | 'file'): Promise<void> {
  trouble.value = ''
  busy.value = true
  try {
    const booklet = await api.booklet(figure.id, figure.document!, { ...wish.value, as, paper: paperSize.value })
    download(
      booklet,
      t('check.bookletDialog.booklet', { name: figure.document!.name, what: as === 'pdf' ? 'pdf' : 'impa.json' }),
    )
  } catch (error) {
    trouble.value = inWords(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <v-dialog v-model="show" :aria-label="$t('check.bookletDialog.aBookletToShare')" max-width="520">
    <v-card :title="$t('check.bookletDialog.aBookletToShare')">
      <v-card-text class="fields">
        <p>
          {{ $t('check.bookletDialog.coverMaterialsSizesStepsWith') }}
        </p>
        <v-select v-model="wish.whose" :items="whose" :label="$t('check.bookletDialog.whoseIsTheDesign')" />
        <p v-if="!wish.whose" class="quiet small">{{ $t('check.bookletDialog.sayFirstWhoseDesignIt') }}</p>
        <v-text-field v-model="wish.credit" :label="$t('check.bookletDialog.madeBy')" maxlength="200" />
        <v-text-field
          v-model="wish.licence"
          :label="$t('check.bookletDialog.whatOthersMayDoWith')"
          :placeholder="$t('check.bookletDialog.forYourselfAndForFriends')"
          maxlength="200"
        />
        <v-checkbox
          v-model="wish.drawing"
          :label="$t('check.bookletDialog.putTheDrawingIn')"
          density="compact"
          hide-details
        />
        <PaperSelect />
        <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
        <v-progress-linear
          v-if="busy"
          indeterminate
          color="primary"
          :aria-label="$t('check.bookletDialog.makingTheBooklet')"
        />
      </v-card-text>
      <v-card-actions>
        <v-btn @click="show = false">{{ $t('common.cancel') }}</v-btn>
        <v-btn variant="tonal" :disabled="busy || !wish.whose" @click="share('file')">{{
          $t('check.bookletDialog.asAFileForImpa')
        }}</v-btn>
        <v-btn color="primary" variant="flat" :disabled="busy || !wish.whose" @click="share('pdf')">{{
          $t('check.bookletDialog.asPdf')
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
</style>
