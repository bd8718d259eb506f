<script setup lang="ts">
import { ref } from 'vue'
import type { Session } from '../../api/types/answers'
import { api, handOverNow } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { enter, forget } from './enter'
import { decimals } from '../../lang'

defineProps<{ felter: NonNullable<Session['felter']> }>()
const { trouble, busy, tell } = useAsyncAction()
const old = ref('')
const password = ref('')
const told = ref('')
const change = () =>
  tell(async () => {
    told.value = (await api.changePassword(old.value, password.value)).told
    old.value = password.value = ''
  })
const out = (everywhere: boolean) =>
  tell(async () => {
    // What was done without the network goes first: afterwards it waits until she is back.
    await handOverNow().catch(() => undefined)
    await api.signOut(everywhere)
    await forget()
    enter('/sign-in')
  })
</script>

<template>
  <section class="sheet pane" :aria-label="$t('house.accountPane.account')">
    <h2>{{ felter.name }}</h2>
    <p class="quiet">{{ felter.email }}</p>
    <p>
      {{ $t('house.accountPane.yourPicturesTakeMb', { picturesMb: decimals(felter.picturesMb, 1) })
      }}{{ felter.mostMb ? ' ' + $t('house.accountPane.ofMb', { mostMb: felter.mostMb }) : '' }}.
    </p>
    <v-progress-linear
      v-if="felter.mostMb"
      :model-value="(100 * felter.picturesMb) / felter.mostMb"
      color="primary"
      height="8"
      rounded
      :aria-label="$t('house.accountPane.roomForPictures')"
    />
    <form class="pane" @submit.prevent="change">
      <h3>{{ $t('house.accountPane.anotherPassword') }}</h3>
      <v-text-field
        v-model="old"
        :label="$t('house.accountPane.theOldOne')"
        type="password"
        autocomplete="current-password"
      />
      <v-text-field
        v-model="password"
        :label="$t('house.accountPane.theNewOne')"
        type="password"
        autocomplete="new-password"
      />
      <v-btn type="submit" :disabled="busy || !old || !password">{{ $t('house.accountPane.changeIt') }}</v-btn>
    </form>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <p v-if="told" role="status">{{ told }}</p>
    <div class="row">
      <v-btn variant="flat" color="primary" :disabled="busy" @click="out(false)">{{
        $t('house.accountPane.signOut')
      }}</v-btn>
      <v-btn variant="text" :disabled="busy" @click="out(true)">{{
        $t('house.accountPane.signOutOnEveryDevice')
      }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
</style>
