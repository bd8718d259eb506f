import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach } from 'vitest'

// Files share a window: nothing of one test is left on the table for the next, and what still asks then is never answered.
disableAutoUnmount()
enableAutoUnmount(afterEach)
globalThis.fetch = () => new Promise(() => {})
