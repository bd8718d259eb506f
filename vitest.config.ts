import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue()],
  // The one file that it ships, instead of hundreds read anew by each worker.
  resolve: { alias: [{ find: /^vuetify$/, replacement: 'vuetify/dist/vuetify.esm.js' }] },
  test: {
    include: ['resources/app/**/*.test.ts'],
    environment: 'happy-dom',
    css: false,
    // For hangs alone: on a busy machine what takes two seconds takes ten.
    testTimeout: 60_000,
    hookTimeout: 60_000,
    maxWorkers: '100%',
    // Vuetify is loaded once in each worker, not once in each file; every test mounts with stores of its own.
    isolate: false,
    setupFiles: 'tests/Support/eachTest.ts',
    unstubGlobals: true,
    restoreMocks: true,
  },
})
