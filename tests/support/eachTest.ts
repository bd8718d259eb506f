import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach, vi } from 'vitest'

// Files share a window: nothing of one test is left on the table for the next, and what still asks then is never answered.
// What the last test of a file put in a global's place goes as well, before the next file is read.
afterEach(() => vi.unstubAllGlobals())
disableAutoUnmount()
enableAutoUnmount(afterEach)
globalThis.fetch = () => new Promise(() => {})
