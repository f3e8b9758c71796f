import fc from 'fast-check'
import { cases } from './fixtures/soak'

/**
 * Property tests draw the same cases each time, so that a gate that was green is green again; `npm run soak` sets
 * another seed and more cases.
 */
fc.configureGlobal({ seed: Number(process.env.WT_SEED ?? 20_260_101), numRuns: cases(100) })
