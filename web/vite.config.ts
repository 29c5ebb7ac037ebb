import vue from '@vitejs/plugin-vue'
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers'
import Components from 'unplugin-vue-components/vite'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** Of a file before it is packed. */
const SMALL_BYTES = 4000

export default defineConfig({
  // Where it will lie is not known yet: the server writes that into the page.
  base: './',
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    vue(),
    Components({
      dirs: [],
      dts: 'components.d.ts',
      resolvers: [ElementPlusResolver({ importStyle: 'css' })],
    }),
    VitePWA({
      // Asked before it is put in: nobody is reloaded with cement on.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Jugalis',
        short_name: 'Jugalis',
        start_url: './jobs',
        display: 'standalone',
        background_color: '#F3F0E8',
        theme_color: '#33454F',
        id: './',
        lang: 'en',
        description: 'Joins pipe: what to mark and cut, each joint guided, clocks, tests, the record.',
        icons: [
          { src: './icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: './icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: './icon-512-whole.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: './mark.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,mjs,css,html,svg,png,woff2,ttf,wasm}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        importScripts: ['./notice-click.js'],
        navigateFallback: 'index.html',
        navigateFallbackDenylist: [/\/api\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        chunkFileNames: ({ name }) => `assets/${name.startsWith('shared') ? 'shared' : '[name]'}-[hash].js`,
        codeSplitting: {
          // Each place loads what it uses; what is too small to be fetched by itself goes with its neighbour: over a
          // slow line every file costs a way there and back.
          groups: [
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: SMALL_BYTES },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': process.env.API ?? 'http://127.0.0.1:7170' } },
})
