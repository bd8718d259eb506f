import words from '@intlify/unplugin-vue-i18n/vite'
import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import { VitePWA } from 'vite-plugin-pwa'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vite'

/** What keeps the pages for work without the network: at the root, as it may answer for all of them. */
const worker = () =>
  VitePWA({
    strategies: 'injectManifest',
    srcDir: 'resources/app',
    filename: 'sw.ts',
    outDir: 'public',
    injectRegister: null,
    injectManifest: {
      globDirectory: 'public/build',
      globPatterns: ['assets/*.{js,css,woff2}'],
      modifyURLPrefix: { '': '/build/' },
      rollupFormat: 'iife',
      maximumFileSizeToCacheInBytes: 3_000_000,
    },
    // It stands in public/ as it is.
    manifest: false,
  })

export default defineConfig({
  plugins: [
    // Only bin/dev looks at the hot file: one that was left behind is nothing to a demo.
    laravel({ input: 'resources/app/main.ts', refresh: false, hotFile: 'storage/framework/vite.hot' }),
    vue(),
    // Messages become code when they are built: no compiler goes along.
    words({ include: 'resources/app/lang/*/*.json', dropMessageCompiler: true, fullInstall: false }),
    vuetify({ autoImport: true }),
    worker(),
  ],
  build: { chunkSizeWarningLimit: 900 },
})
