import { build } from './house.mjs'

/** Builds the application unless it is built from these very sources: `npm run build`. */
build()
