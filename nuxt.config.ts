import tailwindcss from '@tailwindcss/vite'

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@vueuse/nuxt', '@nuxt/eslint'],
  // Everything shown is worked out in the browser from one wall's data; there is nothing to render ahead.
  ssr: false,
  components: [{ path: '~/components', pathPrefix: false }],
  imports: { dirs: ['~~/core/edits'] },
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
  compatibilityDate: '2026-01-01',
  nitro: { errorHandler: '~~/server/error.ts' },
  // Two copies of Rollup's types disagree about one field that the plugin does not use.
  vite: { plugins: [tailwindcss() as never], worker: { format: 'es' } },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  telemetry: false,
  eslint: { config: { stylistic: { commaDangle: 'always-multiline', braceStyle: 'stroustrup' } } },
})
