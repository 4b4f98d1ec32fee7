import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

// Views that reckon or keep order with the server's help, so without a line they are of no use: they come when they are opened.
const AT_THE_DESK =
  /\/src\/(making\/(tea|oil|salve|tincture|dry|kept)|tracing|herbarium\/(own|NewPlant)|dosing\/(NewCourse|CourseFields)|household\/(Household|Schools)|shelf\/(StockTake|Labels|Vessels)|field\/Train|calendar\/InCalendar|archive|joining|planning\/(Year|FirstYear|AsLastYear|ForNeed|Weeks|Means|WishForm|year))/

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // Pages, type and drawings on the device; what the server says is never answered from there.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifestFilename: 'manifest.json',
      manifest: {
        name: 'Sallowbrook',
        short_name: 'Sallowbrook',
        description: 'From the hedge to the spoon',
        start_url: '/field',
        display: 'standalone',
        background_color: '#e9eef0',
        theme_color: '#24566b',
        icons: [{ src: 'brook.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // Letters of other scripts come onto the device when they are first met.
        globIgnores: [
          'assets/desk/**',
          // Of use on the machine's own line only, before anything is packed.
          'join.html',
          'assets/join-*.js',
          '**/*-{cyrillic,cyrillic-ext,greek,greek-ext,vietnamese,latin-ext}-*.woff2',
        ],
        runtimeCaching: [
          {
            urlPattern: /\/assets\//,
            handler: 'CacheFirst',
            options: { cacheName: 'met', expiration: { maxEntries: 40 } },
          },
        ],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//, /^\/v3\//, /\.[a-z]+$/],
      },
    }),
  ],
  define: {
    __CONTRACT__: JSON.stringify(
      createHash('sha256').update(readFileSync('src/api/openapi.json')).digest('hex').slice(0, 12),
    ),
  },
  build: {
    sourcemap: false,
    assetsInlineLimit: 0,
    rollupOptions: {
      input: { index: 'index.html', join: 'join.html' },
      output: {
        chunkFileNames: ({ moduleIds, facadeModuleId }) => {
          // One that only leads to another has nothing of its own.
          const ids = moduleIds.length > 0 ? moduleIds : [facadeModuleId ?? '']
          return `assets/${ids.every((id) => AT_THE_DESK.test(id)) ? 'desk/' : ''}[name]-[hash].js`
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8480' } },
})
