import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { isAway } from './away/network'
import { i18n } from './lang'
import App from './shell/App.vue'
import { router } from './shell/router'
import { listen } from './shell/untold'
import { fetchTrade } from './state/trade'
import { day, lamp, rememberedTheme } from './style/themes'

const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: rememberedTheme(),
    cspNonce: document.querySelector<HTMLMetaElement>('meta[name=csp-nonce]')?.content,
    themes: { day, lamp },
  },
  defaults: {
    VBtn: { rounded: 'lg', variant: 'tonal' },
    VTextField: { density: 'compact', variant: 'outlined', hideDetails: 'auto' },
    VSelect: { density: 'compact', variant: 'outlined', hideDetails: 'auto' },
    VSwitch: { density: 'compact', color: 'primary', hideDetails: true },
    VDialog: { maxWidth: 560 },
  },
})

// Every screen speaks the trade's words: they come first, but at the door. Where nothing answers, what there is says so.
const isAtDoor = router.resolve(window.location.pathname).meta.isDoor === true
void (isAtDoor ? Promise.resolve() : fetchTrade())
  .catch(() => {})
  .then(() => {
    const app = createApp(App).use(createPinia()).use(router).use(vuetify).use(i18n)
    listen(app)
    app.mount('#app')
  })

// Where the network may go, the pages stay. On this machine itself nothing stands between them and Impa.
if (isAway() && 'serviceWorker' in navigator) {
  const keep = () => void navigator.serviceWorker.register('/sw.js').catch(() => {})
  // The words of a language came before: the page may be loaded by now.
  if (document.readyState === 'complete') keep()
  else window.addEventListener('load', keep)
}
