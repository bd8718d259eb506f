<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import DoorSheet from './DoorSheet.vue'
import { enter } from './enter'
import { t } from '../../lang'

/** After the hash of the picture's address: it goes to no server by itself, and out of the address once it is read. */
const said = new URLSearchParams(window.location.hash.slice(1))
history.replaceState(history.state, '', '/pair')

const { trouble, busy, tell } = useAsyncAction()
const code = ref(said.get('code') ?? '')
const name = ref(
  /iPad|Tablet|Android/.test(navigator.userAgent)
    ? t('house.pairStation.tabletByTheMat')
    : t('house.pairStation.deviceByTheMat'),
)
const pair = () =>
  tell(async () => {
    await api.pair(code.value, name.value)
    enter(said.get('to'))
  })
</script>

<template>
  <DoorSheet :title="$t('house.pairStation.pairThisDevice')" :trouble="trouble" told="" :busy="busy" @send="pair">
    <p class="quiet">{{ $t('house.pairStation.impaRunsOnAnotherMachine') }}</p>
    <v-text-field
      v-model="code"
      :label="$t('house.pairStation.theCode')"
      maxlength="9"
      autocomplete="off"
      autocapitalize="characters"
    />
    <v-text-field v-model="name" :label="$t('house.pairStation.whatThisDeviceIsCalled')" maxlength="60" />
    <v-btn type="submit" color="primary" variant="flat" :disabled="busy || !code">{{
      $t('house.pairStation.pairIt')
    }}</v-btn>
    <p class="small quiet">
      {{ $t('house.pairStation.toGoOnWhereThe') }}
      <a href="/impa-authority.crt" download>{{ $t('house.pairStation.takeItsCertificate') }}</a>{{
        $t('house.pairStation.andLetTheSettingsOf')
      }}
    </p>
  </DoorSheet>
</template>
