<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import DoorSheet from './DoorSheet.vue'
import { enter } from './enter'

/** After the hash of the picture's address: it goes to no server by itself, and out of the address once it is read. */
const said = new URLSearchParams(window.location.hash.slice(1))
history.replaceState(history.state, '', '/pair')

const { trouble, busy, tell } = useAsyncAction()
const code = ref(said.get('code') ?? '')
const name = ref(/iPad|Tablet|Android/.test(navigator.userAgent) ? 'Tablet by the mat' : 'Device by the mat')
const pair = () =>
  tell(async () => {
    await api.pair(code.value, name.value)
    enter(said.get('to'))
  })
</script>

<template>
  <DoorSheet title="Pair this device" :trouble="trouble" told="" :busy="busy" @send="pair">
    <p class="quiet">Impa runs on another machine here. There, at House, it shows a code.</p>
    <v-text-field v-model="code" label="The code" maxlength="9" autocomplete="off" autocapitalize="characters" />
    <v-text-field v-model="name" label="What this device is called" maxlength="60" />
    <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !code">Pair it</v-btn>
    <p class="small quiet">
      To go on where the network ends, this device must trust that machine:
      <a href="/impa-authority.crt" download>take its certificate</a>, and let the settings of this device install it.
      It vouches for addresses inside this house only.
    </p>
  </DoorSheet>
</template>
