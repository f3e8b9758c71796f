/**
 * What the service worker keeps of a firm for a day without a signal, by the names of its caches; all of it goes when a
 * person signs out.
 */
export const CACHES = { photographs: 'photographs', files: 'files', sheets: 'sheets', lists: 'lists' } as const
