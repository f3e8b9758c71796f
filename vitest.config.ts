import { fileURLToPath } from 'node:url'
import { defineVitestProject } from '@nuxt/test-utils/config'
import { defineConfig } from 'vitest/config'

/** Replaces a package for its whole thread, so that it must have one of its own. */
const APART = '**/secondDriver.test.ts'
/** Mounts components, with the imports that the application has. */
const MOUNTED = 'app/**/*.mounted.test.ts'

export default defineConfig({
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, '') } },
  test: {
    testTimeout: 60_000,
    // One core less is what it takes by itself: of two cores that is half.
    maxWorkers: '100%',
    setupFiles: ['tests/seed.ts'],
    projects: [
      // Most of the time would go into importing the same modules for each file again.
      { extends: true, test: { name: 'unit', pool: 'threads', isolate: false, include: ['{core,server,cli,app,tests}/**/*.test.ts'], exclude: [APART, MOUNTED] } },
      { extends: true, test: { name: 'apart', include: [APART] } },
      await defineVitestProject({ test: { name: 'mounted', include: [MOUNTED], setupFiles: ['tests/seed.ts', 'tests/fixtures/mountedSetup.ts'], environment: 'nuxt', environmentOptions: { nuxt: { domEnvironment: 'happy-dom', overrides: { vite: { server: { fs: { strict: false } } } } } } } }),
    ],
  },
})
