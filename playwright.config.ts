import { defineConfig } from '@playwright/test'
import { launch } from './tests/browser/launch.mjs'

export default defineConfig({
  testDir: 'tests/browser',
  testMatch: '*.spec.ts',
  globalSetup: './tests/browser/test.ts',
  // Each test has a store as it was laid out, each worker a server (tests/browser/test.ts): they run in any order.
  fullyParallel: true,
  workers: 2,
  // For hangs alone: a machine four times as slow as a quiet one passes.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  outputDir: 'test-results',
  // Without motion: a click need not wait until what moves has come to rest.
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: launch,
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
  },
})
