<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import DoorSheet from './DoorSheet.vue'

/** After the hash of the link: what stands there goes to no server by itself, and out of the address once it is read. */
const said = new URLSearchParams(window.location.hash.slice(1))
history.replaceState(history.state, '', '/password')

const { trouble, busy, tell } = useAsyncAction()
const email = ref(said.get('email') ?? '')
const password = ref('')
const seen = ref(false)
const told = ref('')
const choose = () =>
  tell(async () => {
    told.value = (await api.choosePassword(email.value, said.get('token') ?? '', password.value)).told
  })
</script>

<template>
  <DoorSheet
    :title="$t('house.passwordStation.chooseAPassword')"
    :trouble="trouble"
    :told="told"
    :busy="busy"
    @send="choose"
  >
    <p v-if="!said.get('token')" class="wrong">{{ $t('house.passwordStation.thisPageWantsTheWhole') }}</p>
    <template v-else-if="!told">
      <p class="quiet">{{ $t('house.passwordStation.forTwelveLettersOrMore', { email }) }}</p>
      <input class="offscreen" type="text" autocomplete="username" :value="email" tabindex="-1" aria-hidden="true" />
      <v-text-field
        v-model="password"
        :label="$t('house.passwordStation.newPassword')"
        :type="seen ? 'text' : 'password'"
        autocomplete="new-password"
        maxlength="128"
      />
      <v-checkbox v-model="seen" :label="$t('house.passwordStation.showWhatIType')" density="compact" hide-details />
      <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !password">{{
        $t('house.passwordStation.chooseIt')
      }}</v-btn>
    </template>
    <v-btn v-else color="primary" variant="flat" href="/sign-in">{{ $t('house.passwordStation.signIn') }}</v-btn>
  </DoorSheet>
</template>
