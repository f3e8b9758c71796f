import { timeNow } from './clock'

/** The present moment as the log writes it. */
export const now = () => timeNow().toISOString()
