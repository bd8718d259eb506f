import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [laravel({ input: 'resources/app/main.ts', refresh: false }), vue(), vuetify({ autoImport: true })],
  build: { chunkSizeWarningLimit: 900 },
})
