import { defineConfig } from '@playwright/test'
import { launch } from './tests/browser/launch.mjs'

const port = Number(process.env.IMPA_TEST_PORT ?? 8799)

export default defineConfig({
  testDir: 'tests/browser',
  testMatch: '*.spec.ts',
  // One figure store, one server: what one file makes is its own, so files run side by side, the tests of one after each other.
  workers: 2,
  // For hangs alone: a machine four times as slow as a quiet one passes.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  reporter: [['list']],
  outputDir: 'test-results',
  // What these teach Impa of the hand changes every estimate of the store: they come after the others.
  projects: [
    { name: 'stations', testIgnore: ['build.spec.ts', 'check.spec.ts'] },
    { name: 'learning', testMatch: ['build.spec.ts', 'check.spec.ts'], dependencies: ['stations'] },
  ],
  // Without motion: a click need not wait until what moves has come to rest.
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: launch,
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
  },
  webServer: {
    stdout: 'ignore',
    stderr: 'ignore',
    command: 'tests/browser/serve.sh',
    url: `http://127.0.0.1:${port}/`,
    env: { IMPA_TEST_PORT: String(port) },
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
