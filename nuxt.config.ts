import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { buildWorker } from './server/apart/build'
import { contentPolicy } from './server/content-policy'
import { neededFor } from './shell/assets'
import { buildShell } from './shell/build'

/** Where the browser gets what it shows before any address leads anywhere. */
const head = {
  htmlAttrs: { lang: 'en' },
  title: 'Eldrin',
  link: [
    { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
    { rel: 'apple-touch-icon', href: '/icons/apple.png' },
    { rel: 'manifest', href: '/manifest.webmanifest' },
  ],
  meta: [
    { name: 'viewport', content: 'width=device-width, initial-scale=1, viewport-fit=cover' },
    { name: 'color-scheme', content: 'light dark' },
    { name: 'theme-color', content: '#0b5d54' },
  ],
  script: [
    {
      // The device's store is opened while the scripts that read it are still on their way; where there is none, none is made.
      innerHTML:
        'try{const r=self.eldrinStore=indexedDB.open("eldrin");r.onupgradeneeded=()=>r.transaction.abort();r.onsuccess=()=>{const d=r.result;d.onversionchange=d.onclose=()=>{d.close();delete self.eldrinStore}}}catch{}',
    },
    {
      innerHTML:
        'try{const t=localStorage.getItem("eldrin-theme");if(t)document.documentElement.dataset.theme=t}catch{}',
    },
  ],
}
/** In the browser the computations of the bench are fetched by themselves: Work does without them. */
const judgesLater = {
  name: 'judges-later',
  enforce: 'pre' as const,
  resolveId: (id: string) =>
    id.endsWith('/judges/at-hand') ? fileURLToPath(new URL('app/device/judges.ts', import.meta.url)) : null,
}

/** The build puts small pieces together. What few views want would come with what every view wants; what every view of a job wants would come in a dozen files. */
const chunksInBrowser = {
  expand: /\/core\/packs\/(?:expand-pack|narrow|bench-of|authored-order|fact-links)\.ts$/,
  frame:
    /\/app\/components\/(?:common\/(?:PlaceTag|FootBar|SheetWithMargin|TorqueFigure)|job\/(?:FigureLine|WhyPanel|OffList|JobStrip|SentMark|JobNav|PrintHead|SettingsMenu|CarGlyph)|work\/(?:StepCautions|NewPartsAsk))\.vue/,
}
const chunkOf = (id: string) => Object.entries(chunksInBrowser).find(([, files]) => files.test(id))?.[0]

/** Files that the views of a job and the Yard ask for at once; those of Work, which the page names before anything runs. */
let needed: string[] = []
let ofWork: string[] = []

export default defineNuxtConfig({
  compatibilityDate: '2026-05-01',
  // A build beside the type check takes a folder of its own.
  buildDir: process.env.ELDRIN_BUILD_DIR ?? '.nuxt',
  // One shell for all views: the state is computed in the browser from the job's events, with or without signal.
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  css: ['~/assets/css/main.css'],
  components: [{ path: '~/components', pathPrefix: false }],
  spaLoadingTemplate: 'spa-loading.html',
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true }, exclude: ['../tests', '../**/*.test.ts'] },
  },
  experimental: {
    defaults: { nuxtLink: { prefetchOn: { interaction: true, visibility: false } } },
    // Nothing is rendered on the server, so nothing is carried over from there.
    payloadExtraction: false,
    appManifest: false,
    renderJsonPayloads: false,
  },
  vite: {
    plugins: [tailwindcss(), judgesLater],
    // No component is written in the older style.
    vue: { features: { optionsAPI: false } },
    worker: { format: 'es' },
    // The core is pure, and so are the framework's composables: what of them is not used is left out, whatever names it on the way.
    build: {
      minify: 'terser',
      rollupOptions: {
        output: {
          experimentalMinChunkSize: 10_000,
          manualChunks: chunkOf,
          onlyExplicitManualChunks: true,
        },
        treeshake: {
          moduleSideEffects: (id, external) =>
            external ||
            (/node_modules/.test(id) ? !/\/nuxt\/dist\/app\/composables\//.test(id) : !/\/(core|contracts)\//.test(id)),
        },
      },
    },
  },
  hooks: {
    // A view is fetched when it is opened or pointed at, not while the first one is still on its way.
    'build:manifest': manifest => {
      needed = neededFor(manifest, /pages\/(?:index|week|jobs\/.*)\.vue$|bench\/judges\/index\.ts$/)
      ofWork = neededFor(manifest, /pages\/jobs\/\[id\](?:\/work)?\.vue$/)
      for (const entry of Object.values(manifest)) entry.dynamicImports = []
    },
    'nitro:build:public-assets': nitro => buildShell(nitro.options.output.publicDir, head, needed),
  },
  nitro: {
    virtual: { '#parts-of-work': () => `export const partsOfWork = ${JSON.stringify(ofWork)}` },
    hooks: { compiled: nitro => buildWorker(nitro.options.output.serverDir) },
    preset: 'node-server',
    compressPublicAssets: { gzip: true, brotli: true },
    routeRules: {
      '/**': {
        headers: {
          'content-security-policy': contentPolicy(),
          'x-content-type-options': 'nosniff',
          'referrer-policy': 'no-referrer',
          'x-frame-options': 'DENY',
          'cross-origin-opener-policy': 'same-origin',
          'cross-origin-resource-policy': 'same-origin',
          'permissions-policy':
            'camera=(self), microphone=(self), accelerometer=(self), gyroscope=(self), geolocation=(self), payment=()',
        },
      },
      // Asked for anew each time: it says what of the rest is new.
      '/service-worker.js': { headers: { 'cache-control': 'no-cache' } },
      // What is kept of a job is nobody else's to keep.
      '/api/**': { headers: { 'cache-control': 'no-store' } },
    },
    // The papers' type, inside the server's build.
    serverAssets: [
      {
        baseName: 'fonts',
        dir: fileURLToPath(new URL('./node_modules/@fontsource/atkinson-hyperlegible-next/files', import.meta.url)),
        pattern: '*-latin-{400,700}-normal.woff',
      },
    ],
  },
  app: { head },
})
