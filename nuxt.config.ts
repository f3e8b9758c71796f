import tailwindcss from '@tailwindcss/vite'

export default defineNuxtConfig({
  modules: ['@pinia/nuxt', '@vueuse/nuxt', '@nuxt/eslint'],
  // Everything shown is worked out in the browser from one wall's data; there is nothing to render ahead.
  ssr: false,
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
  components: [{ path: '~/components', pathPrefix: false }],
  compatibilityDate: '2026-01-01',
  nitro: { errorHandler: '~~/server/error.ts' },
  vite: { plugins: [tailwindcss()], worker: { format: 'es' } },
  typescript: { strict: true, tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } } },
  eslint: { config: { stylistic: { commaDangle: 'always-multiline', braceStyle: 'stroustrup' } } },
  telemetry: false,
})
