import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { disposePinia, getActivePinia } from 'pinia'
import { afterEach, vi } from 'vitest'

// Files share a window: nothing of one test is left on the table for the next, and what still asks then is never answered.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterEach(() => {
  const stores = getActivePinia()
  if (stores) disposePinia(stores)
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
globalThis.fetch = () => new Promise(() => {})
