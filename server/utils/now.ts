/** The present moment as the log writes it. */
export const now = () => new Date().toISOString()
