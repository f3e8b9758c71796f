/**
 * Whether a part of the application could not be fetched. A browser keeps that failure until the page is loaded anew,
 * so the part would be missing even after the connection is back.
 */
export const useMissingPart = () => useState('missing-part', () => false)
