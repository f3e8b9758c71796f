import { fileURLToPath } from 'node:url'
import { defineVitestProject } from '@nuxt/test-utils/config'
import { defineConfig } from 'vitest/config'

const UNIT = '{core,server,cli,app,tests}/**/*.test.ts'
/** Replaces a package for its whole thread, so that it must have one of its own. */
const APART = '**/secondDriver.test.ts'
/** Mounts components, with the imports that the application has. */
const MOUNTED = 'app/**/*.mounted.test.ts'

const resolve = { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, '') } }
/** A test waits for what it expects as long as a busy machine takes; it fails no sooner for being quick. */
const every = { testTimeout: 60_000, expect: { poll: { timeout: 20_000 } }, setupFiles: ['tests/seed.ts'] }

const mounted = () => defineVitestProject({
  test: {
    ...every, name: 'mounted', include: [MOUNTED],
    setupFiles: [...every.setupFiles, 'tests/fixtures/mountedSetup.ts'],
    // Starting the application takes long on a machine that is busy with other things.
    hookTimeout: 120_000,
    environment: 'nuxt',
    // What is in `public` is read by an address that is none of a file.
    environmentOptions: {
      nuxt: { domEnvironment: 'happy-dom', overrides: { vite: { server: { fs: { strict: false } } } } },
    },
  },
})

// Each project is whole by itself: one that extended this file would read it again, and start the application twice.
export default defineConfig({
  test: {
    // One core less is what it takes by itself: of two cores that is half.
    maxWorkers: '100%',
    projects: [
      // Most of the time would go into importing the same modules for each file again.
      {
        resolve,
        test: { ...every, name: 'unit', pool: 'threads', isolate: false, include: [UNIT], exclude: [APART, MOUNTED] },
      },
      { resolve, test: { ...every, name: 'apart', include: [APART] } },
      ...(process.env.WT_MOUNTED === '0' ? [] : [await mounted()]),
    ],
  },
})
