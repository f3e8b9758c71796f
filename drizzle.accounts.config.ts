import { defineConfig } from 'drizzle-kit'

/** The database of accounts; that of a firm is in drizzle.config.ts. */
export default defineConfig({
  dialect: 'sqlite',
  schema: './server/accounts/schema.ts',
  out: './server/accounts/migrations',
})
