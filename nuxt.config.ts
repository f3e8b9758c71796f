import { readdirSync } from 'node:fs'
import { basename, dirname, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import { CACHES } from './app/sync/caches'

/** Modules of the core have no side effects, so the bundler can drop those whose exports are not used. */
const LEAN = { moduleSideEffects: (id: string) => !id.includes('/core/') }

/**
 * What the drawing of a wall does without, in chunks of its own: small modules are joined with one another, and none of
 * them with these.
 */
const APART = {
  schemas: /node_modules\/(yup|property-expr|tiny-case|toposort)\//,
  device: /node_modules\/dexie\//,
  // What packages of an older form need, whichever of them is there.
  commonjs: /commonjsHelpers/,
}
const packageApart = (id: string) => Object.entries(APART).find(([, packages]) => packages.test(id))?.[0]

/** Puts the core into a chunk of its own, so that a worker thread loads the core without the server. */
const coreApart = (id: string) => (/^(?!.*node_modules).*\/core\//.test(id) ? 'core' : undefined)

/**
 * Builds a module of the server as a separate file that a thread or a process can start from; importing `name` gives
 * its address.
 */
const ownFile = (name: string, path: string) => {
  const [file, here] = [`${basename(path, '.ts')}.mjs`, JSON.stringify(`address of ${name}`)]
  return {
    name: `own-file:${name}`,
    buildStart(this: { emitFile: (file: object) => string }) {
      this.emitFile({ type: 'chunk', id: fileURLToPath(new URL(path, import.meta.url)), fileName: file })
    },
    resolveId: (id: string) => (id === name ? `\0${name}` : undefined),
    load: (id: string) => (id === `\0${name}` ? `export default ${here}` : undefined),
    // Where the file lies is known once every chunk has its place.
    generateBundle(_options: unknown, bundle: Record<string, { code?: string }>) {
      for (const [place, chunk] of Object.entries(bundle)) {
        const way = relative(dirname(`/${place}`), `/${file}`)
        if (chunk.code?.includes(here))
          chunk.code = chunk.code.replace(here, `new URL(${JSON.stringify(`./${way}`)}, import.meta.url).href`)
      }
    },
  }
}

/** What a stage brings along can be used by name, as components and composables are. */
const STAGE_FOLDERS = readdirSync(new URL('app/stages', import.meta.url), { withFileTypes: true })
  .filter(entry => entry.isDirectory())
  .map(({ name }) => `stages/${name}`)

/** What was checked and has not changed since is not checked again; kept where preparing types does not empty. */
const remembered = (part: string) => ({
  incremental: true,
  tsBuildInfoFile: `../node_modules/.cache/types/${part}.tsbuildinfo`,
})

/** The core is checked once, by itself; what uses it reads its declarations. */
const CORE = [{ path: '../tsconfig.core.json' }]

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@vueuse/nuxt', '@nuxt/eslint', '@vite-pwa/nuxt', 'nuxt-auth-utils'],
  // Everything shown is calculated in the browser from one wall's data; there is nothing to render ahead.
  ssr: false,
  components: ['~/components', '~/drawing', '~/stages'].map(path => ({ path, pathPrefix: false })),
  imports: { dirs: ['~~/core/edits', 'drawing', ...STAGE_FOLDERS] },
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Wide Trellis',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Plan, mark out, drive and record wall-mounted displays.' },
      ],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/mark.svg' }],
    },
  },
  css: ['~/assets/main.css'],
  // Whether the cookie goes over TLS only is said where a person signs in, as it depends on how he comes.
  runtimeConfig: {
    session: { name: 'wide-trellis', password: '', cookie: { sameSite: 'strict', httpOnly: true, secure: false } },
  },
  // Types are prepared and read in one folder while another is built in.
  buildDir: process.env.WT_BUILD_DIR || '.nuxt',
  // Which files there are is known to the service worker; the page need not ask for it.
  experimental: { appManifest: false },
  compatibilityDate: '2026-01-01',
  nitro: {
    errorHandler: '~~/server/error.ts',
    rollupConfig: {
      output: { manualChunks: coreApart },
      plugins: [ownFile('#worker', 'server/work/worker.ts'), ownFile('#process', 'server/work/process.ts')],
    },
    typescript: { tsConfig: { compilerOptions: remembered('server'), references: CORE } },
  },
  vite: {
    // Two copies of Rollup's types disagree about one field that the plugin does not use.
    plugins: [tailwindcss() as never],
    // Of fewer and larger files a page is there sooner: a wall's asked for some two hundred.
    build: {
      rollupOptions: {
        treeshake: LEAN,
        output: { experimentalMinChunkSize: 3_000, manualChunks: packageApart },
      },
    },
    worker: { format: 'es', rollupOptions: { treeshake: LEAN } },
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true, ...remembered('app') }, references: CORE },
    nodeTsConfig: { compilerOptions: remembered('node') },
    sharedTsConfig: { compilerOptions: remembered('shared') },
  },
  telemetry: false,
  hooks: {
    // The shell is one for all pages: it fetches ahead what none of them asked for. A page fetches its own.
    'build:manifest': (manifest) => {
      for (const part of Object.values(manifest)) part.dynamicImports = []
    },
    // What is asked of an address in a way that it does not take is answered with the ways that it takes.
    'nitro:init': (nitro) => {
      nitro.options.virtual['#api-routes'] = () =>
        `export const ROUTES = ${JSON.stringify(nitro.scannedHandlers.flatMap(({ route, method }) =>
          (route?.startsWith('/api/') && method ? [{ route, method }] : [])))}`
    },
  },
  auth: { webAuthn: true, loadStrategy: 'none' },
  eslint: { config: { stylistic: { commaDangle: 'always-multiline', braceStyle: 'stroustrup' } } },
  pwa: {
    // A new version is offered, never forced in the middle of a day.
    registerType: 'prompt',
    manifest: {
      name: 'Wide Trellis',
      short_name: 'Wide Trellis',
      description: 'Plan, mark out, drive and record wall-mounted displays.',
      lang: 'en',
      display: 'standalone',
      start_url: '/',
      background_color: '#f2ece0',
      theme_color: '#1d2624',
      icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,woff2,svg,wasm}'],
      maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
      // Every page is drawn from the same shell.
      additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
      navigateFallback: '/',
      navigateFallbackDenylist: [/^\/api\//],
      cleanupOutdatedCaches: true,
      // What it has is at hand from the first visit on.
      clientsClaim: true,
      runtimeCaching: [
        // A picture is named by its content, and so is a file of a site.
        {
          urlPattern: /\/api\/sites\/[^/]+\/photos\/[^/]+$/,
          handler: 'CacheFirst',
          options: { cacheName: CACHES.photographs, expiration: { maxEntries: 4_000 } },
        },
        {
          urlPattern: /\/api\/sites\/[^/]+\/files\/[^/]+$/,
          handler: 'CacheFirst',
          method: 'GET',
          options: { cacheName: CACHES.files, expiration: { maxEntries: 1_000 } },
        },
        {
          urlPattern: ({ url }) =>
            /^\/api\/sites\/[^/]+\/walls\/[^/]+\/(?:sheet|templates|kit|wiring)$/.test(url.pathname),
          handler: 'NetworkFirst',
          method: 'GET',
          options: { cacheName: CACHES.sheets, expiration: { maxEntries: 400 } },
        },
        // Lists and what holds for all walls, as they were last; a wall itself is kept by the page.
        {
          urlPattern: ({ url }) =>
            /^\/api\/(?:sites(?:\/[^/]+)?|walls|programme(?:\/published)?|stock|catalogue|rules)$/.test(url.pathname),
          handler: 'NetworkFirst',
          method: 'GET',
          options: { cacheName: CACHES.lists, expiration: { maxEntries: 400 } },
        },
      ],
    },
    // The application registers it itself, once the page stands.
    client: { installPrompt: false, registerPlugin: false },
  },
})
