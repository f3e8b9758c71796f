import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)).replace(/\/$/, '') } },
  test: { testTimeout: 30_000, include: ['core/**/*.test.ts', 'server/**/*.test.ts', 'cli/**/*.test.ts', 'app/**/*.test.ts', 'tests/**/*.test.ts'] },
})
