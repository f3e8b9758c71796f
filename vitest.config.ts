import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: { include: ['core/**/*.test.ts', 'server/**/*.test.ts', 'cli/**/*.test.ts', 'app/**/*.test.ts'] },
})
