<script setup lang="ts">
import { toString as drawn } from 'qrcode'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { Devices, PairingCode } from '../../api/types/answers'
import { api } from '../../api/client'
import { useAsyncAction } from '../../shared/useAsyncAction'
import { dates, t } from '../../lang'

/** Tablets beside the mat: paired once by a code, listed, sent away. */
const ASK_AGAIN_MS = 2000
const devices = ref<Devices | null>(null)
const code = ref<PairingCode | null>(null)
const picture = ref('')
const left = ref(0)
const { trouble, busy, tell } = useAsyncAction()
onMounted(() => tell(async () => void (devices.value = await api.devices())))

const offer = () =>
  tell(async () => {
    code.value = await api.pairingCode()
    const { page } = await api.place()
    const said = new URLSearchParams({ code: code.value.code, ...(page ? { to: page } : {}) })
    picture.value = await drawn(`${devices.value?.address}/pair#${said}`, { type: 'svg', margin: 2 })
  })
const sendAway = (id: number) => tell(async () => void (devices.value = await api.sendAway(id)))

/** While a code is shown, whoever comes in by it ends it. */
const timer = window.setInterval(async () => {
  if (!code.value) return
  left.value = Math.ceil((Date.parse(code.value.endsAt) - Date.now()) / 60_000)
  const before = devices.value?.devices.length ?? 0
  devices.value = await api.devices().catch(() => devices.value)
  if (left.value <= 0 || (devices.value?.devices.length ?? 0) > before) code.value = null
}, ASK_AGAIN_MS)
onBeforeUnmount(() => window.clearInterval(timer))

const src = computed(() => `data:image/svg+xml;utf8,${encodeURIComponent(picture.value)}`)
const when = (at: string | null) =>
  at ? new Date(at).toLocaleString(dates(), { dateStyle: 'medium', timeStyle: 'short' }) : t('house.devicesPane.never')
</script>

<template>
  <section class="sheet pane" :aria-label="$t('house.devicesPane.tablets')">
    <h2>{{ $t('house.devicesPane.tabletBesideTheMat') }}</h2>
    <p v-if="devices && !devices.address" class="quiet">
      {{ $t('house.devicesPane.impaAnswersOnThisMachine') }}
      <code>bin/demo --share</code>.
    </p>
    <p v-else-if="devices && !devices.isHere" class="quiet">
      {{ $t('house.devicesPane.thisDeviceIsPairedOthers') }}
    </p>
    <template v-else-if="devices">
      <p class="quiet">{{ $t('house.devicesPane.onYourOwnNetworkOnly') }}</p>
      <div v-if="code" class="offer">
        <img :src="src" :alt="$t('house.devicesPane.theAddressAndTheCode')" width="200" height="200" />
        <div>
          <p>{{ $t('house.devicesPane.letItsCameraReadThis') }}</p>
          <p class="address">{{ devices.address }}/pair</p>
          <p class="code display">{{ code.code }}</p>
          <p class="small quiet">{{ $t('house.devicesPane.itHoldsMinForOne', { left: left || 10 }) }}</p>
        </div>
      </div>
      <v-btn v-else color="primary" variant="flat" :disabled="busy" @click="offer">{{
        $t('house.devicesPane.pairATablet')
      }}</v-btn>
      <ul v-if="devices.devices.length" class="bare" :aria-label="$t('house.devicesPane.paired')">
        <li v-for="d in devices.devices" :key="d.id" class="row stitched">
          <span
            ><b>{{ d.name }}</b
            ><br /><span class="small quiet">{{
              $t('house.devicesPane.pairedLastSeen', { pairedAt: when(d.pairedAt), seenAt: when(d.seenAt) })
            }}</span></span
          >
          <v-spacer />
          <v-btn size="small" :disabled="busy" @click="sendAway(d.id)">{{ $t('house.devicesPane.sendAway') }}</v-btn>
        </li>
      </ul>
      <details class="small quiet">
        <summary>{{ $t('house.devicesPane.howTheTabletKnowsThat') }}</summary>
        {{ $t('house.devicesPane.itsBrowserAsksOnceAbout') }}
        <code>{{ devices.fingerprint }}</code>
      </details>
    </template>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.pane {
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
.offer {
  display: flex;
  gap: 1rem;
  flex-wrap: wrap;
  align-items: center;
}
.offer img {
  background: #fff;
  border-radius: 10px;
}
.address {
  font-weight: 700;
  overflow-wrap: anywhere;
}
.code {
  font-size: 2rem;
  letter-spacing: 0.08em;
  color: rgb(var(--v-theme-primary));
}
code {
  overflow-wrap: anywhere;
}
</style>
