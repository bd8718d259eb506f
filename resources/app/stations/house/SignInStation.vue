<script setup lang="ts">
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import DoorSheet from './DoorSheet.vue'
import { enter } from './enter'

const route = useRoute()
const { trouble, busy, tell } = useAsyncAction()
const email = ref('')
const password = ref('')
const seen = ref(false)
const told = ref('')

const signIn = () =>
  tell(async () => {
    await api.signIn(email.value, password.value)
    enter(route.query.to)
  })
const letter = () => tell(async () => void (told.value = (await api.passwordLetter(email.value)).told))
</script>

<template>
  <DoorSheet :title="$t('house.signInStation.signIn')" :trouble="trouble" :told="told" :busy="busy" @send="signIn">
    <v-text-field
      v-model="email"
      :label="$t('house.signInStation.address')"
      type="email"
      autocomplete="username"
      required
    />
    <v-text-field
      v-model="password"
      :label="$t('house.signInStation.password')"
      :type="seen ? 'text' : 'password'"
      autocomplete="current-password"
      required
    />
    <v-checkbox v-model="seen" :label="$t('house.signInStation.showWhatIType')" density="compact" hide-details />
    <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !email || !password">{{
      $t('house.signInStation.signIn')
    }}</v-btn>
    <v-btn variant="text" :disabled="busy || !email" @click="letter">{{
      $t('house.signInStation.sendMeALinkTo')
    }}</v-btn>
  </DoorSheet>
</template>
