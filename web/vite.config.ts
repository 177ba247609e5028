import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import icons from 'unplugin-icons/vite'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'
import { countryWords } from './country-words'
import { tablesAsJson } from './tables-as-json'

export default defineConfig({
  // White space between words that stand on two lines of a template is kept as one space.
  plugins: [
    tablesAsJson(),
    vue({ template: { compilerOptions: { whitespace: 'preserve', nodeTransforms: [countryWords] } } }),
    tailwind(),
    icons({ compiler: 'vue3' }),
    // The shell is kept by the browser, so that a table opens without a network. A newer Lea waits until the old one is closed: it
    // never takes over under a session.
    VitePWA({
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Lea',
        short_name: 'Lea',
        description: 'Cooking with young children: from plan to table to record.',
        display: 'standalone',
        background_color: '#F4F7F5',
        theme_color: '#17312B',
        icons: [{ src: 'mat.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,webmanifest}'],
        maximumFileSizeToCacheInBytes: 5_000_000,
        // The page that installs it is served by it at once; a newer one still waits.
        clientsClaim: true,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [
          /^\/api\//,
          /^\/(livez|readyz|healthz)/,
          /^\/recipe\.schema\.json/,
          /^\/(third-party-notices|sbom)\./,
        ],
      },
    }),
    // The server hands out what is compressed here.
    compression({
      algorithms: ['gzip', 'brotliCompress'],
      include: /\.(js|css|html|svg|webmanifest)$/,
      skipIfLargerOrEqual: true,
    }),
  ],
  worker: { format: 'es', plugins: () => [tablesAsJson()] },
  build: {
    target: 'es2022',
    sourcemap: false,
    manifest: true,
    // What many pages share comes in one file: each file more costs a slow device some milliseconds before its first byte.
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [{ name: 'shared', minShareCount: 30 }],
        },
      },
    },
  },
  server: { host: '127.0.0.1', proxy: { '/api': 'http://127.0.0.1:4680' } },
})
