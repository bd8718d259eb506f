import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  test: {
    include: ['resources/app/**/*.test.ts'],
    environment: 'happy-dom',
    css: false,
    maxWorkers: '100%',
    server: { deps: { inline: ['vuetify'] } },
  },
})
