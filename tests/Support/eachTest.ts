import { config, disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { disposePinia, getActivePinia } from 'pinia'
import { afterEach, vi } from 'vitest'
import { i18n, speak } from '../../resources/app/lang'

// As in main.ts: words come before the screens.
await speak('en')
config.global.plugins.push(i18n)

/** happy-dom's own door to the page. */
const page = (window as unknown as { happyDOM: { setURL(url: string): void } }).happyDOM
const home = document.location.href

// Files share a window: nothing of one test is left on the table for the next, and what still asks then is never answered.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterEach(() => {
  const stores = getActivePinia()
  if (stores) disposePinia(stores)
  vi.useRealTimers()
  vi.unstubAllGlobals()
  // Here a download takes the page along to the file, and a page at blob: has no pictures by their path.
  page.setURL(home)
})
globalThis.fetch = () => new Promise(() => {})
