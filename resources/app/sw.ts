/// <reference lib="webworker" />
import { cacheNames, clientsClaim } from 'workbox-core'
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'

declare const self: ServiceWorkerGlobalScope

/** One page is every page: what lies on it is asked for by its scripts. Pages that are drawn by the server alone are not kept. */
const PAGE = '/the-page'

void self.skipWaiting()
clientsClaim()
cleanupOutdatedCaches()
precacheAndRoute(self.__WB_MANIFEST)
registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      const pages = await caches.open(cacheNames.runtime)
      try {
        const page = await fetch(request)
        // With its own nonce, which its policy names: kept together, they fit together.
        if (page.ok && !page.redirected) await pages.put(PAGE, page.clone())
        return page
      } catch (error) {
        const kept = await pages.match(PAGE)
        if (!kept) throw error
        return kept
      }
    },
    { denylist: [/^\/(shared|health|metrics|impa-authority|sign-in|password|pair)/] },
  ),
)
