import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { buildWorker } from './server/apart/build'

/** Everything comes from the application itself; gauges and wrenches are spoken to over sockets of this machine. */
const contentPolicy = [
  'default-src \'self\'', 'script-src \'self\' \'unsafe-inline\'', 'style-src \'self\' \'unsafe-inline\'', 'img-src \'self\' data: blob:', 'font-src \'self\' data:',
  'connect-src \'self\' ws: wss:', 'worker-src \'self\' blob:', 'object-src \'none\'', 'base-uri \'none\'', 'form-action \'self\'', 'frame-ancestors \'none\'',
].join('; ')

export default defineNuxtConfig({
  compatibilityDate: '2026-05-01',
  // One shell for all views: the state is computed in the browser from the job's events, with or without signal.
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  css: ['~/assets/css/main.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  spaLoadingTemplate: 'spa-loading.html',
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true }, exclude: ['../tests', '../**/*.test.ts'] } },
  experimental: { defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } } },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: 'es' },
    // The core is pure: what of it is not used is left out, whatever names it on the way.
    build: { rollupOptions: { output: { experimentalMinChunkSize: 2_000 }, treeshake: { moduleSideEffects: (id, external) => external || /node_modules/.test(id) || !/\/(core|contracts)\//.test(id) } } },
  },
  nitro: {
    hooks: { compiled: nitro => buildWorker(nitro.options.output.serverDir) },
    preset: 'node-server', compressPublicAssets: { gzip: true, brotli: true },
    routeRules: {
      '/**': { headers: {
        'content-security-policy': contentPolicy, 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer', 'x-frame-options': 'DENY',
        'cross-origin-opener-policy': 'same-origin', 'cross-origin-resource-policy': 'same-origin', 'permissions-policy': 'camera=(self), microphone=(self), accelerometer=(self), gyroscope=(self), geolocation=(self), payment=()',
      } },
      // What is kept of a job is nobody else's to keep.
      '/api/**': { headers: { 'cache-control': 'no-store' } },
    },
    // The papers' type, inside the server's build.
    serverAssets: [{ baseName: 'fonts', dir: fileURLToPath(new URL('./node_modules/@fontsource/atkinson-hyperlegible-next/files', import.meta.url)), pattern: '*-latin-{400,700}-normal.woff' }],
  },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Eldrin',
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
        { name: 'color-scheme', content: 'light dark' },
      ],
      script: [{ innerHTML: 'try{const t=localStorage.getItem("eldrin-theme");if(t)document.documentElement.dataset.theme=t}catch{}' }],
    },
  },
})
